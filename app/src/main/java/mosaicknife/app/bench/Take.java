package mosaicknife.app.bench;

import java.util.Optional;
import java.util.UUID;

/**
 * A wish to take a weight.
 *
 * @param id the identifier the sender made, so that a repeated send is the same weighing
 * @param lotId the lot
 * @param slot the part
 * @param fishNo which fish, from 1; 0 for all together
 * @param entry the weight
 * @param supersedes the weighing the sender saw and wants to correct, if any
 * @param reason why it is corrected, possibly empty
 */
public record Take(
    UUID id,
    long lotId,
    String slot,
    int fishNo,
    Entry entry,
    Optional<UUID> supersedes,
    String reason) {}
