/**
 * Buying: from covers to an order with a known risk and a known cost of a plate.
 *
 * <p>Demand and the portions inside a fish are both uncertain. Both are distributions over whole
 * portions; fish are added by convolution until the promise is kept with the wanted certainty. A
 * portion must fit inside one fillet.
 */
package mosaicknife.core.buying;
