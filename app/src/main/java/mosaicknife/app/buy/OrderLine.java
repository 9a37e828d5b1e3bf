package mosaicknife.app.buy;

import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.buying.Offer.Form;
import mosaicknife.core.lot.Ordered;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;

/**
 * One line of an order.
 *
 * @param id its number
 * @param species the fish
 * @param form whole or fillet
 * @param state the state; of no meaning for fillet
 * @param grade the size grade
 * @param fish how many fish; 0 for fillet
 * @param mass the expected mass
 * @param price the agreed price
 * @param dish the dish it is for, possibly empty
 * @param surplus the expected portions too many
 * @param surplusHome where they go
 * @param reason why this one, in words
 */
public record OrderLine(
    long id,
    Species species,
    Form form,
    State state,
    SizeGrade grade,
    int fish,
    Mass mass,
    UnitPrice price,
    String dish,
    double surplus,
    String surplusHome,
    String reason) {

  /**
   * Returns what was ordered, to be held against what comes.
   *
   * @return the line as the dock sees it
   */
  public Ordered ordered() {
    return new Ordered(id, species, form, state, grade, fish, mass, price);
  }

  /**
   * Returns what the line costs at the expected mass.
   *
   * @return the money
   */
  public ExactMoney money() {
    return price.times(mass);
  }
}
