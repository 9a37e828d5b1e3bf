package mosaicknife.app.larder;

import mosaicknife.core.larder.Item;

/**
 * An item with its number in the database.
 *
 * @param id its number
 * @param item the item
 */
record Kept(long id, Item item) {}
