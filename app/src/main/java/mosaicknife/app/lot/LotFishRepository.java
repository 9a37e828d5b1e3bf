package mosaicknife.app.lot;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface LotFishRepository extends Repository<LotFishEntity, LotFishEntity.Key> {

  LotFishEntity save(LotFishEntity fish);

  void flush();

  List<LotFishEntity> findAllByKeyLotIdOrderByKeyFishNo(long lotId);

  /** The fish of lots that were weighed by themselves, in the order of their numbers. */
  @Query(
      "select f from LotFishEntity f where f.key.lotId in :lots and f.mass is not null"
          + " order by f.key.lotId, f.key.fishNo")
  List<LotFishEntity> findWeighedOf(Collection<Long> lots);

  void deleteAllByKeyLotId(long lotId);
}
