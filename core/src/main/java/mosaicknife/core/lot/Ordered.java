package mosaicknife.core.lot;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.buying.Offer.Form;
import mosaicknife.core.check.Check;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
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
 * @param mass the expected mass
 * @param price the agreed price
 */
public record Ordered(
    long line,
    Species species,
    Form form,
    State state,
    SizeGrade grade,
    int fish,
    Mass mass,
    UnitPrice price) {

  /** What is bought cut is packed by weight: this much of what was ordered is all of it. */
  private static final Fraction ENOUGH = Fraction.of(95, 100);

  /** How a lot differs from what was ordered. */
  public enum Mismatch {
    /** Another fish: what came, what was ordered. */
    OTHER_FISH,
    /** Fish are missing: how many, how many came, how many were ordered. */
    FISH_SHORT,
    /** Too many fish: how many, how many came, how many were ordered. */
    FISH_OVER,
    /** Less came of what is bought cut: how much less, how much came, how much was ordered. */
    MASS_SHORT,
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
    Check.notNull(mass, "mass");
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
   * Returns what came by weight.
   *
   * @param lots lots, also of other lines
   * @return the mass of the lots that came for this line
   */
  public Mass cameMass(List<Lot> lots) {
    return Mass.total(lots.stream().filter(this::isFor).map(Lot::purchased).toList());
  }

  private boolean isComplete(List<Lot> lots) {
    return form == Form.WHOLE
        ? fish > 0 && came(lots) >= fish
        : cameMass(lots).compareTo(mass.multipliedBy(ENOUGH, RoundingMode.HALF_EVEN)) >= 0;
  }

  /**
   * Returns whether nothing is left to come of an order.
   *
   * @param lines its lines
   * @param lots the lots that came for them
   * @return true if of every line as many fish came as were ordered, or of what is bought cut about
   *     as much
   */
  public static boolean isComplete(List<Ordered> lines, List<Lot> lots) {
    return !lines.isEmpty() && lines.stream().allMatch(line -> line.isComplete(lots));
  }

  /**
   * Holds a lot against what was ordered.
   *
   * @param lot the lot
   * @param all the lots that came for the order, this one too
   * @return the differences, what is wrong with the fish before what is wrong with the price
   */
  public List<Finding> differences(Lot lot, List<Lot> all) {
    List<Finding> found = new ArrayList<>();
    if (!lot.species().code().equals(species.code())) {
      found.add(Finding.of(Mismatch.OTHER_FISH, lot.species().name(), species.name()));
    }
    if (form == Form.WHOLE) {
      wholeFish(lot, came(all), found);
    } else {
      bought(lot, all, found);
    }
    lot.price()
        .filter(paid -> paid.compareTo(price) > 0)
        .ifPresent(
            paid -> {
              ExactMoney more = paid.times(lot.invoiced()).minus(price.times(lot.invoiced()));
              found.add(Finding.of(Mismatch.PRICE_ABOVE, paid, price, more));
            });
    return found;
  }

  private void bought(Lot lot, List<Lot> all, List<Finding> found) {
    Mass came = cameMass(all);
    if (!isComplete(all)) {
      found.add(Finding.of(Mismatch.MASS_SHORT, mass.minus(came), came, mass));
    }
    if (!lot.state().isCut()) {
      found.add(Finding.of(Mismatch.OTHER_STATE, lot.state(), State.FILLETS));
    }
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
