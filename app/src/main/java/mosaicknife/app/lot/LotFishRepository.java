package mosaicknife.app.lot;

import java.util.List;
import org.springframework.data.repository.Repository;

interface LotFishRepository extends Repository<LotFishEntity, LotFishEntity.Key> {

  LotFishEntity save(LotFishEntity fish);

  List<LotFishEntity> findAllByKeyLotIdOrderByKeyFishNo(long lotId);

  void deleteAllByKeyLotId(long lotId);
}
