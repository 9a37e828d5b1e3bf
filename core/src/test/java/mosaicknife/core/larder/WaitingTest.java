package mosaicknife.core.larder;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.cost.Outlay;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.lot.OnShelf;
import mosaicknife.core.lot.TestLot;
import mosaicknife.core.plan.PreWork;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.FoodState;
import mosaicknife.core.use.FishUse;
import mosaicknife.core.use.Hand;
import mosaicknife.core.use.HandId;
import mosaicknife.core.use.OnHand;
import mosaicknife.core.use.UseCatalogue;
import org.testng.annotations.Test;

/** What of a lot and of the shelves waits for a use, and what a label says. */
public class WaitingTest {

  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final Map<String, FishUse> USES = UseCatalogue.shipped(CATALOGUE);
  private static final LocalDate TODAY = TestLot.TODAY;
  private static final ExactMoney EIGHTEEN = ExactMoney.of("18.00", TestLot.EUR);

  private static TestLot hake() {
    return new TestLot("hake", State.GUTTED, 1, "5.000", "")
        .weigh("fillet-left", 0, 1200)
        .weigh("frame", 0, 600)
        .weigh("head", 0, 900)
        .weigh("gills", 0, 60)
        .decide(Purpose.COMPOST, "gills");
  }

  private static Map<String, Mass> waiting(LotSheet sheet, Map<String, Mass> promised) {
    return Hand.of(sheet, 1, Set.of(), promised, TODAY).stream()
        .collect(
            java.util.stream.Collectors.toMap(part -> part.id().text().substring(2), OnHand::mass));
  }

  @Test
  public void whatGoesOnNoPlateWaitsCutOrStillToCome() {
    Map<String, Mass> waiting = waiting(hake().sheet(), Map.of("head", Mass.ofGrams(250)));
    assertEquals(waiting.get("frame"), Mass.ofGrams(600));
    assertEquals(waiting.get("head"), Mass.ofGrams(650), "250 g are promised");
    assertTrue(waiting.containsKey("collar"), "still to come");
    assertFalse(waiting.containsKey("fillet-left"), "for the plate");
    assertFalse(waiting.containsKey("gills"), "no use");
    TestLot shelved =
        hake().shelve("frame", Optional.empty(), new OnShelf(Mass.ofGrams(450), Mass.ZERO));
    assertEquals(waiting(shelved.sheet(), Map.of()).get("frame"), Mass.ofGrams(150));
  }

  @Test
  public void whatWasScaledBeforeTheFirstCutIsScaled() {
    LotSheet sheet = hake().sheet();
    Set<PreWork.Task> head = Set.of(PreWork.Task.SCALE_THE_HEAD);
    for (OnHand part : Hand.of(sheet, 1, head, Map.of(), TODAY)) {
      assertEquals(part.condition().scaled(), part.id().text().equals("7:head"), part.name());
    }
  }

  @Test
  public void aHeadInTheCompostMissedItsBestUse() {
    LotSheet sheet = hake().decide(Purpose.COMPOST, "head").sheet();
    List<Hand.Missed> missed =
        Hand.missed(sheet, 1, Set.of(), List.of(USES.get("clear-stock")), EIGHTEEN, TODAY);
    assertEquals(missed.size(), 1, "the gills missed nothing");
    assertEquals(missed.get(0).units(), 1, "900 g are one litre of 520 g");
    // 3.20 less 62.4 g wine at 4.20, 72.8 g of celery at 1.90, 10.4 g of lemon at 2.40, and 0.60
    assertEquals(missed.get(0).worth(), 21746);
  }

  private static Item shelf(String slot, int grams, FoodState state) {
    return Item.of(
        new Shelved(
            "K7Q2M",
            slot,
            Optional.empty(),
            Trace.of(7, slot, Mass.ofGrams(grams)),
            Mass.ofGrams(grams),
            0,
            Outlay.none(TestLot.EUR),
            Set.of(),
            new Shelved.Traits(true, false, false),
            TODAY,
            TODAY.plusDays(2),
            TODAY.plusDays(2),
            state,
            new Shelved.Spot(2, "walk-in", 1),
            TestLot.NOON),
        List.of());
  }

  @Test
  public void whatLiesOnAShelfWaitsUnlessItIsFrozenOrAMainCut() {
    LotSheet sheet = hake().sheet();
    Item frame = shelf("frame", 600, FoodState.THAWED);
    assertTrue(ShelfHand.mayWait(frame, TODAY.plusDays(2)));
    assertFalse(ShelfHand.mayWait(frame, TODAY.plusDays(3)), "its day is over");
    assertFalse(ShelfHand.mayWait(shelf("frame", 600, FoodState.FROZEN), TODAY));
    OnHand waits = ShelfHand.of(frame, sheet, Set.of(), Mass.ofGrams(100), TODAY).orElseThrow();
    assertEquals(waits.id(), new HandId.Kept(7, "frame", "K7Q2M"));
    assertEquals(waits.mass(), Mass.ofGrams(500));
    assertEquals(waits.venue(), 2);
    assertTrue(waits.condition().thawed());
    Item fillet = shelf("fillet-left", 600, FoodState.RAW);
    assertEquals(ShelfHand.of(fillet, sheet, Set.of(), Mass.ZERO, TODAY), Optional.empty());
    assertEquals(ShelfHand.of(frame, sheet, Set.of(), Mass.ofGrams(600), TODAY), Optional.empty());
  }

  private static OnHand.Kind kind(String kind, String species) {
    return new OnHand.Kind(CATALOGUE.findKind(kind).orElseThrow(), CATALOGUE.getSpecies(species));
  }

  @Test
  public void aLabelSaysBonesUnlessThereAreSurelyNone() {
    OnHand.Kind tail = kind("tail-piece", "hake");
    assertTrue(LabelFacts.bones(USES.get("goujons"), List.of(tail)), "nobody pulled them");
    assertFalse(LabelFacts.bones(USES.get("goujons"), List.of(kind("trim", "hake"))));
    assertFalse(LabelFacts.bones(USES.get("patties"), List.of(tail)), "minced");
    assertTrue(LabelFacts.bones(USES.get("fish-cakes"), List.of(tail)), "the use says so");
    assertFalse(LabelFacts.bones(USES.get("clear-stock"), List.of(kind("frame", "hake"))));
    assertTrue(
        LabelFacts.bones(CATALOGUE.findKind("frame").orElseThrow(), CATALOGUE.getSpecies("hake")));
    assertEquals(USES.get("frozen-bones").kept().state(), FoodState.FROZEN);
    assertEquals(USES.get("clear-stock").kept().state(), FoodState.COOKED);
    assertEquals(USES.get("patties").kept().state(), FoodState.RAW);
  }

  @Test
  public void aKilogramIsWorthWhatItsUnitBringsLessWhatGoesIn() {
    // 4.60 a pack of 100 g, with salt 3 % at .60 and sugar 1 % at 1.00
    assertEquals(
        Hand.value(USES.get("smoked-trim"), TestLot.EUR).orElseThrow().perKilogram(),
        ExactMoney.of("45.972", TestLot.EUR));
    assertEquals(Hand.value(USES.get("aged-loin"), TestLot.EUR), Optional.empty());
  }
}
