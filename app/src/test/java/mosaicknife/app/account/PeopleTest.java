package mosaicknife.app.account;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import jakarta.servlet.http.Cookie;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import mosaicknife.app.TestLots;
import mosaicknife.app.WithDatabase;
import mosaicknife.app.account.TokenIssuer.IssuedToken;
import mosaicknife.app.account.TokenIssuer.SignInRefused;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Words;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.use.HandId;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.test.web.servlet.MvcResult;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** People, passwords, tokens and doors, on a real PostgreSQL. */
public class PeopleTest extends WithDatabase {

  private static final String PASSWORD = "a long enough password";

  @Autowired private PeopleRegister book;
  @Autowired private TokenIssuer tokens;
  @Autowired private SignInGuard guard;
  @Autowired private WelcomeLink links;
  @Autowired private LotRegister lots;
  @Autowired private Here here;
  @Autowired private Words words;
  @Autowired private JdbcClient jdbc;

  @DataProvider
  Object[][] badPeople() {
    return new Object[][] {
      {"", "Somebody", PASSWORD, "signIn"},
      {"with space", "Somebody", PASSWORD, "signIn"},
      {"<script>", "Somebody", PASSWORD, "signIn"},
      {"x".repeat(41), "Somebody", PASSWORD, "signIn"},
      {"INES", "Another Ines", PASSWORD, "signIn"},
      {"nobody", " ", PASSWORD, "name"},
      {"nobody", "n".repeat(81), PASSWORD, "name"},
      {"nobody", "Somebody", "short", "password"},
      {"nobody", "Somebody", null, "password"},
      {"nobody", "Somebody", "é".repeat(40), "password"},
      {"nobody", "Somebody", "aaaaaaaaaaaa", "password"},
      {"nobody", "Somebody", "password1234", "password"},
      {"nobody", "Somebody", "qwertyuiop", "password"},
      {"nobody", "Somebody", "1234567890", "password"},
    };
  }

  @Test(dataProvider = "badPeople")
  public void refusesAPersonFieldByField(
      String signIn, String name, String password, String field) {
    people.as(
        "adaeze",
        () -> {
          Refusal refusal =
              expectThrows(Refusal.class, () -> book.add(signIn, name, Role.BUTCHER, password));
          assertEquals(refusal.field(), field);
        });
    assertFalse(book.everybody().stream().anyMatch(p -> p.signIn().equals("nobody")));
  }

  @Test
  public void aHouseKeepsAnOwner() {
    long owner = people.idOf("adaeze");
    people.as(
        "adaeze",
        () -> {
          assertThrows(Refusal.class, () -> book.changeRole(owner, Role.LEARNER));
          assertThrows(Refusal.class, () -> book.switchOff(owner));
        });
    assertEquals(role("adaeze"), Role.OWNER);
  }

  @Test
  public void onlyTheOwnerManagesPeople() {
    for (String name : List.of("ines", "tobiah", "maren")) {
      people.as(
          name,
          () ->
              assertThrows(
                  AccessDeniedException.class, () -> book.add("x", "X", Role.OWNER, PASSWORD)));
    }
  }

  @Test
  public void aSwitchedOffPersonIsOutAtOnceEvenWithAToken() {
    people.as("adaeze", () -> book.add("leaver", "A Leaver", Role.BUTCHER, PASSWORD));
    long leaver = people.idOf("leaver");
    IssuedToken token = tokens.issue("leaver", PASSWORD, "10.1.0.1");
    assertEquals(tokens.find(token.token()).map(SignedIn::id), Optional.of(leaver));
    people.as("adaeze", () -> book.switchOff(leaver));
    assertEquals(tokens.find(token.token()), Optional.empty());
    assertThrows(SignInRefused.class, () -> tokens.issue("leaver", PASSWORD, "10.1.0.1"));
    people.as("adaeze", () -> book.switchOn(leaver));
    assertTrue(tokens.find(tokens.issue("leaver", PASSWORD, "10.1.0.1").token()).isPresent());
  }

