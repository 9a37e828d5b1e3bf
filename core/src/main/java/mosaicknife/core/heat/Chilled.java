package mosaicknife.core.heat;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import mosaicknife.core.check.Check;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.Temperature;

/**
 * A reading by which something that was cooked outside a pot is cold: one reading tells of the end
 * and of the time in all, not of the first stage.
 *
 * @param shown what the thermometer showed
 * @param at when
 * @param offHeat when it came off the heat
 * @param instrument which thermometer
 * @param core the core it reached, where that was measured
 */
public record Chilled(
    Temperature shown, Instant at, Instant offHeat, String instrument, Optional<Temperature> core) {

  /** Refuses a reading before the end of the heat, and one of nothing. */
  public Chilled {
    Check.notNull(shown, "temperature");
    Check.text(instrument, "instrument");
    Check.notNull(core, "core");
    Check.that(!offHeat.isAfter(at), "Expected off the heat until " + at + ", found ", offHeat);
  }

  /** What is wrong with the core of something that was smoked hot. */
  public enum Core {
    /** Nobody measured it, or it stayed below what the code asks for: that temperature. */
    NOT_REACHED
  }

  /**
   * Says what keeps something from being called hot-smoked: only a core makes it cooked.
   *
   * @param reading the reading, if there is one
   * @param code the core the code asks for
   * @return that no core shows it; empty if one does
   */
  public static Optional<Finding> cooked(Optional<Chilled> reading, Temperature code) {
    return reading.flatMap(Chilled::core).filter(core -> core.compareTo(code) >= 0).isPresent()
        ? Optional.empty()
        : Optional.of(Finding.of(Core.NOT_REACHED, code).at("core"));
  }

  /**
   * Says what keeps something off a shelf that comes from the heat.
   *
   * @param reading the reading, if there is one
   * @param rule how fast it must be cold
   * @return that nothing shows it is cold, or that it was not in time; empty if it may be packed
   */
  public static Optional<Finding> shelving(Optional<Chilled> reading, CoolingRule rule) {
    if (reading.filter(one -> one.shown.tenths() <= rule.cold() * 10).isEmpty()) {
      Temperature cold = new Temperature((int) Math.round(rule.cold() * 10));
      return Optional.of(Finding.of(Cooling.Problem.NOT_READ_COLD, cold).at("cold"));
    }
    Duration took = Duration.between(reading.get().offHeat, reading.get().at);
    return took.compareTo(Duration.ofMinutes(rule.allMinutes())) > 0
        ? Optional.of(Finding.of(Cooling.Problem.MISSED).at("offHeat"))
        : Optional.empty();
  }
}
