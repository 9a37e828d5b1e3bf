package mosaicknife.app.kitchen;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import mosaicknife.app.TestLots;
import mosaicknife.app.WithPages;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.kitchen.Marinade;
import mosaicknife.core.safety.Allergen;
import org.jsoup.Jsoup;
import org.springframework.beans.factory.annotation.Autowired;
import org.testng.annotations.Test;

/** Marinades, doneness and thickeners on their page. */
public class KitchenPagesTest extends WithPages {

  @Autowired private Soaks soaks;
  @Autowired private Doughs doughs;
  @Autowired private HouseSettings houses;

  private long hake() {
    return new TestLots(applicationContext).receive("hake", State.GUTTED, 1, "4.000");
  }

  private String put(long lot, String what, String thickness, String id) throws Exception {
    return follow(
        "tobiah",
        "/kitchen/soaks",
        "id",
        id,
        "marinade",
        "citrus-oil",
        "lot",
        "" + lot,
        "what",
        what,
        "thickness",
        thickness,
        "weight",
        "600 g",
        "vessel",
        "BAG");
  }

  private Soaks.Soak soak(String what) {
    return soaks.open().stream().filter(s -> s.what().equals(what)).findFirst().orElseThrow();
  }

  @Test
  public void aThickAndAThinFilletComeOutAtDifferentTimes() throws Exception {
    long lot = hake();
    put(lot, "thick back", "30", UUID.randomUUID().toString());
    put(lot, "thin tail", "10", UUID.randomUUID().toString());
    Marinade.Window thick = soak("thick back").window();
    Marinade.Window thin = soak("thin tail").window();
    // hake is soft: (30/20)² × 240 × 0.35 × 0.8 = 151, and a ninth of that is under the least
    assertEquals(thick.ready(), 150);
    assertEquals(thin.ready(), 20);
    assertTrue(thin.spoiled() < thick.ready(), "the thin one is spoiled before the other is ready");
    String shown = page("maren", "/kitchen");
    assertTrue(shown.contains("thick back, lot " + lot) && shown.contains("30 mm thick"), shown);
    String out = "/kitchen/soaks/" + soak("thin tail").id() + "/out";
    assertTrue(follow("tobiah", out).contains("It is out."));
    assertTrue(follow("ines", out).contains("took it out already"), "two people");
  }

  @Test
  public void withoutAMeasureTheNormSaysHowThickItIsAndSaysSo() throws Exception {
    long lot = hake();
    String id = UUID.randomUUID().toString();
    put(lot, "by the norm", "", id);
    put(lot, "by the norm", "", id);
    assertEquals(
        soaks.open().stream().filter(s -> s.what().equals("by the norm")).count(),
        1,
        "two taps are one");
    assertFalse(soak("by the norm").measured());
    assertTrue(page("tobiah", "/kitchen").contains("≈ "));
  }

  @Test
  public void whatIsTypedWrongIsSaidAndKept() throws Exception {
    long lot = hake();
    String id = UUID.randomUUID().toString();
    assertTrue(put(lot, "", "20", id).contains("alert-danger"));
    String thick = put(lot, "too thick", "900", id);
    assertTrue(thick.contains("alert-danger") && thick.contains("too thick"));
    assertTrue(soaks.open().stream().noneMatch(s -> s.what().equals("too thick")));
    assertTrue(page("tobiah", "/kitchen/marinade?lot=" + lot).contains("text-danger"));
  }

  @Test
  public void threeReadingsTellThatTheCodeIsNeverReached() throws Exception {
    String said =
        page(
            "tobiah",
            "/kitchen/done?thickness=20&medium=60&minute1=0&degrees1=5&minute2=5&degrees2=46"
                + "&minute3=10&degrees3=54");
    assertTrue(said.contains("Core by the code, 63.0 °C: never on this heat"), said);
    assertTrue(said.contains("It ends at about "), said);
    assertTrue(
        said.matches("(?s).*Core of the house, 52.0 °C: after [678]:[0-5]0 min.*"),
        said + " under ten minutes with seconds");
  }

