/**
 * The Cost station: the ladder from the purchase to the plate, by method.
 *
 * <p>All figures come from {@code mosaicknife.core.cost}; this package lays them out.
 */
package mosaicknife.app.cost;
