package mosaicknife.app;

import static org.hamcrest.Matchers.containsInAnyOrder;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The API as another program sees it. */
public class ApiTest extends WithDatabase {

  private static final String HAKE =
      """
      {"state":"GUTTED","purchased":"4.860 kg","species":"hake","price":"11.40/kg",
       "portionTarget":"180 g","method":"%s","parts":[
        {"kind":"head","mass":"0.985","purpose":"POT","value":"1.80"},
        {"kind":"gills","mass":"62 g","purpose":"COMPOST"},
        {"kind":"frame","mass":"0.612","purpose":"POT","value":"1.80"},
        {"kind":"fins","mass":"0.118","purpose":"COMPOST"},
        {"kind":"belly","mass":"0.172","purpose":"SECOND_PLATE","value":"9.00"},
        {"kind":"collar","mass":"0.214","purpose":"SECOND_PLATE","value":"8.00"},
        {"id":"left","kind":"fillet","mass":"1.318","purpose":"PLATE"},
        {"id":"right","kind":"fillet","mass":"1.292","purpose":"PLATE"}]}
      """;

  @Test
  public void evaluatesTheWorkedHakeToTheDigit() throws Exception {
    evaluate(HAKE.formatted("ALL_ON_THE_MAINS"))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.balance.verdict").value("CLOSED"))
        .andExpect(jsonPath("$.balance.remainderGrams").value(87.0))
        .andExpect(jsonPath("$.balance.remainderPercent").value(1.7901))
        .andExpect(jsonPath("$.yields[?(@.basis=='GUTTED')].mainsPercent", hasItem(53.7037)))
        .andExpect(jsonPath("$.cost.ediblePricePerKilogram").value(21.227586))
        .andExpect(jsonPath("$.cost.costFactor").value(1.862069))
        .andExpect(jsonPath("$.cost.portions").value(14))
        .andExpect(jsonPath("$.cost.overGrams").value(90.0))
        .andExpect(jsonPath("$.cost.portionByWeight").value(3.820966))
        .andExpect(jsonPath("$.cost.portionByCount").value(3.957429));
    evaluate(HAKE.formatted("BY_PRODUCT_CREDIT"))
        .andExpect(jsonPath("$.cost.credit").value(6.1346))
        .andExpect(jsonPath("$.cost.onMains").value(49.2694))
        .andExpect(jsonPath("$.cost.portionByCount").value(3.519243));
  }

