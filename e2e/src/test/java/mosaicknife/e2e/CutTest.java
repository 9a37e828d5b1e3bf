package mosaicknife.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.List;
import java.util.regex.Pattern;
import mosaicknife.app.TestLots;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.Balance.Verdict;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.Test;

/** Three body plans broken from the plan to the closed tally, and what happens at one board. */
public class CutTest extends InBrowser {

  private static final int FORGOTTEN_TARE = 4;
  private static final int GURNARDS = 6;

  private long receive(String species, State state, String kilograms) {
    return new TestLots(app).receive(species, state, 1, kilograms);
  }

  private LotSheet sheet(long lot) {
    return bean(LotSheets.class).get(lot);
  }

  private Page plan(long lot) {
    Page page = signedIn("ines");
    page.navigate(address("/plan/" + lot));
    return page;
  }

  private static void press(Page page, String option, String choice) {
    page.click("#option-" + option + " button:has-text('" + choice + "')");
    assertThat(page.locator("#option-" + option + " button[aria-pressed=true]"))
        .containsText(choice);
  }

  private static void decideTheRest(Page page) {
    page.click("button:has-text('usual purpose')");
    assertThat(page.locator(".tile-rows .undecided")).hasCount(0);
    page.click("a:has-text('To the bench')");
    page.waitForURL(Pattern.compile(".*/bench/.*"));
    page.waitForLoadState();
    assertThat(page.locator("#live-words")).hasText("empty");
  }

  /**
   * Weighs every part in the order the bench proposes: on the scale stand-in, which settles as a
   * real scale does, or typed.
   */
  private void weighAll(Page page, long lot, boolean onTheScale) {
    int parts = sheet(lot).expectedParts().size();
    if (onTheScale) {
      page.click("#stand-in summary");
    }
    for (int weighed = 0; weighed < parts; weighed++) {
      String part = page.locator("#next-part b").textContent();
      if (onTheScale) {
        page.click("#stand-in button[value=put]");
        assertThat(page.locator("#live-words")).hasText("steady");
        assertThat(page.locator("#take-button")).isEnabled();
        page.click("#take-button");
      } else {
        page.fill("#typed", expectedGrams(lot, part) + " g");
        page.click("#take-typed");
      }
      assertThat(page.locator(".tally tr.weighed")).hasCount(weighed + 1);
      assertThat(page.locator("#said")).hasText(Pattern.compile(part + " .* taken\\."));
    }
    assertThat(page.locator(".verdict.closed")).containsText("It adds up.");
    LotSheet sheet = sheet(lot);
    assertEquals(sheet.balance().verdict(), Verdict.CLOSED);
    assertTrue(sheet.breakdown().leaves().stream().allMatch(l -> l.purpose().isPresent()));
    if (onTheScale) {
      page.click("#stand-in button[value=off]");
    }
    page.click("button:has-text('Close the lot')");
    assertThat(page.locator("#said")).hasText("Lot " + lot + " is closed.");
  }

  private long expectedGrams(long lot, String part) {
    return sheet(lot).expectedParts().stream()
        .filter(p -> p.name().equals(part))
        .mapToLong(p -> Math.round(p.expected().orElseThrow().milligrams() / 1000.0))
        .findFirst()
        .orElseThrow();
  }

  @Test
  public void aRoundBodiedFishFromThePlanToTheClosedTally() {
    long lot = receive("hake", State.UNGUTTED, "3.4");
    Page page = plan(lot);
    String withSkin = page.locator(".plan-sums dd").nth(2).textContent();
    Locator off = page.locator("#option-skin button:has-text('Off')");
    assertThat(off).containsText("Fillet −");
    assertThat(off).containsText("a plate");
    press(page, "skin", "Off");
    press(page, "collar", "Stays on the head");
    press(page, "pin-bones", "Cut out as a strip");
    assertThat(page.locator(".plan-sums dd").nth(2)).not().hasText(withSkin);
    assertThat(page.locator(".tile-rows")).containsText("Pin-bone strip");
    assertThat(page.locator(".pre-work")).containsText("Gut it now");
    decideTheRest(page);
    assertThat(page.locator(".tally")).containsText("Skin");
    weighAll(page, lot, true);
    assertEquals(sheet(lot).find("skin").orElseThrow().taken().size(), 1);
  }

  @Test
  public void aFlatfishFromThePlanToTheClosedTally() {
    long lot = receive("turbot", State.GUTTED, "2.6");
    Page page = plan(lot);
    press(page, "skin", "Off");
    page.fill("#tile-fillet-eye-back input[name=becomes]", "turbot, sea herbs");
    page.click("#tile-fillet-eye-back .letter-button:has-text('P')");
    assertThat(page.locator("#tile-fillet-eye-back input[name=becomes]"))
        .hasValue("turbot, sea herbs");
    // a page that glides to its place swallows the tap that comes meanwhile
    assertThat(page.locator("html")).hasCSS("scroll-behavior", "auto");
    decideTheRest(page);
    page.keyboard().press("g");
    assertThat(page.locator("#guide")).isVisible();
    page.keyboard().press("g");
    assertThat(page.locator("#guide")).isHidden();
    weighAll(page, lot, false);
  }

  @Test
  public void aLargeLoinFishOverTwoVenuesFromThePlanToTheClosedTally() {
    long lot = receive("albacore", State.GUTTED, "13.8");
    Page page = plan(lot);
    press(page, "shape", "A cylinder for a roast");
    assertThat(page.locator(".tile-rows")).containsText("Trim");
    assertThat(page.locator(".pre-work")).containsText("Two people lift");
    page.click("#tile-loin-bottom-left .letter-button:has-text('P')");
    page.selectOption("#tile-loin-bottom-left select", "to Low Tide Counter");
    assertThat(page.locator(".transfer")).containsText("Bottom left loin");
    decide(page, "dark-muscle", "S");
    decideTheRest(page);
    weighAll(page, lot, false);
    page.navigate(address("/plan/" + lot));
    assertThat(page.locator(".transfer")).containsText("Low Tide Counter");
    assertFalse(
        page.locator(".transfer").textContent().contains("≈"), "weighed parts are no estimates");
  }

