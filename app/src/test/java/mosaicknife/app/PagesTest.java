package mosaicknife.app;

import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.hamcrest.Matchers.nullValue;
import static org.hamcrest.Matchers.startsWith;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.flash;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrlPattern;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import jakarta.servlet.http.Cookie;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.anatomy.State;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MvcResult;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What pages answer to whom, and to bad input. */
public class PagesTest extends WithDatabase {

  private static final String SCRIPT = "<script>alert('x')</script>";

  @Autowired private LotSheets sheets;

  private final Map<String, Cookie> sessions = new HashMap<>();

  @DataProvider
  Object[][] doors() {
    return new Object[][] {
      // page, owner, sous chef, butcher, learner
      {"/", 200, 200, 200, 200},
      {"/dock/receive", 200, 200, 200, 403},
      {"/dock/1", 200, 200, 200, 200},
      {"/lots", 200, 200, 200, 200},
      {"/lots?for=bench&text=hake&page=9", 200, 200, 200, 200},
      {"/board", 302, 302, 302, 302},
      {"/bench/1", 200, 200, 200, 200},
      {"/cost", 200, 200, 403, 403},
      {"/cost/1", 200, 200, 403, 403},
      {"/uses/1", 200, 200, 200, 200},
      {"/house", 302, 302, 403, 403},
      {"/house/people", 200, 403, 403, 403},
      {"/house/units", 200, 403, 403, 403},
      {"/house/upkeep", 200, 403, 403, 403},
      {"/me", 200, 200, 200, 200},
      {"/house/venues", 200, 403, 403, 403},
      {"/house/suppliers", 200, 200, 403, 403},
      {"/house/trays", 200, 200, 403, 403},
      {"/dock", 200, 200, 200, 200},
      {"/dock/rules", 200, 200, 200, 200},
      {"/dock/5/passport", 200, 200, 200, 200},
      {"/dock/5/evidence/99", 404, 404, 404, 404},
      {"/catalogue", 200, 200, 200, 200},
      {"/catalogue/fish/hake", 200, 200, 200, 200},
      {"/catalogue/fish/kraken", 404, 404, 404, 404},
      {"/catalogue/plans/flatfish", 200, 200, 200, 200},
      {"/catalogue/parts", 200, 200, 200, 200},
      {"/catalogue/tonight", 200, 200, 200, 403},
      {"/catalogue/export.json", 200, 200, 200, 200},
      {"/buy", 200, 200, 403, 403},
      {"/buy/dishes/1", 200, 200, 403, 403},
      {"/buy/prices", 200, 200, 403, 403},
      {"/buy/prices/of/hake", 200, 200, 403, 403},
      {"/buy/orders/1", 200, 200, 403, 403},
      {"/buy/orders/1/sheet.pdf", 200, 200, 403, 403},
      {"/buy/orders/99", 404, 404, 403, 403},
      {"/bench/987654", 404, 404, 404, 404},
      {"/bench/abc", 422, 422, 422, 422},
      {"/nowhere", 404, 404, 404, 404},
    };
  }

  @Test(dataProvider = "doors")
  public void everyPageChecksTheRole(String page, int owner, int sous, int butcher, int learner)
      throws Exception {
    int[] expected = {owner, sous, butcher, learner};
    String[] names = {"adaeze", "ines", "tobiah", "maren"};
    for (int i = 0; i < names.length; i++) {
      int answered =
          mvc.perform(get(page).cookie(session(names[i]))).andReturn().getResponse().getStatus();
      assertEquals(answered, expected[i], page + " for " + names[i]);
    }
    mvc.perform(get(page).accept("text/html"))
        .andExpect(status().isFound())
        .andExpect(redirectedUrlPattern("/sign-in?next=*"));
  }

  @Test
  public void aLearnerSeesNoPricesAndCannotDecide() throws Exception {
    mvc.perform(get("/dock/1").cookie(session("maren")))
        .andExpect(content().string(not(containsString("€"))));
    mvc.perform(
            post("/uses/1/parts/frame")
                .param("version", "0")
                .param("purpose", "POT")
                .cookie(session("maren"))
                .with(csrf()))
        .andExpect(status().isForbidden());
  }

