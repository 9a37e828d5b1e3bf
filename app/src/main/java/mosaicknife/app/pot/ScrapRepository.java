package mosaicknife.app.pot;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface ScrapRepository extends Repository<ScrapEntity, Long> {

  ScrapEntity saveAndFlush(ScrapEntity scrap);

  boolean existsByClientId(UUID clientId);

  @Query(
      "select s from ScrapEntity s where s.madeAt > :since and not exists"
          + " (select e from ScrapEndEntity e where e.scrapId = s.id) order by s.id")
  List<ScrapEntity> findOffered(Instant since);
}
