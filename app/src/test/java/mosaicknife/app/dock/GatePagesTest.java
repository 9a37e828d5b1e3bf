package mosaicknife.app.dock;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.TestLots;
import mosaicknife.app.WithPages;
import mosaicknife.app.buy.Dish;
import mosaicknife.app.buy.DishEditor;
import mosaicknife.app.buy.DishForm;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.lot.LotInspector;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.lot.Destination;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.safety.Fitness;
import mosaicknife.core.safety.RawGate;
import mosaicknife.core.safety.Sign;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.springframework.beans.factory.annotation.Autowired;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** The raw gate: blocked, a record added, open. */
public class GatePagesTest extends WithPages {

  private static final String DISH = "Pollack, cured in salt";

  @Autowired private LotRegister lots;
  @Autowired private LotSheets sheets;
  @Autowired private LotInspector inspections;
  @Autowired private DishEditor dishes;
  @Autowired private HouseSettings houses;

  @BeforeClass
  void aDishThatIsRaw() {
    people.as(
        "ines",
        () ->
            dishes.add(
                new DishForm(
                    DISH,
                    "" + houses.venues().get(0).id(),
                    "70 g",
                    "5",
                    "SLICES",
                    "1",
                    "",
                    "SKINLESS",
                    "",
                    "",
                    "",
                    "yes",
                    List.of(),
                    "pollack\ntrout",
                    0)));
  }

  /** Measured at 1 °C and inspected as good enough for raw. */
  private long fresh(String species) {
    return fresh(species, "3.9");
  }

  private long fresh(String species, String kilograms) {
    long lot =
        new TestLots(applicationContext)
            .receive(species, State.GUTTED, 1, kilograms, Temperature.ofCelsius(1));
    people.as(
        "ines",
        () -> {
          Map<Sign, Integer> best = new EnumMap<>(Sign.class);
          inspections.signs(lots.get(lot)).forEach(sign -> best.put(sign, 0));
          inspections.inspect(lot, UUID.randomUUID(), best, Fitness.RAW, "");
        });
    return lot;
  }

  private String plan(long lot, String slot) throws Exception {
    return plan(lot, slot, "PLATE", DISH);
  }

  private String plan(long lot, String slot, String purpose, String becomes) throws Exception {
    int version = sheets.get(lot).find(slot).orElseThrow().part().version();
    return follow(
        "ines",
        "/plan/" + lot + "/parts/" + slot,
        "version",
        "" + version,
        "purpose",
        purpose,
        "becomes",
        becomes);
  }

  private String warm(long lot, String minutes, String why) throws Exception {
    return warm(lot, UUID.randomUUID().toString(), minutes, why);
  }

  private String warm(long lot, String own, String minutes, String why) throws Exception {
    return follow("tobiah", "/dock/" + lot + "/warm", "id", own, "minutes", minutes, "why", why);
  }

  private String limit(String which, String value, String source) throws Exception {
    return follow("adaeze", "/dock/rules/limit", "which", which, "value", value, "source", source);
  }

  private Optional<Purpose> purpose(long lot, String slot) {
    return sheets.get(lot).find(slot).orElseThrow().purpose();
  }

  /** So many hours at the supplier's, which ended two hours ago. */
  private String froze(long lot, String part, String core, String hours) throws Exception {
    Instant ended = Instant.now().minus(Duration.ofHours(2));
    return frozen(
        lot,
        "part",
        part,
        "froze",
        "SUPPLIER",
        "from",
        local(ended.minus(Duration.ofHours(Long.parseLong(hours)))),
        "to",
        local(ended),
        "before",
        core,
        "after",
        core,
        "place",
        "cold store of Grey Skerry Landings",
        "paper",
        "freezing log 12",
        "caught",
        LocalDate.now(ZoneOffset.UTC).minusDays(90).toString());
  }

  private String frozen(long lot, String... fields) throws Exception {
    List<String> all = new ArrayList<>(List.of("id", UUID.randomUUID().toString()));
    all.addAll(List.of(fields));
    return follow("ines", "/dock/" + lot + "/frozen", all.toArray(String[]::new));
  }

