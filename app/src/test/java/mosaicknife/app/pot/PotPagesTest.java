package mosaicknife.app.pot;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.time.Instant;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mosaicknife.app.TestLots;
import mosaicknife.app.WithPages;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.larder.LarderBook;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.parts.PurposeAssigner;
import mosaicknife.app.parts.Use;
import mosaicknife.app.weighing.Entry;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.app.weighing.Take;
import mosaicknife.app.weighing.WeighingRecorder;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.cost.CostingMethod;
import mosaicknife.core.cost.Outlay;
import mosaicknife.core.heat.Surroundings;
import mosaicknife.core.larder.Item;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.quantity.UnitPrice;
import mosaicknife.core.safety.Allergen;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** The Pot: a batch from its bones to the larder, with what goes wrong on the way. */
public class PotPagesTest extends WithPages {

  @Autowired private PotBook book;
  @Autowired private PotProbe probe;
  @Autowired private Kettles kettles;
  @Autowired private Scraps scraps;
  @Autowired private LarderBook larder;
  @Autowired private LotSheets sheets;
  @Autowired private WeighingRecorder bench;
  @Autowired private HouseSettings houses;
  @Autowired private LotRegister register;
  @Autowired private PurposeAssigner purposes;
  @Autowired private JdbcClient jdbc;

  private long lot;
  private long kettle;

  /** Of these tests alone: the bones that lie there go in first. */
  private long venue;

  /** A hake with a frame of 1.6 kg, and a kettle of a name of its own beside it. */
  @BeforeMethod
  void bonesAndAKettle() {
    lot = new TestLots(applicationContext).receive("hake", State.GUTTED, 1, "6.000");
    people.as(
        "tobiah",
        () ->
            bench.take(
                new Take(
                    UUID.randomUUID(),
                    lot,
                    "frame",
                    1,
                    Entry.of(MassText.parse("1.600 kg", MassUnit.KILOGRAM)),
                    Optional.empty(),
                    "")));
    if (venue == 0) {
      people.as("adaeze", () -> venue = houses.addVenue("Quay kitchen").id());
    }
    jdbc.sql("update lot set venue_id = ? where id = ?").params(venue, lot).update();
    String name = "Kettle " + UUID.randomUUID().toString().substring(0, 6);
    people.as("ines", () -> kettles.keep(venue, name, new BigDecimal("20"), 36, 5000));
    kettle =
        book.kettles().stream()
            .filter(one -> one.kettle().name().equals(name))
            .findFirst()
            .orElseThrow()
            .id();
  }

  private String put(String... more) throws Exception {
    String[] form = {
      "id", UUID.randomUUID().toString(),
      "method", "long-rested",
      "litres", "2",
      "kettle", "" + kettle,
      "answer-WINE", "yes",
      "answer-LID", "yes",
      "wanted", ""
    };
    for (int i = 0; i < more.length; i += 2) {
      for (int j = 0; j < form.length; j += 2) {
        form[j + 1] = form[j].equals(more[i]) ? more[i + 1] : form[j + 1];
      }
    }
    return follow("ines", "/pot", form);
  }

  private Brew newest() {
    return book.running().get(book.running().size() - 1);
  }

  private Brew putOn() throws Exception {
    String said = put();
    assertTrue(said.contains("Its bones are promised"), said);
    return newest();
  }

  private String step(Brew brew, String what, String step) throws Exception {
    return follow("tobiah", "/pot/" + brew.id() + "/" + what, "step", step);
  }

  private TestPots pots;

  @BeforeMethod
  void whatIsOnTheHob() {
    pots = new TestPots(applicationContext);
  }

  /** Nobody's clock or plan still counts with a pot or a bone of this test. */
  @AfterMethod
  void offTheHob() {
    jdbc.sql("update lot set landed_on = landed_on - 30 where id = ?").params(lot).update();
    pots.drop();
  }

