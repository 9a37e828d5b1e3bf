package mosaicknife.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.math.RoundingMode;
import java.util.List;
import java.util.regex.Pattern;
import mosaicknife.app.TestLots;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.Balance.Verdict;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** Fish cut as their cooks cut them, from the plan to the closed cost, with the taps counted. */
public class MyWayTest extends InBrowser {

  @Override
  boolean sharesAHouse() {
    return true;
  }

  private int taps;

  @BeforeMethod
  void nothingTapped() {
    taps = 0;
  }

  private LotSheet sheet(long lot) {
    return bean(LotSheets.class).get(lot);
  }

  private void tap(Page page, String button) {
    page.click(button);
    taps++;
  }

  private Page plan(long lot) {
    Page page = signedIn("ines");
    page.navigate(address("/plan/" + lot));
    return page;
  }

  private void answer(Page page, String option, String choice) {
    tap(page, "#option-" + option + " button:has-text('" + choice + "')");
    assertThat(page.locator("#option-" + option + " button[aria-pressed=true]"))
        .containsText(choice);
  }

  private void toTheBench(Page page) {
    tap(page, "button:has-text('usual purpose')");
    assertThat(page.locator(".tile-rows .undecided")).hasCount(0);
    tap(page, "a:has-text('To the bench')");
    page.waitForURL(Pattern.compile(".*/bench/.*"));
    assertThat(page.locator("#live-words")).hasText("empty");
  }

  /** Types what the part in hand should weigh, to the gram. */
  private void weigh(Page page, long lot) {
    String name = page.locator("#next-part b").textContent();
    LotPart part =
        sheet(lot).expectedParts().stream()
            .filter(p -> p.name().equals(name))
            .findFirst()
            .orElseThrow();
    // a piece nobody ever estimated is a small one
    Mass expected = part.expected().orElse(Mass.ofGrams(15));
    page.fill(
        "#typed", expected.inGrams().setScale(0, RoundingMode.HALF_UP).toPlainString() + " g");
    tap(page, "#take-typed");
    assertThat(page.locator("#said")).hasText(Pattern.compile(name + " .* taken\\."));
  }

  private void weighTheRest(Page page, long lot) {
    while (sheet(lot).next(1).isPresent()) {
      weigh(page, lot);
    }
  }

  private void close(Page page, long lot) {
    assertThat(page.locator(".verdict.closed")).containsText("It adds up.");
    tap(page, "button:has-text('Close the lot')");
    assertThat(page.locator("#said")).hasText("Lot " + lot + " is closed.");
    LotSheet sheet = sheet(lot);
    assertEquals(sheet.balance().verdict(), Verdict.CLOSED);
    page.navigate(address("/cost/" + lot));
    assertThat(page.locator("#cost-page")).containsText("€");
  }

  @Test
  public void anUnguttedGurnardIsFilletedWithEverythingStayingOnTheHead() {
    long lot = new TestLots(app).receive("gurnard", State.UNGUTTED, 1, "1.1");
    Page page = plan(lot);
    answer(page, "together", "with guts and gills");
    assertThat(page.locator(".pre-work")).not().containsText("Gut it now");
    toTheBench(page);
    assertThat(page.locator(".tally")).not().containsText("Guts");
    weighTheRest(page, lot);
    close(page, lot);
    LotPart carcass = sheet(lot).find("carcass-with-guts").orElseThrow();
    assertEquals(carcass.purpose().orElseThrow(), Purpose.COMPOST);
    // the merge, the purposes, the bench, five weights, the door
    assertEquals(taps, 9);
  }

