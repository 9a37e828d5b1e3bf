package mosaicknife.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;

import com.microsoft.playwright.Page;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Pattern;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.breakdown.Balance.Verdict;
import mosaicknife.core.lot.LotSheet;
import org.testng.annotations.Test;

/** The whole slice, from the door of the van to the cost of a plate, and over a restart. */
public class SliceTest extends InBrowser {

  /** A gutted hake of 4.859 kg; 13 g are lost. */
  private static final Map<String, String> WEIGHTS = weights();

  private static Map<String, String> weights() {
    Map<String, String> weights = new LinkedHashMap<>();
    weights.put("Fins and tail", "119 g");
    weights.put("Gills", "65 g");
    weights.put("Head", "1.015 kg");
    weights.put("Collars", "227 g");
    weights.put("Left fillet", "1.310 kg");
    weights.put("Right fillet", "1.300 kg");
    weights.put("Belly", "184 g");
    weights.put("Frame", "626 g");
    return weights;
  }

  @Test
  public void fromTheDockToTheCostOfAPlateAndOverARestart() {
    Page page = signedIn("ines");
    long lot = receive(page);
    page.click("text=To the bench");

    putOnTheScaleAndTakeBack(page);
    WEIGHTS.forEach((part, weight) -> type(page, part, weight));
    assertThat(page.locator(".verdict.closed")).containsText("It adds up.");
    LotSheet sheet = bean(LotSheets.class).get(lot);
    assertEquals(sheet.balance().verdict(), Verdict.CLOSED);
    assertEquals(sheet.breakdown().leaves().size(), 8);

    page.click(".verdict a:has-text('Decide the rest')");
    page.click("button:has-text('usual purpose')");
    assertThat(page.locator(".letter-button[aria-pressed=true]")).hasCount(8);

    page.click(".strip a:has-text('Cost')");
    // by hand: 4.860 kg x 11.40 = 55.404; 1310 g and 1300 g give 7 + 7 plates of 180 g;
    // 55.404 / 14 = 3.9574, 55.404 / 2.610 x 0.180 = 3.8210
    assertEquals(exact(page, "#portion-by-count"), "€3.9574");
    assertEquals(exact(page, "#portion-by-weight"), "€3.8210");

    page.fill("#portion", "160");
    page.click("button:has-text('Work it out')");
    // 8 + 8 plates of 160 g; 55.404 / 16 = 3.46275
    assertThat(page.locator(".figure-note")).containsText("160 g");
    assertThat(page.locator(".figure-note")).containsText("16 plates");
    assertEquals(exact(page, "#portion-by-count"), "€3.4628");

    String before = exact(page, "#portion-by-count");
    restart();
    page.navigate(address("/cost/" + lot));
    assertEquals(exact(page, "#portion-by-count"), before, "after a restart, still signed in");
    page.navigate(address("/bench/" + lot));
    assertThat(page.locator(".tally tr.weighed")).hasCount(8);
  }

  private long receive(Page page) {
    page.click("text=Receive a lot");
    page.fill(".find", "merluza");
    assertThat(page.locator("#fish-list .pick").first()).containsText("Hake");
    page.check("input[value=hake]", forced());
    page.check("input[value=GUTTED]", forced());
    page.check("input[value=WILD]", forced());
    page.fill("#invoiced", "4,860");
    assertThat(page.locator("#invoiced-echo")).containsText("4,860 was read as 4.860");
    page.fill("#own", "10 lb 11.4 oz");
    assertThat(page.locator("#own-echo")).containsText("4.859 kg");
    page.fill("#price", "11.40/kg");
    page.fill("#supplier", "Grey Skerry Landings");
    page.click("button:has-text('Receive the lot')");
    assertThat(page.locator(".alert-success")).containsText("is received: 4.860 kg.");
    return Long.parseLong(page.url().replaceAll(".*/dock/(\\d+).*", "$1"));
  }

  private static Page.CheckOptions forced() {
    // the radio lies under its own face
    return new Page.CheckOptions().setForce(true);
  }

  private static void putOnTheScaleAndTakeBack(Page page) {
    page.click("#stand-in summary");
    page.click("#stand-in button[value=put]");
    assertThat(page.locator("#take-button")).isEnabled();
    assertThat(page.locator("#live-words")).hasText("steady");
    page.click("#take-button");
    assertThat(page.locator(".tally tr.weighed")).hasCount(1);
    assertThat(page.locator("#said")).hasText(Pattern.compile(".* taken\\."));
    // the drawer closes when the sheet is renewed; whether it was by now is no matter of this test
    page.evaluate(
        "() => { const drawer = document.querySelector('#stand-in'); drawer.open = true;"
            + " drawer.querySelector('button[value=off]').click(); drawer.open = false; }");
    page.locator("#main").focus();
    page.keyboard().press("z");
    assertThat(page.locator(".tally tr.weighed")).hasCount(0);
  }

  private static void type(Page page, String part, String weight) {
    page.click(".tally a:has-text('" + part + "')");
    assertThat(page.locator("#next-part b")).hasText(part);
    page.fill("#typed", weight);
    page.click("#take-typed");
    assertThat(page.locator(".tally tr:has-text('" + part + "') .weight")).not().hasText("");
    assertThat(page.locator("#said")).hasText(Pattern.compile(part + " .* taken\\."));
  }

  private static String exact(Page page, String figure) {
    return page.locator(figure).getAttribute("data-exact");
  }
}
