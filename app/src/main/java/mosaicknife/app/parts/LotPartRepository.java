package mosaicknife.app.parts;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.EntityGraph;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface LotPartRepository extends Repository<LotPartEntity, Long> {

  LotPartEntity save(LotPartEntity part);

  LotPartEntity saveAndFlush(LotPartEntity part);

  void delete(LotPartEntity part);

  @Modifying(flushAutomatically = true, clearAutomatically = true)
  @Query("delete from LotPartEntity p where p.lotId = :lotId")
  void deleteOfLot(long lotId);

  Optional<LotPartEntity> findByLotIdAndSlot(long lotId, String slot);

  /** The parts of open lots that go to a dish, or for which somebody wrote its name. */
  @Query(
      """
      select p from LotPartEntity p where (p.dish.id = :dish or lower(p.becomes) = lower(:name))
      and p.lotId in (select l.id from LotEntity l where l.finishedAt is null)
      order by p.lotId, p.number
      """)
  List<LotPartEntity> findGoingTo(long dish, String name);

  @EntityGraph(attributePaths = "dish")
  List<LotPartEntity> findByLotIdInOrderByNumber(Collection<Long> lotIds);
}
