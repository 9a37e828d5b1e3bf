package mosaicknife.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;

import com.microsoft.playwright.Page;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Pattern;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.account.Role;
import mosaicknife.app.shared.Refusal;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContextHolder;
import org.testng.annotations.Test;

/** A house without demo: from the one-time link to the first fish. */
public class FirstOwnerTest extends InBrowser {

  private static final String LINK = "the-link-that-was-printed";

  @Override
  boolean withDemo() {
    return false;
  }

  @Test
  public void theFirstOwnerFoundsTheHouseOnceAndReceivesTheFirstFish() throws Exception {
    jdbc()
        .sql("insert into welcome_link (token_hash, created_at) values (?, now())")
        .param(sha256(LINK))
        .update();
    Page page = tablet();
    page.navigate(address("/sign-in"));
    assertThat(page.locator(".demo-people")).hasCount(0);
    page.navigate(address("/welcome?link=made-up"));
    assertThat(page.locator(".alert-danger")).containsText("This link was used or has ended.");

    page.navigate(address("/welcome?link=" + LINK));
    page.fill("#house", "Saltmarsh Row");
    page.fill("#venue", "Lantern House");
    assertThat(page.locator("#zone")).hasValue(Pattern.compile(".+"));
    page.fill("#zone", "Atlantic/Port_Sallow");
    page.fill("#name", "Adaeze Pell");
    page.fill("#signIn", "Adaeze");
    page.fill("#password", "port-sallow-demo");
    page.click("button:has-text('Open the house')");
    assertThat(page.locator(".alert-danger")).containsText("“Atlantic/Port_Sallow” is not a time");
    assertThat(page.locator("#house")).hasValue("Saltmarsh Row");
    page.fill("#zone", "Atlantic/Azores");
    page.fill("#password", "short");
    page.click("button:has-text('Open the house')");
    assertThat(page.locator(".alert-danger")).containsText("at least 10 characters");
    assertThat(page.locator("#zone")).hasValue("Atlantic/Azores");
    page.fill("#password", "port-sallow-demo");
    page.click("button:has-text('Open the house')");
    signIn(page, "adaeze");
    assertThat(page.locator(".empty")).containsText("No fish yet");

    page.click("text=Receive the first lot");
    page.click(".pick:has-text('Turbot')");
    page.locator(".states .pick").nth(0).click();
    page.click(".pick:has(input[value=FARMED])");
    page.fill("#invoiced", "3.4");
    page.fill("#price", "24.50");
    page.fill("#supplier", "Marram Quay Fish");
    page.click("button:has-text('Receive the lot')");
    assertThat(page.locator(".alert-success")).containsText("Turbot is received: 3.400 kg.");

    page.navigate(address("/house/people"));
    page.fill("#p-name", "Tobiah Lund");
    page.fill("#p-sign", "tobiah");
    page.fill("#p-pass", "port-sallow-demo");
    page.click("button:has-text('Add'):near(#p-pass)");
    assertThat(page.locator("table.table")).containsText("Tobiah Lund");

    page.navigate(address("/welcome?link=" + LINK));
    assertThat(page.locator(".alert-danger")).containsText("This link was used or has ended.");
    ofTwoOwnersWhoDemoteEachOtherAtOnceOneStays();
  }

  /** In a house of its own, since for a moment it may have one owner only. */
  private void ofTwoOwnersWhoDemoteEachOtherAtOnceOneStays() throws Exception {
    PeopleRegister people = bean(PeopleRegister.class);
    long first = people.everybody().get(0).id();
    long second =
        asOwner(() -> people.add("second", "Second Owner", Role.OWNER, "port-sallow-demo").id());
    ExecutorService both = Executors.newFixedThreadPool(2);
    try {
      for (int round = 0; round < 10; round++) {
        List<Future<Boolean>> ends =
            both.invokeAll(List.of(() -> demoted(people, first), () -> demoted(people, second)));
        assertEquals((ends.get(0).get() ? 1 : 0) + (ends.get(1).get() ? 1 : 0), 1);
        long gone = ends.get(0).get() ? first : second;
        asOwner(
            () -> {
              people.changeRole(gone, Role.OWNER);
              return gone;
            });
      }
    } finally {
      both.shutdownNow();
    }
  }

  private static boolean demoted(PeopleRegister people, long whom) throws Exception {
    try {
      return asOwner(
          () -> {
            people.changeRole(whom, Role.LEARNER);
            return true;
          });
    } catch (Refusal e) {
      return false;
    }
  }

  private static <T> T asOwner(Callable<T> work) throws Exception {
    SecurityContextHolder.getContext()
        .setAuthentication(
            UsernamePasswordAuthenticationToken.authenticated(
                "owner", null, List.of(new SimpleGrantedAuthority("MANAGE_HOUSE"))));
    try {
      return work.call();
    } finally {
      SecurityContextHolder.clearContext();
    }
  }

  private static String sha256(String text) throws NoSuchAlgorithmException {
    return HexFormat.of()
        .formatHex(
            MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8)));
  }
}
