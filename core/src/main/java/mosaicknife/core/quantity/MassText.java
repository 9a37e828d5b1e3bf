package mosaicknife.core.quantity;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mosaicknife.core.check.Check;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.NumberText.Comma;

/**
 * A mass as a person typed it, with what was understood.
 *
 * <p>Weight entry is a trap: 12.6 lb is not 12 lb 6 oz, kilograms and pounds get mixed, a comma can
 * be two things. So what was understood is said back before it is stored.
 *
 * <p>Grammar: {@code number [unit]}, {@code number lb number oz} or {@code number kg number g};
 * units as in {@link MassUnit#find}. Valid are {@code 1318 g}, {@code 1'318 g}, {@code 1.318},
 * {@code 1,318 kg}, {@code 2 kg 300 g}, {@code 1½ lb}, {@code 12.6 lb}, {@code 12 lb 9.6 oz}. A
 * point before three digits of grams, {@code 1.318 g}, could be two things and is asked. Not valid
 * are negative or zero masses, ounces of a pound from 16 on, and more than {@value #MOST_TONNES}
 * tonnes.
 *
 * @param mass the mass understood, positive
 * @param typed what was typed, stripped
 * @param amount the amount as it was read, in the unit; without meaning for pounds and ounces
 * @param unit the unit that was typed or taken; empty for pounds and ounces
 * @param step one of its last digit in the unit it was typed in: how fine it is
 * @param note how an ambiguous spelling was read, if it was one
 */
