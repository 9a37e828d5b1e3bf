package mosaicknife.core.anatomy;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mosaicknife.core.anatomy.Drawing.Place;
import mosaicknife.core.anatomy.Drawing.Region;
import mosaicknife.core.anatomy.Drawing.View;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.Test;

/**
 * One geometry, two uses: what the mass profile makes of simple shapes one can work out by hand.
 */
public class GeometryTest {

  private static final Shape SQUARE = straight(0, 0, 1, 0, 1, 1, 0, 1);

  private static Shape straight(double... xy) {
    List<Point> points = new ArrayList<>();
    for (int i = 0; i < xy.length; i += 2) {
      points.add(new Point(xy[i], xy[i + 1]));
    }
    return new Shape(points, true, false);
  }

  private static PartSlot slot(String kind, int number) {
    PartKind part =
        new PartKind(kind, kind, PartClass.FLESH, Stage.CUTTING, "whole", "x", List.of(), Set.of());
    return new PartSlot(kind, number, part, Side.NONE, Purpose.PLATE);
  }

  private static BodyPlan plan(List<Double> thickness, Place place, Region... regions) {
    View view = new View("side", SQUARE, List.of(regions), List.of(), Optional.empty(), place);
    return new BodyPlan(
        "p",
        "Plan",
        "special",
        List.of(slot("fillet", 1), slot("belly", 2)),
        new Thickness(thickness),
        new Work(1, 1),
        Set.of(),
        new Drawing(2, 2, List.of(view)));
  }

  private static Region region(String slot, Shape shape) {
    return new Region(slot, shape, true, new Point(0.5, 0.5));
  }

  @Test
  public void aSlabOfOneThicknessHasItsMassEvenlyAlongIt() {
    BodyPlan slab = plan(List.of(0.1, 0.1), new Place(0, 0, 1), region("fillet", SQUARE));
    MassProfile profile = MassProfile.of(slab, "fillet").orElseThrow();
    assertEquals(profile.from(), 0, 0.01);
    assertEquals(profile.to(), 1, 0.01);
    for (double s = 0; s <= 1; s += 0.1) {
      assertEquals(profile.before(s), s, 1e-6);
    }
    assertEquals(profile.placeOf(0.25), 0.25, 1e-6);
  }

  @Test
  public void aWedgeThatThinsToNothingHasThreeQuartersInItsFirstHalf() {
    BodyPlan wedge = plan(List.of(0.2, 0.0), new Place(0, 0, 1), region("fillet", SQUARE));
    MassProfile profile = MassProfile.of(wedge, "fillet").orElseThrow();
    assertEquals(profile.before(0.5), 0.75, 0.001);
    assertEquals(profile.placeOf(0.75), 0.5, 0.001);
  }

  @Test
  public void aTriangleThatThinsToNothingHoldsMostInFront() {
    // height and thickness both fall in a straight line: mass before s is 1 − (1 − s)³
    BodyPlan triangle =
        plan(List.of(0.2, 0.0), new Place(0, 0, 1), region("fillet", straight(0, 0, 1, 0.5, 0, 1)));
    MassProfile profile = MassProfile.of(triangle, "fillet").orElseThrow();
    assertEquals(profile.before(0.5), 1 - Math.pow(0.5, 3), 0.01);
  }

  @Test
  public void whatIsDrawnLaterCoversWhatWasDrawnBefore() {
    BodyPlan covered =
        plan(
            List.of(0.1, 0.1),
            new Place(0, 0, 1),
            region("fillet", SQUARE),
            region("belly", straight(0, 0, 0.5, 0, 0.5, 1, 0, 1)));
    MassProfile fillet = MassProfile.of(covered, "fillet").orElseThrow();
    assertEquals(fillet.from(), 0.5, 0.01);
    assertEquals(MassProfile.of(covered, "belly").orElseThrow().to(), 0.5, 0.01);
    assertEquals(MassProfile.of(covered, "head"), Optional.empty());
  }

