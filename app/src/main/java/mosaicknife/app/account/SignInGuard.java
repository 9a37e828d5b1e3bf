package mosaicknife.app.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Locale;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Slows down guessing of passwords.
 *
 * <p>Five failures for one name from one address, twenty for one address, or fifty for one name
 * from anywhere within a quarter of an hour close the door for the rest of it. The limit per name
 * is high so that a stranger cannot lock a butcher out from elsewhere with a few tries. Kept in the
 * database, so that it holds over all instances and restarts.
 */
@Component
class SignInGuard {

  private static final Duration WINDOW = Duration.ofMinutes(15);
  private static final Duration KEPT = Duration.ofDays(30);
  private static final int MOST_PER_NAME_AND_ADDRESS = 5;
  private static final int MOST_PER_ADDRESS = 20;
  private static final int MOST_PER_NAME = 50;

  private static final String FAILURES =
      """
      select count(*) filter (where sign_in = :name and address = :address) >= :both
          or count(*) filter (where address = :address) >= :fromAddress
          or count(*) filter (where sign_in = :name) >= :forName
        from sign_in_try failed
       where not succeeded
         and tried_at > :since
         and (sign_in = :name or address = :address)
         and not exists (select 1 from sign_in_try later
                          where later.succeeded
                            and later.sign_in = failed.sign_in
                            and later.address = failed.address
                            and later.tried_at > failed.tried_at)
      """;

  private final JdbcClient jdbc;
  private final Clock clock;

  SignInGuard(JdbcClient jdbc, Clock clock) {
    this.jdbc = jdbc;
    this.clock = clock;
  }

  /** Returns whether another try must wait. */
  @Transactional(readOnly = true)
  public boolean isClosed(String name, String address) {
    return jdbc.sql(FAILURES)
        .param("name", key(name))
        .param("address", address)
        .param("both", MOST_PER_NAME_AND_ADDRESS)
        .param("fromAddress", MOST_PER_ADDRESS)
        .param("forName", MOST_PER_NAME)
        .param("since", at(clock.instant().minus(WINDOW)))
        .query(Boolean.class)
        .single();
  }

  /** Writes down a try and forgets old ones. */
  @Transactional
  public void record(String name, String address, Outcome outcome) {
    Instant now = clock.instant();
    jdbc.sql("insert into sign_in_try (sign_in, address, tried_at, succeeded) values (?, ?, ?, ?)")
        .params(key(name), address, at(now), outcome == Outcome.SUCCEEDED)
        .update();
    jdbc.sql("delete from sign_in_try where tried_at < ?").param(at(now.minus(KEPT))).update();
  }

  /** How a try ended. */
  enum Outcome {
    SUCCEEDED,
    FAILED
  }

  private static String key(String name) {
    String key = name == null ? "" : name.strip().toLowerCase(Locale.ROOT);
    return key.substring(0, Math.min(40, key.length()));
  }

  private static OffsetDateTime at(Instant instant) {
    return instant.atOffset(ZoneOffset.UTC);
  }
}
