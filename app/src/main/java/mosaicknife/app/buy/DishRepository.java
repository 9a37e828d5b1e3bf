package mosaicknife.app.buy;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface DishRepository extends Repository<DishEntity, Long> {

  DishEntity saveAndFlush(DishEntity dish);

  Optional<DishEntity> findById(long id);

  List<DishEntity> findAllByActiveTrueOrderByName();

  boolean existsByNameIgnoreCaseAndVenueIdAndActiveTrue(String name, long venueId);
}
