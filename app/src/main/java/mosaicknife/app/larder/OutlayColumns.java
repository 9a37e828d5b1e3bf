package mosaicknife.app.larder;

import jakarta.persistence.Embeddable;
import java.math.BigDecimal;
import java.util.Currency;
import mosaicknife.core.cost.Outlay;
import mosaicknife.core.quantity.ExactMoney;

/** What was laid out beside the fish, as columns. */
@Embeddable
class OutlayColumns {

  private BigDecimal additions;
  private BigDecimal work;
  private BigDecimal fuel;

  protected OutlayColumns() {}

  OutlayColumns(Outlay outlay) {
    additions = outlay.goods().amount();
    work = outlay.work().amount();
    fuel = outlay.fuel().amount();
  }

  Outlay toOutlay(Currency currency) {
    return new Outlay(
        new ExactMoney(additions, currency),
        new ExactMoney(work, currency),
        new ExactMoney(fuel, currency));
  }
}
