package mosaicknife.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import mosaicknife.app.TestLots;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.lot.Weighing;
import org.testng.annotations.Test;

/** The bench under wet gloves, hasty thumbs, other tablets, and a scale that misbehaves. */
public class BenchTest extends InBrowser {

  private static final int POLLACK = 3;
  private static final int FORGOTTEN_TARE = 4;
  private static final int PLAICE = 5;
  private static final int GURNARDS = 6;
  private static final int ALBACORE = 7;

  private int receive(String species, String kilograms) {
    return (int) new TestLots(app).receive(species, State.GUTTED, 1, kilograms);
  }

  @Test
  public void aDoubleTapIsOneWeighing() {
    Page page = bench("tobiah", PLAICE);
    putOn(page);
    assertThat(page.locator("#take-button")).isEnabled();
    page.dblclick("#take-button");
    assertThat(page.locator("#live-words")).hasText("taken: put the next part on");
    assertThat(page.locator("#take-button")).isDisabled();
    assertThat(page.locator(".tally tr.weighed")).hasCount(1);
    assertEquals(facts(PLAICE).size(), 1);
  }

  @Test
  public void theKeysWorkTheBench() {
    int lot = receive("plaice", "1.224");
    Page page = bench("tobiah", lot);
    page.keyboard().press("5");
    assertThat(page.locator(".tally tr.chosen .number")).hasText("5");
    page.keyboard().press("ArrowRight");
    assertThat(page.locator(".tally tr.chosen .number")).hasText("6");
    page.keyboard().press("ArrowLeft");
    assertThat(page.locator(".tally tr.chosen .number")).hasText("5");
    putOn(page);
    page.click("#stand-in summary");
    page.locator("#main").focus();
    assertThat(page.locator("#take-button")).isEnabled();
    page.keyboard().press("Space");
    assertThat(page.locator(".tally tr.weighed")).hasCount(1);
    page.waitForResponse("**/back", () -> page.keyboard().press("z"));
    assertThat(page.locator(".tally tr.weighed")).hasCount(0);
    assertThat(page.locator("#said")).hasText(Pattern.compile(".* taken back\\."));
    assertEquals(facts(lot).size(), 2, "the weighing and its taking back are kept");
    page.keyboard().press("?");
    assertThat(page.locator("#help")).isVisible();
    page.keyboard().press("Escape");
    assertThat(page.locator("#help")).isHidden();
  }

  @Test
  public void takeBackNamesWhatItTakesAndAfterARefusedWeightTakesNothing() {
    int lot = receive("plaice", "1.224");
    Page page = bench("tobiah", lot);
    assertThat(page.locator("#back-name")).hasText("");
    String part = page.locator("#next-part b").textContent();
    page.fill("#typed", "41 g");
    page.click("#take-typed");
    assertThat(page.locator("#back-name")).hasText(part + " 41 g");
    page.fill("#typed", "plenty");
    page.click("#take-typed");
    assertThat(page.locator("#sheet .alert-danger")).isVisible();
    assertThat(page.locator("#back-name")).hasText("");
    page.click("#back-form button");
    assertThat(page.locator("#sheet .alert-danger")).hasCount(0);
    assertThat(page.locator("#said"))
        .hasText("That weight was not taken, so nothing is taken back.");
    assertThat(page.locator(".tally tr.weighed")).hasCount(1);
    assertThat(page.locator("#back-name")).hasText(part + " 41 g");
    page.waitForResponse("**/back", () -> page.click("#back-form button"));
    assertThat(page.locator(".tally tr.weighed")).hasCount(0);
    assertThat(page.locator("#back-name")).hasText("");
  }

  @Test
  public void aFigureTenTimesOffIsAskedAboutOnceAndThenTaken() {
    int lot = receive("plaice", "1.224");
    Page page = bench("tobiah", lot);
    page.click(".tally a:has-text('Gills')");
    assertThat(page.locator(".next-part b")).hasText("Gills");
    page.fill("#typed", "0.24 kg");
    assertThat(page.locator("#typed-echo .question")).containsText("Is the point right?");
    page.click("#take-typed");
    assertThat(page.locator("#sheet .alert-danger")).containsText("Take it again if it is right.");
    assertThat(page.locator("#typed")).hasValue("0.24 kg");
    assertEquals(facts(lot).size(), 0);
    page.waitForResponse("**/weighings", () -> page.click("#take-typed"));
    assertThat(page.locator(".tally tr.weighed")).hasCount(1);
    assertEquals(facts(lot).size(), 1);
  }

