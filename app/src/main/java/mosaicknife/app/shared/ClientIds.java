package mosaicknife.app.shared;

import java.util.Optional;
import java.util.UUID;

/** Identifiers that senders make, so that what is sent twice is stored once. */
public final class ClientIds {

  private ClientIds() {}

  /**
   * Reads an identifier.
   *
   * @param typed what was sent; null or anything else than a UUID counts as none
   * @return the identifier, a fresh one if none was sent
   */
  public static UUID of(String typed) {
    return find(typed).orElseGet(UUID::randomUUID);
  }

  /**
   * Reads an identifier.
   *
   * @param typed what was sent
   * @return the identifier; empty if it is none
   */
  public static Optional<UUID> find(String typed) {
    try {
      return Optional.ofNullable(typed).filter(text -> text.length() == 36).map(UUID::fromString);
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }
}
