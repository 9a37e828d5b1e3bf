package mosaicknife.app.parts;

import java.util.List;
import mosaicknife.core.lot.Lot;

/**
 * The parts of a new lot were laid out.
 *
 * @param lot the lot
 * @param slots its parts in cutting order
 */
public record PartsLaidOut(Lot lot, List<String> slots) {

  /** Copies the parts. */
  public PartsLaidOut {
    slots = List.copyOf(slots);
  }
}
