package mosaicknife.app.catalogue;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import mosaicknife.app.Sentences;
import mosaicknife.app.WithPages;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.Share;
import mosaicknife.core.anatomy.Species;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.core.io.ClassPathResource;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.access.AccessDeniedException;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What the house changes of its fish, on a real PostgreSQL, and its pages. */
public class CatalogueEditorTest extends WithPages {

  @Autowired private CatalogueEditor book;
  @Autowired private JdbcClient jdbc;

  @Test
  public void anEditIsKeptWithWhoAndWhenAndCanGoBackToTheShippedFish() throws Exception {
    Species shipped = book.now().getSpecies("sprat");
    Map<String, String> typed = new HashMap<>(FishForm.parts(shipped));
    typed.put("mean-fillet-left", "27");
    typed.put("mean-frame", "" + frameFor(shipped, 0.27));
    FishForm form = FishForm.of(shipped);
    SpeciesDocument document = form.document(shipped, typed);
    people.as("ines", () -> book.change(document, "forty sprats of our own"));
    Species changed = book.now().getSpecies("sprat");
    assertEquals(mean(changed, "fillet-left"), 0.27, 1e-9);
    assertTrue(book.isOwn("sprat"));
    List<SpeciesChange> history = book.history("sprat");
    assertEquals(history.get(0).who(), "Ines Varga");
    assertEquals(history.get(0).reason(), "forty sprats of our own");
    assertTrue(page("maren", "/catalogue/fish/sprat").contains("Your own figures."));

    people.as("ines", () -> book.backToShipped("sprat"));
    assertEquals(book.now().getSpecies("sprat"), shipped);
    assertFalse(book.isOwn("sprat"));
    assertEquals(book.history("sprat").size(), history.size() + 1, "nothing is forgotten");
    assertThrows(
        DataAccessException.class, () -> jdbc.sql("update species_edit set reason = 'x'").update());
  }

  private static double frameFor(Species species, double leftFillet) {
    double rest = mean(species, "frame") + mean(species, "fillet-left") - leftFillet;
    return Math.round(rest * 10_000) / 100.0;
  }

  private static double mean(Species species, String slot) {
    return species.shares().stream()
        .filter(share -> share.slot().code().equals(slot))
        .mapToDouble(Share::mean)
        .sum();
  }

  @Test
  public void partsThatAreNoWholeFishAreRefusedAndWhatWasTypedStays() throws Exception {
    Species herring = book.now().getSpecies("herring");
    Map<String, String> fields = fields(herring);
    fields.put("mean-head", "44");
    fields.put("name", "<script>Herring");
    String[] sent =
        fields.entrySet().stream()
            .flatMap(e -> List.of(e.getKey(), e.getValue()).stream())
            .toArray(String[]::new);
    var answer = send("ines", "/catalogue/fish/herring", sent);
    assertEquals(answer.getStatus(), 422);
    String page = answer.getContentAsString(StandardCharsets.UTF_8);
    assertTrue(page.contains("a whole fish is 100 %. Change one of them by -30.0."), page);
    assertTrue(page.contains("&lt;script&gt;Herring"), "what was typed is still there");
    assertFalse(page.contains("<script>Herring"));
    assertEquals(book.now().getSpecies("herring"), herring);
  }

  private static Map<String, String> fields(Species species) {
    FishForm form = FishForm.of(species);
    Map<String, String> fields = new HashMap<>(FishForm.parts(species));
    fields.put("scientificName", form.scientificName());
    fields.put("names", form.names());
    fields.put("flesh", form.flesh());
    fields.put("texture", form.texture());
    fields.put("flavour", form.flavour());
    fields.put("skin", form.skin());
    fields.put("scales", form.scales());
    fields.put("pinBonesTo", form.pinBonesTo());
    fields.put("headFrom", form.headFrom());
    fields.put("skinShare", form.skinShare());
    fields.put("lightest", form.lightest());
    fields.put("heaviest", form.heaviest());
    fields.put("grades", form.grades());
    fields.put("season", form.season());
    fields.put("reason", "");
    return fields;
  }

