package mosaicknife.core.larder;

import java.time.LocalDate;
import java.util.Optional;
import java.util.Set;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.plan.PreWork;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.FoodState;
import mosaicknife.core.use.Hand;
import mosaicknife.core.use.HandId;
import mosaicknife.core.use.OnHand;

/** What lies on shelves and waits for a use, as the plan sees it. */
public final class ShelfHand {

  private ShelfHand() {}

  /**
   * Returns whether something on a shelf may wait for a use: a part of one lot as it was cut, raw
   * or thawed, there and in its days.
   *
   * @param item the item
   * @param today the day
   * @return true if it may
   */
  public static boolean mayWait(Item item, LocalDate today) {
    return item.shelved().use().isEmpty()
        && item.underWay().isEmpty()
        && item.trace().grams().size() == 1
        && (item.state() == FoodState.RAW || item.state() == FoodState.THAWED)
        && item.daysLeft(today) >= 0;
  }

  /**
   * Returns an item as a part on hand. A main cut that is kept waits for its own plate and is none.
   *
   * @param item the item, which {@link #mayWait may wait}
   * @param sheet the lot it is of
   * @param done what was done to the lot before the first cut
   * @param promised how much of it something is to be made of already
   * @param today the day
   * @return the part; empty if nothing of it waits
   */
  public static Optional<OnHand> of(
      Item item, LotSheet sheet, Set<PreWork.Task> done, Mass promised, LocalDate today) {
    Trace.Source source = item.trace().grams().keySet().iterator().next();
    Mass left = item.mass().minus(promised);
    return sheet
        .find(source.slot())
        .filter(part -> left.isPositive() && !isMain(sheet, part))
        .map(part -> Hand.onHand(sheet, part, left, item.spot().venue(), done, today))
        .map(
            part ->
                part.shelved(
                    new HandId.Kept(source.lot(), source.slot(), item.shelved().code()),
                    item.state() == FoodState.THAWED));
  }

  private static boolean isMain(LotSheet sheet, LotPart part) {
    return sheet.usualPurpose(part).filter(Purpose.PLATE::equals).isPresent();
  }
}
