package mosaicknife.app.larder;

import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mosaicknife.app.TestLots;
import mosaicknife.app.WithPages;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.lot.LotInspector;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.parts.PurposeAssigner;
import mosaicknife.app.parts.Use;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.weighing.Entry;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.app.weighing.Take;
import mosaicknife.app.weighing.WeighingRecorder;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.larder.Item;
import mosaicknife.core.larder.LotMoney;
import mosaicknife.core.larder.LotMoney.Place;
import mosaicknife.core.lot.Held;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import mosaicknife.core.quantity.Money;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.safety.Fitness;
import mosaicknife.core.safety.FoodState;
import mosaicknife.core.safety.Sign;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** Shelves as a cook meets them, on a real database, with everything that goes wrong there. */
public class LarderPagesTest extends WithPages {

  @Autowired private LarderBook book;
  @Autowired private ItemKeeper keeper;
  @Autowired private LotRegister lots;
  @Autowired private LotSheets sheets;
  @Autowired private LotInspector inspections;
  @Autowired private WeighingRecorder bench;
  @Autowired private PurposeAssigner purposes;
  @Autowired private HouseSettings houses;

  @Autowired private JdbcClient jdbc;

  private long lot;
  private long lantern;
  private long counter;
  private LocalDate today;

  /** A hake of 4.000 kg at 12.00: fillets 1.100 and 1.050 kg, frame, head and the rest. */
  @BeforeMethod
  void aHakeIsWeighed() {
    lantern = houses.venues().get(0).id();
    counter = houses.venues().get(1).id();
    today = houses.today();
    lot = new TestLots(applicationContext).receive("hake", State.GUTTED, 1, "4.000");
    people.as(
        "tobiah",
        () ->
            Map.of(
                    "fillet-left",
                    "1.100",
                    "fillet-right",
                    "1.050",
                    "frame",
                    "0.520",
                    "head",
                    "0.800")
                .forEach(this::weigh));
  }

  private void weigh(String slot, String kilograms) {
    bench.take(
        new Take(
            UUID.randomUUID(),
            lot,
            slot,
            1,
            Entry.of(MassText.parse(kilograms + " kg", MassUnit.KILOGRAM)),
            Optional.empty(),
            ""));
  }

  private void decide(String slot, Purpose purpose, Optional<Held> held) {
    people.as(
        "ines",
        () ->
            purposes.assign(
                lot,
                slot,
                sheets.get(lot).find(slot).orElseThrow().version(),
                purpose,
                new Use("", Optional.empty(), held)));
  }

  private String put(String slot, String amount, String until, String place) throws Exception {
    return follow(
        "tobiah",
        "/larder/put/" + lot + "/" + slot,
        "id",
        UUID.randomUUID().toString(),
        "amount",
        amount,
        "venue",
        "" + lantern,
        "place",
        place,
        "until",
        until,
        "by",
        "" + people.idOf("tobiah"));
  }

  private String shelved(String slot, String amount) throws Exception {
    String said = put(slot, amount, today.plusDays(2).toString(), "walk-in, left");
    Matcher code = Pattern.compile("Its label is ([0-9A-Z]{5})\\.").matcher(said);
    assertTrue(code.find(), said);
    return code.group(1);
  }

  private String take(String code, String amount, String out, String reason) throws Exception {
    return follow(
        "tobiah",
        "/larder/" + code + "/take",
        "id",
        UUID.randomUUID().toString(),
        "amount",
        amount,
        "out",
        out,
        "reason",
        reason);
  }

