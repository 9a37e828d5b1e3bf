package mosaicknife.core.use;

import static mosaicknife.core.use.Kitchen.part;
import static mosaicknife.core.use.Kitchen.shipped;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.safety.Fitness;
import mosaicknife.core.use.Qualification.WhyNot;
import org.testng.annotations.Test;

/** Why a part may not become something, in the words of the job. */
public class QualificationTest {

  private static List<? extends Enum<?>> why(String use, OnHand part) {
    return Qualification.whyNot(shipped(use), part).stream().map(Finding::what).toList();
  }

  private static OnHand.Condition fish(boolean scaled, boolean farmed, boolean soiled) {
    return new OnHand.Condition(
        scaled, farmed, soiled, false, Optional.of(Fitness.RAW), false, false, false);
  }

  private static OnHand bones(OnHand.Condition condition, int days, String species) {
    return part("bones", species, "head", "1.2", 1, days, condition);
  }

  @Test
  public void farmedBonesAndOilyOnesArePoorForTheClearStock() {
    assertEquals(why("clear-stock", bones(fish(false, false, false), 1, "hake")), List.of());
    assertEquals(
        why("clear-stock", bones(fish(false, true, false), 1, "hake")), List.of(WhyNot.FARMED));
    assertEquals(
        why("clear-stock", bones(fish(false, false, false), 1, "mackerel")), List.of(WhyNot.OILY));
    assertTrue(why("oily-fish-soup", bones(fish(false, false, false), 1, "mackerel")).isEmpty());
  }

  @Test
  public void theHeadForTheSoupIsScaledTheHeadForTheStockIsNot() {
    OnHand unscaled = bones(fish(false, false, false), 1, "hake");
    assertEquals(why("soup-to-pick", unscaled), List.of(WhyNot.UNSCALED));
    assertEquals(why("soup-to-pick", bones(fish(true, false, false), 1, "hake")), List.of());
    assertEquals(why("clear-stock", unscaled), List.of());
  }

  @Test
  public void gillsNeverGoIntoThePot() {
    assertEquals(
        why("clear-stock", bones(fish(true, false, true), 1, "hake")), List.of(WhyNot.GILLS_IN));
  }

  @Test
  public void ageAndWeightAndKindDecide() {
    OnHand old = part("trim", "hake", "trim", "0.4", 1, 4, fish(true, false, false));
    assertEquals(
        Qualification.whyNot(shipped("patties"), old), List.of(Finding.of(WhyNot.TOO_OLD, 4, 2)));
    OnHand small = part("collars", "hake", "collar", "0.120", 4, 1, fish(true, false, false));
    assertEquals(why("grilled-collar", small), List.of(WhyNot.TOO_LIGHT));
    assertEquals(why("patties", small), List.of(WhyNot.OTHER_KIND));
  }

  @Test
  public void rawIsClosedUntilTheGateIsOpen() {
    OnHand.Condition open =
        new OnHand.Condition(
            true, false, false, true, Optional.of(Fitness.RAW), false, false, false);
    OnHand closed = part("s", "hake", "scrapings", "0.3", 1, 1, fish(true, false, false));
    assertEquals(why("scraped-tartare", closed), List.of(WhyNot.RAW_GATE_CLOSED));
    assertTrue(why("scraped-tartare", part("s", "hake", "scrapings", "0.3", 1, 1, open)).isEmpty());
    assertEquals(
        why("scraped-tartare", part("s", "eel", "scrapings", "0.3", 1, 1, open)),
        List.of(WhyNot.RAW_GATE_CLOSED),
        "blood that harms is no matter of freezing");
    OnHand.Condition uninspected =
        new OnHand.Condition(true, false, false, true, Optional.empty(), false, false, false);
    assertEquals(
        why("scraped-tartare", part("s", "hake", "scrapings", "0.3", 1, 1, uninspected)),
        List.of(WhyNot.NOT_INSPECTED));
  }

  @Test
  public void potOnlyAndRefusedAndHeldAreSaid() {
    OnHand.Condition pot =
        new OnHand.Condition(
            true, false, false, false, Optional.of(Fitness.POT), false, false, false);
    assertEquals(
        why("patties", part("t", "hake", "trim", "0.3", 1, 1, pot)), List.of(WhyNot.POT_ONLY));
    assertFalse(why("patties", part("t", "hake", "trim", "0.3", 1, 1, pot)).isEmpty());
    OnHand.Condition held =
        new OnHand.Condition(true, false, false, false, Optional.empty(), true, false, false);
    assertEquals(
        why("patties", part("t", "hake", "trim", "0.3", 1, 1, held)), List.of(WhyNot.HELD));
  }

  @Test
  public void whatWasThawedIsNeverFrozenAgain() {
    OnHand.Condition thawed =
        new OnHand.Condition(
            true, false, false, false, Optional.of(Fitness.COOK), false, false, true);
    assertEquals(
        why("frozen-trim", part("t", "hake", "trim", "0.6", 1, 1, thawed)), List.of(WhyNot.THAWED));
  }
}
