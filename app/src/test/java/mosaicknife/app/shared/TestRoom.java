package mosaicknife.app.shared;

import java.util.List;

/** Rooms of a size that a test wants. */
public final class TestRoom {

  private TestRoom() {}

  /** The room at a folder, short below so many megabytes. */
  public static Room at(String folder, long leastMegabytes) {
    return new Room(List.of(folder), leastMegabytes);
  }
}
