/**
 * The Cost station: the ladder from the purchase to the menu by method, what plates of every dish
 * cost, and fish beside each other at one plate.
 *
 * <p>All figures come from {@code mosaicknife.core.cost}; this package lays them out and keeps
 * nothing.
 */
package mosaicknife.app.cost;
