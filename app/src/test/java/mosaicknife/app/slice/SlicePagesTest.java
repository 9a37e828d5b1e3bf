package mosaicknife.app.slice;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mosaicknife.app.TestLots;
import mosaicknife.app.WithPages;
import mosaicknife.app.buy.DishEditor;
import mosaicknife.app.buy.DishForm;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.lot.LotInspector;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.parts.LotParts;
import mosaicknife.app.parts.OptionChooser;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.safety.Fitness;
import mosaicknife.core.safety.Sign;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Where a weighed fillet is cut, and what is refused. */
public class SlicePagesTest extends WithPages {

  private TestLots lots;

  @BeforeClass
  void lotsOfItsOwn() {
    lots = new TestLots(applicationContext);
  }

  @AfterClass(alwaysRun = true)
  void nobodyCountsWithThem() {
    lots.close();
  }

  @Autowired private OptionChooser options;
  @Autowired private LotParts parts;
  @Autowired private DishEditor dishes;
  @Autowired private HouseSettings houses;
  @Autowired private LotInspector inspections;
  @Autowired private LotRegister register;

  /** A hake whose left fillet weighs 1318 g. */
  private long hake() {
    long lot = lots.receive("hake", State.GUTTED, 1, "4.860");
    lots.weigh(lot, "fillet-left", "1.318 kg");
    return lot;
  }

  private Document open(long lot, String query) throws Exception {
    return Jsoup.parse(page("tobiah", "/slice/" + lot + "?piece=fillet-left:1" + query));
  }

  @Test
  public void sevenPortionsOfAWeighedFilletWithTheirCutsOnARuler() throws Exception {
    Document page = open(hake(), "&portion=180 g&tolerance=0");
    assertEquals(page.select(".figure").text(), "7 × 180 g");
    assertTrue(page.select(".slice-over").text().contains("58 g over"), page.text());
    assertEquals(page.select(".knife").size(), 7);
    assertEquals(page.select(".knife-steps li").size(), 8);
    double last = 0;
    for (String text : page.select(".knife-steps b").eachText()) {
      double at = Double.parseDouble(text.replace(" cm", ""));
      assertTrue(at > last, "further to the tail");
      last = at;
    }
    assertTrue(page.select(".slice-way").text().contains("8 × 164 g"), page.text());
    assertTrue(page.select(".slice-bones").text().contains("with bones"));
    String[] before = page.select(".cut-lane").attr("data-before").split(" ");
    assertEquals(before.length, 101);
    assertEquals(Double.parseDouble(before[100]), 1.0);
  }

  @Test
  public void bonelessAndThickPortionsAreFewer() throws Exception {
    Document page = open(hake(), "&portion=180 g&tolerance=0&boneless=on");
    assertTrue(page.select(".slice-bones").isEmpty(), page.text());
    int boneless = page.select(".p-SLICE").size();
    assertTrue(boneless > 0 && boneless < 7, "" + boneless);
    Document thick = open(hake(), "&portion=180 g&tolerance=0&thick=45");
    assertTrue(thick.select(".p-SLICE").size() < 7);
    Document none = open(hake(), "&portion=3 kg");
    assertEquals(none.select(".figure").text(), "No portion of 3.000 kg");
  }

  @DataProvider
  public static Object[][] wrong() {
    return new Object[][] {
      {"&portion=0"},
      {"&portion=much"},
      {"&portion=-5 g"},
      {"&tolerance=200"},
      {"&thick=-3"},
      {"&thick=999"},
      {"&length=12"},
      {"&length=x"},
    };
  }

  @Test(dataProvider = "wrong")
  public void whatCannotBeIsSaidAndTheDishIsShownInstead(String query) throws Exception {
    Document page = open(hake(), query);
    assertFalse(page.select(".alert-danger").isEmpty(), query);
    assertFalse(page.select(".knife").isEmpty(), "what the dish has is shown");
    String typed = query.substring(query.indexOf('=') + 1);
    assertTrue(page.select(".slice-form").html().contains(typed), "what was typed is kept");
  }

  @Test
  public void aLengthThatWasMeasuredIsShownAsSuch() throws Exception {
    long lot = hake();
    String norm = open(lot, "").select(".slice-answer").text();
    assertTrue(norm.contains("≈ 52.8 cm long"), norm);
    String measured = open(lot, "&length=48").select(".slice-answer").text();
    assertTrue(measured.contains(" 48.0 cm long") && !measured.contains("≈ 48.0"), measured);
  }

  @Test
  public void theListOfPortionsIsPrinted() throws Exception {
    long lot = hake();
    byte[] pdf =
        mvc.perform(
                MockMvcRequestBuilders.get("/slice/" + lot + "/portions.pdf")
                    .cookie(session("maren")))
            .andReturn()
            .getResponse()
            .getContentAsByteArray();
    try (PDDocument paper = Loader.loadPDF(pdf)) {
      String text = new PDFTextStripper().getText(paper);
      for (String word : List.of("Left fillet, fish 1", "bones", "cm")) {
        assertTrue(text.contains(word), text);
      }
    }
  }

