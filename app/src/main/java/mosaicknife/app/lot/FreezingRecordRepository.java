package mosaicknife.app.lot;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface FreezingRecordRepository extends Repository<FreezingRecordEntity, Long> {

  FreezingRecordEntity saveAndFlush(FreezingRecordEntity fact);

  boolean existsByClientId(UUID clientId);

  List<FreezingRecordEntity> findAllByLotIdInOrderById(Collection<Long> lots);
}
