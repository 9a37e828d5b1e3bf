package mosaicknife.app.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalLong;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Slows down guessing of passwords.
 *
 * <p>Five failures for one name from one address, twenty from one address, or fifty for one name
 * from anywhere within a quarter of an hour close the door for the rest of it, for strangers. A
 * browser the person signed in with before has five tries of its own: so nobody is shut out by what
 * others do, neither a house behind one address nor a colleague by name.
 *
 * <p>A try is written down as failed before the password is looked at, under a lock for name and
 * address. So tries made at the same moment count each other, and one whose end could not be
 * written counts as well. Kept in the database: it holds over all instances and restarts.
 */
@Component
class SignInGuard {

  private static final Duration WINDOW = Duration.ofMinutes(15);
  private static final Duration KEPT = Duration.ofDays(30);
  private static final int MOST_PER_NAME_AND_PLACE = 5;
  private static final int MOST_PER_ADDRESS = 20;
  private static final int MOST_PER_NAME = 50;

  private static final String STRANGERS =
      """
      select count(*) filter (where sign_in = :name and address = :address) >= :both
          or count(*) filter (where address = :address) >= :fromAddress
          or count(*) filter (where sign_in = :name) >= :forName
        from sign_in_try failed
       where not succeeded
         and browser is null
         and tried_at > :since
         and (sign_in = :name or address = :address)
         and not exists (select 1 from sign_in_try later
                          where later.succeeded
                            and later.sign_in = failed.sign_in
                            and later.address = failed.address
                            and later.tried_at > failed.tried_at)
      """;

  private static final String KNOWN =
      """
      select count(*) >= :both
        from sign_in_try failed
       where not succeeded
         and browser = :browser
         and sign_in = :name
         and tried_at > :since
         and not exists (select 1 from sign_in_try later
                          where later.succeeded
                            and later.sign_in = failed.sign_in
                            and later.browser = failed.browser
                            and later.tried_at > failed.tried_at)
      """;

  private final JdbcClient jdbc;
  private final KnownBrowsers browsers;
  private final Clock clock;

  SignInGuard(JdbcClient jdbc, KnownBrowsers browsers, Clock clock) {
    this.jdbc = jdbc;
    this.browsers = browsers;
    this.clock = clock;
  }

  /**
   * Lets a try in, and counts it as failed until it succeeds.
   *
   * @return the number of the try; empty if the door is closed
   */
  @Transactional
  public OptionalLong admit(String name, Visit visit) {
    String key = key(name);
    Optional<String> browser = visit.browserHash().filter(secret -> browsers.knows(secret, key));
    // always the address first: two tries never wait for each other in a ring
    lock(1, visit.address());
    lock(2, key);
    if (isClosed(key, visit.address(), browser)) {
      return OptionalLong.empty();
    }
    return OptionalLong.of(
        jdbc.sql(
                "insert into sign_in_try (sign_in, address, browser, tried_at) values (?, ?, ?, ?)"
                    + " returning id")
            .params(key, visit.address(), browser.orElse(null), at(clock.instant()))
            .query(Long.class)
            .single());
  }

  private void lock(int kind, String what) {
    jdbc.sql("select cast(pg_advisory_xact_lock(?, hashtext(?)) as text)")
        .params(kind, what)
        .query(String.class)
        .optional();
  }

  private boolean isClosed(String key, String address, Optional<String> browser) {
    JdbcClient.StatementSpec look =
        browser
            .map(secret -> jdbc.sql(KNOWN).param("browser", secret))
            .orElseGet(
                () ->
                    jdbc.sql(STRANGERS)
                        .param("address", address)
                        .param("fromAddress", MOST_PER_ADDRESS)
                        .param("forName", MOST_PER_NAME));
    return look.param("name", key)
        .param("both", MOST_PER_NAME_AND_PLACE)
        .param("since", at(clock.instant().minus(WINDOW)))
        .query(Boolean.class)
        .single();
  }

  /** Writes down that a try was right after all, and forgets old ones. */
  @Transactional
  public void succeeded(long number) {
    jdbc.sql("update sign_in_try set succeeded = true where id = ?").param(number).update();
    jdbc.sql("delete from sign_in_try where tried_at < ?")
        .param(at(clock.instant().minus(KEPT)))
        .update();
  }

  /** Opens the door for a name again: the owner gave them a new password. */
  @Transactional
  public void forgive(String name) {
    jdbc.sql("delete from sign_in_try where sign_in = ? and not succeeded")
        .param(key(name))
        .update();
  }

  private static String key(String name) {
    String key = name == null ? "" : name.replace("\0", "").strip().toLowerCase(Locale.ROOT);
    return key.substring(0, Math.min(40, key.length()));
  }

  private static OffsetDateTime at(Instant instant) {
    return instant.atOffset(ZoneOffset.UTC);
  }
}
