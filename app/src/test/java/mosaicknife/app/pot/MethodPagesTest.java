package mosaicknife.app.pot;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import mosaicknife.app.TestLots;
import mosaicknife.app.WithPages;
import mosaicknife.app.booklet.HouseBook;
import mosaicknife.app.homes.UseBook;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.weighing.Entry;
import mosaicknife.app.weighing.Take;
import mosaicknife.app.weighing.WeighingRecorder;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.pot.PotStep;
import mosaicknife.core.pot.PotStep.Answer;
import mosaicknife.core.pot.StockMethod;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import mosaicknife.core.safety.Allergen;
import org.springframework.beans.factory.annotation.Autowired;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Ways to cook a stock that the house writes itself, and what a litre costs. */
public class MethodPagesTest extends WithPages {

  @Autowired private PotBook book;
  @Autowired private PotStarter starter;
  @Autowired private Kettles kettles;
  @Autowired private PotPrices prices;
  @Autowired private UseBook uses;
  @Autowired private HouseSettings houses;
  @Autowired private HouseBook house;
  @Autowired private WeighingRecorder bench;

  /** A way of two steps, whose later one stands first. */
  private static Map<String, String> form(String name) {
    Map<String, String> form = new TreeMap<>();
    form.put("like", "quick");
    form.put("name", name);
    form.put("bones", "500");
    form.put("keeps", "2");
    form.put("result", "Brown & deep");
    form.put("lines", "carrot, 12 %, 1.80, none\ncider, 8, 3.50, sulphites, wine");
    form.put("usual-LID", "on");
    step(form, 0, "2", "Pack it", "HANDS", "5", "10", "20");
    step(form, 1, "1", "Roast the bones <dark>", "FIRE", "20", "30", "40");
    return form;
  }

  private static void step(
      Map<String, String> form,
      int row,
      String place,
      String name,
      String work,
      String shortest,
      String usual,
      String longest) {
    form.put("place-" + row, place);
    form.put("step-" + row, name);
    form.put("work-" + row, work);
    form.put("shortest-" + row, shortest);
    form.put("usual-" + row, usual);
    form.put("longest-" + row, longest);
    form.put("cue-" + row, "Is it done?");
    form.put("late-" + row, "");
    form.put("caution-" + row, "HOT");
    form.put("when-" + row, "ALWAYS");
  }

  private String save(String who, String code, Map<String, String> form) throws Exception {
    List<String> fields = new ArrayList<>();
    form.forEach(
        (name, value) -> {
          fields.add(name);
          fields.add(value);
        });
    return follow(who, "/pot/methods/" + code, fields.toArray(new String[0]));
  }

  private Optional<StockMethod> find(String name) {
    return book.methods().values().stream().filter(one -> one.name().equals(name)).findFirst();
  }

  private static String name() {
    return "Roasted " + UUID.randomUUID().toString().substring(0, 6);
  }

  private TestPots pots;

  @BeforeMethod
  void whatIsOnTheHob() {
    pots = new TestPots(applicationContext);
  }

  /** Nobody's clock or plan still counts with a pot of this test. */
  @AfterMethod
  void offTheHob() {
    pots.drop();
  }

  @Test
  public void theHouseWritesAWayChangesItAndTakesItOut() throws Exception {
    String name = name();
    String said = save("ines", "new", form(name));
    assertTrue(said.contains("is saved"), said);
    StockMethod method = find(name).orElseThrow();
    assertEquals(
        method.steps().stream().map(PotStep::name).toList(),
        List.of("Roast the bones <dark>", "Pack it"),
        "in the order of their numbers");
    assertEquals(method.uses(), book.method("quick").uses(), "it makes what the other makes");
    assertEquals(method.lines(Set.of()).size(), 1, "cider goes in only with wine");
    assertEquals(method.lines(Set.of(Answer.WINE)).get(1).share(), Fraction.of(8, 100));
    assertEquals(method.lines(Set.of(Answer.WINE)).get(1).allergens(), Set.of(Allergen.SULPHITES));
    String shown = page("ines", "/pot/methods/" + method.code());
    assertTrue(shown.contains("Roast the bones &lt;dark&gt;"), shown);
    Map<String, String> changed = form(name);
    changed.put("bones", "650");
    save("ines", method.code(), changed);
    assertEquals(find(name).orElseThrow().gramsOfBones(), 650);
    assertEquals(
        send("tobiah", "/pot/methods/" + method.code() + "/retire").getStatus(),
        403,
        "who breaks fish does not write the book");
    follow("ines", "/pot/methods/" + method.code() + "/retire");
    assertEquals(find(name), Optional.empty());
  }

