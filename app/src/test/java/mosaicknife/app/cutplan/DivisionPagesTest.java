package mosaicknife.app.cutplan;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.TestLots;
import mosaicknife.app.WithPages;
import mosaicknife.app.lot.LotInspector;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.parts.OptionChooser;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.plan.Choices;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.Fitness;
import mosaicknife.core.safety.Sign;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.testng.annotations.Test;

/** Some fish of a lot are cut another way: two lots of one delivery. */
public class DivisionPagesTest extends WithPages {

  @Autowired private LotSheets sheets;
  @Autowired private LotRegister lots;
  @Autowired private OptionChooser options;
  @Autowired private LotInspector inspections;

  private long gurnards() throws Exception {
    long lot = new TestLots(applicationContext).receive("gurnard", State.UNGUTTED, 4, "3.08");
    send(
        "tobiah",
        "/dock/" + lot + "/fish",
        "fish",
        "520 g\n560 g\n600 g\n1400 g",
        "basis",
        "TOTAL");
    assertEquals(lots.get(lot).each().size(), 4);
    return lot;
  }

  private String[] wish(long lot, String... more) {
    String[] all = new String[more.length + 4];
    all[0] = "version";
    all[1] = Integer.toString(lots.get(lot).version());
    all[2] = "own";
    all[3] = UUID.randomUUID().toString();
    System.arraycopy(more, 0, all, 4, more.length);
    return all;
  }

  private long divide(long lot, String... more) throws Exception {
    String next = send("ines", "/plan/" + lot + "/division", wish(lot, more)).getRedirectedUrl();
    assertTrue(next != null && !next.equals("/plan/" + lot), "a lot of its own, found " + next);
    return Long.parseLong(next.substring("/plan/".length()));
  }

  private MockHttpServletResponse putBack(long taken, long to) throws Exception {
    return send("ines", "/plan/" + taken + "/division/back", "to", Long.toString(to));
  }

  @Test
  public void theBigGurnardIsFilletedAndTheSmallOnesStayWhole() throws Exception {
    long small = gurnards();
    long big = divide(small, "fish", "4");
    send("ines", "/plan/" + small + "/options/route", "choice", "whole");
    Lot one = lots.get(big);
    assertEquals(one.fish(), 1);
    assertEquals(one.purchased(), Mass.ofGrams(1400));
    assertEquals(one.each(), List.of(Mass.ofGrams(1400)));
    assertEquals(one.supplier(), "Holm Sound Boats");
    Lot three = lots.get(small);
    assertEquals(three.fish(), 3);
    assertEquals(three.purchased(), Mass.ofGrams(1680));
    assertEquals(three.each(), List.of(Mass.ofGrams(520), Mass.ofGrams(560), Mass.ofGrams(600)));
    assertEquals(
        one.cost().orElseThrow().total().plus(three.cost().orElseThrow().total()),
        one.price().orElseThrow().times(Mass.ofGrams(3080)));
    assertTrue(sheets.get(small).find("whole").isPresent(), "the small ones are served whole");
    assertTrue(sheets.get(big).find("whole").isEmpty(), "the big one is not");
    assertTrue(sheets.get(big).find("fillet-left").isPresent());
    assertTrue(page("ines", "/plan/" + big).contains("lot " + small), "it says where it is from");
    assertTrue(page("ines", "/plan/" + small).contains("lot " + big));
  }

