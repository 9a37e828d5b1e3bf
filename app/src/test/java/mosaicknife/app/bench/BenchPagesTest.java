package mosaicknife.app.bench;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.Statement;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import javax.sql.DataSource;
import mosaicknife.app.TestLots;
import mosaicknife.app.WithPages;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.app.weighing.TallyMender;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.Explanation.Cause;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.lot.Weighing;
import mosaicknife.core.quantity.Mass;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.testng.annotations.Test;

/** The bench as its script and its buttons use it. */
public class BenchPagesTest extends WithPages {

  private static final long HAKE_WITH_A_TARE = 4;
  private static final long GURNARDS = 6;
  private static final long ALBACORE = 7;

  @Autowired private LotSheets sheets;
  @Autowired private TallyMender tallies;
  @Autowired private DataSource database;

  private MockHttpServletResponse quietly(String who, String address, String... fields)
      throws Exception {
    MockHttpServletRequestBuilder request =
        post(address)
            .cookie(session(who))
            .with(csrf())
            .header("HX-Request", "true")
            .accept(MediaType.TEXT_HTML);
    for (int i = 0; i < fields.length; i += 2) {
      request.param(fields[i], fields[i + 1]);
    }
    return mvc.perform(request).andReturn().getResponse();
  }

  private static String text(MockHttpServletResponse answer) throws Exception {
    return answer.getContentAsString(StandardCharsets.UTF_8);
  }

  private LotPart part(long lot, String slot) {
    return sheets.get(lot).find(slot).orElseThrow();
  }

  private static String weighings(long lot) {
    return "/bench/" + lot + "/weighings";
  }

  @Test
  public void aWeightThatWaitedKeepsItsMomentAndItsReadingAndArrivesOnce() throws Exception {
    String id = UUID.randomUUID().toString();
    Instant taken = sheets.get(GURNARDS).lot().receivedAt().plusMillis(1);
    for (int again = 0; again < 2; again++) {
      MockHttpServletResponse answer =
          quietly(
              "tobiah",
              weighings(GURNARDS),
              "id",
              id,
              "part",
              "collar",
              "fish",
              "1",
              "source",
              "scale",
              "gross",
              "300000",
              "tare",
              "212000",
              "step",
              "2000",
              "at",
              Long.toString(taken.toEpochMilli() + 1));
      assertEquals(answer.getStatus(), 200, text(answer));
      assertTrue(text(answer).contains("data-said=\"Collars 88 g taken.\""), text(answer));
    }
    List<Weighing> all = part(GURNARDS, "collar").taken();
    assertEquals(all.size(), 1);
    assertEquals(all.get(0).mass(), Mass.ofGrams(88));
    assertEquals(all.get(0).step().orElseThrow(), Mass.ofGrams(2));
    assertEquals(all.get(0).at().toEpochMilli(), taken.toEpochMilli() + 1);

    String back = UUID.randomUUID().toString();
    String others = UUID.randomUUID().toString();
    MockHttpServletResponse notMine =
        quietly("ines", "/bench/6/back", "own", others, "weighing", id);
    assertEquals(notMine.getStatus(), 422);
    assertTrue(text(notMine).contains("Someone else took that weight"), text(notMine));
    for (int again = 0; again < 2; again++) {
      MockHttpServletResponse answer =
          quietly("tobiah", "/bench/6/back", "own", back, "weighing", id);
      assertEquals(answer.getStatus(), 200, text(answer));
    }
    assertFalse(part(GURNARDS, "collar").isStarted());
    MockHttpServletResponse stale =
        quietly("tobiah", "/bench/6/back", "own", UUID.randomUUID().toString(), "weighing", id);
    assertEquals(stale.getStatus(), 409, text(stale));
  }

  private long receive(String species, int fish, String kilograms) {
    return new TestLots(applicationContext).receive(species, State.GUTTED, fish, kilograms);
  }

