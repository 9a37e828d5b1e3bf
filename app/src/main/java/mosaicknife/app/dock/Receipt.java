package mosaicknife.app.dock;

import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;

/**
 * A delivery as understood, ready to be stored as a lot.
 *
 * @param clientId the identifier the sender made, so that a repeated send is the same lot
 * @param species the species
 * @param state the state on arrival
 * @param fish how many fish, from 1 to 500
 * @param invoiced the mass on the invoice
 * @param own the mass on the own scale, if weighed
 * @param price the price per mass
 * @param supplier the name of the supplier, new or known
 * @param venue the number of the venue
 * @param origin wild or farmed
 * @param landedOn when it was landed
 * @param note a remark, possibly empty
 * @param arrival what was asked and measured beyond that
 */
public record Receipt(
    UUID clientId,
    Species species,
    State state,
    int fish,
    Mass invoiced,
    Optional<Mass> own,
    UnitPrice price,
    String supplier,
    long venue,
    Origin origin,
    LocalDate landedOn,
    String note,
    Arrival arrival) {}
