package mosaicknife.app.house;

import mosaicknife.app.shared.Formats;
import mosaicknife.core.anatomy.Season.Hemisphere;
import mosaicknife.core.quantity.ExactMoney;

/**
 * The house as its pages need it.
 *
 * @param name its name
 * @param formats how it writes numbers
 * @param labourPerHour what an hour of work costs
 * @param hemisphere where it is, for the seasons
 */
public record House(
    String name, Formats formats, ExactMoney labourPerHour, Hemisphere hemisphere) {}
