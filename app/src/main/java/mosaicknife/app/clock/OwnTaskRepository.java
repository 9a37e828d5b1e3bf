package mosaicknife.app.clock;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface OwnTaskRepository extends Repository<OwnTaskEntity, Long> {

  OwnTaskEntity saveAndFlush(OwnTaskEntity task);

  boolean existsByClientId(UUID clientId);

  @Query(
      "select t from OwnTaskEntity t where t.madeAt > :since and not exists (select m from"
          + " ClockMarkEntity m where m.task = concat('own', t.id) and m.what <> 'BEGUN')"
          + " order by t.wantedAt, t.id")
  List<OwnTaskEntity> findOpen(Instant since);
}
