package mosaicknife.app.lot;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.house.Named;
import mosaicknife.app.shared.OnThisPage;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.Venue;
import mosaicknife.core.quantity.ExactMoney;
import org.springframework.stereotype.Component;

/** Puts lots together with their names and papers. */
@Component
class LotAssembler {

  private final LotPapers papers;
  private final CatalogueEditor catalogue;
  private final HouseSettings houses;
  private final PeopleRegister people;
  private final OnThisPage page;

  LotAssembler(
      LotPapers papers,
      CatalogueEditor catalogue,
      HouseSettings houses,
      PeopleRegister people,
      OnThisPage page) {
    this.papers = papers;
    this.catalogue = catalogue;
    this.houses = houses;
    this.people = people;
    this.page = page;
  }

  Lot toLot(LotEntity lot) {
    return toLots(List.of(lot)).get(0);
  }

  /** The lots, in the same order; those that are on the page already as they are there. */
  List<Lot> toLots(List<LotEntity> found) {
    return page.inOrder(Lot.class, found, LotEntity::id, this::assembled);
  }

  /** The lots of some numbers, of which those that are not on the page are looked for. */
  List<Lot> lots(Collection<Long> numbers, Function<List<Long>, List<LotEntity>> find) {
    return List.copyOf(
        page.each(Lot.class, numbers, missing -> assembled(find.apply(missing))).values());
  }

  private Map<Long, Lot> assembled(List<LotEntity> found) {
    Map<Long, String> suppliers = byId(houses.suppliers());
    Map<Long, String> venues = byId(houses.venues());
    Map<Long, String> names = people.names();
    Catalogue fish = catalogue.now();
    Map<Long, LotPapers.Papers> written = papers.of(found.stream().map(LotEntity::id).toList());
    Map<Long, Lot> lots = new HashMap<>();
    for (LotEntity lot : found) {
      LotPapers.Papers its = written.get(lot.id());
      lots.put(
          lot.id(),
          lot.toLot(
              fish.getSpecies(lot.species()),
              lot.supplierId().map(suppliers::get).orElse(""),
              new Venue(lot.venueId(), venues.get(lot.venueId())),
              names.get(lot.receivedBy()),
              its.inspection(),
              its.masses(),
              its.credit().orElseGet(() -> ExactMoney.zero(lot.currency())),
              its.raw(),
              its.cold()));
    }
    return lots;
  }

  private static Map<Long, String> byId(List<Named> rows) {
    return rows.stream().collect(Collectors.toMap(Named::id, Named::name));
  }
}
