package mosaicknife.e2e;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.AxeResults;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Every page under an accessibility scan, light and dark, wide and narrow. */
public class AccessibilityTest extends InBrowser {

  private static final List<String> PAGES =
      List.of(
          "/",
          "/dock/receive",
          "/dock/5",
          "/lots",
          "/lots?for=plan&past=1",
          "/plan/3",
          "/plan/7",
          "/lots?query=gurnard",
          "/bench/2",
          "/bench/4",
          "/bench/6",
          "/cost/1",
          "/cost/5",
          "/uses/2",
          "/house/people",
          "/house/units",
          "/house/suppliers",
          "/house/trays",
          "/dock",
          "/dock/rules",
          "/dock/5/passport",
          "/catalogue?query=hake",
          "/catalogue/fish/hake",
          "/catalogue/plans",
          "/catalogue/plans/deep-loin",
          "/catalogue/parts?query=bloodline",
          "/catalogue/tonight",
          "/buy?profile=WEEKEND",
          "/buy/dishes/1?profile=WEEKEND",
          "/buy/new",
          "/buy/prices",
          "/buy/prices/of/hake",
          "/buy/orders",
          "/buy/orders/1",
          "/nowhere");

  /** What dark and narrow change of a page; the rest is the same markup. */
  private static final List<String> LOOKS =
      List.of("color-contrast", "scrollable-region-focusable", "target-size");

  @DataProvider
  Object[][] looks() {
    return new Object[][] {
      {1280, 800, ColorScheme.LIGHT, List.of()},
      {1280, 800, ColorScheme.DARK, LOOKS},
      {390, 844, ColorScheme.LIGHT, LOOKS}
    };
  }

  @Test(dataProvider = "looks")
  public void noPageHasASeriousFinding(
      int width, int height, ColorScheme scheme, List<String> rules) {
    Page page = tablet(width, height, scheme);
    page.navigate(address("/sign-in"));
    List<String> faults = new ArrayList<>(scan(page, "/sign-in", rules));
    signIn(page, "adaeze");
    for (String path : PAGES) {
      page.navigate(address(path));
      faults.addAll(scan(page, path, rules));
      int wide = (int) page.evaluate("() => document.documentElement.scrollWidth");
      if (wide > width) {
        faults.add(path + " is " + wide + " px wide on a screen of " + width);
      }
    }
    assertTrue(faults.isEmpty(), String.join("\n", faults));
  }

  @Test
  public void theMosaicHasATableThatSaysTheSame() {
    Page page = signedIn("ines");
    page.navigate(address("/uses/1"));
    int tiles = page.locator(".mosaic .tile").count();
    assertEquals(page.locator(".mosaic tbody tr").count(), tiles);
    assertTrue(page.locator(".mosaic tbody").textContent().contains("Left fillet"));
  }

  @Test
  public void withoutScriptThePagesStillWork() {
    Page page = signedIn("tobiah");
    page.route("**/*.js", route -> route.abort());
    page.navigate(address("/bench/7"));
    page.fill("#typed", "350 g");
    page.click("#take-typed");
    page.waitForURL(address -> address.contains("/bench/7"));
    assertEquals(page.locator(".tally tr.weighed").count(), 1);
  }

  /** The serious findings of a page under some rules, or under all of them if none is named. */
  private static List<String> scan(Page page, String path, List<String> rules) {
    AxeBuilder builder = new AxeBuilder(page);
    AxeResults results = (rules.isEmpty() ? builder : builder.withRules(rules)).analyze();
    assertFalse(results.getPasses().isEmpty(), "the scan of " + path + " looked at nothing");
    return results.getViolations().stream()
        .filter(v -> List.of("serious", "critical").contains(v.getImpact()))
        .map(v -> path + ": " + v.getId() + ": " + v.getNodes().get(0).getHtml())
        .toList();
  }
}
