package mosaicknife.app.house;

import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface HouseRepository extends Repository<HouseEntity, Short> {

  HouseEntity save(HouseEntity house);

  Optional<HouseEntity> findById(Short id);

  /** Whether an amount of money is written down anywhere: with a lot, an offer or an order. */
  @Query(
      value =
          "select exists (select 1 from lot) or exists (select 1 from price)"
              + " or exists (select 1 from purchase_order)",
      nativeQuery = true)
  boolean hasPrices();
}