  @Test
  public void bonesBecomeStockInTheLarderStepByStep() throws Exception {
    Brew brew = putOn();
    assertEquals(brew.making().mass(), Mass.ofGrams(1040), "520 g for each of two litres");
    assertEquals(brew.making().units(), 2);
    String uses = page("ines", "/uses");
    assertTrue(uses.contains("href=\"/pot/" + brew.id() + "\""), "packed there, not on Uses");
    String made = "/uses/makings/" + brew.making().id() + "/made";
    assertFalse(uses.contains(made));
    String refused =
        follow(
            "ines",
            made,
            "venue",
            "1",
            "units",
            "2",
            "place",
            "walk-in",
            "by",
            "" + people.idOf("ines"));
    assertTrue(refused.contains("packed from its pot"), refused);
    String page = page("maren", "/pot/" + brew.id());
    assertTrue(page.contains("Split heads and frames"), page);
    assertFalse(page.contains("Take the eyes out"), "nobody asked for that");
    assertTrue(step(brew, "begin", "boil").contains("Another step comes first"));
    assertTrue(step(brew, "begin", "split").contains("Begun."));
    assertTrue(step(brew, "begin", "split").contains("began that step already"));
    for (String step : new String[] {"split", "soak", "boil", "simmer", "stand", "strain"}) {
      assertTrue(step(brew, "done", step).contains("The next step is on"), step);
      assertTrue(step(brew, "done", step).contains("ended that step already"), "two taps are one");
    }
    assertTrue(
        pack(brew, "1.9", "2").contains("Cool it, with a probe in it comes first"),
        "warm stock is not packed");
    assertTrue(
        step(brew, "done", "cool").contains("No reading says that it is at 5.0 °C"),
        "nothing replaces a reading");
    assertTrue(pack(brew, "1.9", "2").contains("comes first"), "nor is it packed without");
    follow("tobiah", "/pot/" + brew.id() + "/stand", "where", "ICE_BATH");
    read(brew, 9.5, 5);
    assertTrue(step(brew, "done", "cool").contains("No reading says"), "9.5 °C are not 5");
    read(brew, 4.5, 0);
    assertTrue(step(brew, "done", "cool").contains("Done."), "it is cold");
    assertTrue(pack(brew, "", "2").contains("alert-danger"), "how many litres?");
    pack(brew, "1.9", "2");
    Item stock =
        larder.onShelves().stream()
            .filter(one -> one.trace().lots().contains(lot))
            .findFirst()
            .orElseThrow();
    assertEquals(stock.units(), 2);
    assertEquals(stock.trace().mass(), Mass.ofGrams(1040));
    assertEquals(
        stock.shelved().allergens(),
        Set.of(Allergen.FISH, Allergen.SULPHITES, Allergen.CELERY),
        "wine and celery went in, lemon did not");
    assertEquals(
        sheets.get(lot).find("frame").orElseThrow().part().shelf().in(), Mass.ofGrams(1040));
    assertEquals(book.find(brew.id()), Optional.empty());
    // 1.9 l of 1.040 kg
    assertTrue(book.learnt().get("long-rested").batches() >= 1);
    assertTrue(page("ines", "/pot").contains("l a kg of bones"), "it is learnt");
    pack(brew, "1.9", "2");
    assertEquals(
        larder.onShelves().stream().filter(one -> one.trace().lots().contains(lot)).count(),
        1,
        "two taps are one");
    // a tablet that still looks at it is told, and asks no more
    String still = page("maren", "/pot/" + brew.id() + "/now");
    assertTrue(still.contains("packed or dropped already"), still);
    assertFalse(still.contains("hx-trigger"), still);
    assertFalse(page("maren", "/pot/" + brew.id() + "/cooling").contains("hx-trigger"));
  }

