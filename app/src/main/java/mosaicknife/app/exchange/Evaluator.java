package mosaicknife.app.exchange;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Currency;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.exchange.EvaluationAnswer.BalanceJson;
import mosaicknife.app.exchange.EvaluationAnswer.CostJson;
import mosaicknife.app.exchange.EvaluationAnswer.PartCostJson;
import mosaicknife.app.exchange.EvaluationAnswer.UnderstoodJson;
import mosaicknife.app.exchange.EvaluationAnswer.UnderstoodPart;
import mosaicknife.app.exchange.EvaluationAnswer.YieldJson;
import mosaicknife.app.exchange.EvaluationRequest.PartRequest;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Words;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.Balance;
import mosaicknife.core.breakdown.Breakdown;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.breakdown.Knowledge;
import mosaicknife.core.breakdown.Node;
import mosaicknife.core.breakdown.Yields;
import mosaicknife.core.cost.CostSheet;
import mosaicknife.core.cost.Costing;
import mosaicknife.core.cost.CostingMethod;
import mosaicknife.core.cost.LotCost;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;
import org.springframework.stereotype.Component;

/** Reads a request into core values, has the core evaluate them, and writes the answer. */
@Component
class Evaluator {

  private static final int MOST_PARTS = 200;
  private static final int PERCENT_DECIMALS = 4;
  private static final int MONEY_DECIMALS = 6;

  private final CatalogueEditor catalogue;

  private final Words words;

  Evaluator(CatalogueEditor catalogue, Words words) {
    this.words = words;
    this.catalogue = catalogue;
  }

  EvaluationAnswer evaluate(EvaluationRequest request) {
    Resolved resolved = read(request);
    Breakdown breakdown = resolved.breakdown();
    Yields yields =
        resolved
            .species()
            .map(species -> Yields.of(breakdown, species))
            .orElseGet(() -> Yields.withoutNorm(breakdown));
    Balance balance = balance(breakdown);
    if (balance.verdict() == Balance.Verdict.OVER) {
      return new EvaluationAnswer(
          understood(resolved), json(balance), List.of(), null, null, null, null);
    }
    return new EvaluationAnswer(
        understood(resolved),
        json(balance),
        yields(breakdown, yields),
        percent(yields.usable()),
        percent(yields.kept()),
        percent(yields.discarded()),
        CostSheet.of(
                resolved.method(),
                breakdown,
                resolved.cost(),
                resolved.values(),
                resolved.portionTarget())
            .map(Evaluator::cost)
            .orElse(null));
  }

  /** Reads a breakdown; refuses it with all that is wrong with its fields. */
  Resolved read(EvaluationRequest request) {
    return new Reader().read(request);
  }

  /** A request in core values. */
  record Resolved(
      Breakdown breakdown,
      Optional<Species> species,
      LotCost cost,
      Map<String, UnitPrice> values,
      Mass portionTarget,
      CostingMethod method) {}

  private static UnderstoodJson understood(Resolved resolved) {
    Breakdown breakdown = resolved.breakdown();
    ExactMoney price = resolved.cost().price().perKilogram();
    return new UnderstoodJson(
        breakdown.purchased().inGrams(),
        breakdown.fish(),
        six(price),
        price.currency().getCurrencyCode(),
        resolved.portionTarget().inGrams(),
        resolved.method().name(),
        breakdown.leaves().stream()
            .map(
                leaf ->
                    new UnderstoodPart(
                        leaf.id(),
                        leaf.kind().code(),
                        leaf.mass().inGrams(),
                        leaf.pieces(),
                        leaf.purpose().orElse(null),
                        Optional.ofNullable(resolved.values().get(leaf.id()))
                            .map(value -> six(value.perKilogram()))
                            .orElse(null)))
            .toList());
  }

  private static Balance balance(Breakdown breakdown) {
    return Balance.of(
        breakdown, Mass.ZERO, HouseNorms.STARTING.loss(), HouseNorms.STARTING.scale());
  }

  private static BalanceJson json(Balance balance) {
    return new BalanceJson(
        balance.purchased().inGrams(),
        balance.tallied().inGrams(),
        balance.remainder().inGrams(),
        percent(balance.remainderShare()),
        balance.expectedLoss().inGrams(),
        balance.verdict().name());
  }

  private static List<YieldJson> yields(Breakdown breakdown, Yields yields) {
    Mass mains = Mass.total(breakdown.mains().stream().map(Node::mass).toList());
    return State.OF_FISH.stream()
        .map(yields::basis)
        .flatMap(Optional::stream)
        .map(
            basis ->
                new YieldJson(
                    basis.state(),
                    basis.mass().inGrams(),
                    basis.knowledge(),
                    percent(Yields.share(mains, basis))))
        .toList();
  }

