/**
 * Temperatures over time: how something warms or cools, when it will be where it should be, and
 * what cannot be true.
 *
 * <p>Everything follows the law of cooling: the difference to the surroundings shrinks by the same
 * share in the same time. Readings decide; presets only start an estimate.
 */
package mosaicknife.core.heat;
