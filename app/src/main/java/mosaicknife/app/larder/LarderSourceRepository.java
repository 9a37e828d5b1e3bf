package mosaicknife.app.larder;

import java.util.Collection;
import java.util.List;
import org.springframework.data.repository.Repository;

interface LarderSourceRepository extends Repository<LarderSourceEntity, Long> {

  LarderSourceEntity save(LarderSourceEntity source);

  List<LarderSourceEntity> findAllByItemIdInOrderById(Collection<Long> items);

  List<LarderSourceEntity> findAllByLotIdInOrderById(Collection<Long> lots);
}
