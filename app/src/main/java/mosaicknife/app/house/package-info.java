/**
 * What the house is and believes: its name, units, currency, venues and suppliers.
 *
 * <p>Read {@link mosaicknife.app.house.HouseBook}.
 */
package mosaicknife.app.house;
