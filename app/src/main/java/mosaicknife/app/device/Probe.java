package mosaicknife.app.device;

import java.util.Optional;
import mosaicknife.core.heat.Surroundings;
import mosaicknife.core.quantity.Temperature;

/** The temperature probe of the house: a port, so that a real one can take the stand-in's place. */
public interface Probe {

  /**
   * Reads the probe.
   *
   * @return what it shows; empty if there is none or it does not answer
   */
  Optional<Temperature> read();

  /**
   * Tells a simulated probe where it is now; a real one knows.
   *
   * @param where where the pot stands
   */
  void stands(Surroundings where);
}
