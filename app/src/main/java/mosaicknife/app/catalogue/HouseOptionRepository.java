package mosaicknife.app.catalogue;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface HouseOptionRepository extends Repository<HouseOptionEntity, String> {

  HouseOptionEntity save(HouseOptionEntity answer);

  Optional<HouseOptionEntity> findById(String option);

  List<HouseOptionEntity> findAll();
}
