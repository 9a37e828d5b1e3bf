package mosaicknife.app.shared;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.InvalidMediaTypeException;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.util.InvalidMimeTypeException;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.multipart.MultipartException;

/**
 * Answers where no page gets a turn: the request cannot be read (letters that are no UTF-8, an
 * upload cut off, a content type that is none), or the database is away and the session or the
 * token cannot even be looked up. It answers by itself, since the usual error page would ask for
 * the session again and wait as long once more.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 5)
class TroubleFilter extends OncePerRequestFilter {

  private static final Logger LOG = LoggerFactory.getLogger(TroubleFilter.class);

  private final BareAnswer answers;
  private final Words words;

  TroubleFilter(BareAnswer answers, Words words) {
    this.answers = answers;
    this.words = words;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (request.getRequestURI().equals("/error")) {
      // asked for by hand, it has nothing to tell
      response.sendError(HttpServletResponse.SC_NOT_FOUND);
      return;
    }
    try {
      requireKnownType(request.getContentType());
      if (!Uploads.is(request)) {
        // looked at once, here: later it would look like a fault of the page that trips over it
        request.getParameterNames();
      }
      chain.doFilter(request, response);
    } catch (ServletException | RuntimeException e) {
      Optional<DatabaseTrouble> trouble = DatabaseTrouble.find(e);
      if (response.isCommitted() || (trouble.isEmpty() && !isUnreadable(e))) {
        throw e;
      }
      if (trouble.isEmpty()) {
        LOG.debug("{} {} could not be read", request.getMethod(), request.getRequestURI(), e);
        answers.send(
            request, response, HttpStatus.BAD_REQUEST, words.say("shared.problem.unreadable"));
      } else {
        LOG.warn("{} {}: {}", request.getMethod(), request.getRequestURI(), trouble.get());
        answer(request, response, trouble.get());
      }
    }
  }

  private void answer(
      HttpServletRequest request, HttpServletResponse response, DatabaseTrouble trouble)
      throws IOException {
    if (trouble == DatabaseTrouble.AWAY) {
      answers.send(request, response, trouble.status(), words.say(trouble), 5);
    } else {
      answers.send(request, response, trouble.status(), words.say(trouble));
    }
  }

  /** What a body is must be said, if anything is: a family of types is none. */
  private static void requireKnownType(String type) {
    if (type != null && !MediaType.parseMediaType(type).isConcrete()) {
      throw new InvalidMediaTypeException(type, "a family of types");
    }
  }

  private static boolean isUnreadable(Throwable e) {
    return Stream.iterate(e, cause -> cause != null, Throwable::getCause)
        .limit(20)
        .anyMatch(
            cause ->
                cause instanceof InvalidParameterException
                    || cause instanceof MultipartException
                    || cause instanceof InvalidMediaTypeException
                    || cause instanceof InvalidMimeTypeException);
  }
}
