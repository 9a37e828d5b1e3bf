package mosaicknife.app.device;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintWriter;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Consumer;
import mosaicknife.core.scale.Claim;
import mosaicknife.core.scale.ScaleReading;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** A scale that speaks the line protocol over a socket; it connects again when it is lost. */
final class SocketScale implements Scale, AutoCloseable {

  private static final Logger LOG = LoggerFactory.getLogger(SocketScale.class);
  private static final int CONNECT_MILLIS = 1000;
  private static final int SILENCE_MILLIS = 1500;
  private static final int AGAIN_MILLIS = 500;

  /** Five seconds at twenty readings a second: as long as a thumb may take to the button. */
  private static final int KEPT = 100;

  private final String host;
  private final int port;
  private final Deque<Numbered> kept = new ArrayDeque<>();
  private final List<Consumer<Optional<Numbered>>> listeners = new CopyOnWriteArrayList<>();
  private volatile Socket socket;
  private volatile boolean closed;
  private long count;
  private final Clock clock;
  private Claim claim;

  // what follows a pause, of a scale that speaks only when it stands still, is no loss
  private boolean repeats;

  SocketScale(String host, int port, Clock clock) {
    this.clock = clock;
    this.host = host;
    this.port = port;
    Thread thread = new Thread(this::keepReading, "scale");
    thread.setDaemon(true);
    thread.start();
  }

  private void keepReading() {
    while (!closed) {
      try (Socket connection = new Socket()) {
        connection.connect(new InetSocketAddress(host, port), CONNECT_MILLIS);
        connection.setSoTimeout(SILENCE_MILLIS);
        connection.setKeepAlive(true);
        repeats = false;
        socket = connection;
        readLines(connection);
      } catch (IOException e) {
        LOG.debug("The scale at {}:{} does not answer", host, port, e);
      }
      lost();
      pause();
    }
  }

  private void readLines(Socket connection) throws IOException {
    BufferedReader in =
        new BufferedReader(
            new InputStreamReader(connection.getInputStream(), StandardCharsets.US_ASCII));
    ScaleReading last = null;
    while (true) {
      try {
        String line = in.readLine();
        if (line == null) {
          return;
        }
        Optional<ScaleReading> reading = ScaleLine.read(line);
        repeats |= reading.filter(last == null ? r -> false : last::equals).isPresent();
        last = reading.orElse(last);
        reading.ifPresent(this::keep);
      } catch (SocketTimeoutException silent) {
        // one that says the same again and again and then nothing is lost
        if (repeats || last == null) {
          throw silent;
        }
      }
    }
  }

  private void keep(ScaleReading reading) {
    Numbered numbered;
    synchronized (kept) {
      numbered = new Numbered(++count, reading);
      claim = claim == null ? null : claim.after(reading);
      kept.addLast(numbered);
      if (kept.size() > KEPT) {
        kept.removeFirst();
      }
    }
    listeners.forEach(listener -> listener.accept(Optional.of(numbered)));
  }

  private void lost() {
    socket = null;
    synchronized (kept) {
      kept.clear();
    }
    listeners.forEach(listener -> listener.accept(Optional.empty()));
  }

  private void pause() {
    try {
      Thread.sleep(AGAIN_MILLIS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      closed = true;
    }
  }

  @Override
  public Optional<Numbered> latest() {
    synchronized (kept) {
      return Optional.ofNullable(kept.peekLast());
    }
  }

  @Override
  public Optional<ScaleReading> find(long number) {
    synchronized (kept) {
      return kept.stream()
          .filter(numbered -> numbered.number() == number)
          .map(Numbered::reading)
          .findFirst();
    }
  }

  @Override
  public String name() {
    return host + ":" + port;
  }

  @Override
  public Optional<Claim> claim(UUID weighing, ScaleReading reading) {
    synchronized (kept) {
      boolean taken =
          claim != null && !claim.weighing().equals(weighing) && claim.holds(clock.instant());
      if (taken) {
        return Optional.empty();
      }
      if (claim == null || !claim.weighing().equals(weighing)) {
        claim = Claim.of(weighing, reading, clock.instant());
      }
      return Optional.of(claim);
    }
  }

  @Override
  public Optional<UUID> ended() {
    synchronized (kept) {
      return Optional.ofNullable(claim)
          .filter(one -> !one.holds(clock.instant()))
          .map(Claim::weighing);
    }
  }

  @Override
  public boolean learn(Claim other) {
    synchronized (kept) {
      Claim known = other;
      if (!kept.isEmpty()) {
        known = known.after(kept.getLast().reading());
      }
      claim = known;
      return known.holds(clock.instant());
    }
  }

  @Override
  public Optional<UUID> release() {
    synchronized (kept) {
      Optional<UUID> released = Optional.ofNullable(claim).map(Claim::weighing);
      claim = null;
      return released;
    }
  }

  @Override
  public boolean isClaimed() {
    synchronized (kept) {
      return claim != null && claim.holds(clock.instant());
    }
  }

  @Override
  public void tare() {
    send("TARE");
  }

  /** Sends a command; without a connection it is lost, as on any scale that is switched off. */
  void send(String command) {
    Socket connection = socket;
    if (connection == null) {
      return;
    }
    try {
      // not closed here: closing the writer would close the socket it borrows
      PrintWriter out =
          new PrintWriter(connection.getOutputStream(), true, StandardCharsets.US_ASCII);
      out.println(command);
    } catch (IOException e) {
      LOG.debug("The scale did not take '{}'", command, e);
    }
  }

  @Override
  public Subscription listen(Consumer<Optional<Numbered>> listener) {
    listeners.add(listener);
    return () -> listeners.remove(listener);
  }

  @Override
  public void close() {
    closed = true;
    Socket connection = socket;
    if (connection != null) {
      try {
        connection.close();
      } catch (IOException e) {
        LOG.debug("The scale was closed already", e);
      }
    }
  }
}
