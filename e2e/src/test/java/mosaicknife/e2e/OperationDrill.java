package mosaicknife.e2e;

import static org.testng.Assert.assertTrue;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import org.testng.annotations.Test;

/**
 * Pulls plugs for as long as it is asked to and counts what was lost; run by {@code ./mosaic drill}
 * only, against this machine alone. Each test writes one line of the table.
 */
public class OperationDrill {

  private static final int ROUNDS = Integer.getInteger("mosaic.drill.rounds", 10);
  private static final int STREAM_SECONDS =
      Math.max(3 * ROUNDS, 60 * Integer.getInteger("mosaic.drill.minutes", 0));
  private static final int MOST_SILENT_MILLIS = 1_000;
  private static final int BENCHES = 20;
  private static final String BELIEVES = "--server.forward-headers-strategy=native";

  /** So that a drill that failed can be repeated. */
  private final Random chance = new Random(Long.getLong("mosaic.drill.seed", 20));

  private static void line(String what, int tried, long lost, long doubled, boolean holds) {
    System.out.printf(
        "drilled | %s | %d | %d | %d | %s%n",
        what, tried, lost, doubled, holds ? "held" : "FAILED");
    assertTrue(holds, what);
  }

  private static Machine founded() throws Exception {
    Machine machine = Machine.fresh();
    machine.must("start");
    Weighers.found(machine.home().resolve("first-owner"));
    return machine;
  }

  private void pause(int fromMillis, int toMillis) throws InterruptedException {
    TimeUnit.MILLISECONDS.sleep(fromMillis + chance.nextInt(toMillis - fromMillis));
  }

  private static Weighers.Tally tally(Machine machine, Weighers weighers) throws Exception {
    return weighers.compare(machine.ask(OperationTest.STORED).lines().toList());
  }

  @Test
  public void killedAtRandomPoints() throws Exception {
    try (Machine machine = founded();
        Weighers weighers = new Weighers("http://127.0.0.1:" + machine.port(), BENCHES)) {
      int kills = 0;
      weighers.pace(300);
      weighers.begin();
      for (int round = 0; round < ROUNDS; round++) {
        pause(500, 4000);
        int which = round % 4;
        if (which != 1) {
          kills += machine.kill("app.pid") ? 1 : 0;
        }
        if (which != 0) {
          kills += machine.kill("database") ? 1 : 0;
        }
        if (which == 3) {
          // and again while it is starting
          pause(1000, 9000);
          kills += machine.kill(chance.nextBoolean() ? "app.pid" : "database") ? 1 : 0;
        }
        machine.awaitUp();
        weighers.await(weighers.answered() + BENCHES);
      }
      weighers.end();
      Weighers.Tally tally = tally(machine, weighers);
      line(
          "weights while plugs are pulled (" + kills + " kills)",
          tally.answered(),
          tally.lost(),
          tally.doubled(),
          tally.holds());
    }
  }

  @Test
  public void keeperAndAllKilledAndStartedAtOnce() throws Exception {
    try (Machine machine = founded()) {
      int failed = 0;
      int rounds = Math.max(2, ROUNDS / 2);
      for (int i = 0; i < rounds; i++) {
        machine.kill("keeper.pid");
        machine.kill("app.pid");
        machine.kill("database");
        Machine.Said said = machine.does("start");
        failed += said.code() == 0 && machine.isUp() ? 0 : 1;
      }
      line("started at once after all of it was killed", rounds, failed, 0, failed == 0);
    }
  }

  @Test
  public void unfitFilesAreNotRestored() throws Exception {
    try (Machine machine = founded();
        Weighers weighers = new Weighers("http://127.0.0.1:" + machine.port(), 2)) {
      weighers.begin();
      weighers.await(20);
      weighers.end();
      Path good = machine.home().resolve("good.backup");
      machine.must("backup", good.toString());
      int taken = 0;
      Map<String, Path> files = unfit(machine, good);
      for (Path file : files.values()) {
        Machine.Said said = machine.does("restore", file.toString());
        boolean refused = said.code() != 0 && tally(machine, weighers).holds() && machine.isUp();
        taken += refused ? 0 : 1;
        if (!refused) {
          System.out.println(file + " was taken: " + said.said());
        }
      }
      machine.must("restore", good.toString());
      Weighers.Tally tally = tally(machine, weighers);
      line(
          "unfit backups offered to restore",
          files.size(),
          tally.lost() + taken,
          tally.doubled(),
          taken == 0 && tally.holds());
    }
  }

