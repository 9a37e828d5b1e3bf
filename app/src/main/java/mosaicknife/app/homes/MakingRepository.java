package mosaicknife.app.homes;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface MakingRepository extends Repository<MakingEntity, Long> {

  MakingEntity saveAndFlush(MakingEntity making);

  List<MakingEntity> findAllByIdIn(Collection<Long> ids);

  Optional<MakingEntity> findById(long id);

  boolean existsByClientId(UUID clientId);

  Optional<MakingEntity> findByClientId(UUID clientId);

  @Query(
      "select m from MakingEntity m where not exists"
          + " (select 1 from MakingEndEntity e where e.makingId = m.id) order by m.id")
  List<MakingEntity> findOpen();

  @Query("select s from MakingSourceEntity s where s.makingId in :makings order by s.id")
  List<MakingSourceEntity> findSources(Collection<Long> makings);

  @Query(
      "select new mosaicknife.app.homes.MadeShare(s.slot, m.name, m.venueId, s.milligrams)"
          + " from MakingEntity m, MakingSourceEntity s where s.makingId = m.id and s.lotId = :lot"
          + " and not exists (select 1 from MakingEndEntity e"
          + " where e.makingId = m.id and e.itemId is null) order by s.id")
  List<MadeShare> findDecidedOf(long lot);

  @Query(value = "select 1 from pg_advisory_xact_lock(7003, 0)", nativeQuery = true)
  Integer lockAll();
}
