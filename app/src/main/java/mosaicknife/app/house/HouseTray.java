package mosaicknife.app.house;

import mosaicknife.core.breakdown.Tray;

/**
 * A tray of the house.
 *
 * @param id its number
 * @param tray its name and mass
 */
public record HouseTray(long id, Tray tray) {}
