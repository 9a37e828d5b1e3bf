package mosaicknife.core.anatomy;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import mosaicknife.core.anatomy.Drawing.Region;
import mosaicknife.core.anatomy.Drawing.View;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class CatalogueTest {

  private final Catalogue catalogue = Catalogue.shipped();

  @Test
  public void knowsTheFishTheTradeBuysOverEveryBodyPlan() {
    assertTrue(catalogue.species().size() >= 80, catalogue.species().size() + " species");
    assertTrue(catalogue.plans().size() >= 13, catalogue.plans().size() + " body plans");
    for (BodyPlan plan : catalogue.plans()) {
      long fish = catalogue.species().stream().filter(s -> s.plan().equals(plan)).count();
      assertTrue(fish >= 2, plan.code() + " has " + fish + " species");
    }
    for (String code :
        List.of("turbot", "plaice", "hake", "gurnard", "pollack", "monkfish", "albacore", "ray")) {
      assertTrue(catalogue.findSpecies(code).isPresent(), code);
    }
  }

  @Test
  public void everyFishIsFoundByEveryOneOfItsNames() {
    for (Species species : catalogue.species()) {
      assertTrue(species.marketNames().size() >= 1, species.code() + " has one name only");
      species
          .names()
          .forEach(
              name ->
                  assertTrue(
                      catalogue.search(name).contains(species),
                      species.code() + " is not found by " + name));
    }
  }

  @Test
  public void fishForLicensedHandlersAreRefusedWithTheReason() {
    List<String> names =
        List.of(
            "puffer",
            "Fugu",
            "pufferfisch",
            "blow fish",
            "torafugu",
            "Kugelfisch",
            "tétrodon",
            "pez globo",
            "pesce palla",
            "baiacu",
            "Lagocephalus",
            "swellfish",
            "porcupinefish",
            "Igelfisch",
            "boxfish",
            "cowfish",
            "pez cofre",
            "ocean sunfish",
            "Mola mola",
            "Mondfisch",
            "pez luna",
            "greenland shark");
    for (String name : names) {
      RefusedFish refused = catalogue.findRefused(name).orElseThrow();
      assertTrue(refused.why().contains("licensed"), name);
    }
    for (String name : List.of("hake", "bass", "", "pu", "sole")) {
      assertTrue(catalogue.findRefused(name).isEmpty(), name);
    }
    for (Species sold : catalogue.species()) {
      assertTrue(catalogue.findRefused(sold.name()).isEmpty(), sold.name() + " is sold");
    }
    assertTrue(
        catalogue.species().stream().noneMatch(s -> s.scientificName().startsWith("Takifugu")));
  }

  @Test
  public void theHouseReplacesAddsAndLeavesOutFish() {
    Species hake = catalogue.getSpecies("hake");
    Species own =
        new Species(
            "harbour-hake",
            "Harbour hake",
            hake.scientificName(),
            hake.marketNames(),
            hake.plan(),
            hake.traits(),
            hake.eating(),
            hake.usualMass(),
            hake.grades(),
            hake.season(),
            hake.shares());
    Catalogue house = catalogue.with(List.of(own), Set.of("puffer", "sprat"));
    assertEquals(house.search("harbour").get(0), own);
    assertTrue(house.findSpecies("sprat").isEmpty());
    assertTrue(catalogue.findSpecies("sprat").isPresent(), "the shipped one stays as it is");
    assertEquals(house.species().size(), catalogue.species().size());
  }

  @Test
  public void aWordWithTwoMeaningsShowsBoth() {
    List<String> found =
        catalogue.searchKinds("bloodline").stream().map(PartKind::code).sorted().toList();
    assertEquals(found, List.of("dark-muscle", "spine-blood"));
    assertTrue(
        catalogue.searchKinds("wing").stream().map(PartKind::code).toList().contains("collar"));
  }

  @Test
  public void partKindsAreATreeWithOneRoot() {
    assertTrue(catalogue.kinds().size() >= 45, catalogue.kinds().size() + " kinds");
    for (PartKind kind : catalogue.kinds()) {
      Set<String> way = new HashSet<>();
      PartKind at = kind;
      while (!at.cutFrom().isEmpty()) {
        assertTrue(way.add(at.code()), kind.code() + " is cut out of itself");
        at = catalogue.findKind(at.cutFrom()).orElseThrow();
      }
      assertEquals(at.code(), "whole", kind.code());
    }
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
      {"qz", null},
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

  @DataProvider
  Object[][] oneNameAndItsFish() {
    return new Object[][] {
      {"butterfish", List.of("american-butterfish", "ibodai")},
      {"ling", List.of("ling", "pink-ling", "red-hake")},
      {"Blackfish", List.of("black-sea-bass", "tautog")},
      {"shima aji", List.of("white-trevally")},
      // names that are another fish than they were once taken for
      {"hirame", List.of("japanese-flounder")},
      {"aji", List.of("japanese-horse-mackerel")},
      {"congrio dorado", List.of("pink-ling")},
      {"pink ling", List.of("pink-ling")},
      {"sea robin", List.of("northern-searobin")},
      {"Maifisch", List.of("allis-shad")},
      {"hamour", List.of("orange-spotted-grouper")},
      {"kuromaguro", List.of("pacific-bluefin")},
      {"red porgy", List.of("red-bream")},
      {"Argentine hake", List.of("patagonian-hake")},
      {"besugo", List.of("blackspot-bream")},
      {"no such fish", List.of()},
    };
  }

  /** One name gives all fish that are sold under it, and no other. */
  @Test(dataProvider = "oneNameAndItsFish")
  public void aNameGivesAllFishSoldUnderIt(String name, List<String> codes) {
    assertEquals(catalogue.named(name).stream().map(Species::code).sorted().toList(), codes);
  }

  @Test
  public void theCatalogueCoversTheSeasARestaurantBuysFromAndNamesEachFishOnce() {
    assertTrue(catalogue.species().size() >= 200, "fish: " + catalogue.species().size());
    Map<String, Long> byScientificName =
        catalogue.species().stream()
            .filter(species -> !species.code().startsWith("farmed-"))
            .collect(Collectors.groupingBy(Species::scientificName, Collectors.counting()));
    byScientificName.values().removeIf(count -> count == 1);
    assertEquals(byScientificName, Map.of());
  }

  @Test
  public void whatIsContainedInANameIsFoundAndNothingElse() {
    List<String> found = catalogue.search("ra").stream().map(Species::code).toList();
    assertTrue(found.contains("ray") && found.contains("monkfish"), "rape is monkfish: " + found);
    assertTrue(
        found.indexOf("ray") < found.indexOf("summer-flounder"), "a start goes before: " + found);
    assertEquals(catalogue.search("  ").size(), catalogue.species().size());
    assertEquals(catalogue.search("merluza").get(0).code(), "hake", "the whole name goes first");
  }

  @Test
  public void aCleanerFishNeverHasMoreLeft() {
    for (Species species : catalogue.species()) {
      double last = 2;
      for (State state : State.OF_FISH) {
        double kept = species.keptIn(state).toDouble();
        assertTrue(kept <= last, species.code() + " keeps " + kept + " when " + state);
        last = kept;
      }
      assertEquals(species.keptIn(State.UNGUTTED).toDouble(), 1, 1e-6);
      assertTrue(last < 0.96, species.code() + " loses too little by heading and gutting");
    }
  }

  @Test
  public void filletYieldsLieInARangeTheTradeWouldAccept() {
    for (Species species : catalogue.species()) {
      double mains = species.flesh();
      // a monkfish is mostly head and guts
      assertTrue(mains >= 0.25 && mains <= 0.62, species.code() + " yields " + mains);
      double frame =
          species.shares().stream()
              .filter(share -> share.slot().code().equals("frame"))
              .mapToDouble(Share::mean)
              .sum();
      assertTrue(frame <= 0.26, species.code() + " is " + frame + " frame");
      assertTrue(
          species.shares().stream().allMatch(share -> share.spread() > 0.002),
          species.code() + " has a spread too narrow for a starting estimate");
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
