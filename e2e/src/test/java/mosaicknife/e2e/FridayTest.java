package mosaicknife.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.List;
import java.util.regex.Pattern;
import mosaicknife.app.buy.Order;
import mosaicknife.app.buy.OrderLine;
import mosaicknife.app.buy.OrderPlacer;
import mosaicknife.app.buy.OrderStatus;
import mosaicknife.app.lot.Claim;
import mosaicknife.app.lot.ClaimSettler;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.core.lot.Lot;
import org.testng.annotations.Test;

/**
 * Friday: plan the covers, print the order, receive it one fish short, claim it, see it on Today.
 */
public class FridayTest extends InBrowser {

  @Test
  public void fromFridaysCoversToAShortDeliveryWithItsClaim() throws IOException {
    Page page = signedIn("ines");
    long order = planAndOrder(page);
    OrderLine line = bean(OrderPlacer.class).get(order).lines().get(0);
    assertTrue(line.fish() > 1, "several fish were ordered: " + line.fish());

    Download sheet = page.waitForDownload(() -> page.click("a:has-text('CSV')"));
    List<String> rows = Files.readAllLines(sheet.path());
    assertEquals(rows.size(), 2);
    assertTrue(rows.get(1).contains("," + line.fish() + ","), rows.get(1));
    page.click("button:has-text('Place the order')");
    assertThat(page.locator(".status")).hasText("placed");

    Page dock = signedIn("tobiah");
    long lot = receiveOneShort(dock, order, line);
    claim(dock);

    Lot stored = bean(LotRegister.class).get(lot);
    assertEquals(stored.fish(), line.fish() - 1);
    Claim claim = bean(ClaimSettler.class).of(lot).get(0);
    assertEquals(claim.kind(), Claim.Kind.SHORT);

    page.navigate(address("/dock/" + lot + "#claims"));
    page.fill("#claims input[name=amount]", "3.00");
    page.click("#claims button:has-text('Credited')");
    assertThat(page.locator("#claims .status")).hasText("credited");
    assertThat(page.locator(".weights")).containsText("Credited, so it costs");

    page.navigate(address("/"));
    assertThat(page.locator(".lots")).containsText("Lot " + lot);
    page.navigate(address("/dock"));
    dock.navigate(address("/dock"));
    Locator expected = dock.locator(".expected:has-text('Order " + order + ",')");
    assertThat(expected).containsText((line.fish() - 1) + " of " + line.fish() + " came");
    expected.locator("a:has-text('Receive')").click();
    receive(dock, 1, 1, line.grade().middle().milligrams() / 1e6);
    dock.navigate(address("/dock"));
    // all of it came, so the order is closed by itself
    assertThat(dock.locator(".expected:has-text('Order " + order + ",')")).hasCount(0);
  }

  private long planAndOrder(Page page) {
    page.click(".bar nav a:has-text('Buy')");
    page.click(".chip:has-text('Function')");
    Locator row = page.locator(".wanted tr:has-text('Hake, brown butter')");
    row.locator("[name=portions]").fill("26");
    row.locator("[name=forecastError]").fill("4");
    row.locator("button:has-text('Save')").click();
    assertThat(row.locator(".plate")).containsText("€");
    row.locator("a.btn").click();
    assertThat(page.locator(".lead")).containsText("26 ± 4 portions per service");
    page.fill("#level", "95");
    page.fill("#litres", "6");
    page.click(".plan-form button");
    assertThat(page.locator(".plan-notes")).containsText("you want 6 l");
    Locator best = page.locator(".candidates li.best");
    assertThat(best).containsText("Cheapest by");
    best.locator("button:has-text('Order')").click();
    assertThat(page).hasURL(Pattern.compile(".*/buy/orders/\\d+"));
    assertThat(page.locator(".status")).hasText("being put together");
    return Long.parseLong(page.url().replaceAll(".*/orders/(\\d+).*", "$1"));
  }

  private long receiveOneShort(Page dock, long order, OrderLine line) {
    dock.click(".bar nav a:has-text('Dock')");
    dock.click(".expected:has-text('Order " + order + ",') a:has-text('Receive')");
    assertThat(dock.locator("h1")).hasText("Receive what was ordered");
    assertThat(dock.locator("input[name=species]:checked")).hasValue(line.species().code());
    double each = line.grade().middle().milligrams() / 1e6;
    dock.fill("#gross", "%.3f kg".formatted(each * line.fish() + 3));
    receive(dock, line.fish() - 1, line.fish(), each);
    assertThat(dock.locator(".alert-warning").first()).containsText("Short by 1 fish");
    return Long.parseLong(dock.url().replaceAll(".*/dock/(\\d+).*", "$1"));
  }

