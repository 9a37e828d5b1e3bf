package mosaicknife.e2e;

import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.HttpURLConnection;
import java.net.ServerSocket;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/**
 * A database that keeps what it committed and applications in processes of their own, so that a
 * test can pull their plugs. The throw-away database of the other tests may lose its last commits.
 */
final class Houses implements AutoCloseable {

  private static final int WAIT_SECONDS = 240;
  private static final int LOOKS_A_SECOND = 5;

  private final Path folder;
  private final Path programs;
  private final boolean root;
  private final int databasePort;
  private final int standbyPort;
  private final Set<String> running = new HashSet<>();
  private final List<Process> applications = new ArrayList<>();

  Houses() {
    try {
      folder = Files.createTempDirectory(Path.of("/tmp"), "mosaic-outage");
      root = "root".equals(System.getProperty("user.name"));
      try (Stream<Path> versions = Files.list(Path.of("/usr/lib/postgresql"))) {
        programs = versions.max(Comparator.naturalOrder()).orElseThrow().resolve("bin");
      }
      databasePort = freePort();
      standbyPort = freePort();
      if (root) {
        run("chown", "postgres:", folder.toString());
      }
      postgres(
          "initdb", "-D", data(), "-U", "mosaic", "-A", "trust", "-E", "UTF8", "--locale=C.UTF-8");
      startDatabase();
      postgres("createdb", "-h", "127.0.0.1", "-p", port(), "-U", "mosaic", "mosaic");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private String data() {
    return folder.resolve("data").toString();
  }

  private String standby() {
    return folder.resolve("standby").toString();
  }

  private String port() {
    return Integer.toString(databasePort);
  }

  String url() {
    return "jdbc:postgresql://127.0.0.1:" + databasePort + "/mosaic";
  }

  /** The database or its standby, whichever takes writes. */
  String urlOfBoth() {
    return "jdbc:postgresql://127.0.0.1:%d,127.0.0.1:%d/mosaic?targetServerType=primary"
        .formatted(databasePort, standbyPort);
  }

  void startDatabase() {
    start(data(), databasePort);
  }

  private void start(String data, int port) {
    postgres(
        "pg_ctl",
        "-D",
        data,
        "-w",
        "-l",
        data + "/server.log",
        "-o",
        "-p " + port + " -c listen_addresses=127.0.0.1 -c unix_socket_directories=''",
        "start");
    running.add(data);
  }

  /** A second database that follows: nothing is answered as taken before it has it too. */
  void addStandby() {
    postgres(
        "pg_basebackup",
        "-h",
        "127.0.0.1",
        "-p",
        port(),
        "-U",
        "mosaic",
        "-D",
        standby(),
        "-R",
        "-c",
        "fast");
    start(standby(), standbyPort);
    JdbcClient jdbc = JdbcClient.create(new DriverManagerDataSource(url(), "mosaic", ""));
    jdbc.sql("alter system set synchronous_standby_names = '*'").update();
    jdbc.sql("select cast(pg_reload_conf() as text)").query(String.class).single();
  }

  /** The standby takes writes from now on. */
  void promoteStandby() {
    postgres("pg_ctl", "-D", standby(), "-w", "promote");
  }

  /** The plug is pulled: no goodbye, no checkpoint; the next start recovers from the log. */
  void killDatabase() {
    kill(data());
  }

  private void kill(String data) {
    postgres("pg_ctl", "-D", data, "-m", "immediate", "-w", "stop");
    running.remove(data);
  }

  private void postgres(String program, String... arguments) {
    List<String> command = new ArrayList<>();
    if (root) {
      command.addAll(
          List.of(
              "setpriv",
              "--reuid=postgres",
              "--regid=postgres",
              "--init-groups",
              "--reset-env",
              "--"));
    }
    command.add(programs.resolve(program).toString());
    command.addAll(List.of(arguments));
    run(command.toArray(String[]::new));
  }

  private void run(String... command) {
    try {
      Process process =
          new ProcessBuilder(command)
              .directory(Path.of("/tmp").toFile())
              .redirectErrorStream(true)
              .redirectOutput(ProcessBuilder.Redirect.appendTo(log("commands")))
              .start();
      if (!process.waitFor(WAIT_SECONDS, TimeUnit.SECONDS) || process.exitValue() != 0) {
        throw new IllegalStateException(
            String.join(" ", command) + " failed: " + Files.readString(log("commands").toPath()));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  private File log(String name) {
    return Path.of("target", "outage-" + name + ".log").toAbsolutePath().toFile();
  }

  /** Starts an application as its own process and waits until it answers. */
  Process start(int port, boolean demo, String... more) {
    return startOn(url(), port, demo, more);
  }

  /** The same on a database by another address. */
  Process startOn(String database, int port, boolean demo, String... more) {
    try {
      List<String> command =
          new ArrayList<>(
              List.of(
                  Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                  "-XX:TieredStopAtLevel=1",
                  "-XX:+UseSerialGC",
                  "-Xmx512m",
                  "-cp",
                  System.getProperty("java.class.path"),
                  "mosaicknife.app.MosaicKnifeApplication",
                  "--server.port=" + port,
                  "--spring.datasource.url=" + database,
                  "--spring.datasource.username=mosaic",
                  "--spring.datasource.password=",
                  "--mosaic.demo=" + demo,
                  "--mosaic.scale.stand-in=true"));
      command.addAll(List.of(more));
      Process process =
          new ProcessBuilder(command)
              .redirectErrorStream(true)
              .redirectOutput(ProcessBuilder.Redirect.appendTo(log("application-" + port)))
              .start();
      applications.add(process);
      waitFor(port, process);
      return process;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void waitFor(int port, Process process) throws IOException {
    for (int looks = 0; looks < WAIT_SECONDS * LOOKS_A_SECOND && process.isAlive(); looks++) {
      if (isUp(port)) {
        return;
      }
      pause();
    }
    throw new IOException("the application on port " + port + " did not start");
  }

  private static boolean isUp(int port) {
    try {
      HttpURLConnection up =
          (HttpURLConnection)
              URI.create("http://127.0.0.1:" + port + "/up").toURL().openConnection();
      up.setConnectTimeout(500);
      up.setReadTimeout(2_000);
      return up.getResponseCode() == 200;
    } catch (IOException e) {
      return false;
    }
  }

  private static void pause() {
    try {
      TimeUnit.MILLISECONDS.sleep(1000 / LOOKS_A_SECOND);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  static int freePort() throws IOException {
    try (ServerSocket socket = new ServerSocket(0)) {
      return socket.getLocalPort();
    }
  }

  @Override
  public void close() {
    applications.forEach(Process::destroyForcibly);
    List.copyOf(running).forEach(this::kill);
    run("rm", "-rf", folder.toString());
  }
}
