package mosaicknife.app.bench;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface HouseSchoolRepository extends Repository<HouseSchoolEntity, String> {

  HouseSchoolEntity save(HouseSchoolEntity answer);

  Optional<HouseSchoolEntity> findById(String school);

  List<HouseSchoolEntity> findAll();
}