  @Test
  public void aPlaiceIsCutSideBySideInTheButchersOwnOrder() {
    long lot = new TestLots(app).receive("plaice", State.GUTTED, 1, "1.2");
    Page page = plan(lot);
    answer(page, "route", "Two fillets");
    toTheBench(page);
    tap(page, ".tally tr[data-slot=fillet-eye] a");
    weigh(page, lot);
    assertThat(page.locator("#next-part b")).hasText("Blind side fillet");
    weigh(page, lot);
    assertThat(page.locator("#next-part b")).hasText("Frame");
    // the fins are still on it
    tap(page, ".tally tr[data-slot=fins] a");
    tap(page, "#more > summary");
    tap(page, "#more button[name=on]:has-text('Frame')");
    assertThat(page.locator(".tally tr[data-slot=frame]")).containsText("with fins and tail");
    weighTheRest(page, lot);
    close(page, lot);
    assertTrue(taps <= 15, "taps: " + taps);
  }

  @Test
  public void aWholeBassForTwoIsFilletedAfterCookingAndHasOneCount() {
    // about 1.10 × 0.46 / 0.90 = 560 g are eaten: 2.4 times 230 g
    long lot = new TestLots(app).receive("farmed-bass", State.GUTTED, 1, "1.10");
    Page page = plan(lot);
    page.fill("#portion", "230 g");
    page.locator("#portion").blur();
    assertThat(page.locator(".serving-said")).hasText(Pattern.compile("slices of 230.g"));
    page.locator("#serving-form").selectOption("SHARED");
    assertThat(page.locator(".serving-said"))
        .hasText(Pattern.compile("whole fish, 230.g eaten by each guest"));
    answer(page, "route", "Filleted after cooking");
    assertThat(page.locator("#option-ribs")).hasCount(0);
    String promised =
        page.locator(".plan-sums dd span").first().textContent().replaceAll("^\\D*(\\d+).*$", "$1");
    toTheBench(page);
    weighTheRest(page, lot);
    close(page, lot);
    assertEquals(Long.toString(sheet(lot).portions().count()), promised);
    assertEquals(promised, "2", "two guests, and no more for head and bones");
    page.navigate(address("/uses/" + lot));
    page.click("#row-whole .cooked summary");
    page.fill("#row-whole input[name=out]", "980 g");
    page.fill("#row-whole input[name=flesh]", "460 g");
    page.click("#row-whole .cooked button");
    assertThat(page.locator("#row-whole .cooked summary"))
        .hasText(Pattern.compile("980.g off the heat .*460.g off the bone.*230.g on a plate"));
  }

  @Test
  public void aMackerelIsButterfliedByTheBellyAndItsRoePutBack() {
    long lot = new TestLots(app).receive("mackerel", State.UNGUTTED, 1, "0.42");
    Page page = plan(lot);
    answer(page, "route", "Butterflied by the belly");
    cutFurther(page, "guts", "Roe");
    toTheBench(page);
    assertThat(page.locator(".tally")).containsText("Butterflied fish");
    weighTheRest(page, lot);
    tap(page, ".tally th a:has-text('Roe')");
    tap(page, "#more > summary");
    tap(page, "#more button[name=into]:has-text('Butterflied fish')");
    assertThat(page.locator(".tally tr[data-slot=butterflied]")).containsText("with roe");
    close(page, lot);
    LotSheet sheet = sheet(lot);
    LotPart roe =
        sheet.parts().stream()
            .filter(p -> p.part().putInto().isPresent())
            .findFirst()
            .orElseThrow();
    assertEquals(roe.purpose().orElseThrow(), Purpose.PLATE);
    assertEquals(sheet.portions().fillets().size(), 1, "fish and roe are one");
    assertTrue(taps <= 16, "taps: " + taps);
  }

