package mosaicknife.core.buying;

import static org.testng.Assert.assertEquals;

import java.util.List;
import mosaicknife.core.finding.Finding;
import org.testng.annotations.Test;

public class SurplusHomeTest {

  private static SurplusHome.Taker dish(long id, String name, String... fish) {
    return new SurplusHome.Taker(id, name, "Low Tide Counter", List.of(fish));
  }

  @Test
  public void anotherDishOfTheSameFishTakesWhatIsOver() {
    SurplusHome.Taker hake = dish(1, "Hake in butter", "hake", "pollack");
    SurplusHome.Taker soup = dish(2, "Gurnard soup", "gurnard");
    SurplusHome.Taker fried = dish(3, "Fried pollack", "pollack");
    assertEquals(
        SurplusHome.find(hake, List.of(hake, soup, fried)),
        Finding.of(SurplusHome.OTHER_DISH, "Fried pollack", "Low Tide Counter"));
    assertEquals(
        SurplusHome.find(hake, List.of(hake, soup)), Finding.of(SurplusHome.STAFF_OR_FREEZER));
  }
}
