package mosaicknife.core.anatomy;

import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * A fish of the catalogue: its names, its body plan and the starting norms of its parts.
 *
 * <p>The shares are starting estimates with a wide spread, to be replaced by the house's own fish.
 *
 * @param code the lasting identifier, such as {@code hake}
 * @param name the name on screen
 * @param scientificName the scientific name
 * @param marketNames market names and synonyms, by region
 * @param plan the body plan
 * @param traits what to be careful about
 * @param eating how it eats and what it asks of the knife
 * @param usualMass the usual mass of one fish, lowest and highest
 * @param grades the size grades it is sold in, the smallest first
 * @param season the months in which it is usually at its best
 * @param shares the parts of the ungutted fish in cutting order; the means add up to 1
 */
public record Species(
    String code,
    String name,
    String scientificName,
    List<MarketName> marketNames,
    BodyPlan plan,
    Set<Trait> traits,
    Eating eating,
    MassRange usualMass,
    List<SizeGrade> grades,
    Season season,
    List<Share> shares) {

  private static final double SUM_TOLERANCE = 0.0005;

  /** Refuses shares that do not add up to 1. */
  private static final double CONDITION = 1;

  // an eel is a fifth as heavy as others of its length
  private static final double CONDITION_LONG = 0.2;
  private static final double STATIONS = 20;

  public Species {
    Check.text(code, "code");
    Check.text(name, "name");
    Check.text(scientificName, "scientific name");
    marketNames = List.copyOf(marketNames);
    Check.notNull(plan, "plan");
    traits = Set.copyOf(traits);
    Check.notNull(eating, "eating qualities");
    Check.notNull(usualMass, "usual mass");
    grades = List.copyOf(Check.notEmpty(grades, "size grades"));
    Check.notNull(season, "season");
    shares = List.copyOf(Check.notEmpty(shares, "shares"));
    double sum = shares.stream().mapToDouble(Share::mean).sum();
    Check.that(
        Math.abs(sum - 1) <= SUM_TOLERANCE,
        "Expected the shares of '%s' to add up to 1, found %.4f".formatted(code, sum));
  }

  /** What to be careful about with a species. */
  public enum Trait {
    /** Forms histamine when it gets warm: cold all the way. */
    HISTAMINE,
    /** May carry parasites when served raw or underdone. */
    PARASITES,
    /** Can carry a reef toxin, by size and area, that cooking does not destroy. */
    REEF_TOXIN,
    /** Wax esters in the flesh: small portions, and guests are told. */
    WAX_ESTER,
    /** Sharp spines or thorns. */
    SPINES,
    /** Spines with venom, also of a dead fish. */
    VENOM,
    /** Blood and slime that harm eyes and cuts until they are cooked. */
    TOXIC_BLOOD,
    /** Teeth that cut, also of a dead fish. */
    TEETH,
    /** Turns to ammonia: smell it before anything else. */
    AMMONIA,
    /** Skin that tears: sharpen between fish. */
    THIN_SKIN,
    /** Usually farmed: poor stock. */
    FARMED,
    /** Protected or limited in many places: papers are asked for. */
    PROTECTED,
    /** Heavy: two people to lift and turn. */
    HEAVY,
    /** A strip of red muscle under the skin, large enough to ask about: jacks, mackerels, tunas. */
    DARK_MUSCLE;
  }

  /**
   * A closed range of masses.
   *
   * @param lowest the lowest, positive
   * @param highest the highest, not below the lowest
   */
  public record MassRange(Mass lowest, Mass highest) {

    /** Refuses an empty range. */
    public MassRange {
      Check.that(
          lowest.isPositive() && lowest.compareTo(highest) <= 0,
          "Expected a range of masses, found %s to %s".formatted(lowest, highest));
    }
  }

  /**
   * Returns the parts a fish bought in a state still has, in cutting order. What was bought cut has
   * one part: all main cuts together.
   *
   * @param state the state on arrival
   * @return the shares of those parts, of the ungutted fish; they add up to less than 1 unless the
   *     fish is ungutted
   */
  public List<Share> sharesIn(State state) {
    return state.isCut()
        ? List.of(bought())
        : shares.stream().filter(share -> state.stillHas(share.slot().kind().stage())).toList();
  }

  private Share bought() {
    PartKind kind =
        shares.stream()
            .map(Share::slot)
            .filter(PartSlot::isMain)
            .findFirst()
            .orElseThrow(() -> new IllegalStateException("Bug: " + code + " has no main cut"))
            .kind();
    double mains =
        shares.stream().filter(share -> share.slot().isMain()).mapToDouble(Share::mean).sum();
    return new Share(new PartSlot(kind.code(), 1, kind, Side.NONE, Purpose.PLATE), mains, 0);
  }

  /**
   * Returns which fraction of the ungutted fish is left in a state, by the starting norm.
   *
   * @param state the state
   * @return the fraction, above 0 up to 1, rounded to a millionth
   */
  public Fraction keptIn(State state) {
    double kept = sharesIn(state).stream().mapToDouble(Share::mean).sum();
    return Fraction.ofEstimate(kept);
  }

  /**
   * Returns the main cuts together, by the starting norm.
   *
   * @return their fraction of the ungutted fish
   */
  public double flesh() {
    return shares.stream()
        .filter(share -> share.slot().usual() == Purpose.PLATE)
        .mapToDouble(Share::mean)
        .sum();
  }

  /**
   * Returns whether the flesh is full of fine bones that no row of pin bones holds: nothing but
   * what is scraped off them is boneless.
   *
   * @return true of fish that are scraped
   */
  public boolean isFullOfFineBones() {
    return plan.traits().contains(BodyPlan.Trait.SCRAPED);
  }

  /**
   * Returns every name of this fish: on screen, scientific, market names and synonyms.
   *
   * @return the names
   */
  public Stream<String> names() {
    return Stream.concat(
        Stream.of(name, scientificName), marketNames.stream().map(MarketName::name));
  }

  /**
   * Returns about how long a fish is: from its mass by the condition factor K = 100 · grams ⁄ cm³
   * (Fulton, 1904).
   *
   * @param fish the mass of the fish, positive
   * @return centimetres; an estimate
   */
  public double centimetres(Mass fish) {
    Check.that(fish.isPositive(), "Expected a fish above 0 g, found ", fish);
    boolean isLong = plan.traits().contains(BodyPlan.Trait.LONG);
    double grams = fish.milligrams() / 1000.0;
    return Math.cbrt(100 * grams / (isLong ? CONDITION_LONG : CONDITION));
  }

  /**
   * Returns about how thick a fillet is at its thickest: the plan's thickness in body lengths, and
   * the length from the mass by the condition factor K = 100 · grams ⁄ cm³ (Fulton, 1904).
   *
   * @param fish the mass of the fish, positive
   * @return millimetres; an estimate
   */
  public double filletMillimetres(Mass fish) {
    double length = centimetres(fish);
    double thickest = 0;
    for (int i = 0; i <= STATIONS; i++) {
      thickest = Math.max(thickest, plan.thickness().at(i / STATIONS));
    }
    return length * thickest * 10;
  }
}