  private String done(String address, String... fields) throws Exception {
    MockHttpServletResponse answer = quietly("tobiah", address, fields);
    assertEquals(answer.getStatus(), 200, text(answer));
    return text(answer);
  }

  private String take(long lot, String slot, String weight) throws Exception {
    String id = UUID.randomUUID().toString();
    done(weighings(lot), "id", id, "part", slot, "source", "typed", "typed", weight);
    return id;
  }

  @Test
  public void aPartLeftOnAnotherIsWeighedWithItAndCanComeOffAfterAll() throws Exception {
    long lot = receive("pollack", 1, "3.9");
    Mass frame = part(lot, "frame").expected().orElseThrow();
    Mass fins = part(lot, "fins").expected().orElseThrow();
    String sheet = done("/bench/" + lot + "/stay", "part", "fins", "on", "frame");
    Document page = Jsoup.parse(sheet);
    assertEquals(page.select("tr[data-slot=fins] .weight").text(), "on the frame");
    assertTrue(page.select("tr[data-slot=frame] th").text().contains("with fins and tail"));
    assertEquals(part(lot, "frame").expected().orElseThrow(), frame.plus(fins));
    MockHttpServletResponse nowhere =
        quietly("tobiah", "/bench/" + lot + "/stay", "part", "head", "on", "fins");
    assertEquals(nowhere.getStatus(), 422, "the fins are not taken off");
    assertEquals(
        quietly("tobiah", "/bench/" + lot + "/stay", "part", "head", "on", "head").getStatus(),
        422);
    take(lot, "fins", "80 g");
    assertEquals(part(lot, "frame").expected().orElseThrow(), frame, "they came off after all");
    assertFalse(part(lot, "fins").skipped());
  }

  @Test
  public void aWeightOnTheWrongRowIsMovedWithItsReadingOnceAndOnlyWhereNoneIs() throws Exception {
    long lot = receive("pollack", 1, "3.9");
    String wrong = take(lot, "head", "1.010 kg");
    take(lot, "gills", "60 g");
    String own = UUID.randomUUID().toString();
    for (int again = 0; again < 2; again++) {
      String sheet =
          done("/bench/" + lot + "/move", "own", own, "weighing", wrong, "to", "fillet-left");
      assertTrue(sheet.contains("1.010 kg moved to Left fillet."), sheet);
    }
    assertFalse(part(lot, "head").isStarted());
    Weighing moved = part(lot, "fillet-left").taken().get(0);
    assertEquals(moved.mass(), Mass.ofGrams(1010));
    assertEquals(moved.typed().orElseThrow(), "1.010 kg");
    // taken, taken back, taken there, and the gills
    assertEquals(sheets.facts(lot).size(), 4);
    MockHttpServletResponse full =
        quietly(
            "tobiah",
            "/bench/" + lot + "/move",
            "own",
            UUID.randomUUID().toString(),
            "weighing",
            moved.id().toString(),
            "to",
            "gills");
    assertEquals(full.getStatus(), 422);
    assertTrue(text(full).contains("Gills has a weight already"), text(full));
    MockHttpServletResponse others =
        quietly(
            "ines",
            "/bench/" + lot + "/move",
            "own",
            UUID.randomUUID().toString(),
            "weighing",
            moved.id().toString(),
            "to",
            "frame");
    assertEquals(others.getStatus(), 422, "someone else's weight");
    assertTrue(part(lot, "fillet-left").isStarted());
    assertFalse(part(lot, "frame").isStarted());
  }

