package mosaicknife.core.quantity;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Currency;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.NumberText.Comma;

/**
 * A price per mass as a person typed it, with what was understood.
 *
 * <p>Grammar: {@code number [/ unit]} or {@code number per unit}; the unit is kg or lb. Valid are
 * {@code 11.40}, {@code 11,40/kg}, {@code 12 €/kg}, {@code 5.17 per lb}.
 *
 * @param price the price understood
 * @param typed what was typed, stripped
 * @param echo the price per kilogram and per pound
 * @param note how an ambiguous spelling was read, if it was one
 */
public record PriceText(UnitPrice price, String typed, String echo, Optional<Finding> note) {

  private static final BigDecimal MOST = BigDecimal.valueOf(10_000);
  private static final int LONGEST = 40;
  private static final Pattern MONEY =
      Pattern.compile("\\p{Sc}|\\b(?i:EUR|USD|GBP|CHF|SEK|NOK|DKK|PLN|JPY|AUD|NZD|CAD|ISK)\\b");
  private static final Map<String, String> SIGNS =
      Map.of("EUR", "\u20AC", "GBP", "\u00A3", "JPY", "\u00A5", "USD", "$");
  private static final Pattern WITH_UNIT =
      Pattern.compile("(.*?)\\s*(?:/|\\bper\\b|\\ba\\b)\\s*(\\p{L}+\\.?)");

  /**
   * Reads a price.
   *
   * @param typed what was typed; null counts as nothing
   * @param bareUnit the unit of a price without one, the kilogram or the pound
   * @param currency the house's currency
   * @return the price with its echo
   * @throws QuantityFormatException if it is no price; the message says why and what to type
   */
  public static PriceText parse(String typed, MassUnit bareUnit, Currency currency) {
    String text = typed == null ? "" : typed.strip();
    if (text.isEmpty()) {
      throw new QuantityFormatException(QuantityProblem.NO_PRICE, bareUnit.symbol());
    }
    if (text.length() > LONGEST) {
      throw new QuantityFormatException(QuantityProblem.PRICE_TOO_LONG);
    }
    Matcher withUnit = WITH_UNIT.matcher(amountOf(text, currency));
    boolean hasUnit = withUnit.matches();
    MassUnit unit = hasUnit ? unit(withUnit.group(2)) : bareUnit;
    NumberText amount =
        NumberText.parse(hasUnit ? withUnit.group(1) : amountOf(text, currency), Comma.DECIMAL);
    UnitPrice price = price(text, amount.value(), unit, currency);
    String echo = "%s/kg = %s/lb".formatted(shown(price.perKilogram()), shown(price.perPound()));
    return new PriceText(price, text, echo, amount.note());
  }

  /** The sign or code of the house's money says nothing new; that of another one is no price. */
  private static String amountOf(String text, Currency currency) {
    Matcher money = MONEY.matcher(text);
    if (!money.find()) {
      return text;
    }
    String sign = money.group();
    boolean own =
        sign.equalsIgnoreCase(currency.getCurrencyCode())
            || sign.equals(SIGNS.get(currency.getCurrencyCode()))
            || sign.equals("$") && currency.getSymbol(Locale.US).endsWith("$");
    if (!own) {
      throw new QuantityFormatException(
          QuantityProblem.OTHER_MONEY, sign, currency.getCurrencyCode());
    }
    return (text.substring(0, money.start()) + text.substring(money.end())).strip();
  }

  private static UnitPrice price(String text, BigDecimal amount, MassUnit unit, Currency currency) {
    if (amount.signum() < 0) {
      throw new QuantityFormatException(QuantityProblem.PRICE_BELOW_ZERO, text);
    }
    if (amount.compareTo(MOST) > 0) {
      throw new QuantityFormatException(QuantityProblem.TOO_DEAR, text);
    }
    ExactMoney money = new ExactMoney(amount, currency);
    return unit == MassUnit.POUND ? UnitPrice.ofPerPound(money) : UnitPrice.ofPerKilogram(money);
  }

  private static MassUnit unit(String word) {
    return MassUnit.find(word)
        .filter(unit -> unit == MassUnit.KILOGRAM || unit == MassUnit.POUND)
        .orElseThrow(() -> new QuantityFormatException(QuantityProblem.NOT_A_PRICE_UNIT, word));
  }

  private static String shown(ExactMoney money) {
    return money.rounded(RoundingMode.HALF_UP).inMajorUnits().toPlainString();
  }
}
