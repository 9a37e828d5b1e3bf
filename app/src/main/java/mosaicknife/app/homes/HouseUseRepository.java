package mosaicknife.app.homes;

import java.util.List;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface HouseUseRepository extends Repository<HouseUseEntity, Long> {

  HouseUseEntity saveAndFlush(HouseUseEntity use);

  @Query(
      "select u from HouseUseEntity u where u.id ="
          + " (select max(v.id) from HouseUseEntity v where v.code = u.code) order by u.id")
  List<HouseUseEntity> findNewest();
}
