package mosaicknife.core.craft;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import mosaicknife.core.breakdown.Likeness;
import mosaicknife.core.craft.Pace.Stroke;
import mosaicknife.core.craft.SecondOpinion.About;
import mosaicknife.core.craft.SecondOpinion.PartRole;
import mosaicknife.core.craft.SecondOpinion.Remark;
import mosaicknife.core.craft.SecondOpinion.Seen;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;
import org.testng.annotations.Test;

public class CraftTest {

  private static final Currency EURO = Currency.getInstance("EUR");
  private static final Mass PORTION = Mass.ofGrams(150);
  private static final Optional<UnitPrice> PRICE = Optional.of(UnitPrice.ofPerKilogram("30", EURO));
  private static final Instant NOON = Instant.parse("2026-11-25T12:00:00Z");

  private static Seen main(String name, int grams) {
    return new Seen(
        name, PartRole.MAIN, Mass.ofGrams(grams), Mass.ofGrams(1_300), Mass.ofGrams(100));
  }

  private static Seen frame(int grams) {
    return new Seen(
        "Frame", PartRole.FRAME, Mass.ofGrams(grams), Mass.ofGrams(640), Mass.ofGrams(60));
  }

  private static List<Remark> look(Seen... parts) {
    return SecondOpinion.of(List.of(parts), PORTION, PRICE, Likeness.STARTING);
  }

  @Test
  public void anOrdinaryFishGetsNoRemark() {
    assertEquals(look(main("Left", 1_280), main("Right", 1_310), frame(650)), List.of());
  }

  @Test
  public void aFilletOutsideTheBandIsNamedWithTheBandAndItsWorth() {
    // the band is 1 300 ± 1.96 × 100 g; 220 g below the middle, 30.00/kg
    Remark light = look(main("Left", 1_080)).get(0);
    assertEquals(light.about(), About.LIGHT);
    assertEquals(light.gap(), Mass.ofGrams(220));
    assertEquals(light.low(), Mass.ofGrams(1_104));
    assertEquals(light.high(), Mass.ofGrams(1_496));
    assertEquals(light.portions(), 1);
    assertEquals(light.worth().orElseThrow().amount().doubleValue(), 6.6, 1e-9);
    // two-sided probability of 2.2 sigma, table of the normal distribution: 0.9722
    assertEquals(light.sure(), 0.9722, 5e-5);
    assertEquals(look(main("Left", 1_600)).get(0).about(), About.HEAVY);
  }

  @Test
  public void twoSidesThatDifferMoreThanSidesDoAreSeenInsideTheBand() {
    // σ of the difference: 100 × √(2 × 0.1) = 44.7 g, so 87.7 g are the limit
    assertEquals(look(main("Left", 1_250), main("Right", 1_337)), List.of());
    Remark uneven = look(main("Left", 1_250), main("Right", 1_360)).get(0);
    assertEquals(uneven.about(), About.UNEVEN);
    assertEquals(uneven.part(), "Left");
    assertEquals(uneven.other(), Optional.of("Right"));
    assertEquals(uneven.gap(), Mass.ofGrams(110));
  }

  @Test
  public void meatOnTheFrameIsWeighedUpFromTheFrameAndFromWhatTheFilletsLack() {
    List<Remark> remarks = look(main("Left", 1_120), main("Right", 1_130), frame(860));
    Remark frame = remarks.stream().filter(r -> r.about() == About.FRAME).findFirst().orElseThrow();
    double grams = frame.gap().inGrams().doubleValue();
    // the frame alone says 860 − 0.88 × 640 = 297 g; the fillets lack 350 g
    assertTrue(grams > 230 && grams < 310, "meat on the frame: " + grams);
    assertEquals(frame.portions(), 1);
    assertTrue(frame.sure() > 0.99);
    assertTrue(frame.low().compareTo(frame.gap()) < 0 && frame.gap().compareTo(frame.high()) < 0);
    assertEquals(
        look(main("Left", 1_300), main("Right", 1_300), frame(640)),
        List.of(),
        "what always stays on a frame is no news");
  }