  @Test
  public void namesEveryFieldItDoesNotUnderstand() throws Exception {
    evaluate(
            """
            {"purchased":"abc","price":"11.40/box","portionTarget":"-1","currency":"XQQ",
             "parts":[{"kind":"fin of a shark","mass":"1 kg"},{"kind":"fillet","mass":"10 t"}]}
            """)
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().contentType(MediaType.APPLICATION_PROBLEM_JSON))
        .andExpect(jsonPath("$.fields.state").value("The field state is missing."))
        .andExpect(jsonPath("$.fields.purchased", containsString("“abc” is not a number")))
        .andExpect(jsonPath("$.fields.portionTarget", containsString("below zero")))
        .andExpect(jsonPath("$.fields['parts[0]']", containsString("is no part kind")))
        .andExpect(jsonPath("$.fields['parts[1]']", containsString("“t” is not a unit")));
    evaluate("{\"state\": \"FLOATING\"").andExpect(status().isBadRequest());
  }

  @Test
  public void refusesTooManyPartsTwoOfOneNameAndAnUnknownSpecies() throws Exception {
    String part = "{\"kind\":\"fillet\",\"mass\":\"1 g\"},";
    String many = part.repeat(201).replaceAll(",$", "");
    evaluate(
            """
            {"state":"GUTTED","purchased":"5 kg","price":"1/kg","portionTarget":"180 g",
             "species":"kraken","fish":0,"parts":[%s]}
            """
                .formatted(many))
        .andExpect(status().isUnprocessableContent())
        .andExpect(jsonPath("$.fields.species", containsString("“kraken” is no species")))
        .andExpect(jsonPath("$.fields.fish", containsString("0 is no count")))
        .andExpect(jsonPath("$.fields.parts", containsString("same id")));
  }

  @Test
  public void withoutMainsThereIsABalanceAndNoCost() throws Exception {
    evaluate(
            """
            {"state":"UNGUTTED","purchased":"1 kg","price":"1/kg","portionTarget":"180 g",
             "parts":[{"kind":"fillet","mass":"1.2 kg"}]}
            """)
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.balance.verdict").value("OVER"))
        .andExpect(jsonPath("$.balance.remainderGrams").value(-200.0))
        .andExpect(jsonPath("$.yields.length()").value(0))
        .andExpect(jsonPath("$.usableYieldPercent").doesNotExist())
        .andExpect(jsonPath("$.cost").doesNotExist());
  }

  @Test
  public void gillsGoOnNoPlateAndGoldIsNoMoney() throws Exception {
    evaluate(
            """
            {"state":"UNGUTTED","purchased":"1 kg","price":"1/kg","portionTarget":"180 g","currency":"XAU",
             "parts":[{"kind":"gills","mass":"30 g","purpose":"POT"},{"kind":"guts","mass":"90 g","purpose":"PLATE"}]}
            """)
        .andExpect(status().isUnprocessableContent())
        .andExpect(jsonPath("$.fields.currency", containsString("“XAU” is no currency")))
        .andExpect(jsonPath("$.fields['parts[0]']", containsString("compost or bin")))
        .andExpect(jsonPath("$.fields['parts[1]']", containsString("compost or bin")));
  }

  @Test
  public void saysBackWhatWasUnderstoodAndCountsAPieceOfEachFish() throws Exception {
    evaluate(
            """
            {"state":"GUTTED","purchased":"2.2 lb","price":"12/kg","portionTarget":"100 g","fish":4,
             "parts":[{"kind":"fillet","mass":"480 g","purpose":"PLATE"},
                      {"kind":"frame","mass":"210 g","purpose":"POT"},
                      {"kind":"head","mass":"8 oz","purpose":"COMPOST","pieces":2}]}
            """)
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.understood.purchasedGrams").value(997.903))
        .andExpect(jsonPath("$.understood.pricePerKilogram").value(12.0))
        .andExpect(jsonPath("$.understood.parts[0].pieces").value(4))
        .andExpect(jsonPath("$.understood.parts[2].pieces").value(2))
        .andExpect(jsonPath("$.understood.parts[2].grams").value(226.796))
        // four fillets of 120 g are four plates, not the four and 80 g of one of 480 g
        .andExpect(jsonPath("$.cost.portions").value(4))
        .andExpect(jsonPath("$.cost.portionsEstimated").value(true))
        .andExpect(jsonPath("$.keptPercent").value(21.0441))
        .andExpect(jsonPath("$.discardedPercent").value(22.7273));
  }

  @Test
  public void aLotWithWrongFieldsNamesThemAll() throws Exception {
    mvc.perform(as("ines", json(post("/api/v1/lots"), "{\"species\":\"<script>\"}")))
        .andExpect(status().isUnprocessableContent())
        .andExpect(jsonPath("$.detail").value("8 fields were not understood. Nothing was saved."))
        .andExpect(jsonPath("$.fields.price", containsString("No price was typed")));
    mvc.perform(
            as(
                "tobiah",
                json(
                    post("/api/v1/lots"),
                    lot(UUID.randomUUID()).replace("\"1\",\"invoiced", "\"700\",\"invoiced"))))
        .andExpect(status().isUnprocessableContent())
        .andExpect(
            jsonPath("$.fields.fish", containsString("“700” isn’t a whole number from 1 to 500")));
  }

  @Test
  public void aTokenIsNeededAndCarriesItsRole() throws Exception {
    mvc.perform(get("/api/v1/lots"))
        .andExpect(status().isUnauthorized())
        .andExpect(content().contentType(MediaType.APPLICATION_PROBLEM_JSON));
    mvc.perform(get("/api/v1/lots").header("Authorization", "Bearer made-up"))
        .andExpect(status().isUnauthorized());
    mvc.perform(json(post("/api/v1/tokens"), "{\"name\":\"ines\",\"password\":\"wrong\"}"))
        .andExpect(status().isUnauthorized())
        .andExpect(content().contentType(MediaType.APPLICATION_PROBLEM_JSON));
    mvc.perform(as("ines", get("/api/v1/lots/1")))
        .andExpect(jsonPath("$.pricePerKilogram").value(11.4));
    mvc.perform(as("maren", get("/api/v1/lots/1")))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.pricePerKilogram").doesNotExist());
    mvc.perform(as("maren", json(post("/api/v1/lots"), lot(UUID.randomUUID()))))
        .andExpect(status().isForbidden());
  }

  @Test
  public void tooManyTriesAreToldWhenToComeBack() throws Exception {
    String wrong = "{\"name\":\"guessed-by-program\",\"password\":\"wrong\"}";
    for (int i = 0; i < 5; i++) {
      mvc.perform(from("10.4.0.1", json(post("/api/v1/tokens"), wrong)))
          .andExpect(status().isUnauthorized());
    }
    mvc.perform(from("10.4.0.1", json(post("/api/v1/tokens"), wrong)))
        .andExpect(status().isTooManyRequests())
        .andExpect(header().string("Retry-After", "900"));
  }

  private static MockHttpServletRequestBuilder from(
      String address, MockHttpServletRequestBuilder request) {
    return request.with(
        sent -> {
          sent.setRemoteAddr(address);
          return sent;
        });
  }

  @Test
  public void anIdentifierIsAUuidAndMeansOneThingForEver() throws Exception {
    UUID id = UUID.randomUUID();
    mvc.perform(as("tobiah", json(post("/api/v1/lots"), lot(id).replace(id.toString(), "my-lot"))))
        .andExpect(status().isUnprocessableContent())
        .andExpect(jsonPath("$.fields.id", containsString("UUID")));
    String first =
        mvc.perform(as("tobiah", json(post("/api/v1/lots"), lot(id))))
            .andExpect(status().isCreated())
            .andReturn()
            .getResponse()
            .getContentAsString();
    int lot = JsonPath.read(first, "$.id");
    mvc.perform(as("tobiah", json(post("/api/v1/lots"), lot(id))))
        .andExpect(status().isCreated())
        .andExpect(jsonPath("$.id").value(lot));
    mvc.perform(as("tobiah", json(post("/api/v1/lots"), lot(id).replace("3.950", "4.950"))))
        .andExpect(status().isConflict());
    String weighing =
        "{\"id\":\"%s\",\"part\":\"head\",\"mass\":\"310 g\"}".formatted(UUID.randomUUID());
    String address = "/api/v1/lots/" + lot + "/weighings";
    mvc.perform(as("tobiah", json(post(address), weighing))).andExpect(status().isCreated());
    mvc.perform(as("tobiah", json(post(address), weighing))).andExpect(status().isCreated());
    for (String other :
        List.of(weighing.replace("310 g", "311 g"), weighing.replace("\"head\"", "\"frame\""))) {
      mvc.perform(as("tobiah", json(post(address), other))).andExpect(status().isConflict());
    }
    mvc.perform(as("tobiah", get(address))).andExpect(jsonPath("$.length()").value(1));
  }

  @Test
  public void whatIsNotKnownIsRefusedAndNotIgnored() throws Exception {
    for (String body :
        List.of(
            lot(UUID.randomUUID()).replace("\"note\"", "\"notes\"").replace("{", "{\"colour\":1,"),
            "null",
            "[]",
            "{\"id\":")) {
      mvc.perform(as("tobiah", json(post("/api/v1/lots"), body)))
          .andExpect(status().isBadRequest());
    }
    mvc.perform(
            as(
                "tobiah",
                json(post("/api/v1/lots"), lot(UUID.randomUUID()).replace("GUTTED", "SMOKED"))))
        .andExpect(status().isUnprocessableContent())
        .andExpect(jsonPath("$.fields.state").exists());
  }

  @Test
  public void receivesALotAndWeighsItOnce() throws Exception {
    String body = lot(UUID.randomUUID());
    String created =
        mvc.perform(as("tobiah", json(post("/api/v1/lots"), body)))
            .andExpect(status().isCreated())
            .andExpect(jsonPath("$.species").value("pollack"))
            .andReturn()
            .getResponse()
            .getContentAsString();
    Integer id = JsonPath.read(created, "$.id");
    mvc.perform(as("tobiah", json(post("/api/v1/lots"), body)))
        .andExpect(jsonPath("$.id").value(id));

    String weighings = "/api/v1/lots/" + id + "/weighings";
    String head =
        "{\"id\":\"%s\",\"part\":\"head\",\"mass\":\"1 lb 4 oz\"}".formatted(UUID.randomUUID());
    for (int twice = 0; twice < 2; twice++) {
      mvc.perform(as("tobiah", json(post(weighings), head)))
          .andExpect(status().isCreated())
          // 20 oz = 566.990 g
          .andExpect(jsonPath("$.talliedGrams").value(566.99));
    }
    mvc.perform(as("tobiah", get(weighings)))
        .andExpect(jsonPath("$.length()").value(1))
        .andExpect(jsonPath("$[0].typed").value("1 lb 4 oz"));
    mvc.perform(as("tobiah", json(post(weighings), "{\"part\":\"head\",\"mass\":\"1.2 kg\"}")))
        .andExpect(status().isConflict())
        .andExpect(jsonPath("$.detail", containsString("Head was already weighed")));
    mvc.perform(as("tobiah", get("/api/v1/lots/987654"))).andExpect(status().isNotFound());
  }

  @Test
  public void describesItselfByOpenApi() throws Exception {
    mvc.perform(get("/api/v1/openapi"))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.info.title").value("Mosaic Knife"))
        .andExpect(jsonPath("$.components.securitySchemes.token.scheme").value("bearer"))
        .andExpect(jsonPath("$.paths['/api/v1/evaluate/breakdown'].post.summary").exists())
        .andExpect(jsonPath("$.paths['/api/v1/lots/{id}/weighings'].post.summary").exists())
        .andExpect(
            jsonPath("$.paths['/api/v1/lots/{id}/weighings'].post.responses['422']").exists())
        .andExpect(jsonPath("$.paths['/api/v1/lots/{id}'].get.responses['404']").exists())
        .andExpect(jsonPath("$.paths[*][*].responses['401']", hasSize(12)))
        .andExpect(jsonPath("$.paths[*][*].summary", hasSize(12)))
        .andExpect(jsonPath("$.info.license.identifier").value("Apache-2.0"))
        .andExpect(
            jsonPath("$.components.schemas.PageJson.required")
                .value(containsInAnyOrder("lots", "page", "pages", "total")))
        .andExpect(jsonPath("$.components.schemas.LotJson.required").value(hasItem("id")))
        .andExpect(jsonPath("$.components.schemas.CostRequest.required").doesNotExist());
  }

  private static final String FILLET =
      """
      {"species":"hake","part":"fillet-left","mass":"1.318 kg","fish":"4.860 kg"%s,
       "types":[{"name":"main","target":"180 g"%s}]}
      """;

  @Test
  public void cutsAFilletAsThePageDoes() throws Exception {
    portions(FILLET.formatted("", ""))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.portions").value(7))
        .andExpect(jsonPath("$.overGrams").value(58.0))
        .andExpect(jsonPath("$.measured").value(false))
        .andExpect(jsonPath("$.pieces.length()").value(8))
        .andExpect(jsonPath("$.pieces[0].fromCentimetres").value(0.0))
        .andExpect(jsonPath("$.pieces[0].bones").value(true))
        .andExpect(jsonPath("$.pieces[7].type").value(org.hamcrest.Matchers.nullValue()));
    portions(FILLET.formatted(",\"overPerKilogram\":900000", ",\"value\":100"))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.portions").value(0));
    portions(FILLET.formatted(",\"length\":50.0", ",\"boneless\":true"))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.measured").value(true))
        .andExpect(jsonPath("$.centimetres").value(50.0))
        .andExpect(jsonPath("$.portions").value(2));
  }

  @Test
  public void saysWhatIsWrongWithAFillet() throws Exception {
    portions("{\"species\":\"kraken\",\"mass\":\"900 t\",\"types\":[]}")
        .andExpect(status().isUnprocessableContent())
        .andExpect(jsonPath("$.fields.species", containsString("kraken")))
        .andExpect(jsonPath("$.fields.mass").exists())
        .andExpect(jsonPath("$.fields.types", containsString("0 were asked for")));
    portions(FILLET.formatted(",\"length\":12", ""))
        .andExpect(status().isUnprocessableContent())
        .andExpect(jsonPath("$.fields.part", containsString("12 cm cannot be")));
    portions(FILLET.formatted("", ",\"lightest\":\"190 g\""))
        .andExpect(status().isUnprocessableContent())
        .andExpect(jsonPath("$.fields['types[0]']", containsString("limits around it")));
    portions(FILLET.formatted("", "").replace("fillet-left", "wing"))
        .andExpect(status().isUnprocessableContent())
        .andExpect(jsonPath("$.fields.part", containsString("is no part of")));
    String type = "{\"name\":\"a\",\"target\":\"90 g\"},";
    portions(FILLET.formatted("", "").replace("\"types\":[", "\"types\":[" + type.repeat(200)))
        .andExpect(status().isUnprocessableContent())
        .andExpect(jsonPath("$.fields.types", containsString("201 were asked for")));
    portions("{\"types\":[null]}").andExpect(status().isUnprocessableContent());
    portions(FILLET.formatted("", ",\"lightest\":\"20 g\",\"heaviest\":\"400 g\""))
        .andExpect(status().isUnprocessableContent())
        .andExpect(jsonPath("$.fields['types[0]']", containsString("no wider than the target")));
    String wide =
        "{\"name\":\"a\",\"target\":\"20 kg\",\"lightest\":\"10 kg\",\"heaviest\":\"30 kg\"}";
    portions(
            FILLET
                .formatted("", "")
                .replace("1.318 kg", "40 kg")
                .replace("4.860 kg", "40 kg")
                .replace("\"types\":[", "\"types\":[" + wide + ","))
        .andExpect(status().isUnprocessableContent())
        .andExpect(jsonPath("$.fields.types", containsString("too much to work out")));
  }

  @Test
  public void cutsAndCountsWithoutBonesAndInOtherStyles() throws Exception {
    portions(FILLET.formatted(",\"pinBones\":\"STRIP\",\"withoutBones\":7", ""))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.withoutBones").value(7))
        .andExpect(jsonPath("$.stripGrams").value(41.517));
    portions(FILLET.formatted(",\"pinBones\":\"ABOVE_THE_ROW\"", ""))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.pieces[0].zone").value("BACK"));
    portions(FILLET.formatted("", ",\"style\":\"STEAK\",\"boneless\":true"))
        .andExpect(status().isUnprocessableContent())
        .andExpect(jsonPath("$.fields['types[0]']", containsString("across the bone")));
    portions(FILLET.formatted(",\"pinBones\":\"CHEWED\",\"withoutBones\":-1", ""))
        .andExpect(status().isUnprocessableContent())
        .andExpect(jsonPath("$.fields.pinBones", containsString("none of LEFT_IN")))
        .andExpect(jsonPath("$.fields.withoutBones").exists());
    String type = "{\"name\":\"a\",\"target\":\"90 g\"},";
    portions(FILLET.formatted("", "").replace("\"types\":[", "\"types\":[" + type.repeat(199)))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.portions").value(14));
  }

  @DataProvider
  public static Object[][] unfit() {
    return new Object[][] {
      {"patterns", "{}", "fillets"},
      {"patterns", "{\"fillets\":[null],\"wanted\":[null]}", "wanted"},
      {"patterns", FILLETS.formatted("a", "a", 3), "fillets[1]"},
      {"patterns", FILLETS.formatted("a", "b", -3), "wanted[0]"},
      {"patterns", FILLETS.formatted("a", "b", 3).replace("hake", "kraken"), "fillets[0].species"},
      {"cost", "{}", "breakdown"},
      {"cost", COST.formatted("-1", "0"), "freight"},
      {"cost", COST.formatted("0", "900"), "claims"},
      {"cost", COST.formatted("99999999", "0"), "freight"},
      {"cost", COST.formatted("0", "0").replace("180 g", "0 g"), "portionTarget"},
      {"compare", "{\"portionTarget\":\"0\",\"contenders\":[]}", "contenders"},
      {"compare", COMPARE.formatted("900 g", "8/kg", "1.8 kg"), "contenders[1]"},
      {"compare", COMPARE.formatted("900 g", "dear", "1 kg"), "contenders[1]"},
      {"compare", COMPARE.formatted("-1 kg", "8/kg", "1 kg"), "contenders[1]"},
      {"order", "{}", "offers"},
      {"order", ORDER.formatted(24, "4 kg", "2 kg"), "offers[0]"},
      {"order", ORDER.formatted(9000, "2 kg", "4 kg"), "portions"},
      {"order", ORDER.formatted(24, "2 kg", "4 kg").replace("hake", "kraken"), "offers[0]"},
    };
  }

  private static final String FILLETS =
      """
      {"fillets":[{"id":"%s","species":"hake","part":"fillet-left","mass":"900 g","fish":"3 kg"},
                  {"id":"%s","species":"hake","part":"fillet-left","mass":"900 g","fish":"3 kg"}],
       "wanted":[{"count":%d,"type":{"name":"main","target":"180 g"}}]}
      """;
  private static final String COST =
      """
      {"freight":%s,"claims":%s,"breakdown":{"state":"GUTTED","purchased":"1 kg","price":"10/kg",
       "portionTarget":"180 g","parts":[{"kind":"fillet","mass":"0.5","purpose":"PLATE"}]}}
      """;
  private static final String COMPARE =
      """
      {"portionTarget":"160 g","contenders":[{"purchased":"2 kg","price":"4/kg","cuts":["1 kg"]},
       {"purchased":"5 kg","cuts":["%s","1 kg"],"price":"%s","purchased":"%s"}]}
      """;
  private static final String ORDER =
      """
      {"portionTarget":"180 g","portions":%d,
       "offers":[{"species":"hake","from":"%s","to":"%s","price":"11/kg"}]}
      """;

  @Test(dataProvider = "unfit")
  public void whatIsUnfitIsSaidByItsField(String call, String body, String field) throws Exception {
    mvc.perform(as("ines", json(post("/api/v1/evaluate/" + call), body)))
        .andExpect(status().isUnprocessableContent())
        .andExpect(jsonPath("$.fields['" + field + "']").exists());
  }

  @Test
  public void aFishOfThousandsOfPortionsIsNoOrder() throws Exception {
    String crumbs = ORDER.formatted(24, "100 kg", "400 kg").replace("180 g", "1 g");
    mvc.perform(as("ines", json(post("/api/v1/evaluate/order"), crumbs)))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.candidates.length()").value(0));
  }

  @Test
  public void fishThatWasFreeAndMoneyWithNoneOrThreeDecimals() throws Exception {
    mvc.perform(as("ines", json(post("/api/v1/evaluate/cost"), COST.formatted("0", "10"))))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.methods[0].portionByCount").value(0.0));
    for (String[] money : new String[][] {{"JPY", "1100"}, {"KWD", "1100.000"}}) {
      mvc.perform(
              as(
                  "ines",
                  json(
                      post("/api/v1/evaluate/cost"),
                      COST.formatted("0", "0")
                          .replace("10/kg", "1100/kg")
                          .replace("\"state\"", "\"currency\":\"" + money[0] + "\",\"state\""))))
          .andExpect(status().isOk())
          .andExpect(content().string(containsString("\"lotCost\":" + money[1] + ",")));
    }
  }

  private ResultActions portions(String body) throws Exception {
    return mvc.perform(as("ines", json(post("/api/v1/evaluate/portions"), body)));
  }

  private ResultActions evaluate(String body) throws Exception {
    return mvc.perform(as("ines", json(post("/api/v1/evaluate/breakdown"), body)));
  }

  private static String lot(UUID id) {
    return """
        {"id":"%s","species":"lythe","state":"GUTTED","fish":"1","invoiced":"3.950 kg",
         "price":"8.20/kg","supplier":"Holm Sound Boats","venue":"1","origin":"WILD",
         "landedOn":"%s"}
        """
        .formatted(id, LocalDate.now(ZoneOffset.UTC));
  }

  private static MockHttpServletRequestBuilder json(
      MockHttpServletRequestBuilder request, String body) {
    return request.contentType(MediaType.APPLICATION_JSON).content(body);
  }

  private MockHttpServletRequestBuilder as(String name, MockHttpServletRequestBuilder request)
      throws Exception {
    String answer =
        mvc.perform(
                json(
                    post("/api/v1/tokens"),
                    "{\"name\":\"%s\",\"password\":\"port-sallow-demo\"}".formatted(name)))
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsString();
    String token = JsonPath.read(answer, "$.token");
    return request.header("Authorization", "Bearer " + token);
  }
}