  @Test
  public void everyAnswerCarriesTheHeadersThatProtectIt() throws Exception {
    mvc.perform(get("/").cookie(session("ines")))
        .andExpect(header().string("Content-Security-Policy", startsWith("default-src 'self'")))
        .andExpect(header().string("X-Frame-Options", "DENY"))
        .andExpect(header().string("X-Content-Type-Options", "nosniff"))
        .andExpect(content().string(not(containsString("<script>"))))
        .andExpect(content().string(not(containsString(" style="))));
  }

  @Test
  public void signingInChangesTheSessionAndOnlyOwnPathsFollow() throws Exception {
    for (String next : new String[] {"https://example.invalid/", "//example.invalid", "/\\x"}) {
      mvc.perform(signIn("ines", "port-sallow-demo").param("next", next))
          .andExpect(redirectedUrl("/"));
    }
    mvc.perform(signIn("ines", "port-sallow-demo").param("next", "/bench/3?fish=1"))
        .andExpect(redirectedUrl("/bench/3?fish=1"));
    mvc.perform(signIn("ines", "wrong")).andExpect(redirectedUrlPattern("/sign-in?problem=wrong*"));
    mvc.perform(signIn("nobody", "wrong"))
        .andExpect(redirectedUrlPattern("/sign-in?problem=wrong*"));
  }

  @Test
  public void guessingPasswordsIsSlowedDownAndTheRightOneWaitsToo() throws Exception {
    for (int i = 0; i < 5; i++) {
      mvc.perform(from("10.9.8.7", signIn("maren", "guess" + i)))
          .andExpect(redirectedUrlPattern("/sign-in?problem=wrong*"));
    }
    mvc.perform(from("10.9.8.7", signIn("maren", "port-sallow-demo")))
        .andExpect(redirectedUrlPattern("/sign-in?problem=many*"));
    mvc.perform(from("10.9.8.6", signIn("maren", "port-sallow-demo")))
        .andExpect(redirectedUrl("/"));
  }

  @Test
  public void aFormWithoutItsTokenIsLoadedAnew() throws Exception {
    mvc.perform(
            post("/bench/3/back")
                .header("Referer", "http://localhost/bench/3")
                .cookie(session("tobiah")))
        .andExpect(redirectedUrl("/bench/3?reloaded"));
    mvc.perform(post("/bench/3/back").header("HX-Request", "true").cookie(session("tobiah")))
        .andExpect(status().isForbidden())
        .andExpect(header().string("HX-Refresh", "true"));
  }

  @Test
  public void anEndedSessionSendsTheBenchToSignInAsAWholePage() throws Exception {
    mvc.perform(
            post("/bench/3/weighings")
                .header("HX-Request", "true")
                .header("HX-Current-URL", "http://localhost/bench/3?fish=1&part=frame")
                .with(csrf()))
        .andExpect(status().isUnauthorized())
        .andExpect(header().string("HX-Redirect", "/sign-in?next=%2Fbench%2F3&ended"));
  }

  @DataProvider
  Object[][] badWeights() {
    return new Object[][] {
      {"", "No weight was typed."},
      {"abc", "“abc” is not a number."},
      {"-5", "“-5” is below zero."},
      {"0", "“0” is no weight."},
      {"10 t", "“t” is not a unit this house weighs in."},
      {"50 lb 20 oz", "type 51 lb 4 oz"},
      {"9 kg", "the whole lot weighs"},
      {SCRIPT, "&lt;script&gt;alert(&#39;x&#39;)&lt;/scri…” is not a number."},
    };
  }

