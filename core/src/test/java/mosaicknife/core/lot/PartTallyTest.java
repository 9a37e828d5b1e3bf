package mosaicknife.core.lot;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.Diagnosis;
import mosaicknife.core.breakdown.Explanation;
import mosaicknife.core.breakdown.Tray;
import mosaicknife.core.quantity.Mass;
import org.testng.Reporter;
import org.testng.annotations.Test;

/** The tally of one loin that was weighed and cut further: what is wrong is of it, not the fish. */
public class PartTallyTest {

  private static final Map<Long, Tray> TRAYS =
      Map.of(1L, new Tray("Dish", Mass.ofGrams(96)), 2L, new Tray("Steel tray", Mass.ofGrams(212)));

  private static final String LOIN = "loin-top-left";

  private static final List<String> KINDS =
      List.of("eye-of-loin", "back-strip", "inner-strip", "tail-piece", "trim");

  /** Shares of a loin, and how much they differ: the test's own. */
  private static final double[][] SHARES = {
    {.50, .05}, {.15, .03}, {.12, .02}, {.14, .02}, {.07, .015}
  };

  private static TestLot loin(int grams, int... pieces) {
    TestLot lot = new TestLot("albacore", State.GUTTED, 1, "10", "");
    KINDS.forEach(kind -> lot.cut(LOIN, kind));
    lot.weigh(LOIN, 1, grams);
    for (int i = 0; i < pieces.length; i++) {
      lot.weigh(KINDS.get(i) + "-of-" + LOIN, 1, pieces[i]);
    }
    return lot;
  }

  @Test
  public void aLoinOfWhichMoreWasCutThanItWeighsIsToldItself() {
    // 1400 g; its tray was taken off twice
    LotSheet sheet = loin(1188, 705, 212, 165, 196, 98).sheet();
    Diagnosis found = Tally.search(sheet, TRAYS).orElseThrow();
    Explanation first = found.explanations().get(0);
    assertEquals(sheet.partWeighedBy(first.line()).map(LotPart::slot), Optional.of(LOIN));
    assertTrue(
        found.explanations().stream().noneMatch(e -> e.line().equals(Explanation.WHOLE)),
        "never the fish: " + found.explanations());
  }

  /** Two digits changed places, so that it weighs less than its pieces; as it is if none does. */
  private static int lighter(int grams, int pieces) {
    String digits = "" + grams;
    for (int i = 1; i < digits.length(); i++) {
      char[] swapped = digits.toCharArray();
      swapped[i] = digits.charAt(i - 1);
      swapped[i - 1] = digits.charAt(i);
      int read = Integer.parseInt(new String(swapped));
      if (read > 1000 && read < pieces - 60) {
        return read;
      }
    }
    return grams;
  }

  @Test
  public void thePartThatIsWrongIsBlamed() {
    Random random = new Random(61);
    int right = 0;
    int spoken = 0;
    int sound = 0;
    int all = 400;
    for (int i = 0; i < all; i++) {
      int grams = 1150 + random.nextInt(500);
      int[] pieces = new int[KINDS.size()];
      double[] shares = new double[pieces.length];
      double sum = 0;
      for (int k = 0; k < pieces.length; k++) {
        shares[k] = SHARES[k][0] + SHARES[k][1] * random.nextGaussian();
        sum += shares[k];
      }
      double drip = grams * random.nextDouble(0.97, 0.997);
      for (int k = 0; k < pieces.length; k++) {
        pieces[k] = (int) (drip * shares[k] / sum / 2) * 2;
      }
      sound += Tally.search(loin(grams, pieces).sheet(), TRAYS).isPresent() ? 1 : 0;
      int wrong = random.nextInt(2 * pieces.length);
      int loin = grams;
      if (wrong < pieces.length) {
        pieces[wrong] *= 2;
      } else {
        loin = lighter(grams, IntStream.of(pieces).sum());
      }
      LotSheet sheet = loin(loin, pieces).sheet();
      String culprit = wrong < pieces.length ? KINDS.get(wrong) + "-of-" + LOIN : LOIN;
      Optional<Explanation> found = Tally.search(sheet, TRAYS).flatMap(Diagnosis::best);
      boolean asItIs = wrong >= pieces.length && loin == grams;
      spoken += found.isPresent() ? 1 : 0;
      sound += asItIs && found.isPresent() ? 1 : 0;
      right +=
          found
                  .flatMap(e -> sheet.partWeighedBy(e.line()))
                  .filter(part -> part.slot().equals(culprit))
                  .isPresent()
              ? 1
              : 0;
    }
    Reporter.log(
        "a loin of its own: a word of %d in %d, the right part %d; of sound ones %d"
            .formatted(spoken, all, right, sound),
        true);
    assertTrue(sound <= all / 100, "sound ones accused " + sound);
    assertTrue(right >= 0.9 * spoken, "right %d of %d".formatted(right, spoken));
  }
}
