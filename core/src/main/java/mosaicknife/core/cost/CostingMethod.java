package mosaicknife.core.cost;

/**
 * Which parts carry the cost of the fish. All four are honest; the house picks one and sees all.
 */
public enum CostingMethod {
  /** Every unit of cost lies on the main cuts. */
  ALL_ON_THE_MAINS(
      "All on the mains", "The main cuts carry the whole fish; everything else is free."),
  /** By-products that are used count at what the house would pay for them; mains carry the rest. */
  BY_PRODUCT_CREDIT(
      "By-product credit",
      "Parts a dish really takes are credited at what the house would pay; mains carry the rest."),
  /** The cost is split over all sold parts by sales value. */
  RELATIVE_VALUE("Relative value", "The cost is split over everything sold, by what it sells for."),
  /** One flat price for all usable mass. */
  BY_WEIGHT("By weight", "Every usable kilogram costs the same.");

  private final String title;
  private final String meaning;

  CostingMethod(String title, String meaning) {
    this.title = title;
    this.meaning = meaning;
  }

  /**
   * Returns the name on screen.
   *
   * @return such as {@code By-product credit}
   */
  public String title() {
    return title;
  }

  /**
   * Returns one sentence that explains the method.
   *
   * @return the explanation
   */
  public String meaning() {
    return meaning;
  }
}
