package mosaicknife.app.homes;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.larder.LarderBook;
import mosaicknife.app.larder.LarderKeeper.Input;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.parts.PreWorkTicker;
import mosaicknife.app.shared.AskedOnce;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.larder.Item;
import mosaicknife.core.larder.ShelfHand;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.plan.PreWork;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.use.Cavity;
import mosaicknife.core.use.FishUse;
import mosaicknife.core.use.Hand;
import mosaicknife.core.use.HandId;
import mosaicknife.core.use.OnHand;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Gathers the parts on hand: at the board, still to come, and on shelves. */
@Service
@Transactional(readOnly = true)
public class HandReader {

  private static final int LATELY_DAYS = 7;

  private final LotRegister lots;
  private final LotSheets sheets;
  private final PreWorkTicker works;
  private final MakingBook makings;
  private final UseBook book;
  private final LarderBook shelves;
  private final HouseSettings houses;

  HandReader(
      LotRegister lots,
      LotSheets sheets,
      PreWorkTicker works,
      MakingBook makings,
      UseBook book,
      LarderBook shelves,
      HouseSettings houses) {
    this.lots = lots;
    this.sheets = sheets;
    this.works = works;
    this.makings = makings;
    this.book = book;
    this.shelves = shelves;
    this.houses = houses;
  }

  /**
   * Returns the parts that wait for a use.
   *
   * @return the parts without what something is to be made of already
   */
  @AskedOnce
  public List<OnHand> waiting() {
    return parts(promised(makings.toMake()));
  }

  /**
   * Returns the same with what something is to be made of.
   *
   * @return all parts
   */
  public List<OnHand> all() {
    return parts(Map.of());
  }

  private static Map<HandId, Mass> promised(List<ToMake> open) {
    return open.stream()
        .flatMap(one -> one.from().stream())
        .collect(Collectors.toMap(Input::of, Input::mass, Mass::plus));
  }

  /** What is promised of the parts of a lot at the board, by slot. */
  private static Map<String, Mass> of(Map<HandId, Mass> promised, long lot) {
    Map<String, Mass> slots = new HashMap<>();
    promised.forEach(
        (id, mass) -> {
          if (id instanceof HandId.Cut cut && cut.lot() == lot) {
            slots.put(cut.slot(), mass);
          }
        });
    return slots;
  }

  /** What is promised of an item. */
  private static Mass of(Map<HandId, Mass> promised, String label) {
    return Mass.total(
        promised.entrySet().stream()
            .filter(one -> one.getKey() instanceof HandId.Kept kept && kept.label().equals(label))
            .map(Map.Entry::getValue)
            .toList());
  }

  /** The lots of the last days, open or closed. */
  private List<Lot> lately() {
    LocalDate since = houses.today().minusDays(LATELY_DAYS);
    // what landed since then was received since then
    return lots.since(since.atStartOfDay(houses.house().formats().zone()).toInstant()).stream()
        .filter(lot -> !lot.landedOn().isBefore(since))
        .toList();
  }

  /**
   * A lot whose fish are kept whole, with the room inside one of them.
   *
   * @param lot the lot
   * @param cavity the room
   */
  public record Filled(Lot lot, Cavity cavity) {}

  /**
   * Returns which fish can be filled.
   *
   * @return the open lots whose fish are kept whole
   */
  @Transactional(readOnly = true)
  public List<Filled> filled() {
    List<Filled> filled = new ArrayList<>();
    for (LotSheet sheet : sheets.of(lots.open())) {
      Cavity.of(sheet).ifPresent(room -> filled.add(new Filled(sheet.lot(), room)));
    }
    return filled;
  }

  /**
   * A lot of the last days with what it missed.
   *
   * @param sheet the lot
   * @param missed parts that had a use and went to compost or bin
   */
  public record Looked(LotSheet sheet, List<Hand.Missed> missed) {}

  /**
   * Returns the lots of the last days with what they missed.
   *
   * @return the lots
   */
  @Transactional(readOnly = true)
  public List<Looked> looked() {
    List<Lot> wanted = lately();
    Map<Long, Set<PreWork.Task>> done = works.done(wanted.stream().map(Lot::id).toList());
    Collection<FishUse> uses = book.uses().values();
    return sheets.of(wanted).stream()
        .map(
            sheet ->
                new Looked(
                    sheet,
                    Hand.missed(
                        sheet,
                        0,
                        done.getOrDefault(sheet.lot().id(), Set.of()),
                        uses,
                        houses.house().labourPerHour(),
                        houses.today())))
        .toList();
  }

  private List<OnHand> parts(Map<HandId, Mass> promised) {
    List<Lot> wanted = lately();
    Collection<Long> ids = wanted.stream().map(Lot::id).toList();
    Map<Long, Set<PreWork.Task>> done = works.done(ids);
    Stream<OnHand> cut =
        sheets.of(wanted).stream()
            .flatMap(
                sheet ->
                    Hand.of(
                        sheet,
                        sheet.lot().venue().id(),
                        done.getOrDefault(sheet.lot().id(), Set.of()),
                        of(promised, sheet.lot().id()),
                        houses.today())
                        .stream());
    return Stream.concat(cut, onShelves(promised)).toList();
  }

  /** Parts as they were cut that lie on shelves. */
  private Stream<OnHand> onShelves(Map<HandId, Mass> promised) {
    List<Item> items =
        shelves.onShelves().stream()
            .filter(item -> ShelfHand.mayWait(item, houses.today()))
            .toList();
    List<Long> ids = items.stream().flatMap(item -> item.trace().lots().stream()).toList();
    Map<Long, Set<PreWork.Task>> done = works.done(ids);
    Map<Long, LotSheet> of =
        sheets.of(lots.all(ids)).stream()
            .collect(Collectors.toMap(sheet -> sheet.lot().id(), sheet -> sheet));
    return items.stream()
        .flatMap(
            item -> {
              long lot = item.trace().lots().iterator().next();
              Mass gone = of(promised, item.shelved().code());
              return ShelfHand.of(
                  item, of.get(lot), done.getOrDefault(lot, Set.of()), gone, houses.today())
                  .stream();
            });
  }
}
