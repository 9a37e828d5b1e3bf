package mosaicknife.app.buy;

import java.time.LocalDate;
import java.util.List;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.repository.Repository;

interface PriceRepository extends Repository<PriceEntity, Long> {

  PriceEntity save(PriceEntity price);

  List<PriceEntity> findAllBySupplierIdAndValidOnGreaterThanEqual(long supplierId, LocalDate day);

  /** The newest price of each thing on offer since a day. */
  @NativeQuery(
      """
      select distinct on (supplier_id, species, form, state, from_mg, to_mg) *
        from price where valid_on >= :since
       order by supplier_id, species, form, state, from_mg, to_mg, valid_on desc
      """)
  List<PriceEntity> findNewestSince(LocalDate since);

  List<PriceEntity> findByWareSpeciesOrderByValidOnDescIdDesc(String species, Pageable page);

  long countByWareSpecies(String species);
}
