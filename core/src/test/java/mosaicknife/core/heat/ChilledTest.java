package mosaicknife.core.heat;

import static org.testng.Assert.assertEquals;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.Temperature;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What was cooked outside a pot is shelved by a reading, in time, or not at all. */
public class ChilledTest {

  private static final CoolingRule RULE = new CoolingRule(57, 21, 120, 5, 360);
  private static final Instant NOON = Instant.parse("2026-11-26T12:00:00Z");

  @DataProvider
  Object[][] readings() {
    return new Object[][] {
      {50, 360, null},
      {51, 30, Cooling.Problem.NOT_READ_COLD},
      {30, 361, Cooling.Problem.MISSED},
      {30, 0, null},
    };
  }

  @Test(dataProvider = "readings")
  public void itIsColdEnoughAndInTime(int tenths, int minutes, Cooling.Problem problem) {
    Chilled read =
        new Chilled(
            new Temperature(tenths),
            NOON,
            NOON.minus(Duration.ofMinutes(minutes)),
            "probe 2",
            Optional.empty());
    assertEquals(what(Optional.of(read)), problem);
  }

  @Test
  public void nothingReplacesAReading() {
    assertEquals(what(Optional.empty()), Cooling.Problem.NOT_READ_COLD);
  }

  private static Enum<?> what(Optional<Chilled> reading) {
    return Chilled.shelving(reading, RULE).map(Finding::what).orElse(null);
  }
}