  @Test
  public void piecesCarryTheNameAndFateOfTheirPartAndTheSecondSideRepeatsTheFirst()
      throws Exception {
    long lot = receive("albacore", 1, "18");
    LotPart loin = part(lot, "loin-top-left");
    follow(
        "ines",
        "/plan/" + lot + "/parts/loin-top-left",
        "version",
        Integer.toString(loin.version()),
        "purpose",
        "PLATE",
        "becomes",
        "Tuna, seared");
    take(lot, "loin-top-left", "2.150 kg");
    Document bench = Jsoup.parse(page("tobiah", "/bench/" + lot + "?part=loin-top-left"));
    List<String> offered = bench.select("#pieces button").eachText();
    assertTrue(offered.contains("Eye of the loin") && offered.size() <= 12, offered.toString());
    for (String kind : List.of("eye-of-loin", "inner-strip")) {
      done("/bench/" + lot + "/parts", "parent", "loin-top-left", "kind", kind);
    }
    List<LotPart> parts = sheets.get(lot).parts();
    int at = parts.indexOf(part(lot, "loin-top-left"));
    LotPart eye = parts.get(at + 1);
    assertEquals(eye.name(), "Eye of the loin, top left loin");
    assertEquals(eye.purpose().orElseThrow().name(), "PLATE");
    assertEquals(eye.becomes(), "Tuna, seared");
    take(lot, eye.slot(), "1.200 kg");

    take(lot, "loin-top-right", "2.100 kg");
    bench = Jsoup.parse(page("tobiah", "/bench/" + lot + "?part=loin-top-right"));
    assertEquals(
        bench.select("button[name=like]").eachText(), List.of("Same pieces as Top left loin"));
    String like = "/bench/" + lot + "/parts/like";
    done(like, "part", "loin-top-right", "like", "loin-top-left");
    List<String> names =
        sheets.get(lot).parts().stream()
            .map(LotPart::name)
            .filter(name -> name.endsWith(", top right loin"))
            .toList();
    assertEquals(names, List.of("Eye of the loin, top right loin", "Inner strip, top right loin"));
    assertEquals(
        quietly("tobiah", like, "part", "loin-top-right", "like", "loin-top-left").getStatus(),
        422,
        "not twice");

    String call = "/bench/" + lot + "/name";
    done(call, "part", eye.slot(), "name", "  Adaeze’s <i>block ");
    assertEquals(part(lot, eye.slot()).name(), "Adaeze’s <i>block");
    assertTrue(
        page("tobiah", "/bench/" + lot + "?part=" + eye.slot()).contains("&lt;i&gt;block"),
        "it is text, not markup");
    assertEquals(quietly("tobiah", call, "part", eye.slot(), "name", " ").getStatus(), 422);
    assertEquals(
        quietly("tobiah", call, "part", "loin-top-left", "name", "Mine").getStatus(),
        422,
        "the body plan names its own");
    assertEquals(part(lot, eye.slot()).name(), "Adaeze’s <i>block");
  }

  @Test
  public void whatCannotBeAWeightIsRefusedWithASentenceAndStoresNothing() throws Exception {
    String[][] wrong = {
      {"typed", "", "is no weight"},
      {"typed", "-3 kg", "-3 kg"},
      {"typed", "900 kg", "more than the whole lot"},
      {"typed", "1.318 stone", "1.318 stone"},
      {"typed", "<b>9</b>", "<b>9</b>"},
      {"scale", "", "That reading is gone"},
    };
    int before = sheets.facts(ALBACORE).size();
    for (String[] one : wrong) {
      MockHttpServletResponse answer =
          quietly(
              "tobiah",
              weighings(ALBACORE),
              "id",
              UUID.randomUUID().toString(),
              "part",
              "head",
              "source",
              one[0],
              "typed",
              one[1]);
      assertEquals(answer.getStatus(), 422, one[1]);
      assertFalse(text(answer).contains("data-said"), text(answer));
      assertTrue(text(answer).contains("alert-danger"), text(answer));
    }
    MockHttpServletResponse broken =
        quietly(
            "tobiah",
            weighings(ALBACORE),
            "part",
            "head",
            "source",
            "scale",
            "at",
            "1",
            "gross",
            "-5",
            "tare",
            "0",
            "step",
            "0");
    assertEquals(broken.getStatus(), 422);
    assertEquals(sheets.facts(ALBACORE).size(), before);
  }

