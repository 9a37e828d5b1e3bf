package mosaicknife.app.account;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * The browsers people signed in with before. A try from such a browser is counted by itself, so
 * that a stranger who guesses, from the house's own address or for a colleague's name, shuts nobody
 * out of the tablet they work with.
 */
@Component
class KnownBrowsers {

  private static final String COOKIE = "mosaic_known";
  private static final Pattern SECRET = Pattern.compile("[A-Za-z0-9_-]{43}");
  private static final Duration KEPT = Duration.ofDays(180);

  private final JdbcClient jdbc;
  private final Clock clock;

  KnownBrowsers(JdbcClient jdbc, Clock clock) {
    this.jdbc = jdbc;
    this.clock = clock;
  }

  /** The secret a browser brings along; what cannot be one is none. */
  static Optional<String> secretOf(HttpServletRequest request) {
    Cookie[] cookies = request.getCookies();
    return cookies == null
        ? Optional.empty()
        : Stream.of(cookies)
            .filter(cookie -> COOKIE.equals(cookie.getName()))
            .map(Cookie::getValue)
            .filter(value -> value != null && SECRET.matcher(value).matches())
            .findFirst();
  }

  /** Remembers that a person signed in with this browser. */
  @Transactional
  public void remember(HttpServletRequest request, HttpServletResponse response, long person) {
    String secret = secretOf(request).orElseGet(Secrets::fresh);
    jdbc.sql(
            "insert into known_browser (secret_hash, person_id, known_since) values (?, ?, ?)"
                + " on conflict (secret_hash, person_id) do update set known_since ="
                + " excluded.known_since")
        .params(Secrets.hash(secret), person, clock.instant().atOffset(ZoneOffset.UTC))
        .update();
    jdbc.sql("delete from known_browser where known_since < ?")
        .param(clock.instant().minus(KEPT).atOffset(ZoneOffset.UTC))
        .update();
    response.addHeader(
        HttpHeaders.SET_COOKIE,
        ResponseCookie.from(COOKIE, secret)
            .httpOnly(true)
            .secure(request.isSecure())
            .sameSite("Lax")
            .path("/")
            .maxAge(KEPT)
            .build()
            .toString());
  }

  /** Returns whether a person signed in with a browser before. */
  @Transactional(readOnly = true)
  public boolean knows(String browserHash, String signIn) {
    return jdbc.sql(
                "select count(*) from known_browser b join person p on p.id = b.person_id"
                    + " where b.secret_hash = ? and p.sign_in = ?")
            .params(browserHash, signIn)
            .query(Long.class)
            .single()
        > 0;
  }

  /** Forgets every browser of a person. */
  @Transactional
  public void forget(long person) {
    jdbc.sql("delete from known_browser where person_id = ?").param(person).update();
  }
}
