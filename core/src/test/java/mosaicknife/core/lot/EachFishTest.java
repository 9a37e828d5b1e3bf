package mosaicknife.core.lot;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.Test;

/** At the bench each fish of a lot goes by its own weight. */
public class EachFishTest {

  private static TestLot fourGurnard() {
    return new TestLot("gurnard", State.UNGUTTED, 4, "3.000", "3.000");
  }

  private static Mass part(Mass all, int numerator, int denominator) {
    return all.multipliedBy(Fraction.of(numerator, denominator), RoundingMode.HALF_EVEN);
  }

  private static LotPart head(LotSheet sheet) {
    return sheet.find("head").orElseThrow();
  }

  @Test
  public void aFishThatWasWeighedIsExpectedByItsOwnWeight() {
    // 1.650 kg among three of 450 g: 55 % of the lot, and the norm alone makes it uncertain
    LotSheet sheet = fourGurnard().each("1.650", "0.450", "0.450", "0.450").sheet();
    Mass all = head(sheet).expected().orElseThrow();
    assertEquals(sheet.about(head(sheet), 1).orElseThrow(), part(all, 55, 100));
    assertEquals(sheet.about(head(sheet), 3).orElseThrow(), part(all, 15, 100));
    assertEquals(sheet.about(head(sheet), 0).orElseThrow(), all);
    assertEquals(
        sheet.spreadAbout(head(sheet), 1).milligrams(),
        Math.round(head(sheet).spread().milligrams() * 0.55),
        1);
    assertEquals(sheet.fishWith(head(sheet), 1), Mass.ofGrams(1_650));
  }

  @Test
  public void aFishOfAnUnknownWeightIsAMeanOneWithItsSizeUncertain() {
    LotSheet sheet = fourGurnard().sheet();
    long all = head(sheet).expected().orElseThrow().milligrams();
    assertEquals(sheet.about(head(sheet), 2).orElseThrow().milligrams(), all / 4.0, 1);
    double byNorm = head(sheet).spread().milligrams() / 4.0;
    double bySize = head(sheet).sizes() * all / 4.0;
    assertEquals(
        sheet.spreadAbout(head(sheet), 2).milligrams(),
        Math.sqrt(byNorm * byNorm + bySize * bySize),
        1);
    assertTrue(bySize > 0, "fish of one lot differ");
  }

  @Test
  public void itsPartsTellHowLargeAFishIs() {
    TestLot lot = fourGurnard();
    LotSheet before = lot.sheet();
    for (String slot : List.of("guts", "fins", "head")) {
      long all = before.find(slot).orElseThrow().expected().orElseThrow().milligrams();
      // twice as much as a mean fish of four
      lot.weigh(slot, 1, 0, Mass.ofMilligrams(all / 2));
    }
    LotSheet sheet = lot.sheet();
    LotPart frame = sheet.find("frame").orElseThrow();
    double all = frame.expected().orElseThrow().milligrams();
    assertEquals(sheet.about(frame, 1).orElseThrow().milligrams() / all, 0.5, 0.001);
    assertEquals(sheet.about(frame, 2).orElseThrow().milligrams() / all, 0.25, 0.001);
  }

  @Test
  public void aLargeFishAmongSmallOnesIsNoRemark() {
    TestLot lot = fourGurnard().each("1.650", "0.450", "0.450", "0.450");
    LotSheet before = lot.sheet();
    for (LotPart part : before.parts()) {
      Mass own = part(part.expected().orElseThrow(), 55, 100);
      lot.weigh(part.slot(), 1, 0, Mass.ofGrams(Math.max(1, own.milligrams() / 1_000)));
    }
    LotSheet sheet = lot.sheet();
    assertEquals(Opinions.of(sheet, 1), List.of());
    assertTrue(Tally.search(sheet, Map.of()).isEmpty());
    Opinions.mainCuts(sheet, TestLot.TOBIAH.id())
        .forEach(cut -> assertEquals(cut.overNorm(), 1.0, 0.01));
  }

  @Test
  public void afterOneFishWeighedAloneTogetherMeansTheOthers() {
    TestLot lot = fourGurnard().each("1.200", "0.600", "0.600", "0.600").weigh("head", 1, 300);
    LotSheet sheet = lot.sheet();
    Mass all = head(sheet).expected().orElseThrow();
    assertEquals(sheet.about(head(sheet), 0).orElseThrow(), part(all, 60, 100));
    assertEquals(sheet.fishWith(head(sheet), 0), Mass.ofGrams(1_800));
    assertEquals(head(sheet).outstanding().milligrams(), part(all, 60, 100).milligrams(), 2);
    LotSheet done = lot.weigh("head", 0, 450).sheet();
    assertEquals(head(done).mass(), Mass.ofGrams(750));
    assertEquals(head(done).outstanding(), Mass.ZERO);
    assertEquals(head(done).fishOf(0, 4), List.of(2, 3, 4));
    assertEquals(done.breakdown().findLeaf("head").orElseThrow().pieces(), 3);
  }

  @Test
  public void filletsOfTheOthersAreSharedAmongTheOthers() {
    TestLot lot = fourGurnard();
    for (String slot : List.of("fillet-left", "fillet-right")) {
      lot.weigh(slot, 2, 150).weigh(slot, 0, 300);
    }
    List<OnBoard> left =
        OnBoard.of(lot.sheet()).stream()
            .filter(one -> one.part().slot().equals("fillet-left"))
            .toList();
    assertEquals(
        left.stream().map(OnBoard::mass).toList(),
        List.of(Mass.ofGrams(100), Mass.ofGrams(150), Mass.ofGrams(100), Mass.ofGrams(100)));
  }

  @Test
  public void withOneFishDoneTheNextOneIsNamed() {
    TestLot lot = fourGurnard();
    assertEquals(lot.sheet().nextFish(1), OptionalInt.of(2));
    assertEquals(lot.sheet().nextFish(4), OptionalInt.of(1), "and round again");
    for (LotPart part : lot.sheet().parts()) {
      lot.weigh(part.slot(), 2, 20);
    }
    assertEquals(lot.sheet().nextFish(1), OptionalInt.of(3), "the second is done");
    for (LotPart part : lot.sheet().parts()) {
      lot.weigh(part.slot(), 0, 60);
    }
    assertEquals(lot.sheet().nextFish(2), OptionalInt.empty());
    assertEquals(lot.sheet().nextFish(0), OptionalInt.empty());
  }
}