  @Test
  public void aViewThatIsMovedAndScaledHasTheSameProfile() {
    Place place = new Place(0.3, 0.1, 0.5);
    Shape drawn = straight(0.3, 0.1, 0.8, 0.1, 0.8, 0.6, 0.3, 0.6);
    View view =
        new View(
            "side", drawn, List.of(region("fillet", drawn)), List.of(), Optional.empty(), place);
    BodyPlan moved =
        new BodyPlan(
            "p",
            "Plan",
            "special",
            List.of(slot("fillet", 1)),
            new Thickness(List.of(0.2, 0.0)),
            new Work(1, 1),
            Set.of(),
            new Drawing(2, 2, List.of(view)));
    assertEquals(MassProfile.of(moved, "fillet").orElseThrow().before(0.5), 0.75, 0.001);
    assertEquals(
        place.toBody(place.toSheet(0.4, 0.2).x(), place.toSheet(0.4, 0.2).y()).x(), 0.4, 1e-12);
    assertThrows(IllegalArgumentException.class, () -> new Place(0, 0, 0));
  }

  @Test
  public void thicknessIsStraightBetweenItsStations() {
    Thickness thickness = new Thickness(List.of(0.0, 0.1, 0.04));
    assertEquals(thickness.at(0.25), 0.05, 1e-12);
    assertEquals(thickness.at(0.75), 0.07, 1e-12);
    assertEquals(thickness.at(-1), 0.0);
    assertEquals(thickness.at(2), 0.04, 1e-12);
    assertThrows(IllegalArgumentException.class, () -> new Thickness(List.of(0.1)));
    assertThrows(IllegalArgumentException.class, () -> new Thickness(List.of(0.1, 0.9)));
  }

  @Test
  public void aPointIsInsideACurvedOutlineOrNot() {
    Shape round =
        new Shape(
            List.of(new Point(1, 0), new Point(2, 1), new Point(1, 2), new Point(0, 1)),
            true,
            true);
    Silhouette disc = new Silhouette(round);
    assertTrue(disc.contains(1, 1));
    assertTrue(disc.contains(1.6, 1.3));
    assertFalse(disc.contains(1.9, 0.1));
    assertFalse(disc.contains(3, 1));
    assertEquals(disc.left(), 0, 0.02);
    assertEquals(disc.bottom(), 2, 0.02);
  }

  @Test
  public void workGrowsWithTheFish() {
    Work work = new Work(3, 1.6);
    assertEquals(work.minutes(Mass.ofKilograms("2")), 6.2, 1e-9);
    assertThrows(IllegalArgumentException.class, () -> new Work(-1, 0));
  }

  @Test
  public void profilesThatDoNotRiseFromNothingToAllAreRefused() {
    assertThrows(IllegalArgumentException.class, () -> new MassProfile(0, 1, List.of(0.0, 0.5)));
    assertThrows(IllegalArgumentException.class, () -> new MassProfile(1, 0, List.of(0.0, 1.0)));
    assertThrows(
        IllegalArgumentException.class, () -> new MassProfile(0, 1, List.of(0.0, 1.0)).placeOf(2));
  }

  @Test
  public void leftAndRightOfOneFishAgreeAndRoundFishAreHeaviestInFront() {
    int twins = 0;
    for (BodyPlan plan : Catalogue.shipped().plans()) {
      for (PartSlot left : plan.slots()) {
        if (!left.isMain() || left.side() != Side.LEFT) {
          continue;
        }
        PartSlot right =
            plan.slots().stream()
                .filter(one -> one.kind().equals(left.kind()) && one.side() == Side.RIGHT)
                .findFirst()
                .orElseThrow();
        assertEquals(
            MassProfile.of(plan, left.code()), MassProfile.of(plan, right.code()), plan.code());
        twins++;
      }
    }
    assertTrue(twins > 8, "only " + twins);
    MassProfile round =
        MassProfile.of(Catalogue.shipped().findPlan("round-bodied").orElseThrow(), "fillet-left")
            .orElseThrow();
    // thirds of a round fish are about 44/37/19, the drawing's tail is a little slim
    assertEquals(round.before(1 / 3.0), 0.44, 0.04);
    assertEquals(1 - round.before(2 / 3.0), 0.19, 0.07);
  }
}
