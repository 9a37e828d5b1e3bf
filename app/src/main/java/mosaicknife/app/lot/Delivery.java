package mosaicknife.app.lot;

import java.util.UUID;
import mosaicknife.core.lot.Receipt;

/**
 * A wish to receive a lot.
 *
 * @param clientId the identifier the sender made, so that a repeated send is the same lot
 * @param venue the number of the venue that takes it
 * @param receipt what is received; its supplier may be new
 */
public record Delivery(UUID clientId, long venue, Receipt receipt) {}
