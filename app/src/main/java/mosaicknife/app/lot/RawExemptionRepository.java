package mosaicknife.app.lot;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface RawExemptionRepository extends Repository<RawExemptionEntity, Long> {

  RawExemptionEntity saveAndFlush(RawExemptionEntity fact);

  boolean existsByClientId(UUID clientId);

  List<RawExemptionEntity> findAllByLotIdInOrderById(Collection<Long> lots);
}
