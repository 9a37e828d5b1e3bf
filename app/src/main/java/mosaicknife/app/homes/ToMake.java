package mosaicknife.app.homes;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import mosaicknife.app.larder.LarderKeeper.Input;
import mosaicknife.core.anatomy.Hazard;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.use.FishUse;

/**
 * Something that is to be made.
 *
 * @param id its number
 * @param use what
 * @param venue the number of the venue
 * @param units how many units
 * @param from the grams it takes, by lot and slot
 * @param fat how much fat of belly or skin is to be added; empty if it is fat enough or does not
 *     matter
 * @param care what to be careful about in the fish of it
 */
public record ToMake(
    long id,
    FishUse use,
    long venue,
    int units,
    List<Input> from,
    Optional<Mass> fat,
    Set<Hazard.Kind> care) {

  /**
   * Returns the fish in it.
   *
   * @return the sum of the grams
   */
  public Mass mass() {
    return Mass.total(from.stream().map(Input::mass).toList());
  }
}
