package mosaicknife.app.larder;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.larder.LarderKeeper.Input;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.shared.AskedOnce;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.cost.Carried;
import mosaicknife.core.cost.Outlay;
import mosaicknife.core.heat.Chilled;
import mosaicknife.core.larder.Entry;
import mosaicknife.core.larder.Item;
import mosaicknife.core.larder.LotMoney;
import mosaicknife.core.larder.LotMoney.Went;
import mosaicknife.core.larder.Trace;
import mosaicknife.core.larder.TraceMoney;
import mosaicknife.core.lot.Destination;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;
import mosaicknife.core.use.FishUse;
import mosaicknife.core.use.Hand;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads what lies on shelves, and where the money of lots is. */
@Service
@Transactional(readOnly = true)
public class LarderBook {

  private static final String BEFORE_CODE = "MK:";

  private final LarderItemRepository items;
  private final LarderEntryRepository entries;
  private final LarderSourceRepository sources;
  private final ChilledRepository colds;
  private final LotRegister lots;
  private final LotSheets sheets;
  private final HouseSettings houses;

  LarderBook(
      LarderItemRepository items,
      LarderEntryRepository entries,
      LarderSourceRepository sources,
      ChilledRepository colds,
      LotRegister lots,
      LotSheets sheets,
      HouseSettings houses) {
    this.items = items;
    this.entries = entries;
    this.sources = sources;
    this.colds = colds;
    this.lots = lots;
    this.sheets = sheets;
    this.houses = houses;
  }

  /**
   * Returns what lies on shelves.
   *
   * @return the items of which something is left, the one that lapses first first
   */
  @AskedOnce
  public List<Item> onShelves() {
    return fold(items.findOnShelves()).stream()
        .map(Kept::item)
        .filter(item -> !item.isGone())
        .sorted(Comparator.comparing(Item::useBy).thenComparing(item -> item.shelved().at()))
        .toList();
  }

  /**
   * Returns an item.
   *
   * @param code its code
   * @return the item, also if nothing is left of it
   * @throws Refusal if the house has none of that code
   */
  public Item get(String code) {
    return kept(code).item();
  }

  /**
   * Returns the code of an item.
   *
   * @param number its number in the database
   * @return the code
   */
  public String codeOf(long number) {
    return items.findAllByIdInOrderById(List.of(number)).get(0).code();
  }

  /** The item with its number. */
  Kept kept(String code) {
    return fold(List.of(
            items
                .findByCode(code)
                .orElseThrow(() -> Refusal.ofMissing("larder.problem.no-such-label", code))))
        .get(0);
  }

  /** The same, while nobody else changes it. */
  Kept locked(String code) {
    items.lock(code);
    return kept(code);
  }

  private List<Kept> fold(List<LarderItemEntity> found) {
    List<Long> ids = found.stream().map(LarderItemEntity::id).toList();
    Currency currency = houses.house().formats().currency();
    Map<Long, List<LarderEntryEntity>> entriesOf =
        entries.findAllByItemIdInOrderById(ids).stream()
            .collect(Collectors.groupingBy(LarderEntryEntity::itemId));
    List<LarderSourceEntity> all = sources.findAllByItemIdInOrderById(ids);
    Map<Long, Trace> in = new java.util.HashMap<>();
    Map<Long, Trace> out = new java.util.HashMap<>();
    for (LarderSourceEntity source : all) {
      if (source.entryId() == null) {
        in.merge(source.itemId(), source.toTrace(), Trace::plus);
      } else {
        out.merge(source.entryId(), source.toTrace(), Trace::plus);
      }
    }
    return found.stream()
        .map(
            item -> {
              List<Entry> happened = new ArrayList<>();
              for (LarderEntryEntity entry : entriesOf.getOrDefault(item.id(), List.of())) {
                happened.add(entry.toEntry(out.getOrDefault(entry.id(), Trace.NOTHING), currency));
              }
              Trace trace = in.getOrDefault(item.id(), Trace.NOTHING);
              return new Kept(item.id(), Item.of(item.toShelved(trace, currency), happened));
            })
        .toList();
  }

  /**
   * Reads a code as it was scanned or typed.
   *
   * @param typed the text of the square code, or the letters under it
   * @return the code
   * @throws Refusal if it is no code, or one of another house
   */
  public String read(String typed) {
    String text = typed == null ? "" : typed.strip().toUpperCase(Locale.ROOT);
    if (text.startsWith(BEFORE_CODE)) {
      String[] fields = text.split(":", -1);
      if (fields.length != 3 || !fields[1].equals(items.findMark())) {
        throw Refusal.ofField("code", "larder.problem.another-house");
      }
      text = fields[2];
    }
    String code = text.replace('O', '0').replace('I', '1').replace('L', '1');
    if (!code.matches("[0-9A-HJKMNP-TV-Z]{5}")) {
      throw Refusal.ofField("code", "larder.problem.no-code");
    }
    return code;
  }

  /** What the square code of an item says. */
  String square(String code) {
    return BEFORE_CODE + items.findMark() + ":" + code;
  }

  /**
   * Returns where the money of lots is.
   *
   * @param wanted the numbers of the lots
   * @return the money by lot
   */
  public Map<Long, LotMoney> money(Collection<Long> wanted) {
    return moneyOf(sheets.of(lots.all(wanted)));
  }