  @Test
  public void aSheetThatComesLateTakesNoQuestionAway() {
    int lot = receive("plaice", "1.224");
    Page page = bench("tobiah", lot);
    Pattern sheet = Pattern.compile(".*/bench/" + lot + "\\?.*part=gills");
    List<Route> held = new ArrayList<>();
    page.route(sheet, held::add);
    page.waitForRequest(sheet, () -> page.click(".tally a:has-text('Gills')"));
    page.fill("#typed", "0.24 kg");
    assertThat(page.locator("#typed-echo .question")).containsText("Is the point right?");
    // a tap in the moment the sheet is there, before anything is asked again
    page.evaluate(
        """
        () => new MutationObserver((seen, itself) => {
          if (!seen.some((one) => [...one.addedNodes].some((node) => node.id === 'sheet'))) return;
          itself.disconnect();
          document.getElementById('take-typed').click();
        }).observe(document.getElementById('sheet').parentElement, { childList: true })
        """);
    held.forEach(Route::resume);
    assertThat(page.locator("#sheet .alert-danger")).containsText("Take it again if it is right.");
    assertEquals(facts(lot).size(), 0);
  }

  @Test
  public void aTareNotTakenIsSeenAndAPartIsCorrectedWithAReason() {
    Page page = bench("tobiah", FORGOTTEN_TARE);
    assertThat(page.locator(".verdict.over")).containsText("over the fish");
    assertThat(page.locator(".suspicion.first")).containsText("steel tray weighs 212 g");
    assertThat(page.locator(".mosaic.cracked .crack-edge")).isVisible();
    page.click(".tally a:has-text('Head')");
    assertThat(page.locator(".next-part .was")).containsText("was ");
    page.fill("#typed", "724 g");
    page.click("#take-typed");
    assertThat(page.locator(".alert-danger")).containsText("Say why you are weighing it again");
    assertThat(page.locator("#typed")).hasValue("724 g");
    page.locator(".reasons .pick:has-text('wrong tare')").click();
    page.click("#take-typed");
    assertThat(page.locator(".tally tr:has-text('Head') .flags")).containsText("↻");
    assertThat(page.locator(".verdict.over")).hasCount(0);
  }

  @Test
  public void aScaleThatIsOverloadedOrGoneCannotBeTakenAndComesBack() {
    Page page = bench("tobiah", ALBACORE);
    openStandIn(page);
    page.click("#stand-in button[value=over]");
    assertThat(page.locator("#live-words")).hasText("overloaded: take something off");
    assertThat(page.locator("#take-button")).isDisabled();
    page.click("#stand-in button[value=gone]");
    assertThat(page.locator("#live-words")).hasText("no scale: type the weight");
    assertThat(page.locator("#take-button")).isDisabled();
    page.fill("#typed", "0.3 kg");
    page.click("#take-typed");
    assertThat(page.locator(".tally tr.weighed .flags")).containsText("⌨");
    assertThat(page.locator("#live-words"))
        .hasText(Pattern.compile("steady|empty|overloaded.*|settling"));
    openStandIn(page);
    page.click("#stand-in button[value=off]");
    assertThat(page.locator("#live-words")).hasText("empty");
  }

  @Test
  public void tareTakesTheTrayOff() {
    Page page = bench("tobiah", GURNARDS);
    openStandIn(page);
    page.click("#stand-in button[value=tray]");
    assertThat(page.locator("#live-figure")).hasText("212");
    assertThat(page.locator("#live-words")).hasText("steady");
    page.keyboard().press("t");
    assertThat(page.locator("#live-figure")).hasText("0");
    assertThat(page.locator("#live-tare")).hasText("tare 212 g");
    openStandIn(page);
    page.click("#stand-in button[value=tray]");
    assertThat(page.locator("#live-words")).hasText("below zero: tare again");
    assertThat(page.locator("#take-button")).isDisabled();
    page.keyboard().press("t");
    assertThat(page.locator("#live-tare")).hasText("");
  }

  @Test
  public void fishOfOneLotAreWeighedOneByOneOrTogether() {
    Page page = bench("tobiah", GURNARDS);
    page.click(".chip:has-text('Fish 3')");
    assertThat(page.locator(".chip[aria-current]")).hasText("Fish 3");
    assertThat(page.locator(".tally tr.weighed")).hasCount(0);
    page.fill("#typed", "30 g");
    page.click("#take-typed");
    assertThat(page.locator(".tally tr.weighed")).hasCount(1);
    page.click(".chip:has-text('All together')");
    assertThat(page.locator(".chip[aria-current]")).hasText("All together");
    page.click(".tally a:has-text('Frame')");
    assertThat(page.locator(".next-part b")).hasText("Frame");
    page.fill("#typed", "0.4 kg");
    page.click("#take-typed");
    assertThat(page.locator("#said")).hasText("Frame 400 g taken.");
  }

  @Test
  public void anEndedSessionLosesNothingThatWasTyped() {
    Page page = bench("tobiah", POLLACK);
    String part = page.locator(".next-part b").textContent();
    page.fill("#typed", "612 g");
    jdbc().sql("delete from spring_session").update();
    page.click("#take-typed");
    page.waitForURL(Pattern.compile(".*/sign-in.*"));
    assertThat(page.locator(".alert")).containsText("what you typed is waiting for you");
    int before = facts(POLLACK).size();
    signIn(page, "tobiah");
    // it waited in the browser and goes out by itself
    assertThat(page.locator("#said")).hasText(part + " 612 g taken.");
    assertEquals(facts(POLLACK).size(), before + 1);
  }

