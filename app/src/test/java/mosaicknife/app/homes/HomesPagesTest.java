package mosaicknife.app.homes;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mosaicknife.app.TestLots;
import mosaicknife.app.WithPages;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.larder.LarderBook;
import mosaicknife.app.parts.PurposeAssigner;
import mosaicknife.app.parts.Use;
import mosaicknife.app.weighing.Entry;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.app.weighing.Take;
import mosaicknife.app.weighing.WeighingRecorder;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.larder.Item;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import mosaicknife.core.safety.Allergen;
import mosaicknife.core.use.FishUse;
import mosaicknife.core.use.UseCatalogue;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.testng.annotations.Test;

/** Uses of the whole house: the plan, what is decided, what is made, and the book of uses. */
public class HomesPagesTest extends WithPages {

  @Autowired private MakingBook planner;
  @Autowired private UseBook book;
  @Autowired private LarderBook larder;
  @Autowired private LotSheets sheets;
  @Autowired private WeighingRecorder bench;
  @Autowired private HouseSettings houses;
  @Autowired private PurposeAssigner purposes;
  @Autowired private JdbcClient jdbc;

  private long hake(String... parts) {
    long lot = new TestLots(applicationContext).receive("hake", State.GUTTED, 1, "6.000");
    people.as(
        "tobiah",
        () -> {
          for (int i = 0; i < parts.length; i += 2) {
            bench.take(
                new Take(
                    UUID.randomUUID(),
                    lot,
                    parts[i],
                    1,
                    Entry.of(MassText.parse(parts[i + 1] + " kg", MassUnit.KILOGRAM)),
                    Optional.empty(),
                    ""));
          }
        });
    return lot;
  }

  private long lantern() {
    return houses.venues().get(0).id();
  }

  private String decide(long lot, String slot, String use, String amount) throws Exception {
    return follow(
        "ines",
        "/uses/decide",
        "id",
        UUID.randomUUID().toString(),
        "part",
        lot + ":" + slot,
        "use",
        use,
        "venue",
        "" + lantern(),
        "amount",
        amount);
  }

  private List<ToMake> ofLot(long lot) {
    return planner.toMake().stream()
        .filter(one -> one.from().stream().anyMatch(input -> input.of().lot() == lot))
        .toList();
  }

  private String made(long id, String units, String weight, String place) throws Exception {
    return made(id, units, weight, place, "3.5", "probe 2", 60);
  }

  /** The same with what the thermometer shows, so many minutes after the heat. */
  private String made(
      long id, String units, String weight, String place, String cold, String probe, int minutes)
      throws Exception {
    return follow(
        "tobiah",
        "/uses/makings/" + id + "/made",
        "venue",
        "" + lantern(),
        "units",
        units,
        "weight",
        weight,
        "until",
        "",
        "place",
        place,
        "by",
        "" + people.idOf("tobiah"),
        "cold",
        cold,
        "instrument",
        probe,
        "offHeat",
        LocalTime.now(houses.house().formats().zone())
            .minusMinutes(minutes)
            .truncatedTo(ChronoUnit.MINUTES)
            .toString());
  }

  @Test
  public void whatComesFromTheHeatIsShelvedByAReadingInTimeOrNotAtAll() throws Exception {
    long lot = hake("frame", "1.500");
    decide(lot, "frame", "clear-stock", "");
    long id = ofLot(lot).get(0).id();
    String none = made(id, "1", "", "walk-in, top", "", "", 30);
    assertTrue(none.contains("No reading says that it is at 5.0 °C or below"), none);
    assertTrue(none.contains("value=\"walk-in, top\""), "what was typed stays");
    assertTrue(made(id, "1", "", "walk-in, top", "6", "probe 2", 30).contains("No reading says"));
    assertTrue(made(id, "1", "", "walk-in, top", "3", "", 30).contains("alert-danger"));
    assertTrue(
        made(id, "1", "", "walk-in, top", "3", "probe 2", 7 * 60).contains("not cold in time"));
    assertEquals(ofLot(lot).size(), 1, "nothing of that was stored");
    String code = label(made(id, "1", "", "walk-in, top", "3", "probe 2", 30));
    String shelf = page("ines", "/larder/" + code);
    assertTrue(shelf.contains("3.0 °C on ") && shelf.contains("probe 2, read by Tobiah"), shelf);
  }