  @Test
  public void putBackItIsOneLotAgain() throws Exception {
    long lot = gurnards();
    people.as(
        "ines",
        () -> {
          Map<Sign, Integer> good = new EnumMap<>(Sign.class);
          inspections.signs(lots.get(lot)).forEach(sign -> good.put(sign, 1));
          inspections.inspect(lot, UUID.randomUUID(), good, Fitness.COOK, "");
        });
    Lot before = lots.get(lot);
    long taken = divide(lot, "fish", "1", "fish", "3");
    assertEquals(lots.get(taken).fitness(), Optional.of(Fitness.COOK), "inspected together");
    send("ines", "/plan/" + taken + "/options/skin", "choice", "off");
    send(
        "maren",
        "/bench/" + taken + "/notes",
        "own",
        UUID.randomUUID().toString(),
        "note",
        "the third has a torn belly");
    for (int tap = 0; tap < 2; tap++) {
      assertEquals(putBack(taken, lot).getRedirectedUrl(), "/plan/" + lot);
    }
    Lot after = lots.get(lot);
    assertEquals(after.receipt(), before.receipt());
    assertEquals(Mass.total(after.each()), Mass.total(before.each()));
    assertTrue(page("ines", "/plan/" + taken).contains("There is no lot " + taken));
    assertEquals(options.of(List.of(taken)).getOrDefault(taken, Choices.USUAL), Choices.USUAL);
    assertTrue(page("maren", "/bench/" + lot).contains("torn belly"), "the remark comes along");
  }

  @Test
  public void sentTwiceItIsOneLot() throws Exception {
    long lot = gurnards();
    String[] wish = wish(lot, "fish", "2");
    String first = send("ines", "/plan/" + lot + "/division", wish).getRedirectedUrl();
    assertEquals(send("ines", "/plan/" + lot + "/division", wish).getRedirectedUrl(), first);
    assertEquals(lots.get(lot).fish(), 3);
  }

  @Test
  public void aSecondTabletWithAnOlderPageTakesNothing() throws Exception {
    long lot = gurnards();
    String[] mine = wish(lot, "fish", "1");
    String[] others = wish(lot, "fish", "1");
    send("ines", "/plan/" + lot + "/division", mine);
    String page = follow("ines", "/plan/" + lot + "/division", others);
    assertTrue(page.contains("Someone else changed lot " + lot), page);
    assertEquals(lots.get(lot).fish(), 3, "the other fish 1 stays");
  }

  @Test
  public void fishWeighedTogetherLeaveByNumberAndWeight() throws Exception {
    long lot = new TestLots(applicationContext).receive("mackerel", State.UNGUTTED, 20, "6");
    String page =
        follow("ines", "/plan/" + lot + "/division", wish(lot, "count", "5", "mass", "7 kg"));
    assertTrue(page.contains("less than"), "more than the lot weighs");
    assertTrue(page.contains("value=\"7 kg\""), "what was typed stays");
    assertEquals(lots.get(lot).fish(), 20);
    for (String count : List.of("0", "20", "-1", "many", "")) {
      follow("ines", "/plan/" + lot + "/division", wish(lot, "count", count, "mass", "2.1 kg"));
      assertEquals(lots.get(lot).fish(), 20, "not " + count);
    }
    long big = divide(lot, "count", "5", "mass", "2.1 kg");
    assertEquals(lots.get(big).purchased(), Mass.ofGrams(2100));
    assertEquals(lots.get(lot).purchased(), Mass.ofGrams(3900));
  }

  @Test
  public void whatWasWeighedStaysTogether() throws Exception {
    long lot = gurnards();
    long taken = divide(lot, "fish", "4");
    LotSheet sheet = sheets.get(taken);
    String head = sheet.parts().get(0).slot();
    send(
        "tobiah",
        "/bench/" + taken + "/weighings",
        "part",
        head,
        "fish",
        "1",
        "source",
        "typed",
        "typed",
        "30 g",
        "id",
        UUID.randomUUID().toString());
    assertTrue(sheets.get(taken).find(head).orElseThrow().isStarted());
    assertFalse(page("ines", "/plan/" + taken).contains("division/back"), "no way back is shown");
    String page = follow("ines", "/plan/" + taken + "/division/back", "to", "" + lot);
    assertTrue(page.contains("stay two lots"), page);
  }

  @Test
  public void aLearnerDividesNothing() throws Exception {
    long lot = gurnards();
    MockHttpServletResponse answer =
        send("maren", "/plan/" + lot + "/division", wish(lot, "fish", "1"));
    assertEquals(answer.getStatus(), 403);
    assertEquals(lots.get(lot).fish(), 4);
  }
}
