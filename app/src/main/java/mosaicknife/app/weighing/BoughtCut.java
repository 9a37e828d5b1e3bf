package mosaicknife.app.weighing;

import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.parts.PartsLaidOut;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.Source;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * What was bought cut needs no bench: its one part weighs what the dock weighed. If something is
 * still to be taken off, such as the skin, the bench weighs both.
 */
@Component
class BoughtCut {

  private final WeighingRecorder weighings;

  BoughtCut(WeighingRecorder weighings) {
    this.weighings = weighings;
  }

  @EventListener
  void laidOut(PartsLaidOut event) {
    Lot lot = event.lot();
    if (lot.state().isCut() && event.slots().size() == 1) {
      Entry entry =
          new Entry(
              lot.purchased(),
              Source.TYPED,
              Optional.empty(),
              Optional.of(lot.purchased().toKilograms().toPlainString() + " kg"),
              Optional.empty());
      weighings.take(
          new Take(
              UUID.randomUUID(), lot.id(), event.slots().get(0), 1, entry, Optional.empty(), ""));
    }
  }
}
