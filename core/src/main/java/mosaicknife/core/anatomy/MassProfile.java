package mosaicknife.core.anatomy;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.anatomy.Drawing.Region;
import mosaicknife.core.anatomy.Drawing.View;
import mosaicknife.core.check.Check;

/**
 * How the mass of a fillet or loin lies along its length, from its head end to its tail end.
 *
 * <p>It comes from the same geometry as the drawing: at each place the height of the part's region
 * inside the contour times the thickness of the flesh there. Portions are placed on it.
 *
 * @param from where the part begins, in body lengths from the tip of the head
 * @param to where it ends
 * @param cumulative the fraction of its mass that lies before each of equally spaced places, from 0
 *     to 1, rising
 */
public record MassProfile(double from, double to, List<Double> cumulative) {

  private static final int COLUMNS = 120;
  private static final int ROWS = 160;

  /** Refuses a profile that does not rise from 0 to 1. */
  public MassProfile {
    Check.that(from < to, "Expected a part with a length, found %s to %s".formatted(from, to));
    cumulative = List.copyOf(cumulative);
    Check.that(
        cumulative.size() > 1
            && cumulative.get(0) == 0
            && Math.abs(cumulative.get(cumulative.size() - 1) - 1) < 1e-9,
        "Expected a profile from 0 to 1, found ",
        cumulative);
  }

  /**
   * Makes the profile of a part of a body plan.
   *
   * @param plan the plan
   * @param slot the code of the part
   * @return the profile, from the view in which the part or its twin of the other side shows the
   *     largest area: left and right of one fish are alike; empty if neither is drawn
   */
  public static Optional<MassProfile> of(BodyPlan plan, String slot) {
    // skin is drawn over the flesh it covers, and takes nothing of it away
    List<String> skins =
        plan.slots().stream()
            .filter(one -> one.kind().is(PartKind.Trait.SKIN) && !one.code().equals(slot))
            .map(PartSlot::code)
            .toList();
    Optional<Heights> largest = Optional.empty();
    for (String side : bothSides(plan, slot)) {
      for (View view : plan.drawing().views()) {
        Optional<Heights> heights = Heights.of(view, side, skins);
        if (heights.isPresent()
            && (largest.isEmpty() || heights.get().area() > largest.get().area())) {
          largest = heights;
        }
      }
    }
    return largest.map(heights -> heights.weighed(plan.thickness()));
  }

  private static List<String> bothSides(BodyPlan plan, String slot) {
    return plan.slots().stream()
        .filter(one -> one.code().equals(slot))
        .findFirst()
        .map(
            own ->
                plan.slots().stream()
                    .filter(one -> one.kind().equals(own.kind()))
                    .filter(one -> one.equals(own) || areTwins(one.side(), own.side()))
                    .map(PartSlot::code)
                    .toList())
        .orElse(List.of(slot));
  }

  private static boolean areTwins(Side one, Side other) {
    return one == Side.LEFT && other == Side.RIGHT || one == Side.RIGHT && other == Side.LEFT;
  }

  /** The height of a region at each column of a view, in lengths of the view's own fish. */
  private record Heights(View view, double left, double right, double[] heights) {

    static Optional<Heights> of(View view, String slot, List<String> skins) {
      Silhouette contour = new Silhouette(view.contour());
      List<Region> regions =
          view.regions().stream().filter(region -> !skins.contains(region.slot())).toList();
      List<Silhouette> shapes = regions.stream().map(r -> new Silhouette(r.shape())).toList();
      if (regions.stream().noneMatch(r -> r.slot().equals(slot) && r.clipped())) {
        return Optional.empty();
      }
      double step = (contour.right() - contour.left()) / COLUMNS;
      double row = (contour.bottom() - contour.top()) / ROWS;
      double[] heights = new double[COLUMNS];
      int first = COLUMNS;
      int last = -1;
      for (int column = 0; column < COLUMNS; column++) {
        double x = contour.left() + (column + 0.5) * step;
        int filled = 0;
        for (int i = 0; i < ROWS; i++) {
          double y = contour.top() + (i + 0.5) * row;
          if (contour.contains(x, y) && topmost(regions, shapes, x, y).equals(slot)) {
            filled++;
          }
        }
        heights[column] = filled * row;
        if (filled > 0) {
          first = Math.min(first, column);
          last = column;
        }
      }
      return last < first
          ? Optional.empty()
          : Optional.of(
              new Heights(
                  view,
                  contour.left() + first * step,
                  contour.left() + (last + 1) * step,
                  Arrays.copyOfRange(heights, first, last + 1)));
    }

    /** Regions lie in cutting order: what is drawn later covers what was drawn before. */
    private static String topmost(
        List<Region> regions, List<Silhouette> shapes, double x, double y) {
      for (int i = regions.size() - 1; i >= 0; i--) {
        if (regions.get(i).clipped() && shapes.get(i).contains(x, y)) {
          return regions.get(i).slot();
        }
      }
      return "";
    }

    double area() {
      double sum = 0;
      for (double height : heights) {
        sum += height;
      }
      return sum * (right - left) / heights.length;
    }

    /**
     * A fillet tapers to nothing at its edges: over its height the thickness is an ellipse's, the
     * same factor everywhere, so only height times thickness counts.
     */
    MassProfile weighed(Thickness thickness) {
      Point nose = view.place().toBody(left, 0);
      Point end = view.place().toBody(right, 0);
      List<Double> cumulative = new ArrayList<>();
      cumulative.add(0.0);
      double total = 0;
      double[] masses = new double[heights.length];
      for (int i = 0; i < heights.length; i++) {
        double x = nose.x() + (i + 0.5) / heights.length * (end.x() - nose.x());
        masses[i] = heights[i] * thickness.at(x);
        total += masses[i];
      }
      double sum = 0;
      for (double mass : masses) {
        sum += mass;
        cumulative.add(Math.min(1, sum / total));
      }
      cumulative.set(cumulative.size() - 1, 1.0);
      return new MassProfile(nose.x(), end.x(), cumulative);
    }
  }

  /**
   * Returns which fraction of the mass lies before a place.
   *
   * @param s the place, 0 at the head end and 1 at the tail end; outside the nearer end counts
   * @return the fraction, from 0 to 1
   */
  public double before(double s) {
    double place = Math.max(0, Math.min(1, s)) * (cumulative.size() - 1);
    int index = (int) Math.min(cumulative.size() - 2, Math.floor(place));
    double way = place - index;
    return cumulative.get(index) * (1 - way) + cumulative.get(index + 1) * way;
  }

  /**
   * Returns the place that has a fraction of the mass before it.
   *
   * @param fraction the fraction, from 0 to 1
   * @return the place, 0 at the head end and 1 at the tail end
   */
  public double placeOf(double fraction) {
    Check.inRange(fraction, 0, 1, "fraction");
    double low = 0;
    double high = 1;
    while (high - low > 1e-9) {
      double middle = (low + high) / 2;
      if (before(middle) < fraction) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return (low + high) / 2;
  }
}
