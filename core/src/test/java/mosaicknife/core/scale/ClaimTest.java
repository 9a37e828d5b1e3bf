package mosaicknife.core.scale;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.UUID;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.scale.ScaleReading.Motion;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** When what was taken is gone, by scales of every habit. */
public class ClaimTest {

  private static final Instant TAP = Instant.parse("2026-11-25T12:00:00Z");
  private static final Instant LATER = TAP.plusSeconds(5);

  private static ScaleReading reading(long gross, long tare, Motion motion) {
    return new ScaleReading(Mass.ofGrams(gross), Mass.ofGrams(tare), motion, Mass.ofGrams(2));
  }

  private static ScaleReading steady(long gross) {
    return reading(gross, 0, Motion.STEADY);
  }

  private static Claim of(long gross, long tare) {
    return Claim.of(new UUID(1, 1), reading(gross, tare, Motion.STEADY), TAP);
  }

  @DataProvider
  public Object[][] next() {
    return new Object[][] {
      // a scale that is never seen to move goes from one part to the next
      {393, 0, steady(842), true},
      {393, 0, steady(0), true},
      {393, 0, steady(1), true},
      {393, 0, steady(-4), true},
      // three steps of 2 g, and not more
      {393, 0, steady(399), false},
      {393, 0, steady(387), false},
      {393, 0, steady(400), true},
      // a hundredth of 2 kg is 20 g: a dripping fillet is not the next part
      {2000, 0, steady(1981), false},
      {2000, 0, steady(1979), true},
      // a swing passes by; the pan that is empty for a moment was lifted
      {393, 0, reading(842, 0, Motion.MOVING), false},
      {393, 0, reading(1, 0, Motion.MOVING), true},
      {393, 0, reading(15_000, 0, Motion.OVERLOADED), false},
      // a tray of 212 g was tared: it alone is less than can be taken
      {605, 212, reading(212, 212, Motion.STEADY), true},
      {605, 212, reading(604, 212, Motion.STEADY), false},
      {393, 0, reading(393, 212, Motion.STEADY), true},
      {605, 212, reading(605, 0, Motion.STEADY), true},
    };
  }

  @Test(dataProvider = "next")
  public void itEndsWhenThePartIsGone(long gross, long tare, ScaleReading next, boolean gone) {
    Claim after = of(gross, tare).after(next);
    assertEquals(after.holds(LATER), !gone);
    assertTrue(after.holds(TAP.plusMillis(1999)), "two taps within two seconds are one");
  }

  @Test
  public void whatWasSeenToBeGoneStaysGoneThoughTheSameLiesThereAgain() {
    Claim lifted = of(393, 0).after(steady(0)).after(steady(393));
    assertTrue(lifted.holds(TAP.plusSeconds(1)));
    assertFalse(lifted.holds(TAP.plusSeconds(2)));
  }
}
