package mosaicknife.app.device;

import java.util.Optional;
import mosaicknife.core.heat.Surroundings;
import mosaicknife.core.quantity.Temperature;

/** No probe: temperatures are typed. */
final class NoProbe implements Probe {

  @Override
  public Optional<Temperature> read() {
    return Optional.empty();
  }

  @Override
  public void stands(Surroundings where) {
    // nothing stands anywhere
  }
}
