package mosaicknife.core.slice;

import java.util.HashMap;
import java.util.Map;
import mosaicknife.core.anatomy.BodyPlan;
import mosaicknife.core.anatomy.ReferenceFile;
import mosaicknife.core.check.Check;

/** How far the pin bones of a fillet reach. */
final class PinBones {

  private static final Map<String, Double> REACH = read();

  private PinBones() {}

  /** The fraction of the length from the head end; 0 where none matter. */
  static double reach(BodyPlan plan) {
    return REACH.getOrDefault(plan.code(), 0.0);
  }

  private static Map<String, Double> read() {
    Map<String, Double> all = new HashMap<>();
    for (ReferenceFile.Line line : ReferenceFile.open(PinBones.class, "pin-bones.csv").lines()) {
      double reach = line.read(1, Double::parseDouble);
      Check.inRange(reach, 0, 1, "reach of the pin bones");
      all.put(line.field(0), reach);
    }
    return all;
  }
}
