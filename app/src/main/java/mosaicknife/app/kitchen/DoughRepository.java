package mosaicknife.app.kitchen;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface DoughRepository extends Repository<DoughEntity, Long> {

  DoughEntity saveAndFlush(DoughEntity dough);

  boolean existsByClientId(UUID clientId);

  /** Two who take the last pack come one after the other. */
  @Query(value = "select pg_advisory_xact_lock(29, cast(:id as integer))", nativeQuery = true)
  Object lock(long id);

  @Query(
      "select d from DoughEntity d where d.packs > (select coalesce(sum(t.packs), 0) from"
          + " DoughTakenEntity t where t.doughId = d.id) order by d.useBy, d.id")
  List<DoughEntity> findLeft();
}
