package mosaicknife.core.slice;

import mosaicknife.core.check.Check;
import mosaicknife.core.portion.Eaten;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.Mass;

/**
 * What is cut of a fillet.
 *
 * @param name what it is for
 * @param target what it should weigh, positive
 * @param lightest the least it may weigh, above 0
 * @param heaviest the most it may weigh, not below the least
 * @param millimetres how thick it must be everywhere, from 0; of a steak, how thick it is cut
 * @param boneless whether no pin bone may be in it
 * @param value what one is worth, in minor units of the house's currency, from 0
 * @param style how it is cut
 */
public record PortionType(
    String name,
    Mass target,
    Mass lightest,
    Mass heaviest,
    double millimetres,
    boolean boneless,
    long value,
    Style style) {

  /** However heavy a fillet is, as it is it is a piece. */
  private static final Mass HEAVIEST_PIECE = Mass.ofGrams(40_000);

  /** Refuses limits that do not hold the target, and a steak without bones. */
  public PortionType {
    Check.text(name, "name");
    Check.that(
        lightest.isPositive() && lightest.compareTo(target) <= 0 && target.compareTo(heaviest) <= 0,
        "Expected limits around the target, found %s, %s, %s"
            .formatted(lightest, target, heaviest));
    Check.inRange(millimetres, 0, 200, "thickness in millimetres");
    Check.that(value >= 0, "Expected a value from 0, found ", value);
    Check.notNull(style, "style");
    Check.that(!boneless || style != Style.STEAK, "Expected a steak with its bone");
  }

  /**
   * Makes a type that is cut straight.
   *
   * @param name what it is for
   * @param target what it should weigh
   * @param lightest the least it may weigh
   * @param heaviest the most it may weigh
   * @param millimetres how thick it must be everywhere
   * @param boneless whether no pin bone may be in it
   * @param value what one is worth
   */
  public PortionType(
      String name,
      Mass target,
      Mass lightest,
      Mass heaviest,
      double millimetres,
      boolean boneless,
      long value) {
    this(name, target, lightest, heaviest, millimetres, boneless, value, Style.STRAIGHT);
  }

  /**
   * Returns the cut of a dish. Of a dish of so many pieces it is one of them.
   *
   * @param name what the dish is called
   * @param serving what it calls a portion
   * @param millimetres how thick it must be everywhere, from 0
   * @param boneless whether no pin bone may be in it
   * @return the type, each worth the same
   */
  public static PortionType of(String name, Serving serving, double millimetres, boolean boneless) {
    Serving each = serving.each();
    return new PortionType(
        name, each.target(), each.lightest(), each.heaviest(), millimetres, boneless, 1);
  }

  /**
   * Returns what a dish takes of any fillet: slices, or the whole of one where the dish has pieces
   * as they are.
   *
   * @param name what the dish is called
   * @param serving what it calls a portion
   * @param boneless whether no pin bone may be in it
   * @return the type, each worth the same
   */
  public static PortionType ofAny(String name, Serving serving, boolean boneless) {
    PortionType slices = of(name, serving, 0, boneless);
    return serving.form() == Serving.Form.SLICES
        ? slices
        : new PortionType(
            name,
            slices.target(),
            serving.leastServed(Eaten.Cut.MAIN),
            HEAVIEST_PIECE,
            0,
            boneless,
            1,
            Style.SIDE);
  }

  /**
   * Returns what a dish takes of one piece: slices, or the piece as it is where the dish has it so.
   *
   * @param name what the dish is called
   * @param serving what it calls a portion
   * @param piece what is eaten of the piece
   * @return the type, each worth the same; of a piece that is not served as it is nothing is cut
   */
  public static PortionType of(String name, Serving serving, Eaten piece) {
    if (serving.form() == Serving.Form.SLICES) {
      return of(name, serving, 0, false);
    }
    boolean isServed = serving.served(piece) > 0;
    Mass least = serving.leastServed(piece.cut());
    Mass lightest = isServed && piece.mass().compareTo(least) < 0 ? piece.mass() : least;
    Mass whole = piece.mass().compareTo(lightest) > 0 ? piece.mass() : lightest;
    return new PortionType(name, whole, lightest, whole, 0, false, 1, Style.SIDE);
  }

  /**
   * Returns the same, cut otherwise.
   *
   * @param other the style
   * @return the type
   */
  public PortionType cut(Style other) {
    return new PortionType(name, target, lightest, heaviest, millimetres, boneless, value, other);
  }

  /**
   * Returns the same, worth something else.
   *
   * @param other the worth of one, in minor units
   * @return the type
   */
  public PortionType worth(long other) {
    return new PortionType(name, target, lightest, heaviest, millimetres, boneless, other, style);
  }
}
