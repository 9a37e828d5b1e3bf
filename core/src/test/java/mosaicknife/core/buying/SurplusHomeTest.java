package mosaicknife.core.buying;

import static org.testng.Assert.assertEquals;

import java.util.List;
import mosaicknife.core.finding.Finding;
import org.testng.annotations.Test;

public class SurplusHomeTest {

  private static SurplusHome.Dish dish(long id, String name, String... fish) {
    return new SurplusHome.Dish(id, name, "Low Tide Counter", List.of(fish));
  }

  @Test
  public void anotherDishOfTheSameFishTakesWhatIsOver() {
    SurplusHome.Dish hake = dish(1, "Hake in butter", "hake", "pollack");
    SurplusHome.Dish soup = dish(2, "Gurnard soup", "gurnard");
    SurplusHome.Dish fried = dish(3, "Fried pollack", "pollack");
    assertEquals(
        SurplusHome.find(hake, List.of(hake, soup, fried)),
        Finding.of(SurplusHome.OTHER_DISH, "Fried pollack", "Low Tide Counter"));
    assertEquals(
        SurplusHome.find(hake, List.of(hake, soup)), Finding.of(SurplusHome.STAFF_OR_FREEZER));
  }
}
