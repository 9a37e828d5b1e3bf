package mosaicknife.app.dock;

import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.RoundingMode;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.atomic.AtomicReference;
import javax.imageio.ImageIO;
import mosaicknife.app.WithPages;
import mosaicknife.app.buy.Order;
import mosaicknife.app.buy.OrderLine;
import mosaicknife.app.buy.OrderPlacer;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.lot.Claim;
import mosaicknife.app.lot.ClaimSettler;
import mosaicknife.app.lot.Delivery;
import mosaicknife.app.lot.Evidence;
import mosaicknife.app.lot.EvidenceFiler;
import mosaicknife.app.lot.LotInspector;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.lot.Arrival;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.Origin;
import mosaicknife.core.lot.Receipt;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.quantity.UnitPrice;
import mosaicknife.core.safety.Fitness;
import mosaicknife.core.safety.RawGate;
import mosaicknife.core.safety.Sign;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jsoup.Jsoup;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Inspection, papers, claims, length rules and orders at the dock. */
public class DockPagesTest extends WithPages {

  @Autowired private LotRegister lots;
  @Autowired private LotInspector inspections;
  @Autowired private EvidenceFiler evidence;
  @Autowired private ClaimSettler claims;
  @Autowired private OrderPlacer orders;
  @Autowired private CatalogueEditor catalogue;
  @Autowired private HouseSettings houses;
  @Autowired private mosaicknife.app.shared.Words words;
  @Autowired private JdbcClient jdbc;
  @Autowired private Clock clock;

  private Lot receive(String species, int fish, String invoiced, Arrival arrival) {
    return lots.receive(receipt(species, fish, invoiced, Optional.empty(), arrival));
  }

  private Delivery receipt(
      String species, int fish, String invoiced, Optional<Mass> own, Arrival arrival) {
    return new Delivery(
        UUID.randomUUID(),
        houses.venues().get(0).id(),
        new Receipt(
            catalogue.now().getSpecies(species),
            State.GUTTED,
            fish,
            Mass.ofKilograms(invoiced),
            own,
            Optional.of(price("10.00")),
            "Grey Skerry Landings",
            Origin.WILD,
            LocalDate.now(clock),
            "",
            arrival));
  }

  private UnitPrice price(String perKilogram) {
    return UnitPrice.ofPerKilogram(perKilogram, houses.house().formats().currency());
  }

  private static Arrival arrival(Optional<Mass> gross, Optional<Temperature> temperature) {
    return new Arrival(
        OptionalLong.empty(), gross, temperature, Optional.empty(), "", Optional.empty());
  }

  private static Map<Sign, Integer> all(int grade) {
    Map<Sign, Integer> grades = new EnumMap<>(Sign.class);
    for (Sign sign : Sign.values()) {
      grades.put(sign, grade);
    }
    return grades;
  }

  @Test
  public void anInspectionIsAFactAndDecidesTheRawGate() {
    people.as(
        "tobiah",
        () -> {
          Arrival cold = arrival(Optional.empty(), Optional.of(Temperature.ofCelsius(1)));
          long lot = receive("hake", 2, "4.0", cold).id();
          assertTrue(lots.get(lot).rawGate().isEmpty(), "not inspected");
          UUID id = UUID.randomUUID();
          inspections.inspect(lot, id, all(0), Fitness.RAW, "");
          inspections.inspect(lot, id, all(0), Fitness.RAW, "");
          assertEquals(count("inspection", lot), 1, "sent twice is once");
          assertEquals(lots.get(lot).rawGate(), Optional.of(RawGate.FREEZING_NEEDED));
          inspections.inspect(lot, UUID.randomUUID(), all(1), Fitness.COOK, "");
          assertEquals(lots.get(lot).rawGate(), Optional.of(RawGate.CLOSED));
          assertEquals(count("inspection", lot), 2, "the older one stays");
          assertThrows(
              DataAccessException.class,
              () -> jdbc.sql("delete from inspection where lot_id = " + lot).update());
        });
  }

  private long count(String table, long lot) {
    return jdbc.sql("select count(*) from " + table + " where lot_id = ?")
        .param(lot)
        .query(Long.class)
        .single();
  }