  @DataProvider
  public static Object[][] wrong() {
    return new Object[][] {
      {"shortest-1", "31", "Roast the bones"},
      {"longest-1", "29", "Roast the bones"},
      {"usual-0", "-1", "alert-danger"},
      {"bones", "0", "alert-danger"},
      {"keeps", "many", "alert-danger"},
      {"lines", "carrot, 12, 1.80", "alert-danger"},
      {"lines", "carrot, 12, 1.80, moonlight", "moonlight"},
      {"lines", "carrot, 12, 1.80, none, rum", "rum"},
      {"lines", "carrot, 900, 1.80, none", "alert-danger"},
      {"work-0", "MAGIC", "alert-danger"},
      {"cue-0", "", "alert-danger"},
      {"place-1", "first", "alert-danger"},
      {"name", "", "alert-danger"},
      {"result", "a;b", "alert-danger"},
    };
  }

  @Test(dataProvider = "wrong")
  public void whatIsWrongIsSaidKeptAndNotSaved(String field, String typed, String said)
      throws Exception {
    String name = name();
    Map<String, String> form = form(name);
    form.put(field, typed);
    String shown = save("ines", "new", form);
    assertTrue(shown.contains("alert-danger") && shown.contains(said), shown);
    assertTrue(shown.contains("Roast the bones"), "what was typed is kept");
    assertEquals(find(name), Optional.empty());
  }

  @Test
  public void aBatchStaysAsItWasBegunWhenItsWayIsChanged() throws Exception {
    String name = name();
    save("ines", "new", form(name));
    StockMethod method = find(name).orElseThrow();
    assertEquals(StockMethod.read(method.write()), method, "written and read it is the same");
    long lot = new TestLots(applicationContext).receive("hake", State.GUTTED, 1, "6.000");
    people.as(
        "tobiah",
        () ->
            bench.take(
                new Take(
                    UUID.randomUUID(),
                    lot,
                    "frame",
                    1,
                    Entry.of(MassText.parse("1.200 kg", MassUnit.KILOGRAM)),
                    Optional.empty(),
                    "")));
    long kettle = kettle();
    long[] batch = new long[1];
    people.as(
        "ines",
        () ->
            batch[0] =
                starter.start(
                    UUID.randomUUID(),
                    new PotStarter.Wish(method.code(), Set.of(), 2, kettle, Optional.empty())));
    Map<String, String> changed = form(name);
    changed.put("bones", "900");
    save("ines", method.code(), changed);
    assertEquals(book.find(batch[0]).orElseThrow().plan().method().gramsOfBones(), 500);
    assertEquals(find(name).orElseThrow().gramsOfBones(), 900);
    assertEquals(find(name).orElseThrow().steps().get(0).code(), method.steps().get(0).code());
    follow("ines", "/pot/methods/" + method.code() + "/retire");
    assertEquals(
        book.find(batch[0]).orElseThrow().plan().method().name(), name, "it is on the hob");
  }

  @Test
  public void theLastOfABookStaysInIt() {
    people.as(
        "ines",
        () ->
            assertThrows(Refusal.class, () -> house.strike(PotBook.METHODS, "quick", "a line", 1)));
    assertTrue(book.methods().containsKey("quick"));
  }

  /** A kettle of its own. */
  private long kettle() {
    String name = "Costs " + UUID.randomUUID().toString().substring(0, 6);
    people.as(
        "ines",
        () -> kettles.keep(houses.venues().get(0).id(), name, new BigDecimal("30"), 36, 5000));
    return book.kettles().stream()
        .filter(one -> one.kettle().name().equals(name))
        .findFirst()
        .orElseThrow()
        .id();
  }

  @Test
  public void whatALitreCostsIsForThoseWhoMaySeeIt() throws Exception {
    long id = kettle();
    String wish = "/pot/plan?method=quick&litres=4&kettle=" + id + "&wanted=";
    String shown = page("ines", wish);
    assertTrue(shown.contains("All ways beside each other"), shown);
    assertTrue(shown.contains("≈ €"), shown);
    String butcher = page("tobiah", wish);
    assertFalse(butcher.contains("€"), "no money for the butcher");
    String dear = follow("ines", "/pot/prices", "kilowatt", "0.30", "bought", "x");
    assertTrue(dear.contains("alert-danger"), dear);
    assertEquals(send("tobiah", "/pot/prices", "kilowatt", "1", "bought", "").getStatus(), 403);
    follow("ines", "/pot/prices", "kilowatt", "0.30", "bought", "0.05");
    assertEquals(prices.fields().bought(), "0.05");
    List<String> said = new ArrayList<>();
    people.as(
        "ines",
        () ->
            said.addAll(
                prices.said(
                    mosaicknife.core.pot.PotPlan.of(
                        book.method("quick"),
                        Set.of(Answer.LID),
                        mosaicknife.core.quantity.Mass.ofKilograms("3"),
                        4,
                        book.kettle(id).kettle()),
                    uses.get(book.method("quick").uses().iterator().next()),
                    List.of())));
    assertTrue(said.get(2).contains("that is less"), said.toString());
  }
}
