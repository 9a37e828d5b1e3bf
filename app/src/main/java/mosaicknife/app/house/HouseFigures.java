package mosaicknife.app.house;

import java.time.Instant;
import java.time.LocalDate;
import mosaicknife.app.shared.Figures;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;
import org.springframework.stereotype.Component;

/** Writes the figures of messages in the units and the money of the house. */
@Component
class HouseFigures implements Figures {

  private final HouseSettings houses;

  HouseFigures(HouseSettings houses) {
    this.houses = houses;
  }

  @Override
  public Object write(Object figure) {
    if (figure instanceof Mass mass) {
      return formats().mass(mass);
    }
    if (figure instanceof ExactMoney money) {
      return formats().money(money);
    }
    if (figure instanceof UnitPrice price) {
      return formats().price(price);
    }
    if (figure instanceof Fraction share) {
      return formats().percent(share);
    }
    if (figure instanceof LocalDate day) {
      return formats().day(day);
    }
    return figure instanceof Instant moment ? formats().moment(moment) : figure;
  }

  private Formats formats() {
    return houses.house().formats();
  }
}
