package mosaicknife.app.shared;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
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

  private final Words words;

  DatabaseAwayFilter(Words words) {
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
      answer(request, response, trouble.get());
    }
  }

  private void answer(
      HttpServletRequest request, HttpServletResponse response, DatabaseTrouble trouble)
      throws IOException {
    response.reset();
    response.setStatus(trouble.status().value());
    response.setHeader("Cache-Control", "no-store");
    response.setHeader("X-Content-Type-Options", "nosniff");
    boolean api = request.getRequestURI().startsWith("/api/");
    response.setContentType(api ? "application/problem+json" : "text/html;charset=UTF-8");
    if (trouble == DatabaseTrouble.AWAY) {
      response.setHeader("Retry-After", "5");
    }
    response.getOutputStream().write(body(request, trouble, api).getBytes(StandardCharsets.UTF_8));
  }

  private String body(HttpServletRequest request, DatabaseTrouble trouble, boolean api) {
    // no house is needed for a sentence without figures, so none is asked for
    String sentence = words.say(trouble);
    if (api) {
      return "{\"type\":\"about:blank\",\"title\":\"%s\",\"status\":%d,\"detail\":\"%s\"}"
          .formatted(trouble.status().getReasonPhrase(), trouble.status().value(), sentence);
    }
    String notice =
        "<p class=\"alert alert-danger\" role=\"alert\" id=\"problem\">" + sentence + "</p>";
    return request.getHeader("HX-Request") != null
        ? notice
        : "<!DOCTYPE html><html lang=\"en\"><head><meta charset=\"utf-8\"><title>Mosaic Knife</title>"
            + "<meta name=\"viewport\" content=\"width=device-width, initial-scale=1\">"
            + "<link rel=\"stylesheet\" href=\"/webjars/bootstrap/css/bootstrap.min.css\">"
            + "<link rel=\"stylesheet\" href=\"/ui/shared/theme.css\"></head><body>"
            + "<main class=\"narrow\"><h1>"
            + words.say("shared.problem.that-did-not-work")
            + "</h1>"
            + notice
            + "</main></body></html>";
  }
}