  private String local(Instant moment) {
    return LocalDateTime.ofInstant(moment, houses.house().formats().zone())
        .truncatedTo(ChronoUnit.MINUTES)
        .toString();
  }

  @Test
  public void aRawDishIsBlockedUntilARecordMeetsTheHousesRule() throws Exception {
    long lot = fresh("pollack");
    assertEquals(lots.get(lot).rawGate(), Optional.of(RawGate.FREEZING_NEEDED));
    String blocked = plan(lot, "fillet-left");
    assertTrue(blocked.contains("is served raw, cured or underdone"), blocked);
    assertTrue(blocked.contains("Raw only after freezing"), "it says what keeps it closed");
    assertEquals(purpose(lot, "fillet-left"), Optional.empty());

    String tooShort = froze(lot, "", "-20 °C", "20");
    assertTrue(tooShort.contains("The record is saved. Raw only after freezing"), tooShort);
    plan(lot, "fillet-left");
    assertEquals(purpose(lot, "fillet-left"), Optional.empty(), "20 hours are not 24");

    String done = froze(lot, "", "-22", "26");
    assertTrue(done.contains("a freezing record meets the house’s rule"), done);
    assertEquals(lots.get(lot).rawGate(), Optional.of(RawGate.FROZEN));
    plan(lot, "fillet-left");
    assertEquals(purpose(lot, "fillet-left"), Optional.of(Purpose.PLATE));
    assertTrue(page("ines", "/dock/" + lot + "/passport").contains("freezing record meets"));
  }

  @Test
  public void aRecordOfOneFilletOpensOnlyThatFillet() throws Exception {
    long lot = fresh("pollack");
    froze(lot, "fillet-left", "-20", "24");
    plan(lot, "fillet-right");
    assertEquals(purpose(lot, "fillet-right"), Optional.empty());
    plan(lot, "fillet-left");
    assertEquals(purpose(lot, "fillet-left"), Optional.of(Purpose.PLATE));
    assertEquals(lots.get(lot).rawGate(), Optional.of(RawGate.FREEZING_NEEDED));
  }

  @Test
  public void aFarmedTroutIsNotRawBecauseItIsFarmedAndAnExemptionNeedsItsPaper() throws Exception {
    long lot = fresh("trout");
    plan(lot, "fillet-left");
    assertEquals(purpose(lot, "fillet-left"), Optional.empty());
    String own = UUID.randomUUID().toString();
    String without =
        follow("ines", "/dock/" + lot + "/exempt", "id", own, "name", "farmed", "evidence", " ");
    assertTrue(without.contains("value=\"farmed\""), "what was typed stays");
    assertEquals(lots.get(lot).papers().exemptions(), List.of());
    for (int tap = 0; tap < 2; tap++) {
      follow(
          "ines",
          "/dock/" + lot + "/exempt",
          "id",
          own,
          "name",
          "closed pens, dry feed",
          "evidence",
          "letter of the farm, 3 November");
    }
    assertEquals(lots.get(lot).papers().exemptions().size(), 1);
    assertEquals(lots.get(lot).rawGate(), Optional.of(RawGate.EXEMPT));
    plan(lot, "fillet-left");
    assertEquals(purpose(lot, "fillet-left"), Optional.of(Purpose.PLATE));
  }

  @Test
  public void whatWasNotMeasuredOrInspectedIsNotRaw() throws Exception {
    long lot = new TestLots(applicationContext).receive("pollack", State.GUTTED, 1, "3.9");
    String page = plan(lot, "fillet-left");
    assertTrue(page.contains("was not inspected"), page);
    people.as(
        "ines",
        () -> {
          Map<Sign, Integer> best = new EnumMap<>(Sign.class);
          inspections.signs(lots.get(lot)).forEach(sign -> best.put(sign, 0));
          inspections.inspect(lot, UUID.randomUUID(), best, Fitness.RAW, "it looks perfect");
        });
    assertTrue(page("ines", "/dock/" + lot).contains("no days said"), "nothing about days");
    froze(lot, "", "-25", "48");
    assertEquals(lots.get(lot).rawGate(), Optional.of(RawGate.NOT_MEASURED));
    plan(lot, "fillet-left");
    assertEquals(purpose(lot, "fillet-left"), Optional.empty());
  }

