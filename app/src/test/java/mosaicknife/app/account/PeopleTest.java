package mosaicknife.app.account;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import mosaicknife.app.WithDatabase;
import mosaicknife.app.account.SignInGuard.Outcome;
import mosaicknife.app.account.TokenIssuer.IssuedToken;
import mosaicknife.app.shared.Refusal;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.access.AccessDeniedException;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** People, passwords, tokens and doors, on a real PostgreSQL. */
public class PeopleTest extends WithDatabase {

  private static final String PASSWORD = "a long enough password";

  @Autowired private PeopleRegister book;
  @Autowired private TokenIssuer tokens;
  @Autowired private SignInGuard guard;
  @Autowired private WelcomeLink links;
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
    assertThrows(Refusal.class, () -> tokens.issue("leaver", PASSWORD, "10.1.0.1"));
    people.as("adaeze", () -> book.switchOn(leaver));
    assertTrue(tokens.find(tokens.issue("leaver", PASSWORD, "10.1.0.1").token()).isPresent());
  }

  @Test
  public void aNewPasswordEndsTheOldOneAndItsTokens() {
    people.as("adaeze", () -> book.add("changer", "A Changer", Role.LEARNER, PASSWORD));
    IssuedToken token = tokens.issue("changer", PASSWORD, "10.1.0.2");
    people.as("adaeze", () -> book.changePassword(people.idOf("changer"), "another long password"));
    assertEquals(tokens.find(token.token()), Optional.empty());
    assertThrows(Refusal.class, () -> tokens.issue("changer", PASSWORD, "10.1.0.2"));
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
    assertFalse(guard.isClosed("guessed-one", "10.2.0.1"));
    fail("guessed-one", "10.2.0.1", 1);
    assertTrue(guard.isClosed("Guessed-One ", "10.2.0.1"), "case and spaces do not help");
    assertFalse(guard.isClosed("guessed-one", "10.2.0.2"), "elsewhere one may still sign in");

    for (int i = 0; i < 20; i++) {
      fail("sprayed-" + i, "10.2.0.3", 1);
    }
    assertTrue(guard.isClosed("somebody-new", "10.2.0.3"));

    for (int i = 0; i < 50; i++) {
      fail("wanted-by-all", "10.3.0." + i, 1);
    }
    assertTrue(guard.isClosed("wanted-by-all", "10.9.9.9"));
  }

  @Test
  public void aSuccessOpensTheDoorAgain() {
    fail("forgetful", "10.2.0.4", 4);
    guard.record("forgetful", "10.2.0.4", Outcome.SUCCEEDED);
    fail("forgetful", "10.2.0.4", 4);
    assertFalse(guard.isClosed("forgetful", "10.2.0.4"));
  }

  @Test
  public void aWelcomeLinkDoesNotOpenAHouseThatHasItsOwner() {
    String link = links.renew();
    assertTrue(links.isOpen(link));
    assertFalse(links.isOpen("made-up"));
    WelcomeForm form =
        new WelcomeForm("Another house", "Venue", "EUR", "UTC", "Intruder", "intruder", PASSWORD);
    assertThrows(Refusal.class, () -> links.use(link, form));
    assertTrue(links.isOpen(link), "a refused use leaves the link as it was");
    String newer = links.renew();
    assertFalse(links.isOpen(link), "a newer link ends the older");
    assertTrue(links.isOpen(newer));
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
      guard.record(name, address, Outcome.FAILED);
    }
  }

  private Role role(String signIn) {
    return book.everybody().stream()
        .filter(p -> p.signIn().equals(signIn))
        .findFirst()
        .orElseThrow()
        .role();
  }

  private long count(String sql, String parameter) {
    return jdbc.sql(sql).param(parameter).query(Long.class).single();
  }
}
