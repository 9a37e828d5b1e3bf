package mosaicknife.app.account;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.core.AuthenticationException;
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
   * @throws SignInRefused if name or password is wrong, or too many tries were made
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
    try {
      return signIn.check(name, password, new Visit(address));
    } catch (AuthenticationException e) {
      throw new SignInRefused(e instanceof LockedException, SignInController.sentence(e));
    }
  }

  /** Nobody was let in: a wrong name or password, or too many tries. */
  public static final class SignInRefused extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final boolean tooMany;
    private final String key;

    private SignInRefused(boolean tooMany, String key) {
      super(key);
      this.tooMany = tooMany;
      this.key = key;
    }

    /** Returns whether the next try must wait. */
    public boolean isTooMany() {
      return tooMany;
    }

    /** Returns the key of the sentence. */
    public String key() {
      return key;
    }
  }

  /**
   * A token that was given out.
   *
   * @param id its number; its secret is not kept
   * @param person whose it is
   * @param createdAt since when
   * @param lastUsedAt when it was last used, to the minute, if it was
   * @param expiresAt when it ends
   */
  public record Held(
      long id, String person, Instant createdAt, Optional<Instant> lastUsedAt, Instant expiresAt) {}

  /**
   * Lists the tokens that still open the API, the newest first.
   *
   * @param person whose; empty for everybody's
   * @return the tokens
   */
  @Transactional(readOnly = true)
  List<Held> held(OptionalLong person) {
    return jdbc.sql(
            """
            select t.id, p.name, t.created_at, t.last_used_at, t.expires_at
              from api_token t join person p on p.id = t.person_id
             where t.expires_at > :now and (:all or p.id = :person)
             order by t.created_at desc
            """)
        .param("now", clock.instant().atOffset(ZoneOffset.UTC))
        .param("all", person.isEmpty())
        .param("person", person.orElse(0))
        .query(
            (row, number) ->
                new Held(
                    row.getLong(1),
                    row.getString(2),
                    row.getTimestamp(3).toInstant(),
                    Optional.ofNullable(row.getTimestamp(4)).map(Timestamp::toInstant),
                    row.getTimestamp(5).toInstant()))
        .list();
  }

  /**
   * Ends a token.
   *
   * @param id its number
   * @param person whose it has to be; empty for anybody's
   */
  @Transactional
  void end(long id, OptionalLong person) {
    jdbc.sql("delete from api_token where id = :id and (:all or person_id = :person)")
        .param("id", id)
        .param("all", person.isEmpty())
        .param("person", person.orElse(0))
        .update();
  }

  /** Finds the person a token stands for, if it is one, has not ended, and they may sign in. */
  @Transactional
  Optional<SignedIn> find(String token) {
    String hash = Secrets.hash(token);
    Instant now = clock.instant();
    Optional<Long> person =
        jdbc.sql("select person_id from api_token where token_hash = ? and expires_at > ?")
            .params(hash, now.atOffset(ZoneOffset.UTC))
            .query(Long.class)
            .optional();
    if (person.isPresent()) {
      // to the minute: a program that asks all day writes no row for each question
      jdbc.sql(
              "update api_token set last_used_at = :now where token_hash = :hash"
                  + " and (last_used_at is null or last_used_at < :before)")
          .param("now", now.atOffset(ZoneOffset.UTC))
          .param("hash", hash)
          .param("before", now.minusSeconds(60).atOffset(ZoneOffset.UTC))
          .update();
    }
    return person
        .flatMap(people::findById)
        .map(PersonEntity::toSignedIn)
        .filter(SignedIn::isEnabled);
  }
}
