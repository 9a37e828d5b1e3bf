package mosaicknife.core.larder;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.cost.CostingMethod;
import mosaicknife.core.cost.Outlay;
import mosaicknife.core.larder.Entry.Out;
import mosaicknife.core.larder.LotMoney.Place;
import mosaicknife.core.larder.LotMoney.Went;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.lot.OnShelf;
import mosaicknife.core.lot.TestLot;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.Money;
import mosaicknife.core.quantity.UnitPrice;
import mosaicknife.core.safety.FoodState;
import org.testng.annotations.Test;

/** The money of lots while their parts lie on shelves, are made into others, eaten and thrown. */
public class LarderMoneyTest {

  private static final LocalDate TODAY = TestLot.TODAY;
  private static final Instant NOON = TestLot.NOON;
  private static final int DAYS = 300;
  private static final ExactMoney NOTHING = ExactMoney.zero(TestLot.EUR);
  private static final Optional<UnitPrice> THREE =
      Optional.of(UnitPrice.ofPerKilogram("3.00", TestLot.EUR));

  private static Shelved shelved(String code, Trace trace, Mass mass) {
    return new Shelved(
        code,
        code,
        Optional.empty(),
        trace,
        mass,
        0,
        Outlay.none(TestLot.EUR),
        Set.of(),
        new Shelved.Traits(false, false, false),
        TODAY,
        TODAY.plusDays(3),
        TODAY.plusDays(3),
        FoodState.RAW,
        new Shelved.Spot(1, "walk-in, left", 1),
        NOON);
  }

  /** A hake of 50.00: fillets 1.200 and 1.100 kg, frame .600, head .900, the rest at the scale. */
  private static TestLot hake() {
    return new TestLot("hake", State.GUTTED, 1, "5.000", "")
        .weigh("fillet-left", 0, 1200)
        .weigh("fillet-right", 0, 1100)
        .weigh("frame", 0, 600)
        .weigh("head", 0, 900)
        .decide(Purpose.PLATE, "fillet-left", "fillet-right")
        .decide(Purpose.POT, "frame", "head");
  }

  private static LotMoney money(TestLot lot, Went... went) {
    return LotMoney.of(lot.sheet(), List.of(went));
  }

  private static Money euros(long cents) {
    return Money.ofMinor(cents, TestLot.EUR);
  }

  @Test
  public void aFilletInTheLarderCarriesItsGramsUntilItIsEaten() {
    TestLot lot = hake().decide(Purpose.HOLD, "fillet-right").finish();
    Mass right = Mass.ofGrams(1100);
    LotMoney shelf = money(lot, new Went("fillet-right", Place.SHELF, right));
    // 50.00 over 2.300 kg of fillet: 26.0870 and 23.9130
    assertEquals(shelf.places().get(Place.SHELF), euros(2391));
    assertEquals(shelf.places().get(Place.EATEN), euros(2609));
    LotMoney half =
        money(
            lot,
            new Went("fillet-right", Place.SHELF, Mass.ofGrams(550)),
            new Went("fillet-right", Place.EATEN, Mass.ofGrams(330)),
            new Went("fillet-right", Place.WASTE, Mass.ofGrams(220)));
    assertEquals(half.places().get(Place.SHELF), euros(1196));
    assertEquals(half.places().get(Place.WASTE), euros(478));
    assertEquals(half.places().get(Place.EATEN), euros(3326));
    assertEquals(
        half.carried("fillet-right", Mass.ofGrams(110)).rounded(java.math.RoundingMode.HALF_UP),
        euros(239));
  }

  @Test
  public void bonesEarnTheirCreditWithTheGramsThatWereReallyUsed() {
    TestLot lot =
        hake()
            .by(CostingMethod.BY_PRODUCT_CREDIT)
            .shelve("frame", THREE, new OnShelf(Mass.ofGrams(600), Mass.ZERO));
    LotSheet waiting = lot.sheet();
    assertEquals(
        waiting.costs(CostingMethod.BY_PRODUCT_CREDIT).orElseThrow().costing().credit(),
        NOTHING,
        "never by hope");
    lot.shelve("frame", THREE, new OnShelf(Mass.ofGrams(600), Mass.ofGrams(400)));
    assertEquals(
        lot.sheet().costs(CostingMethod.BY_PRODUCT_CREDIT).orElseThrow().costing().credit(),
        ExactMoney.of("1.20", TestLot.EUR),
        "400 g at 3.00");
  }

