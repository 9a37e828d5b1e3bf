package mosaicknife.core.buying;

import static org.testng.Assert.assertEquals;

import java.util.Arrays;
import java.util.List;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Species;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What the name of a dish promises. */
public class SoldAsTest {

  private static final Catalogue CATALOGUE = Catalogue.shipped();

  @DataProvider
  public Object[][] dishes() {
    return new Object[][] {
      {"Hake, brown butter and capers", "hake,pollack,gurnard", "hake"},
      {"Turbot, sea herbs", "turbot,monkfish", "turbot"},
      {"Albacore, seared", "albacore,mackerel", "albacore"},
      {"Pollack and hake pie", "pollack,hake,gurnard", "pollack,hake"},
      // it names none of its fish: the catch of the day
      {"Fish and chips of the counter", "pollack,hake,gurnard", "pollack,hake,gurnard"},
      // a ray is in no spray
      {"Herb spray and sea bream", "ray", "ray"},
      {"Herb spray of hake", "ray,hake", "hake"},
    };
  }

  @Test(dataProvider = "dishes")
  public void itIsSoldAsTheFishItNames(String dish, String fish, String soldAs) {
    List<Species> made = Arrays.stream(fish.split(",")).map(CATALOGUE::getSpecies).toList();
    assertEquals(
        SoldAs.suggested(dish, made).stream().map(Species::code).toList(),
        List.of(soldAs.split(",")));
  }
}