  @Test
  public void aForgottenTareIsNamedAndMendedAndTheOldFigureIsKept() throws Exception {
    LotSheet sheet = sheets.get(HAKE_WITH_A_TARE);
    LotPart head = part(HAKE_WITH_A_TARE, "head");
    Mass wrong = head.mass();
    String page = page("tobiah", "/bench/4");
    assertTrue(
        page.contains("The steel tray weighs 212 g: its tare was probably not taken on" + " Head."),
        page);
    assertTrue(tallies.find(sheet).orElseThrow().isAlarm());

    String line = head.taken().get(0).id().toString();
    String own = UUID.randomUUID().toString();
    String stale =
        follow(
            "tobiah",
            "/bench/4/mend",
            "own",
            UUID.randomUUID().toString(),
            "line",
            part(HAKE_WITH_A_TARE, "frame").taken().get(0).id().toString(),
            "cause",
            Cause.POUNDS_AS_KILOGRAMS.name());
    assertTrue(stale.contains("The tally has changed"), "a scale does not type pounds");
    for (int again = 0; again < 2; again++) {
      send("tobiah", "/bench/4/mend", "own", own, "line", line, "cause", "TARE_NOT_TAKEN");
    }
    LotPart mended = part(HAKE_WITH_A_TARE, "head");
    assertEquals(mended.mass(), wrong.minus(Mass.ofGrams(212)));
    assertEquals(mended.taken().get(0).reason(), "tare of the steel tray, 212 g, taken off");
    assertTrue(tallies.find(sheets.get(HAKE_WITH_A_TARE)).isEmpty());
    assertEquals(
        sheets.facts(HAKE_WITH_A_TARE).stream().filter(f -> f.part().equals("head")).count(), 2);

    assertEquals(
        quietly("tobiah", "/bench/4/back", "own", UUID.randomUUID().toString(), "weighing", own)
            .getStatus(),
        200,
        "a mended figure can be taken back");
    assertEquals(part(HAKE_WITH_A_TARE, "head").mass(), wrong);
  }

  @Test
  public void aBareNumberIsReadByWhatIsExpectedThere() throws Exception {
    long lot = receive("hake", 1, "4.86");
    String[][] typed = {
      {"gills", "62", "62 g"}, {"fillet-left", "1318", "1.318 kg"}, {"head", "0.984", "984 g"}
    };
    for (String[] one : typed) {
      MockHttpServletResponse answer =
          send(
              "tobiah",
              weighings(lot),
              "id",
              UUID.randomUUID().toString(),
              "part",
              one[0],
              "fish",
              "1",
              "source",
              "typed",
              "typed",
              one[1]);
      assertTrue(answer.getStatus() < 400, one[1] + ": " + answer.getStatus());
    }
    assertEquals(part(lot, "gills").mass(), Mass.ofGrams(62));
    assertEquals(part(lot, "fillet-left").mass(), Mass.ofGrams(1318));
    assertEquals(part(lot, "head").mass(), Mass.ofGrams(984));
    String echo = page("tobiah", "/understood?what=WEIGHT&typed=1452&expected=1290000");
    assertTrue(echo.contains("1452 g"), echo);
    // the script knows what a frame is about, in mg
    String shown = page("tobiah", "/bench/" + lot);
    String frame = shown.substring(shown.indexOf("\"slot\":\"frame\""));
    String about = frame.substring(frame.indexOf("\"expected\":"));
    assertTrue(about.matches("(?s)\"expected\":[1-9]\\d{5},.*"), about.substring(0, 60));
  }

