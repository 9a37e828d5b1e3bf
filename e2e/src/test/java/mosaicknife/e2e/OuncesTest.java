package mosaicknife.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.Map;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.Test;

/** Four fish weighed together in ounces, from receiving to portions, cost and a closed lot. */
public class OuncesTest extends InBrowser {

  private static final BigDecimal OUNCE = new BigDecimal("28349.523125");

  private void system(Page page, String system) {
    page.navigate(address("/house/units"));
    page.selectOption("#h-system", system);
    page.waitForResponse(
        response -> response.request().method().equals("POST"),
        () -> page.click("button:has-text('Save')"));
  }

  @Test
  public void fourFishWeighedTogetherInOuncesAreEightPlatesEverywhere() {
    Page owner = signedIn("adaeze");
    system(owner, "IMPERIAL");
    try {
      Page page = signedIn("ines");
      long lot = receive(page);
      page.navigate(address("/bench/" + lot + "?fish=0"));
      weights(bean(LotSheets.class).get(lot)).forEach((part, ounces) -> type(page, part, ounces));
      assertThat(page.locator(".verdict.closed")).containsText("It adds up.");
      assertThat(page.locator(".tally tr:has-text('Left fillet') .weight")).hasText("14.0 oz");

      page.click(".verdict a:has-text('Decide the rest')");
      page.click("button:has-text('usual purpose')");
      page.click(".strip a:has-text('Cost')");
      page.fill("#portion", "3.5 oz");
      page.click("button:has-text('Work it out')");
      // two fillets of 14 oz, each of four fish: eight pieces of 3.5 oz; 5 lb at 6.00 are 30.00
      assertThat(page.locator(".figure-note")).containsText("3.5 oz");
      assertThat(page.locator(".figure-note")).containsText("8 plates");
      assertEquals(
          page.locator("#portion-by-count").getAttribute("data-exact"), "€3.7500", "30.00 / 8");
      page.navigate(address("/slice/" + lot));
      assertThat(page.locator("#lot-title")).containsText("8 plates");
      page.navigate(address("/"));
      assertThat(page.locator(".lots tr:has-text('Lot " + lot + "')")).containsText("8");

      page.navigate(address("/bench/" + lot));
      page.click("button:has-text('Close the lot')");
      assertThat(page.locator("#said")).hasText("Lot " + lot + " is closed.");
      page.navigate(address("/cost/" + lot));
      assertThat(page.locator(".figure-note")).containsText("8 plates");
      LotSheet sheet = bean(LotSheets.class).get(lot);
      assertEquals(sheet.portions().count(), 8);
      assertTrue(sheet.lot().isFinished());
    } finally {
      system(owner, "METRIC");
    }
  }

  private long receive(Page page) {
    page.navigate(address("/dock/receive"));
    Page.CheckOptions forced = new Page.CheckOptions().setForce(true);
    page.check("input[value=gurnard]", forced);
    page.check("input[value=GUTTED]", forced);
    page.check("input[value=WILD]", forced);
    page.fill("#fish", "4");
    page.fill("#invoiced", "5 lb");
    page.fill("#own", "5 lb");
    page.fill("#price", "6.00/lb");
    page.fill("#supplier", "Marram Quay Fish");
    page.click("button:has-text('Receive the lot')");
    assertThat(page.locator(".alert-success")).containsText("is received: 5 lb 0.0 oz, 4 fish.");
    return Long.parseLong(page.url().replaceAll(".*/dock/(\\d+).*", "$1"));
  }

  /** What the plan expects, but fillets of 14 oz; the frame takes what is left beside the drip. */
  private static Map<String, String> weights(LotSheet sheet) {
    Map<String, String> weights = new LinkedHashMap<>();
    BigDecimal left = new BigDecimal("79.4");
    String frame = "";
    for (LotPart part : sheet.expectedParts()) {
      BigDecimal ounces = ounces(part.expected().orElse(Mass.ZERO));
      if (part.slot().equals("frame")) {
        frame = part.name();
        continue;
      }
      if (part.slot().startsWith("fillet")) {
        ounces = new BigDecimal("14.0");
      }
      left = left.subtract(ounces);
      weights.put(part.name(), ounces + " oz");
    }
    weights.put(frame, left + " oz");
    return weights;
  }

  private static BigDecimal ounces(Mass mass) {
    return new BigDecimal(mass.milligrams()).divide(OUNCE, 1, java.math.RoundingMode.HALF_UP);
  }

  private static void type(Page page, String part, String weight) {
    page.click(".tally a:has-text('" + part + "')");
    assertThat(page.locator("#next-part b")).hasText(part);
    assertThat(page.locator("#next-part .of")).hasText("all together");
    page.fill("#typed", weight);
    page.click("#take-typed");
    Locator taken = page.locator(".tally tr.weighed:has-text('" + part + "')");
    Locator asked = page.locator(".typed-row .alert");
    assertThat(taken.or(asked).first()).isVisible();
    if (asked.isVisible()) {
      page.click("#take-typed");
    }
    assertThat(taken).isVisible();
  }
}