  @Test
  public void figuresHeatCannotKeepAreAskedAbout() throws Exception {
    String said =
        page(
            "tobiah",
            "/kitchen/done?thickness=60&medium=90&minute1=0&degrees1=5&minute2=10&degrees2=55");
    assertTrue(said.contains("So fast cannot be"), said);
    assertTrue(said.contains("heat needs 49 minutes at the least"), said);
    String early =
        page(
            "tobiah",
            "/kitchen/done?thickness=60&medium=90&minute1=5&degrees1=5&minute2=5&degrees2=9");
    assertTrue(early.contains("later than the one before"), early);
    assertTrue(
        page("tobiah", "/kitchen/done?thickness=60&medium=90")
            .contains("two readings at the least"));
  }

  @Test
  public void doughIsWeighedAndPacked() throws Exception {
    String said =
        page("tobiah", "/kitchen/dough?thickener=KNEADED_BUTTER&litres=6&body=MEDIUM&weight=60g");
    assertTrue(said.contains("480 g of dough: 240 g butter, 240 g flour. 8 packs."), said);
    assertTrue(said.contains("So large a pot is usually bound with roux"), said);
    assertTrue(said.contains("5 to 10 min more"), said);
    assertTrue(
        page("tobiah", "/kitchen/dough?thickener=ROUX&litres=0&body=LIGHT&weight=1g")
            .contains("text-danger"));
  }

  @Test
  public void aMarinadeOfTheHouseIsUsedAndWhatLiesInItStaysAsItWentIn() throws Exception {
    String name = "Brine " + UUID.randomUUID().toString().substring(0, 6);
    String[] form = {
      "name",
      name,
      "kind",
      "MARINADE",
      "acid",
      "SHARP",
      "bag",
      "200",
      "tray",
      "300",
      "parts",
      "water, 10, none\nsoy, 1.5, soy + wheat"
    };
    assertTrue(follow("ines", "/kitchen/marinades/new", form).contains("is saved"));
    Marinade marinade = find(name);
    assertEquals(marinade.parts().get(1).allergens(), Set.of(Allergen.SOY, Allergen.WHEAT));
    long lot = hake();
    follow(
        "tobiah",
        "/kitchen/soaks",
        "id",
        UUID.randomUUID().toString(),
        "marinade",
        marinade.code(),
        "lot",
        "" + lot,
        "what",
        name,
        "thickness",
        "20",
        "weight",
        "500 g",
        "vessel",
        "BAG");
    int ready = soak(name).window().ready();
    form[5] = "NONE";
    follow("ines", "/kitchen/marinades/" + marinade.code(), form);
    assertEquals(find(name).acid(), Marinade.Acid.NONE);
    assertEquals(soak(name).window().ready(), ready, "it went into the sour one");
    follow("ines", "/kitchen/marinades/" + marinade.code() + "/retire");
    assertTrue(soaks.marinades().values().stream().noneMatch(m -> m.name().equals(name)));
    assertEquals(soak(name).marinade().acid(), Marinade.Acid.SHARP);
    assertEquals(send("tobiah", "/kitchen/marinades/new", form).getStatus(), 403);
    for (String parts : List.of("", "water, 10", "water, 0, none", "water, 10, moonlight")) {
      form[11] = parts;
      String refused = follow("ines", "/kitchen/marinades/new", form);
      assertTrue(refused.contains("alert-danger") && refused.contains(name), parts);
    }
  }

  @Test
  public void theHousesOwnTimesStandBesideTheEstimate() throws Exception {
    String name = "Kelp salt " + UUID.randomUUID();
    Map<String, String> form =
        new HashMap<>(
            Map.of("name", name, "kind", "MARINADE", "acid", "NONE", "bag", "200", "tray", "300"));
    form.putAll(Map.of("parts", "kelp, 1, none", "ready", "1.5", "best", "4", "spoiled", "3"));
    String refused = follow("ines", "/kitchen/marinades/new", flat(form));
    assertTrue(refused.contains("The three times come one after the other"), refused);
    assertEquals(Jsoup.parse(refused).select("[name=ready]").val(), "1.5", "what was typed stays");
    form.put("spoiled", "6.25");
    follow("ines", "/kitchen/marinades/new", flat(form));
    Marinade marinade = find(name);
    assertEquals(marinade.own(), Optional.of(new Marinade.Window(90, 240, 375)));
    String asked =
        "/kitchen/marinade?marinade=%s&lot=%d&what=x&thickness=20&weight=500 g&vessel=BAG"
            .formatted(marinade.code(), hake());
    String said = page("tobiah", asked);
    assertTrue(said.contains("Our own times, for 20 mm: ready after"), said);
    assertTrue(said.contains("A starting estimate."), "and the estimate beside it");
    String page = page("ines", "/kitchen/marinades/" + marinade.code());
    assertEquals(Jsoup.parse(page).select("[name=spoiled]").val(), "6.25");
    follow("ines", "/kitchen/marinades/" + marinade.code() + "/retire");
  }