  @Test
  public void whatIsByTheNormLooksItAndALotThatIsNotIsMissing() throws Exception {
    assertEquals(
        mvc.perform(MockMvcRequestBuilders.get("/slice/999999").cookie(session("tobiah")))
            .andReturn()
            .getResponse()
            .getStatus(),
        404);
    long lot = lots.receive("plaice", State.GUTTED, 2, "1.200");
    String unweighed = page("maren", "/slice/" + lot);
    String answer = Jsoup.parse(unweighed).select(".figure").text();
    assertTrue(answer.startsWith("≈"), answer + " is by the norm until somebody weighs");
  }

  private String pdf(String address) throws Exception {
    byte[] pdf =
        mvc.perform(MockMvcRequestBuilders.get(address).cookie(session("maren")))
            .andReturn()
            .getResponse()
            .getContentAsByteArray();
    try (PDDocument paper = Loader.loadPDF(pdf)) {
      return new PDFTextStripper().getText(paper);
    }
  }

  @Test
  public void pinBonesAreLeftInTakenOutOrCutAround() throws Exception {
    long lot = hake();
    Document left = open(lot, "&portion=180 g&tolerance=0");
    assertEquals(left.select(".slice-boned .pick").size(), 3);
    Document strip = open(lot, "&portion=180 g&tolerance=0&bones=STRIP");
    assertTrue(strip.select(".slice-bones").isEmpty(), "none has bones");
    // 45 of 100 of its length, 7 of 100 of its mass for a whole row: 41.5 of 1318 g
    assertTrue(strip.select(".slice-over").text().contains("42 g strip"), strip.text());
    Document above = open(lot, "&portion=120 g&tolerance=0&bones=ABOVE_THE_ROW&without=5");
    assertEquals(above.select(".cut-lane").size(), 3);
    assertTrue(above.select(".knife-steps").text().contains("Belly side"));
    assertTrue(above.select(".slice-boned .best").text().contains("best"), above.text());
    Document turbot =
        Jsoup.parse(page("maren", "/slice/" + lots.receive("turbot", State.GUTTED, 1, "2.400")));
    assertTrue(turbot.select(".slice-boned").isEmpty(), "a turbot has no pin bones");
  }

  @Test
  public void whereThePlanTakesThemOutThereAreNone() throws Exception {
    long lot = hake();
    people.as("tobiah", () -> options.choose(lot, "pin-bones", "pulled", ""));
    Document page = open(lot, "&portion=180 g&tolerance=0");
    assertTrue(page.select(".slice-boned").isEmpty(), page.text());
    assertTrue(page.select(".slice-bones").isEmpty(), page.text());
  }

  @Test
  public void stylesAndMoreKindsOfPortion() throws Exception {
    long lot = hake();
    Document block = open(lot, "&portion=120 g&tolerance=5&style=BLOCK");
    assertTrue(block.select(".slice-over").text().contains("trimmed off"), block.text());
    Document two = open(lot, "&portion=200 g&tolerance=0&portion2=110 g");
    assertTrue(two.select(".figure").text().matches("[0-9] × 200 g \\+ [0-9] × 110 g"), two.text());
    assertTrue(two.select(".slice-curve").isEmpty(), "a curve is of one kind");
    Document steak = open(lot, "&style=STEAK&boneless=on");
    assertTrue(steak.select(".alert-danger").text().contains("across the bone"), steak.text());
    assertTrue(page("tobiah", "/slice/" + lot).indexOf("worth1") < 0, "money is not a butcher's");
    assertTrue(page("ines", "/slice/" + lot).contains("worth1"));
  }

  @Test
  public void oneCutAtATimeAtItsTrueLength() throws Exception {
    long lot = hake();
    String asked = "?piece=fillet-left:1&portion=180 g&tolerance=0";
    Document second = Jsoup.parse(page("maren", "/slice/" + lot + "/board" + asked + "&step=2"));
    Document all = open(lot, "&portion=180 g&tolerance=0");
    assertEquals(second.select(".board-figure").text(), all.select(".knife-steps b").get(1).text());
    assertEquals(second.select(".board-knife").size(), 7);
    assertEquals(second.select(".board-knife.here").size(), 1);
    assertTrue(
        second.select("#after").attr("href").contains("portion=180"), "what was asked stays");
    for (String step : List.of("99", "0", "-1", "x")) {
      Document clamped =
          Jsoup.parse(page("maren", "/slice/" + lot + "/board" + asked + "&step=" + step));
      assertFalse(clamped.select(".board-figure").isEmpty(), step);
    }
    assertTrue(
        page("tobiah", "/bench/" + lot + "?part=fillet-left")
            .contains("/slice/" + lot + "/board?piece=fillet-left"),
        "the bench leads there");
    Document whole =
        Jsoup.parse(page("maren", "/slice/" + lot + "/board?piece=fillet-left:1&portion=3 kg"));
    assertTrue(whole.text().contains("nothing to cut"), whole.text());
  }

