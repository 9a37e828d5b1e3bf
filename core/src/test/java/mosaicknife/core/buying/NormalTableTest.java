package mosaicknife.core.buying;

import static org.testng.Assert.assertEquals;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Against printed values of the normal distribution, and its symmetry between the points. */
public class NormalTableTest {

  /** Deviations and the probability below them, to ten places. */
  @DataProvider
  public Object[][] printed() {
    return new Object[][] {
      {0.0, 0.5},
      {1.0, 0.8413447461},
      {1.2815515655, 0.9},
      {1.959963985, 0.975},
      {2.5758293035, 0.995},
      {-3.0, 0.0013498980},
      {-4.5, 0.0000033977},
      {-40.0, 0.0},
      {40.0, 1.0},
      {Double.NEGATIVE_INFINITY, 0.0},
      {Double.POSITIVE_INFINITY, 1.0}
    };
  }

  @Test(dataProvider = "printed")
  public void theTableIsAsPrinted(double deviations, double below) {
    assertEquals(NormalTable.below(deviations), below, 1e-10);
  }

  @Test
  public void itIsSymmetricAndRisesBetweenThePointsToo() {
    double before = 0;
    for (double x = -8.9; x < 8.9; x += 0.000_37) {
      double below = NormalTable.below(x);
      assertEquals(below + NormalTable.below(-x), 1, 1e-13, "at " + x);
      assertEquals(Math.min(before, below), before, 1e-15, "at " + x);
      before = below;
    }
  }
}
