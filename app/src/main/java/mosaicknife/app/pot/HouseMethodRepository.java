package mosaicknife.app.pot;

import java.util.List;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface HouseMethodRepository extends Repository<HouseMethodEntity, Long> {

  HouseMethodEntity saveAndFlush(HouseMethodEntity method);

  @Query(
      "select m from HouseMethodEntity m where m.id ="
          + " (select max(n.id) from HouseMethodEntity n where n.code = m.code) order by m.id")
  List<HouseMethodEntity> findNewest();
}
