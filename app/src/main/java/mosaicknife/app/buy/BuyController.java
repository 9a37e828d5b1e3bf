package mosaicknife.app.buy;

import jakarta.servlet.http.HttpServletResponse;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import mosaicknife.app.buy.PurchasePlanner.Plan;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.house.Supplier;
import mosaicknife.app.house.SupplierEditor;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.TakesLong;
import mosaicknife.app.shared.Typed;
import mosaicknife.app.shared.Words;
import mosaicknife.core.anatomy.Specification;
import mosaicknife.core.buying.Demand;
import mosaicknife.core.buying.Demand.Per;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.QuantityFormatException;
import mosaicknife.core.safety.Allergen;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The Buy station: dishes, what is wanted, and the plan of each. */
@Controller
class BuyController {

  private final DishEditor dishes;
  private final PurchasePlanner plans;
  private final PriceKeeper prices;
  private final CatalogueEditor catalogue;
  private final HouseSettings houses;
  private final SupplierEditor suppliers;

  private final Words words;

  BuyController(
      DishEditor dishes,
      PurchasePlanner plans,
      PriceKeeper prices,
      CatalogueEditor catalogue,
      HouseSettings houses,
      SupplierEditor suppliers,
      Words words) {
    this.words = words;
    this.dishes = dishes;
    this.plans = plans;
    this.prices = prices;
    this.catalogue = catalogue;
    this.houses = houses;
    this.suppliers = suppliers;
  }

  @GetMapping("/buy")
  String all(@RequestParam Map<String, String> typed, Model model) {
    PlanWish wish = wish(typed);
    Formats formats = houses.house().formats();
    List<PurchasePlanView> views =
        plans.all(wish).stream().map(plan -> PurchasePlanView.of(plan, formats)).toList();
    model.addAttribute("wish", wish);
    model.addAttribute("views", views);
    model.addAttribute("profiles", ProfileName.values());
    model.addAttribute("pers", Per.values());
    model.addAttribute("offers", prices.offers().size());
    return "buy/all";
  }

  private static PlanWish wish(Map<String, String> typed) {
    return PlanWish.of(
        typed.get("profile"),
        typed.get("per"),
        typed.get("level"),
        typed.get("onHand"),
        typed.get("litres"));
  }

  @TakesLong
  @GetMapping("/buy/dishes/{id}")
  String plan(@PathVariable long id, @RequestParam Map<String, String> typed, Model model) {
    PlanWish wish = PlanWish.of(typed.get("profile"), typed.get("per"), null, null, null);
    try {
      wish = wish(typed);
    } catch (Refusal refusal) {
      model.addAttribute("sentence", words.say(refusal));
    }
    Plan plan = plans.plan(id, wish);
    model.addAttribute("view", PurchasePlanView.of(plan, houses.house().formats()));
    model.addAttribute("wish", wish);
    model.addAttribute("typed", typed);
    model.addAttribute("profiles", ProfileName.values());
    model.addAttribute("pers", Per.values());
    model.addAttribute("deliveries", deliveries());
    return "buy/plan";
  }

  /** The day each supplier would deliver on, from tomorrow on. */
  private Map<String, LocalDate> deliveries() {
    LocalDate tomorrow = houses.today().plusDays(1);
    return suppliers.suppliers().stream()
        .collect(Collectors.toMap(Supplier::name, s -> s.days().proposed(tomorrow)));
  }

  /** Says how much is wanted; goes back to the plan of the same profile. */
  @PostMapping("/buy/dishes/{id}/demand")
  String want(
      @PathVariable long id,
      @RequestParam ProfileName profile,
      @RequestParam String portions,
      @RequestParam(defaultValue = "0") String forecastError,
      @RequestParam Per per,
      @RequestParam(defaultValue = "") String back,
      RedirectAttributes later) {
    try {
      dishes.want(
          id,
          profile,
          new Demand(
              Typed.count(portions, 0, Demand.MOST, "portions"),
              forecastError.isBlank()
                  ? 0
                  : Typed.decimal(
                          forecastError,
                          1,
                          BigDecimal.ZERO,
                          BigDecimal.valueOf(Demand.MOST),
                          "forecastError")
                      .doubleValue(),
              per));
    } catch (Refusal refusal) {
      later.addFlashAttribute("sentence", words.say(refusal));
      later.addFlashAttribute("typedPortions", portions);
      later.addFlashAttribute("typedForecastError", forecastError);
      later.addFlashAttribute("typedFor", "" + id);
    }
    later.addAttribute("profile", profile);
    later.addAttribute("per", per);
    return back.equals("all") ? "redirect:/buy" : "redirect:/buy/dishes/" + id;
  }

  @GetMapping("/buy/new")
  String newDish(Model model) {
    model.addAttribute("form", DishForm.empty(houses.venues().get(0).id()));
    return dishPage(model, words.say("buy.dish.new-dish"), "/buy/new");
  }

  @PostMapping("/buy/new")
  String add(@ModelAttribute("form") DishForm form, Model model, HttpServletResponse response) {
    try {
      Dish dish = dishes.add(form);
      return "redirect:/buy/dishes/" + dish.id();
    } catch (Refusal | QuantityFormatException refusal) {
      response.setStatus(422);
      model.addAttribute("sentence", words.say(refusal));
      return dishPage(model, words.say("buy.dish.new-dish"), "/buy/new");
    }
  }

  @GetMapping("/buy/dishes/{id}/change")
  String changeDish(@PathVariable long id, Model model) {
    Dish dish = dishes.get(id);
    model.addAttribute("form", DishForm.of(dish, catalogue.now(), houses.house().formats()));
    return dishPage(model, dish.name(), "/buy/dishes/" + id + "/change");
  }

  @PostMapping("/buy/dishes/{id}/change")
  String change(
      @PathVariable long id,
      @ModelAttribute("form") DishForm form,
      Model model,
      HttpServletResponse response) {
    try {
      dishes.change(id, form);
      return "redirect:/buy/dishes/" + id;
    } catch (Refusal | QuantityFormatException refusal) {
      response.setStatus(422);
      model.addAttribute("sentence", words.say(refusal));
      return dishPage(model, form.name(), "/buy/dishes/" + id + "/change");
    }
  }

  @PostMapping("/buy/dishes/{id}/off")
  String off(@PathVariable long id, @RequestParam int version) {
    dishes.switchOff(id, version);
    return "redirect:/buy";
  }

  private String dishPage(Model model, String title, String action) {
    model.addAttribute("title", title);
    model.addAttribute("action", action);
    model.addAttribute("venues", houses.venues());
    model.addAttribute("specifications", Specification.values());
    model.addAttribute("allergens", Allergen.values());
    model.addAttribute("servings", Serving.Form.values());
    return "buy/dish";
  }

  @PostMapping("/buy/dishes/{id}/order")
  String order(
      @PathVariable long id,
      @RequestParam Map<String, String> typed,
      @RequestParam long price,
      @RequestParam LocalDate deliverOn,
      @RequestParam(name = "line") UUID clientId) {
    return "redirect:/buy/orders/"
        + plans.order(id, wish(typed), Optional.of(price), deliverOn, clientId);
  }
}
