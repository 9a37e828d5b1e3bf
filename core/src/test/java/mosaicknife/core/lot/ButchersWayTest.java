package mosaicknife.core.lot;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.Balance.Verdict;
import mosaicknife.core.buying.Counts;
import mosaicknife.core.cost.CostSheet;
import mosaicknife.core.plan.Choices;
import mosaicknife.core.plan.CutPlan;
import mosaicknife.core.plan.CuttingOption;
import mosaicknife.core.plan.CuttingOptions;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.portion.Serving.Form;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What the butcher does and the plan did not say: parts left on others, pieces, unequal fish. */
public class ButchersWayTest {

  private static final Catalogue CATALOGUE = Catalogue.shipped();

  private static TestLot hake() {
    return new TestLot("hake", State.GUTTED, 1, "4.860", "");
  }

  private static Mass expected(LotSheet sheet, String slot) {
    return sheet.find(slot).flatMap(LotPart::expected).orElse(Mass.ZERO);
  }

  @Test
  public void aPartThatStaysOnAnotherIsExpectedThereBeforeAnythingIsJudged() {
    LotSheet apart = hake().sheet();
    LotSheet sheet = hake().stay("fins", "frame").stay("collar", "head").sheet();
    assertEquals(expected(sheet, "frame"), expected(apart, "frame").plus(expected(apart, "fins")));
    assertEquals(expected(sheet, "head"), expected(apart, "head").plus(expected(apart, "collar")));
    assertEquals(expected(sheet, "fins"), Mass.ZERO);
    assertEquals(sheet.weights(), 6);
    assertEquals(sheet.next(1).orElseThrow().slot(), "gills", "nobody asks for the fins");
    LotPart frame = sheet.find("frame").orElseThrow();
    assertEquals(sheet.stayingOn(frame).stream().map(LotPart::slot).toList(), List.of("fins"));

    // 119 g of fins on a frame of 626 g, 227 g of collar on a head of 1015 g: it adds up
    LotSheet weighed =
        hake()
            .stay("fins", "frame")
            .stay("collar", "head")
            .weigh("gills", 1, 65)
            .weigh("head", 1, 1242)
            .weigh("fillet-left", 1, 1310)
            .weigh("fillet-right", 1, 1300)
            .weigh("belly", 1, 184)
            .weigh("frame", 1, 745)
            .sheet();
    assertEquals(weighed.balance().verdict(), Verdict.CLOSED);
    assertEquals(weighed.balance().remainder(), Mass.ofGrams(14));
    assertTrue(Tally.search(weighed, Map.of()).isEmpty(), "nothing was forgotten");

    // 745 g as 119 g to 626 g of frame are to each other by the norm
    Mass fins = weighed.shareOf(weighed.find("fins").orElseThrow()).orElseThrow();
    assertEquals(fins.milligrams() / 745e3, 119 / 745.0, 0.002);
    assertTrue(sheet.shareOf(sheet.find("fins").orElseThrow()).isEmpty(), "not weighed yet");
    assertTrue(weighed.shareOf(frame).isEmpty(), "the frame is what the rest stays on");
  }

  @Test
  public void aPartStaysOnWhatStaysOnAnotherAndACircleIsNoPlace() {
    LotSheet apart = hake().sheet();
    LotSheet sheet = hake().stay("fins", "head").stay("head", "frame").sheet();
    assertEquals(
        expected(sheet, "frame"),
        expected(apart, "frame").plus(expected(apart, "fins")).plus(expected(apart, "head")));
    LotSheet circle = hake().stay("fins", "frame").stay("frame", "fins").sheet();
    assertEquals(
        circle.plan().parts().stream().map(p -> p.mass().milligrams()).reduce(0L, Long::sum),
        apart.plan().parts().stream().map(p -> p.mass().milligrams()).reduce(0L, Long::sum));
    assertThrows(
        IllegalArgumentException.class,
        () ->
            new Part(
                1,
                "fins",
                1,
                "Fins",
                kind("fins"),
                Optional.empty(),
                true,
                false,
                Optional.of("frame"),
                Optional.empty(),
                false,
                Optional.empty(),
                Optional.empty(),
                Destination.OPEN,
                Optional.empty(),
                Optional.empty(),
                OnShelf.NOTHING,
                0));
  }

