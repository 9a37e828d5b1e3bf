package mosaicknife.core.cost;

import java.util.List;
import java.util.Optional;
import mosaicknife.core.check.Check;
import mosaicknife.core.portion.Eaten;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;

/**
 * Fish that could make a plate: a lot that was broken, an offer by its norm, or the cut bought in.
 *
 * @param id what it is called in the comparison
 * @param name its name on screen
 * @param purchased the mass as purchased, positive
 * @param paid what it cost
 * @param labour the work at the board, from 0
 * @param credit what other parts take off it, from 0; more than it cost counts as all
 * @param cuts what is eaten of each main cut of each fish, together within the purchase
 * @param measured whether that was weighed; else it is by the norm
 * @param spread how far the yield may be off, as a fraction of it, nine times in ten; 0 if measured
 */
public record Contender(
    String id,
    String name,
    Mass purchased,
    ExactMoney paid,
    ExactMoney labour,
    ExactMoney credit,
    List<Eaten> cuts,
    boolean measured,
    double spread) {

  private static final Fraction POINT = Fraction.of(1, 100);

  /** Refuses negative money and cuts of nothing, or of more than the fish. */
  public Contender {
    Check.text(id, "id");
    Check.text(name, "name");
    Check.that(
        !paid.isNegative() && !labour.isNegative() && !credit.isNegative(),
        "Expected money from 0, found %s, %s, %s".formatted(paid, labour, credit));
    cuts = List.copyOf(cuts);
    Mass mains = Mass.total(cuts.stream().map(Eaten::mass).toList());
    Check.that(
        mains.isPositive() && mains.compareTo(purchased) <= 0,
        "Expected main cuts within %s, found %s".formatted(purchased, mains));
    Check.inRange(spread, 0, 0.9, "spread of the yield");
  }

  /**
   * Returns the same under another name.
   *
   * @param other the name
   * @return the contender
   */
  public Contender called(String other) {
    return new Contender(id, other, purchased, paid, labour, credit, cuts, measured, spread);
  }

  /**
   * Returns the mass of the main cuts.
   *
   * @return what is eaten of them
   */
  public Mass mains() {
    return Mass.total(cuts.stream().map(Eaten::mass).toList());
  }

  /**
   * Returns how much of the purchase they are.
   *
   * @return the yield, above 0 up to 1
   */
  public Fraction share() {
    return mains().dividedBy(purchased);
  }

  /**
   * Returns what all its plates cost.
   *
   * @return paid and work, less the credit, which never takes off more than was paid
   */
  public ExactMoney cost() {
    ExactMoney fish = paid.minus(credit);
    return (fish.isNegative() ? ExactMoney.zero(paid.currency()) : fish).plus(labour);
  }

  /**
   * Returns the price of the purchase.
   *
   * @return what a kilogram of it cost
   */
  public UnitPrice price() {
    return paid.per(purchased);
  }

  /**
   * Returns how many plates it makes.
   *
   * @param serving what a portion is
   * @return whole ones, inside each cut
   */
  public long plates(Serving serving) {
    return serving.plates(cuts);
  }

  /**
   * Returns what a finished portion costs.
   *
   * @param serving what a portion is
   * @return the cost over the whole portions; empty if there is none
   */
  public Optional<ExactMoney> plate(Serving serving) {
    long plates = plates(serving);
    return plates == 0 ? Optional.empty() : Optional.of(cost().dividedBy(plates));
  }

  /**
   * Returns the same fish with another yield: each cut heavier or lighter by the same factor.
   *
   * @param yield the yield, above 0 up to 1
   * @return the contender
   */
  public Contender yielding(Fraction yield) {
    Fraction factor = yield.dividedBy(share());
    List<Eaten> scaled = cuts.stream().map(one -> one.multipliedBy(factor)).toList();
    return new Contender(id, name, purchased, paid, labour, credit, scaled, measured, spread);
  }

  /**
   * Returns what one point more of yield takes off a portion, by weight.
   *
   * @param serving what a portion is
   * @return the money, from 0
   */
  public ExactMoney point(Serving serving) {
    Fraction before = serving.target().dividedBy(mains());
    Fraction after = serving.target().dividedBy(purchased).dividedBy(share().plus(POINT));
    return cost().multipliedBy(before).minus(cost().multipliedBy(after));
  }
}
