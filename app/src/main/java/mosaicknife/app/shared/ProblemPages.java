package mosaicknife.app.shared;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import java.util.UUID;
import mosaicknife.core.quantity.QuantityFormatException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.annotation.Order;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.stereotype.Controller;
import org.springframework.validation.BindException;
import org.springframework.web.ErrorResponse;
import org.springframework.web.HttpRequestMethodNotSupportedException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.resource.NoResourceFoundException;

/** Turns what goes wrong behind a page into one plain sentence, as a page or as a fragment. */
@ControllerAdvice(annotations = Controller.class)
@Order(10)
class ProblemPages {

  private final Words words;
  private final FormAnswers forms;

  ProblemPages(Words words, FormAnswers forms) {
    this.words = words;
    this.forms = forms;
  }

  private static final Logger LOG = LoggerFactory.getLogger(ProblemPages.class);

  @ExceptionHandler(Refusal.class)
  ModelAndView refused(Refusal refusal, HandlerMethod handler, HttpServletRequest request) {
    return refusal.kind() == Refusal.Kind.MISSING
        ? page(refusal, request)
        : forms.refused(refusal, handler, request).orElseGet(() -> page(refusal, request));
  }

  private ModelAndView page(Refusal refusal, HttpServletRequest request) {
    HttpStatus status =
        switch (refusal.kind()) {
          case INPUT -> HttpStatus.UNPROCESSABLE_CONTENT;
          case STALE -> HttpStatus.CONFLICT;
          case MISSING -> HttpStatus.NOT_FOUND;
          case ELSEWHERE -> HttpStatus.FORBIDDEN;
        };
    return page(request, status, words.say(refusal));
  }

  @ExceptionHandler(QuantityFormatException.class)
  ModelAndView notAQuantity(
      QuantityFormatException problem, HandlerMethod handler, HttpServletRequest request) {
    return forms
        .refused(problem, handler, request)
        .orElseGet(() -> page(request, HttpStatus.UNPROCESSABLE_CONTENT, words.say(problem)));
  }

  @ExceptionHandler(OptimisticLockingFailureException.class)
  ModelAndView stale(HttpServletRequest request) {
    return page(request, HttpStatus.CONFLICT, words.say("shared.problem.stale-page"));
  }

  @ExceptionHandler(AccessDeniedException.class)
  ModelAndView notAllowed(HttpServletRequest request) {
    return page(request, HttpStatus.FORBIDDEN, words.say("shared.problem.no-permission"));
  }

  @ExceptionHandler({
    BindException.class,
    MultipartException.class,
    MethodArgumentTypeMismatchException.class,
    MissingServletRequestParameterException.class
  })
  ModelAndView notUnderstood(HttpServletRequest request) {
    return page(
        request, HttpStatus.UNPROCESSABLE_CONTENT, words.say("shared.problem.not-understood"));
  }

  /** What the framework refuses before a page is asked, such as a form where a file is expected. */
  @ExceptionHandler(ServletException.class)
  ModelAndView notTaken(ServletException problem, HttpServletRequest request)
      throws ServletException {
    if (problem instanceof ErrorResponse answer && answer.getStatusCode().is4xxClientError()) {
      return page(
          request,
          HttpStatus.valueOf(answer.getStatusCode().value()),
          words.say("shared.problem.not-understood"));
    }
    throw problem;
  }

  @ExceptionHandler({NoResourceFoundException.class, HttpRequestMethodNotSupportedException.class})
  ModelAndView nothingHere(HttpServletRequest request) {
    return page(request, HttpStatus.NOT_FOUND, words.say("shared.problem.no-such-page"));
  }

  @ExceptionHandler(RuntimeException.class)
  ModelAndView other(RuntimeException problem, HttpServletRequest request) {
    return DatabaseTrouble.find(problem)
        .map(trouble -> database(trouble, problem, request))
        .orElseGet(() -> bug(problem, request));
  }

  private ModelAndView database(
      DatabaseTrouble trouble, RuntimeException problem, HttpServletRequest request) {
    LOG.warn("{} at {}: {}", trouble, request.getRequestURI(), problem.getMessage());
    return page(request, trouble.status(), words.say(trouble));
  }

  private ModelAndView bug(RuntimeException problem, HttpServletRequest request) {
    String mark = UUID.randomUUID().toString().substring(0, 8);
    LOG.error("Unexpected, marked {}", mark, problem);
    return page(request, HttpStatus.INTERNAL_SERVER_ERROR, words.say("shared.problem.bug", mark));
  }

  private static ModelAndView page(HttpServletRequest request, HttpStatus status, String sentence) {
    boolean fragment = request.getHeader("HX-Request") != null;
    ModelAndView page = new ModelAndView(fragment ? "shared/problem :: notice" : "shared/problem");
    page.setStatus(status);
    page.addObject("sentence", sentence);
    page.addObject("status", status.value());
    return page;
  }
}