  static CostJson cost(CostSheet sheet) {
    Costing costing = sheet.costing();
    return new CostJson(
        costing.method().name(),
        costing.lotCost().currency().getCurrencyCode(),
        costing.lotCost().rounded(RoundingMode.HALF_UP).inMajorUnits(),
        six(costing.credit()),
        six(costing.excess()),
        six(costing.onMains()),
        six(sheet.ediblePrice().perKilogram()),
        sheet
            .costFactor()
            .map(factor -> factor.toDecimal(MONEY_DECIMALS, RoundingMode.HALF_UP))
            .orElse(null),
        sheet.portions().count(),
        sheet.portions().isEstimated(),
        sheet.portions().over().inGrams(),
        six(sheet.portionByWeight()),
        sheet.portionByCount().map(Evaluator::six).orElse(null),
        costing.parts().stream()
            .map(part -> new PartCostJson(part.id(), part.rounded().inMajorUnits()))
            .toList());
  }

  static BigDecimal percent(Fraction fraction) {
    return fraction.toPercent(PERCENT_DECIMALS, RoundingMode.HALF_UP);
  }

  static BigDecimal six(ExactMoney money) {
    return money.amount().setScale(MONEY_DECIMALS, RoundingMode.HALF_UP);
  }

  /** Reads one request and collects what is wrong with all of its fields. */
  private final class Reader {

    private final Fields fields = new Fields(words);

    private Resolved read(EvaluationRequest request) {
      State state = fields.needed("state", request.state(), State.GUTTED);
      Mass purchased =
          fields.read("purchased", Mass.ofGrams(1), () -> Texts.mass(request.purchased()));
      Currency currency =
          fields.read("currency", Texts.currency("EUR"), () -> Texts.currency(request.currency()));
      UnitPrice free = new UnitPrice(ExactMoney.zero(currency));
      UnitPrice price = fields.read("price", free, () -> Texts.price(request.price(), currency));
      Mass target =
          fields.read("portionTarget", Mass.ofGrams(1), () -> Texts.mass(request.portionTarget()));
      Optional<Species> species = fields.read("species", Optional.empty(), () -> species(request));
      int fish = fields.read("fish", 1, () -> Texts.count(request.fish()));
      List<PartRequest> parts = request.parts() == null ? List.of() : request.parts();
      Map<String, UnitPrice> values = new LinkedHashMap<>();
      List<Node> nodes = new ArrayList<>();
      for (int i = 0; i < Math.min(MOST_PARTS, parts.size()); i++) {
        if (parts.get(i) == null) {
          fields.wrong("parts[" + i + "]", "exchange.problem.part-missing");
        } else {
          addPart(i, parts.get(i), fish, currency, nodes, values);
        }
      }
      if (parts.size() > MOST_PARTS) {
        fields.wrong("parts", "exchange.problem.too-many-parts", parts.size(), MOST_PARTS);
      }
      if (nodes.stream().map(Node::id).distinct().count() < nodes.size()) {
        fields.wrong("parts", "exchange.problem.same-id");
      }
      fields.check();
      return new Resolved(
          new Breakdown(state, purchased, fish, nodes),
          species,
          LotCost.of(price, purchased),
          values,
          target,
          request.method() == null ? CostingMethod.ALL_ON_THE_MAINS : request.method());
    }

    private void addPart(
        int index,
        PartRequest part,
        int fish,
        Currency currency,
        List<Node> nodes,
        Map<String, UnitPrice> values) {
      String at = "parts[" + index + "]";
      fields.read(
          at,
          null,
          () -> {
            PartKind kind =
                catalogue
                    .findKind(part.kind() == null ? "" : part.kind())
                    .orElseThrow(
                        () -> Refusal.ofInput("exchange.problem.is-no-part-kind-one", part.kind()));
            String id = part.id() == null || part.id().isBlank() ? kind.code() : part.id();
            if (part.purpose() != null && !kind.mayBeFor(part.purpose())) {
              throw Refusal.ofInput(
                  "exchange.problem.never-for", kind.name(), words.say(part.purpose()));
            }
            nodes.add(
                new Node.Leaf(
                    id,
                    kind.name(),
                    kind,
                    Texts.mass(part.mass()),
                    Knowledge.MEASURED,
                    Optional.ofNullable(part.purpose()),
                    part.pieces() == null ? fish : Texts.count(part.pieces())));
            if (part.value() != null) {
              values.put(id, Texts.price(part.value(), currency));
            }
            return null;
          });
    }

    private Optional<Species> species(EvaluationRequest request) {
      if (request.species() == null) {
        return Optional.empty();
      }
      return Optional.of(FilletReader.species(catalogue.now(), request.species()));
    }
  }
}
