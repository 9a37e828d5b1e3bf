package mosaicknife.app.weighing;

import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicReference;
import mosaicknife.app.device.Scale;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.house.HouseTray;
import mosaicknife.app.lot.LotChanged;
import mosaicknife.app.shared.Formats;
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
 * and a sign of life every second. A slow browser misses readings in between, never the last one;
 * it never holds up others.
 */
@Component
public class BenchStream implements SmartLifecycle {

  private static final Logger LOG = LoggerFactory.getLogger(BenchStream.class);
  private static final int SIGN_OF_LIFE_MILLIS = 1000;
  private static final int SENDERS = 6;

  private final Scale scale;
  private final HouseSettings houses;
  private final List<Listener> listeners = new CopyOnWriteArrayList<>();
  private final ScheduledExecutorService ticker = Executors.newSingleThreadScheduledExecutor();
  private final ExecutorService senders = Executors.newFixedThreadPool(SENDERS);
  private Future<?> ticking;
  private Scale.Subscription subscription;
  private final AtomicBoolean reading = new AtomicBoolean();
  private volatile Formats formats;

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
    Listener listener = new Listener(lotId, tray, LocaleContextHolder.getLocale(), emitter);
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
        .forEach(listener -> senders.execute(() -> listener.send("changed", news)));
  }

  /** Tells every bench to read its lot again: news may have been lost. */
  void allChanged() {
    News news = new News("");
    listeners.forEach(listener -> senders.execute(() -> listener.send("changed", news)));
  }

  /** What a bench is told of a change: what it was sent as, so that its sender knows it. */
  record News(String by) {}

  private void signOfLife() {
    if (!listeners.isEmpty()) {
      readFormats();
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

    /** Who looks at this bench: the scale is written as that person reads. */
    private final Locale reader;

    private final SseEmitter emitter;
    private final AtomicReference<ScaleView> wanted = new AtomicReference<>();
    private final AtomicBoolean busy = new AtomicBoolean();
    private volatile ScaleView shown;

    private Listener(long lotId, Optional<HouseTray> tray, Locale reader, SseEmitter emitter) {
      this.lotId = lotId;
      this.tray = tray;
      this.reader = reader;
      this.emitter = emitter;
    }

    private void offer(ScaleView view, boolean always) {
      if (always || !view.looksLike(shown)) {
        wanted.set(view);
        sendWanted();
      }
    }

    /** One sender at a time; what came while it sent is sent after it. */
    private void sendWanted() {
      if (wanted.get() != null && busy.compareAndSet(false, true)) {
        senders.execute(
            () -> {
              try {
                shown = wanted.getAndSet(null);
                send("reading", shown);
              } finally {
                busy.set(false);
              }
              sendWanted();
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
    senders.shutdown();
  }

  @Override
  public boolean isRunning() {
    return ticking != null && !ticking.isCancelled();
  }
}