  @Test
  public void whatCannotBeARecordIsRefusedAndStaysInItsFields() throws Exception {
    long lot = fresh("pollack");
    String warm = froze(lot, "", "-4", "24");
    assertTrue(warm.contains("does not freeze fish through"), warm);
    assertTrue(warm.contains("value=\"-4\""));
    for (String bad : new String[] {"cold", "", "<b>", "20", "-400"}) {
      froze(lot, "", bad, "24");
      assertEquals(lots.get(lot).papers().records(), List.of(), bad);
    }
    froze(lot, "", "-20", "0");
    assertEquals(lots.get(lot).papers().records(), List.of(), "no time");
    assertEquals(
        send(
                "maren",
                "/dock/" + lot + "/frozen",
                "id",
                UUID.randomUUID().toString(),
                "before",
                "-20",
                "after",
                "-20")
            .getStatus(),
        403);
  }

  @Test
  public void aRecordOfTheHouseCannotBeginBeforeReceiptAndNoneEndsTomorrow() throws Exception {
    long lot = fresh("pollack");
    Instant now = Instant.now();
    Instant yesterday = now.minus(Duration.ofHours(26));
    // 26 hours typed minutes after receipt
    String early = ours(lot, yesterday, now, "HOUSE", "", "freezer 2");
    assertTrue(early.contains("it cannot have frozen it before"), early);
    assertTrue(early.contains("value=\"freezer 2\""), "what was typed stays");
    assertTrue(
        ours(lot, yesterday, now, "SUPPLIER", "", "freezer 2").contains("needs their paper"));
    assertTrue(
        ours(lot, yesterday, now.plus(Duration.ofHours(3)), "SUPPLIER", "log 12", "store")
            .contains("It is not over yet"));
    assertTrue(
        ours(lot, now, yesterday, "SUPPLIER", "log 12", "store")
            .contains("It ends before it begins"));
    assertTrue(
        ours(lot, yesterday, now.minus(Duration.ofHours(2)), "SUPPLIER", "log 12", " ")
            .contains("Say where it lay"));
    assertTrue(
        ours(lot, yesterday, now.minus(Duration.ofHours(2)), "VESSEL", "log 12", "hold 1")
            .contains("say from the paper when it was caught"),
        "it was landed today");
    assertEquals(lots.get(lot).papers().records(), List.of());
    assertEquals(lots.get(lot).rawGate(), Optional.of(RawGate.FREEZING_NEEDED));
  }

  private String ours(long lot, Instant from, Instant to, String froze, String paper, String place)
      throws Exception {
    return frozen(
        lot,
        "froze",
        froze,
        "from",
        local(from),
        "to",
        local(to),
        "before",
        "-22",
        "after",
        "-22",
        "place",
        place,
        "paper",
        paper);
  }

  /** Guts are never eaten, so never raw, whatever was frozen. */
  @Test
  public void gutsAndGillsNeverGetRawFrom() throws Exception {
    long lot = fresh("pollack");
    froze(lot, "", "-22", "26");
    LotSheet sheet = sheets.get(lot);
    for (LotPart part : sheet.parts()) {
      boolean eaten = part.kind().mayBeFor(Purpose.PLATE);
      assertEquals(sheet.mayBeRaw(part), eaten, part.slot());
    }
    Document passport = Jsoup.parse(page("ines", "/dock/" + lot + "/passport"));
    Element gills = passport.select("tr:has(th:contains(Gills))").first();
    assertFalse(gills.text().contains("from"), gills.text());
    assertTrue(passport.select("tr:has(th:contains(Left fillet))").text().contains("from"));
  }

