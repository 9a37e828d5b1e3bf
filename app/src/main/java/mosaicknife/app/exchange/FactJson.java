package mosaicknife.app.exchange;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.core.lot.Source;
import mosaicknife.core.lot.Weighing;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.scale.ScaleReading;

/**
 * A weighing as it was written down, standing or superseded, for other programs.
 *
 * @param id its identifier
 * @param part the code of the part
 * @param fish which fish, from 1; 0 for all together
 * @param kind taken, corrected or taken back
 * @param grams the mass, absent when taken back
 * @param grossGrams the raw reading, if from the scale
 * @param tareGrams the tare, if from the scale
 * @param typed what was typed, if it was
 * @param source scale or typed
 * @param supersedes the weighing it follows, if any
 * @param reason why
 * @param by who
 * @param at when
 */
record FactJson(
    UUID id,
    String part,
    int fish,
    String kind,
    BigDecimal grams,
    BigDecimal grossGrams,
    BigDecimal tareGrams,
    String typed,
    Source source,
    UUID supersedes,
    String reason,
    String by,
    Instant at) {

  static FactJson of(Weighing weighing) {
    return new FactJson(
        weighing.id(),
        weighing.part(),
        weighing.fish(),
        weighing.kind().name(),
        grams(weighing.weighed()),
        grams(weighing.reading().map(ScaleReading::gross)),
        grams(weighing.reading().map(ScaleReading::tare)),
        weighing.typed().orElse(null),
        weighing.source(),
        weighing.supersedes().orElse(null),
        weighing.reason(),
        weighing.by().name(),
        weighing.at());
  }

  private static BigDecimal grams(Optional<Mass> mass) {
    return mass.map(Mass::inGrams).orElse(null);
  }
}