  @Test
  public void whatAPotCostsIsWhatItsShelfCarriesAndWhatIsTaken() throws Exception {
    TestLots lots = new TestLots(applicationContext);
    lots.weigh(lot, "fillet-left", "1.500 kg");
    lots.weigh(lot, "fillet-right", "1.500 kg");
    people.as(
        "ines",
        () -> {
          for (String fillet : List.of("fillet-left", "fillet-right")) {
            purposes.assign(
                lot,
                fillet,
                sheets.get(lot).find(fillet).orElseThrow().version(),
                Purpose.PLATE,
                new Use(
                    "",
                    Optional.of(UnitPrice.ofPerKilogram("30", Currency.getInstance("EUR"))),
                    Optional.empty()));
          }
          register.costBy(
              lot,
              sheets.get(lot).lot().version(),
              CostingMethod.RELATIVE_VALUE,
              Optional.empty(),
              Optional.empty());
        });
    String wish = page("ines", "/pot/plan?method=long-rested&litres=2&kettle=" + kettle);
    assertTrue(wish.contains("fish and bones €2.03,"), "as if it were decided: " + wish);
    Brew brew = putOn();
    // a litre of 520 g of bones is worth 3.20 less .425 of wine, celery and lemon: 5.336 a
    // kilogram,
    // 8.537 of the frame beside 90.00 of fillets; 1.040 of its 1.600 kg carry 4.055 of the 72.00
    String pot = page("ines", "/pot/" + brew.id());
    assertFalse(pot.contains("carry nothing yet"), pot);
    assertTrue(pot.contains("fish and bones €2.03,"), "4.055 in two litres: " + pot);
    assertFalse(page("tobiah", "/pot/" + brew.id()).contains("€"), "no money for the butcher");
    Matcher all = Pattern.compile("≈ €([0-9.]+) in all").matcher(pot);
    assertTrue(all.find(), pot);
    step(brew, "begin", "split");
    for (String step : new String[] {"split", "soak", "boil", "simmer", "stand", "strain"}) {
      step(brew, "done", step);
    }
    follow("tobiah", "/pot/" + brew.id() + "/stand", "where", "ICE_BATH");
    read(brew, 4.5, 0);
    step(brew, "done", "cool");
    pack(brew, "1.9", "2");
    Item stock =
        larder.onShelves().stream()
            .filter(one -> one.trace().lots().contains(lot))
            .findFirst()
            .orElseThrow();
    String code = stock.shelved().code();
    String shelf = page("ines", "/larder/" + code);
    assertTrue(shelf.contains("fish and bones €4.05,"), shelf);
    assertTrue(shelf.contains("€" + all.group(1) + " · "), "the same sum as the pot: " + shelf);
    Outlay laid = stock.beside();
    assertTrue(laid.work().isPositive() && laid.fuel().isPositive(), "hands and heat go along");
    follow(
        "tobiah",
        "/larder/" + code + "/take",
        "id",
        UUID.randomUUID().toString(),
        "amount",
        "1",
        "out",
        "EATEN");
    BigDecimal half =
        new BigDecimal("4.05478")
            .add(laid.total().amount())
            .divide(BigDecimal.valueOf(2), 2, RoundingMode.HALF_UP);
    String left = page("ines", "/larder/" + code);
    assertTrue(left.contains("it carried €" + half), half + ": " + left);
    assertTrue(left.contains("€" + half + " · "), "and as much is left: " + left);
  }

  private String pack(Brew brew, String litres, String units) throws Exception {
    return follow(
        "tobiah",
        "/pot/" + brew.id() + "/pack",
        "litres",
        litres,
        "units",
        units,
        "weight",
        "",
        "until",
        "",
        "place",
        "walk-in, top",
        "by",
        "" + people.idOf("tobiah"),
        "jelly",
        "SET",
        "look",
        "CLEAR",
        "taste",
        "clean");
  }

  private void read(Brew brew, double degrees, int minutesAgo) {
    people.as(
        "tobiah",
        () ->
            probe.read(
                UUID.randomUUID(),
                brew.id(),
                new Temperature((int) Math.round(degrees * 10)),
                Instant.now().minus(Duration.ofMinutes(minutesAgo)),
                "stick thermometer"));
  }

  private Brew cooling() throws Exception {
    Brew brew = putOn();
    step(brew, "begin", "split");
    for (String step : new String[] {"split", "soak", "boil", "simmer", "stand", "strain"}) {
      step(brew, "done", step);
    }
    return brew;
  }

  @Test
  public void aPotThatCoolsTooSlowlyIsSeenWhileThereIsTime() throws Exception {
    Brew brew = cooling();
    String address = "/pot/" + brew.id();
    assertTrue(page("tobiah", address).contains("Too early to say"));
    // in a room of 22 °C, τ = 200 min
    for (int ago = 30; ago >= 0; ago -= 5) {
      read(brew, 22 + 37 * Math.exp(-(30 - ago) / 200.0), ago);
    }
    String late = page("tobiah", address);
    assertTrue(late.contains("At this rate it is late"), late);
    assertTrue(late.contains("ice bath now"), "and what helps");
    assertTrue(page("tobiah", "/").contains("At this rate it is late"), "on Today too");
    assertTrue(page("tobiah", "/pot").contains("At this rate it is late"), "also from afar");
    assertTrue(
        follow("tobiah", address + "/stand", "where", "ICE_BATH").contains("in an ice bath"));
    assertTrue(follow("tobiah", address + "/stand", "where", "MOON").contains("alert-danger"));
    assertEquals(book.find(brew.id()).orElseThrow().where(), Surroundings.ICE_BATH);
    assertEquals(
        getPdf("tobiah", address + "/cooling.pdf").substring(0, 4), "%PDF", "a log to file");
  }