  @Test
  public void onePartBecomesTwoThingsByGramsWithAllergensAndCost() throws Exception {
    long lot = hake("fillet-left", "1.500", "belly", "0.900");
    assertTrue(decide(lot, "belly", "fish-cakes", "500 g").contains("Decided."));
    assertTrue(decide(lot, "belly", "rillettes", "500 g").contains("400 g is left"));
    assertTrue(decide(lot, "belly", "rillettes", "").contains("Decided."), "the other 400 g");
    List<ToMake> two = ofLot(lot);
    assertEquals(two.size(), 2);
    // 500 g in fish cakes: (1 + .6 + .05 + .1) × .96 = 1.68 → 840 g, nine of 85 g
    assertEquals(two.get(0).units(), 9);
    assertEquals(
        sheets.get(lot).find("belly").orElseThrow().purpose(), Optional.of(Purpose.SECOND_PLATE));

    String said = made(two.get(0).id(), "9", "", "walk-in, left");
    Matcher code = Pattern.compile("Its label is ([0-9A-Z]{5})\\.").matcher(said);
    assertTrue(code.find(), said);
    Item cakes = larder.get(code.group(1));
    assertEquals(cakes.mass(), Mass.ofGrams(840));
    assertEquals(cakes.units(), 9);
    String shown = page("tobiah", "/larder/" + code.group(1));
    assertTrue(shown.contains("9 units, ≈ 840 g"), "by the recipe, not by the scale");
    follow("tobiah", "/larder/" + code.group(1) + "/weigh", "weight", "826 g", "note", "");
    assertTrue(page("tobiah", "/larder/" + code.group(1)).contains("9 units, 826 g"));
    assertEquals(cakes.trace().lots(), Set.of(lot));
    assertEquals(cakes.trace().mass(), Mass.ofGrams(500));
    assertEquals(cakes.shelved().allergens(), Set.of(Allergen.FISH, Allergen.EGG, Allergen.WHEAT));
    assertTrue(made(two.get(0).id(), "9", "", "walk-in").contains("made or dropped already"));
    assertEquals(
        sheets.get(lot).find("belly").orElseThrow().part().shelf().in(), Mass.ofGrams(500));
  }

  @Test
  public void whatLiesOnAShelfIsMadeFromThere() throws Exception {
    long lot = hake("frame", "1.200");
    String put =
        follow(
            "tobiah",
            "/larder/put/" + lot + "/frame",
            "venue",
            "" + lantern(),
            "place",
            "walk-in",
            "until",
            houses.today().toString(),
            "by",
            "" + people.idOf("tobiah"));
    Matcher label = Pattern.compile("Its label is ([0-9A-Z]{5})\\.").matcher(put);
    assertTrue(label.find(), put);
    String code = label.group(1);
    assertTrue(decide(lot, "frame:" + code, "quick-fumet", "700 g").contains("Decided."));
    assertTrue(page("ines", "/uses").contains("label " + code));
    made(ofLot(lot).get(0).id(), "1", "", "pot corner");
    assertEquals(larder.get(code).mass(), Mass.ofGrams(500), "700 g were made of it");
  }

  @Test
  public void unitsWantedSayHowMuchFishTheyTake() throws Exception {
    long lot = hake("belly", "0.900");
    String[] form = {
      "part", lot + ":belly", "use", "fish-cakes", "venue", "" + lantern(), "units", "6"
    };
    assertTrue(follow("ines", "/uses/decide", form).contains("Decided."));
    // 6 × 85 g / 1.68
    assertEquals(ofLot(lot).get(0).mass(), Mass.ofMilligrams(303_572));
    form[7] = "20";
    assertTrue(follow("ines", "/uses/decide", form).contains("596 g is left"));
    form[7] = "0";
    assertTrue(follow("ines", "/uses/decide", form).contains("alert-danger"));
  }

