/**
 * What the house is and believes: its name, units, currency, venues and suppliers.
 *
 * <p>Read {@link mosaicknife.app.house.HouseSettings}.
 */
package mosaicknife.app.house;