  @Test
  public void rawFishThatFormsHistamineIsNotKeptLongerThanItWasLookedAtAndMeasured()
      throws Exception {
    lot =
        new TestLots(applicationContext)
            .receive("mackerel", State.UNGUTTED, 1, "0.400", Temperature.ofCelsius(1));
    people.as("tobiah", () -> weigh("fillet-left", "0.090"));
    String until = today.plusDays(1).toString();
    String refused = put("fillet-left", "", until, "ageing rack");
    assertTrue(refused.contains("forms histamine. Look at it and measure"), refused);
    assertTrue(refused.contains("value=\"ageing rack\""), "what was typed stays");
    people.as(
        "ines",
        () -> {
          Map<Sign, Integer> good = new EnumMap<>(Sign.class);
          inspections.signs(lots.get(lot)).forEach(sign -> good.put(sign, 0));
          inspections.inspect(lot, UUID.randomUUID(), good, Fitness.RAW, "");
        });
    LocalDate ends =
        lots.get(lot)
            .inspection()
            .map(seen -> (long) (seen.daysLeft().orElseThrow() * 86_400))
            .map(seconds -> lots.get(lot).inspection().orElseThrow().at().plusSeconds(seconds))
            .map(at -> at.atZone(houses.house().formats().zone()).toLocalDate())
            .orElseThrow();
    assertTrue(put("fillet-left", "", ends.toString(), "ageing rack").contains("no longer"));
    Held tooLong = new Held(ends, "ageing rack", people.idOf("tobiah"));
    assertThrows(Refusal.class, () -> decide("fillet-left", Purpose.HOLD, Optional.of(tooLong)));
    decide(
        "fillet-left",
        Purpose.HOLD,
        Optional.of(new Held(ends.minusDays(1), "ageing rack", people.idOf("tobiah"))));
    assertTrue(
        put("fillet-left", "", ends.minusDays(1).toString(), "ageing rack").contains("Its label"));
    assertTrue(ends.isAfter(today.plusDays(1)), "fresh mackerel on ice keeps some days");
  }

  private Money at(Place place) {
    return book.money(List.of(lot)).get(lot).places().getOrDefault(place, euros(0));
  }

  private static Money euros(long cents) {
    return Money.ofMinor(cents, java.util.Currency.getInstance("EUR"));
  }

  @Test
  public void theMoneyFollowsTheGramsFromTheBoardToThePlateAndTheBin() throws Exception {
    decide("fillet-left", Purpose.PLATE, Optional.empty());
    Held held = new Held(today.plusDays(3), "ageing rack", people.idOf("tobiah"));
    decide("fillet-right", Purpose.HOLD, Optional.of(held));
    // 48.00 over 2.150 kg: the right fillet carries 23.44
    String code = shelved("fillet-right", "");
    assertEquals(at(Place.SHELF), euros(2344));
    follow("tobiah", "/larder/" + code + "/weigh", "weight", "980 g", "note", "82 %");
    assertEquals(at(Place.SHELF), euros(2344), "what dries keeps its money");
    assertTrue(page("ines", "/larder/" + code).contains("€23.92/kg"), "23.44 over 0.980 kg");
    assertFalse(page("maren", "/larder/" + code).contains("€"), "the learner sees no money");
    assertTrue(take(code, "490 g", "EATEN", "").contains("Used."));
    assertEquals(at(Place.EATEN), euros(1172));
    assertTrue(take(code, "", "BIN", "").contains("Say why it is thrown"));
    assertTrue(take(code, "", "BIN", "smells sour").contains("In the bin"));
    assertEquals(at(Place.WASTE), euros(1172));
    assertEquals(at(Place.BOARD), euros(2456), "the left fillet");
    assertTrue(page("ines", "/larder/" + code).contains("Nothing left"));
    assertTrue(take(code, "", "EATEN", "").contains("Somebody else took the last"));
  }

  @Test
  public void whatIsCutOffInTheRackIsPaidByThePlate() throws Exception {
    decide("fillet-left", Purpose.PLATE, Optional.empty());
    decide(
        "fillet-right",
        Purpose.HOLD,
        Optional.of(new Held(today.plusDays(3), "ageing rack", people.idOf("tobiah"))));
    String code = shelved("fillet-right", "");
    String weigh = "/larder/" + code + "/weigh";
    String heavier =
        follow("tobiah", weigh, "weight", "1.040 kg", "trim", "200 g", "note", "dark edge");
    assertTrue(heavier.contains("alert-danger"), "together more than before: " + heavier);
    assertTrue(heavier.contains("dark edge"), "what was typed is kept");
    follow("tobiah", weigh, "weight", "940 g", "trim", "40 g", "note", "dark edge");
    String shown = page("ines", "/larder/" + code);
    assertTrue(shown.contains("940 g, and 40 g cut off dark edge"), shown);
    assertTrue(shown.contains("€24.94/kg"), "23.44 over 0.940 kg");
    assertEquals(at(Place.SHELF), euros(2344), "loss and trim keep their money");
    assertTrue(shown.contains("corrected each time it was weighed again"), shown);
  }