public record MassText(
    Mass mass,
    String typed,
    BigDecimal amount,
    Optional<MassUnit> unit,
    Mass step,
    Optional<Finding> note) {

  private static final int MOST_TONNES = 2;
  private static final Mass MOST = Mass.ofGrams(MOST_TONNES * 1_000_000L);
  private static final BigDecimal OUNCES_PER_POUND = BigDecimal.valueOf(16);
  private static final BigDecimal GRAMS_PER_KILOGRAM = BigDecimal.valueOf(1000);
  private static final int LONGEST = 60;
  private static final Pattern POUNDS_AND_OUNCES =
      Pattern.compile("(.*\\d)\\s*([a-zA-Z]+\\.?)\\s*,?\\s*(\\d.*?)\\s*([a-zA-Z]+\\.?)");
  private static final Pattern POINT_OR_THOUSANDS =
      Pattern.compile("([1-9][0-9]{0,2})\\.([0-9]{3})");
  private static final Pattern STONES = Pattern.compile("(?i)(st|sts|stone|stones)\\.?");
  private static final Pattern WITH_UNIT = Pattern.compile("(.*?)\\s*([\\p{L}.]*\\p{L}\\.?)");

  /**
   * Reads a mass.
   *
   * @param typed what was typed; null counts as nothing
   * @param bareUnit the unit of a number without one
   * @return the mass with its echo
   * @throws QuantityFormatException if it is no mass above zero; the message says why and what to
   *     type
   */
  public static MassText parse(String typed, MassUnit bareUnit) {
    String text = typed == null ? "" : typed.strip();
    if (text.isEmpty()) {
      throw new QuantityFormatException(QuantityProblem.NO_WEIGHT, bareUnit.symbol());
    }
    if (text.length() > LONGEST) {
      throw new QuantityFormatException(QuantityProblem.WEIGHT_TOO_LONG);
    }
    Matcher two = POUNDS_AND_OUNCES.matcher(text);
    if (two.matches()) {
      return poundsAndOunces(text, two);
    }
    Matcher one = WITH_UNIT.matcher(text);
    if (one.matches() && one.group(1).chars().anyMatch(MassText::isFigure)) {
      return single(text, one.group(1), unit(one.group(2)));
    }
    return single(text, text, bareUnit);
  }

  private static boolean isFigure(int letter) {
    return Character.isDigit(letter) || Character.getType(letter) == Character.OTHER_NUMBER;
  }

  /**
   * Writes a mass for the screen, with no more digits than a kitchen scale has.
   *
   * @param mass the mass, of either sign
   * @param system the house's units
   * @return {@code 1.318 kg} or {@code 87 g}; {@code 2 lb 14.5 oz} or {@code 3.1 oz}
   */
  public static String format(Mass mass, UnitSystem system) {
    String sign = mass.isNegative() ? "−" : "";
    Mass size = mass.abs();
    if (system == UnitSystem.IMPERIAL) {
      return sign + poundsAndOunces(size);
    }
    BigDecimal grams = size.in(MassUnit.GRAM, 0, RoundingMode.HALF_UP);
    if (grams.compareTo(BigDecimal.valueOf(1000)) < 0) {
      return (grams.signum() == 0 ? "" : sign) + grams + " g";
    }
    return sign + size.in(MassUnit.KILOGRAM, 3, RoundingMode.HALF_UP) + " kg";
  }

  private static MassText single(String text, String number, MassUnit unit) {
    boolean grams = unit == MassUnit.GRAM;
    Matcher point = POINT_OR_THOUSANDS.matcher(number.strip());
    if (grams && point.matches()) {
      throw new QuantityFormatException(
          QuantityProblem.POINT_OR_THOUSANDS,
          text,
          point.group(1) + point.group(2),
          new BigDecimal(number.strip()).setScale(1, RoundingMode.HALF_UP).toPlainString());
    }
    NumberText amount = NumberText.parse(number, grams ? Comma.THOUSANDS : Comma.DECIMAL);
    Mass mass = checked(text, amount.value(), unit);
    return new MassText(
        mass, text, amount.value(), Optional.of(unit), step(amount.value(), unit), amount.note());
  }

  private static MassText poundsAndOunces(String text, Matcher match) {
    MassUnit first = unit(match.group(2));
    MassUnit second = unit(match.group(4));
    if (first == MassUnit.KILOGRAM && second == MassUnit.GRAM) {
      return kilogramsAndGrams(text, match);
    }
    if (first != MassUnit.POUND || second != MassUnit.OUNCE) {
      throw new QuantityFormatException(QuantityProblem.MIXED_UNITS, text);
    }
    BigDecimal pounds = NumberText.parse(match.group(1), Comma.DECIMAL).value();
    BigDecimal ounces = NumberText.parse(match.group(3), Comma.DECIMAL).value();
    if (pounds.stripTrailingZeros().scale() > 0) {
      throw new QuantityFormatException(QuantityProblem.PART_OF_A_POUND, text);
    }
    if (ounces.compareTo(OUNCES_PER_POUND) >= 0) {
      throw new QuantityFormatException(
          QuantityProblem.SIXTEEN_OUNCES, ounces.toPlainString(), carried(pounds, ounces));
    }
    Mass mass = checked(text, pounds.multiply(OUNCES_PER_POUND).add(ounces), MassUnit.OUNCE);
    return new MassText(
        mass, text, ounces, Optional.empty(), step(ounces, MassUnit.OUNCE), Optional.empty());
  }

  private static MassText kilogramsAndGrams(String text, Matcher match) {
    BigDecimal kilograms = NumberText.parse(match.group(1), Comma.DECIMAL).value();
    BigDecimal grams = NumberText.parse(match.group(3), Comma.THOUSANDS).value();
    boolean whole = kilograms.stripTrailingZeros().scale() <= 0;
    if (!whole || grams.compareTo(GRAMS_PER_KILOGRAM) >= 0) {
      throw new QuantityFormatException(QuantityProblem.KILOGRAMS_AND_GRAMS, text);
    }
    BigDecimal amount = kilograms.add(grams.movePointLeft(3));
    Mass mass = checked(text, amount, MassUnit.KILOGRAM);
    return new MassText(
        mass,
        text,
        amount,
        Optional.of(MassUnit.KILOGRAM),
        step(grams, MassUnit.GRAM),
        Optional.empty());
  }

  private static Mass step(BigDecimal amount, MassUnit unit) {
    BigDecimal last = BigDecimal.ONE.movePointLeft(Math.max(0, amount.scale()));
    Mass step = Mass.of(last, unit, RoundingMode.HALF_EVEN);
    return step.isPositive() ? step : Mass.ofMilligrams(1);
  }

  private static String carried(BigDecimal pounds, BigDecimal ounces) {
    BigDecimal[] parts = ounces.divideAndRemainder(OUNCES_PER_POUND);
    return "%s lb %s oz"
        .formatted(
            pounds.add(parts[0]).toBigInteger(), parts[1].stripTrailingZeros().toPlainString());
  }

  private static Mass checked(String text, BigDecimal amount, MassUnit unit) {
    if (amount.signum() < 0) {
      throw new QuantityFormatException(QuantityProblem.WEIGHT_BELOW_ZERO, text);
    }
    BigDecimal most = MOST.in(unit, 6, RoundingMode.HALF_UP);
    if (amount.compareTo(most) > 0) {
      throw new QuantityFormatException(QuantityProblem.TOO_HEAVY, text, MOST_TONNES);
    }
    Mass mass = Mass.of(amount, unit, RoundingMode.HALF_UP);
    if (!mass.isPositive()) {
      throw new QuantityFormatException(QuantityProblem.NO_WEIGHT_AT_ALL, text);
    }
    return mass;
  }

  private static MassUnit unit(String word) {
    if (STONES.matcher(word).matches()) {
      throw new QuantityFormatException(QuantityProblem.STONES, word);
    }
    return MassUnit.find(word)
        .orElseThrow(() -> new QuantityFormatException(QuantityProblem.NOT_A_WEIGHT_UNIT, word));
  }

  /**
   * Says back what was understood, in the typed unit and in the other system.
   *
   * @return the mass twice or three times: {@code 12.6 lb = 12 lb 9.6 oz = 5.715 kg}
   */
  public String echo() {
    if (unit.isEmpty()) {
      return poundsAndOunces(mass) + " = " + kilograms(mass);
    }
    String plain = amount.stripTrailingZeros().toPlainString() + " " + unit.get().symbol();
    return switch (unit.get()) {
      case POUND -> plain + " = " + poundsAndOunces(mass) + " = " + kilograms(mass);
      case OUNCE -> plain + " = " + kilograms(mass);
      case KILOGRAM, GRAM -> plain + " = " + poundsAndOunces(mass);
    };
  }

  private static String kilograms(Mass mass) {
    return mass.in(MassUnit.KILOGRAM, 3, RoundingMode.HALF_UP) + " kg";
  }

  private static String poundsAndOunces(Mass mass) {
    Check.that(!mass.isNegative(), "Bug: the sign is written by the caller, found ", mass);
    BigDecimal[] parts =
        mass.in(MassUnit.OUNCE, 1, RoundingMode.HALF_UP).divideAndRemainder(OUNCES_PER_POUND);
    String ounces = String.format(Locale.ROOT, "%.1f oz", parts[1]);
    return parts[0].signum() == 0 ? ounces : parts[0].toBigInteger() + " lb " + ounces;
  }
}
