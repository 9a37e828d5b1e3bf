package mosaicknife.core.anatomy;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** A name that stands for several fish is not let pass without a word. */
public class SharedNameTest {

  @DataProvider
  public Object[][] dangerous() {
    return new Object[][] {
      {"Butterfish", "wax oil"},
      {"white  tuna", "wax oil"},
      {"red snapper", "toxin"},
      {"Sea-Bream", "gold bar"},
      {"rudderfish", "scientific name"},
      {"Dorade", "farmed"},
      {"ling", "Lingcod"},
      {"eel", "papers"},
    };
  }

  @Test(dataProvider = "dangerous")
  public void whatMattersIsSaid(String typed, String words) {
    String said = SharedName.find(typed).orElseThrow().difference();
    assertTrue(said.contains(words), said);
    assertTrue(said.endsWith("."), "full sentences");
  }

  @Test
  public void anUnmistakableNameStaysSilent() {
    for (String name : new String[] {"turbot", "", "s", "butter", "hake", "dover sole"}) {
      assertEquals(SharedName.find(name), Optional.empty(), name);
    }
  }
}
