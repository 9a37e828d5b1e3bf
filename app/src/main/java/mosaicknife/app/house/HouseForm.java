package mosaicknife.app.house;

import mosaicknife.core.anatomy.Season.Hemisphere;
import mosaicknife.core.cost.CostingMethod;
import mosaicknife.core.quantity.UnitSystem;

/**
 * How the house is called and writes its numbers, as typed.
 *
 * @param name its name
 * @param system the units it weighs in
 * @param currency the three letters of its currency
 * @param zone its time zone
 * @param labour what an hour of work costs
 * @param hemisphere where it is, for the seasons
 * @param costing how a new lot is costed; as before if none came
 */
public record HouseForm(
    String name,
    UnitSystem system,
    String currency,
    String zone,
    String labour,
    Hemisphere hemisphere,
    CostingMethod costing) {}
