package mosaicknife.app.slice;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.TestLots;
import mosaicknife.app.WithPages;
import mosaicknife.app.weighing.Entry;
import mosaicknife.app.weighing.Take;
import mosaicknife.app.weighing.WeighingRecorder;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Where a weighed fillet is cut, and what is refused. */
public class SlicePagesTest extends WithPages {

  @Autowired private WeighingRecorder bench;

  /** A hake whose left fillet weighs 1318 g. */
  private long hake() {
    long lot = new TestLots(applicationContext).receive("hake", State.GUTTED, 1, "4.860");
    people.as(
        "tobiah",
        () ->
            bench.take(
                new Take(
                    UUID.randomUUID(),
                    lot,
                    "fillet-left",
                    1,
                    Entry.of(MassText.parse("1.318 kg", MassUnit.KILOGRAM)),
                    Optional.empty(),
                    "")));
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
    long lot = new TestLots(applicationContext).receive("plaice", State.GUTTED, 2, "1.200");
    String unweighed = page("maren", "/slice/" + lot);
    String answer = Jsoup.parse(unweighed).select(".figure").text();
    assertTrue(answer.startsWith("≈"), answer + " is by the norm until somebody weighs");
  }
}
