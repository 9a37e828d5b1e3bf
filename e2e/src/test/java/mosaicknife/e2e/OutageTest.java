package mosaicknife.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.APIRequestContext;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.RequestOptions;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import org.springframework.util.FileSystemUtils;
import org.testng.ITestResult;
import org.testng.annotations.AfterClass;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/**
 * The plugs are pulled in the middle of a fish: the server by SIGKILL, the database by an immediate
 * shutdown, the browser by closing it. The bench goes on, and every weight arrives once, in order.
 */
public class OutageTest {

  private static final int ALBACORE = 7;
  private static final String WEIGHINGS =
      """
      select p.slot || ' ' || coalesce(w.mass_mg / 1000, 0) || ' ' || w.kind
      from weighing w join lot_part p on p.id = w.part_id
      where p.lot_id = 7 order by w.stored_at, w.taken_at
      """;

  private Houses houses;
  private Playwright playwright;
  private Path profile;
  private BrowserContext browser;
  private int port;

  @BeforeClass
  void start() throws IOException {
    houses = new Houses();
    port = Houses.freePort();
    profile = Files.createTempDirectory("mosaic-browser");
    Patience.forAssertions();
    playwright =
        Playwright.create(
            new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
  }

  private Page open() {
    browser =
        Patience.with(
            playwright
                .chromium()
                .launchPersistentContext(
                    profile,
                    new BrowserType.LaunchPersistentContextOptions()
                        .setExecutablePath(Chromium.PATH)
                        .setViewportSize(1280, 800)
                        .setArgs(Chromium.FLAGS)));
    return browser.newPage();
  }

  private String address(String path) {
    return "http://127.0.0.1:" + port + path;
  }

  private static void signIn(Page page) {
    page.fill("#name", "tobiah");
    page.fill("#password", "port-sallow-demo");
    page.click("button:has-text('Sign in')");
    page.waitForURL(address -> !address.contains("/sign-in"));
  }

  private static void type(Page page, String weight) {
    String part = page.locator("#next-part b").textContent();
    page.fill("#typed", weight);
    page.click("#take-typed");
    assertThat(page.locator(".tally tr:has-text('" + part + "') .weight")).containsText(weight);
    assertThat(page.locator("#next-part b")).not().hasText(part);
  }

  private List<String> stored() {
    return JdbcClient.create(new DriverManagerDataSource(houses.url(), "mosaic", ""))
        .sql(WEIGHINGS)
        .query(String.class)
        .list();
  }

  @Test
  public void nothingIsLostWhenServerDatabaseAndBrowserDie() throws IOException {
    Process server = houses.start(port, true);
    Page page = open();
    page.navigate(address("/bench/" + ALBACORE));
    signIn(page);
    assertThat(page.locator("#live-words")).hasText("empty");
    // the first visit is enough to open the bench while the server is away
    assertThat(page.locator("html[data-kept]")).hasCount(1);
    type(page, "400 g");
    assertThat(page.locator("#said")).hasText("Fins and tail 400 g taken.");

    // 1. the server dies; the bench goes on: take, next part, undo, take
    server.destroyForcibly();
    assertThat(page.locator("#live-words")).containsText("no connection");
    type(page, "2.510 kg");
    assertThat(page.locator("#waiting")).containsText("1 weight waits here");
    type(page, "790 g");
    assertThat(page.locator("#waiting")).containsText("2 weights wait here");
    page.locator("#main").focus();
    page.keyboard().press("z");
    assertThat(page.locator("#next-part b")).hasText("Collars");
    type(page, "780 g");
    assertThat(page.locator(".tally tr.waits")).hasCount(2);

    // 2. the browser is closed and opened again while the server is still away
    browser.close();
    page = open();
    page.navigate(address("/bench/" + ALBACORE));
    assertThat(page.locator(".tally tr.waits")).hasCount(2);
    assertThat(page.locator("#next-part b")).hasText("Top left loin");
    type(page, "2.150 kg");
    assertEquals(stored().size(), 1, "only what was sent before the server died is stored");

    // 3. the server is back: all of it arrives, once and in order
    houses.start(port, true);
    page.waitForURL(Pattern.compile(".*/sign-in.*"));
    signIn(page);
    // a page that has only just opened shows none waiting, because it has not looked yet
    assertThat(page.locator(".tally tr.weighed")).hasCount(4);
    assertThat(page.locator(".tally tr.waits")).hasCount(0);
    assertThat(page.locator("#waiting")).isHidden();
    List<String> first =
        List.of(
            "fins 400 TAKEN",
            "head 2510 TAKEN",
            "collar 790 TAKEN",
            "collar 0 TAKEN_BACK",
            "collar 780 TAKEN",
            "loin-top-left 2150 TAKEN");
    assertEquals(stored(), first);

    // 4. the database is shut down at once, with a part on the scale
    page.click("#stand-in summary");
    page.click("#stand-in button[value=put]");
    assertThat(page.locator("#take-button")).isEnabled();
    String shown = page.locator("#live-figure").textContent();
    houses.killDatabase();
    page.click("#take-button");
    assertThat(page.locator(".tally tr.waits .weight")).containsText(shown);
    type(page, "2.160 kg");
    assertThat(page.locator("#waiting")).containsText("2 weights wait here");
    everythingSaysThatTheDatabaseIsAway(page);
    houses.startDatabase();
    assertThat(page.locator(".tally tr.waits")).hasCount(0);
    List<String> all = stored();
    assertEquals(all.subList(0, first.size()), first);
    assertEquals(all.size(), first.size() + 2, all.toString());
    assertTrue(all.get(first.size()).startsWith("loin-bottom-left "), all.toString());
    assertEquals(all.get(first.size() + 1), "loin-top-right 2160 TAKEN");
    String gross =
        JdbcClient.create(new DriverManagerDataSource(houses.url(), "mosaic", ""))
            .sql(
                "select w.source from weighing w join lot_part p on p.id = w.part_id where"
                    + " p.slot = 'loin-bottom-left' and p.lot_id = 7 and w.gross_mg = w.mass_mg")
            .query(String.class)
            .single();
    assertEquals(gross, "SCALE", "a weight that waited keeps the reading it came from");

    // 5. a second instance comes beside it
    twoInstancesOnOneDatabaseSeeEachOthersWeights();
  }

  /** A page, a fragment and the API; each with one sentence, none with a fault of the program. */
  private void everythingSaysThatTheDatabaseIsAway(Page page) {
    APIRequestContext requests = page.request();
    for (APIResponse answer :
        List.of(
            requests.get(address("/dock")),
            requests.get(
                address("/bench/" + ALBACORE),
                RequestOptions.create().setHeader("HX-Request", "true")),
            requests.get(
                address("/api/v1/lots"),
                RequestOptions.create().setHeader("Authorization", "Bearer none")))) {
      assertEquals(answer.status(), 503, answer.url());
      assertTrue(answer.text().contains("The database did not answer."), answer.text());
    }
  }

  private void aProxyIsBelievedOnlyWhereThatWasSaid(int told) throws IOException {
    String forwarded = "X-Forwarded-Proto: https\r\nX-Forwarded-For: 203.0.113.7\r\n";
    try (KeptLine believing = new KeptLine(told);
        KeptLine doubting = new KeptLine(port)) {
      String safe = believing.send("GET", "/sign-in", forwarded, "").head();
      String plain = doubting.send("GET", "/sign-in", forwarded, "").head();
      assertTrue(safe.contains("Strict-Transport-Security: "), safe);
      assertTrue(safe.matches("(?s).*Set-Cookie: XSRF-TOKEN=[^\n]*; Secure.*"), safe);
      assertFalse(plain.contains("Strict-Transport-Security"), plain);
      assertFalse(plain.contains("; Secure"), plain);
    }
  }

  private void twoInstancesOnOneDatabaseSeeEachOthersWeights() throws IOException {
    int second = Houses.freePort();
    houses.start(second, true, "--server.forward-headers-strategy=native");
    aProxyIsBelievedOnlyWhereThatWasSaid(second);
    Page here = browser.newPage();
    here.navigate(address("/bench/5"));
    // one browser, two instances: the session lies in the database and holds for both
    Page there = browser.newPage();
    there.navigate("http://127.0.0.1:" + second + "/bench/5");
    assertThat(there.locator("#live-words")).hasText("empty");
    for (String weight : List.of("61 g", "21 g")) {
      String part = here.locator("#next-part b").textContent();
      type(here, weight);
      assertThat(there.locator(".tally tr:has-text('" + part + "') .weight")).containsText(weight);
    }
    String part = there.locator("#next-part b").textContent();
    type(there, "201 g");
    assertThat(here.locator(".tally tr:has-text('" + part + "') .weight")).containsText("201 g");
  }

  @AfterMethod(alwaysRun = true)
  void tell(ITestResult result) {
    if (!result.isSuccess() && browser != null) {
      Patience.tell(browser, result.getName());
    }
  }

  @AfterClass(alwaysRun = true)
  void stop() throws IOException {
    if (playwright != null) {
      playwright.close();
    }
    if (houses != null) {
      houses.close();
    }
    FileSystemUtils.deleteRecursively(profile);
  }
}
