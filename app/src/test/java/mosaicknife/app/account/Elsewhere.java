package mosaicknife.app.account;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;

import java.util.Optional;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.test.web.servlet.request.RequestPostProcessor;

/** A sous chef who works at a venue where nothing is kept. */
public final class Elsewhere {

  private static final long NO_VENUE = 9_999;

  private Elsewhere() {}

  /**
   * Sends a request as this person.
   *
   * @param id the number of somebody of the house
   */
  public static RequestPostProcessor person(long id) {
    SignedIn away =
        new SignedIn(
            new Person(id, "ines", "Ines Varga", Role.SOUS_CHEF, Optional.of(NO_VENUE), true), "");
    return authentication(
        UsernamePasswordAuthenticationToken.authenticated(away, null, away.getAuthorities()));
  }
}
