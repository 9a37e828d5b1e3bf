package mosaicknife.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A house that is run by the script itself, in a folder of its own, from the jar that was just
 * built: what whoever runs a house sees and types.
 */
final class Machine implements AutoCloseable {

  private static final Path ROOT = Path.of("..").toAbsolutePath().normalize();
  private static final long MOST_SECONDS = 1_200;

  private final Path home;
  private final Map<String, String> settings = new HashMap<>();

  /** In a folder that may be a disk of its own. */
  Machine(Path home) throws IOException {
    this.home = home;
    Files.setPosixFilePermissions(home, PosixFilePermissions.fromString("rwxr-xr-x"));
    settings.put("MOSAIC_HOME", home.toString());
    settings.put("MOSAIC_JAR", jar().toString());
    // nothing runs behind the back of a test
    settings.put("MOSAIC_NO_RECORD", "yes");
    settings.put("MOSAIC_PORT", Integer.toString(Houses.freePort()));
  }

  static Machine fresh() throws IOException {
    return new Machine(Files.createTempDirectory(Path.of("/tmp"), "mosaic-machine"));
  }

  private static Path jar() throws IOException {
    Matcher release =
        Pattern.compile("<version>(.*)</version>\\s*<packaging>pom")
            .matcher(Files.readString(ROOT.resolve("pom.xml")));
    if (!release.find()) {
      throw new IOException("the release is not in pom.xml");
    }
    return ROOT.resolve("app/target/app-" + release.group(1) + "-exec.jar");
  }

  /**
   * What came of a verb.
   *
   * @param code 0 if it did it
   * @param said all it said
   */
  record Said(int code, String said) {}

  Said does(String... verb) throws IOException, InterruptedException {
    Path out = Files.createTempFile("mosaic-said", ".txt");
    Process process = begin(out, verb);
    if (!process.waitFor(MOST_SECONDS, TimeUnit.SECONDS)) {
      process.destroyForcibly();
      throw new IOException(String.join(" ", verb) + " does not end: " + Files.readString(out));
    }
    String said = Files.readString(out, StandardCharsets.UTF_8);
    Files.delete(out);
    return new Said(process.exitValue(), said);
  }

  /** Begins to do it; nobody waits for the end. */
  Process begins(String... verb) throws IOException {
    return begin(Path.of("/dev/null"), verb);
  }

  private Process begin(Path out, String... verb) throws IOException {
    List<String> command = new ArrayList<>(List.of(ROOT.resolve("mosaic").toString()));
    command.addAll(List.of(verb));
    ProcessBuilder builder =
        new ProcessBuilder(command)
            .redirectErrorStream(true)
            .redirectInput(Path.of("/dev/null").toFile())
            .redirectOutput(out.toFile());
    builder.environment().keySet().removeIf(name -> name.startsWith("PG"));
    builder.environment().putAll(settings);
    return builder.start();
  }

  /** Does it, or ends the test with what was said. */
  String must(String... verb) throws IOException, InterruptedException {
    Said said = does(verb);
    if (said.code() != 0) {
      throw new IOException(String.join(" ", verb) + ": " + said.said());
    }
    return said.said();
  }

  void set(String name, String value) {
    settings.put(name, value);
  }

  Path home() {
    return home;
  }

  int port() {
    return Integer.parseInt(settings.get("MOSAIC_PORT"));
  }

  /** The number in a file of the house's folder, if it is there. */
  Optional<Long> pid(String file) {
    try {
      Path path =
          file.equals("database") ? cluster().resolve("data/postmaster.pid") : home.resolve(file);
      return Files.readAllLines(path).stream().findFirst().map(String::strip).map(Long::parseLong);
    } catch (IOException | NumberFormatException e) {
      return Optional.empty();
    }
  }

  private Path cluster() throws IOException {
    Path moved = home.resolve("database-at");
    return Files.exists(moved) ? Path.of(Files.readString(moved).strip()) : home.resolve("pg");
  }

  /** Pulls the plug of a process that this house started; true if there was one. */
  boolean kill(String file) {
    return pid(file).flatMap(ProcessHandle::of).map(ProcessHandle::destroyForcibly).orElse(false);
  }

  /** One answer of the database of the house. */
  String ask(String sql) throws IOException, InterruptedException {
    return must("db", "-qAtX", "-c", sql).strip();
  }

  /** Until the application answers again, for as long as a start may take. */
  void awaitUp() throws InterruptedException {
    for (long looks = 0; looks < 5 * MOST_SECONDS; looks++) {
      if (isUp()) {
        return;
      }
      TimeUnit.MILLISECONDS.sleep(200);
    }
    throw new IllegalStateException("it does not come back");
  }

  boolean isUp() {
    return up().startsWith("up");
  }

  String up() {
    try (KeptLine line = new KeptLine(port())) {
      KeptLine.Answer answer = line.send("GET", "/up", "Connection: close\r\n", "");
      return answer.status() == 200 ? answer.body() : "";
    } catch (IOException | NumberFormatException e) {
      return "";
    }
  }

  @Override
  public void close() {
    try {
      does("stop");
      new ProcessBuilder("rm", "-rf", cluster().toString(), home.toString()).start().waitFor();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
