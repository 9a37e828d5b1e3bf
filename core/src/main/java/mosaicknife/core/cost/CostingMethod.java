package mosaicknife.core.cost;

/**
 * Which parts carry the cost of the fish. All four are honest; the house picks one and sees all.
 */
public enum CostingMethod {
  /** Every unit of cost lies on the main cuts. */
  ALL_ON_THE_MAINS,
  /** By-products that are used count at what the house would pay for them; mains carry the rest. */
  BY_PRODUCT_CREDIT,
  /** The cost is split over all parts that are sold, by sales value; compost never is. */
  RELATIVE_VALUE,
  /** One flat price for all that is eaten on plates. */
  BY_WEIGHT;
}
