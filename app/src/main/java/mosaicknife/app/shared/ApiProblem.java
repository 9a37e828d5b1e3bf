package mosaicknife.app.shared;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Answers the API with one sentence where none of its calls gets a turn, as RFC 9457 says. */
@Component
public class ApiProblem {

  private final JsonMapper json;

  ApiProblem(JsonMapper json) {
    this.json = json;
  }

  /**
   * Writes the answer.
   *
   * @param response where to
   * @param status its status
   * @param sentence what to say
   * @throws IOException if the other side has gone
   */
  public void write(HttpServletResponse response, HttpStatus status, String sentence)
      throws IOException {
    response.setStatus(status.value());
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, sentence);
    response.getOutputStream().write(json.writeValueAsBytes(problem));
  }
}
