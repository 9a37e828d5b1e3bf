package mosaicknife.app.cost;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import mosaicknife.app.TestLots;
import mosaicknife.app.WithPages;
import mosaicknife.app.buy.DishEditor;
import mosaicknife.app.buy.DishForm;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.core.anatomy.State;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What plates cost, by dish and beside each other. Meagre is in nobody's demo. */
public class CostPagesTest extends WithPages {

  private TestLots lots;

  @AfterClass(alwaysRun = true)
  void nobodyCountsWithThem() {
    lots.close();
  }

  private static final String DISH = "Meagre, samphire";

  @Autowired private DishEditor dishes;
  @Autowired private HouseSettings houses;

  private long meagre;
  private long lean;

  @BeforeClass
  void twoLotsForOneDish() {
    lots = new TestLots(applicationContext);
    people.as(
        "ines",
        () ->
            dishes.add(
                new DishForm(
                    DISH,
                    "" + houses.venues().get(0).id(),
                    "180 g",
                    "0",
                    "SLICES",
                    "1",
                    "",
                    "SKIN_ON",
                    "20",
                    "1.50",
                    "30",
                    "",
                    List.of(),
                    "meagre\nhake",
                    0)));
    // 5 kg at 12.00; 7 + 7 plates of 1300 g, and 4 + 4 of 760 g
    meagre = lot("1.300 kg");
    lean = lot("760 g");
  }

  private long lot(String fillet) {
    return lot(fillet, DISH);
  }

  private long lot(String fillet, String dish) {
    long lot = lots.receive("meagre", State.GUTTED, 1, "5.000");
    lots.weighForThePlate(lot, "fillet-left", fillet, dish);
    lots.weighForThePlate(lot, "fillet-right", fillet, dish);
    return lot;
  }

  private Document open(String address) throws Exception {
    return Jsoup.parse(page("ines", address));
  }

  @Test
  public void theLadderGoesFromTheInvoiceToTheMenu() throws Exception {
    Document page = open("/cost/" + meagre);
    String plate = page.select(".c-PLATE").text();
    String price = page.select(".c-PRICE").text();
    assertTrue(page.select(".c-PURCHASE").text().contains("€60.00"), page.text());
    // 60.00 over 14 plates
    assertTrue(page.select(".c-PORTIONS").text().contains("€4.29"), page.text());
    assertTrue(plate.contains("work and garnish"), plate);
    assertTrue(price.contains("€280.00") && price.contains("€20.00"), price);
    assertTrue(page.select(".c-LOSS").isEmpty(), "what is not weighed yet is no loss");
    assertTrue(page.select("#by-dish").text().contains(DISH), page.text());
    assertFalse(page.select("#by-dish td.num").last().text().isEmpty(), "its share of the price");
    assertEquals(page.select(".method").size(), 4);
    assertTrue(page.select(".method").text().contains("Good for"), "each says what it is good for");
  }

  @Test
  public void freightIsAddedAndTakenAwayAgain() throws Exception {
    long lot = lot("1.300 kg", "");
    Document page = open("/cost/" + lot);
    assertTrue(page.select(".c-FREIGHT").isEmpty());
    String[] form = {
      "method", "ALL_ON_THE_MAINS", "portion", "180 g", "version", version(page), "freight", "7.35"
    };
    Document with = Jsoup.parse(follow("ines", "/cost/" + lot, form));
    assertTrue(with.select(".c-FREIGHT").text().contains("€67.35"), with.text());
    assertEquals(with.select("#freight").val(), "7.35");
    form[5] = version(with);
    for (String wrong : List.of("-1", "much", "9999999")) {
      form[7] = wrong;
      Document refused = Jsoup.parse(follow("ines", "/cost/" + lot, form));
      assertFalse(refused.select(".alert-danger").isEmpty(), wrong);
      assertEquals(refused.select("#freight").val(), wrong, "typed text stays");
    }
    form[7] = "";
    assertTrue(Jsoup.parse(follow("ines", "/cost/" + lot, form)).select(".c-FREIGHT").isEmpty());
  }

  private static String version(Document page) {
    return page.select(".method-form input[name=version]").val();
  }

  @Test
  public void aNewLotBeginsWithTheMethodOfTheHouse() throws Exception {
    assertEquals(method(lot("1.300 kg", "")), "ALL_ON_THE_MAINS");
    try {
      house("BY_WEIGHT");
      assertEquals(method(lot("1.300 kg", "")), "BY_WEIGHT");
    } finally {
      house("ALL_ON_THE_MAINS");
    }
  }

  private String method(long lot) throws Exception {
    return open("/cost/" + lot).select(".method input[checked]").val();
  }

  private void house(String method) throws Exception {
    Document page = Jsoup.parse(page("adaeze", "/house/units"));
    follow(
        "adaeze",
        "/house/units",
        "name",
        page.select("#h-name").val(),
        "system",
        "METRIC",
        "currency",
        "EUR",
        "zone",
        page.select("#h-zone").val(),
        "labour",
        page.select("#h-labour").val(),
        "hemisphere",
        page.select("#h-half option[selected]").val(),
        "costing",
        method);
  }

  @Test
  public void aDishAboveItsLimitIsToldWithWhatWouldHelp() throws Exception {
    Document page = open("/cost");
    String said = page.select(".dish-cost:contains(" + DISH + ")").text();
    // the lean one came last: 60.00 over 8 plates are 7.50, work and 1.50 of garnish; 6.00 allowed
    assertTrue(said.contains("may cost €6.00"), said);
    assertTrue(said.contains("Above its limit") && said.contains("A portion of"), said);
    assertTrue(page.select(".factor-table").text().contains("Meagre"), page.text());
    String passed = page("ines", "/cost/passed");
    assertTrue(passed.contains(DISH) && passed.contains("may cost €6.00"), passed);
    assertTrue(page("ines", "/").contains("/cost/passed"), "Today asks for it");
    assertFalse(page("maren", "/").contains("/cost/passed"));
  }