  @Test
  public void whatMayNotBeSaysWhy() throws Exception {
    long lot = hake("head", "1.100", "frame", "0.700", "collar", "0.300");
    assertTrue(decide(lot, "head", "soup-to-pick", "").contains("unscaled"));
    assertTrue(decide(lot, "frame", "patties", "").contains("not made of this kind of part"));
    assertTrue(decide(lot, "frame", "clear-stock", "100 g").contains("less than one unit"));
    assertTrue(decide(lot, "frame", "no-such-use", "").contains("There is no use no-such-use"));
    assertEquals(ofLot(lot), List.of());
    String shown = page("ines", "/uses");
    assertTrue(shown.contains("Hake, head · lot " + lot), "it is on hand");
  }

  @Test
  public void whatIsDroppedIsFreeAgainAndNeedsAReason() throws Exception {
    long lot = hake("frame", "1.300");
    decide(lot, "frame", "clear-stock", "");
    long id = ofLot(lot).get(0).id();
    assertTrue(
        follow("ines", "/uses/makings/" + id + "/drop", "reason", " ").contains("is missing"));
    assertTrue(
        follow("ines", "/uses/makings/" + id + "/drop", "reason", "kettle is broken")
            .contains("Its parts are free again"));
    assertEquals(ofLot(lot), List.of());
    assertTrue(page("ines", "/uses").contains("Clear white stock is not made: kettle is broken"));
    assertTrue(decide(lot, "frame", "quick-fumet", "").contains("Decided."));
  }

  @Test
  public void thePlanIsAcceptedAsItWasShownOnceAndNotWhenItIsOld() throws Exception {
    hake("frame", "1.400");
    people.as(
        "ines",
        () -> {
          book.want(lantern(), "quick-fumet", 500);
          book.equip(lantern(), FishUse.Equipment.KETTLE, 5000);
          book.hands(lantern(), 5000);
        });
    String plan = page("ines", "/uses/plan");
    assertTrue(plan.contains("Quick fumet"), plan);
    List<String> fields = new ArrayList<>(List.of("id", UUID.randomUUID().toString()));
    Matcher making =
        Pattern.compile("name=\"making\" value=\"(quick-fumet@[^\"]*)\"").matcher(plan);
    assertTrue(making.find(), plan);
    fields.add("making");
    fields.add(making.group(1));
    String[] sent = fields.toArray(String[]::new);
    assertTrue(follow("ines", "/uses/accept", sent).contains("One thing is to be made."));
    int open = planner.toMake().size();
    follow("ines", "/uses/accept", sent);
    assertEquals(planner.toMake().size(), open, "two taps are one");
    sent[1] = UUID.randomUUID().toString();
    assertTrue(follow("ines", "/uses/accept", sent).contains("Something changed since this plan"));
    assertEquals(planner.toMake().size(), open);
    assertTrue(
        follow("ines", "/uses/accept", "making", "quick-fumet@1@x").contains("alert-danger"));
    people.as(
        "ines",
        () -> {
          book.want(lantern(), "quick-fumet", 0);
          book.equip(lantern(), FishUse.Equipment.KETTLE, 1);
          book.hands(lantern(), 1);
        });
    String price = page("ines", "/uses/price");
    assertTrue(price.contains("costs"), "what was decided has its room: " + price);
    people.as(
        "ines",
        () -> {
          book.equip(lantern(), FishUse.Equipment.KETTLE, 14);
          book.hands(lantern(), 150);
        });
  }

