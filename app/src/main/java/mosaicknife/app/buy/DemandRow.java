package mosaicknife.app.buy;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.math.BigDecimal;
import java.math.RoundingMode;
import mosaicknife.core.buying.Demand;

/** The demand for a dish in one profile, as stored. */
@Embeddable
record DemandRow(
    int portions, BigDecimal forecastError, @Enumerated(EnumType.STRING) Demand.Per per) {

  static DemandRow of(Demand demand) {
    return new DemandRow(
        demand.portions(),
        BigDecimal.valueOf(demand.forecastError()).setScale(1, RoundingMode.HALF_UP),
        demand.per());
  }

  Demand toDemand() {
    return new Demand(portions, forecastError.doubleValue(), per);
  }
}
