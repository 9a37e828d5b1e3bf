package mosaicknife.app;

import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import com.jayway.jsonpath.JsonPath;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mosaicknife.core.anatomy.State;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.ApplicationContext;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.testng.annotations.Test;

/** A field that a person may not see is neither sent to them, taken from them, nor cleared. */
public class FieldsAndRolesTest extends WithPages {

  /** Money as any page writes it: with the sign of the currency or as a price per mass. */
  private static final Pattern MONEY =
      Pattern.compile(
          "[€£$]\\s?\\d|\\d\\s?[€£$]|\\d/(kg|lb)\\b|\\bEUR\\b|\"(price|cost|value|amount)[A-Za-z]*\":");

  @Autowired private ApplicationContext app;
  @Autowired private JdbcClient jdbc;

  /** What stands for the variables of an address: lots, orders, makings and so on of the demo. */
  private static final List<String> VALUES = List.of("1", "3", "5", "hake", "frame");

  /** Pages of one address differ by what they are about, not by who may see it. */
  private static final int ENOUGH = 2;

  /** Walks every address that shows something, as the application itself lists them. */
  private Map<String, String> shownTo(String who) throws Exception {
    Map<String, String> shown = new TreeMap<>();
    for (String path : addresses()) {
      int found = 0;
      for (String value : path.contains("{") ? VALUES : List.of("")) {
        if (found == ENOUGH) {
          break;
        }
        String address = path.replaceAll("\\{[^/]*}(?=/|\\.|$)", value);
        MockHttpServletRequestBuilder request = get(address).cookie(session(who));
        if (path.startsWith("/api/")) {
          request = get(address).header("Authorization", "Bearer " + token(who));
        }
        MockHttpServletResponse answer = mvc.perform(request).andReturn().getResponse();
        assertTrue(answer.getStatus() < 500, address + " for " + who + " fails");
        if (answer.getStatus() == 200) {
          shown.put(address, textOf(answer));
          found++;
        }
      }
    }
    return shown;
  }

