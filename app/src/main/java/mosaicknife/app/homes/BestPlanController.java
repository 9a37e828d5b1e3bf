package mosaicknife.app.homes;

import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.Permission;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.TakesLong;
import mosaicknife.app.shared.Words;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.use.Hand;
import mosaicknife.core.use.PlanQuestion;
import mosaicknife.core.use.UsePlan;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The best plan for what is on hand, what is to come, and what was decided against it. */
@Controller
@PreAuthorize("hasAuthority('DECIDE_PURPOSE')")
class BestPlanController {

  private final HomePlanner planner;
  private final PlanDesk desk;
  private final ComingPlanner coming;
  private final MakingBook open;
  private final CurrentPerson current;
  private final HouseSettings houses;
  private final Words words;

  BestPlanController(
      HomePlanner planner,
      PlanDesk desk,
      ComingPlanner coming,
      MakingBook open,
      CurrentPerson current,
      HouseSettings houses,
      Words words) {
    this.planner = planner;
    this.desk = desk;
    this.coming = coming;
    this.open = open;
    this.current = current;
    this.houses = houses;
    this.words = words;
  }

  private Formats formats() {
    return houses.house().formats();
  }

  /** The plan alone: it may take seconds, and the page does not wait for it. */
  @TakesLong
  @GetMapping("/uses/plan")
  String plan(Model model) {
    ExactMoney labour = houses.house().labourPerHour();
    PlanQuestion question = planner.question();
    UsePlan plan = desk.plan(question);
    model.addAttribute("plan", plan);
    boolean money = current.may(Permission.SEE_COSTS);
    model.addAttribute("seesCosts", money);
    model.addAttribute(
        "flow",
        FlowPicture.of(
            plan, houses.venueNames(), money ? Optional.of(labour) : Optional.empty(), formats()));
    model.addAttribute("worth", formats().money(Hand.money(plan.worth(), labour)));
    model.addAttribute("gap", HomeView.price(plan.bound() - plan.worth(), labour, formats()));
    model.addAttribute("anyDecided", !open.toMake().isEmpty());
    model.addAttribute("sent", plan.makings().stream().map(HomeView::sent).toList());
    model.addAttribute("anyWanted", !question.wanted().isEmpty());
    model.addAttribute("newId", UUID.randomUUID());
    return "homes/plan :: plan";
  }

  /** What the orders of the next days leave beside the plates. */
  @GetMapping("/uses/coming")
  String coming(Model model) {
    model.addAttribute("days", coming.days());
    return "homes/plan :: coming";
  }

  /** What is decided already costs against the best plan; it takes two plans more, so one asks. */
  @GetMapping("/uses/price")
  String price(Model model) {
    ExactMoney labour = houses.house().labourPerHour();
    PlanQuestion decided = planner.decided();
    long lost = desk.plan(decided.unlocked()).worth() - desk.plan(decided).worth();
    boolean shown = lost > 0 && current.may(Permission.SEE_COSTS);
    model.addAttribute(
        "price",
        shown
            ? words.say("homes.said.decided-costs", HomeView.price(lost, labour, formats()))
            : words.say("homes.said.decided-costs-nothing"));
    return "homes/plan :: price";
  }
}