  @Test
  public void compostIsNeverUsedAndWhatIsEatenFromAShelfIsEaten() {
    LotSheet sheet =
        hake()
            .weigh("gills", 0, 60)
            .decide(Purpose.HOLD, "fillet-right")
            .decide(Purpose.COMPOST, "gills", "head")
            .sheet();
    Diversion went =
        Diversion.of(
            sheet,
            List.of(
                new Went("fillet-right", Place.SHELF, Mass.ofGrams(400)),
                new Went("fillet-right", Place.EATEN, Mass.ofGrams(600)),
                new Went("fillet-right", Place.WASTE, Mass.ofGrams(100)),
                new Went("frame", Place.EATEN, Mass.ofGrams(500))));
    assertEquals(went.of(Diversion.Way.EATEN), Mass.ofGrams(1800), "1.200 and 0.600 kg");
    assertEquals(went.of(Diversion.Way.HELD), Mass.ofGrams(400));
    assertEquals(went.of(Diversion.Way.POT), Mass.ofGrams(600), "100 g as decided, 500 g eaten");
    assertEquals(went.of(Diversion.Way.COMPOSTED), Mass.ofGrams(960));
    assertEquals(went.of(Diversion.Way.BINNED), Mass.ofGrams(100));
    assertEquals(went.irreducible(), Mass.ofGrams(60), "the gills; the head had uses");
    assertEquals(went.wasted(), Mass.ofGrams(1000), "the head, and 100 g of a fillet");
    assertEquals(went.whole(), Mass.ofGrams(3860));
  }

  @Test
  public void untilAMainIsWeighedTheMoneyLiesAtTheBoard() {
    TestLot lot = new TestLot("hake", State.GUTTED, 1, "5.000", "").weigh("head", 0, 900);
    assertEquals(money(lot).places(), Map.of(Place.BOARD, euros(5000)));
  }

  /** One lot of the day with what happened to its grams, kept beside the items by hand. */
  private static final class Day {
    final TestLot lot;
    final long number;
    final List<String> slots;
    final Map<String, Mass> weighed = new HashMap<>();
    final Map<String, Map<Place, Mass>> went = new HashMap<>();

    Day(TestLot lot, long number, List<String> slots) {
      this.lot = lot;
      this.number = number;
      this.slots = slots;
    }

    void move(String slot, Place from, Place to, Mass mass) {
      Map<Place, Mass> of = went.computeIfAbsent(slot, key -> new HashMap<>());
      if (from != Place.BOARD) {
        of.merge(from, mass, Mass::minus);
      }
      of.merge(to, mass, Mass::plus);
    }

    List<Went> went() {
      List<Went> all = new ArrayList<>();
      went.forEach(
          (slot, of) ->
              of.forEach(
                  (place, mass) -> {
                    if (mass.isPositive()) {
                      all.add(new Went(slot, place, mass));
                    }
                  }));
      return all;
    }
  }

  private static Day random(Random random, long number) {
    int fillet = 700 + random.nextInt(600);
    TestLot lot =
        new TestLot("hake", State.GUTTED, 1, "5.%03d".formatted(random.nextInt(1000)), "");
    Day day =
        new Day(lot, number, List.of("fillet-left", "fillet-right", "frame", "head", "belly"));
    for (String slot : day.slots) {
      int grams =
          slot.startsWith("fillet") ? fillet + random.nextInt(90) : 150 + random.nextInt(500);
      lot.weigh(slot, 0, grams);
      day.weighed.put(slot, Mass.ofGrams(grams));
    }
    lot.decide(Purpose.PLATE, "fillet-left");
    lot.decide(random.nextBoolean() ? Purpose.PLATE : Purpose.HOLD, "fillet-right");
    lot.decide(random.nextBoolean() ? Purpose.POT : Purpose.COMPOST, "frame", "head");
    lot.decide(Purpose.SECOND_PLATE, "belly");
    lot.shelve("frame", THREE, OnShelf.NOTHING).shelve("belly", THREE, OnShelf.NOTHING);
    List<CostingMethod> methods =
        List.of(
            CostingMethod.ALL_ON_THE_MAINS,
            CostingMethod.BY_PRODUCT_CREDIT,
            CostingMethod.BY_WEIGHT);
    lot.by(methods.get(random.nextInt(methods.size())));
    return day;
  }

