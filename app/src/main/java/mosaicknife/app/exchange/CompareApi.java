package mosaicknife.app.exchange;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import mosaicknife.app.exchange.CompareRequest.ContenderRequest;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.TakesLong;
import mosaicknife.app.shared.Words;
import mosaicknife.core.cost.Comparison;
import mosaicknife.core.cost.Contender;
import mosaicknife.core.portion.Eaten;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.Mass;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Compares fish that nobody stored. */
@RestController
@TakesLong
@Tag(name = "Evaluation")
class CompareApi {

  private static final int MOST = 50;
  private static final int MOST_CUTS = 200;

  private final Words words;

  CompareApi(Words words) {
    this.words = words;
  }

  @PostMapping("/api/v1/evaluate/compare")
  @Operation(
      summary = "Compare fish at one plate",
      description =
          "Stateless: from what fish cost and their cuts weigh to what a finished portion costs,"
              + " and from which yield and up to which price each is as cheap as the cheapest"
              + " other.")
  CompareAnswer compare(@RequestBody CompareRequest request) {
    Fields fields = new Fields(words);
    Serving serving =
        fields.read(
            "portionTarget",
            Serving.slices(Mass.ofGrams(1)),
            () -> Texts.serving(request.portionTarget(), request.tolerancePercent()));
    Currency currency =
        fields.read("currency", Texts.currency("EUR"), () -> Texts.currency(request.currency()));
    List<ContenderRequest> sent = request.contenders() == null ? List.of() : request.contenders();
    if (sent.size() < 2 || sent.size() > MOST) {
      fields.wrong("contenders", "exchange.problem.contenders", sent.size(), MOST);
    }
    List<Contender> contenders = new ArrayList<>();
    for (int i = 0; i < Math.min(MOST, sent.size()); i++) {
      ContenderRequest one = sent.get(i);
      String id = "" + (i + 1);
      fields.read(
          "contenders[" + i + "]", null, () -> contenders.add(contender(id, one, currency)));
    }
    fields.check();
    Comparison comparison = new Comparison(serving, contenders);
    return new CompareAnswer(
        comparison.contenders().stream().map(one -> json(one, comparison)).toList());
  }

  private static Contender contender(String id, ContenderRequest asked, Currency currency) {
    List<String> texts = asked == null || asked.cuts() == null ? List.of() : asked.cuts();
    if (texts.isEmpty() || texts.size() > MOST_CUTS) {
      throw Refusal.ofInput("exchange.problem.cuts");
    }
    Mass purchased = Texts.mass(asked.purchased());
    List<Mass> cuts = texts.stream().map(Texts::mass).toList();
    Mass all = Mass.total(cuts);
    boolean isCut =
        purchased.isPositive()
            && all.isPositive()
            && all.compareTo(purchased) <= 0
            && cuts.stream().noneMatch(Mass::isNegative);
    if (!isCut) {
      throw Refusal.ofInput("exchange.problem.cuts");
    }
    return new Contender(
        id,
        asked.name() == null || asked.name().isBlank() ? id : asked.name(),
        purchased,
        Texts.price(asked.price(), currency).times(purchased),
        Texts.money(asked.labour(), currency),
        Texts.money(asked.credit(), currency),
        cuts.stream().map(cut -> Eaten.of(1, cut)).toList(),
        true,
        0);
  }

  private static CompareAnswer.ContenderJson json(Contender one, Comparison comparison) {
    Optional<Contender> other =
        comparison.contenders().stream()
            .filter(two -> two != one)
            .filter(two -> two.plate(comparison.serving()).isPresent())
            .findFirst();
    return new CompareAnswer.ContenderJson(
        one.name(),
        one.plates(comparison.serving()),
        one.plate(comparison.serving()).map(Evaluator::six).orElse(null),
        one.share().toPercent(4, RoundingMode.HALF_UP),
        Evaluator.six(one.point(comparison.serving())),
        other.map(Contender::name).orElse(null),
        other
            .flatMap(two -> comparison.lowestYield(one, two))
            .map(yield -> yield.toPercent(1, RoundingMode.HALF_UP))
            .orElse(null),
        other
            .flatMap(two -> comparison.highestPrice(one, two))
            .map(price -> Evaluator.six(price.perKilogram()))
            .orElse(null));
  }
}