  @Test
  public void afterFishWeighedAloneAllTogetherAreCalledTheOthers() throws Exception {
    long lot = new TestLots(applicationContext).receive("gurnard", State.GUTTED, 3, "2.400");
    for (int fish : new int[] {1, 2}) {
      String page = page("tobiah", "/bench/" + lot + "?fish=0&part=head");
      assertTrue(page.contains(fish == 1 ? "all together</span>" : "the other 2 together"), page);
      follow(
          "tobiah",
          "/bench/" + lot + "/weighings",
          "id",
          UUID.randomUUID().toString(),
          "part",
          "head",
          "fish",
          "" + fish,
          "source",
          "typed",
          "typed",
          "150 g");
    }
    assertTrue(page("tobiah", "/bench/" + lot + "?fish=0&part=head").contains("the other fish"));
    assertTrue(page("tobiah", "/bench/" + lot).contains("Time left"));
  }

  @Test
  public void everyReadingOfARowIsAPortion() throws Exception {
    long lot = 2;
    String from =
        sheets.get(lot).parts().stream()
            .filter(p -> p.kind().code().equals("fillet"))
            .findFirst()
            .orElseThrow()
            .slot();
    String slot = "portion-of-" + from;
    send("tobiah", "/bench/2/row", "part", from);
    send("tobiah", "/bench/2/row", "part", from);
    for (String grams : new String[] {"101 g", "98 g", "102 g"}) {
      assertEquals(
          quietly(
                  "tobiah",
                  weighings(lot),
                  "id",
                  UUID.randomUUID().toString(),
                  "part",
                  slot,
                  "source",
                  "typed",
                  "typed",
                  grams)
              .getStatus(),
          200);
    }
    LotPart row = part(lot, slot);
    assertTrue(row.inARow());
    assertEquals(row.taken().stream().map(Weighing::piece).toList(), List.of(1, 2, 3));
    assertEquals(row.mass(), Mass.ofGrams(301));
    assertEquals(
        sheets.get(lot).breakdown().leaves().stream()
            .filter(leaf -> leaf.kind().code().equals("portion"))
            .mapToInt(leaf -> leaf.pieces())
            .sum(),
        3);
    assertEquals(
        sheets.get(lot).breakdown().massOf(leaf -> leaf.id().equals(from)),
        part(lot, from).mass().minus(Mass.ofGrams(301)),
        "the rest of the fillet is still there, by difference");
    MockHttpServletResponse tooMuch =
        quietly(
            "tobiah",
            weighings(lot),
            "id",
            UUID.randomUUID().toString(),
            "part",
            slot,
            "source",
            "typed",
            "typed",
            "900 g");
    assertEquals(tooMuch.getStatus(), 422);
    assertTrue(text(tooMuch).contains("The pieces of"), text(tooMuch));
    UUID last = part(lot, slot).taken().get(2).id();
    quietly(
        "tobiah",
        "/bench/2/back",
        "own",
        UUID.randomUUID().toString(),
        "weighing",
        last.toString());
    assertEquals(part(lot, slot).mass(), Mass.ofGrams(199), "only the last portion is taken back");
    while (part(lot, slot).isStarted()) {
      send("tobiah", "/bench/2/back");
    }
  }

  @Test
  public void aNoteIsKeptWithItsPartAndItsHtmlIsText() throws Exception {
    String own = UUID.randomUUID().toString();
    for (int again = 0; again < 2; again++) {
      send("maren", "/bench/7/notes", "own", own, "part", "head", "note", "hook mark <script>");
    }
    String page = page("maren", "/bench/7");
    assertEquals(page.split("hook mark &lt;script&gt;", -1).length, 2);
    assertFalse(page.contains("hook mark <script>"));
    assertTrue(
        follow("maren", "/bench/7/notes", "own", UUID.randomUUID().toString(), "note", "  ")
            .contains("The note is missing. Type it."),
        "an empty note is refused with a sentence");
  }

