package mosaicknife.app.buy;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import mosaicknife.app.buy.PurchasePlanner.Plan;
import mosaicknife.app.shared.Decimals;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.PlateLines;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.buying.Alternative;
import mosaicknife.core.buying.Candidate;
import mosaicknife.core.buying.Demand;
import mosaicknife.core.buying.Offer;
import mosaicknife.core.buying.Offer.Form;
import mosaicknife.core.buying.Reasons;
import mosaicknife.core.buying.StockNeed;
import mosaicknife.core.buying.Substitutes.Substitute;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.ExactMoney;

/**
 * The plan of a dish as its page shows it.
 *
 * @param plan the plan
 * @param wanted what is wanted, in words
 * @param madeOf the fish it may be made of, its own first
 * @param bars the candidates as bars on one scale
 * @param others the same of substitutes, apart
 * @param alternatives fish that eat alike
 * @param notices what is worth a word: break-even passed, surplus bones, nothing offered
 */
record PurchasePlanView(
    Plan plan,
    String wanted,
    String madeOf,
    List<CandidateBar> bars,
    List<CandidateBar> others,
    List<AlternativeRow> alternatives,
    List<Notice> notices) {

  private static final double SCALE = 560;

  /**
   * One candidate as a bar of its cost per served portion with a whisker for the risk.
   *
   * @param candidate the candidate
   * @param best whether it is the cheapest
   * @param name fish, state and grade
   * @param supplier who offers it
   * @param price what it costs
   * @param buy how much to buy
   * @param each the cost per served portion
   * @param lines what that is made of
   * @param bar the length of the bar
   * @param low where the whisker begins
   * @param high where it ends
   * @param risk the risk that somebody goes without
   * @param riskInShort the same as a range, up to that of a leaner fish
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
      PlateLines lines,
      String bar,
      String low,
      String high,
      String risk,
      String riskInShort,
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

  static PurchasePlanView of(Plan plan, Formats formats) {
    String madeOf = formats.list(plan.madeOf().stream().map(Species::name).toList());
    double most = plan.candidates().stream().mapToDouble(o -> amount(o.high())).max().orElse(1);
    List<CandidateBar> bars = new ArrayList<>();
    for (Candidate candidate : plan.candidates()) {
      bars.add(bar(candidate, plan, most, formats));
    }
    double dearest = plan.others().stream().mapToDouble(o -> amount(o.high())).max().orElse(1);
    List<CandidateBar> others =
        plan.others().stream()
            .map(one -> bar(one, plan, Math.max(most, dearest), formats))
            .toList();
    return new PurchasePlanView(
        plan,
        plan.demand().map(demand -> wanted(demand, plan, formats)).orElse(""),
        madeOf,
        bars,
        others,
        plan.substitutes().stream().map(a -> alternative(a, formats)).toList(),
        notices(plan, formats));
  }

  private static String wanted(Demand demand, Plan plan, Formats formats) {
    String portions =
        demand.forecastError() > 0
            ? "" + demand.portions() + " ± " + Math.round(demand.forecastError())
            : "" + demand.portions();
    return formats.say("buy.said.wanted", portions, demand.per(), (long) plan.wish().onHand());
  }

  private static double amount(ExactMoney money) {
    return money.amount().doubleValue();
  }

  static String name(Offer offer, Formats formats) {
    return offer.form() == Form.FILLET
        ? formats.say("buy.said.fillet-bought-cut", offer.species().name())
        : offer.species().name()
            + ", "
            + formats.say(offer.state()).toLowerCase(Locale.ROOT)
            + ", "
            + formats.range(offer.grade().from(), offer.grade().to());
  }

  private static CandidateBar bar(Candidate candidate, Plan plan, double most, Formats formats) {
    boolean best = plan.best().filter(candidate::equals).isPresent();
    Offer offer = candidate.offer();
    String mass = formats.roughly(candidate.mass());
    return new CandidateBar(
        candidate,
        best,
        name(offer, formats),
        offer.supplier(),
        formats.price(offer.price()),
        offer.form() == Form.FILLET ? mass : formats.say("buy.said.fish", candidate.fish(), mass),
        about(candidate.costPerServed(), formats),
        PlateLines.of(candidate.plate(), false, formats),
        length(candidate.costPerServed(), most),
        length(candidate.low(), most),
        length(candidate.high(), most),
        risk(candidate, formats),
        riskInShort(candidate),
        candidate.surplus() < 0.5
            ? formats.say("buy.said.none")
            : "≈ " + Math.round(candidate.surplus()),
        formats.say("buy.said.min", "" + Math.round(candidate.minutes())),
        about(candidate.money(), formats),
        reason(candidate, plan, formats));
  }

  /** Everything planned is estimated, and looks like it. */
  private static String about(ExactMoney money, Formats formats) {
    return "≈ " + formats.money(money);
  }

  private static String length(ExactMoney money, double most) {
    return Decimals.of(SCALE * amount(money) / most, 1);
  }

  /** Why a candidate stands where it stands, against the best one or the next. */
  static String reason(Candidate candidate, Plan plan, Formats formats) {
    List<Candidate> candidates = plan.candidates();
    if (plan.others().contains(candidate)) {
      return formats.say(
          "buy.said.a-substitute", candidate.offer().species().name(), plan.dish().name());
    }
    Candidate best = candidates.get(0);
    if (candidate.equals(best)) {
      if (candidates.size() == 1) {
        return formats.say("buy.said.the-only-one-on-offer");
      }
      Candidate next = candidates.get(1);
      return formats.say(
          "buy.said.cheapest-by-a-plate",
          formats.money(next.costPerServed().minus(candidate.costPerServed())),
          causes("cheaper", Reasons.between(candidate, next), formats));
    }
    return formats.say(
        "buy.said.more-a-plate",
        formats.money(candidate.costPerServed().minus(best.costPerServed())),
        causes("dearer", Reasons.between(best, candidate), formats));
  }

  /** What makes one candidate cheaper or dearer than the other. */
  private static String causes(String which, Reasons difference, Formats formats) {
    List<String> causes = new ArrayList<>();
    if (difference.price()) {
      causes.add(formats.say("buy.said." + which + ".price"));
    }
    if (difference.yield()) {
      causes.add(formats.say("buy.said." + which + ".yield"));
    }
    if (difference.work()) {
      causes.add(formats.say("buy.said." + which + ".work"));
    }
    if (difference.surplus()) {
      causes.add(formats.say("buy.said." + which + ".surplus"));
    }
    return causes.isEmpty() ? formats.say("buy.said.a-little-of-everything") : formats.list(causes);
  }

  private static AlternativeRow alternative(Alternative alternative, Formats formats) {
    Substitute substitute = alternative.substitute();
    String why = words(substitute.alike(), formats);
    String but =
        substitute.different().isEmpty()
            ? ""
            : formats.say("buy.said.but", words(substitute.different(), formats));
    return new AlternativeRow(
        substitute.species().code(),
        substitute.species().name(),
        why + but,
        alternative.inSeason()
            ? formats.say("buy.said.in-season")
            : formats.say("buy.said.out-of-season"),
        alternative
            .candidate()
            .map(
                candidate ->
                    formats.say("buy.said.a-plate", about(candidate.costPerServed(), formats)))
            .orElse(formats.say("buy.said.no-offer")));
  }

  private static List<Notice> notices(Plan plan, Formats formats) {
    List<Notice> notices = new ArrayList<>();
    plan.leftOut()
        .forEach(
            one ->
                notices.add(
                    Notice.of(
                        formats.say(
                            "buy.said.left-out",
                            name(one.offer(), formats),
                            formats.say(one.leftOut().orElseThrow())))));
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
                        formats.say(
                            "buy.said.about-portions-come-too-many",
                            "" + Math.round(best.surplus()),
                            plan.surplusHome()))));
    return notices;
  }

  /** Whole against bought cut: the price up to which breaking in the house pays. */
  private static Optional<Notice> breakEven(Plan plan, Candidate bought, Formats formats) {
    Optional<Candidate> whole =
        plan.candidates().stream().filter(o -> o.offer().form() == Form.WHOLE).findFirst();
    return whole.map(
        own -> {
          String what = name(own.offer(), formats);
          if (own.breakEvenAgainst(bought).isEmpty()) {
            return new Notice(
                formats.say("buy.said.pays-at-no-price", what, bought.offer().supplier()), true);
          }
          String limit = formats.price(own.breakEvenAgainst(bought).get());
          boolean passed = own.costPerServed().compareTo(bought.costPerServed()) > 0;
          return new Notice(
              passed
                  ? formats.say(
                      "buy.said.the-price-of-has-passed", what, limit, bought.offer().supplier())
                  : formats.say(
                      "buy.said.breaking-in-the-house-pays",
                      what,
                      limit,
                      formats.price(own.offer().price())),
              passed);
        });
  }

  private static Optional<String> bones(StockNeed stock, Plan plan, Formats formats) {
    if (plan.wish().litres() == 0 && !stock.bones().isPositive()) {
      return Optional.empty();
    }
    if (!stock.bones().isPositive()) {
      return Optional.of(formats.say("buy.said.no-bones-for-a-clear"));
    }
    String bones = formats.roughly(stock.bones());
    String possible = "" + Math.round(stock.possible());
    String wanted = "" + Math.round(plan.wish().litres());
    if (plan.wish().litres() == 0) {
      return Optional.of(formats.say("buy.said.bones-unplanned", bones, possible));
    }
    return Optional.of(
        stock.surplus().isPositive()
            ? formats.say(
                "buy.said.bones-over", bones, possible, wanted, formats.roughly(stock.surplus()))
            : formats.say("buy.said.bones-short", bones, possible, wanted));
  }

  private static String words(List<Finding> findings, Formats formats) {
    return formats.row(findings.stream().map(formats::say).toList());
  }

  /** The honest one as whole percents, where a table has no room for words. */
  private static String riskInShort(Candidate candidate) {
    return "≈ " + Math.round(candidate.riskInAll() * 100) + " %";
  }

  /** The honest one first; if the norm holds and if it is off only where they differ. */
  private static String risk(Candidate candidate, Formats formats) {
    long usual = Math.round(candidate.risk() * 100);
    long lean = Math.round(candidate.riskIfLean() * 100);
    long inAll = Math.round(candidate.riskInAll() * 100);
    return usual == lean
        ? "≈ " + inAll + " %"
        : formats.say("buy.said.risk-up-to", inAll, usual, lean);
  }
}
