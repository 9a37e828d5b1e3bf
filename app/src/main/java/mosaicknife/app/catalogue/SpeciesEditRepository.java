package mosaicknife.app.catalogue;

import java.util.List;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.repository.Repository;

interface SpeciesEditRepository extends Repository<SpeciesEditEntity, Long> {

  SpeciesEditEntity saveAndFlush(SpeciesEditEntity edit);

  /** The newest edit of each fish. */
  @NativeQuery("select distinct on (code) * from species_edit order by code, id desc")
  List<SpeciesEditEntity> findNewest();

  List<SpeciesEditEntity> findAllByCodeOrderByIdDesc(String code);

  @NativeQuery("select coalesce(max(id), 0) from species_edit")
  long findLastId();

  /** How many lots, dishes, prices and order lines name a fish. */
  @NativeQuery(
      """
      select (select count(*) from lot where species = :code)
           + (select count(*) from dish_fish where species = :code)
           + (select count(*) from order_line where species = :code)
      """)
  long countUses(String code);
}
