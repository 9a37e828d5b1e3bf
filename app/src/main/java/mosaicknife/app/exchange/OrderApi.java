package mosaicknife.app.exchange;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.catalogue.HouseOptions;
import mosaicknife.app.exchange.OrderRequest.OfferRequest;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.TakesLong;
import mosaicknife.app.shared.Words;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.Specification;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.buying.Candidate;
import mosaicknife.core.buying.Demand;
import mosaicknife.core.buying.Offer;
import mosaicknife.core.buying.OrderPlanner;
import mosaicknife.core.buying.Wish;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Turns a wish and offers that nobody stored into numbers of fish. */
@RestController
@TakesLong
@Tag(name = "Evaluation")
class OrderApi {

  private static final int MOST_OFFERS = 100;
  private static final BigDecimal USUAL_SERVICE = BigDecimal.valueOf(95);
  private static final BigDecimal LEAST_SERVICE = BigDecimal.valueOf(50);
  private static final BigDecimal MOST_SERVICE = new BigDecimal("99.9");
  private static final int TENTH = 1;

  private final CatalogueEditor catalogue;
  private final HouseOptions options;
  private final FilletReader reader;
  private final Words words;

  OrderApi(CatalogueEditor catalogue, HouseOptions options, FilletReader reader, Words words) {
    this.catalogue = catalogue;
    this.options = options;
    this.reader = reader;
    this.words = words;
  }

  @PostMapping("/api/v1/evaluate/order")
  @Operation(
      summary = "How much to order",
      description =
          "Stateless: from the portions wanted and what is on offer to how many fish of each offer"
              + " keep the promise, what they cost and how probable it is that somebody goes"
              + " without.")
  OrderAnswer order(@RequestBody OrderRequest request) {
    Fields fields = new Fields(words);
    Currency currency =
        fields.read("currency", Texts.currency("EUR"), () -> Texts.currency(request.currency()));
    Optional<Wish> wish = wish(request, currency, fields);
    List<OfferRequest> sent = request.offers() == null ? List.of() : request.offers();
    if (sent.isEmpty() || sent.size() > MOST_OFFERS) {
      fields.wrong("offers", "exchange.problem.offers", sent.size(), MOST_OFFERS);
    }
    List<Offer> offers = new ArrayList<>();
    for (int i = 0; i < Math.min(MOST_OFFERS, sent.size()); i++) {
      OfferRequest one = sent.get(i);
      String id = "" + i;
      fields.read("offers[" + i + "]", null, () -> offers.add(offer(id, one, currency)));
    }
    fields.check();
    OrderPlanner planner = new OrderPlanner(HouseNorms.STARTING, catalogue.now());
    List<OrderPlanner.Considered> considered = planner.considered(wish.orElseThrow(), offers);
    return new OrderAnswer(
        OrderPlanner.cheapest(considered).stream().map(OrderApi::json).toList(),
        considered.stream()
            .filter(one -> one.leftOut().isPresent())
            .map(
                one ->
                    new OrderAnswer.LeftOutJson(
                        Integer.parseInt(one.offer().id()), words.say(one.leftOut().orElseThrow())))
            .toList());
  }

  private Optional<Wish> wish(OrderRequest request, Currency currency, Fields fields) {
    Serving serving =
        fields.read(
            "portionTarget",
            Serving.slices(Mass.ofGrams(1)),
            () -> Texts.serving(request.portionTarget(), request.tolerancePercent()));
    Specification specification =
        fields.read(
            "specification",
            Specification.SKIN_ON,
            () ->
                Texts.choice(
                    Specification.values(), request.specification(), Specification.SKIN_ON));
    int portions =
        fields.read("portions", 0, () -> Texts.count(request.portions(), 0, 0, Demand.MOST));
    int onHand = fields.read("onHand", 0, () -> Texts.count(request.onHand(), 0, 0, Demand.MOST));
    ExactMoney labour =
        fields.read(
            "labourPerHour",
            ExactMoney.zero(currency),
            () -> Texts.money(request.labourPerHour(), currency));
    BigDecimal off = request.forecastError() == null ? BigDecimal.ZERO : request.forecastError();
    BigDecimal service =
        request.servicePercent() == null ? USUAL_SERVICE : request.servicePercent();
    boolean isDemand =
        off.signum() >= 0
            && off.compareTo(BigDecimal.valueOf(Demand.MOST)) <= 0
            && service.compareTo(LEAST_SERVICE) >= 0
            && service.compareTo(MOST_SERVICE) <= 0;
    if (!isDemand) {
      fields.wrong("portions", "exchange.problem.demand");
      return Optional.empty();
    }
    return Optional.of(
        new Wish(
            serving,
            specification,
            options.choices(),
            new Demand(portions, off.doubleValue(), Demand.Per.SERVICE).distribution(),
            onHand,
            service.movePointLeft(2).doubleValue(),
            labour));
  }

  private Offer offer(String id, OfferRequest asked, Currency currency) {
    if (asked == null) {
      throw Refusal.ofInput("exchange.problem.missing", "species");
    }
    Mass from = Texts.mass(asked.from());
    Mass to = Texts.mass(asked.to());
    if (!from.isPositive() || from.compareTo(to) > 0) {
      throw Refusal.ofInput("exchange.problem.grade");
    }
    return new Offer(
        id,
        reader.species(asked.species()),
        Texts.choice(State.values(), asked.state(), State.GUTTED),
        new SizeGrade(from, to),
        Texts.choice(Offer.Form.values(), asked.form(), Offer.Form.WHOLE),
        Texts.price(asked.price(), currency),
        asked.supplier() == null || asked.supplier().isBlank() ? "?" : asked.supplier());
  }

  private static OrderAnswer.CandidateJson json(Candidate one) {
    return new OrderAnswer.CandidateJson(
        Integer.parseInt(one.offer().id()),
        one.offer().species().code(),
        one.fish(),
        one.mass().inGrams(),
        Evaluator.six(one.money()),
        decimals(one.minutes()),
        Evaluator.six(one.costPerServed()),
        decimals(one.riskInAll() * 100),
        decimals(one.riskIfLean() * 100),
        decimals(one.surplus()),
        decimals(one.portionsPerFish()));
  }

  private static BigDecimal decimals(double figure) {
    return BigDecimal.valueOf(figure).setScale(TENTH, RoundingMode.HALF_UP);
  }
}
