package mosaicknife.app.house;

import java.util.Optional;
import org.springframework.data.repository.Repository;

interface HouseRepository extends Repository<HouseEntity, Short> {

  HouseEntity save(HouseEntity house);

  Optional<HouseEntity> findById(Short id);
}