  @Test
  public void aStalePageIsToldWhoWasQuickerAndAnotherTabletSeesTheNews() {
    int lot = receive("pollack", "3.936");
    Page news = bench("ines", lot);
    Page deaf = tablet();
    deaf.route("**/stream", route -> route.abort());
    signIn(deaf, "maren");
    deaf.navigate(address("/bench/" + lot));
    Page quick = bench("tobiah", lot);

    String part = quick.locator(".next-part b").textContent();
    quick.fill("#typed", "150 g");
    quick.click("#take-typed");
    assertThat(news.locator(".tally tr:has-text('" + part + "') .weight")).hasText("150 g");

    deaf.fill("#typed", "160 g");
    deaf.click("#take-typed");
    assertThat(deaf.locator(".alert-danger"))
        .containsText(part + " was already weighed: 150 g by Tobiah Lund");
    assertThat(deaf.locator("#typed")).hasValue("160 g");
    assertThat(deaf.locator(".tally tr:has-text('" + part + "') .weight")).hasText("150 g");
  }

  @Test
  public void whatIsTypedSurvivesAReloadAndAServerThatIsAway() {
    Page page = bench("tobiah", ALBACORE);
    page.fill("#typed", "2.345 kg");
    page.reload();
    assertThat(page.locator("#typed")).hasValue("2.345 kg");
    page.route("**/weighings", route -> route.abort());
    page.click("#take-typed");
    assertThat(page.locator("#waiting")).hasText(Pattern.compile("1 weight waits here.*"));
    assertThat(page.locator(".tally tr.waits .weight")).hasText("2.345 kg");
    page.unroute("**/weighings");
    assertThat(page.locator("#said")).containsText("2.345 kg taken.");
    assertThat(page.locator("#waiting")).isHidden();
    assertThat(page.locator(".tally tr.waits")).hasCount(0);
  }

  @Test
  public void aWeightTypedBeforeTheSheetCameIsJudgedByThePartThatIsSaid() {
    Page page = bench("tobiah", receive("pollack", "3.936"));
    List<Route> held = new ArrayList<>();
    page.route("**/weighings", held::add);
    String first = page.locator("#next-part b").textContent();
    String firstAbout = page.locator("#next-part em").textContent();
    page.fill("#typed", "600 g");
    page.waitForRequest("**/weighings", () -> page.click("#take-typed"));
    assertThat(page.locator("#next-part b")).not().hasText(first);
    String about = page.locator("#next-part em").textContent();
    assertNotEquals(about, firstAbout);
    page.fill("#typed", about.replaceAll("[^0-9]", "") + "0 g");
    assertThat(page.locator("#typed-echo .question")).containsText("10 times off the " + about);
    page.unroute("**/weighings");
    held.forEach(Route::resume);
    assertThat(page.locator("#said")).containsText("600 g taken.");
  }

  @Test
  public void aSheetThatComesLateDoesNotCallOffTheNextOne() {
    Page page = bench("tobiah", receive("hake", "4.860"));
    page.click(".tally a:has-text('Left fillet')");
    assertThat(page.locator("#next-part b")).hasText("Left fillet");
    page.fill("#typed", "1.318 kg");
    page.click("#take-typed");
    assertThat(page.locator("#said")).containsText("1.318 kg taken.");
    page.click(".tally a:has-text('Left fillet')");
    page.click("#more summary");
    page.click("#start-row");
    assertThat(page.locator("#next-part b")).hasText("Portions of left fillet");
    // the sheet after the first portion is read, and comes when the second was answered
    page.evaluate(
        """
        () => {
          const real = window.fetch;
          const said = document.getElementById('said');
          const second = new Promise((done) => {
            new MutationObserver(() => said.textContent.includes('179 g taken') && done())
              .observe(said, { childList: true });
          });
          window.fetch = async (url, what) => {
            const answer = await real(url, what);
            if (!what?.method && !window.isHeld) {
              window.isHeld = true;
              await second;
            }
            return answer;
          };
        }
        """);
    for (String weight : List.of("181 g", "179 g")) {
      page.fill("#typed", weight);
      page.click("#take-typed");
      assertThat(page.locator("#said")).containsText(weight + " taken.");
      page.waitForFunction("() => window.isHeld");
    }
    assertThat(page.locator(".tally tr:has-text('Portions') th")).containsText("2 so far");
  }

  private Page bench(String person, int lot) {
    Page page = signedIn(person);
    page.navigate(address("/bench/" + lot));
    assertThat(page.locator("#live-words")).not().hasText(Pattern.compile("no connection.*"));
    return page;
  }

  private static void openStandIn(Page page) {
    Locator panel = page.locator("#stand-in");
    if (panel.getAttribute("open") == null) {
      panel.locator("summary").click();
    }
  }

  private static void putOn(Page page) {
    openStandIn(page);
    page.click("#stand-in button[value=put]");
  }

  private List<Weighing> facts(int lot) {
    return bean(LotSheets.class).facts(lot);
  }
}