  /** Every way a raw dish could get fish the gate keeps: each is refused or undone, and is said. */
  @Test
  public void theGateHasOneDoor() throws Exception {
    long lot = fresh("pollack");
    // words somebody wrote become a raw dish
    plan(lot, "fillet-left", "PLATE", "Pollack in lime");
    assertTrue(dish("Pollack in lime", 0, true).contains("may not be served so"));
    assertEquals(dishes.find("Pollack in lime"), Optional.empty());
    // a raw dish takes the name of those words, at this venue and at the other
    dish("Crudo of the door", 0, true);
    dish("Crudo of the counter", 1, true);
    for (String name : List.of("Crudo of the door", "Crudo of the counter")) {
      assertTrue(rename(name, "Pollack in lime", true).contains("may not be served so"), name);
      assertTrue(dishes.find(name).isPresent(), name);
    }
    // two venues with a dish of one name: the fish goes to the one that is cooked, and only there
    dish("Pollack of two doors", 0, false);
    dish("Pollack of two doors", 1, true);
    plan(lot, "fillet-right", "PLATE", "Pollack of two doors");
    LotPart right = sheets.get(lot).find("fillet-right").orElseThrow();
    assertEquals(right.part().dish().map(Destination.ToDish::raw), Optional.of(false));
    // sent to the other venue the same words mean its raw dish
    String sent =
        follow(
            "ines",
            "/plan/" + lot + "/parts/fillet-right",
            "version",
            "" + right.version(),
            "purpose",
            "PLATE",
            "becomes",
            "Pollack of two doors",
            "venue",
            "" + houses.venues().get(1).id());
    assertTrue(sent.contains("is served raw, cured or underdone"), sent);
    // a cooked dish adopts what was written, and does not turn raw over it
    assertFalse(dish("Pollack in lime", 0, false).contains("may not be served so"));
    LotPart left = sheets.get(lot).find("fillet-left").orElseThrow();
    assertTrue(left.part().dish().isPresent(), "what was written goes there");
    assertTrue(rename("Pollack in lime", "Pollack in lime", true).contains("may not be served so"));
    // a name in use, and a dish that fish goes to, stay
    assertTrue(rename("Crudo of the door", "Pollack in lime", true).contains("already"));
    assertTrue(off("Pollack in lime").contains("while parts go there"));
    // renamed, it keeps its parts
    rename("Pollack in lime", "Pollack with lime", false);
    assertEquals(sheets.get(lot).find("fillet-left").orElseThrow().becomes(), "Pollack with lime");
  }

  /**
   * Two tablets with the same page: the second is told, keeps what it typed, and changes nothing.
   */
  @Test
  public void oneOfTwoTabletsRenames() throws Exception {
    dish("Gurnard of two tablets", 0, false);
    Dish dish = dishes.find("Gurnard of two tablets").orElseThrow();
    String address = "/buy/dishes/" + dish.id() + "/change";
    follow("ines", address, fields("Gurnard of the first", 0, false, dish.version()));
    String second =
        follow("adaeze", address, fields("Gurnard of the second", 0, false, dish.version()));
    assertTrue(second.contains("Someone else changed this dish"), second);
    assertTrue(second.contains("value=\"Gurnard of the second\""), "what was typed stays");
    assertTrue(dishes.find("Gurnard of the first").isPresent());
    assertEquals(dishes.find("Gurnard of the second"), Optional.empty());
  }

  @Test
  public void aWayOfTheHouseKnowsItsDishByNumber() throws Exception {
    dish("Gurnard of the way", 0, false);
    TestLots all = new TestLots(applicationContext);
    long lot = all.receive("gurnard", State.GUTTED, 1, "0.62", Temperature.ofCelsius(1));
    plan(lot, "fillet-left", "PLATE", "Gurnard of the way");
    follow("ines", "/plan/" + lot + "/ways", "name", "by number");
    rename("Gurnard of the way", "Gurnard by number", false);
    dish("Gurnard of the way", 0, false);
    long next = all.receive("gurnard", State.GUTTED, 1, "0.63", Temperature.ofCelsius(1));
    assertEquals(sheets.get(next).find("fillet-left").orElseThrow().becomes(), "Gurnard by number");
    String page = page("ines", "/plan/" + next);
    String way = page.substring(page.indexOf("/ways/") + 6, page.indexOf("/follow"));
    follow("ines", "/plan/" + next + "/ways/" + way + "/forget");
  }

