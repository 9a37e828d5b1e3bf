/**
 * Buy: what is served and how much of it, what suppliers ask, and how many of which fish to order
 * at which risk and cost per plate.
 *
 * <p>The arithmetic is {@code mosaicknife.core.buying}; here are the dishes, prices and orders.
 */
package mosaicknife.app.buy;
