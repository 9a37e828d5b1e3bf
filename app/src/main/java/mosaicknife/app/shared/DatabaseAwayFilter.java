package mosaicknife.app.shared;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Answers for a database that is away where no page gets a turn: the session or the token cannot
 * even be looked up. It answers by itself, since the usual error page would ask for the session
 * again and wait as long once more.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 10)
class DatabaseAwayFilter extends OncePerRequestFilter {

  private static final Logger LOG = LoggerFactory.getLogger(DatabaseAwayFilter.class);

  private final BareAnswer answers;
  private final Words words;

  DatabaseAwayFilter(BareAnswer answers, Words words) {
    this.answers = answers;
    this.words = words;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    try {
      chain.doFilter(request, response);
    } catch (ServletException | RuntimeException e) {
      Optional<DatabaseTrouble> trouble = DatabaseTrouble.find(e);
      if (trouble.isEmpty() || response.isCommitted()) {
        throw e;
      }
      LOG.warn("{} {}: {}", request.getMethod(), request.getRequestURI(), trouble.get());
      if (trouble.get() == DatabaseTrouble.AWAY) {
        answers.send(request, response, trouble.get().status(), words.say(trouble.get()), 5);
      } else {
        answers.send(request, response, trouble.get().status(), words.say(trouble.get()));
      }
    }
  }
}
