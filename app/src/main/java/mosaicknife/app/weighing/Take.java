package mosaicknife.app.weighing;

import java.time.Instant;
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
 * @param moment when it was taken, if it waited in a browser; else it is now
 */
public record Take(
    UUID id,
    long lotId,
    String slot,
    int fishNo,
    Entry entry,
    Optional<UUID> supersedes,
    String reason,
    Optional<Instant> moment) {

  /**
   * A wish to take a weight now.
   *
   * @param id the identifier the sender made
   * @param lotId the lot
   * @param slot the part
   * @param fishNo which fish, from 1; 0 for all together
   * @param entry the weight
   * @param supersedes the weighing it corrects, if any
   * @param reason why, possibly empty
   */
  public Take(
      UUID id,
      long lotId,
      String slot,
      int fishNo,
      Entry entry,
      Optional<UUID> supersedes,
      String reason) {
    this(id, lotId, slot, fishNo, entry, supersedes, reason, Optional.empty());
  }
}
