package mosaicknife.app;

import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;
import static org.testng.Assert.assertTrue;

import com.jayway.jsonpath.JsonPath;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.springframework.http.MediaType;
import org.testng.annotations.Test;

/** The guide to the API, executed: change the code and the guide fails, not the reader. */
public class GuideTest extends WithDatabase {

  private static final Path GUIDE = Path.of("../docs/guide/api.md");

  @Test
  public void theExampleOfTheGuideAnswersWithTheFiguresOfTheGuide() throws Exception {
    String guide = Files.readString(GUIDE);
    String credit = guide.replaceAll("(?s).*/evaluate/breakdown.*? -d '(\\{.*?\\})'\n.*", "$1");
    String answer = send("/api/v1/evaluate/breakdown", credit);
    String flat =
        send("/api/v1/evaluate/breakdown", credit.replace("BY_PRODUCT_CREDIT", "ALL_ON_THE_MAINS"));
    List<String> figures =
        List.of(
            figure(answer, "$.balance.remainderGrams").replaceAll("\\.0+$", "") + " g",
            figure(answer, "$.balance.remainderPercent") + " %",
            figure(answer, "$.cost.portions") + " portions",
            figure(answer, "$.cost.credit").replaceAll("0+$", ""),
            figure(answer, "$.cost.onMains").replaceAll("0+$", ""),
            figure(answer, "$.cost.portionByCount"),
            figure(flat, "$.cost.portionByCount"),
            figure(flat, "$.cost.portionByWeight"));
    for (String figure : figures) {
      assertTrue(guide.contains(figure), "the guide does not say " + figure);
    }
  }

  @Test
  public void theFilletOfTheGuideIsCutAsTheGuideSays() throws Exception {
    String guide = Files.readString(GUIDE);
    String fillet = guide.replaceAll("(?s).*/evaluate/portions.*? -d '(\\{.*?\\})'\n.*", "$1");
    String answer = send("/api/v1/evaluate/portions", fillet);
    assertTrue(guide.contains("(" + figure(answer, "$.centimetres") + " cm)"), answer);
    assertTrue(
        figure(answer, "$.portions").equals("7") && guide.contains("seven portions"), answer);
  }

  @Test
  public void servicesCostsComparisonsAndOrdersAnswerAsTheGuideSays() throws Exception {
    String patterns = example("patterns");
    says(patterns, "$.lostGrams", " g lost of what is cut");
    says(patterns, "$.byHandServed", " portions and");
    says(patterns, "$.byHandLostGrams", " g lost.");
    assertTrue(figure(patterns, "$.proved").equals("true"), patterns);
    String cost = example("cost");
    for (int method = 0; method < 4; method++) {
      says(cost, "$.methods[" + method + "].portionByCount", "");
    }
    says(cost, "$.ladder[8].perPortion", ".");
    String compare = example("compare");
    says(compare, "$.contenders[0].plate", " a plate for the cheap one");
    says(compare, "$.contenders[1].lowestYieldPercent", " % or up to");
    says(compare, "$.contenders[1].highestPrice", " a kilogram");
    String order = example("order");
    says(order, "$.candidates[1].fish", " fish of the whole hake");
    says(order, "$.candidates[1].riskPercent", " % that");
    says(order, "$.candidates[1].riskIfLeanPercent", " % if");
  }

  private String example(String call) throws Exception {
    String guide = Files.readString(GUIDE);
    return send(
        "/api/v1/evaluate/" + call,
        guide.replaceAll("(?s).*/evaluate/" + call + ".*? -d '(\\{.*?\\})'\n.*", "$1"));
  }

  private static void says(String answer, String path, String after) throws Exception {
    String figure = figure(answer, path) + after;
    assertTrue(
        Files.readString(GUIDE).replace("\n", " ").contains(figure),
        "the guide does not say " + figure);
  }

  private String send(String path, String body) throws Exception {
    String signIn = "{\"name\":\"ines\",\"password\":\"port-sallow-demo\"}";
    String token = JsonPath.read(answer("/api/v1/tokens", signIn, "none"), "$.token");
    return answer(path, body, token);
  }

  private String answer(String path, String body, String token) throws Exception {
    return mvc.perform(
            post(path)
                .header("Authorization", "Bearer " + token)
                .contentType(MediaType.APPLICATION_JSON)
                .content(body))
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsString();
  }

  private static String figure(String answer, String path) {
    return String.valueOf(JsonPath.<Object>read(answer, path));
  }
}
