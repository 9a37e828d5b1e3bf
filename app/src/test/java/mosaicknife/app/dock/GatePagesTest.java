package mosaicknife.app.dock;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.TestLots;
import mosaicknife.app.WithPages;
import mosaicknife.app.buy.DishEditor;
import mosaicknife.app.buy.DishForm;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.lot.LotInspector;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.safety.Fitness;
import mosaicknife.core.safety.RawGate;
import mosaicknife.core.safety.Sign;
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
                    "yes",
                    "pollack\ntrout",
                    0)));
  }

  /** Measured at 1 °C and inspected as good enough for raw. */
  private long fresh(String species) {
    long lot =
        new TestLots(applicationContext)
            .receive(species, State.GUTTED, 1, "3.9", Temperature.ofCelsius(1));
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
    int version = sheets.get(lot).find(slot).orElseThrow().part().version();
    return follow(
        "ines",
        "/plan/" + lot + "/parts/" + slot,
        "version",
        "" + version,
        "purpose",
        "PLATE",
        "becomes",
        DISH);
  }

  private Optional<Purpose> purpose(long lot, String slot) {
    return sheets.get(lot).find(slot).orElseThrow().purpose();
  }

  private String froze(long lot, String part, String core, String hours) throws Exception {
    return follow(
        "ines",
        "/dock/" + lot + "/frozen",
        "id",
        UUID.randomUUID().toString(),
        "part",
        part,
        "core",
        core,
        "hours",
        hours);
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
    for (String[] bad :
        new String[][] {{"cold", "24"}, {"-20", "0"}, {"-20", "-3"}, {"-20", "<b>"}, {"", ""}}) {
      froze(lot, "", bad[0], bad[1]);
      assertEquals(lots.get(lot).papers().records(), List.of(), bad[0] + " " + bad[1]);
    }
    assertEquals(
        send("maren", "/dock/" + lot + "/frozen", "id", "", "core", "-20", "hours", "24")
            .getStatus(),
        403);
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
}