  @Test
  public void whatIsHeldGoesOnItsShelfWhenTheLotIsClosed() throws Exception {
    decide("fillet-left", Purpose.PLATE, Optional.empty());
    Held held = new Held(today.plusDays(1), "drawer of lot " + lot, people.idOf("maren"));
    decide("frame", Purpose.HOLD, Optional.of(held));
    people.as("ines", () -> lots.finish(lot, lots.get(lot).version()));
    Item item =
        book.onShelves().stream()
            .filter(one -> one.trace().lots().contains(lot))
            .findFirst()
            .orElseThrow();
    assertEquals(item.mass(), Mass.ofGrams(520));
    assertEquals(item.useBy(), today.plusDays(1));
    assertTrue(page("tobiah", "/larder").contains("drawer of lot " + lot));
  }

  @Test
  public void nothingIsKeptWithoutDayAndPlaceAndNoMoreThanThereIs() throws Exception {
    assertTrue(put("frame", "", "", "walk-in").contains("Nothing is kept without a last day"));
    assertTrue(put("frame", "", today.toString(), " ").contains("place is missing"));
    String before = today.minusDays(1).toString();
    assertTrue(put("frame", "", before, "walk-in").contains("is before it was made"));
    String refused = put("frame", "600 g", today.toString(), "walk-in");
    assertTrue(refused.contains("520 g is left that is not on a shelf"), refused);
    assertTrue(refused.contains("value=\"600 g\""), "what was typed stays");
    shelved("frame", "500 g");
    assertTrue(
        put("frame", "", today.toString(), "walk-in").contains("Its label is"), "the last 20 g");
    assertFalse(page("tobiah", "/uses/" + lot).contains("/larder/put/" + lot + "/frame"));
  }

  @Test
  public void theSameFormSentTwiceIsOneItem() throws Exception {
    String id = UUID.randomUUID().toString();
    for (int i = 0; i < 2; i++) {
      send(
          "tobiah",
          "/larder/put/" + lot + "/head",
          "id",
          id,
          "amount",
          "300 g",
          "venue",
          "" + lantern,
          "place",
          "twice",
          "until",
          today.toString(),
          "by",
          "" + people.idOf("tobiah"));
    }
    assertEquals(sheets.get(lot).find("head").orElseThrow().part().shelf().in(), Mass.ofGrams(300));
  }

  @Test
  public void theLastGramsAreTakenOnceOnTwoTablets() throws Exception {
    String code = shelved("head", "200 g");
    ExecutorService tablets = Executors.newFixedThreadPool(2);
    Callable<String> taking =
        () -> {
          String[] said = {""};
          try {
            people.as(
                "tobiah",
                () ->
                    keeper.take(
                        UUID.randomUUID(),
                        code,
                        Optional.of(Mass.ofGrams(200)),
                        mosaicknife.core.larder.Entry.Out.EATEN,
                        ""));
            said[0] = "taken";
          } catch (Refusal refusal) {
            said[0] = refusal.key();
          }
          return said[0];
        };
    List<String> answers = new ArrayList<>();
    for (Future<String> one : tablets.invokeAll(List.of(taking, taking))) {
      answers.add(one.get());
    }
    tablets.shutdown();
    answers.sort(null);
    assertEquals(answers, List.of("LarderRules.Problem.GONE", "taken"));
  }

  @Test
  public void whatWasThawedIsNeverFrozenAgain() throws Exception {
    String code = shelved("frame", "");
    assertTrue(turn(code, "FROZEN").contains("Frozen. Its label has a new day."));
    assertEquals(book.get(code).useBy(), today.plusDays(60));
    assertTrue(take(code, "", "EATEN", "").contains("It is still frozen"));
    assertTrue(turn(code, "THAWED").contains("never frozen again"));
    assertEquals(book.get(code).useBy(), today.plusDays(1));
    assertTrue(turn(code, "FROZEN").contains("It was thawed once"));
    assertEquals(book.get(code).state(), FoodState.THAWED);
  }

  private String frozen(String code, String core, String hours) throws Exception {
    return follow(
        "tobiah", "/larder/" + code + "/frozen", "core", core, "hours", hours, "thickness", "3 cm");
  }

