package mosaicknife.app.pot;

import java.util.Collection;
import java.util.List;
import org.springframework.data.repository.Repository;

interface PotStandRepository extends Repository<PotStandEntity, Long> {

  PotStandEntity saveAndFlush(PotStandEntity stand);

  List<PotStandEntity> findAllByBatchIdInOrderById(Collection<Long> batches);
}
