package mosaicknife.app.pot;

import java.util.Collection;
import java.util.List;
import org.springframework.data.repository.Repository;

interface PotMarkRepository extends Repository<PotMarkEntity, Long> {

  PotMarkEntity saveAndFlush(PotMarkEntity mark);

  List<PotMarkEntity> findAllByBatchIdInOrderById(Collection<Long> batches);
}
