package mosaicknife.core.quantity;

import java.util.Optional;

/** In which units a house weighs. */
public enum UnitSystem {
  /** Grams and kilograms. */
  METRIC(MassUnit.KILOGRAM, MassUnit.GRAM),
  /** Ounces and pounds. */
  IMPERIAL(MassUnit.POUND, MassUnit.OUNCE);

  private final MassUnit large;
  private final MassUnit small;

  UnitSystem(MassUnit large, MassUnit small) {
    this.large = large;
    this.small = small;
  }

  /**
   * Returns in which unit a number without one is meant: the one that comes nearer to what is
   * expected there. A bare 1452 of a fillet is grams, a bare 1.452 kilograms.
   *
   * @param number what was typed, without unit
   * @param expected about what it should be, if that is known
   * @return the small unit if it comes nearer, else the large one
   */
  public MassUnit meant(String number, Optional<Mass> expected) {
    if (expected.filter(Mass::isPositive).isEmpty()) {
      return large;
    }
    double inLarge = distance(number, large, expected.get());
    return distance(number, small, expected.get()) < inLarge ? small : large;
  }

  /** How many times too much or too little it is, as a logarithm; endless if it cannot be read. */
  private static double distance(String number, MassUnit unit, Mass expected) {
    try {
      Mass mass = MassText.parse(number, unit).mass();
      return Math.abs(Math.log(mass.milligrams() / (double) expected.milligrams()));
    } catch (QuantityFormatException e) {
      return Double.MAX_VALUE;
    }
  }

  /**
   * Returns the unit that a bare number in a weight field means.
   *
   * @return the kilogram or the pound
   */
  public MassUnit large() {
    return large;
  }

  /**
   * Returns the unit that a bare number in a portion field means.
   *
   * @return the gram or the ounce
   */
  public MassUnit small() {
    return small;
  }
}
