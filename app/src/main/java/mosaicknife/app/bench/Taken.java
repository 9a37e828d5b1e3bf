package mosaicknife.app.bench;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.core.quantity.Mass;

/**
 * A weighing that stands: not superseded, not taken back.
 *
 * @param id its identifier
 * @param fishNo which fish of the lot, from 1; 0 for all together
 * @param pieceNo which piece of a part weighed in a row, from 1; 0 for all others
 * @param mass the mass
 * @param source where it came from
 * @param step the step of the scale's display, if it came from one
 * @param trayId the tray that was chosen, if one was
 * @param by who took it
 * @param at when
 * @param corrected whether it corrects an earlier one
 * @param reason why it was corrected, possibly empty
 */
public record Taken(
    UUID id,
    int fishNo,
    int pieceNo,
    Mass mass,
    Source source,
    Optional<Mass> step,
    Optional<Long> trayId,
    String by,
    Instant at,
    boolean corrected,
    String reason) {}
