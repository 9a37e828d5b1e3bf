package mosaicknife.app.parts;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface DishRowRepository extends Repository<DishRow, Long> {

  Optional<DishRow> findById(long id);

  /** The dishes of a name that are served, that of a venue first. */
  @Query(
      """
      select d from DishRow d where lower(d.name) = lower(:name) and d.active = true
      order by case when d.venueId = :venue then 0 else 1 end, d.id
      """)
  List<DishRow> findNamed(String name, long venue);
}
