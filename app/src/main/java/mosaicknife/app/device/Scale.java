package mosaicknife.app.device;

import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import mosaicknife.core.scale.ScaleReading;

/** The scale of the bench: a port, so that a real one can take the place of the stand-in. */
public interface Scale {

  /**
   * A reading as it came in.
   *
   * @param number counts the readings of this scale, from 1
   * @param reading what the scale showed
   */
  record Numbered(long number, ScaleReading reading) {}

  /**
   * Returns the last reading.
   *
   * @return the reading; empty while the scale is not connected
   */
  Optional<Numbered> latest();

  /**
   * Finds a reading of the last seconds, so that exactly what was seen is taken.
   *
   * @param number its number
   * @return the reading; empty if it is too old or never was
   */
  Optional<ScaleReading> find(long number);

  /**
   * Reserves what lies on the pan for one weighing, so that a second tap cannot take the same part
   * for the next one. It is free again once the figure moved.
   *
   * @param weighing the weighing it is for
   * @return false if another weighing took it already
   */
  boolean claim(UUID weighing);

  /** Gives back what was reserved last: the weighing was refused or taken back. */
  void release();

  /**
   * Returns whether what lies on the pan was taken already.
   *
   * @return true until the figure moves
   */
  boolean isClaimed();

  /** Takes what lies on the pan off as container. Nothing happens while the figure moves. */
  void tare();

  /**
   * Calls a listener at every reading, and with empty when the scale is lost.
   *
   * @param listener the listener; it must return at once
   * @return ends the calls when closed
   */
  Subscription listen(Consumer<Optional<Numbered>> listener);

  /** Ends the calls to a listener. */
  @FunctionalInterface
  interface Subscription extends AutoCloseable {

    @Override
    void close();
  }
}
