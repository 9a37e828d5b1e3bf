package mosaicknife.app.buy;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.buy.PriceListReader.ReadList;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.house.Named;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.Paged;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.buying.Offer;
import mosaicknife.core.buying.Offer.Form;
import org.springframework.data.domain.PageRequest;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what suppliers ask: read from their lists, shown first, stored when confirmed. */
@Service
@Transactional
public class PriceKeeper {

  private static final int PAGE = 200;

  /** An older price is no offer any more. */
  private static final int OFFER_DAYS = 14;

  private static final int LONGEST_NAME = 80;
  private static final Duration PREVIEW_KEPT = Duration.ofDays(2);

  private final PriceRepository prices;
  private final PricePreviewRepository previews;
  private final CatalogueEditor catalogue;
  private final HouseSettings houses;
  private final CurrentPerson current;
  private final Clock clock;

  PriceKeeper(
      PriceRepository prices,
      PricePreviewRepository previews,
      CatalogueEditor catalogue,
      HouseSettings houses,
      CurrentPerson current,
      Clock clock) {
    this.prices = prices;
    this.previews = previews;
    this.catalogue = catalogue;
    this.houses = houses;
    this.current = current;
    this.clock = clock;
  }

  /**
   * Returns what is on offer: the newest price of each thing in the last two weeks.
   *
   * @return the offers; their identifier is the number of the price
   */
  @Transactional(readOnly = true)
  public List<Offer> offers() {
    Catalogue fish = catalogue.now();
    Map<Long, String> suppliers = suppliers();
    return prices.findNewestSince(houses.today().minusDays(OFFER_DAYS)).stream()
        .flatMap(price -> offer(price, fish, suppliers).stream())
        .toList();
  }

  private static Optional<Offer> offer(
      PriceEntity price, Catalogue fish, Map<Long, String> suppliers) {
    return fish.findSpecies(price.ware().species())
        .map(
            species ->
                new Offer(
                    "" + price.id(),
                    species,
                    price.ware().state(),
                    price.ware().grade(),
                    price.ware().form(),
                    price.ware().price(),
                    suppliers.get(price.supplierId())));
  }

  private Map<Long, String> suppliers() {
    return houses.suppliers().stream().collect(Collectors.toMap(Named::id, Named::name));
  }

  /** A list that was read, to be confirmed. */
  record Preview(UUID id, String supplier, LocalDate validOn, ReadList read) {}

  /** Reads a list and keeps it for a look; nothing of it counts yet. */
  @PreAuthorize("hasAuthority('BUY')")
  UUID look(String supplier, LocalDate validOn, String content) {
    if (validOn.isAfter(houses.today().plusDays(60))
        || validOn.isBefore(houses.today().minusYears(5))) {
      throw Refusal.ofField("validOn", "buy.problem.the-day-of-the-list");
    }
    reader().read(content);
    previews.deleteByReadAtBefore(clock.instant().minus(PREVIEW_KEPT));
    String named = PlainText.needed(supplier, LONGEST_NAME, "supplier", FieldName.SUPPLIER);
    return previews
        .save(new PricePreviewEntity(named, validOn, content, current.get().id(), clock.instant()))
        .id();
  }

  /** Returns a list that was read, anew against the catalogue as it is now. */
  @Transactional(readOnly = true)
  Preview preview(UUID id) {
    PricePreviewEntity kept = find(id);
    return new Preview(id, kept.supplier(), kept.validOn(), reader().read(kept.document()));
  }

  private PricePreviewEntity find(UUID id) {
    return previews
        .findById(id)
        .orElseThrow(() -> Refusal.ofMissing("buy.problem.this-list-was-confirmed-or"));
  }

  private PriceListReader reader() {
    return new PriceListReader(catalogue.now(), houses.house().formats(), houses.today());
  }

  /**
   * What confirming a list did.
   *
   * @param made how many prices are new
   * @param updated how many were there for that day and were updated
   */
  public record Confirmed(int made, int updated) {}

  /**
   * Reads a list and stores what is understood at once.
   *
   * @param supplier the name of the supplier
   * @param validOn the day of rows without a date
   * @param content the list as CSV
   * @return what was stored
   * @throws Refusal if the list is no table
   */
  @PreAuthorize("hasAuthority('BUY')")
  public Confirmed takeIn(String supplier, LocalDate validOn, String content) {
    return confirm(look(supplier, validOn, content));
  }

  /** Stores the rows that were understood; a row that was there that day is updated. */
  @PreAuthorize("hasAuthority('BUY')")
  Confirmed confirm(UUID id) {
    PricePreviewEntity kept = find(id);
    List<PriceLine> lines = reader().read(kept.document()).lines();
    long supplier = houses.addSupplier(kept.supplier()).id();
    Map<PriceKey, PriceEntity> there = there(supplier, kept, lines);
    Instant now = clock.instant();
    long person = current.get().id();
    int updated = 0;
    for (PriceLine line : lines) {
      LocalDate day = line.validOn().orElse(kept.validOn());
      PriceEntity known = there.get(PriceKey.of(line, day));
      if (known == null) {
        prices.save(new PriceEntity(supplier, line, day, person, now));
      } else {
        known.ask(line, person, now);
        updated++;
      }
    }
    previews.delete(kept);
    return new Confirmed(lines.size() - updated, updated);
  }

  /** What makes two prices of a supplier prices of the same thing on the same day. */
  private record PriceKey(String species, Form form, State state, SizeGrade grade, LocalDate day) {

    static PriceKey of(PriceLine line, LocalDate day) {
      return new PriceKey(line.species().code(), line.form(), line.state(), line.grade(), day);
    }

    static PriceKey of(PriceEntity price) {
      return new PriceKey(
          price.ware().species(),
          price.ware().form(),
          price.ware().state(),
          price.ware().grade(),
          price.validOn());
    }
  }

  private Map<PriceKey, PriceEntity> there(
      long supplier, PricePreviewEntity kept, List<PriceLine> lines) {
    LocalDate first =
        lines.stream()
            .map(line -> line.validOn().orElse(kept.validOn()))
            .min(LocalDate::compareTo)
            .orElse(kept.validOn());
    return prices.findAllBySupplierIdAndValidOnGreaterThanEqual(supplier, first).stream()
        .collect(Collectors.toMap(PriceKey::of, price -> price));
  }

  /** Drops a list that was read. */
  @PreAuthorize("hasAuthority('BUY')")
  void drop(UUID id) {
    previews.delete(find(id));
  }

  /** One price of the history. */
  record Past(LocalDate day, Offer offer) {}

  /** Returns a page of the prices of a fish, the newest first. */
  @Transactional(readOnly = true)
  Paged<Past> history(String species, int wanted) {
    Catalogue fish = catalogue.now();
    Map<Long, String> suppliers = suppliers();
    return Paged.of(
        prices.countByWareSpecies(species),
        wanted,
        PAGE,
        page ->
            prices
                .findByWareSpeciesOrderByValidOnDescIdDesc(species, PageRequest.of(page, PAGE))
                .stream()
                .flatMap(
                    price ->
                        offer(price, fish, suppliers)
                            .map(offer -> new Past(price.validOn(), offer))
                            .stream())
                .toList());
  }
}
