package mosaicknife.app.device;

import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import mosaicknife.core.scale.ScaleReading;

/** A bench without a scale: weights are typed. */
final class NoScale implements Scale {

  @Override
  public Optional<Numbered> latest() {
    return Optional.empty();
  }

  @Override
  public Optional<ScaleReading> find(long number) {
    return Optional.empty();
  }

  @Override
  public boolean claim(UUID weighing) {
    return true;
  }

  @Override
  public void release() {
    // nothing was reserved
  }

  @Override
  public boolean isClaimed() {
    return false;
  }

  @Override
  public void tare() {
    // nothing to tare
  }

  @Override
  public Subscription listen(Consumer<Optional<Numbered>> listener) {
    listener.accept(Optional.empty());
    return () -> {};
  }
}
