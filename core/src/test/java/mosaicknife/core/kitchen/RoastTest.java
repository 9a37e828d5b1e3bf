package mosaicknife.core.kitchen;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;

import mosaicknife.core.quantity.Mass;
import org.testng.annotations.Test;

/** A turbot for a table. */
public class RoastTest {

  @Test
  public void itServesWholePersonsOfWhatIsLeftOnThePlates() {
    Roast roast = new Roast(Mass.ofGrams(3000), Mass.ofGrams(1300), Mass.ofGrams(170));
    // 1300 g less 18 % are 1066 g
    assertEquals(roast.cooked(), Mass.ofGrams(1066));
    assertEquals(roast.serves(), 6L);
    assertEquals(new Roast(Mass.ofGrams(300), Mass.ofGrams(120), Mass.ofGrams(170)).serves(), 0L);
    assertThrows(
        IllegalArgumentException.class,
        () -> new Roast(Mass.ofGrams(100), Mass.ofGrams(120), Mass.ofGrams(170)));
  }
}
