package mosaicknife.core.use;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.EnumSet;
import java.util.Set;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.safety.Allergen;

/**
 * Something that goes into a batch beside the fish. Its allergens are always stated: a line that
 * says nothing of them cannot be made.
 *
 * @param name what it is
 * @param share its mass as a share of the mass of the fish, above 0 up to 3
 * @param perKilogram its price per kilogram in the currency of the house, from 0
 * @param allergens what it brings in; empty only where somebody said so
 */
public record RecipeLine(
    String name, Fraction share, BigDecimal perKilogram, Set<Allergen> allergens) {

  private static final Fraction MOST = Fraction.of(3, 1);

  /** Refuses shares and prices out of range. */
  public RecipeLine {
    Check.text(name, "name");
    Check.that(isShare(share), "Expected a share above 0 up to 3, found ", share);
    Check.that(perKilogram.signum() >= 0, "Expected a price from 0, found ", perKilogram);
    allergens = allergens.isEmpty() ? Set.of() : Set.copyOf(EnumSet.copyOf(allergens));
  }

  /**
   * Returns whether a line can have such a share of the fish.
   *
   * @param share the share
   * @return true above 0 up to three times the fish
   */
  public static boolean isShare(Fraction share) {
    return share.compareTo(Fraction.ZERO) > 0 && share.compareTo(MOST) <= 0;
  }

  /**
   * Reads a line as our files have it.
   *
   * @param fields name, percent of the fish, price a kilogram, allergens
   * @return the line
   * @throws IllegalArgumentException if it does not say its allergens, or a figure is none
   */
  public static RecipeLine read(String... fields) {
    Check.that(
        fields.length >= 4 && !fields[3].isBlank(),
        "Expected a line that says its allergens, found " + String.join("/", fields));
    return new RecipeLine(
        fields[0],
        Fraction.of(new BigDecimal(fields[1]).movePointLeft(2)),
        new BigDecimal(fields[2]),
        Allergen.read(fields[3]));
  }

  /**
   * Writes the line as {@link #read} reads it, with slashes between.
   *
   * @return the text; its name has no slash
   */
  public String write() {
    String percent =
        share
            .toDecimal(6, RoundingMode.HALF_EVEN)
            .movePointRight(2)
            .stripTrailingZeros()
            .toPlainString();
    return String.join("/", name, percent, perKilogram.toPlainString(), Allergen.write(allergens));
  }
}