  /** So many fish come, and so many are invoiced. */
  private static void receive(Page dock, int fish, int invoiced, double each) {
    dock.fill("#fish", "" + fish);
    dock.check("input[value=WILD]", new Page.CheckOptions().setForce(true));
    dock.fill("#invoiced", "%.3f kg".formatted(each * invoiced));
    dock.fill("#own", "%.3f kg".formatted(each * fish));
    dock.fill("#temperature", "1.4");
    dock.click("button:has-text('Receive the lot')");
    assertThat(dock.locator("h1, .lot-name").first()).isVisible();
  }

  private static void claim(Page dock) {
    for (Locator sign : dock.locator("#inspect .sign-row").all()) {
      sign.locator("label.pick").first().click();
    }
    assertThat(dock.locator(".dial-days")).containsText("days left on ice");
    assertThat(dock.locator("#verdict")).containsText("The signs say: raw");
    dock.click("button:has-text('Save the inspection')");
    assertThat(dock.locator("#inspect")).containsText("Decided: raw");
    assertThat(dock.locator(".carried")).containsText("Raw: freeze first");

    assertThat(dock.locator("#claim-reason")).hasValue(Pattern.compile("Short by 1 fish.*"));
    dock.selectOption("#claim-kind", "SHORT");
    dock.click("button:has-text('Make the claim')");
    assertThat(dock.locator(".claim .status")).hasText("asked");
    assertThat(dock.locator(".claim")).containsText("Short by 1 fish");
  }

  @Test
  public void aPriceListIsReadWithItsBadRowsAndASearchFindsAFishAsOneTypes() {
    Page page = signedIn("ines");
    page.navigate(address("/buy/prices"));
    page.fill("#supplier", "Holm Sound Boats");
    page.setInputFiles(
        "#file",
        new FilePayload(
            "list.csv",
            "text/csv",
            "fish;size;price\nlieu jaune;2-4 kg;7,90\nkraken;1-2;5\n"
                .getBytes(StandardCharsets.UTF_8)));
    page.click("button:has-text('Look at it first')");
    assertThat(page.locator(".lead")).containsText("1 row is fine, 1 is not");
    assertThat(page.locator("td.problem")).containsText("kraken");
    page.click("button:has-text('Save 1 prices')");
    assertThat(page.locator(".alert-success")).containsText("Saved: 1 new prices");

    page.navigate(address("/catalogue"));
    page.locator("#query").pressSequentially("rødspæt");
    assertThat(page.locator("#found tbody tr")).hasCount(1);
    assertThat(page.locator("#found tbody tr th a")).hasText("Plaice");
  }

  @Test
  public void anUnknownFishIsOnTheBoardInAMinute() {
    Page page = signedIn("tobiah");
    page.navigate(address("/catalogue/tonight"));
    page.check("input[value=deep-bodied]", new Page.CheckOptions().setForce(true));
    page.fill("#name", "Moon bream");
    page.fill("#mass", "900 g");
    assertThat(page.locator("#mass-echo")).containsText("1 lb 15.7 oz");
    page.check("input[name=head][value=LARGE]", new Page.CheckOptions().setForce(true));
    page.check("input[name=pinBones][value=THROUGHOUT]", new Page.CheckOptions().setForce(true));
    page.check("input[name=kin][value=NONE]", new Page.CheckOptions().setForce(true));
    page.click("button:has-text('Make it and receive it')");
    assertThat(page.locator("#receive")).containsText("Moon bream is in the catalogue");
    assertThat(page.locator("input[name=species]:checked")).hasValue("moon-bream");
    page.locator(".find").pressSequentially("moon br");
    assertThat(page.locator("#fish-list .pick").first()).containsText("Moon bream");
  }

  @Test
  public void anOrderThatSomebodyElseChangedIsNotChangedAgain() {
    Page one = signedIn("ines");
    Page other = signedIn("adaeze");
    Order draft =
        bean(OrderPlacer.class).all(1).rows().stream()
            .filter(o -> o.status() == OrderStatus.DRAFT)
            .findFirst()
            .orElseThrow();
    one.navigate(address("/buy/orders/" + draft.id()));
    other.navigate(address("/buy/orders/" + draft.id()));
    one.fill("#note", "ring before you sail");
    one.click("button:has-text('Save')");
    assertThat(one.locator("#order")).containsText("ring before you sail");
    other.fill("#note", "small ones please");
    other.click("button:has-text('Save')");
    assertThat(other.locator(".alert-danger"))
        .containsText("Someone else changed this order first");
    assertThat(other.locator("#note")).hasValue("small ones please");
  }
}
