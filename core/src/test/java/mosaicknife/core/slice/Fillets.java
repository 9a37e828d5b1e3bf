package mosaicknife.core.slice;

import java.util.ArrayList;
import java.util.List;
import mosaicknife.core.anatomy.MassProfile;
import mosaicknife.core.anatomy.Thickness;
import mosaicknife.core.quantity.Mass;

/** Fillets whose sums are done by hand. */
final class Fillets {

  private Fillets() {}

  /** A bar: as thick and wide everywhere, so that a tenth of its length is a tenth of its mass. */
  static Fillet bar(int grams, double pinBonesTo) {
    return new Fillet(
        Mass.ofGrams(grams),
        40,
        true,
        pinBonesTo,
        new MassProfile(0, 1, List.of(0.0, 0.5, 1.0)),
        new Thickness(List.of(0.05, 0.05)),
        40,
        1);
  }

  /** A wedge that is 40 mm thick at its head end and comes to nothing. */
  static Fillet wedge(int grams) {
    List<Double> before = new ArrayList<>();
    for (int i = 0; i <= 100; i++) {
      double s = i / 100.0;
      before.add(1 - (1 - s) * (1 - s));
    }
    return new Fillet(
        Mass.ofGrams(grams),
        40,
        true,
        0,
        new MassProfile(0, 1, before),
        new Thickness(List.of(0.1, 0.0)),
        40,
        1);
  }
}
