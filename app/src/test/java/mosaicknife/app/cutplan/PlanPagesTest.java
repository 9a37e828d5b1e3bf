package mosaicknife.app.cutplan;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.TestLots;
import mosaicknife.app.WithPages;
import mosaicknife.app.buy.Dish;
import mosaicknife.app.buy.DishEditor;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.parts.OptionChooser;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.quantity.Mass;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.testng.annotations.Test;

/** The cut plan: options, fates, ways, the sheet. */
public class PlanPagesTest extends WithPages {

  @Autowired private LotSheets sheets;
  @Autowired private OptionChooser options;
  @Autowired private HouseSettings houses;
  @Autowired private DishEditor dishes;

  private long receive(String species, State state, int count, String kilograms) {
    return new TestLots(applicationContext).receive(species, state, count, kilograms);
  }

  private LotPart part(long lot, String slot) {
    return sheets.get(lot).find(slot).orElseThrow();
  }

  private String choose(long lot, String option, String choice) throws Exception {
    return follow("ines", "/plan/" + lot + "/options/" + option, "choice", choice);
  }

  private String assign(long lot, String slot, String... fields) throws Exception {
    String[] all = new String[fields.length + 2];
    all[0] = "version";
    all[1] = Integer.toString(part(lot, slot).version());
    System.arraycopy(fields, 0, all, 2, fields.length);
    return follow("ines", "/plan/" + lot + "/parts/" + slot, all);
  }

  @Test
  public void aSwitchShowsWhatItWouldChangeBeforeItIsPressed() throws Exception {
    long lot = receive("pollack", State.GUTTED, 1, "3.9");
    String page = page("ines", "/plan/" + lot);
    assertTrue(page.contains("Through the ribs"), "ribs are asked");
    assertTrue(page.contains("a plate"), "the sous chef sees money");
    assertTrue(page.contains("Before the first cut"));
    assertTrue(page.contains("Then: skin, scale it before it comes off"), "pre-work follows");
    String learner = page("maren", "/plan/" + lot);
    assertFalse(learner.contains(" a plate<"), "a learner sees no money");
    assertTrue(learner.contains("Through the ribs"));
  }

  @Test
  public void skinningAddsATileToTheBenchAndPuttingItBackTakesItAway() throws Exception {
    long lot = receive("pollack", State.GUTTED, 1, "3.9");
    Mass before = part(lot, "fillet-left").expected().orElseThrow();
    assertTrue(sheets.get(lot).find("skin").isEmpty());
    choose(lot, "skin", "off");
    LotPart skin = part(lot, "skin");
    assertTrue(skin.planned() && !skin.skipped());
    assertTrue(part(lot, "fillet-left").expected().orElseThrow().compareTo(before) < 0);
    choose(lot, "skin", "on");
    assertTrue(sheets.get(lot).find("skin").isEmpty(), "a fish cut skin on has no skin apart");
    assertEquals(part(lot, "fillet-left").expected().orElseThrow(), before);
  }

  @Test
  public void aPartLeftOutByHandStaysOutWhenAnOptionChanges() throws Exception {
    long lot = receive("pollack", State.GUTTED, 1, "3.9");
    send("tobiah", "/bench/" + lot + "/skip", "part", "belly");
    choose(lot, "skin", "off");
    assertTrue(part(lot, "belly").skipped());
    assertFalse(page("ines", "/plan/5").contains("id=\"option-collar\""), "plaice has no collar");
  }

  private List<String> numbered(long lot) {
    return sheets.get(lot).expectedParts().stream()
        .map(part -> part.number() + " " + part.slot())
        .toList();
  }

  @Test
  public void theRouteIsTheFirstQuestionAndPartsNumbersAndQuestionsFollowIt() throws Exception {
    long lot = receive("mackerel", State.GUTTED, 3, "1.2");
    String page = choose(lot, "route", "belly-butterflied");
    assertEquals(
        numbered(lot),
        List.of("1 fins", "2 gills", "3 head", "4 butterflied", "5 frame"),
        "no gap on the keys");
    assertTrue(page.contains("id=\"option-skin\""), "skin is asked");
    assertFalse(page.contains("id=\"option-shape\""), "nobody squares a butterflied mackerel");
    choose(lot, "together", "fins");
    assertEquals(numbered(lot).get(0), "1 gills", "fins are no part any more");
    choose(lot, "route", "whole");
    page = page("ines", "/plan/" + lot);
    assertEquals(numbered(lot).get(2), "3 whole", numbered(lot).toString());
    assertFalse(page.contains("id=\"option-together\""));
    choose(lot, "route", "cuts");
    assertTrue(sheets.get(lot).find("fillet-left").filter(p -> !p.skipped()).isPresent());
    // from the first weight on a number stays with its part
    int gills = part(lot, "gills").number();
    follow(
        "tobiah",
        "/bench/" + lot + "/weighings",
        "id",
        UUID.randomUUID().toString(),
        "part",
        "gills",
        "source",
        "typed",
        "typed",
        "20 g");
    choose(lot, "together", "carcass");
    assertEquals(part(lot, "gills").number(), gills);
    assertTrue(sheets.get(lot).find("carcass").isPresent());
  }

