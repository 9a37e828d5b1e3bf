package mosaicknife.app.catalogue;

import java.util.ArrayList;
import java.util.List;
import mosaicknife.app.shared.Decimals;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.anatomy.BodyPlan;
import mosaicknife.core.anatomy.MassProfile;
import mosaicknife.core.anatomy.PartSlot;

/**
 * Where along a main cut its weight lies, as columns of a tenth of its length.
 *
 * @param name the name of the cut
 * @param columns the height of each column from 0 to 100, the tallest 100
 * @param half where half of the weight lies, in words
 */
record ProfilePicture(String name, List<Column> columns, String half) {

  private static final int TENTHS = 10;

  /** One column: left edge, height and what it says. */
  record Column(int x, String height, String y, String title) {}

  /** The right side stands for the left one, which is its mirror. */
  static List<ProfilePicture> of(BodyPlan plan, Formats formats) {
    List<ProfilePicture> pictures = new ArrayList<>();
    for (PartSlot slot : plan.slots()) {
      boolean hasTwin = slot.side().name().endsWith("LEFT");
      if (slot.isMain() && !hasTwin) {
        MassProfile.of(plan, slot.code()).ifPresent(p -> pictures.add(of(slot.name(), p, formats)));
      }
    }
    return pictures;
  }

  private static ProfilePicture of(String name, MassProfile profile, Formats formats) {
    double[] parts = new double[TENTHS];
    double most = 0;
    for (int i = 0; i < TENTHS; i++) {
      parts[i] = profile.before((i + 1) / 10.0) - profile.before(i / 10.0);
      most = Math.max(most, parts[i]);
    }
    List<Column> columns = new ArrayList<>();
    for (int i = 0; i < TENTHS; i++) {
      double height = 100 * parts[i] / most;
      columns.add(
          new Column(
              i * 20,
              Decimals.of(height, 1),
              Decimals.of(100 - height, 1),
              formats.say(
                  "catalogue.said.tenth", i * 10, i * 10 + 10, Math.round(parts[i] * 100))));
    }
    return new ProfilePicture(
        name, columns, formats.say("catalogue.said.half", Math.round(profile.placeOf(0.5) * 100)));
  }
}