  /** Ten of them: what people have in a folder, and what happens to files on the way. */
  private static Map<String, Path> unfit(Machine machine, Path good) throws Exception {
    Map<String, Path> files = new LinkedHashMap<>();
    byte[] bytes = Files.readAllBytes(good);
    byte[] flipped = bytes.clone();
    flipped[bytes.length / 3] ^= 4;
    byte[] demo =
        new String(bytes, StandardCharsets.ISO_8859_1)
            .replaceFirst(" house ", " demo ")
            .getBytes(StandardCharsets.ISO_8859_1);
    Path key = Files.writeString(machine.home().resolve("key"), "salt and marsh\n");
    Path locked = machine.home().resolve("locked");
    machine.must("backup", locked.toString(), "--key", key.toString());
    Path strange = machine.home().resolve("strange");
    Path newer = machine.home().resolve("newer");
    machine.ask("create database drilled");
    machine.must("db", "-c", "\\! pg_dump -Fc -d drilled -f " + strange);
    machine.ask("drop database drilled");
    machine.ask(
        "insert into flyway_schema_history (installed_rank, version, description, type, script,"
            + " installed_by, execution_time, success) values (9999, '9999', 'of a later release',"
            + " 'SQL', 'V9999__later.sql', 'x', 1, true)");
    machine.must("backup", newer.toString());
    machine.ask("delete from flyway_schema_history where installed_rank = 9999");
    files.put("empty", Files.createFile(machine.home().resolve("empty")));
    files.put("letter", Files.writeString(machine.home().resolve("letter"), "Dear butcher,\n"));
    files.put("cut", write(machine, "cut", Arrays.copyOf(bytes, bytes.length * 2 / 3)));
    files.put("flipped", write(machine, "flipped", flipped));
    files.put("demo", write(machine, "demo", demo));
    files.put("forged", write(machine, "forged", forged(flipped)));
    files.put("locked", locked);
    files.put("strange", strange);
    files.put("newer", newer);
    files.put("not there", machine.home().resolve("nowhere"));
    return files;
  }

  /** Changed, with its checksum made right again: only the seal is missing. */
  private static byte[] forged(byte[] changed) throws Exception {
    byte[] forged = changed.clone();
    int end = forged.length - "\nsha256  seal \n".length() - 128;
    MessageDigest sum = MessageDigest.getInstance("SHA-256");
    sum.update(forged, 0, end);
    byte[] digits = HexFormat.of().formatHex(sum.digest()).getBytes(StandardCharsets.US_ASCII);
    System.arraycopy(digits, 0, forged, end + "\nsha256 ".length(), digits.length);
    return forged;
  }

  private static Path write(Machine machine, String name, byte[] bytes) throws IOException {
    return Files.write(machine.home().resolve(name), bytes);
  }

  @Test
  public void theDiskRunsFull() throws Exception {
    Path disk = Files.createTempDirectory(Path.of("/tmp"), "mosaic-disk");
    Process mount =
        new ProcessBuilder("mount", "-t", "tmpfs", "-o", "size=900m", "tmpfs", disk.toString())
            .start();
    if (mount.waitFor() != 0) {
      System.out.println(
          "drilled | the disk runs full (no disk of its own to be had here) | 0 | 0 | 0 | left out");
      return;
    }
    try (Machine machine = new Machine(disk)) {
      machine.must("start");
      Weighers.found(machine.home().resolve("first-owner"));
      try (Weighers weighers = new Weighers("http://127.0.0.1:" + machine.port(), 4)) {
        boolean told = machine.up().contains("MB are left");
        told &= machine.must("status").contains("make room");
        weighers.begin();
        weighers.await(20);
        Path filler = disk.resolve("filler");
        new ProcessBuilder("dd", "if=/dev/zero", "of=" + filler, "bs=1M").start().waitFor();
        pause(4000, 5000);
        Path elsewhere = Files.createTempFile("mosaic-full", ".backup");
        boolean served = machine.does("backup", elsewhere.toString()).code() == 0;
        Files.delete(filler);
        machine.awaitUp();
        weighers.await(weighers.answered() + 20);
        weighers.end();
        Weighers.Tally tally = tally(machine, weighers);
        new ProcessBuilder("dd", "if=/dev/zero", "of=" + filler, "bs=1M").start().waitFor();
        boolean stops = machine.does("stop").code() == 0;
        Files.delete(filler);
        line(
            "weights on a disk that runs full" + (served ? "" : " (no backup then)"),
            tally.answered(),
            tally.lost(),
            tally.doubled(),
            tally.holds() && told && stops);
      }
    } finally {
      new ProcessBuilder("umount", "-l", disk.toString()).start().waitFor();
    }
  }