  @Test
  public void thePortionIsThatOfTheDishOrWhatIsTypedBeforeAnythingIsWeighed() throws Exception {
    long lot = receive("hake", State.GUTTED, 1, "4.2");
    assertTrue(page("ines", "/plan/" + lot).contains("name=\"portion\" value=\"180 g\""));
    follow("ines", "/plan/" + lot + "/portion", "portion", "5 oz", "form", "SLICES");
    // 5 oz are 141.747615625 g, kept to the milligram
    assertEquals(
        sheets.get(lot).plates().serving().target(), Mass.ofMilligrams(141_748), "five ounces");
    for (String no : List.of("a handful", "0.1 oz", "-1 oz", "9 kg")) {
      String refused = follow("ines", "/plan/" + lot + "/portion", "portion", no, "form", "SLICES");
      assertTrue(refused.contains("alert-danger"), no);
      assertTrue(refused.contains("value=\"" + no + "\""), "what was typed stays: " + no);
    }
    assertEquals(sheets.get(lot).plates().serving().target(), Mass.ofMilligrams(141_748));
    assertEquals(
        send("maren", "/plan/" + lot + "/portion", "portion", "200 g", "form", "SLICES")
            .getStatus(),
        403);
    Dish dish =
        dishes.all().stream()
            .filter(d -> !d.whole() && d.fish().contains("hake"))
            .findFirst()
            .orElseThrow();
    assign(lot, "head", "purpose", "SECOND_PLATE", "becomes", dish.name());
    assertEquals(sheets.get(lot).plates().serving().target(), Mass.ofMilligrams(141_748), "a head");
    assign(lot, "fillet-left", "purpose", "PLATE", "becomes", dish.name());
    assertEquals(sheets.get(lot).plates().serving().target(), dish.serving().target());
  }

  @Test
  public void loinsAreCutFurtherOnThePlanAllOfThemAtOnceAndTakenBack() throws Exception {
    long lot = receive("albacore", State.GUTTED, 1, "12");
    String[] usual = {"kind", "eye-of-loin", "kind", "back-strip", "kind", "tail-piece"};
    assertEquals(
        send("maren", "/plan/" + lot + "/parts/loin-top-left/pieces", usual).getStatus(), 403);
    follow("ines", "/plan/" + lot + "/parts/loin-top-left/pieces", usual);
    assertEquals(pieces(lot), 12, "three pieces of four loins");
    int loin = part(lot, "loin-top-left").number();
    List<Integer> numbers =
        sheets.get(lot).parts().stream()
            .filter(p -> p.name().endsWith(", top left loin"))
            .map(LotPart::number)
            .toList();
    assertEquals(numbers, List.of(loin + 1, loin + 2, loin + 3), "each piece after its loin");
    long strips = sheets.get(lot).parts().stream().map(LotPart::name).distinct().count();
    assertEquals(strips, sheets.get(lot).parts().size(), "every name is of one part only");
    follow("ines", "/plan/" + lot + "/parts/loin-top-left/pieces", usual);
    assertEquals(pieces(lot), 12, "a double tap is one");
    follow("ines", "/plan/" + lot + "/parts/loin-top-left/pieces", "without", "back-strip");
    assertEquals(pieces(lot), 8, "taken back of all four");
    var refused = send("ines", "/plan/" + lot + "/parts/head/pieces", "kind", "fillet");
    assertEquals(refused.getStatus(), 302);
    assertEquals(pieces(lot), 8, "a head gives no fillet");
  }

  @Test
  public void theOrderAFishCameApartInAndItsPiecesBecomeTheHousesWay() throws Exception {
    long lot = receive("yellowfin", State.GUTTED, 1, "30");
    follow("ines", "/plan/" + lot + "/parts/loin-top-left/pieces", "kind", "eye-of-loin");
    Dish dish =
        dishes.all().stream().filter(d -> d.fish().contains("albacore")).findFirst().orElseThrow();
    assign(lot, "loin-top-right", "purpose", "PLATE", "becomes", dish.name());
    weigh(lot, "loin-bottom-left", "2.5 kg");
    weigh(lot, "loin-top-left", "3.5 kg");
    weigh(lot, "head", "5 kg");
    follow("ines", "/plan/" + lot + "/ways", "name", "sides first");
    long next = receive("yellowfin", State.GUTTED, 1, "30");
    List<String> order =
        sheets.get(next).parts().stream().filter(p -> p.planned()).map(LotPart::slot).toList();
    assertEquals(order.subList(0, 3), List.of("loin-bottom-left", "loin-top-left", "head"));
    assertEquals(pieces(next), 4, "an eye out of each loin");
    assertEquals(sheets.get(next).plates().servingOf("loin-top-right"), dish.serving());
    assertEquals(sheets.get(next).lot().portioned(), Optional.empty(), "nobody said another");
    assertEquals(part(next, "loin-bottom-left").number(), 1);
    // an answer changed before the first weight keeps the order
    choose(next, "collar", "head");
    assertEquals(part(next, "loin-bottom-left").number(), 1);
  }

