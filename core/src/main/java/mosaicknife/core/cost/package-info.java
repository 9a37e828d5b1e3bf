/**
 * What a plate costs: the lot's cost, the costing methods, and the cost of a portion.
 *
 * <p>It takes resolved values only and looks nothing up. Labour comes later.
 *
 * <p>Read in this order: {@link mosaicknife.core.cost.LotCost}, {@link
 * mosaicknife.core.cost.CostingMethod}, {@link mosaicknife.core.cost.Costing}, {@link
 * mosaicknife.core.cost.CostSheet}.
 */
package mosaicknife.core.cost;
