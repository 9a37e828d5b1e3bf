package mosaicknife.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import mosaicknife.app.TestLots;
import mosaicknife.core.anatomy.State;
import org.testng.annotations.Test;

/** From a weighed fillet to the list of its portions. */
public class FilletTest extends InBrowser {

  private static int grams(Locator label) {
    return Integer.parseInt(label.textContent().replaceAll("[^0-9]", ""));
  }

  @Test
  public void aWeighedFilletIsCutDraggedPutBackAndPrinted() {
    TestLots lots = new TestLots(app);
    long lot = lots.receive("hake", State.GUTTED, 1, "4.860");
    lots.weigh(lot, "fillet-left", "1.318 kg");
    Page page = signedIn("tobiah");
    page.navigate(address("/bench/" + lot));
    page.click(".strip a:has-text('Slice')");
    page.fill("input[name=portion]", "180 g");
    page.fill("input[name=tolerance]", "0");
    page.click("button:has-text('Work it out')");
    assertThat(page.locator(".slice-answer .figure")).hasText("7 × 180 g");

    Locator labels = page.locator(".piece-grams");
    assertThat(labels).hasCount(8);
    Locator knife = page.locator(".knife .grip").nth(2);
    knife.scrollIntoViewIfNeeded();
    BoundingBox at = knife.boundingBox();
    page.mouse().move(at.x + at.width / 2, at.y + at.height / 2);
    page.mouse().down();
    page.mouse().move(at.x + at.width / 2 + 40, at.y + at.height / 2);
    page.mouse().up();
    int left = grams(labels.nth(2));
    int right = grams(labels.nth(3));
    assertTrue(left > 200 && right < 160, left + " " + right);
    assertEquals(left + right, 360, 2, "what one gains the other loses");
    page.click("#restore");
    assertEquals(grams(labels.nth(2)), 180);
    assertThat(page.locator("#restore")).isHidden();

    page.check("input[name=boneless]");
    page.click("button:has-text('Work it out')");
    assertThat(page.locator(".slice-answer .figure")).hasText("2 × 180 g");
    assertThat(page.locator(".slice-bones")).hasCount(0);
    page.uncheck("input[name=boneless]");
    page.fill("input[name=without]", "6");
    page.click("button:has-text('Work it out')");
    page.click(".slice-boned .pick:has-text('Cut out as a strip')");
    assertThat(page.locator(".slice-bones")).hasCount(0);
    assertThat(page.locator(".slice-over").last()).containsText("strip with the bones");

    // cut by cut, as the knife goes, with the arrow keys; the figure is the list's
    String second = page.locator(".knife-steps b").nth(1).textContent();
    page.click("a:has-text('Cut by cut')");
    page.click("#after");
    assertThat(page.locator(".board-figure")).hasText(second);
    page.keyboard().press("ArrowRight");
    assertThat(page.locator(".board-name")).containsText("cut 3 of 7");
    page.keyboard().press("ArrowLeft");
    assertThat(page.locator(".board-figure")).hasText(second);
    double wide = page.locator("#fillet").boundingBox().width;
    page.click("#longer");
    assertEquals(page.locator("#fillet").boundingBox().width / wide, 1.01, 0.001);
    page.reload();
    assertEquals(page.locator("#fillet").boundingBox().width / wide, 1.01, 0.001, "it is kept");
    page.click(".board-name a");

    page.fill("input[name=length]", "12");
    page.click("button:has-text('Work it out')");
    assertThat(page.locator(".alert-danger")).containsText("cannot be the length");
    for (String paper : new String[] {"Print the portions", "Labels"}) {
      String list = page.locator("a:has-text('" + paper + "')").getAttribute("href");
      assertEquals(page.request().get(address(list)).status(), 200, paper);
    }
  }
}
