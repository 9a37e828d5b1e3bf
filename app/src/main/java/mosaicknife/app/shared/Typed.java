package mosaicknife.app.shared;

import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.Currency;
import java.util.Optional;
import mosaicknife.core.quantity.ExactMoney;

/**
 * Reads what people type into fields: counts, decimals, percentages, money, days, choices. Every
 * form reads through here, so that the same slip gets the same sentence everywhere.
 *
 * <p>A comma or a point may stand before the decimals. What cannot be read is refused at its field,
 * with the limits in the sentence.
 */
public final class Typed {

  private static final int SHOWN = 20;

  private Typed() {}

  /**
   * Reads a whole number.
   *
   * @param typed what was typed; null counts as nothing
   * @param from the least
   * @param to the most
   * @param field the name of the field
   * @return the number
   * @throws Refusal if it is none, or out of range
   */
  public static int count(String typed, int from, int to, String field) {
    String text = text(typed);
    if (!text.matches("[0-9]{1,9}")
        || Integer.parseInt(text) < from
        || Integer.parseInt(text) > to) {
      throw Refusal.ofField(field, "shared.problem.count", shortened(text), from, to);
    }
    return Integer.parseInt(text);
  }

  /**
   * Reads a decimal number.
   *
   * @param typed what was typed; null counts as nothing
   * @param decimals the most decimals
   * @param from the least
   * @param to the most
   * @param field the name of the field
   * @return the number
   * @throws Refusal if it is none, or out of range
   */
  public static BigDecimal decimal(
      String typed, int decimals, BigDecimal from, BigDecimal to, String field) {
    String text = text(typed);
    return number(text, 9, Math.max(1, decimals), from, to)
        .orElseThrow(
            () ->
                Refusal.ofField(
                    field, "shared.problem.decimal", shortened(text), plain(from), plain(to)));
  }

  /**
   * Reads a percentage.
   *
   * @param typed what was typed; a percent sign may follow
   * @param from the least percent
   * @param to the most percent
   * @param field the name of the field
   * @return the percentage, such as 2.5 for 2.5 %
   * @throws Refusal if it is none, or out of range
   */
  public static BigDecimal percent(String typed, BigDecimal from, BigDecimal to, String field) {
    String text = text(typed).replaceAll("\\s*%$", "");
    return number(text, 3, 2, from, to)
        .orElseThrow(
            () ->
                Refusal.ofField(
                    field, "shared.problem.percent", shortened(text), plain(from), plain(to)));
  }

  /**
   * Reads an amount of money, in a currency that is known.
   *
   * @param typed what was typed
   * @param most the largest amount
   * @param currency the currency
   * @param field the name of the field
   * @return the amount
   * @throws Refusal if it is none, or too large
   */
  public static ExactMoney money(String typed, BigDecimal most, Currency currency, String field) {
    String text = text(typed);
    return number(text, 9, 2, BigDecimal.ZERO, most)
        .map(amount -> new ExactMoney(amount, currency))
        .orElseThrow(
            () -> Refusal.ofField(field, "shared.problem.money", shortened(text), plain(most)));
  }

  /**
   * Reads a day.
   *
   * @param typed the day as a browser sends it, such as {@code 2026-11-25}
   * @param field the name of the field
   * @return the day
   * @throws Refusal if it is none
   */
  public static LocalDate day(String typed, String field) {
    try {
      return LocalDate.parse(text(typed));
    } catch (DateTimeException e) {
      throw Refusal.ofField(field, "shared.problem.day", shortened(text(typed)));
    }
  }

  /**
   * Reads a time of the day.
   *
   * @param typed the time as a browser sends it, such as {@code 22:30}
   * @param field the name of the field
   * @return the time, to the minute
   * @throws Refusal if it is none
   */
  public static LocalTime time(String typed, String field) {
    try {
      return LocalTime.parse(text(typed)).truncatedTo(ChronoUnit.MINUTES);
    } catch (DateTimeException e) {
      throw Refusal.ofField(field, "shared.problem.time", shortened(text(typed)));
    }
  }

  /**
   * Reads a moment by the clock on the wall.
   *
   * @param typed the moment as a browser sends it, such as {@code 2026-11-28T18:30}
   * @param zone where the house is
   * @param field the name of the field
   * @return the moment
   * @throws Refusal if it is none
   */
  public static Instant moment(String typed, ZoneId zone, String field) {
    try {
      return LocalDateTime.parse(text(typed)).atZone(zone).toInstant();
    } catch (DateTimeException e) {
      throw Refusal.ofField(field, "shared.problem.time", shortened(text(typed)));
    }
  }

  /**
   * Finds a choice by its name.
   *
   * @param <E> the kind of choice
   * @param values the choices
   * @param typed the name that was sent
   * @return the choice, or empty
   */
  public static <E extends Enum<E>> Optional<E> choice(E[] values, String typed) {
    return Arrays.stream(values).filter(value -> value.name().equals(typed)).findFirst();
  }

  /**
   * Finds the number of something that was chosen.
   *
   * @param typed the number that was sent
   * @param field the name of the field
   * @return the number
   * @throws Refusal if nothing was chosen
   */
  public static long id(String typed, String field) {
    if (!text(typed).matches("[0-9]{1,18}")) {
      throw Refusal.ofField(field, "shared.problem.not-chosen");
    }
    return Long.parseLong(text(typed));
  }

  private static Optional<BigDecimal> number(
      String text, int digits, int decimals, BigDecimal from, BigDecimal to) {
    String plain = text.replace(',', '.');
    return plain.matches("[0-9]{1," + digits + "}(\\.[0-9]{1," + decimals + "})?")
        ? Optional.of(new BigDecimal(plain))
            .filter(read -> read.compareTo(from) >= 0 && read.compareTo(to) <= 0)
        : Optional.empty();
  }

  private static String text(String typed) {
    return typed == null ? "" : typed.strip();
  }

  private static String plain(BigDecimal number) {
    return number.stripTrailingZeros().toPlainString();
  }

  /** What was typed as the sentence shows it: nobody needs more to see the slip. */
  public static String shortened(String text) {
    return text.length() > SHOWN ? text.substring(0, SHOWN) + "…" : text;
  }
}
