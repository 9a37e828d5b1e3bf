package mosaicknife.core.anatomy;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import mosaicknife.core.anatomy.Drawing.Region;
import mosaicknife.core.anatomy.Drawing.View;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class CatalogueTest {

  private final Catalogue catalogue = Catalogue.shipped();

  @Test
  public void knowsTheTenFishOfTheHouse() {
    assertEquals(
        catalogue.species().stream().map(Species::code).toList(),
        List.of(
            "turbot",
            "plaice",
            "hake",
            "pollack",
            "gurnard",
            "monkfish",
            "albacore",
            "mackerel",
            "ray",
            "trout"));
  }

  @DataProvider
  Object[][] names() {
    return new Object[][] {
      {"hake", "hake"},
      {"MERLUZA", "hake"},
      {"merluccius", "hake"},
      {"rodspætte", "plaice"},
      {"merlusa", "hake"},
      {"steinbut", "turbot"},
      {"makrel", "mackerel"},
      {"hakk", "hake"},
      {"plaise", "plaice"},
      {"zz", null},
      {"thornbak ray", "ray"},
      {"kraken of the deep", null},
      {"raie bouclee", "ray"},
      {"rape", "monkfish"},
    };
  }

  @Test(dataProvider = "names")
  public void findsAFishByAnyName(String typed, String code) {
    List<String> found = catalogue.search(typed).stream().map(Species::code).toList();
    assertEquals(found.stream().findFirst().orElse(null), code, typed + " found " + found);
  }

  @Test
  public void whatIsContainedInANameIsFoundAndNothingElse() {
    List<String> found = catalogue.search("ra").stream().map(Species::code).toList();
    assertTrue(found.contains("ray") && found.contains("monkfish"), "rape is monkfish: " + found);
    assertEquals(catalogue.search("  ").size(), catalogue.species().size());
    assertEquals(catalogue.search("merluza").size(), 1);
  }

  @Test
  public void aCleanerFishNeverHasMoreLeft() {
    for (Species species : catalogue.species()) {
      double last = 2;
      for (State state : State.values()) {
        double kept = species.keptIn(state).toDouble();
        assertTrue(kept <= last, species.code() + " keeps " + kept + " when " + state);
        last = kept;
      }
      assertEquals(species.keptIn(State.UNGUTTED).toDouble(), 1, 1e-6);
      assertTrue(last < 0.95, species.code() + " loses too little by heading and gutting");
    }
  }

  @Test
  public void filletYieldsLieInARangeTheTradeWouldAccept() {
    for (Species species : catalogue.species()) {
      double mains =
          species.shares().stream()
              .filter(share -> share.slot().usual() == Purpose.PLATE)
              .mapToDouble(Share::mean)
              .sum();
      assertTrue(mains >= 0.28 && mains <= 0.62, species.code() + " yields " + mains);
    }
  }

  @Test
  public void everyPartOfASpeciesHasANumberOnItsDrawing() {
    for (Species species : catalogue.species()) {
      Set<String> drawn = new HashSet<>();
      for (View view : species.plan().drawing().views()) {
        view.regions().stream().map(Region::slot).forEach(drawn::add);
      }
      for (Share share : species.shares()) {
        assertTrue(
            drawn.contains(share.slot().code()),
            species.code() + " has no region for " + share.slot().code());
      }
    }
  }

  @Test
  public void drawingsStayOnTheirSheet() {
    for (BodyPlan plan : catalogue.plans()) {
      Drawing drawing = plan.drawing();
      for (View view : drawing.views()) {
        for (Point point : view.contour().points()) {
          assertTrue(
              point.x() >= 0
                  && point.x() <= drawing.width()
                  && point.y() >= 0
                  && point.y() <= drawing.height(),
              plan.code() + ", " + view.name() + ": " + point + " is off the sheet");
        }
      }
    }
  }

  @Test
  public void namesPartsInTheFieldsWords() {
    BodyPlan flat = catalogue.getSpecies("turbot").plan();
    assertEquals(flat.findSlot("fillet-eye-back").orElseThrow().name(), "Eye side, back fillet");
    assertEquals(flat.findSlot("frame").orElseThrow().name(), "Frame");
    assertFalse(flat.findSlot("fillet-left").isPresent());
  }

  @Test
  public void aSmoothLinePassesThroughItsPoints() {
    Shape line = new Shape(List.of(new Point(0, 0), new Point(1, 1), new Point(2, 0)), false, true);
    List<Shape.Curve> curves = line.curves();
    assertEquals(curves.size(), 2);
    assertEquals(curves.get(0).end(), new Point(1, 1));
    // the tangent at the middle is half the way between its neighbours: flat
    assertEquals(curves.get(0).control2(), new Point(1 - 2 / 6.0, 1));
    assertEquals(curves.get(1).control1(), new Point(1 + 2 / 6.0, 1));
  }

  @Test
  public void anUnreadableLineNamesFileLineAndText() {
    ReferenceFile.Line line = new ReferenceFile.Line("norms.csv", 12, "hake;fins;lots;0.1");
    ReferenceDataException problem =
        expectThrows(ReferenceDataException.class, () -> line.read(2, Double::parseDouble));
    assertEquals(
        problem.getMessage(), "norms.csv, line 12: field 3 'lots', found 'hake;fins;lots;0.1'");
  }
}
