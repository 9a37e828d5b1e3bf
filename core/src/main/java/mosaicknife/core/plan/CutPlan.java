package mosaicknife.core.plan;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Eating;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.PartSlot;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.Side;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Specification;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.Expectation;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.breakdown.LossNorm;
import mosaicknife.core.check.Check;
import mosaicknife.core.cost.PlateCost;
import mosaicknife.core.plan.CuttingOption.Choice;
import mosaicknife.core.plan.CuttingOption.Portion;
import mosaicknife.core.plan.CuttingOption.Shift;
import mosaicknife.core.portion.Eaten;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * What a lot will become when it is cut by the chosen options: the parts with their expected
 * masses, the minutes, the portions and what a plate will cost. Every figure is an estimate.
 *
 * <p>It starts from the norms of the fish as the catalogue counts them, and each choice moves a
 * fraction of one part to another; nothing is lost or made, so parts and loss still add up to the
 * fish.
 *
 * @param fish what is cut
 * @param choices the answers to the options
 * @param parts the parts in cutting order; what is cut from another part stands last
 * @param minutes minutes for the whole lot
 * @param pieces what is served of each piece of a part that is cut further, as a fraction of the
 *     part, by its slot
 */
public record CutPlan(
    Fish fish,
    Choices choices,
    List<Planned> parts,
    double minutes,
    Map<String, List<Fraction>> pieces) {

  private static final Set<CuttingOption.Trait> WITHOUT_PIN_BONES =
      EnumSet.of(
          CuttingOption.Trait.PIN_BONES_PULLED,
          CuttingOption.Trait.PIN_BONES_CUT,
          CuttingOption.Trait.RIBS_WITH_PIN_BONES);

  private static final double SPREAD_OF_ADDED = 0.35;

  /** Scales are 1 to 2 % of a fish that has them; a starting estimate. */
  private static final double SCALES = 0.008;

  /** Soft flesh drips and sticks up to 2 % more; a starting estimate. */
  private static final double SOFT_FLESH = 0.01;

  /** Minutes to portion a kilogram of fillet that was bought cut; a starting estimate. */
  private static final double MINUTES_A_KILOGRAM = 2.2;

  /** Copies the parts. */
  public CutPlan {
    Check.notNull(fish, "fish");
    Check.notNull(choices, "choices");
    parts = List.copyOf(parts);
    pieces = Map.copyOf(pieces);
  }

  /**
   * The fish of a lot.
   *
   * @param species the species
   * @param state the state it was bought in
   * @param count how many fish, from 1
   * @param purchased the mass of all of them, positive
   * @param each what each weighs, where all were weighed by themselves; else empty
   * @param norms what the house believes
   */
  public record Fish(
      Species species, State state, int count, Mass purchased, List<Mass> each, HouseNorms norms) {

    /** Fish that were not weighed one by one. */
    public Fish(Species species, State state, int count, Mass purchased, HouseNorms norms) {
      this(species, state, count, purchased, List.of(), norms);
    }

    /** Refuses a lot without fish or mass. */
    public Fish {
      Check.notNull(species, "species");
      Check.notNull(state, "state");
      Check.inRange(count, 1, 10_000, "number of fish");
      Check.that(purchased.isPositive(), "Expected a purchased mass above 0 g, found ", purchased);
      each = List.copyOf(each);
      Check.notNull(norms, "norms");
    }

    /**
     * Returns the mean mass of one fish.
     *
     * @return the mass of all divided by their number
     */
    public Mass mean() {
      return meanOf(purchased, count);
    }
  }

  /**
   * A part that is expected.
   *
   * @param slot the part
   * @param mass its expected mass over all fish
   * @param spread the standard deviation of that
   * @param purpose what it is usually for under the chosen options
   * @param edible how much of it is eaten as the main dish: all of a fillet, part of a whole fish
   * @param together what is weighed with it by choice, itself among them; empty if it is alone
   */
  public record Planned(
      PartSlot slot, Mass mass, Mass spread, Purpose purpose, Mass edible, List<Planned> together) {

    /** Copies what is weighed with it. */
    public Planned {
      together = List.copyOf(together);
    }

    /**
     * Splits one weight of parts that were weighed together, as their norms are to each other.
     *
     * @param weight what they weigh together
     * @return an estimate for each slot, in cutting order; empty if the part is alone
     */
    public Map<String, Mass> split(Mass weight) {
      Mass all = Mass.total(together.stream().map(Planned::mass).toList());
      Map<String, Mass> each = new LinkedHashMap<>();
      if (all.isPositive()) {
        for (Planned one : together) {
          each.put(
              one.slot().code(),
              weight.multipliedBy(one.mass().dividedBy(all), RoundingMode.HALF_EVEN));
        }
      }
      return each;
    }
  }

  /**
   * What a plate costs by a plan.
   *
   * @param portions whole portions, fitted inside each cut of each fish
   * @param cost fish and work for one portion; empty without portions
   */
  public record Plate(long portions, Optional<PlateCost> cost) {

    /**
     * Returns fish and work together.
     *
     * @return the sum; empty without portions
     */
    public Optional<ExactMoney> whole() {
      return cost.map(PlateCost::total);
    }
  }

  /**
   * Plans a lot.
   *
   * @param fish the fish
   * @param choices the answers to the options
   * @param kinds where the kinds of parts that choices add are looked up
   * @return the plan
   */
  public static CutPlan of(Fish fish, Choices choices, Catalogue kinds) {
    List<Draft> drafts = new ArrayList<>();
    Expectation.of(fish.species(), fish.state(), fish.purchased(), fish.norms().loss())
        .parts()
        .forEach(expected -> drafts.add(new Draft(expected)));
    Mass one = fish.mean();
    double minutes =
        fish.state().isCut()
            ? minutesToPortion(fish.purchased())
            : fish.species().plan().work().minutes(one);
    for (CuttingOption option : CuttingOptions.of(fish.species(), fish.state(), choices)) {
      Choice choice = choices.in(option);
      minutes += choice.minutes() + choice.minutesPerKilogram() * kilograms(one);
      choice.shifts().forEach(shift -> move(drafts, shift, fish.species(), kinds));
      choice
          .aims()
          .forEach(
              aim ->
                  drafts.stream()
                      .filter(draft -> draft.is(aim.kind()))
                      .forEach(draft -> draft.purpose = aim.purpose()));
    }
    List<Planned> parts =
        drafts.stream().filter(draft -> draft.mass > 0).map(Draft::planned).toList();
    double atLeast = Math.max(0.3, minutes);
    return new CutPlan(fish, choices, parts, atLeast * fish.count(), Map.of());
  }

  /**
   * Plans that parts stay on others: what they weigh is expected there.
   *
   * @param staying the slot a part stays on, by its own slot; what the plan does not have is left
   *     out of account
   * @return the plan without the parts that stay on others
   */
  public CutPlan joined(Map<String, String> staying) {
    if (staying.isEmpty()) {
      return this;
    }
    Map<String, List<Planned>> joining = new LinkedHashMap<>();
    for (Planned part : parts) {
      joining.computeIfAbsent(last(part.slot().code(), staying), s -> new ArrayList<>()).add(part);
    }
    List<Planned> after =
        parts.stream()
            .filter(part -> joining.containsKey(part.slot().code()))
            .map(part -> together(part, joining.get(part.slot().code())))
            .toList();
    return new CutPlan(fish, choices, after, minutes, pieces);
  }

  /**
   * Plans that parts are cut further: a plate lies inside a piece, not across two.
   *
   * @param further what is served of each piece, as a fraction of the part, by its slot
   * @return the same plan with the plates of the pieces
   */
  public CutPlan cutInto(Map<String, List<Fraction>> further) {
    return new CutPlan(fish, choices, parts, minutes, further);
  }

  /** What is eaten of a part, piece by piece. */
  private Stream<Mass> eaten(Planned part) {
    return pieces.getOrDefault(part.slot().code(), List.of(Fraction.ONE)).stream()
        .map(fraction -> part.edible().multipliedBy(fraction, RoundingMode.HALF_EVEN));
  }

  /** Where a part ends up that stays on one that may stay on another; itself in a circle. */
  private String last(String slot, Map<String, String> staying) {
    String at = slot;
    for (int i = 0; i < staying.size(); i++) {
      String on = staying.get(at);
      if (on == null || parts.stream().noneMatch(part -> part.slot().code().equals(on))) {
        return at;
      }
      at = on;
    }
    return staying.containsKey(at) ? slot : at;
  }

  private static Planned together(Planned part, List<Planned> all) {
    double variance = 0;
    for (Planned one : all) {
      variance += Math.pow(one.spread().milligrams(), 2);
    }
    boolean eaten = part.slot().isMain() && !part.slot().kind().is(PartKind.Trait.EATEN_IN_PART);
    return new Planned(
        part.slot(),
        Mass.total(all.stream().map(Planned::mass).toList()),
        Mass.ofMilligrams(Math.round(Math.sqrt(variance))),
        part.purpose(),
        eaten
            ? Mass.total(
                all.stream().map(one -> one.slot().isMain() ? one.edible() : Mass.ZERO).toList())
            : part.edible(),
        all.size() > 1 ? all : List.of());
  }

  /**
   * Returns whether pin bones are still in the main cuts when they come off.
   *
   * @return true unless the plan pulls them, cuts them out, or takes them off with the ribs; and of
   *     every fish that is full of fine bones
   */
  public boolean leavesPinBones() {
    return fish.species().isFullOfFineBones()
        || fish.species().eating().pinBonesTo() > 0
            && traits().noneMatch(WITHOUT_PIN_BONES::contains);
  }

  private Stream<CuttingOption.Trait> traits() {
    return CuttingOptions.of(fish.species(), fish.state(), choices).stream()
        .map(choices::in)
        .flatMap(choice -> choice.traits().stream());
  }

  /**
   * Returns whether the main cuts are squared before they are weighed: what was trimmed off then is
   * not trimmed off again when they are portioned.
   *
   * @return true if the plan squares them
   */
  public boolean squares() {
    return traits().anyMatch(CuttingOption.Trait.SQUARED::equals);
  }

  /**
   * Returns what the house loses when it is cut so: scales come off a fish that is served in its
   * skin, and soft flesh drips. Nobody weighs that, and how much it is differs, so it widens the
   * norm and does not move it.
   *
   * @param scaled whether the fish came without its scales
   * @return the loss of this plan
   */
  public LossNorm loss(boolean scaled) {
    Eating eating = fish.species().eating();
    boolean skinned = traits().anyMatch(CuttingOption.Trait.SKIN_OFF::equals);
    LossNorm loss = fish.norms().loss();
    boolean served = eating.skin() != Eating.Skin.NO && !skinned;
    if (eating.scales() != Eating.Scales.NONE && served && !scaled) {
      loss = loss.spreadBy(SCALES);
    }
    return eating.texture() == Eating.Texture.SOFT ? loss.spreadBy(SOFT_FLESH) : loss;
  }

  /**
   * Returns how long it takes to portion fillet that was bought cut.
   *
   * @param fillet its mass
   * @return the minutes, an estimate
   */
  public static double minutesToPortion(Mass fillet) {
    return MINUTES_A_KILOGRAM * kilograms(fillet);
  }

  /**
   * Returns the yield of a fish cut to a specification by the usual answers.
   *
   * @param species the species
   * @param state the state it is bought in
   * @param specification how far its main cuts are worked
   * @param norms what the house believes
   * @param kinds where the kinds of parts that choices add are looked up
   * @return the main cuts as a fraction of the purchased mass
   */
  public static Fraction yieldOf(
      Species species,
      State state,
      Specification specification,
      HouseNorms norms,
      Catalogue kinds) {
    Choices choices =
        Choices.USUAL.meeting(specification, false, CuttingOptions.of(species, state));
    Fish fish = new Fish(species, state, 1, species.usualMass().highest(), norms);
    return of(fish, choices, kinds).yield();
  }

  /** A part while the choices move mass about; masses in milligrams. */
  private static final class Draft {

    private final PartSlot slot;
    private long mass;
    private long spread;
    private long edible;
    private Purpose purpose;

    Draft(Expectation.Expected expected) {
      slot = expected.slot();
      mass = expected.mass().milligrams();
      spread = expected.spread().milligrams();
      purpose = slot.usual();
      edible = isMain() ? mass : 0;
    }

    Draft(PartKind kind, Shift shift, int number, Purpose purpose) {
      this.slot = new PartSlot(shift.slot(), number, kind, shift.side(), purpose);
      this.purpose = purpose;
    }

    boolean isMain() {
      return slot.isMain();
    }

    boolean is(String part) {
      return CuttingOptions.is(slot, part);
    }

    /** Whether a shift goes there: to a part of its side where it names one. */
    boolean takes(Shift shift) {
      return shift.side() == Side.NONE ? is(shift.to()) : slot.code().equals(shift.slot());
    }

    Planned planned() {
      return new Planned(
          slot,
          Mass.ofMilligrams(mass),
          Mass.ofMilligrams(spread),
          purpose,
          Mass.ofMilligrams(edible),
          List.of());
    }
  }

  private static void move(List<Draft> drafts, Shift shift, Species species, Catalogue kinds) {
    List<Draft> from =
        drafts.stream().filter(d -> d.is(shift.from()) && !d.takes(shift) && d.mass > 0).toList();
    double fraction = fraction(shift.fraction(), species);
    if (from.isEmpty() || fraction == 0) {
      return;
    }
    List<Draft> all = drafts.stream().filter(draft -> draft.takes(shift)).toList();
    List<Draft> there = all.stream().filter(draft -> draft.mass > 0).toList();
    // what another answer took off altogether gets nothing back
    List<Draft> to = there.isEmpty() ? all : there;
    if (to.isEmpty()) {
      PartKind kind =
          kinds
              .findKind(shift.to())
              .orElseThrow(() -> new IllegalStateException("Bug: no part kind " + shift.to()));
      int number = drafts.stream().mapToInt(draft -> draft.slot.number()).max().orElse(0) + 1;
      Draft added = new Draft(kind, shift, number, shift.purpose().orElse(Purpose.BIN));
      // what takes all of a part comes off in its place, what is cut from one comes off after
      drafts.add(fraction < 1 ? drafts.size() : drafts.indexOf(from.get(0)), added);
      to = List.of(added);
    }
    for (Draft source : from) {
      moveFrom(source, to, fraction);
    }
  }

  private static void moveFrom(Draft source, List<Draft> to, double fraction) {
    long moved = Math.round(source.mass * fraction);
    long eaten = source.isMain() ? Math.round(source.edible * fraction) : 0;
    source.mass -= moved;
    source.edible -= eaten;
    source.spread = Math.round(source.spread * (1 - fraction));
    for (int i = 0; i < to.size(); i++) {
      Draft target = to.get(i);
      long share = moved * (i + 1) / to.size() - moved * i / to.size();
      target.mass += share;
      target.spread += Math.round(share * SPREAD_OF_ADDED);
      target.edible += eatenOf(source, target, share, eaten / to.size());
    }
  }

  /** Of what is served on the bone only the main cuts are eaten; else what joins one is too. */
  private static long eatenOf(Draft source, Draft target, long moved, long eaten) {
    if (!target.isMain()) {
      return 0;
    }
    boolean bones = !source.isMain() && target.slot.kind().is(PartKind.Trait.EATEN_IN_PART);
    return source.isMain() ? eaten : bones ? 0 : moved;
  }

  private static double fraction(Portion portion, Species species) {
    return switch (portion.of()) {
      case FIXED -> portion.fixed();
      case SKIN -> species.eating().skinShare();
      case PIN_BONES -> species.eating().pinBoneStrip();
    };
  }

  private static double kilograms(Mass mass) {
    return mass.milligrams() / 1e6;
  }

  /**
   * Returns the mean mass of one of several fish: the one definition of the mean fish.
   *
   * @param together the mass of all
   * @param count how many, from 1
   * @return their mass divided by their number
   */
  public static Mass meanOf(Mass together, int count) {
    return together.multipliedBy(Fraction.of(1, count), RoundingMode.HALF_EVEN);
  }

  /**
   * A main cut as fractions of the purchased mass.
   *
   * @param mean how much of it is eaten as the main dish, from 0 to 1
   * @param spread the standard deviation of that between fish
   * @param isPiece whether it is a piece of a main cut that is cut further
   */
  public record MainCut(double mean, double spread, boolean isPiece) {

    /** A main cut as it comes off the fish. */
    public MainCut(double mean, double spread) {
      this(mean, spread, false);
    }
  }

  /**
   * Returns the main cuts as fractions of the purchased mass.
   *
   * @return one for each part of which something is eaten as the main dish
   */
  public List<MainCut> mainCuts() {
    double whole = fish.purchased().milligrams();
    return parts.stream()
        .filter(part -> part.edible().isPositive())
        .flatMap(
            part -> {
              double spread = part.spread().milligrams() / (double) part.mass().milligrams();
              return eaten(part)
                  .map(Mass::milligrams)
                  .map(eaten -> new MainCut(eaten / whole, spread * eaten / whole, isCut(part)));
            })
        .toList();
  }

  /**
   * Returns what parts of some kinds will weigh together, main cuts left out.
   *
   * @param trait the trait of their kinds
   * @return the mass
   */
  public Mass massOf(PartKind.Trait trait) {
    return Mass.total(
        parts.stream()
            .filter(part -> !part.edible().isPositive() && part.slot().kind().is(trait))
            .map(Planned::mass)
            .toList());
  }

  /**
   * Returns what the main cuts will weigh.
   *
   * @return the mass that is eaten as the main dish
   */
  public Mass mains() {
    return Mass.total(parts.stream().flatMap(this::eaten).toList());
  }

  /**
   * Returns what the mains are of the fish.
   *
   * @return the yield, from 0 to 1
   */
  public Fraction yield() {
    return mains().dividedBy(fish.purchased());
  }

  /**
   * Works out portions and the cost of a plate.
   *
   * <p>Portions fit inside each cut of each fish, by its own mass where that is known, else by that
   * of the mean fish; a fish served whole is counted by what is eaten of it.
   *
   * @param serving what one portion is
   * @param lot what the lot costs
   * @param labourPerHour what an hour of work costs
   * @return the plate
   */
  public Plate plate(Serving serving, ExactMoney lot, ExactMoney labourPerHour) {
    return plate(slot -> serving, lot, labourPerHour);
  }

  /**
   * Works out portions and the cost of a plate, where parts go to several dishes.
   *
   * @param servingOf what one portion of a part is
   * @param lot what the lot costs
   * @param labourPerHour what an hour of work costs
   * @return the plate; its cost is the mean of all dishes
   */
  public Plate plate(
      Function<PartSlot, Serving> servingOf, ExactMoney lot, ExactMoney labourPerHour) {
    Map<Serving, List<Eaten>> byServing = new LinkedHashMap<>();
    parts.forEach(
        part ->
            byServing
                .computeIfAbsent(servingOf.apply(part.slot()), serving -> new ArrayList<>())
                .addAll(eatenOf(part)));
    long portions = 0;
    for (Map.Entry<Serving, List<Eaten>> ofDish : byServing.entrySet()) {
      portions += ofDish.getKey().plates(ofDish.getValue());
    }
    return plate(portions, lot, labourPerHour);
  }

  /**
   * Shares the cost of the lot out to a number of plates.
   *
   * @param portions how many, from 0
   * @param lot what the lot costs
   * @param labourPerHour what an hour of work costs
   * @return the plate
   */
  public Plate plate(long portions, ExactMoney lot, ExactMoney labourPerHour) {
    return new Plate(
        portions,
        portions == 0
            ? Optional.empty()
            : Optional.of(
                PlateCost.of(lot.dividedBy(portions), labour(labourPerHour).dividedBy(portions))));
  }

  private boolean isCut(Planned part) {
    return pieces.containsKey(part.slot().code());
  }

  /** What is eaten of each cut of a part, fish by fish. */
  private List<Eaten> eatenOf(Planned part) {
    Eaten.Cut isCut = isCut(part) ? Eaten.Cut.PIECE : Eaten.Cut.MAIN;
    List<Eaten> all = new ArrayList<>();
    for (Mass cut : eaten(part).filter(Mass::isPositive).toList()) {
      List<Mass> shares =
          fish.each().isEmpty()
              ? cut.dividedInto(fish.count())
              : cut.sharedBy(
                  fish.each().stream().map(one -> one.dividedBy(fish.purchased())).toList());
      for (int i = 0; i < shares.size(); i++) {
        all.add(new Eaten(i + 1, shares.get(i), Mass.ZERO, isCut));
      }
    }
    return all;
  }

  /**
   * Returns what the work on the whole lot costs.
   *
   * @param perHour what an hour of work costs
   * @return the money, an estimate
   */
  public ExactMoney labour(ExactMoney perHour) {
    return perHour.multipliedBy(Fraction.ofEstimate(minutes / 60));
  }
}
