package mosaicknife.core.use;

import java.math.BigDecimal;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.Allergen;
import mosaicknife.core.safety.FoodState;

/**
 * A use of the house: what a part can become, of which kinds, by which ratio and at what work.
 *
 * <p>Everything in it is the house's to change; what is shipped are starting estimates.
 *
 * @param code the lasting identifier
 * @param name what a cook calls it
 * @param purpose second plate, pot or hold
 * @param kinds the codes of the kinds of part that qualify
 * @param needs what a part must be or have
 * @param oldest the most days since landing; empty if it does not matter
 * @param lightest the lightest piece that is worth it; empty if it does not matter
 * @param measure how its units are counted
 * @param unit the word for one of them
 * @param perPlate how many units make a plate, from 1
 * @param lines what goes in beside the fish
 * @param loss what the step loses of fish and lines together, from 0 below 1
 * @param work minutes and room
 * @param value what one unit is worth or saves, in the currency of the house, from 0
 * @param kept how the result is kept
 * @param cautions what to be careful about
 * @param fat the share of fat the fish in it should have; empty if it does not matter
 */
public record FishUse(
    String code,
    String name,
    Purpose purpose,
    Set<String> kinds,
    Set<Need> needs,
    OptionalInt oldest,
    Optional<Mass> lightest,
    Measure measure,
    Unit unit,
    int perPlate,
    List<RecipeLine> lines,
    Fraction loss,
    Work work,
    BigDecimal value,
    Kept kept,
    Set<Caution> cautions,
    Optional<Fraction> fat) {

  /** Copies the collections and refuses what cannot be made. */
  public FishUse {
    Check.text(code, "code");
    Check.text(name, "name");
    Check.that(
        purpose == Purpose.SECOND_PLATE || purpose == Purpose.POT || purpose == Purpose.HOLD,
        "Expected a use for second plate, pot or hold, found ",
        purpose);
    kinds = Set.copyOf(kinds);
    Check.that(!kinds.isEmpty(), "Expected a kind of part");
    needs = Set.copyOf(needs);
    Check.notNull(oldest, "oldest");
    Check.notNull(lightest, "lightest");
    Check.notNull(measure, "measure");
    Check.notNull(unit, "unit");
    Check.that(perPlate >= 1, "Expected units a plate from 1, found ", perPlate);
    lines = List.copyOf(lines);
    Check.that(isLoss(loss), "Expected a loss from 0 below 1, found ", loss);
    Check.notNull(work, "work");
    Check.that(value.signum() >= 0, "Expected a value from 0, found ", value);
    Check.notNull(kept, "how it is kept");
    cautions = Set.copyOf(cautions);
    Check.notNull(fat, "fat");
  }

  /**
   * How the result is kept.
   *
   * @param raw whether it is served raw, cured or underdone
   * @param state what was done to it when it is put away; what is raw then may be cooked later
   * @param days for how many days it is at its best, from 0
   */
  public record Kept(boolean raw, FoodState state, int days) {

    /** Refuses days below nothing, and raw that a core made cooked. */
    public Kept {
      Check.notNull(state, "state");
      Check.that(!raw || !state.isHeated(), "Expected cooked to be served cooked, found ", state);
      Check.that(days >= 0, "Expected days from 0, found ", days);
    }
  }

  /** What a part must be or have before it may become something. */
  public enum Need {
    /** The scales are off. */
    SCALED,
    /** Wild: farmed bones make a poor clear stock. */
    NOT_FARMED,
    /** Lean or medium: oil clouds and tastes. */
    NOT_OILY,
    /** Medium or oily: a lean one gets dry. */
    OILY,
    /** No gills or guts on it. */
    GILLS_OUT,
    /** A head with meat to pick. */
    HEAD_TO_PICK,
    /** Skin that is eaten. */
    SKIN_EATEN,
    /** Through the raw gate. */
    RAW_GATE
  }

  /** What one unit is called. */
  public enum Unit {
    /** One piece. */
    PIECE,
    /** One portion. */
    PORTION,
    /** One litre. */
    LITRE,
    /** One jar. */
    JAR,
    /** One pack. */
    PACK,
    /** One bag. */
    BAG
  }

  /** What to be careful about with a use; the local code decides. */
  public enum Caution {
    /** Parasites, when raw or underdone. */
    PARASITES,
    /** Histamine: cold all the way. */
    HISTAMINE,
    /** Hot fat. */
    HOT_FAT,
    /** Bones are left: tell the guest. */
    BONES,
    /** Brings in allergens beyond fish: tell the pass. */
    ALLERGENS,
    /** Raw flour is not eaten raw. */
    RAW_FLOUR,
    /** Warm stock is cooled fast, with a probe. */
    COOL_FAST,
    /** A pack without air: what grows without air grows in the cold as well. */
    VACUUM,
    /** Cured or cold-smoked: what grows in the cold was never killed. */
    GROWS_COLD,
    /** A ferment has rules of its own. */
    FERMENT,
    /** Stuffing swells: fill loosely. */
    SWELLS
  }

  /** What a use takes of the kitchen beside hands. */
  public enum Equipment {
    /** Nothing. */
    NONE,
    /** Kettle, in litres. */
    KETTLE,
    /** Fryer, in minutes. */
    FRYER,
    /** Grill, in minutes. */
    GRILL,
    /** Oven, in minutes. */
    OVEN,
    /** Pan on the hob, in minutes. */
    PAN,
    /** Freezer, in grams. */
    FREEZER,
    /** Smoker, in minutes. */
    SMOKER,
    /** Dryer, in minutes. */
    DRYER,
    /** Place in the ageing rack, in pieces. */
    RACK;

    /**
     * Returns whether it is counted in minutes.
     *
     * @return whether its load is how long something is on it
     */
    public boolean isByTheMinute() {
      return switch (this) {
        case FRYER, GRILL, OVEN, PAN, SMOKER, DRYER -> true;
        case NONE, KETTLE, FREEZER, RACK -> false;
      };
    }
  }

  /**
   * What a use asks of the kitchen.
   *
   * @param start minutes of hands a batch, from 0
   * @param each minutes of hands a unit, from 0
   * @param equipment what it needs beside hands
   * @param load how much of it a unit takes, in its own measure, from 0
   */
  public record Work(int start, BigDecimal each, Equipment equipment, BigDecimal load) {

    /** Refuses what is below nothing. */
    public Work {
      Check.that(start >= 0, "Expected minutes from 0, found ", start);
      Check.that(each.signum() >= 0, "Expected minutes from 0, found ", each);
      Check.notNull(equipment, "equipment");
      Check.that(load.signum() >= 0, "Expected a load from 0, found ", load);
    }

    /**
     * Returns the minutes of hands so many units take.
     *
     * @param units how many
     * @return set-up and units, rounded up
     */
    public int minutes(long units) {
      return start + rounded(each, units);
    }

    /**
     * Returns how much of the equipment so many units take.
     *
     * @param units how many
     * @return the load in the equipment's own measure, rounded up
     */
    public int room(long units) {
      return rounded(load, units);
    }

    private static int rounded(BigDecimal one, long units) {
      return one.multiply(BigDecimal.valueOf(units))
          .setScale(0, java.math.RoundingMode.CEILING)
          .intValueExact();
    }
  }

  /** How the units of a use are counted. */
  public sealed interface Measure {

    /**
     * A unit weighs so much when the batch is made, before it is cooked.
     *
     * @param mass the mass, positive
     */
    record Finished(Mass mass) implements Measure {
      /** Refuses a unit without mass. */
      public Finished {
        Check.that(mass.isPositive(), "Expected a unit above 0 g, found ", mass);
      }
    }

    /**
     * A unit takes so much of the part.
     *
     * @param mass the mass, positive
     */
    record OfPart(Mass mass) implements Measure {
      /** Refuses a unit without mass. */
      public OfPart {
        Check.that(mass.isPositive(), "Expected a unit above 0 g, found ", mass);
      }
    }

    /**
     * Pieces make a unit, whatever they weigh.
     *
     * @param count how many, from 1
     */
    record Pieces(int count) implements Measure {
      /** Refuses a unit without a piece. */
      public Pieces {
        Check.that(count >= 1, "Expected pieces from 1, found ", count);
      }
    }
  }

  /**
   * Returns whether the result is served raw, cured or underdone.
   *
   * @return true if it goes through the raw gate
   */
  public boolean raw() {
    return kept.raw();
  }

  /**
   * Returns for how many days the result is at its best.
   *
   * @return the days, from 0
   */
  public int keeps() {
    return kept.days();
  }

  /**
   * Returns whether it hangs raw in the ageing rack.
   *
   * @return true if it takes a place there
   */
  public boolean isAged() {
    return work.equipment() == Equipment.RACK;
  }

  /**
   * Returns whether a step can lose such a share.
   *
   * @param loss the share
   * @return true from 0 below 1
   */
  public static boolean isLoss(Fraction loss) {
    return loss.compareTo(Fraction.ZERO) >= 0 && loss.compareTo(Fraction.ONE) < 0;
  }

  /**
   * Returns what a batch weighs for each gram of fish in it: (1 + Σ additions) × (1 − loss).
   *
   * @return the factor, above 0
   */
  public Fraction factor() {
    Fraction sum = lines.stream().map(RecipeLine::share).reduce(Fraction.ONE, Fraction::plus);
    return sum.multipliedBy(Fraction.ONE.minus(loss));
  }

  /**
   * Returns how many grams of the part one unit takes.
   *
   * @param piece the mass of one piece of the part
   * @return the mass in grams, exactly
   */
  public Fraction gramsOfPart(Mass piece) {
    if (measure instanceof Measure.Finished finished) {
      return Fraction.of(finished.mass().inGrams()).dividedBy(factor());
    }
    return measure instanceof Measure.OfPart part
        ? Fraction.of(part.mass().inGrams())
        : Fraction.of(piece.inGrams())
            .multipliedBy(Fraction.of(((Measure.Pieces) measure).count(), 1));
  }

  /**
   * Returns what guests of it are told of.
   *
   * @return fish, and what its lines bring in
   */
  public Set<Allergen> allergens() {
    return lines.stream()
        .flatMap(line -> line.allergens().stream())
        .collect(Collectors.toCollection(() -> EnumSet.of(Allergen.FISH)));
  }
}
