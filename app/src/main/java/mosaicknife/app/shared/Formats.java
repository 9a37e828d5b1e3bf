package mosaicknife.app.shared;

import com.ibm.icu.text.ListFormatter;
import com.ibm.icu.text.ListFormatter.Type;
import com.ibm.icu.text.ListFormatter.Width;
import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.text.NumberFormat;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.MonthDay;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.TextStyle;
import java.util.Collection;
import java.util.Currency;
import java.util.Locale;
import java.util.Optional;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.quantity.UnitPrice;
import mosaicknife.core.quantity.UnitSystem;
import org.springframework.context.i18n.LocaleContextHolder;

/**
 * Writes numbers as this house reads them: its units, its currency, its time; with the decimal
 * sign, the order of a date and the clock of the person who reads ({@link Reader}).
 *
 * @param system the units of mass
 * @param currency the currency
 * @param zone the time zone of the house
 */
public record Formats(UnitSystem system, Currency currency, ZoneId zone, Optional<Clock> clock)
    implements Speech {

  /**
   * Writes for no day in particular: no date shows its year.
   *
   * @param system the units
   * @param currency the currency
   * @param zone the time zone
   */
  public Formats(UnitSystem system, Currency currency, ZoneId zone) {
    this(system, currency, zone, Optional.empty());
  }

  /**
   * Says what a portion is.
   *
   * @param serving the portion
   * @return such as {@code slices of 180 g}
   */
  public String serving(Serving serving) {
    return say(
        "Serving.Form.%s.said".formatted(serving.form()),
        // a figure stays with its unit
        mass(serving.target()).replace(' ', '\u00a0'),
        serving.count());
  }

  /**
   * Writes a measured mass.
   *
   * @param mass the mass
   * @return such as {@code 1.318 kg}
   */
  public String mass(Mass mass) {
    return Reader.now().decimal(MassText.format(mass, system));
  }

  /**
   * Writes a range of masses, short.
   *
   * @param from the lightest
   * @param to the heaviest
   * @return such as {@code 0.8–1.5 kg}, {@code 200–300 g} or {@code 1.8–3.3 lb}
   */
  public String range(Mass from, Mass to) {
    boolean small = system == UnitSystem.METRIC && to.compareTo(Mass.ofKilograms("1")) < 0;
    MassUnit unit = small ? MassUnit.GRAM : system.large();
    String lightest = shortest(from, unit);
    String heaviest = shortest(to, unit);
    String both = lightest.equals(heaviest) ? lightest : lightest + "–" + heaviest;
    return both + " " + unit.symbol();
  }

  private static String shortest(Mass mass, MassUnit unit) {
    return plain(
        new BigDecimal(mass.milligrams())
            // no scale of a kitchen shows parts of a gram
            .divide(unitMilligrams(unit), unit == MassUnit.GRAM ? 0 : 2, RoundingMode.HALF_UP)
            .stripTrailingZeros());
  }

  /**
   * Writes an estimated mass.
   *
   * @param mass the mass
   * @return such as {@code ≈ 1.318 kg}
   */
  public String about(Mass mass) {
    return "≈ " + mass(mass);
  }

  /**
   * Writes a mass that a norm foresees, with no more digits than a norm knows.
   *
   * @param mass the mass
   * @return such as {@code ≈ 18 kg}, {@code ≈ 6.04 kg} or {@code ≈ 640 g}
   */
  public String roughly(Mass mass) {
    boolean small = system == UnitSystem.METRIC && mass.compareTo(Mass.ofKilograms("1")) < 0;
    MassUnit unit = small ? MassUnit.GRAM : system.large();
    BigDecimal amount =
        new BigDecimal(mass.milligrams())
            .divide(unitMilligrams(unit), new MathContext(3, RoundingMode.HALF_UP))
            // no scale of a kitchen shows parts of a gram
            .setScale(small ? 0 : 3, RoundingMode.HALF_UP)
            .stripTrailingZeros();
    return "≈ " + plain(amount) + " " + unit.symbol();
  }

  private static BigDecimal unitMilligrams(MassUnit unit) {
    return new BigDecimal(Mass.of(BigDecimal.ONE, unit, RoundingMode.HALF_UP).milligrams());
  }

  private static String plain(BigDecimal amount) {
    return Reader.now()
        .decimal(amount.scale() < 0 ? amount.setScale(0).toPlainString() : amount.toPlainString());
  }

  /**
   * Writes an amount of money in whole minor units.
   *
   * @param money the exact amount
   * @return such as {@code €55.40}
   */
  public String money(ExactMoney money) {
    return money(money, money.currency().getDefaultFractionDigits());
  }

  /**
   * Writes an amount of money with more digits, where small differences matter.
   *
   * @param money the exact amount
   * @return such as {@code €3.9574}
   */
  public String fineMoney(ExactMoney money) {
    return money(money, 4);
  }

  private static String money(ExactMoney money, int decimals) {
    NumberFormat format = NumberFormat.getCurrencyInstance(Reader.now().figures());
    format.setCurrency(money.currency());
    format.setMinimumFractionDigits(decimals);
    format.setMaximumFractionDigits(decimals);
    format.setRoundingMode(RoundingMode.HALF_UP);
    return format.format(money.amount());
  }

  /**
   * Writes a price in the house's large unit.
   *
   * @param price the price
   * @return such as {@code €11.40/kg}
   */
  public String price(UnitPrice price) {
    ExactMoney money = system.large() == MassUnit.POUND ? price.perPound() : price.perKilogram();
    return money(money) + "/" + system.large().symbol();
  }

  /**
   * Writes a fraction in percent with one decimal.
   *
   * @param fraction the fraction
   * @return such as {@code 53.7 %}
   */
  public String percent(Fraction fraction) {
    return number(fraction.toPercent(1, RoundingMode.HALF_UP)) + " %";
  }

  /**
   * Writes a plain number.
   *
   * @param number the number, with the digits that are to be seen
   * @return such as {@code −0.125}
   */
  public String number(BigDecimal number) {
    return plain(number).replace('-', '−');
  }

  /**
   * Writes a number with so many decimals, as the reader writes them.
   *
   * @param value the number, finite
   * @param places how many decimals, from 0
   * @return such as {@code 27.4}
   */
  public static String decimal(double value, int places) {
    return Reader.now().decimal(Decimals.of(value, places));
  }

  /**
   * Writes a difference with its sign.
   *
   * @param value the difference
   * @return such as {@code +3} or {@code -2}; {@code 0} has none
   */
  public static String signed(long value) {
    return (value > 0 ? "+" : "") + value;
  }

  /**
   * Writes a name small, the same on a server of any language.
   *
   * @param name such as {@code WEIGHED}
   * @return such as {@code weighed}
   */
  public String lower(String name) {
    return name.toLowerCase(Locale.ROOT);
  }

  /**
   * Writes from whom a lot came.
   *
   * @param lot the lot
   * @return the name of the supplier; that it is the own catch of the house
   */
  public String supplier(Lot lot) {
    return lot.receipt().isOwnCatch() ? say("shared.own-catch") : lot.supplier();
  }

  /**
   * Writes a temperature.
   *
   * @param temperature the temperature
   * @return such as {@code 1.5 °C}
   */
  public String temperature(Temperature temperature) {
    return Reader.now().decimal(temperature.toString());
  }

  /**
   * Writes a length of a fish.
   *
   * @param length the length
   * @return such as {@code 42.5 cm}
   */
  public String length(Length length) {
    return Reader.now().decimal(length.toString());
  }

  /**
   * Writes several things in a row.
   *
   * @param things what there is, at least one
   * @return such as {@code hake, ray and turbot}
   */
  public String list(Collection<String> things) {
    return ListFormatter.getInstance(Reader.now().words()).format(things);
  }

  /**
   * Writes several marks of one thing in a row.
   *
   * @param marks what there is to say of it
   * @return such as {@code white, firm, mild}
   */
  public String row(Collection<String> marks) {
    return ListFormatter.getInstance(Reader.now().words(), Type.UNITS, Width.SHORT).format(marks);
  }

  /**
   * Writes a date.
   *
   * @param date the date
   * @return such as {@code Wed 25 Nov}, with its year when it is not this one
   */
  public String day(LocalDate date) {
    boolean otherYear =
        clock
            .filter(now -> LocalDate.now(now.withZone(zone)).getYear() != date.getYear())
            .isPresent();
    Reader reader = Reader.now();
    return (otherYear ? reader.dayOfYear() : reader.day()).format(date);
  }

  /**
   * Writes minutes: a thin piece is done or dry within one, so under ten to ten seconds.
   *
   * @param minutes the minutes; below 0 is now
   * @return such as {@code 7:50} or {@code 23}
   */
  public String minutes(double minutes) {
    long seconds = Math.max(0, Math.round(minutes * 6)) * 10;
    return seconds < 600
        ? String.format(Locale.ROOT, "%d:%02d", seconds / 60, seconds % 60)
        : "" + Math.round(minutes);
  }

  /**
   * Writes a day of the year.
   *
   * @param day the day
   * @return such as {@code 15 Dec}, the month in words so that no order of day and month misleads
   */
  public String day(MonthDay day) {
    return day.format(DateTimeFormatter.ofPattern("d MMM", LocaleContextHolder.getLocale()));
  }

  /**
   * Writes a day of the week.
   *
   * @param day the day
   * @return such as {@code Wed}
   */
  public String weekday(DayOfWeek day) {
    return day.getDisplayName(TextStyle.SHORT, Reader.now().words());
  }

  /**
   * Writes a moment as day and time of the house.
   *
   * @param instant the moment
   * @return such as {@code Wed 25 Nov, 14:02}
   */
  public String moment(Instant instant) {
    return day(instant.atZone(zone).toLocalDate()) + ", " + time(instant);
  }

  /**
   * Writes a moment as time of day.
   *
   * @param instant the moment
   * @return such as {@code 14:02}
   */
  public String time(Instant instant) {
    return Reader.now().time().format(instant.atZone(zone));
  }

  /**
   * Writes a time of day.
   *
   * @param time the time
   * @return such as {@code 14:02}
   */
  public String time(LocalTime time) {
    return Reader.now().time().format(time);
  }

  /**
   * Writes a figure of a message.
   *
   * @param figure the figure
   * @return its text; the figure itself where the message counts or chooses by it
   */
  public Object write(Object figure) {
    if (figure instanceof Mass mass) {
      return mass(mass);
    }
    if (figure instanceof ExactMoney money) {
      return money(money);
    }
    if (figure instanceof UnitPrice price) {
      return price(price);
    }
    if (figure instanceof Fraction share) {
      return percent(share);
    }
    if (figure instanceof Temperature temperature) {
      return temperature(temperature);
    }
    if (figure instanceof Length length) {
      return length(length);
    }
    if (figure instanceof SizeGrade grade) {
      return range(grade.from(), grade.to());
    }
    if (figure instanceof LocalDate date) {
      return day(date);
    }
    if (figure instanceof MonthDay dayOfYear) {
      return day(dayOfYear);
    }
    if (figure instanceof LocalTime time) {
      return time(time);
    }
    return figure instanceof Instant moment ? moment(moment) : figure;
  }

  @Override
  public String say(String key, Object... values) {
    return Bundles.shipped()
        .find(key, LocaleContextHolder.getLocale(), this::write, values)
        .orElseThrow(() -> new IllegalArgumentException("No message has the key '" + key + "'"));
  }
}
