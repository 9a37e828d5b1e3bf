package mosaicknife.app.homes;

import java.time.Instant;
import java.util.List;
import org.springframework.data.repository.Repository;

interface MakingEndRepository extends Repository<MakingEndEntity, Long> {

  MakingEndEntity saveAndFlush(MakingEndEntity end);

  boolean existsById(long making);

  List<MakingEndEntity> findAllByItemIdIsNullAndEndedAtAfterOrderByEndedAt(Instant since);
}
