package mosaicknife.app.account;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mosaicknife.app.shared.BareAnswer;
import mosaicknife.app.shared.Words;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Lazy;
import org.springframework.dao.DataAccessException;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/**
 * Who is signed in, asked before a request is read: the database answers once in a while for each
 * session and token. It decides how long somebody is waited for and nothing else.
 */
@Component
class Guests implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {

  private static final Duration BELIEVED = Duration.ofMinutes(5);
  private static final Duration NOT_ASKED_AGAIN = Duration.ofSeconds(5);
  private static final int MOST_KNOWN = 2_000;

  private final SessionCookie cookie;
  private final ObjectProvider<SessionRepository<?>> sessions;
  private final TokenIssuer tokens;
  private final BareAnswer answers;
  private final Words words;
  private final Clock clock;
  private volatile Instant away = Instant.MIN;
  private final Map<String, Instant> known =
      Collections.synchronizedMap(
          new LinkedHashMap<>() {
            private static final long serialVersionUID = 1;

            @Override
            protected boolean removeEldestEntry(Map.Entry<String, Instant> eldest) {
              return size() > MOST_KNOWN;
            }
          });

  Guests(
      SessionCookie cookie,
      ObjectProvider<SessionRepository<?>> sessions,
      @Lazy TokenIssuer tokens,
      @Lazy BareAnswer answers,
      @Lazy Words words,
      Clock clock) {
    this.cookie = cookie;
    this.sessions = sessions;
    this.tokens = tokens;
    this.answers = answers;
    this.words = words;
    this.clock = clock;
  }

  @Override
  public void customize(TomcatServletWebServerFactory server) {
    server.addContextValves(new Doorstep(this, answers, words));
  }

  /** Returns whether a request comes with a session or a token that holds. */
  boolean knows(HttpServletRequest request) {
    String header = request.getHeader("Authorization");
    if (request.getRequestURI().startsWith("/api/")) {
      return header != null && isKnown(header, () -> holds(header));
    }
    List<String> ids = cookie.readCookieValues(request);
    return ids.stream().anyMatch(id -> isKnown(id, () -> isSignedIn(id)));
  }

  private interface Asked {
    boolean holds();
  }

  private boolean isKnown(String secret, Asked asked) {
    String hash = Secrets.hash(secret);
    Instant since = known.get(hash);
    if (since != null && since.plus(BELIEVED).isAfter(clock.instant())) {
      return true;
    }
    if (away.isAfter(clock.instant())) {
      return true;
    }
    try {
      boolean holds = asked.holds();
      if (holds) {
        known.put(hash, clock.instant());
      } else {
        known.remove(hash);
      }
      return holds;
    } catch (DataAccessException | TransactionException e) {
      // the database is away: whoever it is will be told so in a moment
      away = clock.instant().plus(NOT_ASKED_AGAIN);
      return true;
    }
  }

  private boolean holds(String header) {
    return header.startsWith(BearerFilter.SCHEME)
        && tokens.find(header.substring(BearerFilter.SCHEME.length()).strip()).isPresent();
  }

  private boolean isSignedIn(String id) {
    Session session = sessions.getObject().findById(id);
    return session != null
        && session.getAttribute(HttpSessionSecurityContextRepository.SPRING_SECURITY_CONTEXT_KEY)
            != null;
  }
}
