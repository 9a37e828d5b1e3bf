package mosaicknife.app.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Optional;
import mosaicknife.app.shared.Refusal;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.authentication.WebAuthenticationDetails;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Gives out tokens for the API and recognises them. Only their hashes are kept. */
@Service
public class TokenIssuer {

  private static final Duration LIFE = Duration.ofDays(30);

  private final GuardedSignIn signIn;
  private final PersonRepository people;
  private final JdbcClient jdbc;
  private final Clock clock;

  TokenIssuer(GuardedSignIn signIn, PersonRepository people, JdbcClient jdbc, Clock clock) {
    this.signIn = signIn;
    this.people = people;
    this.jdbc = jdbc;
    this.clock = clock;
  }

  /**
   * A token given out.
   *
   * @param token the secret, shown only now
   * @param expiresAt when it ends
   */
  public record IssuedToken(String token, Instant expiresAt) {}

  /**
   * Gives a token for a name and password.
   *
   * @param name the sign-in name
   * @param password the password
   * @param address where the request comes from, for the guard
   * @return the token
   * @throws Refusal if name or password is wrong, or too many tries were made
   */
  public IssuedToken issue(String name, String password, String address) {
    // no transaction around the check: the guard writes in one of its own, and a request that held
    // two connections could starve every other one
    SignedIn person = check(name, password, address);
    Instant now = clock.instant();
    String token = Secrets.fresh();
    jdbc.sql("delete from api_token where expires_at < ?")
        .param(now.atOffset(ZoneOffset.UTC))
        .update();
    jdbc.sql(
            "insert into api_token (token_hash, person_id, created_at, expires_at)"
                + " values (?, ?, ?, ?)")
        .params(
            Secrets.hash(token),
            person.id(),
            now.atOffset(ZoneOffset.UTC),
            now.plus(LIFE).atOffset(ZoneOffset.UTC))
        .update();
    return new IssuedToken(token, now.plus(LIFE));
  }

  private SignedIn check(String name, String password, String address) {
    UsernamePasswordAuthenticationToken attempt =
        UsernamePasswordAuthenticationToken.unauthenticated(name, password);
    attempt.setDetails(new WebAuthenticationDetails(address, null));
    try {
      return (SignedIn) signIn.authenticate(attempt).getPrincipal();
    } catch (AuthenticationException e) {
      throw Refusal.ofInput(SignInController.sentence(e));
    }
  }

  /** Finds the person a token stands for, if it is one, has not ended, and they may sign in. */
  @Transactional(readOnly = true)
  Optional<SignedIn> find(String token) {
    return jdbc.sql("select person_id from api_token where token_hash = ? and expires_at > ?")
        .params(Secrets.hash(token), clock.instant().atOffset(ZoneOffset.UTC))
        .query(Long.class)
        .optional()
        .flatMap(people::findById)
        .map(PersonEntity::toSignedIn)
        .filter(SignedIn::isEnabled);
  }
}
