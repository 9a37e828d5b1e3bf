package mosaicknife.app.weighing;

import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Queue;
import java.util.Set;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.SynchronousQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicReference;
import mosaicknife.app.account.Sessions;
import mosaicknife.app.device.Scale;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.house.HouseTray;
import mosaicknife.app.lot.LotChanged;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Refusal;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Sends the live scale and the news of a lot to every open bench, by server-sent events.
 *
 * <p>The scale pushes: what it reads is sent as it comes, if it differs from what the bench shows,
 * and a sign of life twice a second. A slow browser misses readings in between, never the last one.
 *
 * <p>Each stream has one writer at a time. A browser that does not read holds up that writer alone;
 * after {@link #STUCK_MILLIS} it is given up and comes back by itself when it reads again. A stream
 * ends with its session, wherever that was ended.
 */
@Component
public class BenchStream implements SmartLifecycle {

  private static final Logger LOG = LoggerFactory.getLogger(BenchStream.class);
  private static final int SIGN_OF_LIFE_MILLIS = 500;
  private static final int LOOK_AT_SESSIONS_EVERY = 4;
  private static final long STUCK_MILLIS = 3000;

  /** A writer that hangs in a dead connection is freed by the server's own time limit. */
  private static final int MOST_WRITERS = 256;

  private static final int MOST_STREAMS = 500;

  private final Scale scale;
  private final HouseSettings houses;
  private final Sessions sessions;
  private final List<Listener> listeners = new CopyOnWriteArrayList<>();
  private final ScheduledExecutorService ticker = Executors.newSingleThreadScheduledExecutor();
  private final ExecutorService writers =
      new ThreadPoolExecutor(2, MOST_WRITERS, 30, TimeUnit.SECONDS, new SynchronousQueue<>());
  private Future<?> ticking;
  private Scale.Subscription subscription;
  private final AtomicBoolean reading = new AtomicBoolean();
  private volatile Formats formats;
  private int tick;

  BenchStream(Scale scale, HouseSettings houses, Sessions sessions) {
    this.scale = scale;
    this.houses = houses;
    this.sessions = sessions;
  }

  /**
   * Opens the stream of one bench.
   *
   * @param lotId the lot on it
   * @param tray the tray that was chosen
   * @param session the session it ends with
   * @return the stream
   * @throws Refusal if there are too many
   */
  public SseEmitter open(long lotId, Optional<HouseTray> tray, String session) {
    if (listeners.size() >= MOST_STREAMS) {
      throw Refusal.ofStale("weighing.problem.too-many-benches");
    }
    if (formats == null) {
      formats = houses.house().formats();
    }
    SseEmitter emitter = new SseEmitter(0L);
    Listener listener = new Listener(lotId, tray, session, emitter);
    emitter.onCompletion(() -> listeners.remove(listener));
    emitter.onError(e -> listeners.remove(listener));
    listeners.add(listener);
    return emitter;
  }

  /** Tells every bench of a lot that it changed, here or on another instance. */
  void changed(LotChanged change) {
    News news = new News(change.by());
    listeners.stream()
        .filter(listener -> listener.lotId == change.lotId())
        .forEach(listener -> listener.tell(news));
  }

  /** Tells every bench to read its lot again: news may have been lost. */
  void allChanged() {
    News news = new News("");
    listeners.forEach(listener -> listener.tell(news));
  }

  /** What a bench is told of a change: what it was sent as, so that its sender knows it. */
  record News(String by) {}

  private void signOfLife() {
    if (!listeners.isEmpty()) {
      readHouse(tick++ % LOOK_AT_SESSIONS_EVERY == 0);
      listeners.stream().filter(Listener::isStuck).forEach(listeners::remove);
      offer(true);
    }
  }

  /** Shows every bench what the scale reads now. */
  private void offer(boolean always) {
    for (Listener listener : listeners) {
      LocaleContextHolder.setLocale(listener.reader);
      try {
        listener.offer(ScaleView.of(scale, listener.tray, formats), always);
      } finally {
        LocaleContextHolder.resetLocaleContext();
      }
    }
  }

  /**
   * How the house writes, and which sessions stand. A database that is away must not hold up the
   * scale: what was known goes on.
   */
  private void readHouse(boolean sessionsToo) {
    if (reading.compareAndSet(false, true)) {
      boolean begun =
          write(
              () -> {
                try {
                  formats = houses.house().formats();
                  if (sessionsToo) {
                    endWithSessions();
                  }
                } catch (RuntimeException e) {
                  LOG.debug("The house could not be read", e);
                } finally {
                  reading.set(false);
                }
              });
      if (!begun) {
        reading.set(false);
      }
    }
  }

  private void endWithSessions() {
    List<Listener> open = List.copyOf(listeners);
    if (open.isEmpty()) {
      return;
    }
    Set<String> standing =
        sessions.standing(open.stream().map(listener -> listener.session).distinct().toList());
    open.stream().filter(one -> !standing.contains(one.session)).forEach(Listener::end);
  }

  /** Whether a writer was free. */
  private boolean write(Runnable work) {
    try {
      writers.execute(work);
      return true;
    } catch (RejectedExecutionException e) {
      return false;
    }
  }

  private final class Listener {

    private final long lotId;

    private final Optional<HouseTray> tray;

    private final String session;

    /** Who looks at this bench: the scale is written as that person reads. */
    private final Locale reader = LocaleContextHolder.getLocale();

    private final SseEmitter emitter;
    private final AtomicReference<ScaleView> wanted = new AtomicReference<>();
    private final Queue<News> untold = new ConcurrentLinkedQueue<>();
    private final AtomicBoolean busy = new AtomicBoolean();
    private volatile long busySince;
    private volatile ScaleView shown;

    private Listener(long lotId, Optional<HouseTray> tray, String session, SseEmitter emitter) {
      this.lotId = lotId;
      this.tray = tray;
      this.session = session;
      this.emitter = emitter;
    }

    private void offer(ScaleView view, boolean always) {
      if (always || !view.looksLike(shown)) {
        wanted.set(view);
        sendAll();
      }
    }

    private void tell(News news) {
      untold.add(news);
      sendAll();
    }

    private boolean isStuck() {
      return busy.get() && System.nanoTime() - busySince > STUCK_MILLIS * 1_000_000;
    }

    private void end() {
      listeners.remove(this);
      write(emitter::complete);
    }

    /** One writer at a time; what came while it wrote is written after it. */
    private void sendAll() {
      if ((wanted.get() == null && untold.isEmpty()) || !busy.compareAndSet(false, true)) {
        return;
      }
      busySince = System.nanoTime();
      boolean begun =
          write(
              () -> {
                try {
                  sendWaiting();
                } finally {
                  busy.set(false);
                }
                sendAll();
              });
      if (!begun) {
        busy.set(false);
      }
    }

    private void sendWaiting() {
      for (News news = untold.poll(); news != null; news = untold.poll()) {
        send("changed", news);
      }
      ScaleView view = wanted.getAndSet(null);
      if (view != null) {
        shown = view;
        send("reading", view);
      }
    }

    private void send(String name, Object data) {
      try {
        emitter.send(SseEmitter.event().name(name).data(data, MediaType.APPLICATION_JSON));
      } catch (IOException | IllegalStateException e) {
        listeners.remove(this);
        untold.clear();
      }
    }
  }

  @Override
  public void start() {
    subscription = scale.listen(reading -> safely(() -> offer(false)));
    ticking =
        ticker.scheduleWithFixedDelay(
            () -> safely(this::signOfLife),
            SIGN_OF_LIFE_MILLIS,
            SIGN_OF_LIFE_MILLIS,
            TimeUnit.MILLISECONDS);
  }

  /** One failure, such as a database away for a moment, must not end what comes later. */
  private static void safely(Runnable work) {
    try {
      work.run();
    } catch (RuntimeException e) {
      LOG.debug("The benches could not be told", e);
    }
  }

  @Override
  public void stop() {
    subscription.close();
    ticking.cancel(false);
    ticker.shutdownNow();
    listeners.forEach(listener -> listener.emitter.complete());
    writers.shutdown();
  }

  @Override
  public boolean isRunning() {
    return ticking != null && !ticking.isCancelled();
  }
}