  @Test
  public void whoIsLessStrictSaysWhyAndARefusedLotIsNeverRaw() {
    people.as(
        "tobiah",
        () -> {
          long lot = receive("hake", 1, "2.0", Arrival.UNASKED).id();
          assertEquals(inspections.judge(lots.get(lot), all(2)).proposal(), Fitness.POT);
          Refusal why =
              expectThrows(
                  Refusal.class,
                  () -> inspections.inspect(lot, UUID.randomUUID(), all(2), Fitness.COOK, " "));
          assertTrue(words.say(why).contains("Write down why"), words.say(why));
          inspections.inspect(lot, UUID.randomUUID(), all(2), Fitness.COOK, "only the skin dried");
          assertEquals(lots.get(lot).inspection().orElseThrow().reason(), "only the skin dried");
          inspections.inspect(lot, UUID.randomUUID(), all(1), Fitness.POT, "");
          assertEquals(
              lots.get(lot).inspection().orElseThrow().decision(),
              Fitness.POT,
              "to be stricter needs no reason");
          Refusal never =
              expectThrows(
                  Refusal.class,
                  () ->
                      inspections.inspect(
                          lot, UUID.randomUUID(), all(3), Fitness.RAW, "I like it"));
          assertTrue(words.say(never).contains("can’t be marked for raw"), words.say(never));
          Map<Sign, Integer> partly = all(0);
          partly.remove(Sign.GILLS);
          Refusal missing =
              expectThrows(Refusal.class, () -> inspections.judge(lots.get(lot), partly));
          assertTrue(words.say(missing).startsWith("Gills: not checked yet"));
        });
  }

  @Test
  public void aWarmMackerelIsProposedForRefusalAndEveryPageOfItKeepsCold() throws Exception {
    long[] lot = new long[1];
    people.as(
        "tobiah",
        () ->
            lot[0] =
                receive(
                        "mackerel",
                        10,
                        "4.0",
                        arrival(Optional.empty(), Optional.of(new Temperature(68))))
                    .id());
    String verdict =
        send(
                "tobiah",
                "/dock/" + lot[0] + "/judge",
                "sign-EYES",
                "0",
                "sign-GILLS",
                "0",
                "sign-SKIN",
                "0",
                "sign-FLESH",
                "0",
                "sign-BELLY",
                "0",
                "sign-SMELL",
                "0")
            .getContentAsString(StandardCharsets.UTF_8);
    assertTrue(verdict.contains("The signs say: refuse"), verdict);
    assertTrue(verdict.contains("6.8 °C at receipt"), verdict);
    assertTrue(page("maren", "/bench/" + lot[0]).contains("Keep cold"), "the bench carries it");
    String half =
        send("tobiah", "/dock/" + lot[0] + "/judge", "sign-EYES", "0")
            .getContentAsString(StandardCharsets.UTF_8);
    assertTrue(half.contains("not checked yet"), half);
    String refused =
        follow("tobiah", "/dock/" + lot[0] + "/inspect", "sign-EYES", "2", "decision", "");
    assertTrue(refused.contains("The decision is yours: choose one."), refused);
    assertTrue(
        refused.contains("name=\"sign-EYES\" value=\"2\" checked=\"checked\""),
        "what was tapped stays");
  }

  @DataProvider
  Object[][] noEvidence() throws IOException {
    byte[] picture = png(40, 30);
    byte[] cut = Arrays.copyOf(picture, picture.length / 3);
    return new Object[][] {
      {"hook.jpg", "<html><script>alert(1)</script></html>", "not a JPEG or PNG picture"},
      {"hook.jpg", "", "is empty"},
      {"bill.pdf", "%PDF-1.7 and then nothing", "The PDF is cut off"},
      {"cut.png", new String(cut, StandardCharsets.ISO_8859_1), "not a JPEG or PNG picture"},
      {"anim.gif", "GIF89a.............", "not a JPEG or PNG picture"},
    };
  }

  @Test(dataProvider = "noEvidence")
  public void onlyWhatReallyIsAPictureOrAPdfIsKept(String name, String content, String words)
      throws Exception {
    long before = count("evidence", 2);
    String page =
        upload(
            "tobiah",
            "/dock/2/evidence",
            name,
            content.getBytes(StandardCharsets.ISO_8859_1),
            "kind",
            "HOOK_MARK",
            "id",
            UUID.randomUUID().toString());
    assertTrue(page.contains(words), page);
    assertEquals(count("evidence", 2), before);
  }