  private String save(String code, String... changed) throws Exception {
    Map<String, String> form =
        new java.util.LinkedHashMap<>(
            Map.of(
                "name", "Broth of " + code,
                "purpose", "POT",
                "kinds", "Frame\nHead",
                "measure", "PART",
                "each", "500 g",
                "unit", "LITRE",
                "perPlate", "4",
                "lines", "leek, 10 %, 1.80, none\nwine, 8 %, 4.20, sulphites",
                "loss", "0"));
    form.putAll(
        Map.of(
            "start",
            "10",
            "minutes",
            "2",
            "equipment",
            "KETTLE",
            "load",
            "1.5",
            "value",
            "3",
            "keeps",
            "2",
            "oldest",
            "3",
            "lightest",
            "",
            "fat",
            ""));
    for (int i = 0; i < changed.length; i += 2) {
      form.put(changed[i], changed[i + 1]);
    }
    List<String> fields = new ArrayList<>();
    form.forEach(
        (name, text) -> {
          fields.add(name);
          fields.add(text);
        });
    return follow("adaeze", "/uses/book/" + code, fields.toArray(String[]::new));
  }

  @Test
  public void theBookIsTheHousesOwnAndRefusesWhatCannotBeMade() throws Exception {
    assertTrue(save("new", "each", "0 g").contains("alert-danger"));
    String little = save("new", "each", "0.4 g");
    assertTrue(little.contains("at least 1 g"), little);
    assertTrue(save("new", "lines", "leek, 10 %, 1.80").contains("a line has a name"));
    assertTrue(save("new", "lines", "leek, 10 %, 1.80, grass").contains("grass is no allergen"));
    assertTrue(save("new", "kinds", "Gills").contains("Gills have no use"));
    assertTrue(save("new", "kinds", "wheels").contains("no kind of part called wheels"));
    assertTrue(save("new", "name", "a; b").contains("no comma, semicolon or slash"));
    assertTrue(save("new", "fat", "80").contains("alert-danger"), "no fat is as fat");
    assertTrue(save("new", "loss", "120").contains("alert-danger"));
    String kept = save("new", "name", "<b>");
    assertTrue(kept.contains("is saved") && !kept.contains("<b>is"), "it is escaped");
    assertTrue(save("brown-bone-sauce", "each", "480 g").contains("is saved"));
    FishUse stock = book.get("brown-bone-sauce");
    assertEquals(stock.gramsOfPart(Mass.ofGrams(1)).toDouble(), 480.0);
    assertEquals(UseCatalogue.read(UseCatalogue.write(stock)), stock);
    assertFalse(page("tobiah", "/uses/book").contains("/uses/book/brown-bone-sauce"));
    people.as("adaeze", () -> book.retire("brown-bone-sauce"));
    assertFalse(book.uses().containsKey("brown-bone-sauce"));
    assertTrue(
        page("ines", "/uses/book/brown-bone-sauce").contains("480 g"), "it can still be read");
    save("brown-bone-sauce", "each", "520 g");
    assertTrue(book.uses().containsKey("brown-bone-sauce"), "and comes back");
  }

  @Test
  public void aUseWithSomethingOnTheShelfIsRetiredAndTheShelfStays() throws Exception {
    long lot = hake("frame", "1.200");
    decide(lot, "frame", "chowder-base", "");
    String said = made(ofLot(lot).get(0).id(), "3", "", "shelf of the chowder");
    Matcher code = Pattern.compile("Its label is ([0-9A-Z]{5})\\.").matcher(said);
    assertTrue(code.find(), said);
    follow("adaeze", "/uses/book/chowder-base/retire");
    assertTrue(page("tobiah", "/larder/" + code.group(1)).contains("Chowder base"));
  }

  private static String label(String said) {
    Matcher code = Pattern.compile("(?:label is|with the label) ([0-9A-Z]{5})\\.").matcher(said);
    assertTrue(code.find(), said);
    return code.group(1);
  }