  /** What was decided while the gate was open is asked again when it closes. */
  @Test
  public void whatWasDecidedIsAskedAgainAndSaidEverywhere() throws Exception {
    long lot = fresh("pollack");
    froze(lot, "", "-22", "26");
    plan(lot, "fillet-left");
    assertEquals(purpose(lot, "fillet-left"), Optional.of(Purpose.PLATE));
    assertEquals(sheets.get(lot).kept(), List.of());
    // a second look refuses it for raw
    people.as(
        "ines",
        () -> {
          Map<Sign, Integer> best = new EnumMap<>(Sign.class);
          inspections.signs(lots.get(lot)).forEach(sign -> best.put(sign, 0));
          inspections.inspect(lot, UUID.randomUUID(), best, Fitness.COOK, "");
        });
    assertEquals(sheets.get(lot).kept().size(), 1);
    for (String page : List.of("/plan/", "/uses/", "/slice/", "/bench/", "/cost/", "/dock/")) {
      assertTrue(page("ines", page + lot).contains("is served raw, cured or underdone"), page);
    }
    assertTrue(
        page("ines", "/dock/" + lot + "/passport").contains("is served raw, cured or underdone"));
    assertTrue(page("ines", "/").contains("to a dish that is raw"), "Today");
  }

  private String dish(String name, int venue, boolean raw) throws Exception {
    return follow("ines", "/buy/new", fields(name, venue, raw, 0));
  }

  private String rename(String name, String to, boolean raw) throws Exception {
    Dish dish = dishes.find(name).orElseThrow();
    int venue = dish.venue().equals(houses.venues().get(0)) ? 0 : 1;
    return follow(
        "ines", "/buy/dishes/" + dish.id() + "/change", fields(to, venue, raw, dish.version()));
  }

  private String off(String name) throws Exception {
    Dish dish = dishes.find(name).orElseThrow();
    return follow("ines", "/buy/dishes/" + dish.id() + "/off", "version", "" + dish.version());
  }

  private String[] fields(String name, int venue, boolean raw, int version) {
    List<String> fields =
        new ArrayList<>(
            List.of(
                "version", "" + version,
                "name", name,
                "venue", "" + houses.venues().get(venue).id(),
                "portion", "160 g",
                "tolerance", "5",
                "form", "SLICES",
                "pieces", "1",
                "specification", "SKIN_ON",
                "fish", "pollack"));
    if (raw) {
      fields.addAll(List.of("raw", "yes"));
    }
    return fields.toArray(String[]::new);
  }

  @Test
  public void theOwnerKeepsAndDropsPairsWithTheirSource() throws Exception {
    String until = LocalDate.now(ZoneOffset.UTC).plusYears(1).toString();
    String without =
        follow(
            "adaeze",
            "/dock/rules/freezing",
            "atMost",
            "-40",
            "hours",
            "10",
            "source",
            "",
            "expires",
            until);
    assertFalse(without.contains("Rule saved"));
    assertTrue(without.contains("value=\"-40\""));
    String saved =
        follow(
            "adaeze",
            "/dock/rules/freezing",
            "atMost",
            "-40",
            "hours",
            "10",
            "thickest",
            "5 cm",
            "source",
            "notice board of the harbour",
            "expires",
            until);
    assertTrue(saved.contains("Rule saved"), saved);
    assertTrue(saved.contains("notice board of the harbour"));
    assertEquals(
        send(
                "maren",
                "/dock/rules/freezing",
                "atMost",
                "-40",
                "hours",
                "1",
                "source",
                "mine",
                "expires",
                until)
            .getStatus(),
        403);
  }

  @Test
  public void aWarmDeliveryIsHeldUntilSomebodyDecides() throws Exception {
    long lot =
        new TestLots(applicationContext)
            .receive("mackerel", State.GUTTED, 3, "1.2", Temperature.ofCelsius(6));
    assertTrue(page("tobiah", "/dock/" + lot).contains("Held: it came at 6.0 °C, above 4.0 °C."));
    assertTrue(plan(lot, "fillet-left", "PLATE", "").contains("Lot " + lot + " is held"));
    assertEquals(purpose(lot, "fillet-left"), Optional.empty());
    plan(lot, "fillet-left", "BIN", "");
    assertEquals(purpose(lot, "fillet-left"), Optional.of(Purpose.BIN));
    people.as(
        "ines",
        () -> {
          Map<Sign, Integer> best = new EnumMap<>(Sign.class);
          inspections.signs(lots.get(lot)).forEach(sign -> best.put(sign, 0));
          assertEquals(inspections.judge(lots.get(lot), best).proposal(), Fitness.REFUSE);
          inspections.inspect(
              lot, UUID.randomUUID(), best, Fitness.COOK, "the logger shows 20 minutes");
        });
    assertEquals(lots.get(lot).hold(), Optional.empty());
    plan(lot, "fillet-right", "PLATE", "");
    assertEquals(purpose(lot, "fillet-right"), Optional.of(Purpose.PLATE));
  }

