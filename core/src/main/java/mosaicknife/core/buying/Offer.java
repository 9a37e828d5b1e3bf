package mosaicknife.core.buying;

import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.UnitPrice;

/**
 * Something on offer: whole fish of a species, state and grade, or cut fillet, at a price.
 *
 * @param id the identifier of the candidate, unique within one plan
 * @param species the species
 * @param state the state it is bought in; of no meaning for a fillet
 * @param grade the size grade; of no meaning for a fillet
 * @param form whole fish or fillet
 * @param price the price per mass
 * @param supplier the name of the supplier
 */
public record Offer(
    String id,
    Species species,
    State state,
    SizeGrade grade,
    Form form,
    UnitPrice price,
    String supplier) {

  /** Refuses what is missing. */
  public Offer {
    Check.text(id, "id");
    Check.notNull(species, "species");
    Check.notNull(state, "state");
    Check.notNull(grade, "grade");
    Check.notNull(form, "form");
    Check.notNull(price, "price");
    Check.text(supplier, "supplier");
  }

  /** How much work the supplier has done. */
  public enum Form {
    /** A whole fish, to be broken here. */
    WHOLE,
    /** Fillet, bought cut. */
    FILLET
  }
}
