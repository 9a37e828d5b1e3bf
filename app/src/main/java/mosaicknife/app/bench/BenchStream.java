package mosaicknife.app.bench;

import java.io.IOException;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import mosaicknife.app.device.Scale;
import mosaicknife.app.house.HouseBook;
import mosaicknife.app.shared.Formats;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Sends the live scale and the news of a lot to every open bench, by server-sent events.
 *
 * <p>A tick every {@value #TICK_MILLIS} ms sends the last reading if it differs from what the bench
 * shows, and a sign of life every second. A slow browser misses readings; it never holds up others.
 */
@Component
class BenchStream implements SmartLifecycle {

  private static final Logger LOG = LoggerFactory.getLogger(BenchStream.class);
  private static final int TICK_MILLIS = 60;
  private static final int TICKS_PER_SIGN_OF_LIFE = 16;
  private static final int SENDERS = 4;

  private final Scale scale;
  private final HouseBook houses;
  private final List<Listener> listeners = new CopyOnWriteArrayList<>();
  private final ScheduledExecutorService ticker = Executors.newSingleThreadScheduledExecutor();
  private final ExecutorService senders = Executors.newFixedThreadPool(SENDERS);
  private Future<?> ticking;
  private Formats formats;
  private long ticks;

  BenchStream(Scale scale, HouseBook houses) {
    this.scale = scale;
    this.houses = houses;
  }

  /** Opens the stream of one bench. */
  SseEmitter open(long lotId) {
    SseEmitter emitter = new SseEmitter(0L);
    Listener listener = new Listener(lotId, emitter);
    emitter.onCompletion(() -> listeners.remove(listener));
    emitter.onError(e -> listeners.remove(listener));
    listeners.add(listener);
    return emitter;
  }

  /** Tells every bench of the lot, once the change is stored. */
  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void changed(LotChanged change) {
    listeners.stream()
        .filter(listener -> listener.lotId == change.lotId())
        .forEach(listener -> senders.execute(() -> listener.send("changed", "{}")));
  }

  private void tick() {
    ticks++;
    if (listeners.isEmpty()) {
      return;
    }
    boolean always = ticks % TICKS_PER_SIGN_OF_LIFE == 0;
    if (always || formats == null) {
      formats = houses.house().formats();
    }
    ScaleView view = ScaleView.of(scale, formats);
    for (Listener listener : listeners) {
      if (always || !view.looksLike(listener.shown)) {
        listener.offer(view);
      }
    }
  }

  private final class Listener {

    private final long lotId;
    private final SseEmitter emitter;
    private final AtomicBoolean busy = new AtomicBoolean();
    private volatile ScaleView shown;

    private Listener(long lotId, SseEmitter emitter) {
      this.lotId = lotId;
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
