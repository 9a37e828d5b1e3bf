package mosaicknife.app.kitchen;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface SoakRepository extends Repository<SoakEntity, Long> {

  SoakEntity saveAndFlush(SoakEntity soak);

  boolean existsByClientId(UUID clientId);

  @Query(
      "select s from SoakEntity s where not exists"
          + " (select 1 from SoakEndEntity e where e.soakId = s.id) order by s.id")
  List<SoakEntity> findOpen();
}
