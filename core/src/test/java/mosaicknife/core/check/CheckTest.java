package mosaicknife.core.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.expectThrows;

import java.util.List;
import org.testng.Assert.ThrowingRunnable;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class CheckTest {

  @DataProvider
  Object[][] refusals() {
    return new Object[][] {
      {run(() -> Check.notNull(null, "lot")), "Expected a lot, found none"},
      {run(() -> Check.text("  ", "name")), "Expected text as name, found '  '"},
      {run(() -> Check.inRange(1.5, 0, 1, "share")), "Expected share from 0.0 to 1.0, found 1.5"},
      {
        run(() -> Check.inRange(Double.NaN, 0, 1, "share")),
        "Expected share from 0.0 to 1.0, found NaN"
      },
      {run(() -> Check.inRange(7, 1, 3, "fish")), "Expected fish from 1 to 3, found 7"},
      {run(() -> Check.notEmpty(List.of(), "parts")), "Expected at least one of parts, found none"},
      {run(() -> Check.that(false, "Expected sense")), "Expected sense"},
    };
  }

  @Test(dataProvider = "refusals")
  public void saysWhatWasExpectedOfWhatAndWhatCame(ThrowingRunnable check, String message) {
    assertEquals(expectThrows(IllegalArgumentException.class, check).getMessage(), message);
  }

  @Test
  public void returnsWhatPasses() {
    assertEquals(Check.notNull("lot", "lot"), "lot");
    assertEquals(Check.text("hake", "name"), "hake");
    assertEquals(Check.inRange(1.0, 0, 1, "share"), 1.0);
    assertEquals(Check.inRange(3, 1, 3, "fish"), 3);
    assertEquals(Check.notEmpty(List.of(1), "parts"), List.of(1));
  }

  private static ThrowingRunnable run(ThrowingRunnable check) {
    return check;
  }
}
