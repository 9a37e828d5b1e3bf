package mosaicknife.core.cost;

/**
 * Which parts carry the cost of the fish. All four are honest; the house picks one and sees all.
 */
public enum CostingMethod {
  /** Every unit of cost lies on the main cuts. */
  ALL_ON_THE_MAINS,
  /** By-products that are used count at what the house would pay for them; mains carry the rest. */
  BY_PRODUCT_CREDIT,
  /** The cost is split over all sold parts by sales value. */
  RELATIVE_VALUE,
  /** One flat price for all usable mass. */
  BY_WEIGHT;
}
