package mosaicknife.app.picture;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import mosaicknife.core.anatomy.BodyPlan;
import mosaicknife.core.anatomy.Drawing;
import mosaicknife.core.anatomy.Purpose;

/**
 * The drawing of a body plan with the standing of each part, ready for the template.
 *
 * @param viewBox the SVG view box
 * @param views the views
 */
public record FishPicture(String viewBox, List<ViewPicture> views) {

  private static final Map<String, Drawn> DRAWN = new ConcurrentHashMap<>();

  private record Drawn(Drawing drawing, FishPicture picture) {}

  /** How a part stands while the fish is worked. */
  public enum Standing {
    /** Still to be weighed. */
    PENDING,
    /** To be weighed now. */
    NEXT,
    /** Weighed. */
    WEIGHED,
    /** Not on this fish, or not taken off. */
    ABSENT
  }

  /**
   * What the drawing shows of one part.
   *
   * @param number its number
   * @param name its name
   * @param standing how it stands
   * @param purpose what it is for
   * @param weight its weight as text, possibly empty
   */
  public record PartMark(
      int number, String name, Standing standing, Optional<Purpose> purpose, String weight) {}

  /**
   * One view.
   *
   * @param id the identifier of its clip path
   * @param name what is seen
   * @param contour the outline as path data
   * @param regions the regions, back to front
   * @param marks path data of lines without meaning
   * @param eye the middle of the eye as x and y, or none
   */
  public record ViewPicture(
      String id,
      String name,
      String contour,
      List<RegionPicture> regions,
      List<String> marks,
      List<String> eye) {

    private ViewPicture marked(Function<String, Optional<PartMark>> marks) {
      return new ViewPicture(
          id,
          name,
          contour,
          regions.stream().map(region -> region.marked(marks)).toList(),
          this.marks,
          eye);
    }
  }

  /**
   * One region.
   *
   * @param slot the part
   * @param path its outline as path data
   * @param clipped whether the contour clips it
   * @param x where its number stands
   * @param y where its number stands
   * @param mark what is shown of the part; empty if the fish has no such part
   * @param first whether this is the first region of its part, which carries the number
   */
  public record RegionPicture(
      String slot,
      String path,
      boolean clipped,
      String x,
      String y,
      Optional<PartMark> mark,
      boolean first) {

    private RegionPicture marked(Function<String, Optional<PartMark>> marks) {
      return new RegionPicture(slot, path, clipped, x, y, marks.apply(slot), first);
    }

    /**
     * Returns the CSS class of the region.
     *
     * @return such as {@code region weighed p-PLATE}
     */
    public String css() {
      return mark.map(
              m ->
                  "region "
                      + m.standing().name().toLowerCase(Locale.ROOT)
                      + m.purpose().map(p -> " p-" + p.name()).orElse(" p-OPEN"))
          .orElse("region none");
    }
  }

  /**
   * Draws a body plan.
   *
   * @param plan the plan
   * @param marks what to show of a part, by slot code
   * @return the picture
   */
  public static FishPicture of(BodyPlan plan, Function<String, Optional<PartMark>> marks) {
    FishPicture bare = bare(plan);
    return new FishPicture(
        bare.viewBox(), bare.views().stream().map(view -> view.marked(marks)).toList());
  }

  /** The lines of a body plan are worked out once: they are the same for every fish of it. */
  private static FishPicture bare(BodyPlan plan) {
    Drawn drawn = DRAWN.get(plan.code());
    if (drawn == null || drawn.drawing() != plan.drawing()) {
      drawn = new Drawn(plan.drawing(), draw(plan));
      DRAWN.put(plan.code(), drawn);
    }
    return drawn.picture();
  }

  private static FishPicture draw(BodyPlan plan) {
    Drawing drawing = plan.drawing();
    Set<String> numbered = new HashSet<>();
    List<ViewPicture> views =
        drawing.views().stream()
            .map(view -> view(plan, view, slot -> Optional.empty(), numbered))
            .toList();
    return new FishPicture(
        "0 0 " + SvgPath.number(drawing.width()) + " " + SvgPath.number(drawing.height()), views);
  }

  private static ViewPicture view(
      BodyPlan plan,
      Drawing.View view,
      Function<String, Optional<PartMark>> marks,
      Set<String> numbered) {
    List<RegionPicture> regions =
        view.regions().stream()
            .map(
                region ->
                    new RegionPicture(
                        region.slot(),
                        SvgPath.of(region.shape()),
                        region.clipped(),
                        SvgPath.number(region.label().x()),
                        SvgPath.number(region.label().y()),
                        marks.apply(region.slot()),
                        numbered.add(region.slot())))
            .toList();
    return new ViewPicture(
        "clip-" + plan.code() + "-" + view.name().replace(' ', '-'),
        view.name(),
        SvgPath.of(view.contour()),
        regions,
        view.marks().stream().map(SvgPath::of).toList(),
        view.eye()
            .map(eye -> List.of(SvgPath.number(eye.x()), SvgPath.number(eye.y())))
            .orElse(List.of()));
  }
}
