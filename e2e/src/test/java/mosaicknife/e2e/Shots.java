package mosaicknife.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalTime;
import java.util.Base64;
import java.util.List;
import java.util.regex.Pattern;
import mosaicknife.app.TestLots;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.lot.OnBoard;
import org.testng.annotations.Test;

/** Takes the pictures of docs/screenshots from the demo; run by {@code ./mosaic shots}. */
public class Shots extends InBrowser {

  /** In the morning, so that the pictures of a day do not hang on the hour they are taken. */
  private final Clock morning = itIsNow(LocalTime.of(7, 0));

  private final Path folder = Path.of(System.getProperty("mosaic.shots", "target/shots"));

  @Override
  Clock clock() {
    return morning;
  }

  @Test
  public void takeThePictures() {
    Page light = tablet();
    light.navigate(address("/sign-in"));
    signIn(light, "ines");
    take(light, "today", "/");
    take(light, "buy-plan", "/buy/dishes/1?profile=WEEKEND&litres=8");
    take(light, "catalogue-fish", "/catalogue/fish/gurnard");
    take(light, "dock-lot", "/dock/5");
    take(light, "bench-round", "/bench/3");
    take(light, "plan-loin", "/plan/7");
    sliceAndCost(light, weighed("albacore", "7.600", "9.90"));
    take(light, "uses", "/uses/2");
    take(light, "pot", "/pot/1");
    take(light, "larder", "/larder");
    kitchen(light);
    light.navigate(address("/clock"));
    assertThat(light.locator(".lanes")).isVisible();
    take(light, "clock");
    light.navigate(address("/uses"));
    assertThat(light.locator(".flow")).isVisible();
    take(light, "homes");

    Page dim = tablet(1280, 800, ColorScheme.DARK);
    signIn(dim, "tobiah");
    dim.navigate(address("/bench/5"));
    dim.click("#stand-in summary");
    dim.click("#stand-in button[value=put]");
    assertThat(dim.locator("#take-button")).isEnabled();
    dim.click("#stand-in summary");
    take(dim, "bench-flatfish-dark");

    Page loin = tablet(1280, 800, ColorScheme.LIGHT);
    signIn(loin, "tobiah");
    loin.navigate(address("/bench/7"));
    for (String weight : List.of("393 g", "2.48 kg", "770 g", "2.15 kg", "1.61 kg")) {
      loin.fill("#typed", weight);
      loin.click("#take-typed");
      assertThat(loin.locator("#said")).hasText(Pattern.compile(".* taken\\."));
      assertThat(loin.locator(".tally tr.waits")).hasCount(0);
    }
    loin.click("#stand-in summary");
    loin.click("#stand-in button[value=put]");
    assertThat(loin.locator("#take-button")).isEnabled();
    loin.click("#stand-in summary");
    loin.locator("#main").focus();
    loin.keyboard().press("g");
    loin.evaluate("() => scrollTo(0, 0)");
    assertThat(loin.locator("#guide:not(.stale)")).isVisible();
    assertThat(loin.locator("#live-words")).hasText("steady");
    take(loin, "bench-loin");

    Page owner = signedIn("adaeze");
    take(owner, "house", "/house/suppliers");
  }

  /** Slice and Cost on three body plans, and the pages beside them; two or three to a picture. */
  private void sliceAndCost(Page page, long loins) {
    compose(
        page,
        "slice-plans",
        "/slice/1?bones=ABOVE_THE_ROW&without=4",
        "/slice/2",
        "/slice/" + loins);
    compose(page, "slice-service", "/slice", "/slice/1/board?step=2");
    compose(page, "cost-plans", "/cost/1", "/cost/2", "/cost/" + loins);
    compose(page, "cost-compare", "/cost", "/cost/compare?with=lot-1&with=lot-2&with=lot-" + loins);
  }

  /** A lot whose main cuts weigh what the norm says, all for the plate. */
  private long weighed(String species, String kilograms, String price) {
    TestLots lots = new TestLots(app);
    long lot = lots.receive(species, State.GUTTED, 1, kilograms, price);
    for (OnBoard one : OnBoard.of(bean(LotSheets.class).get(lot))) {
      String grams = one.mass().milligrams() / 1000 + " g";
      lots.weighForThePlate(lot, one.part().slot(), grams, "");
    }
    return lot;
  }

  /** Several pages below each other in one picture. */
  private void compose(Page page, String name, String... paths) {
    StringBuilder pictures = new StringBuilder();
    for (String path : paths) {
      page.navigate(address(path));
      page.evaluate("() => document.fonts.ready");
      pictures
          .append(
              "<img style='display:block;margin-bottom:12px' width='1280' src='data:image/png;base64,")
          .append(Base64.getEncoder().encodeToString(page.screenshot()))
          .append("'>");
    }
    Page sheet = tablet();
    sheet.setContent("<body style='margin:0;background:#888'>" + pictures);
    sheet.screenshot(
        new Page.ScreenshotOptions().setFullPage(true).setPath(folder.resolve(name + ".png")));
  }

  /** Three readings of a core that ends below what the code wants. */
  private void kitchen(Page page) {
    page.navigate(address("/kitchen#done"));
    Locator form = page.locator("form:has(input[name=medium])");
    form.locator("input[name=thickness]").fill("20");
    form.locator("input[name=medium]").fill("60");
    String[] readings = {"0", "5", "5", "46", "10", "54"};
    for (int i = 0; i < readings.length; i += 2) {
      form.locator("input[name=minute" + (i / 2 + 1) + "]").fill(readings[i]);
      form.locator("input[name=degrees" + (i / 2 + 1) + "]").fill(readings[i + 1]);
    }
    form.locator("input[name=degrees3]").dispatchEvent("change");
    assertThat(page.locator("#done-said p").first()).isVisible();
    take(page, "kitchen");
  }

  private void take(Page page, String name, String path) {
    page.navigate(address(path));
    take(page, name);
  }

  private void take(Page page, String name) {
    page.evaluate("() => document.fonts.ready");
    if (page.locator("#live-words").count() > 0) {
      assertThat(page.locator("#live-words")).not().hasText(Pattern.compile("no connection.*"));
    }
    page.screenshot(new Page.ScreenshotOptions().setPath(folder.resolve(name + ".png")));
  }
}
