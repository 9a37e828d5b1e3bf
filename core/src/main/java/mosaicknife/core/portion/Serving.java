package mosaicknife.core.portion;

import java.math.RoundingMode;
import java.util.Collection;
import java.util.List;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * What a dish calls one portion. Every count of plates, before and after weighing, follows from it.
 *
 * @param form how the cuts become plates
 * @param target the mass a portion should have; of a whole fish, what is eaten of it
 * @param tolerance how much lighter or heavier it may be, as a fraction of the target, from 0 to
 *     0.3
 * @param count how many pieces, or whole fish, make a plate; 1 where the form has none
 * @param filled whether pieces lighter than a portion are filled up from the next piece or fish; of
 *     slices only
 */
public record Serving(Form form, Mass target, double tolerance, int count, boolean filled) {

  /** The most pieces of a plate. */
  public static final int MOST_PIECES = 60;

  /** Refuses a target without mass, and figures out of range. */
  public Serving {
    Check.notNull(form, "form of a portion");
    Check.that(target.isPositive(), "Expected a portion above 0 g, found " + target);
    Check.inRange(tolerance, 0, 0.3, "tolerance");
    count = form.isCounted() ? count : 1;
    Check.inRange(count, 1, MOST_PIECES, "pieces of a plate");
    filled = filled && form == Form.SLICES;
  }

  /** How cuts become plates. */
  public enum Form {
    /** Slices of the target mass, as many as lie inside each cut. */
    SLICES,
    /** Cuts as they are, so many to a plate; one that is too light is not served. */
    PIECES,
    /** By weight, from all cuts together: mince, scrapings, small fillets. */
    BY_WEIGHT,
    /** A whole fish for as many guests as what is eaten of it feeds, one at least. */
    SHARED,
    /** So many whole fish to a plate. */
    FISH;

    /**
     * Returns whether fish are served whole.
     *
     * @return true if nothing is cut off for the plate
     */
    public boolean isWhole() {
      return this == SHARED || this == FISH;
    }

    /**
     * Returns whether a plate is so many pieces.
     *
     * @return true if a count is asked for
     */
    public boolean isCounted() {
      return this == PIECES || this == FISH;
    }
  }

  /**
   * Returns slices of a mass, with nothing to spare.
   *
   * @param target the mass of one
   * @return the serving
   */
  public static Serving slices(Mass target) {
    return new Serving(Form.SLICES, target, 0, 1, false);
  }

  /**
   * Returns the same with another mass.
   *
   * @param other the mass of a portion
   * @return the serving
   */
  public Serving of(Mass other) {
    return new Serving(form, other, tolerance, count, filled);
  }

  /**
   * Returns the lightest mass that still is a portion. Whole portions are counted with it: 790 g at
   * 165 g give four portions, with 5 % tolerance five.
   *
   * @return the mass
   */
  public Mass lightest() {
    return target.multipliedBy(Fraction.ofEstimate(1 - tolerance), RoundingMode.HALF_EVEN);
  }

  /**
   * Returns the heaviest mass that still is a portion.
   *
   * @return the mass
   */
  public Mass heaviest() {
    return target.multipliedBy(Fraction.ofEstimate(1 + tolerance), RoundingMode.HALF_EVEN);
  }

  /**
   * Returns what one piece of a plate should be.
   *
   * @return slices of the target, or of its share where a plate is so many pieces
   */
  public Serving each() {
    Mass one =
        form == Form.PIECES
            ? target.multipliedBy(Fraction.of(1, count), RoundingMode.HALF_UP)
            : target;
    return new Serving(Form.SLICES, one, tolerance, 1, false);
  }

  /**
   * Returns the lightest piece that is served, where a plate is so many pieces.
   *
   * @return the share of a piece in the lightest plate
   */
  public Mass lightestPiece() {
    return lightest().multipliedBy(Fraction.of(1, count), RoundingMode.HALF_EVEN);
  }

  /**
   * Counts the plates of the main cuts of a lot.
   *
   * @param cuts what is eaten of each main cut, one mass for each fish, in the order of the fish
   * @return the plates, from 0
   */
  public long plates(Collection<List<Mass>> cuts) {
    return switch (form) {
      case SLICES -> slices(cuts) + (filled ? (long) Math.floor(lightPlates(cuts) + 1e-9) : 0);
      case PIECES -> cuts.stream().mapToLong(this::served).sum() / count;
      case BY_WEIGHT -> total(cuts).wholeTimes(lightest());
      case SHARED -> {
        long guests = 0;
        for (int fish = 0; fish < fish(cuts); fish++) {
          guests += Math.max(1, eatenOf(cuts, fish).wholeTimes(lightest()));
        }
        yield guests;
      }
      case FISH -> fish(cuts) / count;
    };
  }

  private long slices(Collection<List<Mass>> cuts) {
    return cuts.stream()
        .flatMap(List::stream)
        .mapToLong(piece -> piece.wholeTimes(lightest()))
        .sum();
  }

  /** Of k alike that make a portion, each is worth 1/k of a plate. */
  private double lightPlates(Collection<List<Mass>> cuts) {
    return cuts.stream()
        .flatMap(List::stream)
        .filter(piece -> piece.isPositive() && piece.wholeTimes(lightest()) == 0)
        .mapToDouble(piece -> 1 / Math.ceil(lightest().dividedBy(piece).toDouble()))
        .sum();
  }

  private static Mass total(Collection<List<Mass>> cuts) {
    return Mass.total(cuts.stream().flatMap(List::stream).toList());
  }

  private static int fish(Collection<List<Mass>> cuts) {
    return cuts.stream().mapToInt(List::size).max().orElse(0);
  }

  private static Mass eatenOf(Collection<List<Mass>> cuts, int fish) {
    return Mass.total(
        cuts.stream().filter(cut -> cut.size() > fish).map(cut -> cut.get(fish)).toList());
  }

  /**
   * Returns how many portions, or pieces that are served, one cut gives.
   *
   * @param pieces what is eaten of it, one mass for each fish
   * @return slices where they are cut, pieces heavy enough for the plate otherwise
   */
  public long served(List<Mass> pieces) {
    return form == Form.SLICES
        ? slices(List.of(pieces))
        : pieces.stream().filter(this::isServed).count();
  }

  private boolean isServed(Mass piece) {
    return form == Form.PIECES ? piece.wholeTimes(lightestPiece()) > 0 : piece.isPositive();
  }

  /**
   * Returns what of a cut does not go on a plate.
   *
   * @param pieces what is eaten of it, one mass for each fish
   * @return the mass over, zero or more
   */
  public Mass over(List<Mass> pieces) {
    return Mass.total(pieces.stream().map(this::over).toList());
  }

  private Mass over(Mass piece) {
    return switch (form) {
      case SLICES -> filled && piece.wholeTimes(lightest()) == 0 ? Mass.ZERO : beyond(piece);
      case PIECES ->
          isServed(piece)
              ? notBelowZero(
                  piece.minus(
                      heaviest().multipliedBy(Fraction.of(1, count), RoundingMode.HALF_EVEN)))
              : piece;
      case BY_WEIGHT, SHARED, FISH -> Mass.ZERO;
    };
  }

  private Mass beyond(Mass piece) {
    return notBelowZero(piece.minus(target.multipliedBy(piece.wholeTimes(lightest()))));
  }

  private static Mass notBelowZero(Mass mass) {
    return mass.isNegative() ? Mass.ZERO : mass;
  }
}
