package mosaicknife.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosaicknife.app.TestLots;
import mosaicknife.app.account.DemoPeople;
import mosaicknife.app.buy.DishEditor;
import mosaicknife.app.buy.DishForm;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.safety.RawGate;
import org.testng.annotations.Test;

/** The gates as a butcher meets them: blocked, a record added, open; a warm delivery; refused. */
public class GateTest extends InBrowser {

  private static final String DISH = "Bass, sliced raw";

  private void inspectAsPerfect(Page page, long lot) {
    page.navigate(address("/dock/" + lot + "#inspect"));
    for (Locator sign : page.locator("#inspect .sign-row").all()) {
      Locator best = sign.locator("label.pick").first();
      best.click();
      // the page may still have been on its way to the anchor when it was tapped
      if (!best.locator("input").isChecked()) {
        best.click();
      }
      assertThat(best.locator("input")).isChecked();
    }
  }

  private void decide(Page page, String fitness, String reason) {
    page.locator("#inspect label.pick:has([name=decision][value=" + fitness + "])").click();
    if (!reason.isEmpty()) {
      page.fill("#inspect [name=reason]", reason);
    }
    page.click("#inspect button.btn-primary");
  }

  private void sendToTheRawDish(Page page, long lot) {
    page.navigate(address("/plan/" + lot));
    page.click("#tile-fillet-left .letter-button:has-text('P')");
    page.fill("#tile-fillet-left input[name=becomes]", DISH);
    page.press("#tile-fillet-left input[name=becomes]", "Enter");
  }

  @Test
  public void aRawDishIsBlockedUntilTheRecordIsAdded() {
    bean(DemoPeople.class)
        .as(
            "ines",
            () ->
                bean(DishEditor.class)
                    .add(
                        new DishForm(
                            DISH,
                            "" + bean(HouseSettings.class).venues().get(0).id(),
                            "60 g",
                            "5",
                            "SLICES",
                            "1",
                            "",
                            "SKINLESS",
                            "",
                            "",
                            "",
                            "yes",
                            List.of(),
                            "sea bass",
                            0)));
    long lot =
        new TestLots(app).receive("sea-bass", State.GUTTED, 1, "1.9", Temperature.ofCelsius(1));
    Page page = signedIn("ines");
    inspectAsPerfect(page, lot);
    decide(page, "RAW", "");
    assertThat(page.locator("#raw-gate .alert")).containsText("Raw only after freezing");
    sendToTheRawDish(page, lot);
    assertThat(page.locator(".alert-danger").first())
        .containsText("is served raw, cured or underdone");

    page.navigate(address("/dock/" + lot + "#raw-gate"));
    page.click("#raw-gate summary:has-text('It was frozen')");
    page.check("#raw-gate input[value=SUPPLIER]");
    page.fill("#frozen-before", "-20.5");
    page.fill("#frozen-after", "-21");
    page.fill("#frozen-place", "cold store of Grey Skerry Landings");
    page.fill("#frozen-paper", "freezing log 12");
    page.fill("#frozen-caught", "2026-11-20");
    page.fill(
        "#frozen-curve",
        "2026-11-24 18:00 -20.5\n23:00 -21\n2026-11-25 05:00 -22\n11:00 -22\n17:00 -21\n20:00 -21");
    page.click("#raw-gate button:has-text('Save the record')");
    assertThat(page.locator("#raw-gate .alert-success")).isVisible();
    assertThat(page.locator("#raw-gate .earliest")).containsText("20:00");
    sendToTheRawDish(page, lot);
    assertThat(page.locator(".alert-danger")).hasCount(0);
    assertEquals(
        bean(LotRegister.class).get(lot).rawGate(), Optional.of(RawGate.FROZEN), "it is open");
  }

  @Test
  public void aWarmDeliveryIsHeldUntilSomebodyLooksAndDecides() {
    long lot =
        new TestLots(app).receive("mackerel", State.GUTTED, 4, "1.6", Temperature.ofCelsius(9));
    Page page = signedIn("ines");
    page.navigate(address("/"));
    assertThat(page.locator(".decisions .TOO_WARM:has-text('Lot " + lot + "')")).isVisible();
    page.navigate(address("/dock/" + lot));
    assertThat(page.locator("#held")).containsText("Held: it came at");
    inspectAsPerfect(page, lot);
    assertThat(page.locator("#inspect")).containsText("histamine may have formed");
    decide(page, "COOK", "the logger shows ten minutes on the quay");
    assertThat(page.locator("#held")).hasCount(0);
    page.fill("#warm-minutes", "115");
    page.fill("#warm-why", "left beside the oven");
    page.click("#cold button:has-text('Add it')");
    assertThat(page.locator(".warm-sum")).containsText("115 of 120 minutes");
    page.waitForLoadState();
    assertThat(page.locator("#warm-minutes")).hasValue("");
    page.fill("#warm-minutes", "6");
    page.click("#cold button:has-text('Add it')");
    assertThat(page.locator("#held")).containsText("121 minutes in all");
  }

  @Test
  public void aVerdictThatComesLateLeavesWhatWasDecided() {
    long lot = new TestLots(app).receive("hake", State.GUTTED, 1, "2.4", Temperature.ofCelsius(1));
    Page page = signedIn("ines");
    List<Route> late = new ArrayList<>();
    page.route("**/judge", late::add);
    page.waitForRequest("**/judge", () -> inspectAsPerfect(page, lot));
    page.click("#inspect label.pick:has([value=POT])");
    page.fill("#why", "the chef wants it for stock");
    page.unroute("**/judge");
    late.forEach(Route::resume);
    assertThat(page.locator("#verdict")).containsText("The signs say: raw");
    assertThat(page.locator("#inspect [value=POT]")).isChecked();
    assertThat(page.locator("#why")).hasValue("the chef wants it for stock");
    page.click("#inspect button.btn-primary");
    assertThat(page.locator("#inspect")).containsText("Decided: pot");
  }

  @Test
  public void aListOfFishThatComesLateLeavesTheFishThatWasChosen() {
    Page page = signedIn("tobiah");
    page.navigate(address("/dock/receive"));
    List<Route> late = new ArrayList<>();
    page.route("**/dock/receive/fish*", late::add);
    page.waitForRequest(
        "**/dock/receive/fish*", () -> page.locator(".find").pressSequentially("hak"));
    page.click("#fish-list label.pick:has(input[value=hake])");
    page.unroute("**/dock/receive/fish*");
    page.evaluate("() => document.getElementById('fish-list').setAttribute('data-before', '')");
    late.forEach(Route::resume);
    assertThat(page.locator("#fish-list[data-before]")).hasCount(0);
    assertThat(page.locator("#fish-list input[value=hake]")).isChecked();
  }

  private static final List<String> REFUSED =
      List.of(
          "fugu",
          "blowfish",
          "torafugu",
          "Kugelfisch",
          "baiacu",
          "pesce palla",
          "porcupinefish",
          "boxfish",
          "sunfish",
          "Greenland shark");

  @Test
  public void aRefusedFishIsRefusedUnderEveryName() {
    Page page = signedIn("tobiah");
    for (String name : REFUSED) {
      page.navigate(address("/dock/receive"));
      page.locator(".find").fill(name);
      assertThat(page.locator("#fish-list .alert-danger")).containsText("does not support");
      assertThat(page.locator("#fish-list .pick")).hasCount(0);
    }
  }
}
