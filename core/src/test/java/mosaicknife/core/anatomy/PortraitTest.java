package mosaicknife.core.anatomy;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertSame;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mosaicknife.core.anatomy.Drawing.Region;
import mosaicknife.core.anatomy.Drawing.View;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Fish drawn as themselves: as deep as they are, with every part, on their sheet. */
public class PortraitTest {

  private static final Catalogue CATALOGUE = Catalogue.shipped();

  @DataProvider
  public Object[][] looks() {
    return CATALOGUE.species().stream()
        .filter(PortraitTest::isOwn)
        .map(species -> new Object[] {species})
        .toArray(Object[][]::new);
  }

  private static boolean isOwn(Species species) {
    return Look.of(species.code()).isPresent();
  }

  private static View whole(Drawing drawing) {
    return drawing.views().stream()
        .filter(view -> view.eye().isPresent())
        .findFirst()
        .orElseThrow();
  }

  private static double reach(Stream<Double> values) {
    List<Double> all = values.toList();
    return all.stream().max(Double::compare).orElseThrow()
        - all.stream().min(Double::compare).orElseThrow();
  }

  @Test(dataProvider = "looks")
  public void aFishIsAsDeepAsItIsAndKeepsEveryPart(Species species) {
    Drawing drawing = Portrait.of(species);
    List<Point> body = whole(drawing).contour().points();
    double depth = reach(body.stream().map(Point::y)) / reach(body.stream().map(Point::x));
    double wanted = Look.of(species.code()).orElseThrow().depth();
    // the outline swings a little beyond its points
    assertEquals(depth, wanted, 0.03 * wanted, species.code());
    assertEquals(slots(drawing), slots(species.plan().drawing()), species.code());
  }

  private static Set<String> slots(Drawing drawing) {
    return drawing.views().stream()
        .flatMap(view -> view.regions().stream())
        .map(Region::slot)
        .collect(Collectors.toSet());
  }

  /** What a view takes up on the sheet: left, right, top, bottom. */
  private static List<double[]> boxes(Drawing drawing) {
    List<double[]> boxes = new ArrayList<>();
    for (View view : drawing.views()) {
      List<Point> points = new ArrayList<>(view.contour().points());
      view.regions().stream()
          .filter(region -> !region.clipped())
          .forEach(region -> points.addAll(region.shape().points()));
      boxes.add(
          new double[] {
            points.stream().mapToDouble(Point::x).min().orElseThrow(),
            points.stream().mapToDouble(Point::x).max().orElseThrow(),
            points.stream().mapToDouble(Point::y).min().orElseThrow(),
            points.stream().mapToDouble(Point::y).max().orElseThrow()
          });
    }
    return boxes;
  }

  /** How deep two views lie in each other, above one another; at most 0 if they do not. */
  private static double overlap(double[] one, double[] other) {
    boolean beside = one[1] <= other[0] + 0.1 || other[1] <= one[0] + 0.1;
    return beside ? 0 : Math.min(one[3] - other[2], other[3] - one[2]);
  }

  @Test(dataProvider = "looks")
  public void nothingLiesBesideTheSheetAndNoViewOnAnother(Species species) {
    Drawing drawing = Portrait.of(species);
    List<double[]> boxes = boxes(drawing);
    String drawnFrom = Look.of(species.code()).orElseThrow().drawnFrom();
    BodyPlan plan =
        drawnFrom.isEmpty() ? species.plan() : CATALOGUE.findPlan(drawnFrom).orElseThrow();
    List<double[]> before = boxes(plan.drawing());
    for (int i = 0; i < boxes.size(); i++) {
      double[] box = boxes.get(i);
      assertTrue(box[0] >= -0.02 && box[2] >= -0.03, species.code());
      assertTrue(box[1] <= drawing.width() + 0.02, species.code());
      assertTrue(box[3] <= drawing.height() + 0.02, species.code());
      for (int j = 0; j < i; j++) {
        double was = Math.max(0, overlap(before.get(i), before.get(j)));
        assertTrue(overlap(box, boxes.get(j)) <= was + 0.03, species.code() + " " + i + j);
      }
    }
  }

  @Test
  public void codHasThreeFinsOnTheBackAndHerringHasOne() {
    assertEquals(finsAbove("cod"), 3);
    assertEquals(finsAbove("haddock"), 3);
    assertEquals(finsAbove("hake"), 2);
    assertEquals(finsAbove("herring"), 1);
  }

  private static long finsAbove(String code) {
    View view = whole(Portrait.of(CATALOGUE.getSpecies(code)));
    double axis = view.eye().orElseThrow().y();
    double end = view.contour().points().stream().mapToDouble(Point::x).max().orElseThrow() - 0.02;
    return view.regions().stream()
        .filter(region -> !region.clipped())
        .filter(region -> region.label().x() < end)
        .filter(
            region ->
                region.shape().points().stream().mapToDouble(Point::y).average().orElseThrow()
                    < axis)
        .count();
  }

  @Test
  public void aFishWithoutLooksIsDrawnAsItsPlanAndMostAreNot() {
    Species plain = CATALOGUE.species().stream().filter(s -> !isOwn(s)).findFirst().orElseThrow();
    assertSame(Portrait.of(plain), plain.plan().drawing());
    Set<Drawing> drawings =
        CATALOGUE.species().stream()
            .filter(PortraitTest::isOwn)
            .map(Portrait::of)
            .collect(Collectors.toSet());
    assertTrue(drawings.size() >= 100, "only " + drawings.size() + " fish look like themselves");
    assertNotEquals(
        Portrait.of(CATALOGUE.getSpecies("cod")), Portrait.of(CATALOGUE.getSpecies("haddock")));
    assertFalse(whole(Portrait.of(CATALOGUE.getSpecies("turbot"))).spots().isEmpty(), "knobs");
  }
}