  @Test
  public void minutesAddUpAndTheLimitIsTheHouses() throws Exception {
    long lot = fresh("mackerel", "0.6");
    warm(lot, "80", "left at the door");
    assertEquals(lots.get(lot).hold(), Optional.empty());
    String own = UUID.randomUUID().toString();
    warm(lot, own, "41", "fan broke");
    warm(lot, own, "41", "fan broke");
    assertEquals(lots.get(lot).cold().minutes(), 121, "a double tap is one time");
    String page = page("tobiah", "/dock/" + lot);
    assertTrue(page.contains("121 of 120 minutes"), page);
    assertTrue(page.contains("Held: it stood warm for 121 minutes"), page);
    assertEquals(lots.get(lot).rawGate(), Optional.of(RawGate.CLOSED));
    warm(lot, "a while", "");
    assertEquals(lots.get(lot).cold().minutes(), 121);
  }

  @Test
  public void aLimitNeedsItsSourceAndIsEditedByTheOwnerAlone() throws Exception {
    assertEquals(
        send("maren", "/dock/rules/limit", "which", "SCRAPINGS", "value", "12", "source", "me")
            .getStatus(),
        403);
    String refused = limit("SCRAPINGS", "12", "");
    assertTrue(refused.contains("source"), refused);
    assertTrue(limit("SCRAPINGS", "500", "our adviser").contains("from 1 to 72"));
    assertTrue(limit("SCRAPINGS", "12", "Adaeze Pell").contains("Set: "));
    String page = page("ines", "/dock/rules");
    assertTrue(page.contains("<td>Adaeze Pell</td>"), page);
    assertTrue(page.contains("12 hours"), page);
    assertTrue(page.contains("Starting estimate"), "the others are not the house's yet");
  }

  @Test
  public void aProbeCurveDecidesAndSaysTheEarliestHour() throws Exception {
    long lot = fresh("pollack");
    String short12 = "2026-11-25 18:00 -21\n21:00 -22\n2026-11-26 00:00 -22\n06:00 -22";
    curve(lot, short12);
    assertEquals(lots.get(lot).rawGate(), Optional.of(RawGate.FREEZING_NEEDED));
    String wrong = curve(lot, "2026-11-25 18:00 -21\nover night");
    assertTrue(wrong.contains("Line 2 of the curve"), wrong);
    assertTrue(wrong.contains("over night</textarea>"), "what was typed stays");
    assertEquals(lots.get(lot).papers().records().size(), 1);
    curve(lot, short12 + "\n12:00 -22\n18:00 -21");
    assertEquals(lots.get(lot).rawGate(), Optional.of(RawGate.FROZEN));
    String page = page("ines", "/dock/" + lot);
    assertTrue(page.contains("Raw from Thu 26 Nov, 18:00"), page);
    assertTrue(page.contains("6 readings over 24 hours, coldest −22.0 °C"), page);
    assertTrue(page("ines", "/dock/" + lot + "/passport").contains("from Thu 26 Nov, 18:00"));
  }

  private String curve(long lot, String curve) throws Exception {
    return follow(
        "ines",
        "/dock/" + lot + "/frozen",
        "id",
        UUID.randomUUID().toString(),
        "froze",
        "SUPPLIER",
        "before",
        "-21",
        "after",
        "-21",
        "place",
        "cold store",
        "paper",
        "log of the probe",
        "caught",
        "2026-11-01",
        "curve",
        curve);
  }

  @Test
  public void aRecordOfAPartTheLotDoesNotHaveIsRefused() throws Exception {
    long lot = fresh("pollack");
    froze(lot, "fillet-of-another", "-22", "26");
    assertEquals(lots.get(lot).papers().records(), List.of());
  }

