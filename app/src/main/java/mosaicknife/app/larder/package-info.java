/**
 * The Larder station: what is kept for later, with place, owner, day, trace and money, and its
 * labels.
 *
 * <p>Items, entries and sources are facts. {@link mosaicknife.app.larder.LarderBook} reads them,
 * {@link mosaicknife.app.larder.LarderKeeper} puts things on shelves, and {@link
 * mosaicknife.app.larder.ItemKeeper} writes down what happens to them there; what follows from them
 * is the core's.
 */
package mosaicknife.app.larder;
