package mosaicknife.app.device;

import mosaicknife.app.shared.Refusal;
import mosaicknife.core.quantity.Mass;

/** With a real scale nobody plays. */
final class NoHands implements StandInPanel {

  @Override
  public boolean isThere() {
    return false;
  }

  @Override
  public void putOn(Mass part) {
    throw notThere();
  }

  @Override
  public void takeOff() {
    throw notThere();
  }

  @Override
  public void changeTray() {
    throw notThere();
  }

  @Override
  public void changeStep(Mass step) {
    throw notThere();
  }

  @Override
  public void overload() {
    throw notThere();
  }

  @Override
  public void pullThePlug() {
    throw notThere();
  }

  private static Refusal notThere() {
    return Refusal.ofMissing("device.problem.there-is-no-scale-stand");
  }
}
