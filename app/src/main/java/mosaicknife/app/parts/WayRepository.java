package mosaicknife.app.parts;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface WayRepository extends Repository<WayEntity, Long> {

  WayEntity save(WayEntity way);

  Optional<WayEntity> findById(long id);

  void delete(WayEntity way);

  List<WayEntity> findBySpeciesOrderBySavedAtDesc(String species);
}