  @Test(dataProvider = "badWeights")
  public void aBadWeightGetsASentenceAndStoresNothing(String typed, String sentence)
      throws Exception {
    int before = sheets.facts(3).size();
    String page =
        mvc.perform(weigh(typed).header("HX-Request", "true"))
            .andExpect(status().isUnprocessableContent())
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertContains(page, sentence);
    assertEquals(sheets.facts(3).size(), before);
  }

  @Test
  public void withoutScriptARefusalComesByRedirect() throws Exception {
    mvc.perform(weigh("abc")).andExpect(redirectedUrlPattern("/bench/3?*part=frame*"));
  }

  @Test
  public void aDeliveryWithEverythingWrongKeepsWhatWasTypedAndNamesEachField() throws Exception {
    String page =
        mvc.perform(
                post("/dock/receive")
                    .param("species", SCRIPT)
                    .param("state", "FLOATING")
                    .param("fish", "-3")
                    .param("invoiced", "1,318 stone")
                    .param("own", "abc")
                    .param("price", "-1")
                    .param("supplier", " ")
                    .param("venue", "x")
                    .param("origin", "")
                    .param("landedOn", "yesterday")
                    .param("note", SCRIPT + "n".repeat(600))
                    .cookie(session("ines"))
                    .with(csrf()))
            .andExpect(status().isUnprocessableContent())
            .andExpect(content().string(not(containsString("<script>alert"))))
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertContains(page, "11 things are missing or unclear");
    assertContains(page, "No fish here is called “&lt;script&gt;");
    assertContains(page, "“-3” isn’t a whole number from 1 to 500");
    assertContains(page, "No scale here shows stones");
    assertContains(page, "value=\"1,318 stone\"");
    assertContains(page, "The note has 6");
  }

  @Test
  public void scriptInEveryTextFieldIsShownAsText() throws Exception {
    MvcResult received =
        mvc.perform(
                post("/dock/receive")
                    .param("id", UUID.randomUUID().toString())
                    .param("species", "hake")
                    .param("state", "GUTTED")
                    .param("fish", "1")
                    .param("invoiced", "4.860 kg")
                    .param("price", "11.40/kg")
                    .param("supplier", SCRIPT)
                    .param("venue", "1")
                    .param("origin", "WILD")
                    .param("landedOn", LocalDate.now(ZoneOffset.UTC).toString())
                    .param("note", SCRIPT)
                    .cookie(session("tobiah"))
                    .with(csrf()))
            .andExpect(status().isFound())
            .andReturn();
    String lot = received.getResponse().getRedirectedUrl().replaceAll("\\D+", "");
    mvc.perform(
            post("/uses/" + lot + "/parts/frame")
                .param("version", "0")
                .param("purpose", "POT")
                .param("becomes", SCRIPT)
                .cookie(session("ines"))
                .with(csrf()))
        .andExpect(redirectedUrl("/uses/" + lot));
    for (String page : new String[] {"/", "/dock/" + lot, "/bench/" + lot, "/uses/" + lot}) {
      mvc.perform(get(page).cookie(session("ines")))
          .andExpect(status().isOk())
          .andExpect(content().string(not(containsString("<script>alert"))));
    }
    mvc.perform(get("/dock/" + lot).cookie(session("ines")))
        .andExpect(content().string(containsString("&lt;script&gt;alert")));
  }

  @Test
  public void scriptInTheNamesOfTheHouseIsShownAsText() throws Exception {
    house("/house/venues", "name", SCRIPT);
    house(
        "/house/units",
        "name",
        SCRIPT,
        "system",
        "METRIC",
        "zone",
        "UTC",
        "labour",
        "18.50",
        "hemisphere",
        "SOUTH");
    house(
        "/house/people",
        "signIn",
        "script",
        "name",
        SCRIPT,
        "role",
        "LEARNER",
        "password",
        "long enough " + SCRIPT);
    for (String page : new String[] {"/house/people", "/", "/dock/receive", "/uses/2"}) {
      mvc.perform(get(page).cookie(session("adaeze")))
          .andExpect(status().isOk())
          .andExpect(content().string(not(containsString("<script>alert"))))
          .andExpect(content().string(containsString("&lt;script&gt;alert")));
    }
    house(
        "/house/units",
        "name",
        "Saltmarsh Row",
        "system",
        "METRIC",
        "zone",
        "UTC",
        "labour",
        "18",
        "hemisphere",
        "NORTH");
  }

