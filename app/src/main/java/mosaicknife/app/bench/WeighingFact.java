package mosaicknife.app.bench;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.UUID;

/**
 * A weighing as it was written down, standing or superseded.
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
@JsonInclude(JsonInclude.Include.NON_NULL)
public record WeighingFact(
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
    Instant at) {}
