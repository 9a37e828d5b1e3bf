package mosaicknife.core.pot;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Set;
import mosaicknife.core.check.Check;
import mosaicknife.core.pot.PotStep.Answer;
import mosaicknife.core.pot.PotStep.Work;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.use.RecipeLine;

/**
 * A batch before it is begun: what fits into the kettle, what does not, what goes in, how long it
 * takes to boil, and how many litres come out.
 *
 * <p>Physics with starting figures: heat-up time = m · c · ΔT / (η · P), a lid raises η;
 * evaporation = rate × surface × time; bones hold some water back. All of it is an estimate.
 *
 * @param method the method
 * @param answers what is done one way or the other
 * @param kettle the kettle
 * @param bones the bones that go in, from 0
 * @param over the bones that find no room or are not needed, from 0
 * @param kettles how many such kettles it takes, or fillings of one
 * @param water the water for all, in litres
 * @param litres the litres that come out, likely
 * @param least the litres at the least
 * @param most the litres at the most
 * @param heatMinutes minutes until one kettle boils
 */
public record PotPlan(
    StockMethod method,
    Set<Answer> answers,
    Kettle kettle,
    Mass bones,
    Mass over,
    int kettles,
    double water,
    double litres,
    double least,
    double most,
    int heatMinutes) {

  private static final double BONES_DENSITY = 1.05;
  private static final double ABSORBED = 0.08;
  private static final double RATE_SIMMER = 5;
  private static final double LID_LETS = 0.3;
  private static final double HEAT_CAPACITY = 4180;
  private static final double RISE = 86;
  private static final double WITH_LID = 0.75;
  private static final double WITHOUT_LID = 0.5;
  private static final double UNSURE = 0.5;
  private static final double SIMMER_WITH_LID = 0.15;
  private static final double SIMMER_WITHOUT = 0.25;
  private static final double SLACK = 1e-9;

  /** Copies the answers. */
  public PotPlan {
    answers = Set.copyOf(answers);
  }

  /**
   * Works a batch out.
   *
   * @param method the method
   * @param answers what is done one way or the other
   * @param bones the good bones there are, positive
   * @param wanted how many litres are wanted, positive
   * @param kettle the kettle
   * @return the batch, of no more bones than there are and no more litres than wanted
   */
  public static PotPlan of(
      StockMethod method, Set<Answer> answers, Mass bones, double wanted, Kettle kettle) {
    Check.that(bones.isPositive(), "Expected bones above 0 g, found ", bones);
    Check.that(wanted > 0 && wanted <= 1000, "Expected litres from 0 to 1000, found ", wanted);
    boolean lid = answers.contains(Answer.LID);
    double kilograms = bones.inKilograms().doubleValue();
    double perLitre = method.gramsOfBones() / 1000.0;
    double vegetables =
        method.lines(answers).stream().mapToDouble(line -> line.share().toDouble()).sum();
    double evaporated = evaporation(method, answers, kettle, lid);
    double volumeALitre = 1 + perLitre * (ABSORBED + 1 / BONES_DENSITY + vegetables);
    double fits = Math.max(0, (kettle.fill() - evaporated) / volumeALitre);
    double out = Math.min(wanted, kilograms / perLitre);
    if (fits < out / 40) {
      // a kettle that boils dry before anything is in it
      return new PotPlan(method, answers, kettle, Mass.ZERO, bones, 0, 0, 0, 0, 0, 0);
    }
    int kettles = (int) Math.ceil(out / fits - SLACK);
    double used = out * perLitre;
    double lost = kettles * evaporated;
    double water = out + lost + used * ABSORBED;
    double spread = UNSURE * (lost + used * ABSORBED);
    Mass in = Mass.ofMilligrams(Math.round(used * 1e6));
    Mass least = in.compareTo(bones) > 0 ? bones : in;
    return new PotPlan(
        method,
        answers,
        kettle,
        least,
        bones.minus(least),
        kettles,
        water,
        out,
        Math.max(0, out - spread),
        out + spread,
        heat((water + used * (1 + vegetables)) / kettles, kettle, lid));
  }

  /**
   * Returns the litres a dish takes.
   *
   * @param plates how many plates, from 1
   * @param millilitres how much goes on or into each, from 1
   * @return the litres, half a litre at the least: less is not put on
   */
  public static double litres(int plates, int millilitres) {
    Check.that(plates > 0 && millilitres > 0, "Expected plates and millilitres from 1");
    return Math.max(0.5, plates * (double) millilitres / 1000);
  }

  private static double evaporation(
      StockMethod method, Set<Answer> answers, Kettle kettle, boolean lid) {
    double hours =
        method.steps(answers).stream()
                .filter(step -> step.work() == Work.FIRE)
                .mapToInt(PotStep::usual)
                .sum()
            / 60.0;
    return RATE_SIMMER * kettle.surface() * hours * (lid ? 1 - LID_LETS : 1);
  }

  private static int heat(double kilograms, Kettle kettle, boolean lid) {
    double power = kettle.watts() * (lid ? WITH_LID : WITHOUT_LID);
    return (int) Math.ceil(kilograms * HEAT_CAPACITY * RISE / power / 60);
  }

  /**
   * Returns how long the same takes to boil the other way.
   *
   * @return minutes with the lid off if it is on, and on if it is off
   */
  public int heatMinutesOtherwise() {
    boolean lid = answers.contains(Answer.LID);
    return (int) Math.ceil(heatMinutes * (lid ? WITH_LID / WITHOUT_LID : WITHOUT_LID / WITH_LID));
  }

  /**
   * Something that goes in.
   *
   * @param line what
   * @param mass how much
   */
  public record Ingredient(RecipeLine line, Mass mass) {}

  /**
   * Returns what goes in beside bones and water.
   *
   * @return each line with its mass for all of the bones
   */
  public List<Ingredient> ingredients() {
    return method.lines(answers).stream()
        .map(line -> new Ingredient(line, bones.multipliedBy(line.share(), RoundingMode.HALF_EVEN)))
        .toList();
  }

  /**
   * Returns what goes in costs.
   *
   * @return the sum over the lines in the currency of the house
   */
  public BigDecimal cost() {
    return ingredients().stream()
        .map(one -> one.line().perKilogram().multiply(one.mass().inKilograms()))
        .reduce(BigDecimal.ZERO, BigDecimal::add);
  }

  /**
   * Returns the minutes of a step in this batch.
   *
   * @param step the step
   * @return its usual minutes, of heating those of this kettle
   */
  public int minutes(PotStep step) {
    return step.work() == Work.HEAT
        ? Math.min(step.longest(), Math.max(step.shortest(), heatMinutes))
        : step.usual();
  }

  /**
   * Returns what the hob takes: full heat until it boils, and a share of that while it simmers.
   *
   * @return kilowatt hours for all kettles, an estimate
   */
  public double kilowattHours() {
    int fire =
        method.steps(answers).stream()
            .filter(step -> step.work() == Work.FIRE)
            .mapToInt(PotStep::usual)
            .sum();
    double share = answers.contains(Answer.LID) ? SIMMER_WITH_LID : SIMMER_WITHOUT;
    return kettles * kettle.watts() / 1000.0 * (heatMinutes + fire * share) / 60;
  }

  /**
   * Returns the minutes somebody stands by it.
   *
   * @return the usual minutes of the steps that take hands
   */
  public int handMinutes() {
    return method.steps(answers).stream()
        .filter(step -> step.work() == Work.HANDS)
        .mapToInt(PotStep::usual)
        .sum();
  }

  /**
   * Returns how long it all takes, if nothing waits.
   *
   * @return the minutes of all steps
   */
  public int allMinutes() {
    return method.steps(answers).stream().mapToInt(this::minutes).sum();
  }
}
