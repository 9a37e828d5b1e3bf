package mosaicknife.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.regex.Pattern;
import mosaicknife.app.TestLots;
import mosaicknife.core.anatomy.State;
import org.testng.annotations.Test;

/** What surrounds the bench: decisions, purposes, the house, light and dark. */
public class StationsTest extends InBrowser {

  @Test
  public void todayLeadsToWhatNeedsADecision() {
    Page page = signedIn("ines");
    Locator first = page.locator(".decisions li").first();
    assertThat(first).containsText("Lot 4 · Hake does not add up");
    first.locator("a").click();
    assertThat(page.locator(".verdict.over")).isVisible();
    page.navigate(address("/"));
    page.click(".decisions a:has-text('Decide')");
    assertThat(page).hasURL(Pattern.compile(".*/uses/2"));
    assertThat(page.locator(".use-row.undecided")).hasCount(2);
  }

  @Test
  public void aRefusedHoldKeepsWhatWasTypedAndACompleteOneIsStored() {
    long lot = new TestLots(app).receive("turbot", State.GUTTED, 1, "3.4");
    Page page = signedIn("ines");
    page.navigate(address("/uses/" + lot));
    Locator row = page.locator("#row-head");
    row.locator("summary").click();
    row.locator("[name=becomes]").fill("soup for Sunday");
    row.locator("[name=place]").fill("freezer, shelf 1");
    row.locator("button:has-text('Hold it')").click();
    assertThat(page.locator(".alert-danger")).containsText("a date, a place and a person");
    assertThat(row.locator("[name=becomes]")).hasValue("soup for Sunday");
    assertThat(row.locator("[name=place]")).hasValue("freezer, shelf 1");
    row.locator("[name=until]").fill(LocalDate.now(ZoneOffset.UTC).plusDays(3).toString());
    row.locator("[name=keeper]").selectOption("Tobiah Lund");
    row.locator("button:has-text('Hold it')").click();
    assertThat(row.locator("summary")).containsText("freezer, shelf 1, Tobiah Lund");
    assertThat(row.locator("[aria-pressed=true]")).hasText("H");
    page.navigate(address("/uses/" + lot));
    assertThat(row.locator("[name=becomes]")).hasValue("soup for Sunday");
  }

  @Test
  public void aLotIsClosedAndOpenedAgain() {
    Page page = signedIn("tobiah");
    page.navigate(address("/bench/2"));
    page.click("button:has-text('Close the lot')");
    assertThat(page.locator("#said")).hasText("Lot 2 is closed.");
    assertThat(page.locator("#take")).hasCount(0);
    assertThat(page.locator(".strip li:has-text('Closed')")).hasClass(Pattern.compile("done"));
    page.click("button:has-text('Open again')");
    assertThat(page.locator("#said")).hasText("Lot 2 is open again.");
  }

  @Test
  public void aPartCutFurtherIsAddedWeighedAndShownInside() {
    Page page = signedIn("tobiah");
    page.navigate(address("/bench/3"));
    page.click("#more summary");
    page.selectOption("#add-kind", "trim");
    page.selectOption("#add-parent", "fillet-left");
    page.click("button:has-text('Add it')");
    assertThat(page.locator(".next-part b")).hasText("Trim, left fillet");
    page.fill("#typed", "86 g");
    page.click("#take-typed");
    assertThat(page.locator(".tally tr:has-text('Trim') .weight")).hasText("86 g");
  }

  @Test
  public void aPartThatIsNotTakenOffIsLeftOutOfTheTally() {
    Page page = signedIn("tobiah");
    page.navigate(address("/bench/5?part=fins"));
    page.click("#more summary");
    page.click("button:has-text('Fins and tail isn’t taken off')");
    assertThat(page.locator(".tally tr.skipped")).containsText("not taken off");
    // the drawer stays open over the change
    page.click("button:has-text('Take Fins and tail off after all')");
    assertThat(page.locator(".tally tr.skipped")).hasCount(0);
  }

  /** Going on before the answer is there would take the form back. */
  private static void save(Page page) {
    page.waitForResponse(
        response -> response.request().method().equals("POST"),
        () -> page.click("button:has-text('Save')"));
  }

  @Test
  public void aHouseThatWeighsInPoundsReadsPoundsEverywhere() {
    Page page = signedIn("adaeze");
    page.navigate(address("/house/units"));
    page.selectOption("#h-system", "IMPERIAL");
    save(page);
    page.navigate(address("/cost/1"));
    // 4.860 kg = 171.4 oz; 11.40/kg = 5.17/lb; 180 g = 6.3 oz
    assertThat(page.locator(".ladder .weight").first()).hasText("10 lb 11.4 oz");
    assertThat(page.locator(".ladder .price").first()).hasText("€5.17/lb");
    assertThat(page.locator("#portion")).hasValue("6.3 oz");
    page.navigate(address("/bench/7"));
    assertThat(page.locator(".tally tfoot")).containsText("31 lb 4.9 oz");
    page.navigate(address("/house/units"));
    page.selectOption("#h-system", "METRIC");
    save(page);
    page.navigate(address("/cost/1"));
    assertThat(page.locator(".ladder .weight").first()).hasText("4.860 kg");
  }

  @Test
  public void lightAndDarkFollowTheSystemUntilTheSwitchSaysOtherwise() {
    Page page = tablet(1280, 800, ColorScheme.DARK);
    signIn(page, "ines");
    String dark = background(page);
    switchTheme(page);
    assertEquals(background(page), dark, "dark by switch as by system");
    switchTheme(page);
    String light = background(page);
    assertThat(page.locator("html")).hasAttribute("data-theme", "light");
    page.reload();
    assertEquals(background(page), light, "the choice is kept");
    switchTheme(page);
    assertEquals(background(page), dark);
  }

  @Test
  public void signingOutEndsTheSession() {
    Page page = signedIn("maren");
    page.click("#menu > summary");
    page.click("button:has-text('Sign out')");
    assertThat(page.locator(".alert")).hasText("You are signed out.");
    page.navigate(address("/bench/3"));
    assertThat(page).hasURL(Pattern.compile(".*/sign-in.*"));
  }

  private static void switchTheme(Page page) {
    if (!page.locator("#menu[open]").isVisible()) {
      page.click("#menu > summary");
    }
    page.click("#theme-switch");
  }

  private static String background(Page page) {
    return (String) page.evaluate("() => getComputedStyle(document.body).backgroundColor");
  }
}
