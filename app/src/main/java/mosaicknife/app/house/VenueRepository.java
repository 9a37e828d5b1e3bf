package mosaicknife.app.house;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface VenueRepository extends Repository<VenueEntity, Long> {

  VenueEntity save(VenueEntity venue);

  Optional<VenueEntity> findById(long id);

  Optional<VenueEntity> findByNameIgnoreCase(String name);

  List<VenueEntity> findAllByOrderByName();
}