  private static PartKind kind(String code) {
    return CATALOGUE.findKind(code).orElseThrow();
  }

  @Test
  public void whatIsCutFromAPartFollowsItBeforeTheNextOne() {
    LotSheet sheet =
        hake()
            .cutFrom("fillet-left", "tail-left", "fillet-left", false)
            .weigh("fillet-left", 1, 1310)
            .sheet();
    List<String> order = sheet.parts().stream().map(LotPart::slot).toList();
    assertEquals(order.indexOf("tail-left"), order.indexOf("fillet-left") + 1);
    assertEquals(sheet.next(1).orElseThrow().slot(), "tail-left");
    assertEquals(
        sheet.cutBefore(sheet.find("fillet-right").orElseThrow()),
        List.of(),
        "not on the scale yet");
    sheet =
        hake()
            .cutFrom("fillet-left", "tail-left", "fillet-left", false)
            .weigh("fillet-left", 1, 1310)
            .weigh("fillet-right", 1, 1300)
            .sheet();
    LotPart right = sheet.find("fillet-right").orElseThrow();
    assertEquals(
        sheet.cutBefore(right).stream().map(LotPart::slot).toList(), List.of("fillet-left"));
    assertEquals(sheet.cutBefore(sheet.find("fillet-left").orElseThrow()), List.of());
    assertEquals(sheet.cutBefore(sheet.find("head").orElseThrow()), List.of());
  }

  @Test
  public void aWeightOnTheWrongRowCanOnlyGoWhereNoneIs() {
    LotSheet sheet = hake().weigh("head", 1, 1310).weigh("gills", 1, 65).sheet();
    List<String> instead =
        sheet.mayBeInstead(sheet.find("head").orElseThrow(), 1).stream()
            .map(LotPart::slot)
            .toList();
    assertEquals(
        instead, List.of("fins", "collar", "fillet-left", "fillet-right", "belly", "frame"));
    assertEquals(sheet.mayBeInstead(sheet.find("frame").orElseThrow(), 1), List.of());
    assertEquals(sheet.mayStayOn(sheet.find("head").orElseThrow()), List.of(), "it is weighed");
    assertEquals(sheet.mayStayOn(sheet.find("fins").orElseThrow()).size(), 7);
  }

  /** 4.860 kg at 10.00 on one fillet of 1.310 kg would be 37.10 a kilogram, which nobody pays. */
  @Test
  public void aFishOfWhichOneSideIsWeighedShowsNoCost() {
    TestLot lot = hake().weigh("fillet-left", 1, 1310).decide(Purpose.PLATE, "fillet-left");
    LotSheet half = lot.sheet();
    assertEquals(half.mainsToCome().stream().map(LotPart::slot).toList(), List.of("fillet-right"));
    assertEquals(half.costs(half.lot().costingMethod()), Optional.empty());
    assertEquals(half.plate(ExactMoney.of("24", TestLot.EUR)), Optional.empty());
    assertFalse(half.isDone(Station.COST));
    LotSheet both =
        lot.weigh("fillet-right", 1, 1300).decide(Purpose.PLATE, "fillet-right").sheet();
    assertEquals(both.mainsToCome(), List.of());
    assertTrue(both.costs(both.lot().costingMethod()).isPresent());
    assertTrue(both.isDone(Station.COST));
    // what goes to the hold is no main cut of tonight
    LotSheet held =
        hake()
            .weigh("fillet-left", 1, 1310)
            .decide(Purpose.PLATE, "fillet-left")
            .decide(Purpose.POT, "fillet-right")
            .sheet();
    assertEquals(held.mainsToCome(), List.of());
  }

