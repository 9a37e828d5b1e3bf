package mosaicknife.core.lot;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Optional;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.Test;

/** What a part weighed when it came off the heat. */
public class CookedTest {

  private static final Mass RAW = Mass.ofGrams(1200);

  private static Cooked bass(Optional<Mass> flesh) {
    return new Cooked("whole", Mass.ofGrams(1032), flesh, "Ines Varga", TestLot.NOON);
  }

  @Test
  public void aBassForTwoLosesAndGivesFlesh() {
    Cooked bass = bass(Optional.of(Mass.ofGrams(486)));
    assertEquals(bass.lost(RAW), Fraction.of(14, 100));
    assertEquals(bass.eaten(), Mass.ofGrams(486));
    assertEquals(bass.onAPlate(2), Optional.of(Mass.ofGrams(243)));
    assertTrue(bass.onAPlate(0).isEmpty());
    assertEquals(bass(Optional.empty()).eaten(), Mass.ofGrams(1032));
  }

  @Test
  public void poachedFishMayTakeUpWater() {
    assertTrue(problem(1200, 1320, null).isEmpty());
    assertEquals(bass(Optional.empty()).lost(Mass.ofGrams(1000)), Fraction.of(-32, 1000));
  }

  @Test
  public void whatCannotBeRightIsSaid() {
    assertEquals(what(problem(0, 800, null)), LotProblem.COOKED_NOT_WEIGHED);
    assertEquals(what(problem(1200, 1441, null)), LotProblem.COOKED_RANGE);
    assertEquals(what(problem(1200, 1, null)), LotProblem.COOKED_RANGE);
    assertEquals(what(problem(1200, 1000, 1001)), LotProblem.COOKED_FLESH);
    assertEquals(what(problem(1200, 1000, 0)), LotProblem.COOKED_FLESH);
    assertTrue(problem(1200, 1000, 1000).isEmpty());
  }

  private static Optional<Finding> problem(int raw, int out, Integer flesh) {
    return Cooked.problem(
        "Whole",
        Mass.ofGrams(raw),
        Mass.ofGrams(out),
        Optional.ofNullable(flesh).map(Mass::ofGrams));
  }

  private static Object what(Optional<Finding> finding) {
    return finding.orElseThrow().what();
  }
}