  @Test
  public void whoeverWorksAtOneVenueChangesNothingAtTheOther() {
    people.as("adaeze", () -> book.add("counter", "A Counter Hand", Role.BUTCHER, PASSWORD));
    long hand = people.idOf("counter");
    IssuedToken token = tokens.issue("counter", PASSWORD, "10.1.0.3");
    people.as("adaeze", () -> book.workAt(hand, Optional.of(2L)));
    assertEquals(tokens.find(token.token()), Optional.empty(), "so that it counts at once");
    TestLots house = new TestLots(applicationContext);
    long lot = house.receive("hake", State.GUTTED, 1, "3.000");
    jdbc.sql("update lot set venue_id = 1 where id = ?").param(lot).update();
    people.as(
        "counter",
        () -> {
          Refusal refused = expectThrows(Refusal.class, () -> lots.serveAsItsDishes(lot));
          assertEquals(refused.kind(), Refusal.Kind.ELSEWHERE);
          assertEquals(
              words.say(refused),
              "This is kept at Lantern House, and you work at Low Tide Counter."
                  + " Ask somebody there, or an owner.");
          assertEquals(lots.get(lot).id(), lot, "whoever works elsewhere may look");
          jdbc.sql("update lot set venue_id = 2 where id = ?").param(lot).update();
          lots.serveAsItsDishes(lot);
        });
    house.close();
    people.as("adaeze", () -> book.changeRole(hand, Role.OWNER));
    assertEquals(person("counter").venue(), Optional.empty(), "an owner works everywhere");
    people.as(
        "adaeze",
        () -> {
          assertThrows(Refusal.class, () -> book.workAt(hand, Optional.of(2L)));
          book.switchOff(hand);
        });
  }

  /** What is ordered for a venue is known there by the line, at the dock and among the uses. */
  @Test
  public void anOrderBelongsToItsVenue() {
    people.as("adaeze", () -> book.add("orderer", "An Orderer", Role.BUTCHER, PASSWORD));
    long orderer = people.idOf("orderer");
    long line = jdbc.sql("select min(id) from order_line").query(Long.class).single();
    long venue =
        jdbc.sql(
                "select venue_id from purchase_order o join order_line l on l.order_id = o.id"
                    + " where l.id = ?")
            .param(line)
            .query(Long.class)
            .single();
    List<HandId> coming = List.of(new HandId.Coming("" + line, "fillet-left"));
    people.as("adaeze", () -> book.workAt(orderer, Optional.of(3 - venue)));
    people.as(
        "orderer",
        () -> {
          assertThrows(Refusal.class, () -> here.of(Here.Thing.LINE, line));
          assertThrows(Refusal.class, () -> here.ofHands(coming));
        });
    people.as("adaeze", () -> book.workAt(orderer, Optional.of(venue)));
    people.as(
        "orderer",
        () -> {
          assertTrue(here.of(Here.Thing.LINE, line));
          assertTrue(here.ofHands(coming));
        });
    people.as("adaeze", () -> book.switchOff(orderer));
  }

  @Test
  public void aNewPasswordEndsTheOldOneAndItsTokens() {
    people.as("adaeze", () -> book.add("changer", "A Changer", Role.LEARNER, PASSWORD));
    IssuedToken token = tokens.issue("changer", PASSWORD, "10.1.0.2");
    people.as("adaeze", () -> book.changePassword(people.idOf("changer"), "another long password"));
    assertEquals(tokens.find(token.token()), Optional.empty());
    assertThrows(SignInRefused.class, () -> tokens.issue("changer", PASSWORD, "10.1.0.2"));
    assertTrue(
        tokens
            .find(tokens.issue("changer", "another long password", "10.1.0.2").token())
            .isPresent());
  }

