package mosaicknife.app.cost;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.app.buy.Dish;
import mosaicknife.app.buy.DishEditor;
import mosaicknife.app.buy.PriceKeeper;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Typed;
import mosaicknife.app.shared.Words;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.buying.Offer;
import mosaicknife.core.buying.Offer.Form;
import mosaicknife.core.cost.Comparison;
import mosaicknife.core.cost.Contender;
import mosaicknife.core.lot.LotRules;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.QuantityFormatException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Lots, offers and fillet bought in, beside each other at the same plate. */
@Controller
class CompareController {

  private static final int MOST = 6;
  private static final int MOST_OFFERS = 300;
  private static final BigDecimal MOST_TOLERANCE = BigDecimal.valueOf(30);
  private static final int HUNDRED = 100;

  private final DishCosts costs;
  private final DishEditor dishes;
  private final PriceKeeper prices;
  private final HouseSettings houses;
  private final Words words;

  CompareController(
      DishCosts costs, DishEditor dishes, PriceKeeper prices, HouseSettings houses, Words words) {
    this.costs = costs;
    this.dishes = dishes;
    this.prices = prices;
    this.houses = houses;
    this.words = words;
  }

  /** Something that can be chosen: its code and what it is called. */
  record Choice(String code, String name, boolean chosen) {}

  @GetMapping("/cost/compare")
  String compare(
      @RequestParam(defaultValue = "") List<String> with,
      @RequestParam(defaultValue = "") String dish,
      @RequestParam(defaultValue = "") String portion,
      @RequestParam(defaultValue = "") String tolerance,
      Model model) {
    Formats formats = houses.house().formats();
    List<Dish> all = dishes.all().stream().filter(one -> !one.whole()).toList();
    Optional<Dish> chosen = all.stream().filter(one -> ("" + one.id()).equals(dish)).findFirst();
    Serving serving = chosen.map(Dish::serving).orElse(LotRules.USUAL_SERVING);
    try {
      serving = serving(portion, tolerance, serving, formats);
    } catch (Refusal | QuantityFormatException refusal) {
      model.addAttribute("sentence", words.say(refusal));
    }
    List<Offer> offers = offers(chosen);
    Map<String, Contender> known = contenders(chosen, offers, formats);
    List<Contender> asked = new ArrayList<>();
    with.stream().distinct().filter(known::containsKey).map(known::get).forEach(asked::add);
    if (asked.size() > MOST) {
      model.addAttribute("sentence", words.say("cost.problem.too-many", MOST));
    }
    List<Contender> some = asked.stream().limit(MOST).toList();
    model.addAttribute("dishes", all);
    model.addAttribute("dish", chosen.map(Dish::id).orElse(0L));
    model.addAttribute("portion", portion.isBlank() ? formats.mass(serving.target()) : portion);
    model.addAttribute("tolerance", tolerance.isBlank() ? percent(serving.tolerance()) : tolerance);
    model.addAttribute(
        "choices",
        known.values().stream()
            .map(one -> new Choice(one.id(), one.name(), some.contains(one)))
            .toList());
    model.addAttribute("more", Math.max(0, offers.size() - MOST_OFFERS));
    model.addAttribute("view", CompareView.of(new Comparison(serving, some), formats));
    return "cost/compare";
  }

  private static String percent(double share) {
    return BigDecimal.valueOf(share).movePointRight(2).stripTrailingZeros().toPlainString();
  }

  private static Serving serving(String portion, String tolerance, Serving dish, Formats formats) {
    Mass target =
        portion.isBlank()
            ? dish.target()
            : MassText.parse(portion, formats.system().small()).mass();
    if (!target.isPositive()) {
      throw Refusal.ofField("portion", "slice.problem.no-portion");
    }
    double share =
        tolerance.isBlank()
            ? dish.tolerance()
            : Typed.percent(tolerance, BigDecimal.ZERO, MOST_TOLERANCE, "tolerance").doubleValue()
                / HUNDRED;
    return new Serving(dish.form(), target, share, dish.count(), dish.filled());
  }

  /** What can be compared: lots whose plates are costed, what is on offer, by what it is called. */
  private Map<String, Contender> contenders(
      Optional<Dish> dish, List<Offer> offers, Formats formats) {
    Map<String, Contender> all = new LinkedHashMap<>();
    for (LotSheet sheet : costs.lately()) {
      sheet
          .contender(houses.house().labourPerHour())
          .map(
              one ->
                  one.called(
                      formats.say(
                          "cost.said.contender-lot",
                          one.name(),
                          sheet.lot().id(),
                          within(sheet.lot().state(), formats))))
          .ifPresent(one -> all.put(one.id(), one));
    }
    for (Offer offer : offers.stream().limit(MOST_OFFERS).toList()) {
      costs
          .contender(offer, dish)
          .map(
              one ->
                  one.called(
                      offer.form() == Form.FILLET
                          ? formats.say("cost.said.contender-fillet", one.name(), offer.supplier())
                          : formats.say(
                              "cost.said.contender-offer",
                              one.name(),
                              formats.range(offer.grade().from(), offer.grade().to()),
                              within(offer.state(), formats),
                              offer.supplier())))
          .ifPresent(one -> all.put(one.id(), one));
    }
    return all;
  }

  /** Of a dish, what it may be made of; of none, all there are. */
  private List<Offer> offers(Optional<Dish> dish) {
    return prices.offers().stream()
        .filter(offer -> dish.isEmpty() || dish.get().fish().contains(offer.species().code()))
        .toList();
  }

  private static String within(State state, Formats formats) {
    return formats.say("State." + state.name() + ".within");
  }
}
