package mosaicknife.core.lot;

import java.util.List;
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
 * @param killing how it was killed, step by step; empty if that is not known
 * @param scaled whether it came without its scales
 * @param byCatch whether it was not what the boat was after
 */
public record Arrival(
    OptionalLong orderLine,
    Optional<Mass> gross,
    Optional<Temperature> temperature,
    Optional<CatchMethod> method,
    String area,
    List<Killing> killing,
    boolean scaled,
    boolean byCatch) {

  /** Copies the steps. */
  public Arrival {
    killing = List.copyOf(killing);
  }

  /**
   * Fish in their scales, and what the boat was after, as most are.
   *
   * @param orderLine the line of the order it came for, if it was ordered
   * @param gross the mass with ice and box, if it was weighed
   * @param temperature the temperature at receipt, if it was measured
   * @param method how it was caught, if known
   * @param area where it was caught, possibly empty
   * @param killing how it was killed, if known
   */
  public Arrival(
      OptionalLong orderLine,
      Optional<Mass> gross,
      Optional<Temperature> temperature,
      Optional<CatchMethod> method,
      String area,
      Optional<Killing> killing) {
    this(orderLine, gross, temperature, method, area, killing.stream().toList(), false, false);
  }

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
