package mosaicknife.e2e;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.AxeResults;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Every page under an accessibility scan, light and dark, wide and narrow. */
public class AccessibilityTest extends InBrowser {

  @Override
  boolean sharesAHouse() {
    return true;
  }

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
          "/cost",
          "/cost/compare?with=lot-1&with=lot-2",
          "/slice",
          "/slice/1?bones=ABOVE_THE_ROW",
          "/slice/1/board?step=3",
          "/uses/2",
          "/house/people",
          "/house/units",
          "/house/upkeep",
          "/me",
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

  /** Pages of a template that was looked at already: their colours and widths are the same. */
  private static final List<String> AGAIN =
      List.of("/plan/7", "/lots?query=gurnard", "/bench/2", "/bench/6", "/cost/5", "/buy/new");

  /** 200 KB over the wire. */
  private static final long MOST_BYTES = 200_000;

  /** What dark and narrow change of a page; the rest is the same markup. */
  private static final List<String> LOOKS =
      List.of("color-contrast", "scrollable-region-focusable", "target-size");

  @DataProvider
  Object[][] looks() {
    return new Object[][] {
      {1280, 800, ColorScheme.LIGHT, List.of()},
      {390, 844, ColorScheme.DARK, LOOKS}
    };
  }

  @Test(dataProvider = "looks")
  public void noPageHasASeriousFinding(
      int width, int height, ColorScheme scheme, List<String> rules) {
    Page page = tablet(width, height, scheme);
    page.navigate(address("/sign-in"));
    List<String> faults = new ArrayList<>(scan(page, "/sign-in", rules));
    signIn(page, "adaeze");
    page.onConsoleMessage(
        said -> {
          // a page that is not there is said so by the browser too
          if (said.type().equals("error") && !page.url().endsWith("/nowhere")) {
            faults.add(page.url() + " says: " + said.text());
          }
        });
    for (String path : PAGES) {
      if (!rules.isEmpty() && AGAIN.contains(path)) {
        continue;
      }
      page.navigate(address(path));
      faults.addAll(scan(page, path, rules));
      int wide = (int) page.evaluate("() => document.documentElement.scrollWidth");
      if (wide > width) {
        faults.add(path + " is " + wide + " px wide on a screen of " + width);
      }
    }
    assertTrue(faults.isEmpty(), String.join("\n", faults));
  }

  @DataProvider
  Object[][] firstViews() {
    return new Object[][] {{"/"}, {"/bench/5"}, {"/cost/1"}, {"/buy"}, {"/catalogue"}};
  }

  /** Over the wire as a browser gets it that was never here: page, styles, scripts and fonts. */
  @Test(dataProvider = "firstViews")
  public void theFirstViewIsLightAndNothingJumps(String path) {
    Page page = tablet(1280, 800, ColorScheme.LIGHT);
    signIn(page, "adaeze");
    CDPSession browser = page.context().newCDPSession(page);
    browser.send("Network.enable");
    browser.send("Network.clearBrowserCache");
    AtomicLong bytes = new AtomicLong();
    browser.on(
        "Network.loadingFinished",
        event -> bytes.addAndGet(event.get("encodedDataLength").getAsLong()));
    page.addInitScript(
        "window.jumps = 0; new PerformanceObserver((list) => list.getEntries().forEach("
            + "(e) => { if (!e.hadRecentInput) window.jumps += e.value; }))"
            + ".observe({ type: 'layout-shift', buffered: true });");
    page.navigate(address(path));
    page.evaluate("() => document.fonts.ready");
    assertTrue(bytes.get() > 20_000, "nothing was counted: " + bytes);
    assertTrue(bytes.get() <= MOST_BYTES, path + " takes " + bytes + " bytes");
    double jumps = ((Number) page.evaluate("window.jumps")).doubleValue();
    assertTrue(jumps < 0.02, path + " jumps by " + jumps);
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
    // no frames here, and of what passes one node is enough
    AxeRunOptions lean = new AxeRunOptions();
    lean.setResultTypes(List.of("violations"));
    AxeBuilder builder = new AxeBuilder(page).setLegacyMode(true).options(lean);
    AxeResults results = (rules.isEmpty() ? builder : builder.withRules(rules)).analyze();
    assertFalse(results.getPasses().isEmpty(), "the scan of " + path + " looked at nothing");
    return results.getViolations().stream()
        .filter(v -> List.of("serious", "critical").contains(v.getImpact()))
        .map(v -> path + ": " + v.getId() + ": " + v.getNodes().get(0).getHtml())
        .toList();
  }
}
