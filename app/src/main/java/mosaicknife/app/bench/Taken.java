package mosaicknife.app.bench;

import java.time.Instant;
import java.util.UUID;
import mosaicknife.core.quantity.Mass;

/**
 * A weighing that stands: not superseded, not taken back.
 *
 * @param id its identifier
 * @param fishNo which fish of the lot, from 1; 0 for all together
 * @param mass the mass
 * @param source where it came from
 * @param by who took it
 * @param at when
 * @param corrected whether it corrects an earlier one
 * @param reason why it was corrected, possibly empty
 */
public record Taken(
    UUID id,
    int fishNo,
    Mass mass,
    Source source,
    String by,
    Instant at,
    boolean corrected,
    String reason) {}
