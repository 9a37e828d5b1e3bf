package mosaicknife.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.anatomy.BodyPlan;
import mosaicknife.core.anatomy.PartSlot;
import mosaicknife.core.anatomy.ReferenceFile;
import mosaicknife.core.anatomy.ReferenceFile.Line;

/** How each part is cut: where, what is felt and seen, where flesh is lost, where bones hide. */
public final class Guide {

  private static final List<Step> SHIPPED = read();

  private Guide() {}

  /**
   * One step.
   *
   * @param kind the part kind it takes off
   * @param plans the body plans it is for; empty for all others
   * @param where where and how to cut
   * @param feel what should be felt and seen
   * @param lost where flesh is lost
   * @param bones where bones hide; possibly empty
   * @param care what hurts, possibly empty
   */
  public record Step(
      String kind,
      List<String> plans,
      String where,
      String feel,
      String lost,
      String bones,
      String care) {}

  /**
   * Finds the step that takes off a part.
   *
   * @param plan the body plan
   * @param slot the part
   * @return the step written for this body plan, else the general one; empty if nothing is known
   */
  public static Optional<Step> find(BodyPlan plan, PartSlot slot) {
    List<Step> ofKind =
        SHIPPED.stream().filter(step -> step.kind().equals(slot.kind().code())).toList();
    return ofKind.stream()
        .filter(step -> step.plans().contains(plan.code()))
        .findFirst()
        .or(() -> ofKind.stream().filter(step -> step.plans().isEmpty()).findFirst());
  }

  private static List<Step> read() {
    List<Step> steps = new ArrayList<>();
    for (Line line : ReferenceFile.open(Guide.class, "guide.csv").lines()) {
      steps.add(
          new Step(
              line.field(0),
              line.list(1),
              line.field(2),
              line.field(3),
              line.field(4),
              line.field(5),
              line.field(6)));
    }
    return List.copyOf(steps);
  }
}
