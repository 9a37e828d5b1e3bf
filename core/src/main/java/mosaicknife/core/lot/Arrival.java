package mosaicknife.core.lot;

import java.util.Optional;
import java.util.OptionalLong;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.Temperature;

/**
 * What was asked and measured when a lot came in, beyond what is paid for.
 *
 * @param orderLine the line of the order it came for, if it was ordered
 * @param gross the mass with ice and box, if it was weighed
 * @param temperature the temperature at receipt, if it was measured
 * @param method how it was caught, if known
 * @param area where it was caught, possibly empty
 * @param killing how it was killed, if known
 */
public record Arrival(
    OptionalLong orderLine,
    Optional<Mass> gross,
    Optional<Temperature> temperature,
    Optional<CatchMethod> method,
    String area,
    Optional<Killing> killing) {

  /** Nothing was asked. */
  public static final Arrival UNASKED =
      new Arrival(
          OptionalLong.empty(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          "",
          Optional.empty());
}