  @Test
  public void aTokenEndsAndIsKeptOnlyAsAHash() {
    IssuedToken token = tokens.issue("ines", "port-sallow-demo", "10.1.0.3");
    assertEquals(count("select count(*) from api_token where token_hash = ?", token.token()), 0);
    assertEquals(
        count("select count(*) from api_token where token_hash = ?", Secrets.hash(token.token())),
        1);
    jdbc.sql("update api_token set created_at = ?, expires_at = ? where token_hash = ?")
        .params(
            Instant.EPOCH.atOffset(ZoneOffset.UTC),
            Instant.EPOCH.plusSeconds(1).atOffset(ZoneOffset.UTC),
            Secrets.hash(token.token()))
        .update();
    assertEquals(tokens.find(token.token()), Optional.empty());
    assertNotEquals(Secrets.fresh(), Secrets.fresh());
  }

  @Test
  public void theDoorClosesPerNameAndAddressPerAddressAndPerName() {
    fail("guessed-one", "10.2.0.1", 4);
    assertTrue(guard.admit("guessed-one", at("10.2.0.1")).isPresent());
    assertTrue(closed("Guessed-One ", "10.2.0.1"), "case and spaces do not help");
    assertFalse(closed("guessed-one", "10.2.0.2"), "elsewhere one may still sign in");

    for (int i = 0; i < 20; i++) {
      fail("sprayed-" + i, "10.2.0.3", 1);
    }
    assertTrue(closed("somebody-new", "10.2.0.3"));

    for (int i = 0; i < 50; i++) {
      fail("wanted-by-all", "10.3.0." + i, 1);
    }
    assertTrue(closed("wanted-by-all", "10.9.9.9"));
  }

  @Test
  public void aSuccessOpensTheDoorAgain() {
    fail("forgetful", "10.2.0.4", 4);
    guard.succeeded(guard.admit("forgetful", at("10.2.0.4")).orElseThrow());
    fail("forgetful", "10.2.0.4", 4);
    assertFalse(closed("forgetful", "10.2.0.4"));
  }

  @Test
  public void fortyWrongTriesAtOnceAreFiveTries() throws Exception {
    ExecutorService crowd = Executors.newFixedThreadPool(8);
    try {
      List<Future<Boolean>> tries =
          crowd.invokeAll(
              Collections.nCopies(40, () -> guard.admit("crowded-at", at("10.2.0.5")).isPresent()));
      int admitted = 0;
      for (Future<Boolean> one : tries) {
        admitted += one.get() ? 1 : 0;
      }
      assertEquals(admitted, 5);
    } finally {
      crowd.shutdownNow();
    }
  }

  @Test
  public void aBrowserThePersonSignedInWithStaysOpenWhateverStrangersDo() throws Exception {
    people.as("adaeze", () -> book.add("regular", "A Regular", Role.BUTCHER, PASSWORD));
    Cookie known = knownAfterSigningIn("regular", "10.2.0.6");
    for (int i = 0; i < 50; i++) {
      fail("regular", "10.2.0.6", 1);
    }
    assertTrue(closed("regular", "10.2.0.6"), "a stranger waits");
    assertEquals(signIn("regular", PASSWORD, "10.2.0.6", null), "/sign-in?problem=many&next=%2F");
    assertEquals(signIn("regular", PASSWORD, "10.2.0.6", known), "/");
    for (int i = 0; i < 5; i++) {
      assertEquals(
          signIn("regular", "wrong", "10.2.0.6", known), "/sign-in?problem=wrong&next=%2F");
    }
    assertEquals(
        signIn("regular", PASSWORD, "10.2.0.6", known),
        "/sign-in?problem=many&next=%2F",
        "the known browser has five tries, no more");
    people.as("adaeze", () -> book.changePassword(people.idOf("regular"), "another long password"));
    assertEquals(
        signIn("regular", "another long password", "10.2.0.6", null),
        "/",
        "the owner's reset lifts it");
  }

  private Cookie knownAfterSigningIn(String name, String address) throws Exception {
    return mvc.perform(signingIn(name, PASSWORD, address))
        .andReturn()
        .getResponse()
        .getCookie("mosaic_known");
  }