  @Test
  public void aLineWithTheNameOfAUseIsThatProductOffTheShelf() throws Exception {
    assertTrue(save("new", "name", "Broth to cook in").contains("is saved"));
    long bones = hake("frame", "1.500");
    decide(bones, "frame", "own-broth-to-cook-in", "");
    String broth = label(made(ofLot(bones).get(0).id(), "3", "1.600 kg", "walk-in, top"));
    String rice = "broth to cook in, 40 %, 5.00, none\nrice, 20 %, 2.00, none";
    String dish = save("new", "name", "Rice of frames", "lines", rice);
    assertTrue(dish.contains("is saved"), dish);

    long lot = hake("frame", "1.000");
    decide(lot, "frame", "own-rice-of-frames", "");
    String waits = page("ines", "/uses");
    assertTrue(waits.contains("broth to cook in 400 g, of it 400 g on the shelf: " + broth), waits);
    String code = label(made(ofLot(lot).get(0).id(), "2", "", "walk-in, top"));
    Item soup = larder.get(code);
    assertEquals(larder.get(broth).mass(), Mass.ofGrams(1200), "400 of 1600 g went in");
    assertEquals(soup.trace().lots(), Set.of(bones, lot), "a soup knows all its lots");
    assertEquals(
        soup.shelved().allergens(),
        Set.of(Allergen.FISH, Allergen.SULPHITES),
        "the wine of the broth is said, though the line said none");
    // 200 g of rice at 2.00, and a quarter of the broth's leek and wine: 0.6 kg of lines at 5.00
    // is not bought
    assertTrue(soup.beside().goods().amount().doubleValue() < 0.40 + 0.25 * 0.81 + 0.01);
  }

  @Test
  public void nothingIsMadeOfItself() throws Exception {
    String two = "circle two, 10 %, 1.00, none";
    assertTrue(save("new", "name", "Circle one", "lines", two).contains("is saved"));
    String one = "circle one, 10 %, 1.00, none";
    String circle = save("new", "name", "Circle two", "lines", one);
    assertTrue(
        circle.contains("This would be made of itself: Circle two → Circle one → Circle two."),
        circle);
    assertTrue(circle.contains(one), "what was typed is kept");
    assertTrue(save("new", "name", "Circle two").contains("is saved"));
    assertFalse(save("own-circle-two", "name", "Circle two", "lines", one).contains("is saved"));
  }

  @Test
  public void whatLiesElsewhereIsSentArrivesShortAndIsMadeOfWhatIsThere() throws Exception {
    long lot = hake("frame", "1.400");
    long counter = houses.venues().get(1).id();
    String[] form = {
      "part", lot + ":frame", "use", "clear-stock", "venue", "" + counter, "amount", "1.3 kg"
    };
    assertTrue(follow("ines", "/uses/decide", form).contains("Decided."));
    ToMake making = ofLot(lot).get(0);
    assertTrue(page("ines", "/uses").contains("1.300 kg of Hake, frame lies at Lantern House"));
    String send = "/uses/makings/" + making.id() + "/send";
    String code = label(follow("tobiah", send, "number", "0"));
    assertTrue(follow("tobiah", send, "number", "0").contains("It was sent already"));
    assertTrue(follow("tobiah", send, "number", "all").contains("It was sent already"));
    assertTrue(page("ines", "/uses").contains("is on its way from Lantern House"));
    assertTrue(
        made(making.id(), "2", "", "pot corner").contains("on its way"), "it is not there yet");
    follow(
        "tobiah",
        "/larder/" + code + "/move",
        "venue",
        "" + counter,
        "place",
        "cold room",
        "by",
        "" + people.idOf("tobiah"),
        "weight",
        "1.250 kg");
    assertFalse(page("ines", "/uses").contains(">It is here: label " + code));
    String stock = label(made(making.id(), "2", "", "cold room"));
    assertEquals(larder.get(stock).trace().mass(), Mass.ofGrams(1250), "50 g were short");
    assertTrue(larder.get(code).isGone());
    assertEquals(
        sheets.get(lot).find("frame").orElseThrow().part().shelf().in(), Mass.ofGrams(1300));
  }

