package mosaicknife.app.exchange;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.Currency;
import java.util.Optional;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import mosaicknife.core.quantity.PriceText;
import mosaicknife.core.quantity.UnitPrice;

/** Reads the texts of a request: masses, prices, amounts, currencies and choices. */
final class Texts {

  private static final Mass HEAVIEST = Mass.ofKilograms("40");
  private static final Mass HEAVIEST_FISH = Mass.ofKilograms("1000");
  private static final BigDecimal MOST_MONEY = BigDecimal.valueOf(10_000_000);
  private static final BigDecimal MOST_TOLERANCE = BigDecimal.valueOf(30);

  private Texts() {}

  static Mass mass(String text) {
    return MassText.parse(text, MassUnit.KILOGRAM).mass();
  }

  /** The mass of a fillet or of a portion. */
  static Mass cut(String text) {
    return upTo(HEAVIEST, text);
  }

  /** The mass of one fish. */
  static Mass fish(String text) {
    return upTo(HEAVIEST_FISH, text);
  }

  private static Mass upTo(Mass most, String text) {
    Mass mass = mass(text);
    if (mass.compareTo(Mass.ofGrams(1)) < 0 || mass.compareTo(most) > 0) {
      throw Refusal.ofInput("exchange.problem.no-fillet-mass", most);
    }
    return mass;
  }

  static UnitPrice price(String text, Currency currency) {
    return PriceText.parse(text, MassUnit.KILOGRAM, currency).price();
  }

  /** An amount in major units, from 0; nothing if it was left out. */
  static ExactMoney money(BigDecimal amount, Currency currency) {
    if (amount != null && (amount.signum() < 0 || amount.compareTo(MOST_MONEY) > 0)) {
      throw Refusal.ofInput("exchange.problem.no-amount", amount.toPlainString());
    }
    return amount == null ? ExactMoney.zero(currency) : new ExactMoney(amount, currency);
  }

  static int count(Integer count) {
    return count(count, 1, 1, 10_000);
  }

  static int count(Integer count, int otherwise, int from, int to) {
    if (count != null && (count < from || count > to)) {
      throw Refusal.ofInput("exchange.problem.no-count", count, from, to);
    }
    return count == null ? otherwise : count;
  }

  static Currency currency(String code) {
    String wanted = code == null ? "EUR" : code;
    return Currency.getAvailableCurrencies().stream()
        .filter(currency -> currency.getCurrencyCode().equals(wanted))
        // metals and units of account are none to pay with
        .filter(currency -> currency.getDefaultFractionDigits() >= 0)
        .findFirst()
        .orElseThrow(() -> Refusal.ofInput("exchange.problem.is-no-currency", wanted));
  }

  /** One of several names; another if it was left out. */
  static <E extends Enum<E>> E choice(E[] values, String text, E otherwise) {
    Optional<E> found = Arrays.stream(values).filter(one -> one.name().equals(text)).findFirst();
    if (text != null && found.isEmpty()) {
      throw Refusal.ofInput("exchange.problem.no-choice", text, String.join(", ", names(values)));
    }
    return found.orElse(otherwise);
  }

  private static String[] names(Enum<?>[] values) {
    return Arrays.stream(values).map(Enum::name).toArray(String[]::new);
  }

  static Serving serving(String target, BigDecimal tolerancePercent) {
    BigDecimal share = tolerancePercent == null ? BigDecimal.ZERO : tolerancePercent;
    if (share.signum() < 0 || share.compareTo(MOST_TOLERANCE) > 0) {
      throw Refusal.ofInput("exchange.problem.no-tolerance", share.toPlainString());
    }
    return new Serving(
        Serving.Form.SLICES, cut(target), share.movePointLeft(2).doubleValue(), 1, false);
  }
}