  @Test
  public void aLotOfFourGurnardsOfTheirOwnSizesHasTheFilletsOfEach() {
    long lot = new TestLots(app).receive("gurnard", State.GUTTED, 4, "3.08");
    Page page = signedIn("ines");
    page.navigate(address("/dock/" + lot));
    page.click("summary:has-text('one by one')");
    page.fill("#fish-lines", "520 g\n560 g\n600 g\n1.4 kg");
    answered(page, () -> page.click("form[action$='/fish'] button"));
    page.navigate(address("/plan/" + lot));
    page.fill("#portion", "150 g");
    page.locator("#portion").blur();
    assertThat(page.locator(".serving-said")).hasText(Pattern.compile("slices of 150.g"));
    String promised =
        page.locator(".plan-sums dd span").first().textContent().replaceAll("^\\D*(\\d+).*$", "$1");
    assertEquals(promised, "2", "one from each side of the large fish, none from the small ones");
    toTheBench(page);
    page.navigate(address("/bench/" + lot + "?fish=0"));
    while (sheet(lot).next(0).isPresent()) {
      weigh(page, lot);
    }
    close(page, lot);
    assertEquals(Long.toString(sheet(lot).portions().count()), promised);
  }

  private boolean isWeighedPiece(LotPart part) {
    return part.parentId().isPresent() && part.isStarted();
  }

  private void cutFurther(Page page, String slot, String piece) {
    Locator further = page.locator("#tile-" + slot + " .further");
    further.locator("summary").click();
    further.locator("button:has-text('" + piece + "')").click();
    page.waitForURL(Pattern.compile(".*#tile-" + slot));
    taps += 2;
  }

  @Test
  public void aVeryDeepFishIsCutIntoThirteenPiecesASideInFifteenTaps() {
    long lot = new TestLots(app).receive("opah", State.GUTTED, 1, "28");
    Page page = plan(lot);
    cutFurther(page, "loin-top-left", "As usual");
    cutFurther(page, "loin-top-left", "Bone-in rib cut");
    cutFurther(page, "belly", "Front belly");
    assertTrue(taps <= 6, "planned in " + taps);
    assertThat(page.locator(".tile-rows .piece")).hasCount(4 * 6 + 1);
    toTheBench(page);
    while (!page.locator("#next-part b").textContent().equals("Top left loin")) {
      weigh(page, lot);
    }
    taps = 0;
    // cut before it was weighed: its pieces stand for it, and so for the next loin
    tap(page, ".tally th a:has-text('Eye of the loin, top left loin')");
    for (String loin : List.of("top", "bottom")) {
      for (int piece = 0; piece < 6; piece++) {
        assertThat(page.locator("#next-part b")).containsText(loin + " left loin");
        weigh(page, lot);
      }
    }
    tap(page, ".tally th a:has-text('Front belly')");
    weigh(page, lot);
    assertTrue(taps <= 15, "taps: " + taps);
    LotSheet sheet = sheet(lot);
    assertEquals(sheet.parts().stream().filter(this::isWeighedPiece).count(), 13);
    LotPart strip =
        sheet.parts().stream()
            .filter(p -> p.name().startsWith("Back strip"))
            .findFirst()
            .orElseThrow();
    assertEquals(strip.purpose().orElseThrow(), Purpose.SECOND_PLATE);
  }

  @Test
  public void aWeightOnTheWrongRowIsMovedInTwoTaps() {
    long lot = new TestLots(app).receive("pollack", State.GUTTED, 1, "3.9");
    Page page = signedIn("tobiah");
    page.navigate(address("/bench/" + lot + "?part=head"));
    assertThat(page.locator("#live-words")).hasText("empty");
    page.fill("#typed", "1.020 kg");
    page.click("#take-typed");
    assertThat(page.locator(".tally tr[data-slot=head].weighed")).isVisible();
    page.click(".tally tr[data-slot=head] a");
    taps = 0;
    tap(page, "#more > summary");
    tap(page, "#more button[name=to]:has-text('Left fillet')");
    assertThat(page.locator("#said")).hasText("1.020 kg moved to Left fillet.");
    assertThat(page.locator(".tally tr[data-slot=fillet-left] .weight")).hasText("1.020 kg");
    assertThat(page.locator(".tally tr[data-slot=head].weighed")).hasCount(0);
    assertEquals(taps, 2);
  }
}
