package mosaicknife.app.device;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import mosaicknife.core.scale.Claim;
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
  public String name() {
    return "";
  }

  @Override
  public Optional<Claim> claim(UUID weighing, ScaleReading reading) {
    return Optional.of(Claim.of(weighing, reading, Instant.EPOCH));
  }

  @Override
  public Optional<UUID> ended() {
    return Optional.empty();
  }

  @Override
  public boolean learn(Claim other) {
    return false;
  }

  @Override
  public Optional<UUID> release() {
    return Optional.empty();
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
