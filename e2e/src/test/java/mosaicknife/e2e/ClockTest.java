package mosaicknife.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Response;
import com.microsoft.playwright.options.BoundingBox;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import mosaicknife.app.house.HouseSettings;
import org.testng.annotations.Test;

/** The Clock in the hands of three people. */
public class ClockTest extends InBrowser {

  /** Before anybody of the demo is there, and its services are all to come. */
  private final Clock morning = itIsNow(LocalTime.of(5, 0));

  @Override
  Clock clock() {
    return morning;
  }

  private LocalDateTime now() {
    return LocalDateTime.now(morning.withZone(bean(HouseSettings.class).house().formats().zone()))
        .truncatedTo(ChronoUnit.MINUTES);
  }

  /** Writes down something that takes time, for so many hours from now. */
  private void add(Page page, String name, int minutes, String takes, int hours) {
    page.navigate(address("/clock"));
    assertThat(page.locator(".lanes")).isVisible();
    page.click("#more summary");
    page.fill("#more input[name=name]", name);
    page.fill("#more input[name=minutes]", "" + minutes);
    page.fill("#more input[name=wanted]", now().plusHours(hours).toString());
    page.selectOption("#more select[name=skill]", takes);
    page.click("#more button");
    assertThat(page.locator(".alert-success")).containsText("It is on the Clock");
    assertThat(page.locator(".next li:has-text('" + name + "')")).isVisible();
  }

  private static Locator bar(Page page, String name) {
    return page.locator(".lanes a[data-task]:has-text('" + name + "')").first();
  }

  @Test
  public void aDraggedTaskStaysWhereItWasPutAndTheDayGoesAroundIt() {
    Page page = signedIn("ines");
    add(page, "Ray wings drain", 40, "NONE", 9);
    bar(page, "Ray wings drain").scrollIntoViewIfNeeded();
    BoundingBox before = bar(page, "Ray wings drain").locator("rect").boundingBox();
    Response answer =
        page.waitForResponse(
            response -> response.url().endsWith("/clock/drag"),
            () -> {
              page.mouse().move(before.x + 4, before.y + 8);
              page.mouse().down();
              page.mouse().move(before.x - 90, before.y + 8);
              page.mouse().up();
            });
    assertEquals(answer.status(), 200);
    assertThat(bar(page, "Ray wings drain").locator(".pin")).hasCount(1);
    assertTrue(
        bar(page, "Ray wings drain").locator("rect").boundingBox().x < before.x - 40,
        "it is earlier now");
    page.reload();
    assertThat(bar(page, "Ray wings drain").locator(".pin")).hasCount(1);
    Locator row = page.locator(".next li:has-text('Ray wings drain')");
    row.locator("summary").click();
    row.locator("button:has-text('Take the pin out')").click();
    assertThat(page.locator(".alert-success")).containsText("where it fits best");
    assertThat(bar(page, "Ray wings drain")).isVisible();
    assertThat(bar(page, "Ray wings drain").locator(".pin")).hasCount(0);
  }

  @Test
  public void eachHasTheirNextThingsOnTodayAndTwoDoNotBeginTheSame() {
    Page ines = signedIn("ines");
    ines.navigate(address("/clock"));
    assertThat(ines.locator(".lanes")).isVisible();
    ines.click("#who summary");
    Locator form = ines.locator("#who form:has(select[name=person])");
    String maren =
        ines.locator("#who select[name=person] option:has-text('Maren Oake')")
            .getAttribute("value");
    form.locator("select[name=person]").selectOption(maren);
    form.locator("input[name=from]").fill("00:00");
    form.locator("input[name=to]").fill("00:00");
    form.locator("button").click();
    assertThat(ines.locator(".alert-success")).containsText("Saved");
    add(ines, "Count the lemons", 15, "ANY", 1);

    Page learner = signedIn("maren");
    learner.navigate(address("/"));
    // she is the only one who is there
    assertThat(learner.locator("#hands")).containsText("Count the lemons");
    Page late = signedIn("tobiah");
    late.navigate(address("/clock"));
    assertThat(late.locator("button[aria-label='Begin: Count the lemons']")).isVisible();
    learner.click("button[aria-label='Begin: Count the lemons']");
    assertThat(learner.locator(".alert-success")).containsText("Count the lemons: begun");
    late.click("button[aria-label='Begin: Count the lemons']");
    assertThat(late.locator(".alert-danger")).containsText("Maren Oake began it already");
    restart();
    Page again = signedIn("maren");
    again.navigate(address("/"));
    again.click("button[aria-label='Done: Count the lemons']");
    assertThat(again.locator(".alert-success")).containsText("Count the lemons: done");
    assertThat(again.locator("#hands")).not().containsText("Count the lemons");
  }

  @Test
  public void aCalendarReadsTheDayFromAnAddressOfItsOwn() {
    Page page = signedIn("tobiah");
    add(page, "Sharpen the long knife", 20, "NONE", 6);
    page.click("#feed summary");
    page.click("#feed button");
    String calendar = page.locator("#feed-address").inputValue();
    assertTrue(calendar.startsWith(address("/clock/feed/")), calendar);
    APIResponse answer = page.context().browser().newContext().request().get(calendar);
    assertEquals(answer.status(), 200);
    assertTrue(answer.text().contains("Sharpen the long knife"));
    assertEquals(page.request().get(address("/clock/wall.pdf")).status(), 200);
  }
}
