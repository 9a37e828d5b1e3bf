package mosaicknife.core.lot;

import java.util.ArrayList;
import java.util.List;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.buying.Offer.Form;
import mosaicknife.core.check.Check;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.UnitPrice;

/**
 * What was ordered in one line, to be held against what comes.
 *
 * @param line the number of the line
 * @param species the fish
 * @param form whole, or bought cut
 * @param state the state; of no meaning for what is bought cut
 * @param grade the size grade
 * @param fish how many fish; 0 for what is bought cut
 * @param price the agreed price
 */
public record Ordered(
    long line,
    Species species,
    Form form,
    State state,
    SizeGrade grade,
    int fish,
    UnitPrice price) {

  /** How a lot differs from what was ordered. */
  public enum Mismatch {
    /** Another fish: what came, what was ordered. */
    OTHER_FISH,
    /** Fish are missing: how many, how many came, how many were ordered. */
    FISH_SHORT,
    /** Too many fish: how many, how many came, how many were ordered. */
    FISH_OVER,
    /** Another state: what came, what was ordered. */
    OTHER_STATE,
    /** The mean fish is outside of the grade: its mass, the grade. */
    OTHER_SIZE,
    /** Invoiced above the agreed price: invoiced, agreed, too much in all. */
    PRICE_ABOVE
  }

  /** Refuses what is missing. */
  public Ordered {
    Check.notNull(species, "species");
    Check.notNull(form, "form");
    Check.inRange(fish, 0, 10_000, "number of fish");
    Check.notNull(price, "price");
  }

  /**
   * Returns whether a lot came for this line.
   *
   * @param lot the lot
   * @return true if its receipt names the line
   */
  public boolean isFor(Lot lot) {
    return lot.arrival().orderLine().isPresent() && lot.arrival().orderLine().getAsLong() == line;
  }

  /**
   * Counts the fish that came.
   *
   * @param lots lots, also of other lines
   * @return the fish of the lots that came for this line
   */
  public int came(List<Lot> lots) {
    return lots.stream().filter(this::isFor).mapToInt(Lot::fish).sum();
  }

  /**
   * Returns whether nothing is left to come of an order. What is bought cut has no number of fish,
   * so a person says that it came.
   *
   * @param lines its lines
   * @param lots the lots that came for them
   * @return true if as many fish came of every line as were ordered, or more
   */
  public static boolean isComplete(List<Ordered> lines, List<Lot> lots) {
    return !lines.isEmpty()
        && lines.stream().allMatch(line -> line.fish > 0 && line.came(lots) >= line.fish);
  }

  /**
   * Holds a lot against what was ordered.
   *
   * @param lot the lot
   * @param came how many fish came for this line in all
   * @return the differences, what is wrong with the fish before what is wrong with the price
   */
  public List<Finding> differences(Lot lot, int came) {
    List<Finding> found = new ArrayList<>();
    if (!lot.species().code().equals(species.code())) {
      found.add(Finding.of(Mismatch.OTHER_FISH, lot.species().name(), species.name()));
    }
    if (form == Form.WHOLE) {
      wholeFish(lot, came, found);
    }
    if (lot.price().compareTo(price) > 0) {
      ExactMoney more = lot.price().times(lot.invoiced()).minus(price.times(lot.invoiced()));
      found.add(Finding.of(Mismatch.PRICE_ABOVE, lot.price(), price, more));
    }
    return found;
  }

  private void wholeFish(Lot lot, int came, List<Finding> found) {
    if (came < fish) {
      found.add(Finding.of(Mismatch.FISH_SHORT, fish - came, came, fish));
    }
    if (came > fish) {
      found.add(Finding.of(Mismatch.FISH_OVER, came - fish, came, fish));
    }
    if (lot.state() != state) {
      found.add(Finding.of(Mismatch.OTHER_STATE, lot.state(), state));
    }
    if (!grade.contains(lot.receipt().meanFish())) {
      found.add(Finding.of(Mismatch.OTHER_SIZE, lot.receipt().meanFish(), grade));
    }
  }
}
