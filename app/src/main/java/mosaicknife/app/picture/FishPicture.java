package mosaicknife.app.picture;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.function.Supplier;
import mosaicknife.core.anatomy.BodyPlan;
import mosaicknife.core.anatomy.Drawing;
import mosaicknife.core.anatomy.Portrait;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.Species;

/**
 * The drawing of a body plan with the standing of each part, ready for the template.
 *
 * @param viewBox the SVG view box
 * @param views the views
 */
public record FishPicture(String viewBox, List<ViewPicture> views) {

  /** The radius of an eye, in body lengths. */
  private static final double EYE = 0.012;

  private static final Map<String, Drawn> DRAWN = new ConcurrentHashMap<>();

  private record Drawn(Drawing plan, FishPicture picture) {}

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
   * @param spots path data of filled shapes without meaning
   * @param eye the middle of the eye as x and y, its radius and that of the pupil, or none
   */
  public record ViewPicture(
      String id,
      String name,
      String contour,
      List<RegionPicture> regions,
      List<String> marks,
      List<String> spots,
      List<String> eye) {

    private ViewPicture marked(Function<String, Optional<PartMark>> marks) {
      return new ViewPicture(
          id,
          name,
          contour,
          regions.stream().map(region -> region.marked(marks)).toList(),
          this.marks,
          spots,
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
    return marked(bare(plan.code(), plan.drawing(), plan::drawing), marks);
  }

  /**
   * Draws a fish as it looks.
   *
   * @param species the species
   * @param marks what to show of a part, by slot code
   * @return the picture
   */
  public static FishPicture of(Species species, Function<String, Optional<PartMark>> marks) {
    Drawing plan = species.plan().drawing();
    return marked(bare("fish-" + species.code(), plan, () -> Portrait.of(species)), marks);
  }

  private static FishPicture marked(FishPicture bare, Function<String, Optional<PartMark>> marks) {
    return new FishPicture(
        bare.viewBox(), bare.views().stream().map(view -> view.marked(marks)).toList());
  }

  /** The lines of a fish are worked out once: they are the same for every lot of it. */
  private static FishPicture bare(String code, Drawing plan, Supplier<Drawing> own) {
    Drawn drawn = DRAWN.get(code);
    if (drawn == null || drawn.plan() != plan) {
      drawn = new Drawn(plan, draw(code, own.get()));
      DRAWN.put(code, drawn);
    }
    return drawn.picture();
  }

  private static FishPicture draw(String code, Drawing drawing) {
    Set<String> numbered = new HashSet<>();
    List<ViewPicture> views =
        drawing.views().stream()
            .map(view -> view(code, view, slot -> Optional.empty(), numbered))
            .toList();
    return new FishPicture(
        "0 0 " + SvgPath.number(drawing.width()) + " " + SvgPath.number(drawing.height()), views);
  }

  private static ViewPicture view(
      String code,
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
        "clip-" + code + "-" + view.name().replace(' ', '-'),
        view.name(),
        SvgPath.of(view.contour()),
        regions,
        view.marks().stream().map(SvgPath::of).toList(),
        view.spots().stream().map(SvgPath::of).toList(),
        view.eye()
            .map(
                eye ->
                    List.of(
                        SvgPath.number(eye.x()),
                        SvgPath.number(eye.y()),
                        SvgPath.number(EYE * view.eyeSize()),
                        SvgPath.number(EYE / 2 * view.eyeSize())))
            .orElse(List.of()));
  }
}