  private String signIn(String name, String password, String address, Cookie known)
      throws Exception {
    MockHttpServletRequestBuilder request = signingIn(name, password, address);
    return mvc.perform(known == null ? request : request.cookie(known))
        .andReturn()
        .getResponse()
        .getRedirectedUrl();
  }

  private static MockHttpServletRequestBuilder signingIn(
      String name, String password, String address) {
    return post("/sign-in")
        .param("name", name)
        .param("password", password)
        .with(csrf())
        .with(
            request -> {
              request.setRemoteAddr(address);
              return request;
            });
  }

  @Test
  public void noPasswordHashLiesInASession() throws Exception {
    people.as("adaeze", () -> book.add("hashed", "Hashed", Role.BUTCHER, PASSWORD));
    mvc.perform(signingIn("hashed", PASSWORD, "10.2.0.7"));
    String hash =
        jdbc.sql("select password_hash from person where sign_in = 'hashed'")
            .query(String.class)
            .single();
    List<byte[]> kept =
        jdbc.sql(
                "select a.attribute_bytes from spring_session_attributes a join spring_session s on"
                    + " s.primary_id = a.session_primary_id where s.principal_name = 'hashed'")
            .query(byte[].class)
            .list();
    assertFalse(kept.isEmpty());
    for (byte[] bytes : kept) {
      assertFalse(new String(bytes, StandardCharsets.ISO_8859_1).contains(hash));
    }
  }

  @Test
  public void aLostOwnersLinkMakesAnOwnerOnceAndEndsWithinTheHour() throws Exception {
    link("for-a-new-owner", "now() + interval '1 hour'");
    assertTrue(welcome("short").contains("at least 10 characters"));
    assertTrue(welcome("short").contains("value=\"Found Again\""), "what was typed stays");
    assertEquals(welcome(PASSWORD), "");
    assertEquals(role("found-again"), Role.OWNER);
    assertThrows(
        Refusal.class,
        () -> links.useForOwner("for-a-new-owner", owner("second-use", "Second Use")));
    people.as("adaeze", () -> book.changeRole(people.idOf("found-again"), Role.LEARNER));
    link("for-one-who-is-there", "now() + interval '1 hour'");
    links.useForOwner("for-one-who-is-there", owner("Found-Again", ""));
    assertEquals(role("found-again"), Role.OWNER);
    people.as("adaeze", () -> book.changeRole(people.idOf("found-again"), Role.LEARNER));
    link("too-late", "now() - interval '1 minute'");
    assertEquals(links.find("too-late"), Optional.empty());
    assertThrows(Refusal.class, () -> links.useForOwner("too-late", owner("late", "Late")));
    assertThrows(Refusal.class, () -> links.use("too-late", owner("late", "Late")));
  }

  private String welcome(String password) throws Exception {
    return mvc.perform(
            post("/welcome")
                .param("link", "for-a-new-owner")
                .param("name", "Found Again")
                .param("signIn", "found-again")
                .param("password", password)
                .with(csrf()))
        .andReturn()
        .getResponse()
        .getContentAsString();
  }

  private void link(String link, String ends) {
    jdbc.sql(
            "insert into welcome_link (token_hash, created_at, kind, expires_at)"
                + " values (?, now(), 'OWNER', "
                + ends
                + ")")
        .param(Secrets.hash(link))
        .update();
  }

  private static WelcomeForm owner(String signIn, String name) {
    return new WelcomeForm(null, null, null, null, name, signIn, PASSWORD);
  }

  @Test
  public void theOwnPasswordChangesBehindThePresentOneAndEndsTheRest() throws Exception {
    people.as("adaeze", () -> book.add("careful", "A Careful One", Role.BUTCHER, PASSWORD));
    Cookie here = sessionOf("careful");
    Cookie there = sessionOf("careful");
    IssuedToken token = tokens.issue("careful", PASSWORD, "10.2.0.8");
    assertTrue(ownPassword(here, "not it", "a new long password").contains("present password"));
    assertTrue(ownPassword(here, PASSWORD, "short").contains("at least 10"));
    assertTrue(tokens.find(token.token()).isPresent(), "a refused change ends nothing");
    assertTrue(ownPassword(here, PASSWORD, "a new long password").contains("is changed"));
    assertEquals(tokens.find(token.token()), Optional.empty());
    assertEquals(status(here), 200);
    assertEquals(status(there), 302, "the other session is at the door");
  }

