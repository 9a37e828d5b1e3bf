package mosaicknife.app.lot;

import java.time.Instant;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.quantity.Mass;

/**
 * A lot as a list shows it: what is written down of it, nothing computed.
 *
 * @param id the lot number
 * @param species the species
 * @param state the state on arrival
 * @param fish how many fish
 * @param mass the mass as purchased
 * @param supplier the supplier
 * @param venue the venue that took it
 * @param receivedAt when it was received
 * @param finished whether it is closed
 */
public record LotLine(
    long id,
    Species species,
    State state,
    int fish,
    Mass mass,
    String supplier,
    String venue,
    Instant receivedAt,
    boolean finished) {}
