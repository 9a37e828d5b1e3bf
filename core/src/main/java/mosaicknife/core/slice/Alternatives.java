package mosaicknife.core.slice;

import java.util.ArrayList;
import java.util.List;
import mosaicknife.core.quantity.Mass;

/** Other ways to cut the same fillet into portions of one kind. */
public final class Alternatives {

  /** A portion so much lighter or heavier than the dish wants it is no way to cut. */
  private static final double LIGHTEST = 0.8;

  private static final double HEAVIEST = 1.25;

  private Alternatives() {}

  /**
   * A way to cut.
   *
   * @param count how many portions
   * @param each what each weighs
   * @param over what is left over
   */
  public record Way(int count, Mass each, Mass over) {}

  /**
   * Finds ways beside the best one.
   *
   * @param best the best cuts
   * @param target what a portion should weigh
   * @return all of the fillet in one portion more, lighter; and in as many, heavier; where that is
   *     near enough to the target
   */
  public static List<Way> of(Slicing best, Mass target) {
    int count = best.portions().size();
    List<Way> ways = new ArrayList<>();
    for (int portions : new int[] {count + 1, count}) {
      if (portions > 0) {
        Mass each = Mass.ofGrams(best.fillet().mass().milligrams() / 1000 / portions);
        double share = each.milligrams() / (double) target.milligrams();
        boolean differs = best.over().isPositive() || portions != count;
        if (differs && share >= LIGHTEST && share <= HEAVIEST) {
          ways.add(new Way(portions, each, Mass.ZERO));
        }
      }
    }
    return ways;
  }
}