  @DataProvider
  Object[][] wrong() {
    return new Object[][] {
      {"grades", "2.5-1.5", "isn’t a size grade"},
      {"grades", "", "A size grade is missing"},
      {"season", "June to August", "season can’t be read"},
      {"lightest", "-1", "isn’t a number from 0"},
      {"lightest", "9", "from the lightest to the heaviest"},
      {"headFrom", "abc", "isn’t a number from 0"},
      {"names", "SPAIN:arenque", "isn’t a name with its region"},
      {"skinShare", "80", "eating can’t be read"},
      {"name", "", "The name is missing"},
      {"flesh", "PINK", "isn’t a flesh"},
    };
  }

  @Test(dataProvider = "wrong")
  public void aWrongFieldGetsAPlainSentenceAndStoresNothing(
      String field, String value, String words) throws Exception {
    Species herring = book.now().getSpecies("herring");
    Map<String, String> fields = fields(herring);
    fields.put("name", "Herring");
    fields.put(field, value);
    String[] sent =
        fields.entrySet().stream()
            .flatMap(e -> List.of(e.getKey(), e.getValue()).stream())
            .toArray(String[]::new);
    var answer = send("ines", "/catalogue/fish/herring", sent);
    assertEquals(answer.getStatus(), 422);
    assertTrue(
        answer.getContentAsString(StandardCharsets.UTF_8).contains(words),
        answer.getContentAsString(StandardCharsets.UTF_8));
    assertEquals(book.now().getSpecies("herring"), herring);
  }

  @Test
  public void aFishThatLotsUseStaysAndOneThatNobodyUsesGoes() throws Exception {
    String refused = follow("ines", "/catalogue/fish/hake/remove");
    assertTrue(refused.contains("Hake has to stay:"), refused);
    assertTrue(book.now().findSpecies("hake").isPresent());
    people.as("ines", () -> book.remove("smelt"));
    assertTrue(book.now().findSpecies("smelt").isEmpty());
    people.as("ines", () -> book.backToShipped("smelt"));
    assertTrue(book.now().findSpecies("smelt").isPresent());
    people.as("maren", () -> assertThrows(AccessDeniedException.class, () -> book.remove("smelt")));
  }

  @Test
  public void anUnknownFishHasPartsInAMinute() throws Exception {
    String page =
        follow(
            "tobiah",
            "/catalogue/tonight",
            "name",
            "Köhler of the night",
            "plan",
            "round-bodied",
            "ribs",
            "HARD",
            "head",
            "LARGE",
            "mass",
            "1.8 kg",
            "flesh",
            "WHITE",
            "kin",
            "NONE");
    assertTrue(page.contains("is in the catalogue, with wide ranges"), page);
    Species made = book.now().getSpecies("kohler-of-the-night");
    assertEquals(made.shares().stream().mapToDouble(Share::mean).sum(), 1, 1e-9);
    assertTrue(made.flesh() < 0.40, "hard ribs and a large head cost flesh: " + made.flesh());
    assertEquals(book.now().search("kohler of").get(0), made);
    String again =
        follow(
            "tobiah",
            "/catalogue/tonight",
            "name",
            "Köhler of the night",
            "plan",
            "round-bodied",
            "mass",
            "1.8 kg",
            "kin",
            "NONE");
    assertTrue(again.contains("There is a fish called"), again);
  }

  @DataProvider
  Object[][] noFish() {
    return new Object[][] {
      {"", "round-bodied", "1 kg", "NONE", "The name is missing"},
      {"Fugu", "round-bodied", "1 kg", "NONE", "licensed handlers"},
      {"Silver one", "", "1 kg", "NONE", "Which fish does it look like"},
      {"Silver one", "round-bodied", "", "NONE", "No weight was typed"},
      {"Silver one", "round-bodied", "-2 kg", "NONE", "2"},
      {"Silver one", "round-bodied", "900 kg", "NONE", "between 10 g and 400.000 kg"},
      {"Silver one", "round-bodied", "1 kg", "", "Say which family"},
      {"Silver one", "round-bodied", "1 kg", "PUFFER", "licensed handlers"},
      {"baiacu", "round-bodied", "1 kg", "NONE", "licensed handlers"},
      {"魚", "round-bodied", "1 kg", "NONE", "Latin letters"},
    };
  }

  @Test(dataProvider = "noFish")
  public void anUnknownFishWithoutNamePlanOrMassIsAskedFor(
      String name, String plan, String mass, String kin, String words) throws Exception {
    int before = book.now().species().size();
    String[] fields = {"name", name, "plan", plan, "mass", mass, "kin", kin};
    var answer = send("tobiah", "/catalogue/tonight", fields);
    assertEquals(answer.getStatus(), 422);
    String page = answer.getContentAsString(StandardCharsets.UTF_8);
    assertTrue(page.contains(words), page);
    assertEquals(book.now().species().size(), before);
  }

