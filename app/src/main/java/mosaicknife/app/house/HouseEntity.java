package mosaicknife.app.house;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.ZoneId;
import java.util.Currency;
import java.util.Optional;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.anatomy.Season.Hemisphere;
import mosaicknife.core.cost.CostingMethod;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.UnitSystem;

@Entity
@Table(name = "house")
class HouseEntity {

  static final short ONLY_ID = 1;

  /** A starting figure that asks to be corrected. */
  private static final BigDecimal USUAL_LABOUR = new BigDecimal("18.00");

  @Id private Short id = ONLY_ID;
  private String name;
  private String currency;

  @Enumerated(EnumType.STRING)
  @Column(name = "unit_system")
  private UnitSystem unitSystem;

  @Column(name = "time_zone")
  private String timeZone;

  @Column(name = "labour_per_hour")
  private BigDecimal labourPerHour = USUAL_LABOUR;

  @Enumerated(EnumType.STRING)
  private Hemisphere hemisphere = Hemisphere.NORTH;

  @Enumerated(EnumType.STRING)
  @Column(name = "costing_method")
  private CostingMethod costingMethod = CostingMethod.ALL_ON_THE_MAINS;

  @Version private int version;

  protected HouseEntity() {}

  HouseEntity(String name, Currency currency, UnitSystem unitSystem, ZoneId zone) {
    this.name = name;
    this.currency = currency.getCurrencyCode();
    this.unitSystem = unitSystem;
    this.timeZone = zone.getId();
  }

  void change(
      String newName,
      Formats formats,
      BigDecimal newLabourPerHour,
      Hemisphere newHemisphere,
      CostingMethod newMethod) {
    name = newName;
    unitSystem = formats.system();
    currency = formats.currency().getCurrencyCode();
    timeZone = formats.zone().getId();
    labourPerHour = newLabourPerHour;
    hemisphere = newHemisphere;
    costingMethod = newMethod;
  }

  House toHouse(Clock clock) {
    Currency money = Currency.getInstance(currency);
    return new House(
        name,
        new Formats(unitSystem, money, ZoneId.of(timeZone), Optional.of(clock)),
        new ExactMoney(labourPerHour, money),
        hemisphere,
        costingMethod);
  }
}