  @Test
  public void theTileOfAPartThatGoesTwoWaysSaysItsGrams() throws Exception {
    long lot = hake("fillet-left", "1.500", "belly", "0.900");
    decide(lot, "belly", "fish-cakes", "500 g");
    decide(lot, "belly", "rillettes", "");
    String shown = page("ines", "/uses/" + lot);
    assertTrue(shown.contains("500 g Fish cakes, Lantern House"), shown);
    assertTrue(shown.contains("400 g Rillettes, Lantern House"));
  }

  @Test
  public void theLastHourIsATimeOfTheDay() throws Exception {
    String field = "last@" + lantern();
    String refused = follow("ines", "/uses/wants", field, "half ten");
    assertTrue(refused.contains("isn’t a time of the day"), refused);
    assertTrue(refused.contains("half ten"), "what was typed is kept");
    assertTrue(follow("ines", "/uses/wants", field, "23:59").contains("Saved."));
    assertEquals(
        book.rooms().get(lantern()).lastHour(), Optional.of(java.time.LocalTime.of(23, 59)));
  }

  @Test
  public void wasteThatHasNoPriceYetIsNamedAndNotLeftOutSilently() throws Exception {
    long lot = hake("head", "0.700", "frame", "1.100");
    send(lot, "head", Purpose.BIN);
    String said = "not counting the waste of one lot that has no price yet";
    assertFalse(row(lot).contains(said), "it has its price");
    jdbc.sql("update lot set price_per_kg = null where id = ?").param(lot).update();
    assertTrue(row(lot).contains(said), row(lot));
    assertFalse(page("tobiah", "/uses/went").contains("no price yet"), "who sees no money");
    send(lot, "head", Purpose.POT);
    assertFalse(row(lot).contains(said), "nothing is wasted");
    jdbc.sql("update lot set price_per_kg = 12 where id = ?").param(lot).update();
  }

  private void send(long lot, String slot, Purpose purpose) {
    int version = sheets.get(lot).find(slot).orElseThrow().version();
    Use use = new Use("", Optional.empty(), Optional.empty());
    people.as("ines", () -> purposes.assign(lot, slot, version, purpose, use));
  }

  private String row(long lot) throws Exception {
    return Jsoup.parse(page("ines", "/uses/went")).select(".ways li").stream()
        .map(Element::text)
        .filter(text -> text.startsWith("Lot " + lot + " "))
        .findFirst()
        .orElse("");
  }

  @Test
  public void onlyWhoDecidesOpensThePage() throws Exception {
    assertEquals(send("maren", "/uses/accept").getStatus(), 403);
    assertFalse(page("maren", "/").contains("href=\"/uses\""));
    hake("frame", "1.100");
    assertFalse(page("tobiah", "/uses/plan").contains("€"), "the butcher sees no money");
    assertTrue(page("ines", "/uses/plan").contains("€"));
    for (String who : List.of("tobiah", "maren")) {
      for (String address : List.of("/larder", "/uses/went", "/larder/count", "/uses/book")) {
        assertFalse(page(who, address).contains("€"), who + " on " + address);
      }
    }
    assertFalse(page("tobiah", "/uses/book/patties").contains("2.10"));
  }

  @Test
  public void whatVenuesTakeIsCheckedAndKept() throws Exception {
    String field = "use@patties@" + lantern();
    assertTrue(follow("ines", "/uses/wants", field, "-3").contains("alert-danger"));
    assertTrue(follow("ines", "/uses/wants", field, "12").contains("Saved."));
    assertEquals(book.rooms().get(lantern()).wanted().get("patties"), Integer.valueOf(12));
    assertTrue(follow("ines", "/uses/wants", "room@KETTLE@" + lantern(), "0").contains("Saved."));
    people.as("ines", () -> book.equip(lantern(), FishUse.Equipment.KETTLE, 14));
  }
}
