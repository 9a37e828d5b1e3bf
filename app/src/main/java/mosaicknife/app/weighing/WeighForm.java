package mosaicknife.app.weighing;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.scale.ScaleReading;
import mosaicknife.core.scale.ScaleReading.Motion;

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
 * @param tray the number of the tray that was chosen
 * @param gross the raw reading that was seen, in mg
 * @param tare the tare of the scale at that moment, in mg
 * @param step the step of its display, in mg
 * @param at when it was taken, in milliseconds since 1970, if it waited in the browser
 */
public record WeighForm(
    String id,
    String part,
    Integer fish,
    String source,
    Long reading,
    String typed,
    String supersedes,
    String reason,
    Long tray,
    Long gross,
    Long tare,
    Long step,
    Long at) {

  private static final long MOST_MILLIGRAMS = 2_000_000_000L;

  public boolean isTyped() {
    return "typed".equals(source);
  }

  public String slot() {
    return part == null ? "" : part;
  }

  public int fishNo() {
    return fish == null ? 1 : fish;
  }

  public Take toTake(long lotId, Entry entry) {
    return new Take(
        uuid(id).orElseGet(UUID::randomUUID),
        lotId,
        slot(),
        fishNo(),
        entry,
        uuid(supersedes),
        reason == null ? "" : reason,
        Optional.ofNullable(at).map(Instant::ofEpochMilli));
  }

  public boolean isLate() {
    return at != null;
  }

  /** The reading as the browser saw it, for a weight that waited there. */
  public Optional<ScaleReading> seen() {
    boolean whole = gross != null && tare != null && step != null;
    if (!whole
        || step <= 0
        || step > MOST_MILLIGRAMS
        || tare < 0
        || Math.abs(gross) > MOST_MILLIGRAMS) {
      return Optional.empty();
    }
    return Optional.of(
        new ScaleReading(
            Mass.ofMilligrams(gross),
            Mass.ofMilligrams(Math.min(tare, MOST_MILLIGRAMS)),
            Motion.STEADY,
            Mass.ofMilligrams(step)));
  }

  private static Optional<UUID> uuid(String text) {
    if (text == null || text.isBlank()) {
      return Optional.empty();
    }
    try {
      return Optional.of(UUID.fromString(text));
    } catch (IllegalArgumentException e) {
      throw Refusal.ofStale("weighing.problem.the-page-was-not-complete");
    }
  }
}