  @Test
  public void aReasonWithScriptAndAnUnknownPlaceAreHandled() throws Exception {
    mvc.perform(
            post("/house/units")
                .param("name", "Saltmarsh Row")
                .param("system", "METRIC")
                .param("zone", "Port Sallow")
                .param("labour", "18")
                .param("hemisphere", "NORTH")
                .cookie(session("adaeze"))
                .with(csrf()))
        .andExpect(flash().attribute("sentence", containsString("is not a time zone")));
    mvc.perform(weigh("150 g").param("part", "frame").param("supersedes", "not an id"))
        .andExpect(flash().attribute("sentence", containsString("The page was not complete")));
    mvc.perform(
            post("/bench/3/stand-in")
                .param("action", SCRIPT)
                .cookie(session("tobiah"))
                .with(csrf()))
        .andExpect(status().isUnprocessableContent());
  }

  @Test
  public void signingInGivesANewSessionAndSigningOutEndsIt() throws Exception {
    Cookie first = freshSession("ines");
    MvcResult again =
        mvc.perform(from("10.0.0.1", signIn("ines", "port-sallow-demo")).cookie(first)).andReturn();
    Cookie second = sessionOf(again);
    assertNotEquals(second.getValue(), first.getValue());
    mvc.perform(get("/").cookie(second)).andExpect(status().isOk());
    mvc.perform(post("/sign-out").cookie(second).with(csrf()))
        .andExpect(redirectedUrl("/sign-in?out"));
    mvc.perform(get("/").cookie(second).accept("text/html")).andExpect(status().isFound());
  }

  @Test
  public void filesAreKeptByTheBrowserAndPagesAreNot() throws Exception {
    String page =
        mvc.perform(get("/").cookie(session("ines")))
            .andExpect(header().string("Cache-Control", containsString("no-store")))
            .andReturn()
            .getResponse()
            .getContentAsString();
    String style = page.replaceAll("(?s).*href=\"(/ui/shared/theme-[0-9a-f]+\\.css)\".*", "$1");
    mvc.perform(get(style))
        .andExpect(status().isOk())
        .andExpect(header().string("Cache-Control", containsString("max-age=31536000")));
  }

  @Test
  public void todayPutsWhatDoesNotAddUpFirst() throws Exception {
    long lot = new TestLots(applicationContext).receive("hake", State.GUTTED, 1, "2.000");
    for (String part : List.of("head", "frame")) {
      mvc.perform(
          post("/bench/" + lot + "/weighings")
              .cookie(session("tobiah"))
              .with(csrf())
              .param("id", UUID.randomUUID().toString())
              .param("part", part)
              .param("fish", "1")
              .param("source", "typed")
              .param("typed", "1.5 kg"));
    }
    // more newer lots than Today shows do not hide it
    for (int newer = 0; newer < 13; newer++) {
      new TestLots(applicationContext).receive("mackerel", State.GUTTED, 1, "0.350");
    }
    String page =
        mvc.perform(get("/").cookie(session("ines")))
            .andReturn()
            .getResponse()
            .getContentAsString();
    String decisions = page.substring(page.indexOf("class=\"decisions\""));
    int over = decisions.indexOf("Lot " + lot + " · Hake does not add up: 1.000 kg over.");
    int open = decisions.indexOf("no purpose yet");
    assertTrue(over > 0 && (open < 0 || over < open), page);
    assertContains(page, "Check the tally");
  }

  @Test
  public void saysWhetherItIsUpWithoutSignIn() throws Exception {
    mvc.perform(get("/up")).andExpect(status().isOk()).andExpect(content().string("up"));
  }

