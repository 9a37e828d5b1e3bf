package mosaicknife.app.larder;

import java.time.Instant;
import java.util.Optional;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Sent;
import mosaicknife.core.heat.Chilled;

/** Reads by which reading something is cold, as forms send it. */
public final class ChilledForm {

  private static final int LONGEST_NAME = 60;

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
                    sent.lately("offHeat", now),
                    PlainText.needed(
                        sent.text("instrument"), LONGEST_NAME, "instrument", FieldName.INSTRUMENT),
                    sent.given("core", sent::temperature)));
  }
}
