package mosaicknife.app.device;

import mosaicknife.core.quantity.Mass;

/** The hands at the scale stand-in: they put things on and take them off. */
public interface StandInPanel {

  /** The steel tray that lies beside the stand-in. */
  Mass TRAY = Mass.ofGrams(212);

  /**
   * Returns whether there is a stand-in to play with.
   *
   * @return false with a real scale
   */
  boolean isThere();

  /**
   * Puts a part on the pan, on the tray if that lies there.
   *
   * @param part the true mass of the part
   */
  void putOn(Mass part);

  /** Takes the part off; the tray stays. */
  void takeOff();

  /** Puts the tray on the empty pan, or takes it away with everything on it. */
  void changeTray();

  /**
   * Changes the step of the display.
   *
   * @param step 1, 2 or 5 g
   */
  void changeStep(Mass step);

  /** Puts on more than the scale can carry. */
  void overload();

  /** Pulls the plug for five seconds. */
  void pullThePlug();
}
