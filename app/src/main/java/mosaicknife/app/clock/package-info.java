/**
 * The Clock station: everything that takes time today, backward from when it is wanted, over the
 * hands and kettles there are. It keeps nothing of its own; what is placed comes from the Pot and
 * from what is to be made on Uses.
 */
package mosaicknife.app.clock;