  @Test
  public void listAndLabelsAreOfWhatWasAsked() throws Exception {
    long lot = hake();
    String asked = "?piece=fillet-left:1&portion=240 g&tolerance=0";
    assertTrue(pdf("/slice/" + lot + "/portions.pdf" + asked).contains("240 g"));
    String labels = pdf("/slice/" + lot + "/labels.pdf" + asked);
    assertTrue(labels.contains("240 g") && labels.contains("bones"), labels);
    assertTrue(labels.contains("Lot " + lot), labels);
  }

  @Test
  public void portionsThatWereWeighedShowTheirSpreadAndWhatItCosts() throws Exception {
    long lot = hake();
    String[] row = new String[1];
    people.as("tobiah", () -> row[0] = parts.startRow(lot, "fillet-left"));
    for (int grams : new int[] {186, 191, 188, 190, 187, 192, 184}) {
      lots.weigh(lot, row[0], grams + " g");
    }
    Document page = open(lot, "");
    String said = page.select(".weighed-row").text();
    // 1318 / 7 = 188.286
    assertTrue(said.contains("On the whole 188 g for 180 g"), said);
    assertTrue(said.contains("Cut 8 g lighter"), said);
    assertEquals(page.select(".weighed-row circle").size(), 7);
    assertFalse(said.contains("Given away"), "money is not a butcher's");
    assertTrue(
        page("ines", "/slice/" + lot + "?piece=fillet-left:1").contains("Given away on 7 plates"));
  }

  /** Zander is in nobody's demo: its dish and fillets are this test's alone. */
  @Test
  public void filletsAreSharedOutToWhatDishesWant() throws Exception {
    long venue = houses.venues().get(0).id();
    long[] dish = new long[2];
    people.as(
        "ines",
        () -> {
          dish[0] = dishes.add(zander("Zander, lovage", venue, "180 g", "")).id();
          dish[1] = dishes.add(zander("Zander, raw", venue, "60 g", "yes")).id();
        });
    long lot = lots.receive("zander", State.GUTTED, 1, "3.000");
    lots.weigh(lot, "fillet-left", "740 g");
    lots.weigh(lot, "fillet-right", "560 g");
    String asked = "?venue=" + venue + "&w" + dish[0] + "=3&w" + dish[1] + "=2";
    Document page = Jsoup.parse(page("tobiah", "/slice" + asked));
    String row = page.select("tr:has(input[name=w" + dish[0] + "])").text();
    assertTrue(row.contains("Zander, lovage") && row.contains("3"), row);
    assertTrue(
        page.select("tr:has(input[name=w" + dish[1] + "])").text().contains("2 are missing"),
        "nothing is cut raw before a record opens the gate");
    // three of 180 g are 540 of 560 g; the larger one stays whole
    String small = page.select(".service-fillets li:contains(Right fillet)").text();
    assertTrue(small.contains("3 × Zander, lovage") && small.contains("20 g over"), small);
    assertTrue(
        page.select(".service-fillets li:contains(lot " + lot + "):contains(Left)")
            .text()
            .contains("stays whole"));
    String list = pdf("/slice/service.pdf" + asked);
    assertTrue(list.contains("Zander, lovage") && list.contains("180 g"), list);
    Document wrong =
        Jsoup.parse(page("tobiah", "/slice?venue=" + venue + "&w" + dish[0] + "=lots"));
    assertFalse(wrong.select(".alert-danger").isEmpty());
    assertEquals(wrong.select("input[name=w" + dish[0] + "]").val(), "lots", "typed text stays");
    assertEquals(
        mvc.perform(
                MockMvcRequestBuilders.get("/slice/service.pdf?w" + dish[0] + "=lots")
                    .cookie(session("maren")))
            .andReturn()
            .getResponse()
            .getStatus(),
        422);
    people.as(
        "tobiah",
        () -> {
          Map<Sign, Integer> signs = new EnumMap<>(Sign.class);
          inspections.signs(register.get(lot)).forEach(sign -> signs.put(sign, 0));
          inspections.inspect(
              lot, UUID.randomUUID(), signs, Fitness.POT, "for Monday’s stock, it lay in water");
        });
    Document held = Jsoup.parse(page("tobiah", "/slice" + asked));
    assertTrue(held.select(".alert-warning").text().contains("Lot " + lot), held.text());
    assertTrue(held.select(".service-fillets li:contains(lot " + lot + ",)").isEmpty());
  }

  private static DishForm zander(String name, long venue, String portion, String raw) {
    return new DishForm(
        name,
        "" + venue,
        portion,
        "0",
        "SLICES",
        "1",
        "",
        "SKIN_ON",
        "",
        "",
        "",
        raw,
        List.of(),
        "zander",
        0);
  }
}