  /** Secure cookies, HSTS, and the visitor's own address in the record of tries. */
  private static void httpsThroughTheProxy(Houses houses, Proxy proxy) throws Exception {
    Process curl =
        new ProcessBuilder(
                "bash",
                "-c",
                """
                set -e; jar=$(mktemp); page=$(curl -sk -D /dev/stderr -c $jar --interface 127.0.0.5 "$1/sign-in")
                csrf=$(grep -o 'name="_csrf" value="[^"]*' <<<"$page" | head -1 | sed 's/.*value="//')
                curl -sk -o /dev/null -D /dev/stderr -b $jar -c $jar --interface 127.0.0.5 "$1/sign-in" \
                  -H 'X-Forwarded-For: 198.51.100.9' \
                  --data-urlencode "_csrf=$csrf" -d 'name=nobody-here&password=wrong-password'
                """,
                "curl",
                "https://127.0.0.1:" + proxy.safePort())
            .redirectErrorStream(true)
            .start();
    String said = new String(curl.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    String address =
        JdbcClient.create(new DriverManagerDataSource(houses.url(), "mosaic", ""))
            .sql("select address from sign_in_try where sign_in = 'nobody-here'")
            .query(String.class)
            .optional()
            .orElse("none");
    boolean holds =
        said.contains("Strict-Transport-Security")
            && said.contains("Secure")
            && said.contains("Location: /sign-in")
            && address.equals("127.0.0.5");
    if (!holds) {
      System.out.println(address + "\n" + said);
    }
    line("https through the proxy of the guide: cookies, HSTS, visitor", 1, 0, 0, holds);
  }

  @Test
  public void twoInstancesBehindAProxy() throws Exception {
    if (!Proxy.isThere()) {
      System.out.println(
          "drilled | two instances behind a proxy (no nginx here) | 0 | 0 | 0 | left out");
      return;
    }
    try (Houses houses = new Houses()) {
      List<Integer> ports = List.of(Houses.freePort(), Houses.freePort());
      Map<Integer, Process> running = new ConcurrentHashMap<>();
      for (int port : ports) {
        running.put(port, houses.start(port, true, BELIEVES));
      }
      try (Proxy proxy = new Proxy(ports);
          Weighers weighers = new Weighers("http://127.0.0.1:" + proxy.plainPort(), BENCHES)) {
        httpsThroughTheProxy(houses, proxy);
        AtomicLong slowest = new AtomicLong();
        weighers.onAnswer(slowest);
        weighers.pace(1000);
        weighers.begin();
        for (int i = 0; i < Math.max(2, ROUNDS / 3); i++) {
          weighers.await(weighers.answered() + 5 * BENCHES);
          int gone = ports.get(i % 2);
          running.get(gone).destroyForcibly().waitFor();
          weighers.await(weighers.answered() + 5 * BENCHES);
          running.put(gone, houses.start(gone, true, BELIEVES));
        }
        weighers.end();
        Weighers.Tally tally = weighers.compare(stored(houses.url()));
        line(
            "weights through a proxy, one of two instances killed in turn (slowest answer %d ms)"
                .formatted(slowest.get()),
            tally.answered(),
            tally.lost(),
            tally.doubled(),
            tally.holds());
      }
    }
  }

  @Test
  public void theDatabaseDiesAndItsStandbyTakesOver() throws Exception {
    try (Houses houses = new Houses()) {
      houses.addStandby();
      int port = Houses.freePort();
      houses.startOn(houses.urlOfBoth(), port, true);
      try (Weighers weighers = new Weighers("http://127.0.0.1:" + port, BENCHES)) {
        weighers.pace(300);
        weighers.begin();
        weighers.await(10 * BENCHES);
        houses.killDatabase();
        pause(500, 2000);
        houses.promoteStandby();
        weighers.await(weighers.answered() + 10 * BENCHES);
        weighers.end();
        Weighers.Tally tally = weighers.compare(stored(houses.urlOfBoth()));
        line(
            "weights while the database dies and its standby takes over",
            tally.answered(),
            tally.lost(),
            tally.doubled(),
            tally.holds());
      }
    }
  }

  /** How far a first start has come. */
  private enum Phase {
    DATABASE,
    TABLES,
    FIRST_LOT,
    THIRD_LOT;

    boolean isReached(Machine machine) {
      Path log = machine.home().resolve("log/app.log");
      return switch (this) {
        case DATABASE -> machine.pid("database").isPresent();
        case TABLES -> says(log, "Progress: ");
        case FIRST_LOT -> says(log, "Progress: demo data, 1 of");
        case THIRD_LOT -> says(log, "Progress: demo data, 3 of");
      };
    }
  }

  /** The plug is pulled in each phase, of all there is; the same command does it the next time. */
  @Test
  public void aFirstStartThatIsCutOffStartsAgain() throws Exception {
    int lost = 0;
    for (Phase phase : Phase.values()) {
      try (Machine machine = Machine.fresh()) {
        Process first = machine.begins("demo");
        while (first.isAlive() && !phase.isReached(machine)) {
          pause(20, 60);
        }
        first.descendants().forEach(ProcessHandle::destroyForcibly);
        first.destroyForcibly();
        boolean cut = !machine.isUp();
        machine.kill("keeper.pid");
        machine.kill("app.pid");
        machine.kill("database");
        Machine.Said said = machine.does("demo");
        boolean loaded =
            says(machine.home().resolve("log/app.log"), "data of Saltmarsh Row are loaded");
        if (!cut || said.code() != 0 || !machine.isUp() || !loaded) {
          System.out.println(phase + ": " + said.said());
          lost++;
        }
      }
    }
    line("first starts cut off, by phase", Phase.values().length, lost, 0, lost == 0);
  }

  /** What was numbered before it was cut off stays numbered: the demo asks for its numbers. */
  @Test
  public void aDemoWhoseLoadIsCutOffLoadsAgain() throws Exception {
    try (Machine machine = Machine.fresh()) {
      Path log = machine.home().resolve("log/app.log");
      Thread killer =
          new Thread(
              () -> {
                boolean killed = false;
                while (!killed && !machine.isUp()) {
                  killed = Phase.THIRD_LOT.isReached(machine) && machine.kill("app.pid");
                }
              });
      killer.start();
      Machine.Said said = machine.does("demo");
      killer.join();
      boolean again =
          said.code() == 0 && machine.isUp() && says(log, "data of Saltmarsh Row are loaded");
      // the first load took numbers with it
      boolean was = Long.parseLong(machine.ask("select min(id) from lot")) > 1;
      if (!again || !was) {
        System.out.println(said.said());
      }
      line("a demo whose load was cut off", 1, again ? 0 : 1, 0, again && was);
    }
  }

  /** The start waits while there is work, however slow the machine is. */
  @Test
  public void aFirstStartBesideTwentyBusyProcesses() throws Exception {
    long quiet = secondsToStart();
    List<Process> busy = new ArrayList<>();
    try {
      for (int i = 0; i < 20; i++) {
        busy.add(new ProcessBuilder("sh", "-c", "while :; do :; done").start());
      }
      long loaded = secondsToStart();
      line(
          "a first start beside 20 busy processes: %d s (quiet %d s)".formatted(loaded, quiet),
          1,
          0,
          0,
          true);
    } finally {
      busy.forEach(Process::destroyForcibly);
    }
  }

  private static long secondsToStart() throws Exception {
    try (Machine machine = Machine.fresh()) {
      long began = System.nanoTime();
      machine.must("demo");
      assertTrue(machine.isUp(), "it said it was up");
      return TimeUnit.NANOSECONDS.toSeconds(System.nanoTime() - began);
    }
  }

  private static boolean says(Path log, String words) {
    try {
      return Files.readString(log).contains(words);
    } catch (IOException e) {
      return false;
    }
  }

  /** More than the server has workers. */
  @Test
  public void slowSendersShutNobodyOut() throws Exception {
    try (Houses houses = new Houses()) {
      int port = Houses.freePort();
      houses.start(port, true);
      Visitor tobiah = new Visitor(port, "tobiah");
      long quiet = median(tobiah);
      List<Socket> slow = new ArrayList<>();
      try {
        for (int i = 0; i < 260; i++) {
          // half of them from the address of the house itself
          Socket socket = new Socket();
          socket.setReceiveBufferSize(1024);
          socket.bind(new InetSocketAddress(i % 2 == 0 ? "127.0.0.1" : "127.0.0.9", 0));
          socket.connect(new InetSocketAddress("127.0.0.1", port));
          slow.add(socket);
        }
        for (int i = 0; i < slow.size(); i++) {
          trickle(slow.subList(i, i + 1), SLOW.get(i % SLOW.size()));
        }
        long worst = 0;
        for (int seconds = 0; seconds < 30; seconds++) {
          trickle(slow, "a");
          worst = Math.max(worst, median(tobiah));
          pause(900, 1000);
        }
        line(
            "weights beside 260 slow strangers: %.1f × of a quiet one (at most 3)"
                .formatted(worst / (double) quiet),
            30 * LOOKS,
            0,
            0,
            worst <= 3 * quiet);
      } finally {
        for (Socket socket : slow) {
          socket.close();
        }
      }
    }
  }

  /** A form that never ends, a head that never ends, and a page that is never read. */
  private static final List<String> SLOW =
      List.of(
          "POST /sign-in HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type:"
              + " application/x-www-form-urlencoded\r\nContent-Length: 5000\r\n\r\n",
          "POST /sign-in HTTP/1.1\r\nHost: 127.0.0.1\r\nX-Long: ",
          "GET /webjars/bootstrap/css/bootstrap.min.css HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n"
              .repeat(20));

  private static void trickle(List<Socket> slow, String letters) {
    for (Socket socket : slow) {
      try {
        socket.getOutputStream().write(letters.getBytes(StandardCharsets.US_ASCII));
      } catch (IOException e) {
        // it was shown the door
      }
    }
  }

  private static final int LOOKS = 5;

  private static long median(Visitor visitor) throws Exception {
    long[] nanos = new long[LOOKS];
    for (int i = 0; i < LOOKS; i++) {
      long began = System.nanoTime();
      int status = visitor.post("/dock/5/judge", "SKIN=1", true).statusCode();
      nanos[i] = status == 200 ? System.nanoTime() - began : Long.MAX_VALUE / 4;
    }
    Arrays.sort(nanos);
    return nanos[LOOKS / 2];
  }

  private static List<String> stored(String url) {
    return JdbcClient.create(new DriverManagerDataSource(url, "mosaic", ""))
        .sql(OperationTest.STORED)
        .query(String.class)
        .list();
  }

  @Test
  public void twoHundredStreamsOfWhichEightNeverRead() throws Exception {
    try (Houses houses = new Houses()) {
      int port = Houses.freePort();
      houses.start(port, true);
      Visitor visitor = new Visitor(port, "tobiah");
      List<Socket> all = new ArrayList<>();
      Map<Socket, AtomicLong> gaps = new ConcurrentHashMap<>();
      List<Thread> readers = new ArrayList<>();
      for (int i = 0; i < 200; i++) {
        Socket socket = visitor.stream("/bench/" + (i % 25 == 0 ? 1 : 2 + i % 6) + "/stream");
        all.add(socket);
        if (i % 25 != 0) {
          AtomicLong gap = new AtomicLong();
          gaps.put(socket, gap);
          Thread reader = new Thread(() -> listen(socket, gap));
          reader.setDaemon(true);
          readers.add(reader);
        }
      }
      JdbcClient jdbc = JdbcClient.create(new DriverManagerDataSource(houses.url(), "mosaic", ""));
      readers.forEach(Thread::start);
      TimeUnit.SECONDS.sleep(3);
      gaps.values().forEach(gap -> gap.set(0));
      // news for those that do not read, so that their buffers fill within minutes, not hours
      for (int half = 0; half < 2 * STREAM_SECONDS; half++) {
        jdbc.sql("select cast(pg_notify('lot_changed', '1 ' || repeat('x', 7000)) as text)")
            .query(String.class)
            .single();
        TimeUnit.MILLISECONDS.sleep(500);
      }
      long worst = gaps.values().stream().mapToLong(AtomicLong::get).max().orElse(0);
      long silent = gaps.values().stream().filter(gap -> gap.get() > MOST_SILENT_MILLIS).count();
      for (Socket socket : all) {
        socket.close();
      }
      line(
          "streams beside eight that never read for %d s (longest silence %d ms)"
              .formatted(STREAM_SECONDS, worst),
          gaps.size(),
          silent,
          0,
          silent == 0);
    }
  }

  private static void listen(Socket socket, AtomicLong longest) {
    try {
      BufferedReader reader =
          new BufferedReader(
              new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8));
      long last = System.nanoTime();
      for (String line = reader.readLine(); line != null; line = reader.readLine()) {
        long now = System.nanoTime();
        long gap = (now - last) / 1_000_000;
        longest.accumulateAndGet(gap, Math::max);
        last = now;
      }
    } catch (IOException e) {
      // closed at the end
      Thread.currentThread().interrupt();
    }
  }
}
