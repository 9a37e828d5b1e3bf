package mosaicknife.app.lot;

import java.util.List;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface HouseLimitRepository extends Repository<HouseLimitEntity, Long> {

  HouseLimitEntity saveAndFlush(HouseLimitEntity limit);

  /** The newest of each. */
  @Query(
      "select l from HouseLimitEntity l where l.id in (select max(m.id) from HouseLimitEntity m group by m.which)")
  List<HouseLimitEntity> findNewest();
}
