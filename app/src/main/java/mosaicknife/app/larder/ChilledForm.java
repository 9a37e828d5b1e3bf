package mosaicknife.app.larder;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.Optional;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Sent;
import mosaicknife.core.heat.Chilled;

/** Reads by which reading something is cold, as forms send it. */
public final class ChilledForm {

  private static final int LONGEST_NAME = 60;

  /** Tablets are not all on the second. */
  private static final Duration AHEAD = Duration.ofMinutes(2);

  private ChilledForm() {}

  /**
   * Reads it.
   *
   * @param sent the fields cold, instrument, core and offHeat, the last by the clock on the wall
   * @param now the moment
   * @return the reading; empty if no temperature was typed
   * @throws Refusal if it was typed in part, or is no temperature or time
   */
  public static Optional<Chilled> read(Sent sent, Instant now) {
    return sent.given("cold", sent::temperature)
        .map(
            cold ->
                new Chilled(
                    cold,
                    now,
                    latest(sent.time("offHeat"), sent.zone(), now),
                    PlainText.needed(
                        sent.text("instrument"), LONGEST_NAME, "instrument", FieldName.INSTRUMENT),
                    sent.given("core", sent::temperature)));
  }

  /** The last time the clock showed that. */
  private static Instant latest(LocalTime time, ZoneId zone, Instant now) {
    ZonedDateTime today = now.atZone(zone).with(time);
    if (!today.toInstant().isAfter(now)) {
      return today.toInstant();
    }
    return today.toInstant().isAfter(now.plus(AHEAD)) ? today.minusDays(1).toInstant() : now;
  }
}