  private static String[] flat(Map<String, String> form) {
    return form.entrySet().stream()
        .flatMap(field -> Stream.of(field.getKey(), field.getValue()))
        .toArray(String[]::new);
  }

  private Marinade find(String name) {
    return soaks.marinades().values().stream()
        .filter(one -> one.name().equals(name))
        .findFirst()
        .orElseThrow();
  }

  @Test
  public void aWholeFishServesAndAPlankGoesIntoTheWater() throws Exception {
    String said = page("tobiah", "/kitchen/roast?lot=" + hake() + "&weight=170 g");
    assertTrue(said.contains("people of 170 g cooked") && said.contains("backbone"), said);
    assertTrue(
        page("tobiah", "/kitchen/roast?lot=" + hake() + "&weight=0").contains("text-danger"));
    String plank = page("tobiah", "/kitchen/plank?planks=6&hours=2.5&at=2090-05-01T18:00");
    assertTrue(plank.contains("6 planks") && plank.contains(":30"), plank);
    String late = page("tobiah", "/kitchen/plank?planks=1&hours=2&at=2020-05-01T18:00");
    assertTrue(late.contains("minutes ago"), late);
    for (String wrong : List.of("planks=0&hours=2", "planks=2&hours=99", "planks=2&hours=2")) {
      assertTrue(page("tobiah", "/kitchen/plank?" + wrong).contains("text-danger"), wrong);
    }
  }

  @Test
  public void packsOfDoughLieInTheFreezerWithTheirDayAndAreTakenOnce() throws Exception {
    String place = "Freezer " + UUID.randomUUID().toString().substring(0, 6);
    String[] form = {
      "id",
      UUID.randomUUID().toString(),
      "thickener",
      "ROUX",
      "packs",
      "3",
      "weight",
      "90 g",
      "place",
      place,
      "venue",
      "" + houses.venues().get(0).id(),
      "frozen",
      "on"
    };
    assertTrue(follow("tobiah", "/kitchen/doughs", form).contains("3 packs are away"));
    follow("tobiah", "/kitchen/doughs", form);
    Doughs.Left left = left(place);
    assertEquals(left.packs(), 3, "two taps are one");
    assertEquals(left.useBy(), houses.today().plusDays(90), "frozen roux");
    String take = "/kitchen/doughs/" + left.id() + "/take";
    String id = UUID.randomUUID().toString();
    assertTrue(follow("maren", take, "id", id, "packs", "2").contains("2 packs taken"));
    follow("maren", take, "id", id, "packs", "2");
    assertEquals(left(place).packs(), 1);
    String more = follow("ines", take, "id", UUID.randomUUID().toString(), "packs", "2");
    assertTrue(more.contains("Only 1 is left"), more);
    follow("ines", take, "id", UUID.randomUUID().toString(), "packs", "1");
    assertTrue(doughs.left().stream().noneMatch(one -> one.place().equals(place)));
    String gone = follow("tobiah", take, "id", UUID.randomUUID().toString(), "packs", "1");
    assertTrue(gone.contains("took the last one"), gone);
    form[1] = UUID.randomUUID().toString();
    for (String[] wrong :
        new String[][] {{"5", "0"}, {"5", "many"}, {"7", "0 g"}, {"9", ""}, {"3", "GLUE"}}) {
      String[] bad = form.clone();
      bad[Integer.parseInt(wrong[0])] = wrong[1];
      assertTrue(follow("tobiah", "/kitchen/doughs", bad).contains("alert-danger"), wrong[1]);
    }
    assertTrue(doughs.left().stream().noneMatch(one -> one.place().equals(place)));
  }

  private Doughs.Left left(String place) {
    return doughs.left().stream()
        .filter(one -> one.place().equals(place))
        .findFirst()
        .orElseThrow();
  }
}