  @Test
  public void theWholeCatalogueGoesOutAndComesBackUnchanged() {
    String exported = book.export();
    people.as(
        "ines",
        () -> {
          CatalogueEditor.Imported read = book.takeIn(exported);
          assertEquals(read.changed(), 0);
          assertEquals(read.made(), 0);
          assertEquals(read.same(), book.now().species().size());
          String renamed = exported.replace("\"name\" : \"Dab\"", "\"name\" : \"Harbour dab\"");
          assertEquals(book.takeIn(renamed).changed(), 1);
          assertEquals(book.now().getSpecies("dab").name(), "Harbour dab");
          book.backToShipped("dab");
        });
  }

  @Test
  public void aFishThatIsUsedKeepsItsBodyPlan() {
    String elsewhere =
        book.export()
            .replaceFirst(
                "(?s)(\"code\" : \"hake\".*?)\"bodyPlan\" : \"round-bodied\"",
                "$1\"bodyPlan\" : \"thin-skinned\"");
    people.as("ines", () -> refused(elsewhere, "so its body plan can’t change"));
  }

  @Test
  public void aBadFileIsRefusedAsAWhole() {
    String exported = book.export();
    people.as(
        "ines",
        () -> {
          refused("not json", "isn’t JSON of the published schema");
          refused("{\"format\":\"x\",\"species\":[]}", "isn’t a Mosaic Knife catalogue");
          refused("{\"surprise\":1}", "published schema");
          refused(
              exported.replaceFirst("\"mean\" : 0\\.\\d+", "\"mean\" : 0.9"),
              "a whole fish is 100");
          refused(
              exported.replaceFirst("\"bodyPlan\" : \"flatfish\"", "\"bodyPlan\" : \"blob\""),
              "The body plan is missing");
          refused(
              exported.replaceFirst("\"code\" : \"brill\"", "\"code\" : \"turbot\""),
              "is in the file twice");
        });
  }

  private void refused(String file, String words) {
    long before = jdbc.sql("select count(*) from species_edit").query(Long.class).single();
    Refusal refusal = expectThrows(Refusal.class, () -> book.takeIn(file));
    assertTrue(Sentences.of(refusal).contains(words), Sentences.of(refusal));
    assertEquals(
        jdbc.sql("select count(*) from species_edit").query(Long.class).single().longValue(),
        before,
        "nothing is stored of " + words);
  }

  @Test
  public void theSchemaNamesWhatTheExportHas() throws IOException {
    JsonMapper json = JsonMapper.builder().build();
    JsonNode schema =
        json.readTree(
            new ClassPathResource("schema/catalogue.schema.json")
                .getContentAsString(StandardCharsets.UTF_8));
    JsonNode fish = schema.get("properties").get("species").get("items");
    for (JsonNode one : json.readTree(book.export()).get("species")) {
      assertEquals(
          new TreeSet<>(one.propertyNames()),
          new TreeSet<>(fish.get("properties").propertyNames()));
      String season = fish.get("properties").get("season").get("pattern").asString();
      assertTrue(one.get("season").asString().matches(season), one.get("season").asString());
      assertTrue(
          one.get("code")
              .asString()
              .matches(fish.get("properties").get("code").get("pattern").asString()));
    }
  }

  @Test
  public void searchShowsWhatIsFoundAndRefusesWhatIsNotSupported() throws Exception {
    String found = page("maren", "/catalogue/found?query=merlusa");
    assertTrue(found.contains(">Hake<"), found);
    String puffer = page("maren", "/catalogue/found?query=fugu");
    assertTrue(puffer.contains("Only licensed handlers may break it"), puffer);
    String none = page("maren", "/catalogue/found?query=qqqqqq");
    assertTrue(none.contains("No fish has a name like"), none);
    String script = page("maren", "/catalogue/found?query=<script>");
    assertFalse(script.contains("<script>"), script);
    assertTrue(page("maren", "/catalogue/parts?query=bloodline").contains("has two meanings"));
    assertTrue(
        page("maren", "/catalogue/plans/deep-bodied")
            .contains("half of the weight is in the first"));
  }
}
