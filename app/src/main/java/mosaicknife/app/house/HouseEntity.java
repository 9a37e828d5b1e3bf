package mosaicknife.app.house;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.ZoneId;
import java.util.Currency;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.quantity.UnitSystem;

@Entity
@Table(name = "house")
class HouseEntity {

  static final short ONLY_ID = 1;

  @Id private Short id = ONLY_ID;
  private String name;
  private String currency;

  @Enumerated(EnumType.STRING)
  @Column(name = "unit_system")
  private UnitSystem unitSystem;

  @Column(name = "time_zone")
  private String timeZone;

  @Version private int version;

  protected HouseEntity() {}

  HouseEntity(String name, Currency currency, UnitSystem unitSystem, ZoneId zone) {
    this.name = name;
    this.currency = currency.getCurrencyCode();
    this.unitSystem = unitSystem;
    this.timeZone = zone.getId();
  }

  void change(String newName, UnitSystem system, ZoneId zone) {
    name = newName;
    unitSystem = system;
    timeZone = zone.getId();
  }

  House toHouse() {
    return new House(
        name, new Formats(unitSystem, Currency.getInstance(currency), ZoneId.of(timeZone)));
  }
}
