package mosaicknife.app.homes;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasEntry;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.flash;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import jakarta.servlet.http.Cookie;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.WithDatabase;
import mosaicknife.app.account.DemoAccounts;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.lot.Delivery;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.parts.LotParts;
import mosaicknife.app.weighing.Entry;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.app.weighing.Take;
import mosaicknife.app.weighing.WeighingRecorder;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.lot.Arrival;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.Origin;
import mosaicknife.core.lot.Receipt;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import mosaicknife.core.quantity.UnitPrice;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** Uses and Cost on the worked hake: what the parts become and what a plate then costs. */
public class PurposePagesTest extends WithDatabase {

  private static final String[][] HAKE = {
    {"head", "0.985"}, {"gills", "0.062"}, {"frame", "0.612"}, {"fins", "0.118"},
    {"belly", "0.172"}, {"collar", "0.214"}, {"fillet-left", "1.318"}, {"fillet-right", "1.292"}
  };

  @Autowired private LotRegister lots;
  @Autowired private WeighingRecorder bench;
  @Autowired private LotSheets sheets;
  @Autowired private LotParts parts;
  @Autowired private CatalogueEditor catalogue;

  private Cookie ines;
  private long lot;

  @BeforeMethod
  void weighAHake() {
    people.as(
        "ines",
        () -> {
          lot = lots.receive(receipt()).id();
          for (String[] part : HAKE) {
            bench.take(
                new Take(
                    UUID.randomUUID(),
                    lot,
                    part[0],
                    1,
                    Entry.of(MassText.parse(part[1], MassUnit.KILOGRAM)),
                    Optional.empty(),
                    ""));
          }
        });
  }

  private void usual() throws Exception {
    mvc.perform(post("/uses/" + lot + "/usual").cookie(ines).with(csrf()))
        .andExpect(redirectedUrl("/uses/" + lot));
  }

  @BeforeClass
  void signIn() throws Exception {
    ines =
        List.of(
                mvc.perform(
                        post("/sign-in")
                            .param("name", "ines")
                            .param("password", DemoAccounts.PASSWORD)
                            .with(csrf()))
                    .andReturn()
                    .getResponse()
                    .getCookies())
            .stream()
            .filter(cookie -> cookie.getName().contains("ession"))
            .findFirst()
            .orElseThrow();
  }

  @Test
  public void costsSayWhatIsMissingBeforeAnythingIsForThePlate() throws Exception {
    page("/cost/" + lot)
        .andExpect(content().string(containsString("Nothing is for the main plate yet")))
        .andExpect(content().string(not(containsString("NaN"))));
  }

  @Test
  public void theUsualPurposesAreOneTap() throws Exception {
    usual();
    List<Purpose> purposes = new ArrayList<>();
    for (LotPart part : sheets.get(lot).parts()) {
      purposes.add(part.purpose().orElseThrow());
    }
    assertEquals(purposes.stream().filter(Purpose.PLATE::equals).count(), 2);
    assertTrue(sheets.get(lot).open().isEmpty());
  }

  @Test
  public void aPartWithoutUsualPurposeIsNamed() throws Exception {
    people.as(
        "ines",
        () -> {
          String scraped = parts.addPart(lot, "scrapings", "");
          bench.take(
              new Take(
                  UUID.randomUUID(),
                  lot,
                  scraped,
                  1,
                  Entry.of(MassText.parse("20 g", MassUnit.GRAM)),
                  Optional.empty(),
                  ""));
        });
    mvc.perform(post("/uses/" + lot + "/usual").cookie(ines).with(csrf()))
        .andExpect(flash().attribute("left", containsString("Scrapings")));
  }

  @Test
  public void theWorkedHakeCostsWhatItShouldOnScreen() throws Exception {
    usual();
    page("/cost/" + lot)
        .andExpect(content().string(containsString("data-exact=\"€3.9574\"")))
        .andExpect(content().string(containsString("data-exact=\"€3.8210\"")))
        .andExpect(content().string(containsString("€21.23/kg")))
        .andExpect(content().string(containsString("1.862")))
        .andExpect(content().string(containsString("53.7 %")))
        .andExpect(content().string(containsString("≈ 5.400 kg")));
  }

  @Test
  public void aValueCreditsOnlyWhatADishOrThePotTakes() throws Exception {
    usual();
    assign("head", "POT", "value", "1.80/kg");
    assign("frame", "POT", "value", "1.80");
    assign("belly", "SECOND_PLATE", "value", "9.00/kg");
    assign("collar", "SECOND_PLATE", "value", "8.00/kg");
    assign("fins", "COMPOST", "value", "99/kg");
    assertEquals(sheets.get(lot).find("fins").orElseThrow().value(), Optional.empty());
    mvc.perform(
            post("/cost/" + lot)
                .param("version", String.valueOf(lots.get(lot).version()))
                .param("method", "BY_PRODUCT_CREDIT")
                .param("portion", "180 g")
                .cookie(ines)
                .with(csrf()))
        .andExpect(redirectedUrl("/cost/" + lot));
    page("/cost/" + lot)
        .andExpect(content().string(containsString("data-exact=\"€3.5192\"")))
        .andExpect(content().string(containsString("€6.13")))
        .andExpect(content().string(containsString("€49.27")));
  }

