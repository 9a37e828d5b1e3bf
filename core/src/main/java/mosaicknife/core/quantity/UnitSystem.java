package mosaicknife.core.quantity;

/** In which units a house weighs. */
public enum UnitSystem {
  /** Grams and kilograms. */
  METRIC(MassUnit.KILOGRAM, MassUnit.GRAM),
  /** Ounces and pounds. */
  IMPERIAL(MassUnit.POUND, MassUnit.OUNCE);

  private final MassUnit large;
  private final MassUnit small;

  UnitSystem(MassUnit large, MassUnit small) {
    this.large = large;
    this.small = small;
  }

  /**
   * Returns the unit that a bare number in a weight field means.
   *
   * @return the kilogram or the pound
   */
  public MassUnit large() {
    return large;
  }

  /**
   * Returns the unit that a bare number in a portion field means.
   *
   * @return the gram or the ounce
   */
  public MassUnit small() {
    return small;
  }
}