  /**
   * Returns where the money of lots is whose sheets are at hand.
   *
   * @param of the lots
   * @return the money by lot
   */
  public Map<Long, LotMoney> moneyOf(List<LotSheet> of) {
    Map<Long, List<Went>> went = went(of);
    return of.stream()
        .collect(
            Collectors.toMap(
                sheet -> sheet.lot().id(),
                sheet -> LotMoney.of(sheet, went.getOrDefault(sheet.lot().id(), List.of()))));
  }

  /**
   * Returns where grams of lots went by way of a shelf.
   *
   * @param of the lots
   * @return what went where, by lot
   */
  public Map<Long, List<Went>> went(List<LotSheet> of) {
    return sources.findAllByLotIdInOrderById(of.stream().map(s -> s.lot().id()).toList()).stream()
        .collect(
            Collectors.groupingBy(
                LarderSourceEntity::lotId,
                Collectors.collectingAndThen(Collectors.toList(), LarderBook::net)));
  }

  /** Where the grams of a lot are now: what went out of an item is no longer in it. */
  private static List<Went> net(List<LarderSourceEntity> sources) {
    List<Went> all = new ArrayList<>();
    sources.stream()
        .collect(Collectors.groupingBy(LarderSourceEntity::slot))
        .forEach(
            (slot, of) -> {
              long shelf = 0;
              for (LarderSourceEntity one : of) {
                shelf += (one.direction().isIn() ? 1 : -1) * one.mass().milligrams();
                if (one.direction().place() != LotMoney.Place.SHELF) {
                  all.add(new Went(slot, one.direction().place(), one.mass()));
                }
              }
              if (shelf > 0) {
                all.add(new Went(slot, LotMoney.Place.SHELF, Mass.ofMilligrams(shelf)));
              }
            });
    return all;
  }

  /**
   * A reading by which something is cold.
   *
   * @param chilled the reading
   * @param by the number of who read it
   */
  public record Read(Chilled chilled, long by) {}

  /**
   * Returns by which readings something on a shelf is cold that came hot and not from a pot.
   *
   * @param code its code
   * @return the readings, the first first
   */
  public List<Read> chilled(String code) {
    return colds.findAllByItemIdOrderById(kept(code).id()).stream()
        .map(one -> new Read(one.toChilled(), one.readBy()))
        .toList();
  }

  /**
   * Returns what the grams in items carry.
   *
   * @param of the items
   * @return the money of their lots
   */
  public TraceMoney moneyIn(List<Item> of) {
    Set<Long> wanted = new TreeSet<>();
    of.forEach(item -> wanted.addAll(item.shelved().trace().lots()));
    return new TraceMoney(money(wanted), houses.house().formats().currency());
  }

  /**
   * What parts and items carry together.
   *
   * @param sum what they carry
   * @param mass what they weigh at the bench
   * @param open how much of that carries nothing yet
   */
  public record Carrying(Carried sum, Mass mass, Mass open) {}

  /**
   * Returns what parts and items carry when something is made of them.
   *
   * @param of some of each; of an item at most what is left of it
   * @param use what is made; a part that nobody decided about is then for that
   * @return their lots' cost, and what was laid out for the items
   */
  public Carrying carried(Collection<Input> of, FishUse use) {
    Currency currency = houses.house().formats().currency();
    Trace trace = Trace.NOTHING;
    Outlay beside = Outlay.none(currency);
    for (Input input : of) {
      if (input.label().isEmpty()) {
        trace = trace.plus(Trace.of(input.of().lot(), input.of().slot(), input.mass()));
        continue;
      }
      Item item = get(input.label().get());
      Mass some = item.mass().compareTo(input.mass()) < 0 ? item.mass() : input.mass();
      if (some.isPositive()) {
        Entry.Taken part = item.taking(some, Entry.Out.MADE_INTO, "", item.shelved().at());
        trace = trace.plus(part.trace());
        beside = beside.plus(part.beside());
      }
    }
    Optional<UnitPrice> worth = Hand.value(use, currency);
    List<LotSheet> decided = new ArrayList<>();
    Destination there = new Destination.ToUse(use.code(), use.name());
    for (LotSheet asItIs : sheets.of(lots.all(trace.lots()))) {
      LotSheet sheet = asItIs;
      for (Trace.Source source : trace.grams().keySet()) {
        if (source.lot() == sheet.lot().id()) {
          sheet = sheet.deciding(source.slot(), use.purpose(), there, worth);
        }
      }
      decided.add(sheet);
    }
    TraceMoney money = new TraceMoney(moneyOf(decided), currency);
    return new Carrying(money.of(trace, beside), trace.mass(), money.open(trace));
  }

  /**
   * Returns whether the skin is still on something: nothing of its lots is skinned.
   *
   * @param item the item
   * @return true if no skin is a part of its own there
   */
  public boolean isSkinOn(Item item) {
    return sheets.of(lots.all(item.shelved().trace().lots())).stream()
        .flatMap(sheet -> sheet.parts().stream())
        .noneMatch(part -> part.kind().is(PartKind.Trait.SKIN));
  }

  /**
   * Returns the lots in items.
   *
   * @param of the items
   * @return the lots by number
   */
  public Map<Long, Lot> lotsOf(Collection<Item> of) {
    Set<Long> wanted = new TreeSet<>();
    of.forEach(item -> wanted.addAll(item.shelved().trace().lots()));
    return lots.all(wanted).stream().collect(Collectors.toMap(Lot::id, Function.identity()));
  }
}