  private static void decide(Page page, String slot, String letter) {
    page.click("#tile-" + slot + " .letter-button:has-text('" + letter + "')");
    assertThat(page.locator("#tile-" + slot + " .letter-button[aria-pressed=true]"))
        .hasText(letter);
  }

  @Test
  public void aForgottenTareIsFoundAndMendedInOneTap() {
    Page page = signedIn("tobiah");
    page.navigate(address("/bench/" + FORGOTTEN_TARE));
    assertThat(page.locator(".mosaic.cracked .crack-edge")).isVisible();
    assertThat(page.locator(".suspicion.first"))
        .containsText("The steel tray weighs 212 g: its tare was probably not taken on Head.");
    page.click(".suspicion.first .mend");
    assertThat(page.locator(".verdict.closed")).containsText("It adds up.");
    assertThat(page.locator(".tally tr:has-text('Head') .flags")).containsText("↻");
    assertThat(page.locator(".mosaic.cracked")).hasCount(0);
  }

  @Test
  public void twoTabletsOnOneLotSeeEachOthersWeights() {
    Page one = signedIn("tobiah");
    Page two = signedIn("ines");
    one.navigate(address("/bench/" + GURNARDS + "?fish=3"));
    two.navigate(address("/bench/" + GURNARDS + "?fish=3"));
    assertThat(two.locator("#live-words")).hasText("empty");
    assertThat(one.locator("#live-words")).hasText("empty");
    String[] weights = {"91 g", "292 g", "53 g", "894 g"};
    for (int i = 0; i < weights.length; i++) {
      Page from = i % 2 == 0 ? one : two;
      Page to = i % 2 == 0 ? two : one;
      String part = from.locator("#next-part b").textContent();
      from.fill("#typed", weights[i]);
      from.click("#take-typed");
      assertThat(from.locator("#said")).containsText("taken.");
      assertThat(to.locator(".tally tr:has-text('" + part + "') .weight")).hasText(weights[i]);
      assertThat(to.locator("#next-part b")).not().hasText(part);
    }
  }

  @Test
  public void portionsAreTakenInARowAndATrayIsTakenOff() {
    long lot = receive("hake", State.GUTTED, "2.4");
    Page page = signedIn("tobiah");
    page.navigate(address("/bench/" + lot + "?part=fillet-left"));
    assertThat(page.locator("#live-words")).hasText("empty");
    page.click("#trays summary");
    page.locator("#trays .pick:has-text('Steel tray')").click();
    assertThat(page.locator("#tray-name")).hasText("Steel tray");
    assertThat(page.locator("#live-words")).hasText("below zero: tare again");
    page.click("#stand-in summary");
    page.click("#stand-in button[value=tray]");
    assertThat(page.locator("#live-words")).hasText("empty");
    page.click("#stand-in button[value=put]");
    assertThat(page.locator("#take-button")).isEnabled();
    String shown = page.locator("#live-figure").textContent();
    page.click("#take-button");
    assertThat(page.locator(".tally tr[data-slot=fillet-left] .weight")).containsText(shown);
    page.click("#stand-in button[value=tray]");
    page.click("#stand-in summary");
    page.click("#trays summary");
    page.locator("#trays .pick:has-text('No tray')").click();

    page.click(".tally a:has-text('Left fillet')");
    page.click("#more summary");
    page.click("#start-row");
    assertThat(page.locator("#next-part b")).hasText("Portions of left fillet");
    for (String portion : List.of("181 g", "179 g")) {
      page.fill("#typed", portion);
      page.click("#take-typed");
      assertThat(page.locator("#said")).hasText("Portions of left fillet " + portion + " taken.");
      assertThat(page.locator("#next-part b")).hasText("Portions of left fillet");
    }
    assertThat(page.locator(".tally tr:has-text('Portions') th")).containsText("2 so far");
    page.keyboard().press("Escape");
    page.locator("#main").focus();
    page.keyboard().press("z");
    assertThat(page.locator(".tally tr:has-text('Portions') th")).containsText("1 so far");
    Mass net = sheet(lot).find("fillet-left").orElseThrow().taken().get(0).mass();
    assertTrue(net.inGrams().intValue() < 1_000, "the tray was taken off: " + net);
  }

  @Test
  public void figuresAreLargeAndButtonsAreForGloves() {
    for (int[] size : new int[][] {{1280, 800}, {800, 1280}}) {
      Page page = tablet(size[0], size[1], ColorScheme.DARK);
      signIn(page, "tobiah");
      page.navigate(address("/bench/3"));
      Number figure =
          (Number)
              page.evaluate(
                  "() => parseFloat(getComputedStyle(document.getElementById('live')).fontSize)");
      assertTrue(figure.doubleValue() >= 72, "figures of " + figure + " px");
      Number least =
          (Number)
              page.evaluate(
                  """
                  () => Math.min(...Array.from(document.querySelectorAll('.keys-bar button, .keys-bar summary'))
                    .filter(b => b.offsetParent).map(b => b.getBoundingClientRect().height))
                  """);
      assertTrue(least.doubleValue() >= 56, "a key of " + least + " px");
      assertEquals(page.evaluate("() => document.documentElement.scrollWidth > innerWidth"), false);
    }
  }
}