  @Test
  public void aKnifeThatGetsDullIsSeenAndAnEvenOneIsNot() {
    List<Double> dull = new ArrayList<>();
    List<Double> even = new ArrayList<>();
    Random random = new Random(3);
    for (int i = 0; i < 10; i++) {
      double chance = 0.01 * random.nextGaussian();
      dull.add(1.02 - 0.012 * i + chance);
      even.add(1 + chance);
    }
    Drift drift = Drift.in(dull).orElseThrow();
    assertEquals(drift.cuts(), 10);
    assertEquals(drift.perCut(), 0.012, 0.004);
    assertEquals(drift.total(), 9 * drift.perCut(), 1e-12);
    assertTrue(drift.sure() > 0.99);
    assertTrue(Drift.in(even).isEmpty());
    assertTrue(Drift.in(dull.subList(0, 5)).isEmpty(), "five cuts say nothing");
    assertTrue(Drift.in(List.of(1.0, 1.1, 1.2, 1.3, 1.4, 1.5)).isEmpty(), "better is no trouble");
    assertThrows(IllegalArgumentException.class, () -> Drift.in(List.of(0.0)));
  }

  @Test
  public void chanceAloneRaisesAFalseDriftInAboutOneShiftOfTwenty() {
    Random random = new Random(11);
    int raised = 0;
    for (int shift = 0; shift < 2_000; shift++) {
      List<Double> yields = new ArrayList<>();
      for (int i = 0; i < 10; i++) {
        yields.add(1 + 0.05 * random.nextGaussian());
      }
      raised += Drift.in(yields).isPresent() ? 1 : 0;
    }
    // 5 % by construction; ± 4 standard deviations of 2 000 draws are 2 %
    assertTrue(raised > 60 && raised < 140, raised + " of 2 000");
  }

  private static Stroke stroke(String part, int fish, int seconds) {
    return new Stroke(part, fish, NOON.plusSeconds(seconds));
  }

  @Test
  public void minutesAreTheTimesBetweenWeightsWithoutThePauses() {
    Pace pace =
        Pace.of(
            List.of(
                stroke("fillet-left", 1, 200),
                stroke("head", 1, 60),
                stroke("fillet-right", 1, 320),
                stroke("head", 2, 2_000),
                stroke("fillet-left", 2, 2_120)),
            Optional.of(NOON));
    // gaps 60, 140, 120, 1 680, 120 s: the median is 120 s; 28 min are a pause and count as it
    assertEquals(pace.pauses(), 1);
    assertTrue(pace.isEstimated());
    assertEquals(pace.total(), Duration.ofSeconds(60 + 140 + 120 + 120 + 120));
    assertEquals(pace.byFish().get(1), Duration.ofSeconds(320));
    assertEquals(pace.byFish().get(2), Duration.ofSeconds(240));
    assertEquals(pace.byPart().get("head"), Duration.ofSeconds(180));
    assertEquals(List.copyOf(pace.byPart().keySet()).get(0), "head");
  }

  @Test
  public void aStartThatNobodySawIsFilledInAndNoWeightTakesNoTime() {
    Pace unseen = Pace.of(List.of(stroke("a", 1, 0), stroke("b", 1, 90)), Optional.empty());
    assertEquals(unseen.total(), Duration.ofSeconds(180));
    assertTrue(unseen.isEstimated());
    Pace late =
        Pace.of(List.of(stroke("a", 1, 0), stroke("b", 1, 90)), Optional.of(NOON.plusSeconds(50)));
    assertEquals(late.total(), Duration.ofSeconds(180), "opened after the first weight");
    assertEquals(Pace.of(List.of(), Optional.of(NOON)).total(), Duration.ZERO);
  }
}
