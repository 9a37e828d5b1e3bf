package mosaicknife.app.bench;

import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.shared.Refusal;

/** A wish to take a weight, as the bench sends it. */
class WeighForm {

  private String id = "";
  private String part = "";
  private int fish = 1;
  private String source = "scale";
  private long reading;
  private String typed = "";
  private String supersedes = "";
  private String reason = "";

  boolean isTyped() {
    return source.equals("typed");
  }

  Take toTake(long lotId, Entry entry) {
    return new Take(
        uuid(id).orElseGet(UUID::randomUUID), lotId, part, fish, entry, uuid(supersedes), reason);
  }

  private static Optional<UUID> uuid(String text) {
    if (text.isBlank()) {
      return Optional.empty();
    }
    try {
      return Optional.of(UUID.fromString(text));
    } catch (IllegalArgumentException e) {
      throw Refusal.ofStale("The page was not complete. Load it again and take once more.");
    }
  }

  public void setId(String id) {
    this.id = id;
  }

  public String getPart() {
    return part;
  }

  public void setPart(String part) {
    this.part = part;
  }

  public int getFish() {
    return fish;
  }

  public void setFish(int fish) {
    this.fish = fish;
  }

  public void setSource(String source) {
    this.source = source;
  }

  public long getReading() {
    return reading;
  }

  public void setReading(long reading) {
    this.reading = reading;
  }

  public String getTyped() {
    return typed;
  }

  public void setTyped(String typed) {
    this.typed = typed;
  }

  public void setSupersedes(String supersedes) {
    this.supersedes = supersedes;
  }

  public void setReason(String reason) {
    this.reason = reason;
  }
}
