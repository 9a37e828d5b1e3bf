package mosaicknife.app.weighing;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import mosaicknife.app.device.Scale;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.house.HouseTray;
import mosaicknife.app.shared.Formats;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Sends the live scale and the news of a lot to every open bench, by server-sent events.
 *
 * <p>A tick every {@value #TICK_MILLIS} ms sends the last reading if it differs from what the bench
 * shows, and a sign of life every second. A slow browser misses readings; it never holds up others.
 */
@Component
public class BenchStream implements SmartLifecycle {

  private static final Logger LOG = LoggerFactory.getLogger(BenchStream.class);
  private static final int TICK_MILLIS = 60;
  private static final int TICKS_PER_SIGN_OF_LIFE = 16;
  private static final int SENDERS = 6;

  private final Scale scale;
  private final HouseSettings houses;
  private final List<Listener> listeners = new CopyOnWriteArrayList<>();
  private final ScheduledExecutorService ticker = Executors.newSingleThreadScheduledExecutor();
  private final ExecutorService senders = Executors.newFixedThreadPool(SENDERS);
  private Future<?> ticking;
  private final AtomicBoolean reading = new AtomicBoolean();
  private volatile Formats formats;
  private long ticks;

  BenchStream(Scale scale, HouseSettings houses) {
    this.scale = scale;
    this.houses = houses;
  }

  /** Opens the stream of one bench. */
  public SseEmitter open(long lotId, Optional<HouseTray> tray) {
    if (formats == null) {
      formats = houses.house().formats();
    }
    SseEmitter emitter = new SseEmitter(0L);
    Listener listener = new Listener(lotId, tray, emitter);
    emitter.onCompletion(() -> listeners.remove(listener));
    emitter.onError(e -> listeners.remove(listener));
    listeners.add(listener);
    return emitter;
  }

  /** Tells every bench of a lot that it changed, here or on another instance. */
  void changed(long lotId) {
    listeners.stream()
        .filter(listener -> listener.lotId == lotId)
        .forEach(listener -> senders.execute(() -> listener.send("changed", "{}")));
  }

  /** Tells every bench to read its lot again: news may have been lost. */
  void allChanged() {
    listeners.forEach(listener -> senders.execute(() -> listener.send("changed", "{}")));
  }

  private void tick() {
    ticks++;
    if (listeners.isEmpty()) {
      return;
    }
    boolean always = ticks % TICKS_PER_SIGN_OF_LIFE == 0;
    if (always) {
      readFormats();
    }
    for (Listener listener : listeners) {
      ScaleView view = ScaleView.of(scale, listener.tray, formats);
      if (always || !view.looksLike(listener.shown)) {
        listener.offer(view);
      }
    }
  }

  /** The house may change how it writes; a database that is away must not hold up the scale. */
  private void readFormats() {
    if (reading.compareAndSet(false, true)) {
      senders.execute(
          () -> {
            try {
              formats = houses.house().formats();
            } catch (RuntimeException e) {
              LOG.debug("The house could not be read", e);
            } finally {
              reading.set(false);
            }
          });
    }
  }

  private final class Listener {

    private final long lotId;

    private final Optional<HouseTray> tray;

    private final SseEmitter emitter;
    private final AtomicBoolean busy = new AtomicBoolean();
    private volatile ScaleView shown;

    private Listener(long lotId, Optional<HouseTray> tray, SseEmitter emitter) {
      this.lotId = lotId;
      this.tray = tray;
      this.emitter = emitter;
    }

    private void offer(ScaleView view) {
      if (busy.compareAndSet(false, true)) {
        shown = view;
        senders.execute(
            () -> {
              try {
                send("reading", view);
              } finally {
                busy.set(false);
              }
            });
      }
    }

    private void send(String name, Object data) {
      try {
        emitter.send(SseEmitter.event().name(name).data(data, MediaType.APPLICATION_JSON));
      } catch (IOException | IllegalStateException e) {
        listeners.remove(this);
      }
    }
  }

  @Override
  public void start() {
    ticking =
        ticker.scheduleWithFixedDelay(
            this::tickSafely, TICK_MILLIS, TICK_MILLIS, TimeUnit.MILLISECONDS);
  }

  /** One failed tick, such as a database away for a moment, must not end all later ones. */
  private void tickSafely() {
    try {
      tick();
    } catch (RuntimeException e) {
      LOG.debug("A tick failed", e);
    }
  }

  @Override
  public void stop() {
    ticking.cancel(false);
    ticker.shutdownNow();
    listeners.forEach(listener -> listener.emitter.complete());
    senders.shutdown();
  }

  @Override
  public boolean isRunning() {
    return ticking != null && !ticking.isCancelled();
  }
}
