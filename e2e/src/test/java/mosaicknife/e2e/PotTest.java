package mosaicknife.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.time.LocalDateTime;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.TestLots;
import mosaicknife.app.account.DemoPeople;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.larder.LarderBook;
import mosaicknife.app.weighing.Entry;
import mosaicknife.app.weighing.Take;
import mosaicknife.app.weighing.WeighingRecorder;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.larder.Item;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import org.testng.annotations.Test;

/** Bones become clear stock: planned backward, begun, cooled with a warning in time, packed. */
public class PotTest extends InBrowser {

  private long frames(String kilograms) {
    long lot = new TestLots(app).receive("hake", State.GUTTED, 1, "9.000");
    bean(DemoPeople.class)
        .as(
            "tobiah",
            () ->
                bean(WeighingRecorder.class)
                    .take(
                        new Take(
                            UUID.randomUUID(),
                            lot,
                            "frame",
                            1,
                            Entry.of(MassText.parse(kilograms + " kg", MassUnit.KILOGRAM)),
                            Optional.empty(),
                            "")));
    return lot;
  }

  private ZonedDateTime now() {
    return ZonedDateTime.now(bean(HouseSettings.class).house().formats().zone());
  }

  private void read(Page page, double degrees, int minutesAgo) {
    Locator form = page.locator("form:has(input[name=temperature])");
    form.locator("input[name=temperature]").fill("" + degrees);
    if (minutesAgo > 0) {
      String at = now().minusMinutes(minutesAgo).format(DateTimeFormatter.ofPattern("HH:mm"));
      form.locator("input[name=at]").fill(at);
    }
    form.locator("input[name=instrument]").fill("stick thermometer");
    answered(page, form.locator("button")::click);
    assertThat(page.locator(".alert-success")).containsText("written down");
  }

  private static void yes(Page page) {
    answered(page, () -> page.click(".chain .is-on button"));
    assertThat(page.locator(".alert-success")).isVisible();
  }

  @Test
  public void bonesBecomeClearStockWithAWarningThatCameInTime() {
    for (int lot = 0; lot < 5; lot++) {
      frames("1.300");
    }
    Page ines = signedIn("ines");
    ines.navigate(address("/pot?method=long-rested"));
    ines.locator("select[name=kettle]")
        .selectOption(
            ines.locator("select[name=kettle] option:has-text('Tall kettle')")
                .getAttribute("value"));
    ines.fill("#wish input[name=litres]", "12");
    LocalDateTime wanted =
        now().toLocalDateTime().plusDays(1).truncatedTo(ChronoUnit.DAYS).plusHours(18);
    ines.fill("input[name=wanted]", wanted.toString());
    ines.locator("input[name=wanted]").dispatchEvent("change");
    assertThat(ines.locator("#worked")).containsText("≈ 12.0 l");
    assertThat(ines.locator("#worked")).containsText("6.240 kg of bones");
    assertThat(ines.locator("#worked")).containsText("Begin by");
    assertThat(ines.locator("#worked")).containsText("a litre: fish and bones");
    ines.click("#wish button.big");
    assertThat(ines.locator(".alert-success")).containsText("Its bones are promised");
    ines.locator(".brews a:has-text('Clear white stock')").last().click();
    yes(ines);

    Page tobiah = signedIn("tobiah");
    tobiah.navigate(ines.url());
    assertThat(tobiah.locator(".chain .is-on")).containsText("Split heads and frames");
    assertThat(tobiah.locator(".chain .is-on .cue")).containsText("no red left");
    yes(tobiah);
    assertThat(tobiah.locator(".chain li.s-DONE_EARLY")).hasCount(1);
    ines.click(".chain .is-on button");
    assertThat(ines.locator(".alert-danger")).containsText("ended that step already");

    String batch = ines.url();
    restart();
    Page again = signedIn("tobiah");
    again.navigate(batch);
    assertThat(again.locator(".chain .is-on")).containsText("Soak in cold water");
    for (int step = 0; step < 5; step++) {
      yes(again);
    }
    assertThat(again.locator(".chain .is-on")).containsText("Cool it");
    assertThat(again.locator(".cool-said")).containsText("Too early to say");
    double degrees = 58;
    for (int ago = 30; ago >= 5; ago -= 5) {
      read(again, Math.round(degrees * 10) / 10.0, ago);
      degrees = 22 + (degrees - 22) * Math.exp(-5 / 190.0);
    }
    assertThat(again.locator(".cool-said")).containsText("At this rate it is late");
    assertThat(again.locator(".help")).containsText("ice bath now");
    again.locator("select[name=where]").selectOption("ICE_BATH");
    again.click("button:has-text('So it is')");
    assertThat(again.locator(".alert-success")).containsText("in an ice bath");
    again.click(".chain .is-on button");
    assertThat(again.locator(".alert-danger")).containsText("No reading says");
    read(again, 4.5, 0);
    yes(again);

    Locator pack = again.locator("form:has(input[name=litres])");
    pack.locator("input[name=litres]").fill("11.6");
    pack.locator("input[name=place]").fill("walk-in, top shelf");
    pack.locator("select[name=jelly]").selectOption("SET");
    pack.locator("button").click();
    assertThat(again.locator(".alert-success")).containsText("It lies at walk-in, top shelf");
    List<Item> stock =
        bean(LarderBook.class).onShelves().stream()
            .filter(one -> one.spot().place().equals("walk-in, top shelf"))
            .toList();
    assertEquals(stock.size(), 1);
    assertEquals(stock.get(0).units(), 12);
    assertTrue(stock.get(0).trace().lots().size() >= 5, "it knows all its lots");
    assertEquals(
        stock.get(0).useBy(), now().toLocalDate().plusDays(3), "with the day of its method");
  }

  @Test
  public void aThickAndAThinFilletHaveTheirOwnTimes() {
    frames("1.200");
    Page page = signedIn("tobiah");
    for (String thick : List.of("32", "12")) {
      page.navigate(address("/kitchen"));
      Locator form = page.locator("form:has(select[name=marinade])");
      form.locator("select[name=marinade]").selectOption("soy-ginger");
      form.locator("input[name=what]").fill("fillet of " + thick);
      form.locator("input[name=thickness]").fill(thick);
      form.locator("input[name=weight]").fill("500 g");
      form.locator("input[name=weight]").dispatchEvent("change");
      assertThat(page.locator("#marinade-said")).containsText(thick + " mm thick: ready after");
      form.locator("button").click();
      assertThat(page.locator(".alert-success")).containsText("fillet of " + thick + " is in");
    }
    assertThat(page.locator(".soaks li:has-text('fillet of')")).hasCount(2);
    page.locator(".soaks li:has-text('fillet of 12') button").click();
    assertThat(page.locator(".soaks li:has-text('fillet of')")).hasCount(1);
  }

  /** One question at a time, each with its address. */
  @Test
  public void kitchenWorkShowsOneQuestion() {
    Page page = signedIn("ines");
    page.navigate(address("/kitchen"));
    assertThat(page.locator("#soaks")).isVisible();
    assertThat(page.locator("#plank")).isHidden();
    page.click(".tabbed-list a[href='#plank']");
    assertThat(page.locator("#plank")).isVisible();
    assertThat(page.locator("#soaks")).isHidden();
    assertThat(page.locator(".tabbed-list a[aria-current]")).hasText("Planks");
    page.reload();
    assertThat(page.locator("#plank")).isVisible();
    assertThat(page.locator(".tabbed-list a[aria-current]")).hasText("Planks");
    page.goBack();
    assertThat(page.locator("#soaks")).isVisible();
  }
}