  @Test
  public void aBrowserThatIsSignedOutMayLookForANewerWorkerOfTheBench() throws Exception {
    mvc.perform(get("/bench-worker.js"))
        .andExpect(status().isOk())
        .andExpect(content().contentTypeCompatibleWith("text/javascript"));
  }

  @Test
  public void aBodyOfTenMegabytesIsRefusedBeforeItIsRead() throws Exception {
    byte[] large = new byte[10 * 1024 * 1024];
    mvc.perform(post("/dock/receive").content(large).cookie(session("tobiah")).with(csrf()))
        .andExpect(status().isContentTooLarge())
        .andExpect(content().string(containsString("Nothing was saved")));
  }

  @Test
  public void saysBackWhatWasUnderstoodWhileItIsTyped() throws Exception {
    mvc.perform(get("/understood?what=WEIGHT").param("typed", "12.6 lb").cookie(session("tobiah")))
        .andExpect(content().string(containsString("12 lb 9.6 oz = 5.715 kg")));
    mvc.perform(get("/understood?what=WEIGHT").param("typed", "1,318").cookie(session("tobiah")))
        .andExpect(content().string(containsString("the comma is the decimal sign")));
    mvc.perform(get("/understood?what=PORTION").param("typed", "180").cookie(session("ines")))
        .andExpect(content().string(containsString("6.3 oz")));
  }

  @Test
  public void aStaleCostPageIsToldSo() throws Exception {
    MvcResult result =
        mvc.perform(
                post("/cost/2")
                    .param("version", "77")
                    .param("method", "ALL_ON_THE_MAINS")
                    .param("portion", "165 g")
                    .cookie(session("ines"))
                    .with(csrf()))
            .andExpect(redirectedUrl("/cost/2"))
            .andReturn();
    assertContains(
        String.valueOf(result.getFlashMap().get("sentence")), "Someone else changed lot 2 first.");
  }

  private MockHttpServletRequestBuilder weigh(String typed) throws Exception {
    return post("/bench/3/weighings")
        .param("id", UUID.randomUUID().toString())
        .param("part", "frame")
        .param("fish", "1")
        .param("source", "typed")
        .param("typed", typed)
        .cookie(session("tobiah"))
        .with(csrf());
  }

  private static MockHttpServletRequestBuilder signIn(String name, String password) {
    return post("/sign-in").param("name", name).param("password", password).with(csrf());
  }

  /** Sends a form of the House station: names and values in turn. */
  private void house(String path, String... fields) throws Exception {
    MockHttpServletRequestBuilder request = post(path);
    for (int i = 0; i < fields.length; i += 2) {
      request.param(fields[i], fields[i + 1]);
    }
    mvc.perform(request.cookie(session("adaeze")).with(csrf()))
        .andExpect(redirectedUrl(path))
        .andExpect(flash().attribute("sentence", nullValue()));
  }

  private static MockHttpServletRequestBuilder from(
      String address, MockHttpServletRequestBuilder request) {
    return request.with(
        r -> {
          r.setRemoteAddr(address);
          return r;
        });
  }

  /** Signs in for real, through the database of sessions; a mock server names the cookie itself. */
  private Cookie session(String name) throws Exception {
    if (!sessions.containsKey(name)) {
      sessions.put(name, freshSession(name));
    }
    return sessions.get(name);
  }

  private Cookie freshSession(String name) throws Exception {
    MvcResult result =
        mvc.perform(from("10.0.0.1", signIn(name, "port-sallow-demo")))
            .andExpect(redirectedUrl("/"))
            .andReturn();
    return sessionOf(result);
  }

  private static Cookie sessionOf(MvcResult result) {
    return Stream.of(result.getResponse().getCookies())
        .filter(cookie -> cookie.getName().toLowerCase(Locale.ROOT).contains("session"))
        .findFirst()
        .orElseThrow();
  }

  private static void assertContains(String text, String part) {
    if (!text.contains(part)) {
      throw new AssertionError("Expected “" + part + "” in:\n" + text);
    }
  }
}
