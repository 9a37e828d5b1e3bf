package mosaicknife.app.buy;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import mosaicknife.app.buy.PurchasePlanner.Alternative;
import mosaicknife.app.buy.PurchasePlanner.Plan;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.buying.Candidate;
import mosaicknife.core.buying.Demand;
import mosaicknife.core.buying.Difference;
import mosaicknife.core.buying.Offer;
import mosaicknife.core.buying.Offer.Form;
import mosaicknife.core.buying.StockNeed;
import mosaicknife.core.buying.Substitutes.Substitute;
import mosaicknife.core.quantity.ExactMoney;

/**
 * The plan of a dish as its page shows it.
 *
 * @param plan the plan
 * @param wanted what is wanted, in words
 * @param madeOf the fish it may be made of, its own first
 * @param bars the candidates as bars on one scale
 * @param alternatives fish that eat alike
 * @param notices what is worth a word: break-even passed, surplus bones, nothing offered
 */
record PlanView(
    Plan plan,
    String wanted,
    String madeOf,
    List<CandidateBar> bars,
    List<AlternativeRow> alternatives,
    List<Notice> notices) {

  private static final double SCALE = 560;

  /**
   * One candidate as a bar of its cost per served portion with a whisker for the risk.
   *
   * @param candidate the candidate
   * @param best whether it is the cheapest
   * @param name fish, state and grade
   * @param supplier who candidates it
   * @param price what it costs
   * @param buy how much to buy
   * @param each the cost per served portion
   * @param bar the length of the bar
   * @param low where the whisker begins
   * @param high where it ends
   * @param risk the risk that somebody goes without
   * @param surplus the portions too many
   * @param work the minutes
   * @param total the money
   * @param reason why it stands here
   */
  record CandidateBar(
      Candidate candidate,
      boolean best,
      String name,
      String supplier,
      String price,
      String buy,
      String each,
      String bar,
      String low,
      String high,
      String risk,
      String surplus,
      String work,
      String total,
      String reason) {}

  /** A remark on the plan; {@code alarm} if it asks for another decision. */
  record Notice(String sentence, boolean alarm) {

    static Notice of(String sentence) {
      return new Notice(sentence, false);
    }
  }

  /** A fish in place of the dish's own. */
  record AlternativeRow(String code, String name, String why, String season, String each) {}

  static PlanView of(Plan plan, Formats formats) {
    String madeOf = String.join(", ", plan.madeOf().stream().map(Species::name).toList());
    double most = plan.candidates().stream().mapToDouble(o -> amount(o.high())).max().orElse(1);
    List<CandidateBar> bars = new ArrayList<>();
    for (Candidate candidate : plan.candidates()) {
      bars.add(bar(candidate, plan, most, formats));
    }
    return new PlanView(
        plan,
        plan.demand().map(demand -> wanted(demand, plan)).orElse(""),
        madeOf,
        bars,
        plan.substitutes().stream().map(a -> alternative(a, formats)).toList(),
        notices(plan, formats));
  }

  private static String wanted(Demand demand, Plan plan) {
    String forecastError =
        demand.forecastError() > 0 ? " ± %.0f".formatted(demand.forecastError()) : "";
    String there = plan.wish().onHand() > 0 ? ", %d on hand".formatted(plan.wish().onHand()) : "";
    return "%d%s portions %s%s"
        .formatted(demand.portions(), forecastError, demand.per().title(), there);
  }

  private static double amount(ExactMoney money) {
    return money.amount().doubleValue();
  }

  static String name(Offer offer, Formats formats) {
    return offer.form() == Form.FILLET
        ? offer.species().name() + " fillet, bought cut"
        : offer.species().name()
            + ", "
            + offer.state().title().toLowerCase(Locale.ROOT)
            + ", "
            + formats.range(offer.grade().from(), offer.grade().to());
  }

  private static CandidateBar bar(Candidate candidate, Plan plan, double most, Formats formats) {
    boolean best = candidate.equals(plan.candidates().get(0));
    Offer offer = candidate.offer();
    String mass = formats.roughly(candidate.mass());
    return new CandidateBar(
        candidate,
        best,
        name(offer, formats),
        offer.supplier(),
        formats.price(offer.price()),
        offer.form() == Form.FILLET ? mass : "%d fish, %s".formatted(candidate.fish(), mass),
        about(candidate.costPerServed(), formats),
        length(candidate.costPerServed(), most),
        length(candidate.low(), most),
        length(candidate.high(), most),
        "≈ %.0f %%".formatted(candidate.risk() * 100),
        candidate.surplus() < 0.5 ? "none" : "≈ %.0f".formatted(candidate.surplus()),
        "≈ %.0f min".formatted(candidate.minutes()),
        about(candidate.money(), formats),
        reason(candidate, plan, formats));
  }

  /** Everything planned is estimated, and looks like it. */
  private static String about(ExactMoney money, Formats formats) {
    return "≈ " + formats.money(money);
  }

  private static String length(ExactMoney money, double most) {
    return String.format(Locale.ROOT, "%.1f", SCALE * amount(money) / most);
  }

  /** Why a candidate stands where it stands, against the best one or the next. */
  static String reason(Candidate candidate, Plan plan, Formats formats) {
    List<Candidate> candidates = plan.candidates();
    Candidate best = candidates.get(0);
    if (candidate.equals(best)) {
      if (candidates.size() == 1) {
        return "The only one on offer for this dish.";
      }
      Candidate next = candidates.get(1);
      return "Cheapest by ≈ %s a plate: %s."
          .formatted(
              formats.money(next.costPerServed().minus(candidate.costPerServed())),
              causes(candidate, next));
    }
    return "≈ %s more a plate: %s."
        .formatted(
            formats.money(candidate.costPerServed().minus(best.costPerServed())),
            causesOfDear(best, candidate));
  }

  /** What makes the first cheaper than the second, said of the first. */
  private static String causes(Candidate cheap, Candidate dear) {
    return words(
        Difference.between(cheap, dear),
        "a lower price per weight",
        "more portions from the same weight",
        "less work",
        "fewer portions too many");
  }

  /** What makes the second dearer than the first, said of the second. */
  private static String causesOfDear(Candidate cheap, Candidate dear) {
    return words(
        Difference.between(cheap, dear),
        "a higher price per weight",
        "fewer portions from the same weight",
        "more work",
        "more portions too many");
  }

  private static String words(
      Difference difference, String price, String yield, String work, String surplus) {
    List<String> causes = new ArrayList<>();
    if (difference.price()) {
      causes.add(price);
    }
    if (difference.yield()) {
      causes.add(yield);
    }
    if (difference.work()) {
      causes.add(work);
    }
    if (difference.surplus()) {
      causes.add(surplus);
    }
    return causes.isEmpty() ? "a little of everything" : String.join(", ", causes);
  }

  private static AlternativeRow alternative(Alternative alternative, Formats formats) {
    Substitute substitute = alternative.substitute();
    String why = String.join(", ", substitute.alike());
    String but =
        substitute.different().isEmpty()
            ? ""
            : "; but " + String.join(", ", substitute.different());
    return new AlternativeRow(
        substitute.species().code(),
        substitute.species().name(),
        why + but,
        alternative.inSeason() ? "in season" : "out of season",
        alternative
            .candidate()
            .map(candidate -> about(candidate.costPerServed(), formats) + " a plate")
            .orElse("no candidate"));
  }

  private static List<Notice> notices(Plan plan, Formats formats) {
    List<Notice> notices = new ArrayList<>();
    plan.bought().ifPresent(bought -> breakEven(plan, bought, formats).ifPresent(notices::add));
    plan.stock()
        .flatMap(stock -> bones(stock, plan, formats))
        .map(Notice::of)
        .ifPresent(notices::add);
    plan.best()
        .filter(best -> best.surplus() >= 1)
        .ifPresent(
            best ->
                notices.add(
                    Notice.of(
                        "About %.0f portions come too many, by whole fish. Proposed home: %s."
                            .formatted(best.surplus(), plan.surplusHome()))));
    return notices;
  }

  /** Whole against bought cut: the price up to which breaking in the house pays. */
  private static Optional<Notice> breakEven(Plan plan, Candidate bought, Formats formats) {
    Optional<Candidate> whole =
        plan.candidates().stream().filter(o -> o.offer().form() == Form.WHOLE).findFirst();
    return whole.map(
        own -> {
          String limit = formats.price(own.breakEvenAgainst(bought));
          String what = name(own.offer(), formats);
          boolean passed = own.costPerServed().compareTo(bought.costPerServed()) > 0;
          return new Notice(
              passed
                  ? "The price of %s has passed your break-even of ≈ %s: bought-in fillet from %s is cheaper by the plate."
                      .formatted(what, limit, bought.offer().supplier())
                  : "Breaking %s in the house pays up to ≈ %s; it is offered at %s."
                      .formatted(what, limit, formats.price(own.offer().price())),
              passed);
        });
  }

  private static Optional<String> bones(StockNeed stock, Plan plan, Formats formats) {
    if (plan.wish().litres() == 0 && !stock.bones().isPositive()) {
      return Optional.empty();
    }
    if (!stock.bones().isPositive()) {
      return Optional.of(
          "No bones for a clear stock come with this: the fish is oily or farmed, or bought cut.");
    }
    String enough =
        "%s of bones come with it, enough for about %.0f l of stock"
            .formatted(formats.roughly(stock.bones()), stock.possible());
    if (plan.wish().litres() == 0) {
      return Optional.of(enough + ". Plan where they go.");
    }
    return Optional.of(
        stock.surplus().isPositive()
            ? enough
                + "; %.0f l are wanted, so %s are over: freeze, give to the other venue or sell."
                    .formatted(plan.wish().litres(), formats.roughly(stock.surplus()))
            : enough
                + "; %.0f l are wanted, so more must be found.".formatted(plan.wish().litres()));
  }
}
