package mosaicknife.core.larder;

import java.time.Duration;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Temperature;

/**
 * About how long a piece takes to freeze through: Plank's equation for a slab that is cooled from
 * both sides, t = ρ · ΔH / (T_f − T_a) · (a / 2h + a² / 8k). The figures of fish are starting
 * estimates, so that the answer is a band and never a record: only a probe in the core tells.
 *
 * @param least the shortest time
 * @param most the longest time
 */
public record FreezingTime(Duration least, Duration most) {

  private static final double DENSITY = 1050;
  private static final double HEAT = 270_000;
  private static final double CONDUCTIVITY = 1.5;
  private static final double FREEZES_AT = -1;
  private static final double BAND = 0.4;

  /** How the cold reaches the piece, with its surface heat transfer in W/m²K. */
  public enum Cold {
    /** A shelf in still air. */
    STILL_AIR(9),
    /** A fan or a blast freezer. */
    BLAST(28),
    /** Between plates or in brine. */
    CONTACT(80);

    private final double transfer;

    Cold(double transfer) {
      this.transfer = transfer;
    }
  }

  /**
   * Estimates the time.
   *
   * @param thickness the piece where it is thickest, positive
   * @param air the temperature around it, below −5 °C
   * @param cold how the cold reaches it
   * @return the band
   */
  public static FreezingTime of(Length thickness, Temperature air, Cold cold) {
    double across = thickness.millimetres() / 1000.0;
    double below = FREEZES_AT - air.tenths() / 10.0;
    Check.that(across > 0, "Expected a thickness above 0, found ", thickness);
    Check.that(below >= 4, "Expected air colder than -5 °C, found ", air);
    double seconds =
        DENSITY
            * HEAT
            / below
            * (across / (2 * cold.transfer) + across * across / (8 * CONDUCTIVITY));
    return new FreezingTime(
        Duration.ofSeconds((long) (seconds * (1 - BAND))),
        Duration.ofSeconds((long) (seconds * (1 + BAND))));
  }
}
