package mosaicknife.app.shared;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.math.BigDecimal;
import java.math.RoundingMode;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.Mass;

/**
 * What one portion is, as a row keeps it.
 *
 * @param target the mass of a portion
 * @param tolerance how much lighter or heavier it may be, as a fraction
 * @param form how cuts become plates
 * @param count how many pieces or fish make a plate
 * @param filled whether light pieces are filled up
 */
@Embeddable
public record StoredServing(
    @Column(name = "portion_mg") Mass target,
    BigDecimal tolerance,
    @Enumerated(EnumType.STRING) @Column(name = "serving_form") Serving.Form form,
    @Column(name = "serving_count") Integer count,
    @Column(name = "serving_filled") Boolean filled) {

  private static final int TOLERANCE_DIGITS = 3;

  /**
   * Returns a serving as it is kept.
   *
   * @param serving the serving
   * @return the row's part
   */
  public static StoredServing of(Serving serving) {
    return new StoredServing(
        serving.target(),
        BigDecimal.valueOf(serving.tolerance()).setScale(TOLERANCE_DIGITS, RoundingMode.HALF_UP),
        serving.form(),
        serving.count(),
        serving.filled());
  }

  /**
   * Returns the serving.
   *
   * @return what one portion is
   */
  public Serving serving() {
    return new Serving(form, target, tolerance.doubleValue(), count, filled);
  }
}
