package mosaicknife.app.shared;

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
    try {
      return UUID.fromString(typed == null ? "" : typed);
    } catch (IllegalArgumentException e) {
      return UUID.randomUUID();
    }
  }
}
