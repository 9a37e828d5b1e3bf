package mosaicknife.app.bench;

import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.shared.Refusal;

/**
 * A wish to take a weight, as the bench sends it; null where nothing was sent.
 *
 * @param id the identifier of the weighing
 * @param part the part
 * @param fish which fish
 * @param source {@code scale} or {@code typed}
 * @param reading the number of the reading that was seen
 * @param typed what was typed
 * @param supersedes the weighing it corrects
 * @param reason why
 */
record WeighForm(
    String id,
    String part,
    Integer fish,
    String source,
    Long reading,
    String typed,
    String supersedes,
    String reason) {

  boolean isTyped() {
    return "typed".equals(source);
  }

  String slot() {
    return part == null ? "" : part;
  }

  int fishNo() {
    return fish == null ? 1 : fish;
  }

  Take toTake(long lotId, Entry entry) {
    return new Take(
        uuid(id).orElseGet(UUID::randomUUID),
        lotId,
        slot(),
        fishNo(),
        entry,
        uuid(supersedes),
        reason == null ? "" : reason);
  }

  private static Optional<UUID> uuid(String text) {
    if (text == null || text.isBlank()) {
      return Optional.empty();
    }
    try {
      return Optional.of(UUID.fromString(text));
    } catch (IllegalArgumentException e) {
      throw Refusal.ofStale("The page was not complete. Load it again and take once more.");
    }
  }
}