  private void weigh(long lot, String slot, String typed) throws Exception {
    send(
        "tobiah",
        "/bench/" + lot + "/weighings",
        "id",
        UUID.randomUUID().toString(),
        "part",
        slot,
        "fish",
        "1",
        "source",
        "typed",
        "typed",
        typed);
  }

  @Test
  public void preWorkIsTickedOffWithWhoDidItAndTakenBack() throws Exception {
    long lot = receive("turbot", State.GUTTED, 1, "3.4");
    assertFalse(page("maren", "/plan/" + lot).contains("aria-pressed=\"true\" aria-label=\"Done:"));
    String[] washed = {"place", "FRAME", "task", "WASH_THE_SPINE", "done", "true"};
    follow("maren", "/plan/" + lot + "/pre-work", washed);
    String twice = follow("tobiah", "/plan/" + lot + "/pre-work", washed);
    assertTrue(twice.contains("Maren Oake"), "the first one did it");
    washed[5] = "false";
    assertFalse(follow("maren", "/plan/" + lot + "/pre-work", washed).contains("Maren Oake, "));
    washed[3] = "NOTHING";
    assertEquals(send("maren", "/plan/" + lot + "/pre-work", washed).getStatus(), 422);
  }

  @Test
  public void aHeadWithItsGillsDoesNotGoToThePot() throws Exception {
    long lot = receive("hake", State.UNGUTTED, 1, "4.2");
    send("tobiah", "/bench/" + lot + "/stay", "fish", "1", "part", "gills", "on", "head");
    String refused = assign(lot, "head", "purpose", "POT");
    assertTrue(refused.contains("never go into a pot"), refused);
    assertEquals(part(lot, "head").purpose(), Optional.empty());
    assign(lot, "head", "purpose", "COMPOST");
    assertEquals(part(lot, "head").purpose(), Optional.of(Purpose.COMPOST));
  }

  private long pieces(long lot) {
    return sheets.get(lot).parts().stream().filter(p -> p.parentId().isPresent()).count();
  }

  @Test
  public void aPartThatWasWeighedCannotBePlannedAway() throws Exception {
    long lot = receive("pollack", State.GUTTED, 1, "3.9");
    send(
        "tobiah",
        "/bench/" + lot + "/weighings",
        "id",
        UUID.randomUUID().toString(),
        "part",
        "collar",
        "source",
        "typed",
        "typed",
        "180 g");
    String page = choose(lot, "collar", "head");
    assertTrue(page.contains("Collars was weighed already"), page.substring(0, 2_000));
    assertEquals(
        Optional.ofNullable(options.answers(lot).get("collar"))
            .map(a -> a.choice())
            .orElse("first"),
        "first",
        "the refused answer is not kept");
    assertTrue(choose(lot, "collar", "sideways").contains("That is no answer"));
    assertTrue(choose(lot, "gut", "now").contains("does not ask that question"));
    MockHttpServletResponse learner =
        send("maren", "/plan/" + lot + "/options/skin", "choice", "off");
    assertEquals(learner.getStatus(), 403);
  }

  @Test
  public void theAnswerOfTheHouseNeedsAReasonAndCountsForTheNextLot() throws Exception {
    long lot = receive("hake", State.GUTTED, 1, "2.2");
    choose(lot, "belly", "lining");
    String address = "/plan/" + lot + "/options/belly/house";
    assertTrue(follow("ines", address, "reason", " ").contains("Say why"));
    follow("ines", address, "reason", "the lining is bitter");
    long next = receive("hake", State.GUTTED, 1, "2.4");
    assertEquals(options.answers(next).get("belly").choice(), "lining");
    assertEquals(options.answers(next).get("belly").reason(), "the lining is bitter");
    assertTrue(sheets.get(next).find("belly-lining").isPresent());
    String page = page("ines", "/plan/" + next);
    assertTrue(page.contains("House: Lining off, because the lining is bitter (Ines Varga)"));
    choose(next, "belly", "keep");
    assertTrue(page("ines", "/plan/" + next).contains("This lot is different."));
    choose(lot, "belly", "keep");
    follow("ines", address, "reason", "back to what it was");
    assertEquals(send("tobiah", address, "reason", "mine").getStatus(), 403);
  }

