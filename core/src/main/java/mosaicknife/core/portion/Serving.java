package mosaicknife.core.portion;

import java.math.RoundingMode;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
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

  /**
   * How light a whole main cut may be that is served as one piece, of what the piece should be; a
   * starting value.
   */
  public static final Fraction LEAST_OF_PIECE = Fraction.of(3, 5);

  /** How little of a portion each guest gets of a fish that is shared; a starting value. */
  public static final Fraction LEAST_OF_SHARED = Fraction.of(4, 5);

  /** So much of a portion may be missing of another one for it to be worth a word. */
  public static final Fraction NEXT_TO_NONE = Fraction.of(1, 50);

  /** Refuses a target without mass, and figures out of range. */
  public Serving {
    Check.notNull(form, "form of a portion");
    Check.that(target.isPositive(), "Expected a portion above 0 g, found ", target);
    Check.inRange(tolerance, 0, 0.3, "tolerance");
    count = form.isCounted() ? count : 1;
    Check.inRange(count, 1, MOST_PIECES, "pieces of a plate");
    filled = filled && form == Form.SLICES;
  }

  /** How cuts become plates. */
  public enum Form {
    /** Slices of the target mass, as many as lie inside each cut. */
    SLICES,
    /** Cuts as they are, so many to a plate; a scrap is none. */
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

    /**
     * Returns whether lighter portions make more plates.
     *
     * @return false where a plate is a piece or a fish, whatever it weighs
     */
    public boolean isLighterForMore() {
      return this == SLICES || this == BY_WEIGHT;
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
   * Counts the plates of pieces.
   *
   * @param pieces what is eaten of each
   * @return the plates, from 0
   */
  public long plates(Collection<Eaten> pieces) {
    long fish = pieces.stream().mapToInt(Eaten::fish).distinct().count();
    return switch (form) {
      case SLICES ->
          pieces.stream().mapToLong(this::served).sum()
              + (filled ? (long) Math.floor(lightPlates(pieces) + 1e-9) : 0);
      case PIECES -> pieces.stream().mapToLong(this::served).sum() / count;
      case BY_WEIGHT -> inAll(pieces, lightest());
      case SHARED -> {
        Map<Integer, List<Eaten>> byFish =
            pieces.stream().collect(Collectors.groupingBy(Eaten::fish));
        yield byFish.values().stream().mapToLong(this::guests).sum();
      }
      case FISH -> fish / count;
    };
  }

  /** What lies together is compared with the scale once, for the total. */
  private static long inAll(Collection<Eaten> pieces, Mass each) {
    return Eaten.wholeTimes(massOf(pieces), stepOf(pieces), each);
  }

  private static Mass massOf(Collection<Eaten> pieces) {
    return Mass.total(pieces.stream().map(Eaten::mass).toList());
  }

  private static Mass stepOf(Collection<Eaten> pieces) {
    return pieces.stream().map(Eaten::step).max(Comparator.naturalOrder()).orElse(Mass.ZERO);
  }

  /** One at least; each gets no less than four fifths of a portion. */
  private long guests(List<Eaten> ofOneFish) {
    long fed = inAll(ofOneFish, target.multipliedBy(LEAST_OF_SHARED, RoundingMode.HALF_EVEN));
    Mass halves = target.multipliedBy(Fraction.of(1, 2), RoundingMode.HALF_EVEN);
    // rounded to the nearer number of guests: an odd half counts as one more
    long nearest = (inAll(ofOneFish, halves) + 1) / 2;
    return Math.max(1, Math.min(fed, nearest));
  }

  /** Of k alike that make a portion, each is worth 1/k of a plate. */
  private double lightPlates(Collection<Eaten> pieces) {
    return pieces.stream()
        .filter(piece -> piece.mass().isPositive() && served(piece) == 0)
        .mapToDouble(piece -> 1 / Math.ceil(lightest().dividedBy(piece.mass()).toDouble()))
        .sum();
  }

  /** What is to be said of a piece that is served as it is. */
  public enum Weight {
    /** Heavy enough. */
    RIGHT,
    /** Lighter than the dish wants, and served all the same: a whole main cut is a piece. */
    LIGHT,
    /** Too light to be served without somebody saying so. */
    ASKED
  }

  /**
   * Judges a piece of a dish whose plates are so many pieces.
   *
   * @param piece what is eaten of it
   * @return whether it is served; a main cut down to {@link #LEAST_OF_PIECE} of what it should be
   */
  public Weight weightOf(Eaten piece) {
    if (piece.cut() == Eaten.Cut.PORTION || piece.isAtLeast(lightestPiece())) {
      return Weight.RIGHT;
    }
    return piece.isAtLeast(leastServed(piece.cut())) ? Weight.LIGHT : Weight.ASKED;
  }

  /**
   * Returns the lightest piece that is served unasked, where a plate is so many pieces.
   *
   * @param cut how far it is cut
   * @return the share of a piece in the lightest plate; of a whole main cut as little as {@link
   *     #LEAST_OF_PIECE} of what it should be
   */
  public Mass leastServed(Eaten.Cut cut) {
    Mass least = lightestPiece();
    Mass whole = each().target().multipliedBy(LEAST_OF_PIECE, RoundingMode.HALF_EVEN);
    return cut == Eaten.Cut.MAIN && whole.compareTo(least) < 0 ? whole : least;
  }

  /**
   * Returns how many portions, or pieces that are served, one piece gives.
   *
   * @param piece what is eaten of it
   * @return slices where they are cut; else one if the piece is served, or none
   */
  public long served(Eaten piece) {
    if (piece.cut() == Eaten.Cut.PORTION) {
      return 1;
    }
    return switch (form) {
      case SLICES -> piece.wholeTimes(lightest());
      case PIECES -> weightOf(piece) == Weight.ASKED ? 0 : 1;
      case BY_WEIGHT, SHARED, FISH -> piece.mass().isPositive() ? 1 : 0;
    };
  }

  /**
   * Returns what of a piece does not go on a plate.
   *
   * @param piece what is eaten of it
   * @return the mass over, zero or more: what is more than its portions may weigh
   */
  public Mass over(Eaten piece) {
    if (piece.cut() == Eaten.Cut.PORTION) {
      return Mass.ZERO;
    }
    return switch (form) {
      case SLICES ->
          filled && served(piece) == 0
              ? Mass.ZERO
              : notBelowZero(piece.mass().minus(heaviest().multipliedBy(served(piece))));
      case PIECES ->
          served(piece) > 0
              ? notBelowZero(
                  piece
                      .mass()
                      .minus(
                          heaviest().multipliedBy(Fraction.of(1, count), RoundingMode.HALF_EVEN)))
              : piece.mass();
      case BY_WEIGHT, SHARED, FISH -> Mass.ZERO;
    };
  }

  /**
   * Another plate that a piece only just does not give.
   *
   * @param missing what it lacks, above 0
   * @param portions how many portions there would be
   * @param each what each of them would weigh
   */
  public record Near(Mass missing, long portions, Mass each) {}

  /**
   * Finds out whether a piece lacks next to nothing of another portion: up to {@link #NEXT_TO_NONE}
   * of one.
   *
   * @param piece what is eaten of it
   * @return what it lacks and what would come of it; empty if that is more, or nothing is sliced
   */
  public Optional<Near> near(Eaten piece) {
    if (form != Form.SLICES || piece.cut() == Eaten.Cut.PORTION || !piece.mass().isPositive()) {
      return Optional.empty();
    }
    long more = served(piece) + 1;
    Mass missing = lightest().multipliedBy(more).minus(piece.mass());
    return missing.compareTo(target.multipliedBy(NEXT_TO_NONE, RoundingMode.HALF_EVEN)) > 0
        ? Optional.empty()
        : Optional.of(
            new Near(
                missing, more, piece.mass().multipliedBy(Fraction.of(1, more), RoundingMode.DOWN)));
  }

  private static Mass notBelowZero(Mass mass) {
    return mass.isNegative() ? Mass.ZERO : mass;
  }
}
