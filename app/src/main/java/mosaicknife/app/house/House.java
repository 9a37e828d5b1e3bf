package mosaicknife.app.house;

import mosaicknife.app.shared.Formats;
import mosaicknife.core.anatomy.Season.Hemisphere;
import mosaicknife.core.cost.CostingMethod;
import mosaicknife.core.quantity.ExactMoney;

/**
 * The house as its pages need it.
 *
 * @param name its name
 * @param formats how it writes numbers
 * @param labourPerHour what an hour of work costs
 * @param hemisphere where it is, for the seasons
 * @param costingMethod how a new lot is costed
 */
public record House(
    String name,
    Formats formats,
    ExactMoney labourPerHour,
    Hemisphere hemisphere,
    CostingMethod costingMethod) {}