  @Test
  public void twoLotsAtOnePlateAndWhereTheyAreAsCheap() throws Exception {
    String both = "/cost/compare?with=lot-" + meagre + "&with=lot-" + lean + "&portion=180 g";
    Document page = open(both + "&tolerance=0");
    assertTrue(page.select(".compare-answer").text().contains("lot " + meagre), page.text());
    assertEquals(page.select(".compare-row").size(), 2);
    // 14 plates of 30.4 %: seven in each of 1260 g, 2520 of 5000 g
    String lean2 = page.select(".break-even").get(1).text();
    assertTrue(lean2.contains("from a yield of 50.4 %"), lean2);
    assertEquals(page.select(".cost-chart").size(), 2);
    assertEquals(page.select(".cost-chart circle").size(), 4, "today's point of both on each");
    Document dish =
        open("/cost/compare?dish=" + dishes.find(DISH).orElseThrow().id() + "&with=lot-" + meagre);
    assertTrue(dish.select(".compare-answer").isEmpty(), "one alone is not compared");
    assertEquals(dish.select("input[name=portion]").val(), "180 g");
  }

  @Test
  public void offersAreEstimatesWithARange() throws Exception {
    Document page = open("/cost/compare");
    Document with =
        open(
            "/cost/compare?portion=180 g&with="
                + page.select("label:contains(Hake 2.5) input").first().val()
                + "&with=lot-"
                + meagre);
    String offer = with.select(".compare-row:contains(Hake 2.5)").text();
    assertTrue(offer.contains("≈ €") && offer.contains(" to "), offer);
  }

  @DataProvider
  public static Object[][] wrong() {
    return new Object[][] {{"portion=0"}, {"portion=much"}, {"tolerance=90"}, {"tolerance=-1"}};
  }

  @Test(dataProvider = "wrong")
  public void whatIsNoPortionIsSaid(String query) throws Exception {
    Document page = open("/cost/compare?with=lot-" + meagre + "&with=nothing&" + query);
    assertFalse(page.select(".alert-danger").isEmpty(), query);
    String[] typed = query.split("=");
    assertEquals(page.select("input[name=" + typed[0] + "]").val(), typed[1], "typed text stays");
  }

  @Test
  public void theSheetIsPrintedAndTakenToASpreadsheet() throws Exception {
    MockHttpServletResponse csv = get("/cost/" + meagre + "/sheet.csv", "ines");
    assertTrue(csv.getContentType().startsWith("text/csv"));
    List<String> lines = csv.getContentAsString().lines().toList();
    assertEquals(lines.get(1), "Purchase,5.000000,60.00,4.2857,12.0000,EUR");
    long carried =
        lines.stream()
            .filter(line -> line.startsWith("Left fillet") || line.startsWith("Right fillet"))
            .mapToLong(line -> Math.round(Double.parseDouble(line.split(",")[2]) * 100))
            .sum();
    assertEquals(carried, 6000, "to the cent");
    try (PDDocument paper =
        Loader.loadPDF(get("/cost/" + meagre + "/sheet.pdf", "ines").getContentAsByteArray())) {
      String text = new PDFTextStripper().getText(paper);
      for (String word : List.of("Meagre", "€60.00", "Usable", "Left fillet")) {
        assertTrue(text.contains(word), text);
      }
    }
  }

  @Test
  public void costsAreForThoseWhoSeeThem() throws Exception {
    for (String address :
        List.of(
            "/cost",
            "/cost/compare",
            "/cost/passed",
            "/cost/" + meagre + "/sheet.csv",
            "/cost/" + meagre + "/sheet.pdf")) {
      assertEquals(get(address, "tobiah").getStatus(), 403, address);
    }
    assertEquals(get("/cost/999999/sheet.csv", "ines").getStatus(), 404);
  }

  @Test
  public void aDishKeepsItsGarnishAndLimitAndRefusesOthers() throws Exception {
    long id = dishes.find(DISH).orElseThrow().id();
    String form = page("ines", "/buy/dishes/" + id + "/change");
    assertTrue(form.contains("1.5") && form.contains("30"), form);
    Document page = Jsoup.parse(form);
    for (String[] field : new String[][] {{"limit", "140"}, {"limit", "0"}, {"garnish", "-2"}}) {
      String refused =
          follow(
              "ines",
              "/buy/dishes/" + id + "/change",
              "name",
              DISH,
              "venue",
              page.select("#venue option[selected]").val(),
              "portion",
              "180 g",
              "tolerance",
              "0",
              "form",
              "SLICES",
              "pieces",
              "1",
              "specification",
              "SKIN_ON",
              "price",
              "20",
              field[0],
              field[1],
              "fish",
              "meagre",
              "version",
              page.select("input[name=version]").val());
      assertTrue(refused.contains("alert-danger"), field[0] + " " + field[1]);
      assertTrue(refused.contains(field[1]), "typed text stays");
    }
    assertEquals(
        dishes.find(DISH).orElseThrow().garnish().orElseThrow().amount().toPlainString(), "1.5");
  }

  private MockHttpServletResponse get(String address, String who) throws Exception {
    return mvc.perform(MockMvcRequestBuilders.get(address).cookie(session(who)))
        .andReturn()
        .getResponse();
  }
}
