package mosaicknife.app.weighing;

import java.time.Instant;
import java.util.Optional;
import mosaicknife.core.quantity.Mass;

/**
 * What must be known of a part and its lot before a weight is taken, with one weighing of the part;
 * as many rows as it has weighings, one if it has none.
 *
 * @param part the part; null if the lot has none of that slot
 * @param name its name
 * @param parent the part it was cut from; null for a part of the fish
 * @param inARow whether each weight is a portion of its own
 * @param skipped whether it was left out
 * @param pieces how many parts are cut from it
 * @param purchased what the lot weighs
 * @param ofFish what the fish on the board weighs; null where it was not weighed alone
 * @param fish how many fish
 * @param received when the lot came
 * @param finished when it was closed; null for an open one
 * @param weighing the weighing; null if there is none
 */
record PlaceRow(
    Long part,
    String name,
    Long parent,
    Boolean inARow,
    Boolean skipped,
    Long pieces,
    Mass purchased,
    Mass ofFish,
    int fish,
    Instant received,
    Instant finished,
    WeighingEntity weighing) {

  /** What the part can weigh at most. */
  Mass most() {
    return ofFish == null ? purchased : ofFish;
  }

  /** The weighing of this row. */
  Optional<WeighingEntity> link() {
    return Optional.ofNullable(weighing);
  }
}