  @Test
  public void aFreezingRecordIsOfAWholePartThatIsFrozen() throws Exception {
    String whole = shelved("fillet-left", "");
    assertTrue(frozen(whole, "-21", "24").contains("It is not frozen"));
    turn(whole, "FROZEN");
    assertTrue(frozen(whole, "-4", "24").contains("alert-danger"), "no freezer");
    assertTrue(frozen(whole, "-21", "0").contains("alert-danger"));
    assertTrue(frozen(whole, "-21", "24").contains("it cannot have frozen it before"));
    jdbc.sql("update lot set received_at = received_at - interval '2 days' where id = :lot")
        .param("lot", lot)
        .update();
    assertTrue(frozen(whole, "-21", "24").contains("The record is saved with its lot."));
    assertEquals(lots.get(lot).papers().records().size(), 1);
    assertEquals(lots.get(lot).papers().records().get(0).part(), Optional.of("fillet-left"));
    assertEquals(
        lots.get(lot).rawGate(Optional.of("fillet-left")), Optional.empty(), "uninspected");
    String some = shelved("fillet-right", "400 g");
    turn(some, "FROZEN");
    assertTrue(frozen(some, "-21", "24").contains("Only some of the part lies in it"));
    assertEquals(lots.get(lot).papers().records().size(), 1);
  }

  private String turn(String code, String state) throws Exception {
    return follow("tobiah", "/larder/" + code + "/turn", "state", state);
  }

  @Test
  public void whatIsCookedIsColdByAReadingBeforeItSaysSo() throws Exception {
    String code = shelved("frame", "");
    assertTrue(turn(code, "COOKED").contains("No reading says that it is at"));
    assertEquals(book.get(code).state(), FoodState.RAW);
    String cooked =
        follow(
            "tobiah",
            "/larder/" + code + "/turn",
            "state",
            "COOKED",
            "cold",
            "4.0",
            "instrument",
            "probe 1",
            "offHeat",
            java.time.LocalTime.now(houses.house().formats().zone()).toString().substring(0, 5));
    assertTrue(cooked.contains("4.0 °C on "), cooked);
    assertEquals(book.get(code).state(), FoodState.COOKED);
  }

  @Test
  public void aTransferThatArrivesShortIsWrittenDown() throws Exception {
    String code = shelved("head", "");
    assertTrue(move(code, counter, "", "").contains("under way until somebody there says"));
    assertTrue(take(code, "", "EATEN", "").contains("It has to arrive there first"));
    assertTrue(page("ines", "/larder/" + code).contains("nobody has received it yet"));
    assertTrue(move(code, counter, "low fridge", "690 g").contains("Lies at low fridge now."));
    Item item = book.get(code);
    assertEquals(item.mass(), Mass.ofGrams(690));
    assertEquals(item.spot().venue(), counter);
    String where =
        org.springframework.web.util.HtmlUtils.htmlEscape(houses.getVenue(counter).name());
    assertTrue(page("ines", "/larder/" + code).contains("missing on arrival, " + where));
    assertTrue(item.underWay().isEmpty());
  }

  private String move(String code, long venue, String place, String weight) throws Exception {
    return follow(
        "tobiah",
        "/larder/" + code + "/move",
        "venue",
        "" + venue,
        "place",
        place,
        "by",
        "" + people.idOf("tobiah"),
        "weight",
        weight);
  }

  @Test
  public void aScannedLabelOpensItsItemAndNoOther() throws Exception {
    String code = shelved("frame", "100 g");
    String square = book.square(code);
    assertEquals(
        send("maren", "/larder/find", "code", square).getRedirectedUrl(), "/larder/" + code);
    String asTyped = code.toLowerCase(java.util.Locale.ROOT).replace('0', 'o').replace('1', 'l');
    assertEquals(
        send("maren", "/larder/find", "code", " " + asTyped).getRedirectedUrl(), "/larder/" + code);
    assertTrue(
        follow("maren", "/larder/find", "code", "MK:ZZZZ:" + code).contains("from another house"));
    assertTrue(follow("maren", "/larder/find", "code", "hake").contains("five letters"));
    assertTrue(
        follow("maren", "/larder/find", "code", "00000").contains("nothing with the label 00000"));
    assertTrue(follow("maren", "/larder/find", "code", "<b>x</b>").contains("five letters"));
  }