  private Set<String> addresses() {
    Set<String> paths = new TreeSet<>();
    app.getBean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class)
        .getHandlerMethods()
        .forEach(
            (info, method) -> {
              boolean shows =
                  info.getMethodsCondition().getMethods().contains(RequestMethod.GET)
                      && method.getBeanType().getName().startsWith("mosaicknife");
              boolean streams = info.getPatternValues().toString().contains("/stream");
              if (shows && !streams) {
                paths.addAll(info.getPatternValues());
              }
            });
    return paths;
  }

  private static String textOf(MockHttpServletResponse answer) throws IOException {
    if (String.valueOf(answer.getContentType()).startsWith("application/pdf")) {
      try (PDDocument pdf = Loader.loadPDF(answer.getContentAsByteArray())) {
        return new PDFTextStripper().getText(pdf);
      }
    }
    return answer
        .getContentAsString(StandardCharsets.UTF_8)
        .replaceAll("placeholder=\"[^\"]*\"", "");
  }

  @Test
  public void noMoneyReachesWhoMayNotSeeCosts() throws Exception {
    List<String> leaks = new ArrayList<>();
    int looks = 0;
    for (String who : List.of("tobiah", "maren")) {
      Map<String, String> shown = shownTo(who);
      looks += shown.size();
      assertTrue(shown.size() > 60, who + " was shown only " + shown.size());
      shown.forEach(
          (address, text) -> {
            Matcher money = MONEY.matcher(text);
            if (money.find()) {
              int at = money.start();
              leaks.add(
                  "%s for %s: …%s…"
                      .formatted(
                          address,
                          who,
                          text.substring(Math.max(0, at - 40), Math.min(text.length(), at + 20))));
            }
          });
    }
    System.out.printf(
        "drilled | pages, sheets and answers by role, money looked for | %d | %d | 0 | %s%n",
        looks, leaks.size(), leaks.isEmpty() ? "held" : "FAILED");
    assertEquals(String.join("\n", leaks), "");
  }

  @Test
  public void thePatternKnowsMoneyWhereItMayBeSeen() throws Exception {
    Map<String, String> shown = shownTo("ines");
    long pages = shown.values().stream().filter(text -> MONEY.matcher(text).find()).count();
    assertTrue(pages > 20, "or the test above shows nothing: only " + pages);
    for (String one :
        List.of("/dock/1", "/api/v1/lots/1", "/cost/1/sheet.pdf", "/cost/1/sheet.csv")) {
      assertTrue(MONEY.matcher(shown.get(one)).find(), one);
    }
  }

  @Test
  public void anAgreedPriceIsTakenFromTheOrderNotFromTheForm() throws Exception {
    String agreed =
        jdbc.sql("select price_per_kg from order_line where id = 1").query(String.class).single();
    assertFalse(page("tobiah", "/dock/receive?line=1").contains("name=\"price\""));
    long lot = received("tobiah", "0.01/kg");
    assertEquals(priceOf(lot), agreed, "the butcher's hidden field counts for nothing");
    System.out.println("drilled | a price sent by who sees none, for an order | 1 | 0 | 0 | held");
    assertEquals(priceOf(received("ines", "7.77/kg")), "7.7700000000");
  }

  @Test
  public void whoSeesNoPricesLeavesThemToCome() throws Exception {
    assertFalse(page("tobiah", "/dock/receive").contains("name=\"price\""));
    long lot = received("tobiah", "0.01/kg", "");
    String sent =
        mvc.perform(
                post("/api/v1/lots")
                    .header("Authorization", "Bearer " + token("tobiah"))
                    .contentType(MediaType.APPLICATION_JSON)
                    .content(
                        """
                        {"id": "%s", "species": "hake", "state": "GUTTED", "origin": "WILD",
                         "fish": "1", "invoiced": "3 kg", "price": "0.02/kg", "venue": "1",
                         "supplier": "Holm Sound Boats", "landedOn": "%s"}
                        """
                            .formatted(UUID.randomUUID(), LocalDate.now(ZoneOffset.UTC))))
            .andReturn()
            .getResponse()
            .getContentAsString(StandardCharsets.UTF_8);
    long called = JsonPath.<Integer>read(sent, "$.id");
    for (long one : List.of(lot, called)) {
      assertEquals(priceOf(one), "to come");
      for (String station : List.of("dock", "plan", "bench", "slice", "uses", "cost")) {
        MockHttpServletResponse shown =
            mvc.perform(get("/" + station + "/" + one).cookie(session("ines")))
                .andReturn()
                .getResponse();
        assertEquals(shown.getStatus(), 200, station);
      }
      assertTrue(page("ines", "/").contains("/cost/" + one + "\""), "Today asks for it");
      assertFalse(page("tobiah", "/").contains("has no price yet"), "not of who may not");
      assertTrue(page("ines", "/cost/" + one).contains("What did it cost?"));
      String claimed =
          follow(
              "tobiah",
              "/dock/" + one + "/claims",
              "id",
              UUID.randomUUID().toString(),
              "kind",
              "QUALITY",
              "mass",
              "300 g",
              "reason",
              "soft");
      assertTrue(claimed.contains("isn’t written down yet"), claimed);
      String version =
          jdbc.sql("select version from lot where id = ?").param(one).query(String.class).single();
      assertEquals(typed("tobiah", one, version, "0.01/kg").getStatus(), 403);
      String wrong =
          follow("ines", "/cost/" + one + "/price", "version", version, "price", "11.20/box");
      assertTrue(wrong.contains("value=\"11.20/box\""), "what was typed stays");
      assertEquals(priceOf(one), "to come");
      typed("ines", one, version, "11.20/kg");
      assertEquals(priceOf(one), "11.2000000000");
      typed("ines", one, version, "1.20/kg");
      assertEquals(priceOf(one), "11.2000000000", "once");
    }
    System.out.println("drilled | a price sent by who sees none, no order | 2 | 0 | 0 | held");
  }

  private MockHttpServletResponse typed(String who, long lot, String version, String price)
      throws Exception {
    return send(who, "/cost/" + lot + "/price", "version", version, "price", price);
  }

  private long received(String who, String price) throws Exception {
    return received(who, price, "1");
  }

  private long received(String who, String price, String line) throws Exception {
    String location =
        send(
                who,
                "/dock/receive",
                "id",
                UUID.randomUUID().toString(),
                "line",
                line,
                "species",
                "hake",
                "state",
                "GUTTED",
                "origin",
                "WILD",
                "fish",
                "1",
                "landedOn",
                LocalDate.now(ZoneOffset.UTC).toString(),
                "supplier",
                "Grey Skerry Landings",
                "venue",
                "1",
                "invoiced",
                "3.2 kg",
                "price",
                price)
            .getRedirectedUrl();
    return Long.parseLong(location.replaceAll("\\D", ""));
  }

  private String priceOf(long lot) {
    return jdbc.sql("select coalesce(price_per_kg::text, 'to come') from lot where id = ?")
        .param(lot)
        .query(String.class)
        .single();
  }

  @Test
  public void aCreditValueIsNeitherSetNorWipedByWhoMayNotSeeIt() throws Exception {
    long lot = new TestLots(app).receive("hake", State.GUTTED, 1, "3.000");
    decide("tobiah", lot, 0, "POT", "9.99/kg");
    assertEquals(valueOf(lot), "none", "a hidden field of the butcher's counts for nothing");
    decide("ines", lot, 1, "POT", "1.80/kg");
    assertEquals(valueOf(lot), "1.8000000000");
    decide("tobiah", lot, 2, "SECOND_PLATE", "");
    assertEquals(valueOf(lot), "1.8000000000", "what the sous chef set stays");
    decide("ines", lot, 3, "SECOND_PLATE", "");
    assertEquals(valueOf(lot), "none");
  }

  private void decide(String who, long lot, int version, String purpose, String value)
      throws Exception {
    send(
        who,
        "/uses/" + lot + "/parts/frame",
        "version",
        "" + version,
        "purpose",
        purpose,
        "becomes",
        "white stock",
        "value",
        value);
  }

  private String valueOf(long lot) {
    return jdbc.sql(
            "select coalesce(value_per_kg::text, 'none') from lot_part where lot_id = ? and slot ="
                + " 'frame'")
        .param(lot)
        .query(String.class)
        .single();
  }
}