  private int status(Cookie session) throws Exception {
    return mvc.perform(get("/me").cookie(session)).andReturn().getResponse().getStatus();
  }

  private Cookie sessionOf(String name) throws Exception {
    return mvc.perform(signingIn(name, PASSWORD, "10.2.0.9"))
        .andReturn()
        .getResponse()
        .getCookie("mosaic_session");
  }

  private String ownPassword(Cookie session, String present, String password) throws Exception {
    MvcResult result =
        mvc.perform(
                post("/me/password")
                    .cookie(session)
                    .param("present", present)
                    .param("password", password)
                    .with(csrf()))
            .andReturn();
    return String.valueOf(result.getFlashMap());
  }

  @Test
  public void aTokenIsListedWithItsLastUseAndEndedByItsPersonOnly() throws Exception {
    people.as("adaeze", () -> book.add("program", "A Program", Role.LEARNER, PASSWORD));
    IssuedToken token = tokens.issue("program", PASSWORD, "10.2.0.10");
    OptionalLong program = OptionalLong.of(people.idOf("program"));
    long id = tokens.held(program).get(0).id();
    assertEquals(tokens.held(program).get(0).lastUsedAt(), Optional.empty());
    tokens.find(token.token());
    assertTrue(tokens.held(program).get(0).lastUsedAt().isPresent());
    tokens.end(id, OptionalLong.of(people.idOf("maren")));
    assertTrue(tokens.find(token.token()).isPresent(), "another's is not theirs to end");
    tokens.end(id, program);
    assertEquals(tokens.find(token.token()), Optional.empty());
  }

  @Test
  public void aWelcomeLinkDoesNotOpenAHouseThatHasItsOwner() {
    String link = links.renew();
    assertEquals(links.find(link), Optional.of(WelcomeLink.Kind.FIRST));
    assertEquals(links.find("made-up"), Optional.empty());
    WelcomeForm form =
        new WelcomeForm("Another house", "Venue", "EUR", "UTC", "Intruder", "intruder", PASSWORD);
    assertThrows(Refusal.class, () -> links.use(link, form));
    assertTrue(links.find(link).isPresent(), "a refused use leaves the link as it was");
    String newer = links.renew();
    assertFalse(links.find(link).isPresent(), "a newer link ends the older");
    assertTrue(links.find(newer).isPresent());
  }

  @Test
  public void everyRoleHasLessThanTheOneAbove() {
    assertTrue(Role.OWNER.permissions().containsAll(Role.SOUS_CHEF.permissions()));
    assertTrue(Role.SOUS_CHEF.permissions().containsAll(Role.BUTCHER.permissions()));
    assertTrue(Role.BUTCHER.permissions().containsAll(Role.LEARNER.permissions()));
    assertFalse(Role.BUTCHER.permissions().contains(Permission.SEE_COSTS));
    assertThrows(UnsupportedOperationException.class, () -> Role.LEARNER.permissions().clear());
  }

  private void fail(String name, String address, int times) {
    for (int i = 0; i < times; i++) {
      guard.admit(name, at(address));
    }
  }

  private boolean closed(String name, String address) {
    return guard.admit(name, at(address)).isEmpty();
  }

  private static Visit at(String address) {
    return new Visit(address);
  }

  private Role role(String signIn) {
    return person(signIn).role();
  }

  private Person person(String signIn) {
    return book.everybody().stream()
        .filter(p -> p.signIn().equals(signIn))
        .findFirst()
        .orElseThrow();
  }

  private long count(String sql, String parameter) {
    return jdbc.sql(sql).param(parameter).query(Long.class).single();
  }
}