  private String getPdf(String who, String address) throws Exception {
    return mvc.perform(
            org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get(address)
                .cookie(session(who)))
        .andReturn()
        .getResponse()
        .getContentAsString();
  }

  @Test
  public void aReadingThatCannotBeIsAskedAboutAndCanBeStruck() throws Exception {
    Brew brew = cooling();
    read(brew, 70, 20);
    read(brew, 68, 15);
    read(brew, 85, 10);
    String rises = page("tobiah", "/pot/" + brew.id());
    assertTrue(rises.contains("A reading rises"), rises);
    long wrong =
        book.find(brew.id()).orElseThrow().probed().stream()
            .filter(one -> one.temperature().tenths() == 850)
            .findFirst()
            .orElseThrow()
            .id();
    String strike = "/pot/" + brew.id() + "/strike";
    assertTrue(follow("tobiah", strike, "reading", "" + wrong).contains("Struck."));
    assertTrue(follow("tobiah", strike, "reading", "" + wrong).contains("struck already"));
    assertFalse(page("tobiah", "/pot/" + brew.id()).contains("A reading rises"));
  }

  @Test
  public void whatIsTypedWrongStoresNothing() throws Exception {
    Brew brew = cooling();
    String read = "/pot/" + brew.id() + "/read";
    assertTrue(follow("tobiah", read, "temperature", "warm").contains("alert-danger"));
    assertTrue(follow("tobiah", read, "temperature", "999").contains("alert-danger"));
    String kept = follow("tobiah", read, "temperature", "41 C", "at", "later");
    assertTrue(kept.contains("isn’t a time of the day") && kept.contains("41 C"), kept);
    assertEquals(book.find(brew.id()).orElseThrow().probed().size(), 0);
    String id = UUID.randomUUID().toString();
    String nameless = follow("tobiah", read, "sent", id, "temperature", "41");
    assertTrue(nameless.contains("thermometer"), "which one?");
    assertEquals(book.find(brew.id()).orElseThrow().probed().size(), 0);
    follow("tobiah", read, "sent", id, "temperature", "41", "instrument", "stick 2");
    follow("tobiah", read, "sent", id, "temperature", "41", "instrument", "stick 2");
    assertEquals(book.find(brew.id()).orElseThrow().probed().size(), 1, "two taps are one");
  }

  @Test
  public void kettlesServicesAndLitresThatCannotBeAreRefused() throws Exception {
    for (String litres : new String[] {"0", "10000", "much"}) {
      String said =
          follow(
              "ines",
              "/pot/kettles",
              "venue",
              "" + houses.venues().get(0).id(),
              "name",
              "New one",
              "litres",
              litres,
              "centimetres",
              "30",
              "watts",
              "5000");
      assertTrue(said.contains("alert-danger") && said.contains("New one"), litres);
    }
    assertTrue(put("litres", "0").contains("alert-danger"));
    assertTrue(put("litres", "9000").contains("alert-danger"));
    assertTrue(put("wanted", "2020-01-01T12:00").contains("over already"));
    assertTrue(put("wanted", "soon").contains("alert-danger"));
    assertTrue(put("method", "no-such").contains("no-such"));
    assertEquals(
        send("maren", "/pot", "method", "long-rested").getStatus(), 403, "learners start none");
  }

  @Test
  public void theSameTapTwiceIsOneBatch() throws Exception {
    String id = UUID.randomUUID().toString();
    put("id", id);
    int running = book.running().size();
    put("id", id);
    assertEquals(book.running().size(), running);
  }

