package mosaicknife.app.device;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintWriter;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.atomic.AtomicReference;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.scale.ScaleModel;
import mosaicknife.core.scale.ScaleModel.Load;
import mosaicknife.core.scale.ScaleReading;
import mosaicknife.core.scale.ScaleReading.Motion;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A scale that is not there: a small server on a loopback socket that behaves like one.
 *
 * <p>It sends a line twenty times a second and takes the commands {@code TARE}, {@code ZERO}, and,
 * for the stand-in only, {@code LOAD <mg>}, {@code STEP <mg>} and {@code GONE <ms>}. It can also
 * run on its own: {@code java -cp … mosaicknife.app.device.ScaleStandIn <port>}.
 */
final class ScaleStandIn implements AutoCloseable {

  private static final Logger LOG = LoggerFactory.getLogger(ScaleStandIn.class);
  private static final int INTERVAL_MILLIS = 50;
  private static final Mass CAPACITY = Mass.ofGrams(15_000);
  private static final double NOISE_STEPS = 0.4;

  private final ServerSocket server;
  private final AtomicReference<Pan> pan =
      new AtomicReference<>(
          new Pan(
              new ScaleModel(Mass.ofGrams(2), CAPACITY, NOISE_STEPS),
              new Load(Mass.ZERO, Mass.ZERO, 0),
              Mass.ZERO));
  private final RandomGenerator random = RandomGeneratorFactory.getDefault().create(20);
  private volatile boolean closed;
  private volatile long goneUntilMillis;

  private record Pan(ScaleModel model, Load load, Mass tare) {}

  ScaleStandIn(int port) throws IOException {
    server = new ServerSocket(port, 5, InetAddress.getLoopbackAddress());
    start("scale-stand-in", this::accept);
  }

  /**
   * Runs the stand-in as a program of its own.
   *
   * @param args the port, 0 or nothing for any free one
   * @throws IOException if the port is taken
   */
  public static void main(String[] args) throws IOException {
    ScaleStandIn standIn = new ScaleStandIn(args.length == 0 ? 0 : Integer.parseInt(args[0]));
    LOG.info("The scale stand-in listens on 127.0.0.1:{}", standIn.port());
    Runtime.getRuntime().addShutdownHook(new Thread(standIn::close));
    standIn.awaitClose();
  }

  int port() {
    return server.getLocalPort();
  }

  private synchronized void awaitClose() {
    while (!closed) {
      try {
        wait();
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        return;
      }
    }
  }

  private void accept() {
    while (!closed) {
      try {
        Socket client = server.accept();
        start("scale-stand-in-sends", () -> send(client));
        start("scale-stand-in-hears", () -> hear(client));
      } catch (IOException e) {
        if (!closed) {
          LOG.warn("The scale stand-in lost its socket", e);
        }
        return;
      }
    }
  }

  private void send(Socket client) {
    try (client;
        PrintWriter out =
            new PrintWriter(client.getOutputStream(), true, StandardCharsets.US_ASCII)) {
      while (!closed && !out.checkError() && now() >= goneUntilMillis) {
        out.println(ScaleLine.write(reading()));
        Thread.sleep(INTERVAL_MILLIS);
      }
    } catch (IOException e) {
      LOG.debug("A client of the scale stand-in left", e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private void hear(Socket client) {
    try (BufferedReader in =
        new BufferedReader(
            new InputStreamReader(client.getInputStream(), StandardCharsets.US_ASCII))) {
      for (String line = in.readLine(); line != null; line = in.readLine()) {
        obey(line.strip().split(" "));
      }
    } catch (IOException e) {
      LOG.debug("A client of the scale stand-in left", e);
    }
  }

  private void obey(String[] words) {
    long figure = words.length > 1 && words[1].matches("\\d{1,11}") ? Long.parseLong(words[1]) : 0;
    switch (words[0]) {
      case "TARE" -> tare();
      case "ZERO" -> pan.updateAndGet(p -> new Pan(p.model(), p.load(), Mass.ZERO));
      case "LOAD" -> load(Mass.ofMilligrams(figure));
      case "STEP" -> step(Mass.ofMilligrams(Math.max(1, figure)));
      case "GONE" -> goneUntilMillis = now() + figure;
      default -> LOG.debug("The scale stand-in does not know '{}'", words[0]);
    }
  }

  /** A scale tares what it shows, and only when it stands still. */
  private void tare() {
    ScaleReading reading = reading();
    if (reading.motion() == Motion.STEADY && !reading.gross().isNegative()) {
      pan.updateAndGet(p -> new Pan(p.model(), p.load(), reading.gross()));
    }
  }

  private void load(Mass mass) {
    pan.updateAndGet(p -> new Pan(p.model(), new Load(p.load().now(), mass, now()), p.tare()));
  }

  private void step(Mass step) {
    pan.updateAndGet(
        p ->
            new Pan(
                new ScaleModel(step, CAPACITY, NOISE_STEPS),
                new Load(p.load().now(), p.load().now(), now()),
                p.tare()));
  }

  private ScaleReading reading() {
    Pan p = pan.get();
    synchronized (random) {
      return p.model().reading(p.load(), p.tare(), now(), random);
    }
  }

  /** Only differences count, so the monotonic clock serves. */
  private static long now() {
    return System.nanoTime() / 1_000_000;
  }

  private static void start(String name, Runnable work) {
    Thread thread = new Thread(work, name);
    thread.setDaemon(true);
    thread.start();
  }

  @Override
  public void close() {
    closed = true;
    synchronized (this) {
      notifyAll();
    }
    try {
      server.close();
    } catch (IOException e) {
      LOG.debug("The socket of the scale stand-in was closed already", e);
    }
  }
}
