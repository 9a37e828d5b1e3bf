package mosaicknife.core.anatomy;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mosaicknife.core.anatomy.Drawing.Place;
import mosaicknife.core.anatomy.Drawing.Region;
import mosaicknife.core.anatomy.Drawing.View;
import mosaicknife.core.anatomy.Species.MassRange;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class AnatomyTest {

  private static final PartKind FILLET =
      new PartKind(
          "fillet", "Fillet", PartClass.FLESH, Stage.CUTTING, "", "The meat", List.of(), Set.of());
  private static final PartSlot LEFT =
      new PartSlot("fillet-left", 1, FILLET, Side.LEFT, Purpose.PLATE);
  private static final Shape LINE =
      new Shape(List.of(new Point(0, 0), new Point(1, 1)), true, false);

  @Test
  public void everyPurposeHasALetterOfItsOwnAndIsFoundByIt() {
    Set<Character> letters = new HashSet<>();
    for (Purpose purpose : Purpose.values()) {
      assertTrue(letters.add(purpose.letter()));
      assertEquals(Purpose.find(Character.toLowerCase(purpose.letter())), Optional.of(purpose));
    }
    assertEquals(Purpose.find('x'), Optional.empty());
  }

  @Test
  public void servedIsUsedAndCompostAndBinAreNot() {
    for (Purpose purpose : Purpose.values()) {
      assertTrue(purpose.isUsed() || !purpose.isServed());
      assertEquals(
          purpose.isUsed(),
          !List.of(Purpose.BIN, Purpose.COMPOST).contains(purpose),
          purpose.name());
    }
    assertTrue(Purpose.SECOND_PLATE.isServed());
    assertFalse(Purpose.POT.isServed());
  }

  @Test
  public void gillsAndGutsMayOnlyGoToCompostOrBin() {
    assertEquals(
        Catalogue.shipped().kinds().stream()
            .filter(kind -> kind.nature() == PartClass.IRREDUCIBLE)
            .map(PartKind::code)
            .filter(List.of("guts", "gills", "frame", "skin")::contains)
            .toList(),
        List.of("guts", "gills"));
    for (PartKind kind : Catalogue.shipped().kinds()) {
      boolean irreducible = kind.nature() == PartClass.IRREDUCIBLE;
      for (Purpose purpose : Purpose.values()) {
        boolean away = purpose == Purpose.COMPOST || purpose == Purpose.BIN;
        assertEquals(kind.mayBeFor(purpose), away || !irreducible, kind.code() + " " + purpose);
      }
    }
  }

  @DataProvider
  Object[][] states() {
    // state, has guts, has gills, has head
    return new Object[][] {
      {State.UNGUTTED, true, true, true},
      {State.GUTTED, false, true, true},
      {State.GUTTED_AND_GILLED, false, false, true},
      {State.HEADED_AND_GUTTED, false, false, false},
    };
  }

  @Test(dataProvider = "states")
  public void aStateSaysWhatIsStillOn(State state, boolean guts, boolean gills, boolean head) {
    assertEquals(state.stillHas(Stage.GUTTING), guts);
    assertEquals(state.stillHas(Stage.GILLING), gills);
    assertEquals(state.stillHas(Stage.HEADING), head);
    assertTrue(state.stillHas(Stage.CUTTING));
  }

  @Test
  public void aPlanRefusesASlotTwiceAndARegionOfNoSlot() {
    assertEquals(plan(List.of(LEFT), "fillet-left").slots().size(), 1);
    assertThrows(IllegalArgumentException.class, () -> plan(List.of(LEFT, LEFT), "fillet-left"));
    IllegalArgumentException unknown =
        expectThrows(IllegalArgumentException.class, () -> plan(List.of(LEFT), "fin"));
    assertEquals(unknown.getMessage(), "Expected a slot of plan 'p', found region 'fin'");
  }

  @Test
  public void aSpeciesRefusesSharesThatAreNotAWholeFish() {
    IllegalArgumentException short1 =
        expectThrows(IllegalArgumentException.class, () -> species(0.9));
    assertEquals(short1.getMessage(), "Expected the shares of 'x' to add up to 1, found 0.9000");
    assertEquals(species(1.0).keptIn(State.HEADED_AND_GUTTED).toDouble(), 1.0);
    assertThrows(IllegalArgumentException.class, () -> new Share(LEFT, 1.2, 0.1));
    assertThrows(
        IllegalArgumentException.class, () -> new MassRange(Mass.ofGrams(2), Mass.ofGrams(1)));
  }

  @Test
  public void findsAFishWhateverTheAccentsAndCase() {
    Species ray =
        new Species(
            "x",
            "Ray",
            "Raja clavata",
            List.of(MarketName.parse("FR:raie bouclée")),
            species(1.0).plan(),
            Set.of(),
            species(1.0).eating(),
            new MassRange(Mass.ofGrams(1), Mass.ofGrams(2)),
            species(1.0).grades(),
            Season.ALL_YEAR,
            List.of(new Share(LEFT, 1.0, 0.1)));
    NameIndex<Species> names = new NameIndex<>(List.of(ray), Species::names);
    for (String query : List.of("RAY", "bouclee", "Bouclée", " raja ", "", "bouclle", "RAJO")) {
      assertEquals(names.find(query), List.of(ray), query);
    }
    for (String query : List.of("skate", "xy", "<script>", "q".repeat(5_000))) {
      assertEquals(names.find(query), List.of(), query);
    }
  }

  @Test
  public void aStraightPieceHasItsControlPointsOnItsEnds() {
    List<Shape.Curve> curves = LINE.curves();
    assertEquals(curves.size(), 2, "a closed line of two points goes there and back");
    assertEquals(curves.get(0).control1(), new Point(0, 0));
    assertEquals(curves.get(0).control2(), curves.get(0).end());
    assertThrows(
        IllegalArgumentException.class, () -> new Shape(List.of(new Point(0, 0)), false, false));
  }

  @Test
  public void readsFieldsAndListsAndRefusesMissingOnes() {
    ReferenceFile.Line line = new ReferenceFile.Line("f.csv", 3, "a; b , c ,;");
    assertEquals(line.field(0), "a");
    assertEquals(line.list(1), List.of("b", "c"));
    ReferenceDataException missing =
        expectThrows(ReferenceDataException.class, () -> line.field(7));
    assertEquals(missing.getMessage(), "f.csv, line 3: expected field 8, found 'a; b , c ,;'");
    assertThrows(
        ReferenceDataException.class,
        () -> ReferenceFile.open(ReferenceFile.class, "not-there.csv"));
  }

  private static Drawing drawing(String slot) {
    Region region = new Region(slot, LINE, true, new Point(0, 0));
    View view =
        new View("side", LINE, List.of(region), List.of(), Optional.empty(), new Place(0, 0, 1));
    return new Drawing(1, 1, List.of(view));
  }

  private static BodyPlan plan(List<PartSlot> slots, String drawn) {
    return new BodyPlan(
        "p",
        "Plan",
        "special",
        slots,
        new Thickness(List.of(0.1, 0.1)),
        new Work(3, 1.6),
        Set.of(),
        drawing(drawn));
  }

  private static Species species(double share) {
    BodyPlan plan = plan(List.of(LEFT), "fillet-left");
    return new Species(
        "x",
        "X",
        "X x",
        List.of(),
        plan,
        Set.of(),
        new Eating(
            Eating.Flesh.WHITE,
            Eating.Texture.FIRM,
            Eating.Flavour.MILD,
            Eating.Skin.NO,
            Eating.Scales.NONE,
            0.4,
            Mass.ofGrams(1),
            0.08),
        new MassRange(Mass.ofGrams(1), Mass.ofGrams(2)),
        List.of(new SizeGrade(Mass.ofGrams(1), Mass.ofGrams(2))),
        Season.ALL_YEAR,
        List.of(new Share(LEFT, share, 0.1)));
  }
}
