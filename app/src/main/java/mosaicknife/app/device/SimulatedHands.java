package mosaicknife.app.device;

import mosaicknife.core.quantity.Mass;

/** Plays with the stand-in through its own protocol. */
final class SimulatedHands implements StandInPanel {

  private static final Mass TOO_MUCH = Mass.ofGrams(18_000);
  private static final int UNPLUGGED_MILLIS = 5_000;

  private final SocketScale scale;
  private boolean trayOn;

  SimulatedHands(SocketScale scale) {
    this.scale = scale;
  }

  @Override
  public boolean isThere() {
    return true;
  }

  @Override
  public synchronized void putOn(Mass part) {
    load(part);
  }

  @Override
  public synchronized void takeOff() {
    load(Mass.ZERO);
  }

  @Override
  public synchronized void changeTray() {
    trayOn = !trayOn;
    load(Mass.ZERO);
  }

  @Override
  public void changeStep(Mass step) {
    scale.send("STEP " + step.milligrams());
  }

  @Override
  public void overload() {
    scale.send("LOAD " + TOO_MUCH.milligrams());
  }

  @Override
  public void pullThePlug() {
    scale.send("GONE " + UNPLUGGED_MILLIS);
  }

  private void load(Mass part) {
    Mass all = trayOn ? part.plus(TRAY) : part;
    scale.send("LOAD " + all.milligrams());
  }
}
