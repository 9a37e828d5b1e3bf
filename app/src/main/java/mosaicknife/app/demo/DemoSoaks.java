package mosaicknife.app.demo;

import java.math.BigDecimal;
import java.util.UUID;
import mosaicknife.app.kitchen.Soaks;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.core.kitchen.Marinade;
import mosaicknife.core.quantity.Mass;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Two pieces of one fish in the same marinade, which are not ready at the same time. */
@Component
@ConditionalOnProperty(name = "mosaic.demo", havingValue = "true")
class DemoSoaks {

  private final Soaks soaks;
  private final LotRegister lots;

  DemoSoaks(Soaks soaks, LotRegister lots) {
    this.soaks = soaks;
    this.lots = lots;
  }

  void load() {
    marinade("Pollack back", "28", "620");
    marinade("Pollack tail", "12", "280");
  }

  private void marinade(String what, String millimetres, String grams) {
    long pollack =
        lots.open().stream()
            .filter(lot -> lot.species().code().equals("pollack"))
            .findFirst()
            .orElseThrow()
            .id();
    soaks.put(
        UUID.randomUUID(),
        new Soaks.Put(
            "soy-ginger",
            pollack,
            what,
            new BigDecimal(millimetres),
            true,
            Mass.ofGrams(Long.parseLong(grams)),
            Marinade.Vessel.BAG));
  }
}
