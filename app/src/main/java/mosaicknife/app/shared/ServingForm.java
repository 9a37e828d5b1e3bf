package mosaicknife.app.shared;

import java.io.Serializable;
import mosaicknife.core.lot.LotRules;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;

/**
 * What one portion is, as typed.
 *
 * @param portion the mass of a portion
 * @param form how cuts become plates
 * @param pieces how many pieces or fish make a plate, where the form asks for it
 */
public record ServingForm(String portion, String form, String pieces) implements Serializable {

  /**
   * Reads the portion.
   *
   * @param tolerance how much lighter or heavier it may be, as a fraction
   * @param filled whether light pieces are filled up
   * @param formats how the house writes masses
   * @return the portion
   * @throws Refusal if the form is missing, or the mass cannot be a portion
   * @throws mosaicknife.core.quantity.QuantityFormatException if the mass cannot be read
   */
  public Serving understood(double tolerance, boolean filled, Formats formats) {
    Mass target = MassText.parse(text(portion), formats.system().small()).mass();
    Refusal.ifFound(LotRules.portion(target));
    Serving.Form shape =
        Typed.choice(Serving.Form.values(), text(form))
            .orElseThrow(() -> Refusal.ofField("form", "shared.problem.how-is-it-served"));
    int count = shape.isCounted() ? Typed.count(pieces, 1, Serving.MOST_PIECES, "pieces") : 1;
    return new Serving(shape, target, tolerance, count, filled);
  }

  private static String text(String typed) {
    return typed == null ? "" : typed;
  }
}
