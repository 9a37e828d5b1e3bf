package mosaicknife.core.heat;

import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Temperature;

/**
 * What a probe showed.
 *
 * @param minutes when, in minutes since the first reading, from 0
 * @param temperature what it showed
 */
public record Reading(double minutes, Temperature temperature) {

  /** Refuses a reading before the first. */
  public Reading {
    Check.inRange(minutes, 0, 100_000, "minutes");
    Check.notNull(temperature, "temperature");
  }

  double degrees() {
    return temperature.tenths() / 10.0;
  }
}
