/**
 * What a plate costs: the lot's cost, the costing methods, the ladder from the invoice to the menu,
 * and fish beside each other at one plate.
 *
 * <p>It takes resolved values only and looks nothing up.
 *
 * <p>Read in this order: {@link mosaicknife.core.cost.LotCost}, {@link
 * mosaicknife.core.cost.CostingMethod}, {@link mosaicknife.core.cost.Costing}, {@link
 * mosaicknife.core.cost.CostSheet}, {@link mosaicknife.core.cost.CostLadder}, {@link
 * mosaicknife.core.cost.Contender}, {@link mosaicknife.core.cost.Comparison}.
 */
package mosaicknife.core.cost;
