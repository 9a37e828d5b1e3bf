package mosaicknife.app.parts;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface LotOptionRepository extends Repository<LotOptionEntity, OptionKey> {

  LotOptionEntity save(LotOptionEntity answer);

  Optional<LotOptionEntity> findById(OptionKey key);

  @Modifying
  @Query("delete from LotOptionEntity s where s.key.lotId = :lotId")
  void deleteOfLot(long lotId);

  @Query("select s from LotOptionEntity s where s.key.lotId in :lotIds")
  List<LotOptionEntity> findOfLots(Collection<Long> lotIds);
}
