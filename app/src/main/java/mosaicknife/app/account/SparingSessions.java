package mosaicknife.app.account;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.Filter;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.Set;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionCallback;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Sessions that ask the database once a request: that somebody was here is written once a minute,
 * not with each weight, and what was just saved is not read again before the answer goes out. A
 * session that was ended elsewhere is still found out by the next request.
 */
@Configuration
class SparingSessions {

  private static final Duration SEEN_EVERY = Duration.ofMinutes(1);
  private static final String OPERATIONS = "springSessionTransactionOperations";

  private static final ThreadLocal<Boolean> READING = ThreadLocal.withInitial(() -> false);

  /** A session is written in a transaction of its own; to read one it takes none. */
  @Bean(defaultCandidate = false)
  @Qualifier(OPERATIONS)
  static TransactionOperations springSessionTransactionOperations(
      PlatformTransactionManager manager) {
    TransactionTemplate writing = new TransactionTemplate(manager);
    writing.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    TransactionOperations reading = TransactionOperations.withoutTransaction();
    return new TransactionOperations() {
      @Override
      public <T> T execute(TransactionCallback<T> action) {
        return (READING.get() ? reading : writing).execute(action);
      }
    };
  }

  /** In place of the rows themselves, for whoever asks for the sessions. */
  @Bean
  static BeanPostProcessor sparing() {
    return new BeanPostProcessor() {
      @Override
      public Object postProcessAfterInitialization(Object bean, String name) {
        return bean instanceof JdbcIndexedSessionRepository rows ? new Sparing<>(rows) : bean;
      }
    };
  }

  /**
   * Forgets what a thread saved, before and after all it does for one request: around the filter of
   * the sessions, and for every kind of dispatch.
   */
  @Bean
  FilterRegistrationBean<Filter> forgetSavedSession(ObjectProvider<SessionRepository<?>> sessions) {
    FilterRegistrationBean<Filter> outermost =
        new FilterRegistrationBean<>(
            (request, response, chain) -> {
              forget(sessions.getObject());
              try {
                chain.doFilter(request, response);
              } finally {
                forget(sessions.getObject());
              }
            });
    outermost.setOrder(Ordered.HIGHEST_PRECEDENCE);
    outermost.setDispatcherTypes(EnumSet.allOf(DispatcherType.class));
    outermost.setAsyncSupported(true);
    return outermost;
  }

  private static void forget(SessionRepository<?> sessions) {
    if (sessions instanceof Sparing<?> sparing) {
      sparing.saved.remove();
    }
  }

  /** The sessions of the database, with fewer questions. */
  static final class Sparing<S extends Session> implements SessionRepository<Kept<S>> {

    private final SessionRepository<S> rows;
    private final ThreadLocal<Kept<S>> saved = new ThreadLocal<>();

    private Sparing(SessionRepository<S> rows) {
      this.rows = rows;
    }

    @Override
    public Kept<S> createSession() {
      return new Kept<>(rows.createSession(), true);
    }

    @Override
    public void save(Kept<S> session) {
      if (session.changed) {
        rows.save(session.row);
        session.changed = false;
      }
      saved.set(session);
    }

    /** The filter asks for a session again right after it saved it, to see whether it stands. */
    @Override
    public Kept<S> findById(String id) {
      Kept<S> justSaved = saved.get();
      if (justSaved != null && justSaved.getId().equals(id)) {
        saved.remove();
        return justSaved;
      }
      READING.set(true);
      try {
        S row = rows.findById(id);
        return row == null ? null : new Kept<>(row, false);
      } finally {
        READING.remove();
      }
    }

    @Override
    public void deleteById(String id) {
      saved.remove();
      rows.deleteById(id);
    }
  }

  /** A session that knows whether there is anything to write. */
  static final class Kept<S extends Session> implements Session {

    private final S row;
    private boolean changed;

    private Kept(S row, boolean changed) {
      this.row = row;
      this.changed = changed;
    }

    @Override
    public String getId() {
      return row.getId();
    }

    @Override
    public String changeSessionId() {
      changed = true;
      return row.changeSessionId();
    }

    @Override
    public <T> T getAttribute(String name) {
      return row.getAttribute(name);
    }

    @Override
    public Set<String> getAttributeNames() {
      return row.getAttributeNames();
    }

    @Override
    public void setAttribute(String name, Object value) {
      changed = true;
      row.setAttribute(name, value);
    }

    @Override
    public void removeAttribute(String name) {
      changed = true;
      row.removeAttribute(name);
    }

    @Override
    public Instant getCreationTime() {
      return row.getCreationTime();
    }

    @Override
    public void setLastAccessedTime(Instant moment) {
      if (Duration.between(row.getLastAccessedTime(), moment).compareTo(SEEN_EVERY) > 0) {
        changed = true;
        row.setLastAccessedTime(moment);
      }
    }

    @Override
    public Instant getLastAccessedTime() {
      return row.getLastAccessedTime();
    }

    @Override
    public void setMaxInactiveInterval(Duration interval) {
      changed = true;
      row.setMaxInactiveInterval(interval);
    }

    @Override
    public Duration getMaxInactiveInterval() {
      return row.getMaxInactiveInterval();
    }

    @Override
    public boolean isExpired() {
      return row.isExpired();
    }
  }
}
