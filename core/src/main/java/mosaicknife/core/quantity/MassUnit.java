package mosaicknife.core.quantity;

import java.math.BigDecimal;
import java.util.Locale;
import java.util.Optional;

/** A unit in which mass is typed or shown. The pound is the avoirdupois pound of 453.59237 g. */
public enum MassUnit {
  /** The gram. */
  GRAM("g", "1000"),
  /** The kilogram. */
  KILOGRAM("kg", "1000000"),
  /** The avoirdupois ounce, a sixteenth of a pound: 28.349523125 g. */
  OUNCE("oz", "28349.523125"),
  /** The avoirdupois pound: 453.59237 g. */
  POUND("lb", "453592.37");

  private final String symbol;
  private final BigDecimal milligrams;

  MassUnit(String symbol, String milligrams) {
    this.symbol = symbol;
    this.milligrams = new BigDecimal(milligrams);
  }

  /**
   * Returns the symbol as written after a number.
   *
   * @return {@code g}, {@code kg}, {@code oz} or {@code lb}
   */
  public String symbol() {
    return symbol;
  }

  /**
   * Returns how many milligrams one unit has.
   *
   * @return the exact number of milligrams, positive
   */
  public BigDecimal milligrams() {
    return milligrams;
  }

  /**
   * Finds the unit that a word stands for.
   *
   * @param word a symbol or name such as {@code kg}, {@code Kilos}, {@code lbs}, {@code ounces};
   *     case and a final point do not matter
   * @return the unit, or empty if the word is none
   */
  public static Optional<MassUnit> find(String word) {
    return switch (word.strip().toLowerCase(Locale.ROOT).replace(".", "")) {
      case "g", "gr", "gram", "grams", "gramme", "grammes" -> Optional.of(GRAM);
      case "kg", "kgs", "kilo", "kilos", "kilogram", "kilograms" -> Optional.of(KILOGRAM);
      case "oz", "ounce", "ounces" -> Optional.of(OUNCE);
      case "lb", "lbs", "pound", "pounds" -> Optional.of(POUND);
      default -> Optional.empty();
    };
  }
}