  @Test
  public void aWishIsWorkedOutWhileItIsTyped() throws Exception {
    String worked =
        page(
            "ines",
            "/pot/plan?method=long-rested&litres=2&answer-LID=yes&kettle="
                + kettle
                + "&wanted=2099-01-01T18:00");
    assertTrue(worked.contains("≈ 2.0 l"), worked);
    assertTrue(worked.contains("1.040 kg of bones"), worked);
    assertTrue(worked.contains("Begin by"), worked);
    assertTrue(
        page("ines", "/pot/plan?method=long-rested&litres=x&kettle=" + kettle)
            .contains("text-danger"));
  }

  @Test
  public void theProbeIsReadForTheBatchItIsIn() throws Exception {
    Brew brew = cooling();
    assertFalse(book.find(brew.id()).orElseThrow().probe());
    follow("tobiah", "/pot/" + brew.id() + "/stand", "where", "FRIDGE", "probe", "yes");
    assertTrue(probe.log());
    Brew.Probed read = book.find(brew.id()).orElseThrow().probed().get(0);
    assertTrue(read.byProbe());
    assertTrue(read.temperature().tenths() > 0 && read.temperature().tenths() < 1000);
    assertTrue(
        follow("tobiah", "/pot/" + brew.id() + "/probe", "sent", UUID.randomUUID().toString())
            .contains("written down"));
    Brew other = cooling();
    follow("tobiah", "/pot/" + other.id() + "/stand", "where", "ROOM", "probe", "yes");
    assertFalse(book.find(brew.id()).orElseThrow().probe(), "one probe is in one pot");
  }

  @Test
  public void whatOtherStationsGiveGoesInOnceWithItsAllergens() throws Exception {
    String name = "Celeriac ends " + UUID.randomUUID().toString().substring(0, 6);
    String[] form = {
      "id",
      UUID.randomUUID().toString(),
      "venue",
      "" + houses.venues().get(0).id(),
      "name",
      name,
      "weight",
      "150 g",
      "allergens",
      ""
    };
    assertTrue(follow("maren", "/pot/scraps", form).contains("or none"), "it must be said");
    form[9] = "celery";
    assertTrue(follow("maren", "/pot/scraps", form).contains("offered to the pot"));
    follow("maren", "/pot/scraps", form);
    assertEquals(page("ines", "/pot").split(name, -1).length - 1, 3, "two taps are one");
    long id = scraps.offered().stream().filter(s -> s.name().equals(name)).findFirst().get().id();
    String plan =
        page(
            "ines",
            "/pot/plan?method=quick&litres=1&kettle=" + kettle + "&wanted=&scrap-" + id + "=yes");
    assertTrue(plan.contains(name + " 150 g"), plan);
    String[] wish = {
      "id",
      UUID.randomUUID().toString(),
      "method",
      "quick",
      "litres",
      "1",
      "kettle",
      "" + kettle,
      "wanted",
      "",
      "scrap-" + id,
      "yes"
    };
    assertTrue(follow("ines", "/pot", wish).contains("Its bones are promised"));
    assertTrue(
        newest().plan().ingredients().stream()
            .anyMatch(
                one ->
                    one.line().name().equals(name)
                        && one.line().allergens().equals(Set.of(Allergen.CELERY))));
    wish[1] = UUID.randomUUID().toString();
    assertTrue(follow("ines", "/pot", wish).contains("not offered any more"), "one pot has it");
    form[1] = UUID.randomUUID().toString();
    form[7] = "90 kg";
    follow("maren", "/pot/scraps", form);
    long much = scraps.offered().stream().filter(s -> s.name().equals(name)).findFirst().get().id();
    assertTrue(
        page("ines", "/pot/plan?method=quick&litres=1&kettle=" + kettle + "&scrap-" + much + "=yes")
            .contains("three times the bones"));
    assertTrue(follow("maren", "/pot/scraps/" + much + "/drop").contains("Thrown"));
    assertTrue(follow("maren", "/pot/scraps/" + much + "/drop").contains("not offered any more"));
  }

  @Test
  public void soManyPlatesAreSoManyLitres() throws Exception {
    String plan =
        page(
            "ines",
            "/pot/plan?method=quick&litres=8&plates=30&each=60&kettle=" + kettle + "&wanted=");
    assertTrue(plan.contains("1.8 l"), plan);
    assertTrue(
        page("ines", "/pot/plan?method=quick&plates=0&each=60&kettle=" + kettle)
            .contains("text-danger"));
  }
}