  @Test
  public void aPartOffersAFewPiecesAndNotEveryKindThereIs() {
    for (String from : List.of("fillet", "loin", "head", "belly", "frame", "guts")) {
      List<PartKind> pieces = CATALOGUE.cutFrom(kind(from));
      assertTrue(!pieces.isEmpty() && pieces.size() <= 12, from + ": " + pieces.size());
    }
    List<String> ofLoin = CATALOGUE.cutFrom(kind("loin")).stream().map(PartKind::code).toList();
    assertTrue(
        ofLoin.containsAll(List.of("eye-of-loin", "inner-strip", "back-strip", "tail-piece")),
        ofLoin.toString());
    assertTrue(ofLoin.containsAll(List.of("belly", "bone-in-rib", "skin", "trim")));
    assertFalse(ofLoin.contains("fillet") || ofLoin.contains("guts"), ofLoin.toString());
    assertEquals(
        CATALOGUE.cutFrom(kind("head")).stream().map(PartKind::code).toList(),
        List.of("half-head", "cheek", "tongue", "throat", "head-meat", "lips", "eyes"));
    assertEquals(CATALOGUE.cutFrom(kind("gills")), List.of());
  }

  /**
   * Of 520, 560, 600 and 1400 g only the last gives a fillet of a portion: twice 150 g, no more.
   * The mean of 770 g would promise eight.
   */
  @Test
  public void unequalFishAreCountedOneByOne() {
    TestLot lot =
        new TestLot("gurnard", State.GUTTED, 4, "3.080", "")
            .each("0.520", "0.560", "0.600", "1.400");
    LotSheet sheet = lot.portion("130").sheet();
    double side =
        expected(sheet, "fillet-left").milligrams() / (double) Mass.ofGrams(3080).milligrams();
    assertTrue(0.6 * side < 0.130 && 1.4 * side > 0.130, "one side is " + side + " of the fish");
    ExactMoney hour = ExactMoney.of("24", TestLot.EUR);
    Serving target = Serving.slices(Mass.ofGrams(130));
    long planned =
        sheet.plan().plate(target, sheet.lot().cost().orElseThrow().total(), hour).portions();
    long sidesOfTheLast = (long) Math.floor(1400 * side / 130);
    assertEquals(planned, 2 * sidesOfTheLast);
    // weighed together, the three small ones still give none
    for (CutPlan.Planned part : sheet.plan().parts()) {
      lot.weigh(part.slot().code(), 0, 0, part.mass());
      lot.decide(part.purpose(), part.slot().code());
    }
    assertEquals(lot.sheet().portions().count(), planned);
  }

  @DataProvider
  Object[][] routes() {
    return CATALOGUE.plans().stream()
        .flatMap(
            plan ->
                CuttingOptions.routesOf(plan).stream()
                    .map(CuttingOption.Choice::code)
                    .map(
                        route ->
                            new Object[] {
                              CATALOGUE.species().stream()
                                  .filter(s -> s.plan().equals(plan))
                                  .findFirst()
                                  .orElseThrow()
                                  .code(),
                              route
                            }))
        .toArray(Object[][]::new);
  }

  /** Weighed just as planned, a fish has the plates the plan promised, by whatever route. */
  @Test(dataProvider = "routes")
  public void planAndTallyCountTheSamePlates(String species, String route) {
    for (String kilograms : List.of("0.900", "2.600", "7.300")) {
      TestLot lot =
          new TestLot(species, State.GUTTED, 2, kilograms, "")
              .cutBy(new Choices(Map.of("route", route)));
      CutPlan plan = lot.sheet().plan();
      for (CutPlan.Planned part : plan.parts()) {
        lot.weigh(part.slot().code(), 0, 0, part.mass());
        lot.decide(part.purpose(), part.slot().code());
      }
      LotSheet sheet = lot.sheet();
      ExactMoney hour = ExactMoney.of("24", TestLot.EUR);
      assertEquals(
          sheet.portions().count(),
          plan.plate(sheet.plates().serving(), sheet.lot().cost().orElseThrow().total(), hour)
              .portions(),
          species + " " + route + " " + kilograms);
    }
  }

