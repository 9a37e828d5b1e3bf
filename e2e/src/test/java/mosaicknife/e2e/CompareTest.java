package mosaicknife.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.List;
import mosaicknife.app.TestLots;
import mosaicknife.core.anatomy.State;
import org.testng.annotations.Test;

/** A cheap fish of low yield against a dear one of high yield, and where they are as cheap. */
public class CompareTest extends InBrowser {

  /** Fillets of a lot of 5 kg, for the plate. */
  private long lot(String species, String price, String fillet) {
    TestLots lots = new TestLots(app);
    long lot = lots.receive(species, State.GUTTED, 1, "5.000", price);
    lots.weighForThePlate(lot, "fillet-left", fillet, "");
    lots.weighForThePlate(lot, "fillet-right", fillet, "");
    return lot;
  }

  @Test
  public void aCheapFishOfLowYieldAgainstADearOneOfHighYieldFindsItsBreakEven() {
    long dear = lot("zander", "14", "1.300 kg");
    long cheap = lot("pike", "6", "760 g");
    Page page = signedIn("ines");
    page.navigate(address("/cost/" + dear));
    page.click("a:has-text('Compare')");
    assertThat(page.locator(".compare-row")).hasCount(1);
    page.check("label:has-text('lot " + cheap + ",') input");
    page.fill("input[name=portion]", "180 g");
    page.fill("input[name=tolerance]", "0");
    page.click("button:has-text('Work it out')");
    Locator rows = page.locator(".compare-row");
    assertThat(rows).hasCount(2);
    assertThat(page.locator(".compare-answer")).containsText("lot " + cheap);
    // the dear one yields 52 %, seven plates in each fillet; eight lie in 1440 g, nine in 1620, ten
    // in 1800: it is as cheap at one of them, by the work of both
    String even = page.locator(".break-even").nth(1).textContent();
    String yield = even.replaceAll("(?s).*yield of ([0-9.]+).*", "$1");
    assertTrue(List.of("57.6", "64.8", "72.0").contains(yield), even);
    double price = Double.parseDouble(even.replaceAll("(?s).*up to €([0-9.]+)/kg.*", "$1"));
    assertTrue(price > 9 && price < 14, even);
    assertThat(page.locator(".cost-chart")).hasCount(2);
    // today's point lies on its curve
    Locator chart = page.locator(".cost-chart").first();
    for (int i = 0; i < 2; i++) {
      Locator point = chart.locator("circle").nth(i);
      double x = Double.parseDouble(point.getAttribute("cx"));
      double y = Double.parseDouble(point.getAttribute("cy"));
      assertEquals(at(chart.locator("polyline").nth(i).getAttribute("points"), x), y, 14);
    }
    page.selectOption(
        "select[name=dish]", page.locator("select[name=dish] option").nth(1).getAttribute("value"));
    assertThat(page.locator("select[name=dish] option:checked")).not().hasText("Any");
    assertThat(rows).hasCount(2);
  }

  /** The height of a line at a place. */
  private static double at(String points, double x) {
    double before = Double.NaN;
    double last = Double.NaN;
    for (String point : points.split(" ")) {
      String[] both = point.split(",");
      double px = Double.parseDouble(both[0]);
      double py = Double.parseDouble(both[1]);
      if (px >= x) {
        return Double.isNaN(before) ? py : last + (py - last) * (x - before) / (px - before);
      }
      before = px;
      last = py;
    }
    return last;
  }
}
