package mosaicknife.app.shared;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.boot.availability.ApplicationAvailability;
import org.springframework.boot.availability.ReadinessState;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Says at once that the application is still starting, or ending. A request that waited for it
 * would wait longer than one that a proxy gives to another instance.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
class ReadyFilter extends OncePerRequestFilter {

  private final ApplicationAvailability availability;
  private final BareAnswer answers;
  private final Words words;

  ReadyFilter(ApplicationAvailability availability, BareAnswer answers, Words words) {
    this.availability = availability;
    this.answers = answers;
    this.words = words;
  }

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return request.getRequestURI().equals("/up")
        || availability.getReadinessState() == ReadinessState.ACCEPTING_TRAFFIC;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    answers.send(
        request, response, HttpStatus.SERVICE_UNAVAILABLE, words.say("shared.problem.starting"), 2);
  }
}
