package mosaicknife.app.shared;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.OptionalLong;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** How much room is left where the database and the logs lie, said before it is none. */
@Component
public class Room {

  private static final long MEGABYTE = 1_000_000;

  private final List<Path> folders;
  private final long leastMegabytes;

  Room(
      @Value("${mosaic.room.at}") List<String> folders,
      @Value("${mosaic.room.least-mb}") long leastMegabytes) {
    this.folders = folders.stream().filter(name -> !name.isBlank()).map(Path::of).toList();
    this.leastMegabytes = leastMegabytes;
  }

  /**
   * Returns what is free in the fullest place.
   *
   * @return megabytes; empty if nobody said which places count
   */
  public OptionalLong freeMegabytes() {
    return folders.stream()
        .filter(Files::exists)
        .mapToLong(folder -> folder.toFile().getUsableSpace() / MEGABYTE)
        .min();
  }

  /**
   * Returns what is left, if it is so little that somebody should make room.
   *
   * @return megabytes; empty while there is enough
   */
  public OptionalLong shortMegabytes() {
    OptionalLong free = freeMegabytes();
    return free.isPresent() && free.getAsLong() < leastMegabytes ? free : OptionalLong.empty();
  }
}