  @Test
  public void everyChangeIsToldToTheOtherInstances() throws Exception {
    try (Connection other = database.getConnection();
        Statement statement = other.createStatement()) {
      statement.execute("listen lot_changed");
      String id = UUID.randomUUID().toString();
      quietly(
          "tobiah",
          weighings(ALBACORE),
          "id",
          id,
          "part",
          "fins",
          "source",
          "typed",
          "typed",
          "0.4 kg");
      PGNotification[] news = other.unwrap(PGConnection.class).getNotifications(1_000);
      assertTrue(news != null && news.length > 0, "no news within a second");
      assertEquals(news[0].getParameter(), ALBACORE + " " + id, "and its sender need not ask");
      quietly("tobiah", "/bench/7/back", "own", UUID.randomUUID().toString(), "weighing", id);
      statement.execute("unlisten lot_changed");
    }
  }

  @Test
  public void aKnifeThatGetsDullIsSeenOverTheFishOfAShift() throws Exception {
    long lot = receiveMackerel(8);
    for (int fish = 1; fish <= 8; fish++) {
      send(
          "maren",
          weighings(lot),
          "id",
          UUID.randomUUID().toString(),
          "part",
          "fillet-left",
          "fish",
          Integer.toString(fish),
          "source",
          "typed",
          "typed",
          (130 - 4 * fish) + " g");
    }
    String page = page("maren", "/bench/" + lot + "?fish=8");
    assertTrue(page.contains("Your last 8 cuts are getting lighter"), page);
    assertFalse(
        page("tobiah", "/bench/" + lot + "?fish=8").contains("getting lighter"),
        "it is said to the hands that cut");
  }

  private long receiveMackerel(int count) {
    return new TestLots(applicationContext)
        .receive("mackerel", State.UNGUTTED, count, count == 1 ? "0.35" : "2.8");
  }

  @Test
  public void aLightFilletAndMeatOnTheFrameAreSaidWithWhatTheyAreWorth() throws Exception {
    long lot = receiveMackerel(1);
    String[][] weights = {{"fillet-left", "62 g"}, {"fillet-right", "88 g"}};
    for (String[] one : weights) {
      send(
          "tobiah",
          weighings(lot),
          "id",
          UUID.randomUUID().toString(),
          "part",
          one[0],
          "source",
          "typed",
          "typed",
          one[1]);
    }
    String chef = page("ines", "/bench/" + lot);
    assertTrue(chef.contains("lighter than the right fillet"), chef);
    assertTrue(chef.contains("% sure"));
    assertTrue(chef.contains(", ≈ €"), "who may see money sees what it is worth");
    assertFalse(page("tobiah", "/bench/" + lot).contains(", ≈ €"), "others do not");
  }

  @Test
  public void theGuideIsThereAndTheModelCannotEndItsScript() throws Exception {
    String page = page("maren", "/bench/7");
    assertTrue(page.contains("id=\"guide\""));
    String model = page.substring(page.indexOf("id=\"bench-model\""));
    model = model.substring(model.indexOf('>') + 1, model.indexOf("</script>"));
    assertTrue(model.contains("\"lot\":7,"), model);
    assertFalse(model.contains("<"));
  }

  @Test
  public void aPartLeftOutCanBeChosenAndAWeightTakesItBackIn() throws Exception {
    long lot = new TestLots(applicationContext).receive("hake", State.GUTTED, 1, "2.000");
    follow("tobiah", "/bench/" + lot + "/skip", "part", "fins", "fish", "1");
    assertTrue(part(lot, "fins").skipped());
    Document page = Jsoup.parse(page("tobiah", "/bench/" + lot + "?part=fins"));
    assertTrue(page.select("#next-part").text().startsWith("1 Fins and tail left out;"));
    assertEquals(
        page.select("#take [name=part]").val(), "fins", "and no other part gets its weight");
    MockHttpServletResponse answer =
        quietly(
            "tobiah",
            weighings(lot),
            "id",
            UUID.randomUUID().toString(),
            "part",
            "fins",
            "source",
            "typed",
            "typed",
            "48 g");
    assertEquals(answer.getStatus(), 200, text(answer));
    assertFalse(part(lot, "fins").skipped());
    assertEquals(part(lot, "fins").mass(), Mass.ofGrams(48));
  }
}
