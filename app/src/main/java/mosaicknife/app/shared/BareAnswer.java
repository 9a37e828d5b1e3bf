package mosaicknife.app.shared;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.util.HtmlUtils;

/**
 * Answers with one sentence where no page gets a turn: it asks neither the session nor the house
 * nor the templates for anything.
 */
@Component
public class BareAnswer {

  private final Words words;
  private final ApiProblem problems;

  BareAnswer(Words words, ApiProblem problems) {
    this.words = words;
    this.problems = problems;
  }

  /**
   * Answers, and says after how many seconds it is worth another try.
   *
   * @param request what was asked
   * @param response where to answer
   * @param status the status
   * @param sentence what to say
   * @param againInSeconds after how long
   * @throws IOException if the other side has gone
   */
  public void send(
      HttpServletRequest request,
      HttpServletResponse response,
      HttpStatus status,
      String sentence,
      int againInSeconds)
      throws IOException {
    response.reset();
    response.setHeader("Retry-After", Integer.toString(againInSeconds));
    write(request, response, status, sentence);
  }

  void send(
      HttpServletRequest request, HttpServletResponse response, HttpStatus status, String sentence)
      throws IOException {
    response.reset();
    write(request, response, status, sentence);
  }

  private void write(
      HttpServletRequest request, HttpServletResponse response, HttpStatus status, String sentence)
      throws IOException {
    response.setHeader("Cache-Control", "no-store");
    response.setHeader("X-Content-Type-Options", "nosniff");
    if (request.getRequestURI().startsWith("/api/")) {
      problems.write(response, status, sentence);
      return;
    }
    response.setStatus(status.value());
    response.setContentType("text/html;charset=UTF-8");
    boolean fragment = request.getHeader("HX-Request") != null;
    String body = fragment ? notice(sentence) : page(sentence);
    response.getOutputStream().write(body.getBytes(StandardCharsets.UTF_8));
  }

  private static String notice(String sentence) {
    return "<p class=\"alert alert-danger\" role=\"alert\" id=\"problem\">"
        + HtmlUtils.htmlEscape(sentence)
        + "</p>";
  }

  private String page(String sentence) {
    return "<!DOCTYPE html><html lang=\"en\"><head><meta charset=\"utf-8\"><title>Mosaic Knife</title>"
        + "<meta name=\"viewport\" content=\"width=device-width, initial-scale=1\">"
        + "<link rel=\"stylesheet\" href=\"/webjars/bootstrap/css/bootstrap.min.css\">"
        + "<link rel=\"stylesheet\" href=\"/ui/shared/theme.css\"></head><body>"
        + "<main class=\"narrow\"><h1>"
        + words.say("shared.problem.that-did-not-work")
        + "</h1>"
        + notice(sentence)
        + "</main></body></html>";
  }
}
