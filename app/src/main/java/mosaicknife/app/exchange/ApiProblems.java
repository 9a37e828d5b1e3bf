package mosaicknife.app.exchange;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import mosaicknife.app.account.TokenIssuer.SignInRefused;
import mosaicknife.app.shared.DatabaseTrouble;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Words;
import mosaicknife.core.quantity.QuantityFormatException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.annotation.Order;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;

/** Turns what goes wrong behind the API into problem details. */
@RestControllerAdvice(annotations = RestController.class)
@Order(1)
class ApiProblems {

  private final Words words;

  ApiProblems(Words words) {
    this.words = words;
  }

  private static final Logger LOG = LoggerFactory.getLogger(ApiProblems.class);

  @ExceptionHandler(Refusal.class)
  ProblemDetail refused(Refusal refusal) {
    ProblemDetail problem =
        switch (refusal.kind()) {
          case INPUT -> problem(HttpStatus.UNPROCESSABLE_CONTENT, words.say(refusal));
          case STALE -> problem(HttpStatus.CONFLICT, words.say(refusal));
          case MISSING -> problem(HttpStatus.NOT_FOUND, words.say(refusal));
          case ELSEWHERE -> problem(HttpStatus.FORBIDDEN, words.say(refusal));
        };
    if (!refusal.field().isEmpty()) {
      problem.setProperty("fields", Map.of(refusal.field(), words.say(refusal)));
    }
    return problem;
  }

  /** A wrong name or password, or too many tries: then the answer says when to come back. */
  @ExceptionHandler(SignInRefused.class)
  ResponseEntity<ProblemDetail> notSignedIn(SignInRefused refused) {
    HttpStatus status =
        refused.isTooMany() ? HttpStatus.TOO_MANY_REQUESTS : HttpStatus.UNAUTHORIZED;
    ResponseEntity.BodyBuilder answer = ResponseEntity.status(status);
    if (refused.isTooMany()) {
      answer.header(HttpHeaders.RETRY_AFTER, "900");
    }
    return answer
        .contentType(MediaType.APPLICATION_PROBLEM_JSON)
        .body(problem(status, words.say(refused.key())));
  }

  @ExceptionHandler(FieldProblems.class)
  ProblemDetail fields(FieldProblems problems) {
    ProblemDetail problem =
        problem(
            HttpStatus.UNPROCESSABLE_CONTENT,
            words.say("exchange.problem.fields", (long) problems.byField().size()));
    problem.setProperty("fields", problems.byField());
    return problem;
  }

  @ExceptionHandler(QuantityFormatException.class)
  ProblemDetail notAQuantity(QuantityFormatException e) {
    return problem(HttpStatus.UNPROCESSABLE_CONTENT, words.say(e));
  }

  @ExceptionHandler({
    HttpMessageNotReadableException.class,
    MethodArgumentTypeMismatchException.class
  })
  ProblemDetail notReadable(Exception e) {
    LOG.debug("A request to the API was not readable", e);
    return problem(HttpStatus.BAD_REQUEST, words.say("exchange.problem.not-readable"));
  }

  @ExceptionHandler(OptimisticLockingFailureException.class)
  ProblemDetail stale() {
    return problem(HttpStatus.CONFLICT, words.say("DatabaseTrouble.MET_ANOTHER"));
  }

  @ExceptionHandler(AccessDeniedException.class)
  ProblemDetail notAllowed() {
    return problem(HttpStatus.FORBIDDEN, words.say("exchange.problem.role"));
  }

  @ExceptionHandler(RuntimeException.class)
  ProblemDetail other(RuntimeException e) {
    return DatabaseTrouble.find(e).map(trouble -> database(trouble, e)).orElseGet(() -> bug(e));
  }

  private ProblemDetail database(DatabaseTrouble trouble, RuntimeException e) {
    LOG.warn("{}: {}", trouble, e.getMessage());
    return problem(trouble.status(), words.say(trouble));
  }

  private ProblemDetail bug(RuntimeException e) {
    String mark = UUID.randomUUID().toString().substring(0, 8);
    LOG.error("Unexpected, marked {}", mark, e);
    return problem(HttpStatus.INTERNAL_SERVER_ERROR, words.say("shared.problem.bug", mark));
  }

  private static ProblemDetail problem(HttpStatus status, String detail) {
    return ProblemDetail.forStatusAndDetail(status, detail);
  }

  /** Several fields of one request were not understood. */
  static final class FieldProblems extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final LinkedHashMap<String, String> byField;

    FieldProblems(Map<String, String> byField) {
      super("Fields not understood: " + byField.keySet());
      this.byField = new LinkedHashMap<>(byField);
    }

    Map<String, String> byField() {
      return byField;
    }
  }
}
