package mosaicknife.app.larder;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.Map;
import java.util.Optional;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Typed;
import mosaicknife.core.heat.Chilled;
import mosaicknife.core.quantity.Temperature;

/** Reads by which reading something is cold, as forms send it. */
public final class ChilledForm {

  private static final int LONGEST_NAME = 60;

  /** Tablets are not all on the second. */
  private static final Duration AHEAD = Duration.ofMinutes(2);

  private ChilledForm() {}

  /**
   * Reads it.
   *
   * @param typed the fields cold, instrument, core and offHeat, the last by the clock on the wall
   * @param zone where the house is
   * @param now the moment
   * @return the reading; empty if no temperature was typed
   * @throws Refusal if it was typed in part, or is no temperature or time
   */
  public static Optional<Chilled> read(Map<String, String> typed, ZoneId zone, Instant now) {
    String cold = typed.getOrDefault("cold", "");
    if (cold.isBlank()) {
      return Optional.empty();
    }
    return Optional.of(
        new Chilled(
            Temperature.parse(cold),
            now,
            latest(typed.getOrDefault("offHeat", ""), zone, now),
            PlainText.needed(
                typed.getOrDefault("instrument", ""),
                LONGEST_NAME,
                "instrument",
                FieldName.INSTRUMENT),
            Optional.of(typed.getOrDefault("core", "").strip())
                .filter(core -> !core.isEmpty())
                .map(Temperature::parse)));
  }

  /** The last time the clock showed that. */
  private static Instant latest(String typed, ZoneId zone, Instant now) {
    ZonedDateTime here = now.atZone(zone);
    Instant today = here.with(Typed.time(typed, "offHeat")).toInstant();
    if (!today.isAfter(now)) {
      return today;
    }
    return today.isAfter(now.plus(AHEAD))
        ? here.with(Typed.time(typed, "offHeat")).minusDays(1).toInstant()
        : now;
  }
}
