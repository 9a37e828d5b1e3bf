package mosaicknife.core.quantity;

/** In which units a house weighs. */
public enum UnitSystem {
  /** Grams and kilograms. */
  METRIC(MassUnit.KILOGRAM),
  /** Ounces and pounds. */
  IMPERIAL(MassUnit.POUND);

  private final MassUnit large;

  UnitSystem(MassUnit large) {
    this.large = large;
  }

  /**
   * Returns the unit that a bare number in a weight field means.
   *
   * @return the kilogram or the pound
   */
  public MassUnit large() {
    return large;
  }
}
