package mosaicknife.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import mosaicknife.app.TestLots;
import mosaicknife.app.account.DemoPeople;
import mosaicknife.app.homes.UseBook;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.larder.LarderBook;
import mosaicknife.app.weighing.Entry;
import mosaicknife.app.weighing.Take;
import mosaicknife.app.weighing.WeighingRecorder;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.larder.Item;
import mosaicknife.core.larder.LotMoney.Place;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import mosaicknife.core.use.FishUse.Equipment;
import org.testng.annotations.Test;

/**
 * A day from closed tallies to shelves at two venues: the plan accepted, one trimming in two
 * products, bones pooled, a loin aged, a transfer received, a label found and its item used up.
 */
public class LarderTest extends InBrowser {

  private long weighed(String species, String kilograms, Map<String, String> parts) {
    long lot = new TestLots(app).receive(species, State.GUTTED, 1, kilograms);
    bean(DemoPeople.class)
        .as(
            "tobiah",
            () ->
                parts.forEach(
                    (slot, mass) ->
                        bean(WeighingRecorder.class)
                            .take(
                                new Take(
                                    UUID.randomUUID(),
                                    lot,
                                    slot,
                                    1,
                                    Entry.of(MassText.parse(mass + " kg", MassUnit.KILOGRAM)),
                                    Optional.empty(),
                                    ""))));
    return lot;
  }

  private void decide(Page page, long lot, String slot, String use, String venue, String amount) {
    page.navigate(address("/uses"));
    Locator part =
        page.locator("#parts li")
            .filter(
                new Locator.FilterOptions()
                    .setHas(page.locator("input[name=part][value='" + lot + ":" + slot + "']")));
    part.locator("summary").click();
    part.locator("select[name=use]").selectOption(use);
    part.locator("select[name=venue]").selectOption(venue);
    part.locator("input[name=amount]").fill(amount);
    part.locator("button").click();
    assertThat(page.locator(".alert-success")).containsText("Decided.");
  }

  private String make(Page page, String name, String place) {
    page.navigate(address("/uses"));
    Locator one =
        page.locator(".makes > li").filter(new Locator.FilterOptions().setHasText(name)).first();
    one.locator("input[name=place]").fill(place);
    if (one.locator("input[name=cold]").count() > 0) {
      // it comes from the heat: shelved by a reading
      one.locator("input[name=offHeat]")
          .fill(
              LocalTime.now(bean(HouseSettings.class).house().formats().zone())
                  .toString()
                  .substring(0, 5));
      one.locator("input[name=cold]").fill("3.5");
      one.locator("input[name=instrument]").fill("probe 2");
    }
    one.locator("button:has-text('on the shelf')").click();
    assertThat(page.locator(".alert-success")).containsText("Made and put on " + place);
    return code(page);
  }

  private static String code(Page page) {
    var found =
        Pattern.compile("label is ([0-9A-Z]{5})")
            .matcher(page.locator(".alert-success").innerText());
    assertTrue(found.find());
    return found.group(1);
  }

  @Test
  public void aDayOfThreeLotsEndsOnShelvesWithEveryCentInItsPlace() {
    long hake =
        weighed(
            "hake",
            "5.000",
            Map.of(
                "fillet-left",
                "1.300",
                "fillet-right",
                "1.250",
                "frame",
                "0.640",
                "belly",
                "0.900"));
    long pollack = weighed("pollack", "4.000", Map.of("fillet-left", "1.000", "frame", "0.720"));
    weighed("hake", "3.600", Map.of("head", "0.700"));
    String lantern = "" + bean(HouseSettings.class).venues().get(0).id();
    String counter = "" + bean(HouseSettings.class).venues().get(1).id();
    bean(DemoPeople.class)
        .as(
            "ines",
            () -> {
              bean(UseBook.class).want(Long.parseLong(lantern), "sweated-fumet", 400);
              bean(UseBook.class).equip(Long.parseLong(lantern), Equipment.KETTLE, 900);
              bean(UseBook.class).hands(Long.parseLong(lantern), 5000);
            });

    Page page = signedIn("ines");
    page.navigate(address("/plan/" + hake));
    for (String slot : List.of("fillet-left", "fillet-right")) {
      page.click("#tile-" + slot + " .letter-button:has-text('P')");
      assertThat(page.locator("#tile-" + slot + " .letter-button[aria-pressed=true]")).hasText("P");
    }
    // one trimming becomes two products at two venues, by grams
    decide(page, hake, "belly", "fish-cakes", lantern, "500 g");
    decide(page, hake, "belly", "rillettes", counter, "");

    // bones of two lots in one pot: the plan, accepted as shown
    page.navigate(address("/uses"));
    assertThat(page.locator(".flow")).isVisible();
    assertThat(page.locator(".flow")).containsText("Sweated white fumet, Lantern House");
    assertThat(page.locator(".flow")).containsText("Pollack, frame · lot " + pollack);
    page.click("button:has-text('Do it so')");
    assertThat(page.locator(".alert-success")).containsText("to be made");
    String cakes = make(page, "Fish cakes", "walk-in, left");
    String fumet = make(page, "Sweated white fumet", "kettle corner");
    Item stock = bean(LarderBook.class).get(fumet);
    assertTrue(stock.trace().lots().containsAll(List.of(hake, pollack)), "it knows all its lots");

    // a fillet in the ageing rack, weighed again twice, its price following
    page.navigate(address("/uses/" + hake));
    Locator row = page.locator("#row-fillet-right");
    row.locator(".shelve summary").click();
    row.locator(".shelve input[name=until]")
        .fill("" + bean(HouseSettings.class).today().plusDays(4));
    row.locator(".shelve input[name=place]").fill("ageing rack");
    row.locator(".shelve button").click();
    assertThat(page.locator(".alert-success")).containsText("Put on ageing rack");
    String loin = code(page);
    page.navigate(address("/larder/" + loin));
    String before = page.locator(".facts").innerText();
    for (String weight : List.of("1.210 kg", "1.170 kg")) {
      page.fill("#weight", weight);
      page.click("button:has-text('Weigh')");
      assertThat(page.locator(".item-amount")).hasText(weight);
    }
    assertTrue(!page.locator(".facts").innerText().equals(before), "a kilogram costs more now");
    assertThat(page.locator("h2:has-text('If it hangs on')")).isVisible();

    // sent to the counter, and it arrives there
    page.navigate(address("/larder/" + cakes));
    page.selectOption("#venue", counter);
    page.click("button:has-text('Move')");
    assertThat(page.locator(".alert-success")).containsText("Sent to Low Tide Counter");
    page.fill("input[name=place]", "counter fridge");
    page.click("button:has-text('It is here')");
    assertThat(page.locator(".alert-success")).containsText("Lies at counter fridge now.");
    page.click("button:has-text('Print label')");
    assertThat(page.locator(".printed")).isVisible();

    // found by its label on another tablet, and used up
    Page other = signedIn("maren");
    other.navigate(address("/larder"));
    other.fill("#code", cakes.toLowerCase(java.util.Locale.ROOT));
    other.keyboard().press("Enter");
    assertThat(other.locator("h1")).hasText("Fish cakes");
    other.click("button:has-text('Used')");
    assertThat(other.locator(".item-amount")).hasText("Nothing left");

    var money = bean(LarderBook.class).money(List.of(hake)).get(hake);
    assertEquals(
        money.places().values().stream().mapToLong(one -> one.minorUnits()).sum(),
        6000,
        "5.000 kg at 12.00");
    assertTrue(money.places().get(Place.SHELF).minorUnits() > 0);
  }
}
