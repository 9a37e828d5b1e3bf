package mosaicknife.app.pot;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface PotReadingRepository extends Repository<PotReadingEntity, Long> {

  PotReadingEntity saveAndFlush(PotReadingEntity reading);

  boolean existsByClientId(UUID clientId);

  List<PotReadingEntity> findAllByBatchIdInOrderByReadAtAscIdAsc(Collection<Long> batches);
}