  @Test
  public void aPictureIsKeptOnceWithAThumbnailAndIsShownAsItself() throws Exception {
    String id = UUID.randomUUID().toString();
    for (int i = 0; i < 2; i++) {
      String page =
          upload(
              "tobiah",
              "/dock/3/evidence",
              "../../<b>hook.png",
              png(1600, 900),
              "kind",
              "HOOK_MARK",
              "id",
              id);
      assertTrue(page.contains("Kept with the lot."), page);
      assertFalse(page.contains("<b>hook"), "a name is only text");
    }
    List<Evidence> kept = evidence.of(3);
    assertEquals(kept.size(), 1, "sent twice is once");
    assertEquals(kept.get(0).name(), "<b>hook.png");
    var answer =
        mvc.perform(
                get("/dock/3/evidence/" + kept.get(0).id() + "?small=true")
                    .cookie(session("maren")))
            .andReturn()
            .getResponse();
    assertEquals(answer.getContentType(), "image/jpeg");
    BufferedImage small = ImageIO.read(new ByteArrayInputStream(answer.getContentAsByteArray()));
    assertEquals(small.getWidth(), 320);
    assertTrue(
        answer.getHeader("Content-Security-Policy").contains("sandbox"), "nothing in it runs");
  }

  private static byte[] png(int width, int height) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), "png", bytes);
    return bytes.toByteArray();
  }

  @Test
  public void whatIsCreditedMakesTheLotCheaper() throws Exception {
    people.as(
        "ines",
        () -> {
          long lot = receive("hake", 2, "4.0", Arrival.UNASKED).id();
          UUID id = UUID.randomUUID();
          ClaimSettler.Asked half =
              new ClaimSettler.Asked(
                  id,
                  Claim.Kind.SHORT,
                  Optional.of(Mass.ofGrams(500)),
                  Optional.empty(),
                  "one fish is missing");
          long claim = claims.ask(lot, half);
          assertEquals(claims.ask(lot, half), claim, "sent twice is once");
          assertEquals(
              money(lots.get(lot).cost().orElseThrow().total()), "40.00", "asked is not credited");
          assertEquals(money(claims.of(lot).get(0).amount()), "5.00", "500 g at 10.00");
          int version = claims.of(lot).get(0).version();
          Refusal elsewhere =
              expectThrows(
                  Refusal.class,
                  () -> claims.settle(1, claim, version, Claim.Status.CREDITED, euros("4.20")));
          assertEquals(elsewhere.kind(), Refusal.Kind.MISSING, "at the address of another lot");
          claims.settle(lot, claim, version, Claim.Status.CREDITED, euros("4.20"));
          assertEquals(money(lots.get(lot).cost().orElseThrow().total()), "35.80");
          Refusal stale =
              expectThrows(
                  Refusal.class,
                  () -> claims.settle(lot, claim, version, Claim.Status.DROPPED, euros("4.20")));
          assertEquals(stale.kind(), Refusal.Kind.STALE);
          ClaimSettler.Asked all =
              new ClaimSettler.Asked(
                  UUID.randomUUID(),
                  Claim.Kind.QUALITY,
                  Optional.empty(),
                  Optional.of(euros("36")),
                  "soft");
          Refusal tooMuch = expectThrows(Refusal.class, () -> claims.ask(lot, all));
          assertTrue(words.say(tooMuch).contains("more than the lot cost"));
          assertTrue(
              lots.newest().stream()
                  .filter(l -> l.id() == lot)
                  .allMatch(l -> money(l.cost().orElseThrow().total()).equals("35.80")),
              "the list costs the same as the lot");
        });
    byte[] sheet =
        mvc.perform(get("/dock/5/claims/1/sheet.pdf").cookie(session("ines")))
            .andReturn()
            .getResponse()
            .getContentAsByteArray();
    assertEquals(new String(sheet, 0, 5, StandardCharsets.ISO_8859_1), "%PDF-");
  }

  /** Sixteen tries at an amount would tell what a lot cost. */
  @Test
  public void whoSeesNoCostsClaimsByWeight() throws Exception {
    AtomicLong lot = new AtomicLong();
    people.as("ines", () -> lot.set(receive("hake", 2, "4.0", Arrival.UNASKED).id()));
    assertFalse(page("tobiah", "/dock/" + lot).contains("claim-amount"));
    assertTrue(page("ines", "/dock/" + lot).contains("claim-amount"));
    String[] typed = {
      "id", UUID.randomUUID().toString(), "kind", "QUALITY", "amount", "39", "reason", "soft"
    };
    String refused = follow("tobiah", "/dock/" + lot + "/claims", typed);
    assertTrue(refused.contains("Say the weight the claim is about."), refused);
    typed[5] = "41";
    String sameWords = follow("tobiah", "/dock/" + lot + "/claims", typed);
    assertFalse(sameWords.contains("more than the lot cost"), sameWords);
    assertEquals(claims.of(lot.get()).size(), 0);
    typed[4] = "mass";
    typed[5] = "500 g";
    follow("tobiah", "/dock/" + lot + "/claims", typed);
    assertEquals(money(claims.of(lot.get()).get(0).amount()), "5.00", "500 g at 10.00");
    typed[1] = UUID.randomUUID().toString();
    typed[4] = "amount";
    typed[5] = "3";
    follow("ines", "/dock/" + lot + "/claims", typed);
    assertEquals(claims.of(lot.get()).size(), 2);
  }

  @Test
  public void whateverIsTypedComesOutOnPaper() throws Exception {
    AtomicReference<String> address = new AtomicReference<>();
    people.as(
        "ines",
        () -> {
          long lot = receive("hake", 2, "4.0", Arrival.UNASKED).id();
          long claim =
              claims.ask(
                  lot,
                  new ClaimSettler.Asked(
                      UUID.randomUUID(),
                      Claim.Kind.QUALITY,
                      Optional.of(Mass.ofGrams(500)),
                      Optional.empty(),
                      "щука μπακαλιάρος łosoś 鱈 \uD83D\uDC1F a\uFFFEb e\u200Df <b>&"));
          address.set("/dock/%d/claims/%d/sheet.pdf".formatted(lot, claim));
        });
    MockHttpServletResponse answer =
        mvc.perform(get(address.get()).cookie(session("ines"))).andReturn().getResponse();
    assertEquals(answer.getStatus(), 200);
    try (PDDocument pdf = Loader.loadPDF(answer.getContentAsByteArray())) {
      String text = new PDFTextStripper().getText(pdf).replaceAll("\\s+", " ");
      assertTrue(
          text.contains("щука μπακαλιάρος łosoś □ □ a□b ef <b>&"),
          "letters, or a box that is seen: " + text);
      assertFalse(text.contains("#"), text);
    }
  }

  @Test
  public void aLearnerSeesNeitherInvoiceNorClaimSheet() throws Exception {
    people.as(
        "tobiah",
        () -> {
          try {
            evidence.add(
                4,
                UUID.randomUUID(),
                Evidence.Kind.INVOICE,
                java.util.Set.of(),
                "bill.png",
                png(20, 20));
          } catch (IOException e) {
            throw new UncheckedIOException(e);
          }
        });
    assertTrue(page("tobiah", "/dock/4").contains("bill.png"));
    assertFalse(page("maren", "/dock/4").contains("bill.png"));
    for (String who : List.of("maren", "tobiah")) {
      assertEquals(
          mvc.perform(get("/dock/5/claims/1/sheet.pdf").cookie(session(who)))
              .andReturn()
              .getResponse()
              .getStatus(),
          403);
    }
  }

  private ExactMoney euros(String amount) {
    return ExactMoney.of(amount, houses.house().formats().currency());
  }

  private static String money(ExactMoney money) {
    return money.amount().setScale(2, RoundingMode.HALF_UP).toPlainString();
  }

  @DataProvider
  Object[][] noClaims() {
    return new Object[][] {
      {"SHORT", "", "", "less came", "how much weight or money"},
      {"SHORT", "90 kg", "", "less came", "more than the lot weighs"},
      {"SHORT", "", "-4", "less came", "isn’t an amount of money"},
      {"SHORT", "", "0", "less came", "more than nothing"},
      {"SHORT", "", "2", "", "The reason is missing"},
      {"", "", "2", "soft", "What is the claim about"},
      {"SHORT", "50 lb 20 oz", "", "less came", ""},
    };
  }

  @Test(dataProvider = "noClaims")
  public void aClaimThatCannotBeStaysTyped(
      String kind, String mass, String amount, String reason, String words) throws Exception {
    long before = count("claim", 3);
    String page =
        follow(
            "ines",
            "/dock/3/claims",
            "id",
            UUID.randomUUID().toString(),
            "kind",
            kind,
            "mass",
            mass,
            "amount",
            amount,
            "reason",
            reason);
    assertTrue(page.contains(words) && page.contains("Nothing was saved."), page);
    assertEquals(Jsoup.parse(page).select("[name=reason][maxlength=340]").val(), reason);
    assertEquals(count("claim", 3), before);
  }

  @Test
  public void whatCameIsComparedWithWhatWasOrdered() {
    people.as(
        "ines",
        () -> {
          Order order = orders.expected().get(0);
          OrderLine line = order.lines().get(0);
          Mass each = line.grade().middle();
          Delivery shortOne =
              new Delivery(
                  UUID.randomUUID(),
                  order.venueId(),
                  new Receipt(
                      line.species(),
                      line.state(),
                      line.fish() - 1,
                      each.multipliedBy(line.fish() - 1),
                      Optional.empty(),
                      Optional.of(
                          UnitPrice.ofPerKilogram(line.price().perKilogram().plus(euros("0.50")))),
                      order.supplier(),
                      Origin.WILD,
                      LocalDate.now(clock),
                      "",
                      new Arrival(
                          OptionalLong.of(line.id()),
                          Optional.empty(),
                          Optional.empty(),
                          Optional.empty(),
                          "",
                          Optional.empty())));
          Lot lot = lots.receive(shortOne);
          OrderMatch match =
              OrderMatch.of(lot, order, lots.of(order), houses.house().formats(), true)
                  .orElseThrow();
          assertTrue(match.sentences().get(0).startsWith("Short by 1 fish: "), match.toString());
          assertTrue(match.sentences().get(1).contains("too much"), match.toString());
          assertTrue(
              OrderMatch.of(lot, order, lots.of(order), houses.house().formats(), false)
                  .orElseThrow()
                  .sentences()
                  .stream()
                  .noneMatch(sentence -> sentence.contains("€")),
              "no price for those who see none");
          orders.close(order.id());
          assertTrue(
              orders.expected().stream().noneMatch(o -> o.id() == order.id()),
              "nothing more will come");
        });
  }

  @Test
  public void grossAndNetNumberAndDatesMustGoTogether() {
    people.as(
        "tobiah",
        () -> {
          Refusal net =
              expectThrows(
                  Refusal.class,
                  () ->
                      lots.receive(
                          receipt(
                              "hake",
                              1,
                              "2.0",
                              Optional.of(Mass.ofKilograms("2.0")),
                              arrival(Optional.of(Mass.ofKilograms("1.9")), Optional.empty()))));
          assertEquals(net.field(), "gross");
          Refusal many =
              expectThrows(Refusal.class, () -> receive("gurnard", 1, "40", Arrival.UNASKED));
          assertTrue(words.say(many).contains("each is unusual for Tub gurnard"));
          long before = jdbc.sql("select count(*) from lot").query(Long.class).single();
          assertThrows(
              DataAccessException.class,
              () -> jdbc.sql("update lot set gross_mg = 1 where own_mg > 1").update());
          assertEquals(
              jdbc.sql("select count(*) from lot").query(Long.class).single().longValue(), before);
        });
  }

  @Test
  public void fishAreMeasuredOneByOneAndATwoMetreGurnardIsQuestioned() throws Exception {
    String two = follow("tobiah", "/dock/6/fish", "fish", "0.984 kg 2 m", "basis", "TOTAL");
    assertTrue(two.contains("Fish 1: Tub gurnard can’t be 200 cm long"), two);
    assertTrue(two.contains("0.984 kg 2 m</textarea>"), "what was typed stays");
    String four =
        follow("tobiah", "/dock/6/fish", "fish", "1 kg\n1 kg\n0.9 kg\n1 kg", "basis", "TOTAL");
    assertTrue(four.contains("The lot has 3 fish, but you typed 4"), four);
    String heavy = follow("tobiah", "/dock/6/fish", "fish", "2 kg\n2 kg", "basis", "TOTAL");
    assertTrue(heavy.contains("more than the lot"), heavy);
    String kept =
        follow(
            "tobiah",
            "/dock/6/fish",
            "fish",
            "0.984 kg, 42.5 cm\n0.950 kg\n38 cm",
            "basis",
            "TOTAL");
    assertTrue(kept.contains("The fish are kept one by one."), kept);
    assertTrue(kept.contains("below the house’s minimum of 42 cm"), kept);
    assertEquals(inspections.fish(6).size(), 3);
    String fork = follow("tobiah", "/dock/6/fish", "fish", "43 cm", "basis", "FORK");
    assertTrue(fork.contains("measured as fork length. Measure it again."), fork);
  }

  @Test
  public void theHouseKeepsItsOwnLengthRules() throws Exception {
    String inAYear = LocalDate.now(clock).plusYears(1).toString();
    String kept =
        follow(
            "ines",
            "/dock/rules",
            "fish",
            "lieu jaune",
            "basis",
            "TOTAL",
            "minimum",
            "12 in",
            "source",
            "harbour office",
            "expires",
            inAYear);
    assertTrue(kept.contains("The rule for Pollack is saved."), kept);
    assertTrue(kept.contains("30.5 cm"), kept);
    String past =
        follow(
            "ines",
            "/dock/rules",
            "fish",
            "pollack",
            "basis",
            "TOTAL",
            "minimum",
            "30",
            "source",
            "<script>",
            "expires",
            "2020-01-01");
    assertTrue(past.contains("would have run out already"), past);
    assertFalse(past.contains("<script>"), past);
    String none =
        follow(
            "ines",
            "/dock/rules",
            "fish",
            "qqqqqq",
            "basis",
            "TOTAL",
            "minimum",
            "30",
            "source",
            "x",
            "expires",
            inAYear);
    assertTrue(none.contains("No fish is called that"), none);
    assertEquals(
        send(
                "maren",
                "/dock/rules",
                "fish",
                "hake",
                "basis",
                "TOTAL",
                "minimum",
                "30",
                "source",
                "x",
                "expires",
                inAYear)
            .getStatus(),
        403);
  }

  @Test
  public void aPassportLeadsBackFromEveryPart() throws Exception {
    String page = page("maren", "/dock/1/passport");
    assertTrue(page.contains("L1-4"), "a label of each part");
    assertTrue(page.contains("white stock"), "what it becomes");
    assertTrue(page.contains("/dock/1</figcaption>"), "where the code leads");
    assertFalse(page.contains("€"), "no prices on it");
  }

  @Test
  public void aNameOfSeveralFishAsksWhichOneItIs() throws Exception {
    String refused = follow("tobiah", "/dock/receive", "species", "butterfish", "state", "GUTTED");
    assertTrue(
        refused.contains(
            "can be several fish: American butterfish (Peprilus triacanthus) and Pacific"
                + " rudderfish (Psenopsis anomala). Choose one."),
        refused);
  }

  @Test
  public void ownCatchNeedsNeitherSupplierNorPriceAndCostsItsWork() throws Exception {
    String[] fields = {
      "species",
      "mackerel",
      "state",
      "UNGUTTED",
      "fish",
      "1",
      "own",
      "0.42 kg",
      "venue",
      "" + houses.venues().get(0).id(),
      "origin",
      "WILD",
      "landedOn",
      "" + houses.today(),
      "ownCatch",
      ""
    };
    String refused =
        send("ines", "/dock/receive", fields).getContentAsString(StandardCharsets.UTF_8);
    assertTrue(refused.contains("3 things are missing"), refused);
    fields[fields.length - 1] = "yes";
    String where = send("tobiah", "/dock/receive", fields).getRedirectedUrl();
    assertTrue(where != null && where.endsWith("?received"), where);
    long lot = Long.parseLong(where.replaceAll("\\D", ""));
    assertTrue(lots.get(lot).receipt().isOwnCatch());
    assertEquals(lots.get(lot).invoiced(), Mass.ofGrams(420), "what the own scale says");
    assertTrue(
        houses.suppliers().stream().noneMatch(one -> one.name().equals("Own catch")),
        "it is no supplier");
    assertTrue(page("ines", "/dock/" + lot).contains("Own catch"));
    assertFalse(lots.get(lot).price().orElseThrow().perKilogram().isPositive());
    for (String station : new String[] {"plan", "bench", "cost", "uses", "dock"}) {
      assertTrue(page("ines", "/" + station + "/" + lot).contains("Mackerel"), station);
    }
  }

  @Test
  public void anExpectedLineFillsTheFormAndARefusedFishIsNotReceived() throws Exception {
    Order order =
        orders.expected().stream()
            .filter(o -> !o.lines().isEmpty() && o.lines().get(0).fish() > 0)
            .findFirst()
            .orElseThrow();
    OrderLine line = order.lines().get(0);
    String form = page("tobiah", "/dock/receive?line=" + line.id());
    assertTrue(form.contains("Receive what was ordered"), form);
    assertTrue(form.contains("value=\"" + order.supplier() + "\""), form);
    assertTrue(form.contains("name=\"fish\" value=\"" + line.fish() + "\""), form);
    assertTrue(page("tobiah", "/dock/receive/fish?query=fugu").contains("Only licensed handlers"));
    var refused = send("tobiah", "/dock/receive", "species", "torafugu", "state", "GUTTED");
    assertEquals(refused.getStatus(), 422);
    assertTrue(
        refused.getContentAsString(StandardCharsets.UTF_8).contains("Only licensed handlers"));
  }
}
