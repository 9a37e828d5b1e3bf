package mosaicknife.core.larder;

import java.time.Instant;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import mosaicknife.core.check.Check;
import mosaicknife.core.cost.Outlay;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.Allergen;
import mosaicknife.core.safety.FoodState;

/**
 * What was put on a shelf, as it was that day.
 *
 * @param code its code on the label
 * @param name what it is
 * @param use the code of the use it was made by; empty for a part as it was cut
 * @param trace which grams of which lots are in it
 * @param mass what it weighed, positive
 * @param units how many units it was; 0 where it is counted by weight alone
 * @param beside what was laid out beside the fish
 * @param allergens what guests are told of
 * @param traits what the label says of it
 * @param made the day it was made or put there
 * @param useBy the last day to use it
 * @param latest the latest that day may be, whoever moves it
 * @param state raw, cooked, frozen or thawed
 * @param spot where it lies and who looks after it
 * @param at when it was written down
 */
public record Shelved(
    String code,
    String name,
    Optional<String> use,
    Trace trace,
    Mass mass,
    long units,
    Outlay beside,
    Set<Allergen> allergens,
    Traits traits,
    LocalDate made,
    LocalDate useBy,
    LocalDate latest,
    FoodState state,
    Spot spot,
    Instant at) {

  /** Copies the sets and refuses nothing at all. */
  public Shelved {
    Check.text(code, "code");
    Check.text(name, "name");
    Check.notNull(use, "use");
    Check.notNull(trace, "trace");
    Check.that(mass.isPositive(), "Expected a mass above 0 g, found ", mass);
    Check.that(units >= 0, "Expected units from 0, found ", units);
    Check.notNull(beside, "outlay");
    Set<Allergen> told = EnumSet.of(Allergen.FISH);
    told.addAll(allergens);
    allergens = Set.copyOf(told);
    Check.notNull(traits, "traits");
    Check.that(!useBy.isBefore(made), "Expected a use-by day from " + made + ", found ", useBy);
    Check.that(
        !latest.isBefore(useBy), "Expected the latest day from " + useBy + ", found ", latest);
    Check.notNull(state, "state");
    Check.notNull(spot, "spot");
    Check.notNull(at, "moment");
  }

  /**
   * What the label says.
   *
   * @param bones whether bones are in it
   * @param raw whether it may be served raw
   * @param estimated whether its mass is what the recipe says, and nobody weighed it
   */
  public record Traits(boolean bones, boolean raw, boolean estimated) {}

  /**
   * Where something lies.
   *
   * @param venue the number of the venue
   * @param place the shelf
   * @param keeper the number of the person who looks after it
   */
  public record Spot(long venue, String place, long keeper) {

    /** Refuses a spot without a place. */
    public Spot {
      Check.text(place, "place");
    }
  }
}
