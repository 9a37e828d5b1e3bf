package mosaicknife.app.pot;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface PotBatchRepository extends Repository<PotBatchEntity, Long> {

  PotBatchEntity saveAndFlush(PotBatchEntity batch);

  Optional<PotBatchEntity> findById(long id);

  Optional<PotBatchEntity> findByClientId(UUID clientId);

  @Query(
      "select b from PotBatchEntity b where not exists (select 1 from PotResultEntity r"
          + " where r.batchId = b.id) and not exists (select 1 from MakingEndEntity e"
          + " where e.makingId = b.makingId) order by b.id")
  List<PotBatchEntity> findRunning();

  @Query(value = "select 1 from pg_advisory_xact_lock(7004, :batch)", nativeQuery = true)
  Integer lock(int batch);
}
