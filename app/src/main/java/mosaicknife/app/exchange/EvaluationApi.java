package mosaicknife.app.exchange;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Evaluates a breakdown that nobody stored. */
@RestController
@Tag(name = "Evaluation")
class EvaluationApi {

  private final Evaluator evaluator;

  EvaluationApi(Evaluator evaluator) {
    this.evaluator = evaluator;
  }

  @PostMapping("/api/v1/evaluate/breakdown")
  @Operation(
      summary = "Evaluate a breakdown",
      description =
          "Stateless: from state, purchased mass, price and parts to balance, yields, costs and"
              + " whole portions.")
  EvaluationAnswer evaluate(@RequestBody EvaluationRequest request) {
    return evaluator.evaluate(request);
  }
}
