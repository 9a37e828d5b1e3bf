package mosaicknife.app.device;

import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import mosaicknife.core.scale.Claim;
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
   * Returns what tells it from other scales.
   *
   * @return where it is reached; empty of none
   */
  String name();

  /**
   * Reserves what lies on the pan for one weighing, as far as this instance knows.
   *
   * @param weighing the weighing it is for
   * @param reading what was seen and is taken
   * @return the claim; empty if another weighing took it already
   */
  Optional<Claim> claim(UUID weighing, ScaleReading reading);

  /**
   * Returns what was taken last and is seen to be gone.
   *
   * @return its weighing; empty if nothing was taken, or it still lies there
   */
  Optional<UUID> ended();

  /**
   * Learns what another instance took.
   *
   * @param other its claim
   * @return whether that still lies there, by what was heard since it was taken
   */
  boolean learn(Claim other);

  /**
   * Gives back what was reserved last: the weighing was refused or taken back.
   *
   * @return the weighing it was for; empty if nothing was reserved
   */
  Optional<UUID> release();

  /**
   * Returns whether what lies on the pan was taken already.
   *
   * @return true until it is gone
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
