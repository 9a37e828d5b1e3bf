package mosaicknife.app.pot;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface KettleRepository extends Repository<KettleEntity, Long> {

  KettleEntity saveAndFlush(KettleEntity kettle);

  Optional<KettleEntity> findById(long id);

  @Query(
      "select k from KettleEntity k where k.id = (select max(n.id) from KettleEntity n"
          + " where coalesce(n.firstId, n.id) = coalesce(k.firstId, k.id)) order by k.venueId, k.id")
  List<KettleEntity> findNewest();
}
