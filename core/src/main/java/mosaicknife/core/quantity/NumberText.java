package mosaicknife.core.quantity;

import java.math.BigDecimal;
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
    String text = SPACES.matcher(typed.strip()).replaceAll("").replace('\u2212', '-');
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
