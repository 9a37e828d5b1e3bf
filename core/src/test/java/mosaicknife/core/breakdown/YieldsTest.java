package mosaicknife.core.breakdown;

import static mosaicknife.core.WorkedHake.leaf;
import static org.testng.Assert.assertEquals;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.WorkedHake;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.Yields.Basis;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.Test;

public class YieldsTest {

  private static final Species HAKE = WorkedHake.CATALOGUE.getSpecies("hake");
  private static final Mass FILLETS = Mass.ofGrams(2610);

  @Test
  public void theFilletYieldOfTheWorkedHakeIs53Point70Percent() {
    Basis basis = Yields.of(WorkedHake.breakdown(), HAKE).basis(State.GUTTED).orElseThrow();
    assertEquals(basis.knowledge(), Knowledge.MEASURED);
    assertEquals(percent(Yields.share(FILLETS, basis)), new BigDecimal("53.70"));
  }

  @Test
  public void aCleanerBasisIsMeasuredByDifferenceWhenThePartsThatGoWereWeighed() {
    Basis headed =
        Yields.of(WorkedHake.breakdown(), HAKE).basis(State.HEADED_AND_GUTTED).orElseThrow();
    // 4 860 − 985 − 62 = 3 813; 2 610 / 3 813 = 68.45 %
    assertEquals(
        headed, new Basis(State.HEADED_AND_GUTTED, Mass.ofGrams(3813), Knowledge.BY_DIFFERENCE));
    assertEquals(percent(Yields.share(FILLETS, headed)), new BigDecimal("68.45"));
  }

  @Test
  public void anyOtherBasisIsEstimatedByTheNormOrMissing() {
    Basis ungutted = Yields.of(WorkedHake.breakdown(), HAKE).basis(State.UNGUTTED).orElseThrow();
    // the norm keeps 0.900 of an ungutted hake when gutted: 4 860 / 0.9 = 5 400
    assertEquals(ungutted, new Basis(State.UNGUTTED, Mass.ofGrams(5400), Knowledge.ESTIMATED));

    Breakdown noHead = WorkedHake.with(leaf("fillet-left", "fillet", "1.318", Purpose.PLATE));
    Basis headed = Yields.of(noHead, HAKE).basis(State.HEADED_AND_GUTTED).orElseThrow();
    assertEquals(headed.knowledge(), Knowledge.ESTIMATED);
    assertEquals(Yields.withoutNorm(noHead).basis(State.HEADED_AND_GUTTED), Optional.empty());
  }

  @Test
  public void whatLeftTogetherIsNotOneOfItWeighedOff() {
    Breakdown carcass =
        new Breakdown(
            State.GUTTED_AND_GILLED,
            Mass.ofKilograms("4.860"),
            1,
            List.of(
                leaf("fillet-left", "fillet", "1.318", Purpose.PLATE),
                leaf("carcass", "carcass", "1.900", Purpose.POT)));
    Basis headed = Yields.of(carcass, HAKE).basis(State.HEADED_AND_GUTTED).orElseThrow();
    assertEquals(headed.knowledge(), Knowledge.ESTIMATED, "the frame is in the carcass too");
    Breakdown pulled =
        new Breakdown(
            State.UNGUTTED,
            Mass.ofKilograms("5.400"),
            1,
            List.of(leaf("guts-and-gills", "guts-and-gills", "0.700", Purpose.COMPOST)));
    assertEquals(
        Yields.of(pulled, HAKE).basis(State.GUTTED).orElseThrow().knowledge(),
        Knowledge.ESTIMATED,
        "the gills are in it too");
    assertEquals(
        Yields.of(pulled, HAKE).basis(State.GUTTED_AND_GILLED),
        Optional.of(
            new Basis(State.GUTTED_AND_GILLED, Mass.ofGrams(4700), Knowledge.BY_DIFFERENCE)));
  }

  @Test
  public void aRayNeedsNoGillsWeighedSinceItHasNoneOfItsOwn() {
    Species ray = WorkedHake.CATALOGUE.getSpecies("ray");
    Breakdown fish =
        new Breakdown(
            State.UNGUTTED,
            Mass.ofKilograms("4.000"),
            1,
            List.of(leaf("guts", "guts", "0.360", Purpose.COMPOST)));
    Basis gilled = Yields.of(fish, ray).basis(State.GUTTED_AND_GILLED).orElseThrow();
    assertEquals(
        gilled, new Basis(State.GUTTED_AND_GILLED, Mass.ofGrams(3640), Knowledge.BY_DIFFERENCE));
  }

  @Test
  public void eatenKeptAndDiscardedAreThreeFigures() {
    Yields yields = Yields.of(WorkedHake.breakdown(), HAKE);
    // (2 610 + 172 + 214), (985 + 612) and (62 + 118) of 4 860: compost is never used
    assertEquals(percent(yields.usable()), new BigDecimal("61.65"));
    assertEquals(percent(yields.kept()), new BigDecimal("32.86"));
    assertEquals(percent(yields.discarded()), new BigDecimal("3.70"));
  }

  private static BigDecimal percent(Fraction fraction) {
    return fraction.toPercent(2, RoundingMode.HALF_UP);
  }
}