  @Test
  public void overRandomDaysTheMoneyIsTheInvoiceAtEveryMoment() {
    for (int seed = 0; seed < DAYS; seed++) {
      Random random = new Random(seed);
      List<Day> lots = List.of(random(random, 1), random(random, 2));
      List<Item> shelf = new ArrayList<>();
      for (int step = 0; step < 8; step++) {
        step(random, lots, shelf);
        for (Day day : lots) {
          LotMoney money = LotMoney.of(day.lot.sheet(), day.went());
          Money sum =
              money.places().values().stream()
                  .reduce(euros(0), (a, b) -> euros(a.minorUnits() + b.minorUnits()));
          assertEquals(
              sum, money.total().rounded(java.math.RoundingMode.HALF_UP), "day %d".formatted(seed));
          for (String slot : day.slots) {
            Mass onShelf =
                Mass.total(
                    shelf.stream()
                        .map(item -> item.trace().grams().get(new Trace.Source(day.number, slot)))
                        .filter(java.util.Objects::nonNull)
                        .toList());
            assertEquals(
                onShelf,
                day.went.getOrDefault(slot, Map.of()).getOrDefault(Place.SHELF, Mass.ZERO),
                "no gram is lost or doubled");
          }
        }
      }
      if (random.nextBoolean()) {
        lots.forEach(day -> day.lot.finish());
      }
    }
  }

  private static void step(Random random, List<Day> lots, List<Item> shelf) {
    int what = random.nextInt(4);
    if (what == 0 || shelf.isEmpty()) {
      put(random, lots, shelf);
      return;
    }
    int which = random.nextInt(shelf.size());
    Item item = shelf.get(which);
    if (item.isGone()) {
      return;
    }
    if (what == 1) {
      Mass drier = Mass.ofMilligrams(Math.max(1, item.mass().milligrams() * 9 / 10));
      shelf.set(which, after(item, new Entry.Weighed(drier, Mass.ZERO, "", NOON)));
      return;
    }
    boolean all = random.nextBoolean();
    Mass some =
        all ? item.mass() : Mass.ofMilligrams(1 + random.nextInt((int) item.mass().milligrams()));
    Out out = Out.values()[random.nextInt(Out.values().length)];
    Entry.Taken taken = item.taking(some, out, "why", NOON);
    shelf.set(which, after(item, taken));
    if (out == Out.MADE_INTO && taken.trace().mass().isPositive()) {
      shelf.add(Item.of(shelved("made" + shelf.size(), taken.trace(), some), List.of()));
      return;
    }
    Place to =
        switch (out) {
          case EATEN -> Place.EATEN;
          case SOLD -> Place.SOLD;
          default -> Place.WASTE;
        };
    taken
        .trace()
        .grams()
        .forEach(
            (source, mass) ->
                lots.get((int) source.lot() - 1).move(source.slot(), Place.SHELF, to, mass));
  }

  private static void put(Random random, List<Day> lots, List<Item> shelf) {
    Day day = lots.get(random.nextInt(lots.size()));
    String slot = day.slots.get(random.nextInt(day.slots.size()));
    Mass there = Mass.total(List.copyOf(day.went.getOrDefault(slot, Map.of()).values()));
    Mass left = day.weighed.get(slot).minus(there);
    if (!left.isPositive()) {
      return;
    }
    Mass some = Mass.ofMilligrams(1 + random.nextInt((int) left.milligrams()));
    day.move(slot, Place.BOARD, Place.SHELF, some);
    shelf.add(
        Item.of(shelved("item" + shelf.size(), Trace.of(day.number, slot, some), some), List.of()));
  }

  private static Item after(Item item, Entry entry) {
    List<Entry> entries = new ArrayList<>(item.entries());
    entries.add(entry);
    return Item.of(item.shelved(), entries);
  }

  @Test
  public void theLastOfItTakesAllThatIsLeft() {
    Item item =
        Item.of(
            shelved("a", Trace.of(1, "trim", Mass.ofGrams(1000)), Mass.ofGrams(900)), List.of());
    for (int i = 0; i < 3; i++) {
      item = after(item, item.taking(Mass.ofMilligrams(133_333), Out.EATEN, "", NOON));
    }
    Entry.Taken last = item.taking(item.mass(), Out.EATEN, "", NOON);
    assertTrue(after(item, last).isGone());
    assertEquals(after(item, last).trace(), Trace.NOTHING);
    assertEquals(last.trace().mass(), item.trace().mass());
  }
}