  @Test
  public void aWayIsKeptForASizeAndTheNextLotFollowsItWithItsVenues() throws Exception {
    long lot = receive("turbot", State.GUTTED, 1, "2.2");
    long counter =
        houses.venues().stream()
            .filter(v -> v.name().equals("Low Tide Counter"))
            .findFirst()
            .orElseThrow()
            .id();
    choose(lot, "skin", "off");
    String slot = "fillet-blind-back";
    assign(lot, slot, "purpose", "PLATE", "becomes", "turbot", "venue", Long.toString(counter));
    assertTrue(follow("ines", "/plan/" + lot + "/ways", "name", "").contains("name of the way"));
    follow("ines", "/plan/" + lot + "/ways", "name", "split turbot");
    long same = receive("turbot", State.GUTTED, 1, "2.3");
    assertEquals(part(same, slot).venueId(), Optional.of(counter));
    assertEquals(part(same, slot).purpose(), Optional.of(Purpose.PLATE));
    assertTrue(sheets.get(same).find("skin").isPresent());
    assertTrue(page("ines", "/plan/" + same).contains("the house’s way “split turbot”"));
    long large = receive("turbot", State.GUTTED, 1, "7.5");
    assertEquals(part(large, slot).purpose(), Optional.empty(), "another size is another way");
    String page = page("ines", "/plan/" + large);
    String way = page.substring(page.indexOf("/ways/") + 6, page.indexOf("/follow"));
    follow("ines", "/plan/" + large + "/ways/" + way + "/follow");
    assertEquals(part(large, slot).purpose(), Optional.of(Purpose.PLATE));
    follow("ines", "/plan/" + large + "/ways/" + way + "/forget");
    long after = receive("turbot", State.GUTTED, 1, "2.3");
    assertEquals(part(after, slot).purpose(), Optional.empty());
  }

  @Test
  public void everyTileHasAFateBeforeTheFirstCutAndAnOpenOneStaysVisible() throws Exception {
    long lot = receive("hake", State.UNGUTTED, 1, "2.2");
    assertTrue(page("ines", "/plan/" + lot).contains("parts have no purpose yet"));
    follow("ines", "/plan/" + lot + "/usual");
    LotSheet planned = sheets.get(lot);
    assertTrue(planned.isPlanned());
    assertFalse(page("ines", "/plan/" + lot).contains("no purpose yet"));
    assertEquals(part(lot, "head").purpose(), Optional.of(Purpose.POT));

    int old = part(lot, "head").version();
    assign(lot, "head", "purpose", "SECOND_PLATE", "becomes", "curry <b>hot</b>");
    assertEquals(part(lot, "head").becomes(), "curry <b>hot</b>");
    assertFalse(page("ines", "/plan/" + lot).contains("curry <b>hot"));
    String stale =
        follow(
            "ines",
            "/plan/" + lot + "/parts/head",
            "version",
            Integer.toString(old),
            "purpose",
            "POT");
    assertTrue(stale.contains("Someone else decided on Head first"), "stale");
    assertTrue(
        assign(lot, "gills", "purpose", "POT").contains("can’t go on a plate or into a pot"));
    assertTrue(
        assign(lot, "frame", "purpose", "HOLD").contains("needs a date, a place and a person"));
    assertEquals(part(lot, "frame").purpose(), Optional.of(Purpose.POT));
  }

  @Test
  public void aDishNeedsAPurposeAndKeepsItsHold() throws Exception {
    long lot = receive("hake", State.GUTTED, 1, "2.2");
    assertTrue(assign(lot, "head", "becomes", "soup").contains("What is Head for?"));
    assertEquals(part(lot, "head").becomes(), "");
    assertTrue(assign(lot, "head", "purpose", "POT", "venue", "999999").contains("no such venue"));
  }

  @Test
  public void theCutSheetIsAPdfAndALotOverTwoVenuesHasATransferList() throws Exception {
    String page = page("ines", "/plan/7");
    assertTrue(page.contains("To other venues"));
    assertTrue(page.contains("Low Tide Counter"));
    byte[] pdf =
        mvc.perform(MockMvcRequestBuilders.get("/plan/7/sheet.pdf").cookie(session("tobiah")))
            .andReturn()
            .getResponse()
            .getContentAsByteArray();
    assertEquals(new String(pdf, 0, 5, StandardCharsets.US_ASCII), "%PDF-");
    assertTrue(pdf.length > 10_000, "fonts and drawing are inside");
  }
}
