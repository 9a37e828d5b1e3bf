package mosaicknife.app.lot;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface LotWarmRepository extends Repository<LotWarmEntity, Long> {

  LotWarmEntity saveAndFlush(LotWarmEntity fact);

  boolean existsByClientId(UUID clientId);

  List<LotWarmEntity> findAllByLotIdInOrderById(Collection<Long> lots);
}