  @Test
  public void theOddsLieAboutThePlanAndAreNoneOnceTheFilletsAreWeighed() {
    TestLot lot = new TestLot("hake", State.GUTTED, 1, "4.2", "").portion("180");
    LotSheet sheet = lot.sheet();
    ExactMoney hour = ExactMoney.of("24", TestLot.EUR);
    long planned =
        sheet
            .plan()
            .plate(sheet.plates().serving(), sheet.lot().cost().orElseThrow().total(), hour)
            .portions();
    Counts odds = sheet.plates().odds().orElseThrow();
    assertTrue(odds.quantile(0.1) <= planned && planned <= odds.quantile(0.9) + 1);
    assertTrue(odds.quantile(0.9) > odds.quantile(0.1), "fish of a kind differ");
    // whoever buys by the fish, shared or counted, never has fewer than one
    assertFalse(sheet.isCounted());
    long left = expected(sheet, "fillet-left").milligrams() / 1000;
    long right = expected(sheet, "fillet-right").milligrams() / 1000;
    lot.weigh("fillet-left", 1, (int) left).weigh("fillet-right", 1, (int) right);
    lot.decide(Purpose.PLATE, "fillet-left", "fillet-right");
    assertTrue(lot.sheet().isCounted());
    assertEquals(lot.sheet().portions().count(), left / 180 + right / 180);
  }

  @Test
  public void fourFishOfKnownMassesHaveTheOddsOfEach() {
    LotSheet sheet =
        new TestLot("gurnard", State.GUTTED, 4, "3.080", "")
            .each("0.520", "0.560", "0.600", "1.400")
            .portion("130")
            .sheet();
    // the small ones give none, the large one one or two from each side
    assertTrue(
        sheet.plates().odds().orElseThrow().below(1) < 0.1,
        "" + sheet.plates().odds().orElseThrow());
    assertTrue(
        sheet.plates().odds().orElseThrow().quantile(0.9) <= 4,
        "" + sheet.plates().odds().orElseThrow());
  }

  @Test
  public void roePutBackIsServedWithTheFishAndCarriesItsCost() {
    TestLot lot =
        new TestLot("mackerel", State.UNGUTTED, 1, "0.420", "")
            .cutBy(Choices.USUAL.with("route", "belly-butterflied"))
            .portion("250");
    lot.weigh("guts", 1, 60).cut("guts", "roe").weigh("roe-of-guts", 1, 38);
    lot.weigh("butterflied", 1, 224).decide(Purpose.PLATE, "butterflied");
    for (LotPart part : lot.sheet().parts()) {
      if (!part.isStarted()) {
        lot.weigh(part.slot(), 1, 0, part.expected().orElse(Mass.ofGrams(5)));
      }
    }
    LotSheet without = lot.sheet();
    assertEquals(without.portions().count(), 0, "224 g are no portion of 250 g");
    LotSheet with = lot.putBack("roe-of-guts", "butterflied").sheet();
    assertEquals(with.portions().count(), 1, "262 g are one");
    assertEquals(with.portions().fillets().size(), 1, "roe is no piece of its own");
    assertEquals(with.balance().tallied(), without.balance().tallied(), "nothing weighs twice");
    assertEquals(
        with.costs(with.lot().costingMethod()).orElseThrow().mains(), Mass.ofGrams(224 + 38));
    LotPart roe = with.find("roe-of-guts").orElseThrow();
    assertEquals(with.backIn(with.find("butterflied").orElseThrow()), List.of(roe));
  }

