package mosaicknife.core.lot;

import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;

/** The agreement of all stations over many lots. Run by {@code ./mosaic bench} only. */
public class AgreementBench {

  private static final int LOTS = 20_000;

  @Test
  public void everyStationCountsThePlatesAPencilCounts() {
    int counted = 0;
    // other lots than the default test has seen
    for (long seed = 100_001; seed <= 100_000 + LOTS; seed++) {
      RandomBoard one = new RandomBoard(seed);
      if (!one.isUndecided()) {
        OneAnswerTest.check("seed " + seed, one);
        counted++;
      }
    }
    assertTrue(counted > LOTS / 2, "only " + counted + " lots have an answer");
    System.out.printf(
        "measured | lots that every station counts alike | %d | %d drawn | good%n", counted, LOTS);
  }
}
