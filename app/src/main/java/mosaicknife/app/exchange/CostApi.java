package mosaicknife.app.exchange;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.Currency;
import java.util.Optional;
import mosaicknife.app.shared.Words;
import mosaicknife.core.cost.CostLadder;
import mosaicknife.core.cost.CostSheet;
import mosaicknife.core.cost.CostingMethod;
import mosaicknife.core.cost.LotCost;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Costs a breakdown that nobody stored. */
@RestController
@Tag(name = "Evaluation")
class CostApi {

  private final Evaluator evaluator;
  private final Words words;

  CostApi(Evaluator evaluator, Words words) {
    this.evaluator = evaluator;
    this.words = words;
  }

  @PostMapping("/api/v1/evaluate/cost")
  @Operation(
      summary = "Cost a breakdown by every method",
      description =
          "Stateless: from a breakdown, freight, claims, work, garnish and price to what a portion"
              + " costs in each costing method, and the ladder from the purchase to the menu.")
  CostAnswer cost(@RequestBody CostRequest request) {
    Fields fields = new Fields(words);
    EvaluationRequest asked =
        fields.needed(
            "breakdown",
            request.breakdown(),
            new EvaluationRequest(null, null, null, null, null, null, null, null, null));
    fields.check();
    Evaluator.Resolved known = evaluator.read(asked);
    Currency currency = known.cost().price().perKilogram().currency();
    ExactMoney freight = money(fields, "freight", request.freight(), currency);
    ExactMoney claims = money(fields, "claims", request.claims(), currency);
    ExactMoney labour = money(fields, "labour", request.labour(), currency);
    ExactMoney garnish = money(fields, "garnish", request.garnish(), currency);
    ExactMoney price = money(fields, "menuPrice", request.menuPrice(), currency);
    if (claims.compareTo(known.cost().total().plus(freight)) > 0) {
      fields.wrong("claims", "exchange.problem.claims");
    }
    if (known.breakdown().tallied().compareTo(known.breakdown().purchased()) > 0) {
      fields.wrong("breakdown", "exchange.problem.cuts");
    }
    fields.check();
    LotCost cost = new LotCost(known.cost().price(), known.cost().invoiced(), freight, claims);
    CostLadder.Table table =
        new CostLadder.Table(
            labour,
            Optional.of(garnish).filter(one -> request.garnish() != null),
            Optional.of(price).filter(one -> request.menuPrice() != null));
    return new CostAnswer(
        Arrays.stream(CostingMethod.values())
            .flatMap(method -> sheet(known, cost, method).stream())
            .map(Evaluator::cost)
            .toList(),
        CostLadder.of(known.breakdown(), true, cost, sheet(known, cost, known.method()), table)
            .rungs()
            .stream()
            .map(CostApi::rung)
            .toList());
  }

  private static ExactMoney money(
      Fields fields, String name, BigDecimal amount, Currency currency) {
    return fields.read(name, ExactMoney.zero(currency), () -> Texts.money(amount, currency));
  }

  private static Optional<CostSheet> sheet(
      Evaluator.Resolved known, LotCost cost, CostingMethod method) {
    return CostSheet.of(method, known.breakdown(), cost, known.values(), known.portionTarget());
  }

  private static CostAnswer.RungJson rung(CostLadder.Rung rung) {
    return new CostAnswer.RungJson(
        rung.step().name(),
        rung.mass().map(Mass::inGrams).orElse(null),
        Evaluator.six(rung.money()),
        rung.portion().map(Evaluator::six).orElse(null),
        rung.price().map(price -> Evaluator.six(price.perKilogram())).orElse(null));
  }
}