  @Test
  public void onlyWhatWasWeighedAndIsEatenGoesBackIntoWhatIsServed() {
    TestLot lot =
        new TestLot("mackerel", State.UNGUTTED, 1, "0.420", "")
            .cutBy(Choices.USUAL.with("route", "belly-butterflied"))
            .weigh("guts", 1, 60)
            .cut("guts", "roe");
    LotSheet sheet = lot.sheet();
    assertTrue(sheet.mayGoInto(sheet.find("guts").orElseThrow()).isEmpty(), "guts are not eaten");
    assertTrue(sheet.mayGoInto(sheet.find("roe-of-guts").orElseThrow()).isEmpty(), "not weighed");
    LotSheet weighed = lot.weigh("roe-of-guts", 1, 38).sheet();
    assertEquals(
        weighed.mayGoInto(weighed.find("roe-of-guts").orElseThrow()),
        List.of(weighed.find("butterflied").orElseThrow()));
  }

  @Test
  public void twoDishesOfOneFishHaveTheirOwnPortionsAndShareItsCost() {
    Serving large = Serving.slices(Mass.ofGrams(200));
    Serving small = new Serving(Form.PIECES, Mass.ofGrams(600), 0.3, 1, false);
    TestLot lot =
        new TestLot("hake", State.GUTTED, 1, "2.9", "")
            .dish("fillet-left", "Hake, brown butter", large)
            .dish("fillet-right", "Half a hake to share", small);
    LotSheet before = lot.sheet();
    ExactMoney hour = ExactMoney.of("24", TestLot.EUR);
    assertEquals(before.plates().odds(), Optional.empty(), "two dishes, no one number of odds");
    long left = expected(before, "fillet-left").milligrams() / 1000;
    assertEquals(
        before.plates().planned(before.plan(), hour).portions(), left / 200 + 1, "planned");
    for (LotPart part : before.parts()) {
      lot.weigh(part.slot(), 1, 0, part.expected().orElseThrow());
    }
    LotSheet sheet = lot.sheet();
    assertEquals(sheet.portions().count(), left / 200 + 1, "counted");
    List<LotPortions.OfDish> dishes = sheet.plates().byDish();
    assertEquals(
        dishes.stream().map(LotPortions.OfDish::dish).toList(),
        List.of("Hake, brown butter", "Half a hake to share"));
    assertEquals(dishes.get(0).portions().count(), left / 200);
    assertEquals(dishes.get(1).portions().count(), 1);
    CostSheet costs = sheet.costs(sheet.lot().costingMethod()).orElseThrow();
    ExactMoney both = costs.ofMains(dishes.get(0).mass()).plus(costs.ofMains(dishes.get(1).mass()));
    assertEquals(
        both.amount().doubleValue(), costs.costing().onMains().amount().doubleValue(), 1e-9);
  }

  @Test
  public void theDishsPortionCountsUnlessTheLotSaysAnotherAndThenBothAreSaid() {
    Serving dish = Serving.slices(Mass.ofGrams(190));
    TestLot lot =
        new TestLot("hake", State.GUTTED, 1, "2.9", "")
            .dish("fillet-left", "Hake, brown butter", dish)
            .weigh("fillet-left", 1, 950);
    // five of 190 g, and nothing else is said
    assertEquals(lot.sheet().plates().platesOf("fillet-left"), 5);
    assertEquals(lot.sheet().plates().overruled(), List.of());
    assertEquals(lot.sheet().plates().servingOf("fillet-right"), dish, "the only dish of the lot");
    LotPortions said = lot.portion("180").sheet().plates();
    assertEquals(said.platesOf("fillet-left"), 5);
    assertEquals(said.servingOf("fillet-left"), Serving.slices(Mass.ofGrams(180)));
    assertEquals(
        said.overruled().stream().map(one -> one.dish().name() + " " + one.lot().target()).toList(),
        List.of("Hake, brown butter 180 g"));
  }
}
