/**
 * The Pot station: kettles, methods, batches that run, and whether they cool in time.
 *
 * <p>Everything is a fact with its moment; what a batch is made of lies with what is to be made on
 * Uses, and what came of it goes into the larder from there. How it stands is the core's to say.
 */
package mosaicknife.app.pot;
