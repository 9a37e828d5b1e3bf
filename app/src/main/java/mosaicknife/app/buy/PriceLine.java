package mosaicknife.app.buy;

import java.time.LocalDate;
import java.util.Optional;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.buying.Offer.Form;
import mosaicknife.core.quantity.UnitPrice;

/**
 * One line of a price list as understood.
 *
 * @param species the fish
 * @param form whole or fillet
 * @param state the state; of no meaning for fillet
 * @param grade the size grade
 * @param price the price
 * @param validOn the day of this line, if the list gives one
 */
record PriceLine(
    Species species,
    Form form,
    State state,
    SizeGrade grade,
    UnitPrice price,
    Optional<LocalDate> validOn) {}
