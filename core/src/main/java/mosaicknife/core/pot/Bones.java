package mosaicknife.core.pot;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.use.FishUse;
import mosaicknife.core.use.OnHand;
import mosaicknife.core.use.Qualification;

/** Bones on hand as a stock sees them: good, usable, or not for this one and why. */
public final class Bones {

  private Bones() {}

  /** What bones are good for. */
  public enum Grade {
    /** Fresh enough that nobody tastes their age. */
    GOOD,
    /** Near the oldest the stock allows. */
    USABLE,
    /** Not for this stock. */
    NOT
  }

  /**
   * Bones with their grade.
   *
   * @param part the bones
   * @param grade what they are good for
   * @param why why not; empty if they may go in
   */
  public record Graded(OnHand part, Grade grade, Optional<Finding> why) {}

  /**
   * Grades what is on hand.
   *
   * @param use the stock
   * @param parts what is on hand
   * @return the parts of its kinds, the best first, each grade oldest first
   */
  public static List<Graded> grade(FishUse use, List<OnHand> parts) {
    List<Graded> graded = new ArrayList<>();
    for (OnHand part : parts) {
      if (use.kinds().contains(part.kind().code())) {
        List<Finding> reasons = Qualification.whyNot(use, part);
        Grade grade =
            !reasons.isEmpty() ? Grade.NOT : isNearItsEnd(use, part) ? Grade.USABLE : Grade.GOOD;
        graded.add(new Graded(part, grade, reasons.stream().findFirst()));
      }
    }
    graded.sort(
        Comparator.comparing(Graded::grade)
            .thenComparing(one -> one.part().days(), Comparator.reverseOrder()));
    return graded;
  }

  private static boolean isNearItsEnd(FishUse use, OnHand part) {
    return use.oldest().isPresent() && part.days() >= use.oldest().getAsInt();
  }

  /**
   * Picks bones for a batch: what may go in, that which is cut already and lies there first, then
   * the best and oldest.
   *
   * @param graded the bones, graded
   * @param needed how much is needed
   * @param venue the number of the venue where it is cooked
   * @return the grams by part, up to what is needed
   */
  public static Map<OnHand, Mass> pick(List<Graded> graded, Mass needed, long venue) {
    List<Graded> order =
        graded.stream()
            .filter(one -> one.grade() != Grade.NOT)
            .sorted(
                Comparator.comparing((Graded one) -> !one.part().measured())
                    .thenComparing(one -> one.part().venue() != venue))
            .toList();
    Map<OnHand, Mass> picked = new LinkedHashMap<>();
    Mass open = needed;
    for (Graded one : order) {
      Mass some = one.part().mass().compareTo(open) < 0 ? one.part().mass() : open;
      if (some.isPositive()) {
        picked.put(one.part(), some);
        open = open.minus(some);
      }
    }
    return picked;
  }

  /**
   * Returns what may go in together.
   *
   * @param graded the bones, graded
   * @return the mass of good and usable ones
   */
  public static Mass there(List<Graded> graded) {
    return Mass.total(
        graded.stream()
            .filter(one -> one.grade() != Grade.NOT)
            .map(one -> one.part().mass())
            .toList());
  }
}