  @Test
  public void aLabelIsPrintedOnPaperAndByThePrinter() throws Exception {
    String code = shelved("frame", "120 g");
    assertEquals(send("tobiah", "/larder/" + code + "/print").getStatus(), 302);
    byte[] png =
        mvc.perform(get("/larder/" + code + "/printed.png").cookie(session("tobiah")))
            .andReturn()
            .getResponse()
            .getContentAsByteArray();
    assertEquals(
        javax.imageio.ImageIO.read(new java.io.ByteArrayInputStream(png)).getWidth(),
        639,
        "80 mm at 203 dots an inch");
    byte[] pdf =
        mvc.perform(get("/larder/labels.pdf?codes=" + code).cookie(session("tobiah")))
            .andReturn()
            .getResponse()
            .getContentAsByteArray();
    assertEquals(new String(pdf, 0, 5, java.nio.charset.StandardCharsets.US_ASCII), "%PDF-");
  }

  @Test
  public void todayNamesWhatLapsesAndHidesNothing() throws Exception {
    for (int i = 0; i < 7; i++) {
      put("head", "20 g", today.toString(), "last day " + i);
    }
    String shown = page("ines", "/");
    assertTrue(shown.contains("today is its last day"), shown);
    assertTrue(shown.contains("more things on shelves ask for a look"), shown);
  }

  private String count(String code, String amount, String how) throws Exception {
    return follow("tobiah", "/larder/count", "code", code, "amount", amount, "how", how);
  }

  @Test
  public void aStockTakeIsOnePassOfScanWeighNext() throws Exception {
    String code = shelved("head", "500 g");
    assertTrue(count(book.square(code), "", "SO").contains("is counted"), "as it should be");
    assertEquals(book.get(code).mass(), Mass.ofGrams(500));
    assertTrue(count(code, "420 g", "SO").contains("80 g is not there. Did it dry off"));
    assertTrue(count(code, "420 g", "MISSING").contains("is counted"));
    assertEquals(book.get(code).trace().mass(), Mass.ofGrams(420), "80 g are missing");
    assertTrue(count(code, "400 g", "DRIED").contains("is counted"));
    assertEquals(book.get(code).trace().mass(), Mass.ofGrams(420), "20 g dried off");
    assertEquals(book.get(code).mass(), Mass.ofGrams(400));
    assertTrue(count(code, "900 g", "SO").contains("does not get heavier"));
    assertTrue(count(code, "", "NONE").contains("is counted"));
    assertTrue(book.get(code).isGone());
    assertTrue(count(code, "", "SO").contains("Nothing is left of it"));
    assertTrue(count("XXXX", "", "SO").contains("five letters"));
  }

  @Test
  public void howLongFreezingTakesIsABandAndAsksForColdAir() throws Exception {
    String address = "/larder/freezing?cold=STILL_AIR&thickness=3cm&air=";
    // 20573 s at −25 °C, 40 % less and more: 3.4 to 8.0 hours
    assertTrue(
        page("tobiah", address + "-25")
            .contains("About 3 to 9 hours to freeze through, an estimate"));
    assertTrue(page("tobiah", address + "2").contains("colder than −5 °C"));
    assertTrue(page("tobiah", address + "x").contains("id=\"freezing\""));
  }

  @Test
  public void strangeFiguresAreRefusedInASentence() throws Exception {
    String code = shelved("head", "400 g");
    assertTrue(take(code, "500 g", "EATEN", "").contains("Only 400 g is there."));
    for (String typed : List.of("-5 g", "0", "0 g", "abc", "<script>", "9".repeat(40))) {
      String said = take(code, typed, "EATEN", "");
      assertTrue(said.contains("alert-danger"), typed);
    }
    assertEquals(book.get(code).mass(), Mass.ofGrams(400));
    assertTrue(
        follow("tobiah", "/larder/" + code + "/weigh", "weight", "460 g", "note", "")
            .contains("does not get heavier"));
    LotMoney money = book.money(List.of(lot)).get(lot);
    assertEquals(money.places(), Map.of(Place.BOARD, euros(4800)), "no main has a purpose yet");
  }
}
