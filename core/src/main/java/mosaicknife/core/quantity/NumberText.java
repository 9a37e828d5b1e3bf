package mosaicknife.core.quantity;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.text.Normalizer;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mosaicknife.core.finding.Finding;

/**
 * Reads a decimal number as people type it, with a point or a comma.
 *
 * <p>Where both occur, the last one is the decimal sign. One separator alone is the decimal sign,
 * but a single comma before exactly three digits could also group thousands: then the caller says
 * what is likelier, and the result carries a note of what was understood.
 *
 * <table>
 * <caption>What is understood</caption>
 * <tr><th>typed</th><th>fraction likelier</th><th>thousands likelier</th></tr>
 * <tr><td>1.318</td><td>1.318</td><td>1.318</td></tr>
 * <tr><td>1,318</td><td>1.318, with a note</td><td>1318, with a note</td></tr>
 * <tr><td>1,31</td><td>1.31</td><td>1.31</td></tr>
 * <tr><td>1½, 1 1/2</td><td>1.5</td><td>1.5</td></tr>
 * <tr><td>1'318</td><td>1318</td><td>1318</td></tr>
 * <tr><td>1.234,5</td><td>1234.5</td><td>1234.5</td></tr>
 * <tr><td>1,234,567</td><td>1234567</td><td>1234567</td></tr>
 * </table>
 *
 * @param value the number understood
 * @param note how an ambiguous spelling was read, if it was one
 */
record NumberText(BigDecimal value, Optional<Finding> note) {

  /** What a single comma before three digits is taken for. */
  enum Comma {
    DECIMAL,
    THOUSANDS
  }

  private static final int LONGEST = 24;
  private static final Pattern SPACES = Pattern.compile("[\\s\\u00A0\\u202F\\u2009]+");
  private static final Pattern NUMBER = Pattern.compile("[-\\u2212+]?[0-9]*[.,]?[0-9]*");
  private static final Pattern GROUPED =
      Pattern.compile(
          "[-\\u2212+]?[0-9]{1,3}(?:([.,])[0-9]{3})(?:\\1[0-9]{3})*(?:(?!\\1)[.,][0-9]+)?");
  private static final Pattern APOSTROPHES =
      Pattern.compile("(?<=[0-9])['\u2019](?=[0-9]{3}(?![0-9]))");
  private static final Pattern PARTS =
      Pattern.compile("([0-9]{1,3})?\\s*([\u00BC\u00BD\u00BE\u2153\u2154\u215B-\u215E])");
  private static final Pattern SLASHED =
      Pattern.compile("(?:([0-9]{1,3})\\s+)?([1-9])\\s*[/\u2044]\\s*([2-9])");
  private static final int PLACES = 3;
  private static final Pattern AMBIGUOUS = Pattern.compile("[-\\u2212+]?[1-9][0-9]{0,2},[0-9]{3}");

  /**
   * Reads a number.
   *
   * @param typed what was typed, with no unit
   * @param comma what a single comma before three digits is taken for
   * @return the number and the note
   * @throws QuantityFormatException if it is not one number
   */
  static NumberText parse(String typed, Comma comma) {
    Optional<BigDecimal> fraction = fraction(typed.strip());
    if (fraction.isPresent()) {
      return new NumberText(fraction.get(), Optional.empty());
    }
    String text = SPACES.matcher(typed.strip()).replaceAll("").replace('\u2212', '-');
    text = APOSTROPHES.matcher(text).replaceAll("");
    if (text.isEmpty()) {
      throw new QuantityFormatException(QuantityProblem.NOTHING_TYPED);
    }
    if (text.length() > LONGEST || text.chars().noneMatch(Character::isDigit)) {
      throw notANumber(typed);
    }
    if (AMBIGUOUS.matcher(text).matches()) {
      return ambiguous(text, comma);
    }
    if (NUMBER.matcher(text).matches()) {
      return new NumberText(new BigDecimal(text.replace(',', '.')), Optional.empty());
    }
    Matcher grouped = GROUPED.matcher(text);
    if (!grouped.matches()) {
      throw notANumber(typed);
    }
    String plain = text.replace(grouped.group(1), "").replace(',', '.');
    return new NumberText(new BigDecimal(plain), Optional.empty());
  }

  /** Halves, thirds, quarters and eighths, with or without whole ones: 1½, 2 3/4. */
  private static Optional<BigDecimal> fraction(String text) {
    Matcher sign = PARTS.matcher(text);
    Matcher slashed = SLASHED.matcher(text);
    if (sign.matches()) {
      String parts = Normalizer.normalize(sign.group(2), Normalizer.Form.NFKD);
      return Optional.of(
          mixed(sign.group(1), parts.substring(0, 1), parts.substring(parts.length() - 1)));
    }
    return slashed.matches()
        ? Optional.of(mixed(slashed.group(1), slashed.group(2), slashed.group(3)))
        : Optional.empty();
  }

  private static BigDecimal mixed(String whole, String over, String under) {
    return new BigDecimal(over)
        .divide(new BigDecimal(under), PLACES, RoundingMode.HALF_UP)
        .stripTrailingZeros()
        .add(whole == null ? BigDecimal.ZERO : new BigDecimal(whole));
  }

  private static NumberText ambiguous(String text, Comma comma) {
    if (comma == Comma.DECIMAL) {
      String decimal = text.replace(',', '.');
      return new NumberText(
          new BigDecimal(decimal),
          Optional.of(Finding.of(QuantityProblem.COMMA_IS_DECIMAL, text, decimal)));
    }
    String whole = text.replace(",", "");
    return new NumberText(
        new BigDecimal(whole),
        Optional.of(Finding.of(QuantityProblem.COMMA_IS_THOUSANDS, text, whole)));
  }

  private static QuantityFormatException notANumber(String typed) {
    String shown = typed.strip();
    shown = shown.length() > LONGEST ? shown.substring(0, LONGEST) + "…" : shown;
    return new QuantityFormatException(QuantityProblem.NOT_A_NUMBER, shown);
  }
}
