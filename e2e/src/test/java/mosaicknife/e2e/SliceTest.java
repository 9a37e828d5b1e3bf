package mosaicknife.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;

import com.microsoft.playwright.Page;
import java.math.RoundingMode;
import java.util.Map;
import java.util.regex.Pattern;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.breakdown.Balance.Verdict;
import mosaicknife.core.cost.CostSheet;
import mosaicknife.core.cost.CostingMethod;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.Test;

/** The whole slice, from the door of the van to the cost of a plate, and over a restart. */
public class SliceTest extends InBrowser {

  @Test
  public void fromTheDockToTheCostOfAPlateAndOverARestart() {
    Page page = signedIn("ines");
    long lot = receive(page);
    page.click("text=To the bench");

    for (int weighed = 0; weighed < 8; weighed++) {
      putOnAndTake(page, weighed);
    }
    assertThat(page.locator(".verdict.closed")).containsText("It adds up.");
    LotSheet sheet = bean(LotSheets.class).get(lot);
    assertEquals(sheet.balance().verdict(), Verdict.CLOSED);
    assertEquals(sheet.breakdown().leaves().size(), 8);

    page.click(".verdict a:has-text('Decide the rest')");
    page.click("button:has-text('usual purpose')");
    assertThat(page.locator(".letter-button[aria-pressed=true]")).hasCount(8);

    page.click(".strip a:has-text('Cost')");
    CostSheet costs = costs(lot, CostingMethod.ALL_ON_THE_MAINS, 180);
    assertEquals(
        exact(page, "#portion-by-count"), "€" + four(costs.portionByCount().orElseThrow()));
    assertEquals(exact(page, "#portion-by-weight"), "€" + four(costs.portionByWeight()));

    page.fill("#portion", "165");
    page.click("button:has-text('Work it out')");
    assertThat(page.locator(".figure-note")).containsText("165 g");
    costs = costs(lot, CostingMethod.ALL_ON_THE_MAINS, 165);
    assertThat(page.locator(".figure-note")).containsText(costs.portions().count() + " whole");

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
    assertThat(page.locator(".notice.good")).containsText("is received: 4.860 kg.");
    return Long.parseLong(page.url().replaceAll(".*/dock/(\\d+).*", "$1"));
  }

  private static Page.CheckOptions forced() {
    // the radio lies under its own face
    return new Page.CheckOptions().setForce(true);
  }

  private static void putOnAndTake(Page page, int weighedBefore) {
    if (!page.locator("#stand-in[open]").isVisible()) {
      page.click("#stand-in summary");
    }
    page.click("#stand-in button[value=put]");
    // what was on the scale before is taken, so the button wakes only when the new part stands
    // still
    assertThat(page.locator("#take-button")).isEnabled();
    assertThat(page.locator("#live-words")).hasText("steady");
    page.click("#take-button");
    assertThat(page.locator(".tally tr.weighed")).hasCount(weighedBefore + 1);
    assertThat(page.locator("#said")).hasText(Pattern.compile(".* taken\\."));
  }

  private CostSheet costs(long lot, CostingMethod option, int portion) {
    LotSheet sheet = bean(LotSheets.class).get(lot);
    return CostSheet.of(
            option, sheet.breakdown(), sheet.lot().cost(), Map.of(), Mass.ofGrams(portion))
        .orElseThrow();
  }

  private static String four(ExactMoney money) {
    return money.amount().setScale(4, RoundingMode.HALF_UP).toPlainString();
  }

  private static String exact(Page page, String figure) {
    return page.locator(figure).getAttribute("data-exact");
  }
}