  @Test
  public void whatIsHeldWithoutPlaceIsRefusedAndWhatWasTypedStays() throws Exception {
    usual();
    post("frame", "HOLD")
        .apply("until", LocalDate.now(ZoneOffset.UTC).plusDays(2).toString())
        .apply("becomes", "stock on Saturday")
        .send()
        .andExpect(flash().attribute("sentence", containsString("a date, a place and a person")))
        .andExpect(flash().attribute("typedUse", hasEntry("slot", "frame")));
    post("frame", "HOLD")
        .apply("until", LocalDate.now(ZoneOffset.UTC).minusDays(1).toString())
        .apply("place", "freezer")
        .apply("keeper", String.valueOf(people.idOf("tobiah")))
        .send()
        .andExpect(flash().attribute("sentence", containsString("has already passed")));
    post("frame", "HOLD")
        .apply("until", LocalDate.now(ZoneOffset.UTC).plusDays(2).toString())
        .apply("place", "freezer, shelf 2")
        .apply("keeper", String.valueOf(people.idOf("tobiah")))
        .send()
        .andExpect(redirectedUrl("/uses/" + lot));
    page("/uses/" + lot)
        .andExpect(content().string(containsString("freezer, shelf 2, Tobiah Lund")));
  }

  @Test
  public void aBadValueGetsASentence() throws Exception {
    usual();
    post("belly", "SECOND_PLATE")
        .apply("value", "plenty")
        .send()
        .andExpect(flash().attribute("sentence", containsString("“plenty” is not a number")));
    post("belly", "SECOND_PLATE")
        .apply("becomes", "x".repeat(121))
        .send()
        .andExpect(flash().attribute("sentence", containsString("only 120 are allowed")));
    mvc.perform(
            post("/cost/" + lot)
                .param("version", String.valueOf(lots.get(lot).version()))
                .param("method", "ALL_ON_THE_MAINS")
                .param("portion", "9 kg")
                .cookie(ines)
                .with(csrf()))
        .andExpect(
            flash()
                .attribute(
                    "sentence", containsString("A portion must weigh between 5 g and 5.000 kg")))
        .andExpect(flash().attribute("typedCost", hasEntry("portion", "9 kg")));
  }

  private ResultActions cook(String slot, String out, String flesh) throws Exception {
    return mvc.perform(
        post("/uses/" + lot + "/parts/" + slot + "/cooked")
            .param("out", out)
            .param("flesh", flesh)
            .cookie(ines)
            .with(csrf()));
  }

  @Test
  public void whatCookingTookIsSaidAndCanBeTakenBack() throws Exception {
    usual();
    cook("fillet-left", "1120", "");
    // 1.318 kg raw are seven plates of 180 g
    page("/uses/" + lot)
        .andExpect(content().string(containsString("1.120 kg off the heat (15.0 % lost)")))
        .andExpect(content().string(containsString("160 g on a plate")));
    cook("fillet-left", "1.12 kg", "1050");
    page("/uses/" + lot)
        .andExpect(content().string(containsString("1.050 kg off the bone")))
        .andExpect(content().string(containsString("150 g on a plate")));
    assertEquals(sheets.get(lot).find("fillet-left").orElseThrow().mass(), Mass.ofGrams(1318));
    cook("fillet-left", "", "");
    page("/uses/" + lot).andExpect(content().string(not(containsString("% lost)"))));
  }

  @Test
  public void aCookedWeightThatCannotBeIsRefusedAndStaysInItsField() throws Exception {
    usual();
    cook("fillet-left", "2 kg", "")
        .andExpect(
            flash().attribute("sentence", containsString("can’t come off the heat with 2.000 kg")))
        .andExpect(flash().attribute("typedCooked", hasEntry("out", "2 kg")));
    cook("fillet-left", "1 kg", "1.1 kg")
        .andExpect(flash().attribute("sentence", containsString("come off the bone")));
    for (String bad : List.of("-5", "<b>", "0", "a lot")) {
      cook("fillet-left", bad, "").andExpect(flash().attributeExists("sentence"));
    }
    page("/uses/" + lot).andExpect(content().string(not(containsString("% lost)"))));
    cook("wing", "1 kg", "").andExpect(status().isNotFound());
  }

  @Test
  public void aPartForTheBinIsNotAskedForItsCookedWeight() throws Exception {
    usual();
    String page = page("/uses/" + lot).andReturn().getResponse().getContentAsString(UTF_8);
    assertTrue(page.contains("/parts/fillet-left/cooked"));
    assertFalse(page.contains("/parts/gills/cooked"));
  }

  private Delivery receipt() {
    return new Delivery(
        UUID.randomUUID(),
        1,
        new Receipt(
            catalogue.now().getSpecies("hake"),
            State.GUTTED,
            1,
            Mass.ofKilograms("4.860"),
            Optional.empty(),
            Optional.of(
                UnitPrice.ofPerKilogram(ExactMoney.of("11.40", Currency.getInstance("EUR")))),
            "Grey Skerry Landings",
            Origin.WILD,
            LocalDate.now(ZoneOffset.UTC),
            "",
            Arrival.UNASKED));
  }

  private ResultActions page(String path) throws Exception {
    return mvc.perform(get(path).cookie(ines)).andExpect(status().isOk());
  }

  private void assign(String part, String purpose, String field, String value) throws Exception {
    post(part, purpose).apply(field, value).send().andExpect(flash().attributeCount(0));
  }

  private Sending post(String part, String purpose) {
    int version = sheets.get(lot).find(part).orElseThrow().version();
    return new Sending(
        post("/uses/" + lot + "/parts/" + part)
            .param("version", String.valueOf(version))
            .param("purpose", purpose));
  }

  private static MockHttpServletRequestBuilder post(String path) {
    return MockMvcRequestBuilders.post(path);
  }

  /** A form being filled in. */
  private final class Sending {

    private final MockHttpServletRequestBuilder request;

    private Sending(MockHttpServletRequestBuilder request) {
      this.request = request;
    }

    private Sending apply(String field, String value) {
      request.param(field, value);
      return this;
    }

    private ResultActions send() throws Exception {
      return mvc.perform(request.cookie(ines).with(csrf()));
    }
  }
}