  @Test
  public void aDishDoesNotTurnRawWhilePartsGoThereThatAreNot() throws Exception {
    String name = "Pollack, browned butter";
    DishForm form =
        new DishForm(
            name,
            "" + houses.venues().get(0).id(),
            "160 g",
            "5",
            "SLICES",
            "1",
            "",
            "SKIN_ON",
            "",
            "",
            "",
            "",
            List.of("MILK", "MUSTARD", "<script>"),
            "pollack",
            0);
    people.as("ines", () -> dishes.add(form));
    long dish = dishes.find(name).orElseThrow().id();
    long lot = fresh("pollack");
    plan(lot, "fillet-left", "PLATE", name);
    String passport = page("ines", "/dock/" + lot + "/passport");
    assertTrue(passport.contains("contains Pollack, Milk and Mustard"), passport);
    String refused = turnRaw(dish, name);
    assertTrue(refused.contains("while parts go there that may not be served so"), refused);
    assertFalse(dishes.get(dish).raw());
    froze(lot, "", "-22", "26");
    turnRaw(dish, name);
    assertTrue(dishes.get(dish).raw());
  }

  private String turnRaw(long dish, String name) throws Exception {
    return follow(
        "ines",
        "/buy/dishes/" + dish + "/change",
        "version",
        "" + dishes.get(dish).version(),
        "name",
        name,
        "venue",
        "" + houses.venues().get(0).id(),
        "portion",
        "160 g",
        "tolerance",
        "5",
        "form",
        "SLICES",
        "pieces",
        "1",
        "specification",
        "SKIN_ON",
        "raw",
        "yes",
        "fish",
        "pollack");
  }

  @Test
  public void aBagLimitCountsAndWhatIsSaidNeedsItsPaper() throws Exception {
    String until = LocalDate.now(ZoneOffset.UTC).plusYears(1).toString();
    String missing =
        follow(
            "adaeze",
            "/dock/rules/catch",
            "fish",
            "John Dory",
            "kind",
            "BAG_LIMIT",
            "source",
            "Adaeze Pell",
            "expires",
            until);
    assertTrue(missing.contains("Say how many fish a day"), missing);
    assertTrue(missing.contains("value=\"John Dory\""), "what was typed stays");
    follow(
        "adaeze",
        "/dock/rules/catch",
        "fish",
        "John Dory",
        "kind",
        "BAG_LIMIT",
        "most",
        "2",
        "source",
        "Adaeze Pell",
        "expires",
        until);
    long lot = new TestLots(applicationContext).receive("john-dory", State.GUTTED, 2, "1.8");
    String within = page("tobiah", "/dock/" + lot);
    assertTrue(within.contains("Bag limit: 2 of 2 fish of that day."), within);
    assertTrue(within.contains("open: no paper shows it"), within);
    new TestLots(applicationContext).receive("john-dory", State.GUTTED, 1, "0.9");
    String over = page("tobiah", "/dock/" + lot);
    assertTrue(over.contains("3 fish of that day are more than the bag limit of 2"), over);
    upload(
        "tobiah",
        "/dock/" + lot + "/evidence",
        "papers.pdf",
        "%PDF-1.4 catch papers %%EOF".getBytes(StandardCharsets.US_ASCII),
        "id",
        UUID.randomUUID().toString(),
        "kind",
        "INVOICE",
        "shows",
        "FARMED");
    assertTrue(page("tobiah", "/dock/" + lot).contains("contradicted: do not say it"));
    assertTrue(page("ines", "/dock/" + lot + "/passport").contains("contradicted: do not say it"));
  }

  @Test
  public void filletThatCameWarmIsNotForThePlateByItself() {
    TestLots lotsOfTest = new TestLots(applicationContext);
    long cold = lotsOfTest.receive("mackerel", State.FILLETS, 1, "2.0", Temperature.ofCelsius(2));
    long warm = lotsOfTest.receive("mackerel", State.FILLETS, 1, "2.0", Temperature.ofCelsius(9));
    assertEquals(purpose(cold, "fillet"), Optional.of(Purpose.PLATE));
    assertEquals(purpose(warm, "fillet"), Optional.empty());
  }
}
