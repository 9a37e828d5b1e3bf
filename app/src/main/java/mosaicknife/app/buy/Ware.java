package mosaicknife.app.buy;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Currency;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.buying.Offer.Form;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;

/** What is offered or ordered, and at which price, as stored. */
@Embeddable
record Ware(
    String species,
    @Enumerated(EnumType.STRING) Form form,
    @Enumerated(EnumType.STRING) State state,
    @Column(name = "from_mg") long fromMg,
    @Column(name = "to_mg") long toMg,
    @Column(name = "price_per_kg") BigDecimal pricePerKg,
    String currency) {

  private static final int PRICE_DECIMALS = 10;

  static Ware of(Species species, Form form, State state, SizeGrade grade, UnitPrice price) {
    ExactMoney perKilogram = price.perKilogram();
    return new Ware(
        species.code(),
        form,
        state,
        grade.from().milligrams(),
        grade.to().milligrams(),
        perKilogram.amount().setScale(PRICE_DECIMALS, RoundingMode.HALF_EVEN),
        perKilogram.currency().getCurrencyCode());
  }

  SizeGrade grade() {
    return new SizeGrade(Mass.ofMilligrams(fromMg), Mass.ofMilligrams(toMg));
  }

  UnitPrice price() {
    return UnitPrice.ofPerKilogram(new ExactMoney(pricePerKg, Currency.getInstance(currency)));
  }
}
