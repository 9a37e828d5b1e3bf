package mosaicknife.core.slice;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.slice.PinBoneCut.Way;
import org.testng.annotations.Test;

/** Styles, pin bones, and what the pass must know of a piece. */
public class PassCutTest {

  private static PortionType type(int grams, double millimetres, boolean boneless, Style style) {
    Mass mass = Mass.ofGrams(grams);
    return new PortionType("t", mass, mass, mass, millimetres, boneless, 100, style);
  }

  private static Mass total(Slicing slicing) {
    return Mass.total(
        slicing.pieces().stream().map(piece -> piece.mass().plus(piece.trim())).toList());
  }

  @Test
  public void aBiasHasNoFullFaceInTheWedgesAtEitherEnd() {
    // 20 mm thick: half of that is lost at each end of 40 cm, 25 g each of 1000
    Fillet bar = Fillets.bar(1000, 0);
    assertEquals(
        Slicer.best(bar, List.of(type(100, 0, false, Style.STRAIGHT)), 0).portions().size(), 10);
    Slicing bias = Slicer.best(bar, List.of(type(94, 0, false, Style.BIAS)), 0);
    assertEquals(bias.portions().size(), 10);
    assertEquals(bias.over(), Mass.ofGrams(60));
    assertTrue(bias.portions().get(0).from() * 40 >= 1.0 - 1e-6);
    assertEquals(Slicer.best(bar, List.of(type(96, 0, false, Style.BIAS)), 0).portions().size(), 9);
    assertEquals(total(bias), bar.mass());
  }

  @Test
  public void aBlockIsTrimmedToItsWidthAndItsNarrowEndsFall() {
    Slicing even = Slicer.best(Fillets.bar(1000, 0), List.of(type(100, 0, false, Style.BLOCK)), 0);
    assertEquals(even.portions().size(), 10);
    assertEquals(even.trim(), Mass.ZERO, "a bar is a block");
    Fillet hake =
        Fillet.of(
                Catalogue.shipped().getSpecies("hake"),
                "fillet-left",
                Mass.ofGrams(1318),
                Mass.ofKilograms("4.860"),
                Optional.empty())
            .orElseThrow();
    Slicing block = Slicer.best(hake, List.of(type(140, 0, false, Style.BLOCK)), 0);
    int straight =
        Slicer.best(hake, List.of(type(140, 0, false, Style.STRAIGHT)), 0).portions().size();
    assertTrue(block.portions().size() < straight && block.portions().size() > 2);
    assertTrue(block.trim().isPositive());
    assertEquals(total(block), hake.mass());
    for (Slicing.Piece one : block.portions()) {
      assertEquals(one.mass(), Mass.ofGrams(140), "a block weighs what is asked, when trimmed");
    }
  }

  @Test
  public void aFoldedTailIsAsThickAsItsTwoLayers() {
    // 40 mm to nothing: the last 250 g of 1000 begin at half of it, 20 mm, and fold to 20 mm
    Fillet wedge = Fillets.wedge(1000);
    Slicing folded = Slicer.best(wedge, List.of(type(250, 19, false, Style.TAIL_FOLD)), 0);
    assertEquals(folded.portions().size(), 4);
    assertEquals(folded.portions().get(3).thinnest(), 20, 0.1);
    Slicing flat = Slicer.best(wedge, List.of(type(250, 19, false, Style.STRAIGHT)), 0);
    assertEquals(flat.portions().size(), 3);
  }

  @Test
  public void aSideIsWholeOrNothing() {
    assertEquals(
        Slicer.best(Fillets.bar(900, 0), List.of(type(900, 0, false, Style.SIDE)), 0).cuts().size(),
        0);
    assertEquals(
        Slicer.best(Fillets.bar(901, 0), List.of(type(900, 0, false, Style.SIDE)), 0)
            .portions()
            .size(),
        0);
  }

  @Test
  public void aSteakHasItsBoneAndIsAsThickAsItIsCut() {
    // 1000 g in 400 mm: 100 g are 40 mm
    Slicing steaks =
        Slicer.best(Fillets.bar(1000, 0), List.of(type(100, 39, false, Style.STEAK)), 0);
    assertEquals(steaks.portions().size(), 10);
    assertEquals(steaks.boneless(), 0);
    assertEquals(
        Slicer.best(Fillets.bar(1000, 0), List.of(type(100, 41, false, Style.STEAK)), 0)
            .portions()
            .size(),
        0);
    assertThrows(IllegalArgumentException.class, () -> type(100, 0, true, Style.STEAK));
  }

  @Test
  public void asManyWithoutBonesAsAreWantedBeforeWorthCounts() {
    // 1000 g, bones in the first 550: 9 of 110 g, the last four without bones, or, from the last
    // bone on, four; of 150 g six with 100 g over, two without bones from 600 g on, three from 550
    Fillet bar = Fillets.bar(1000, 0.549);
    List<PortionType> types = List.of(type(150, 0, false, Style.STRAIGHT));
    Slicing free = Slicer.best(bar, types, 0);
    assertEquals(free.portions().size(), 6);
    Slicing three = Slicer.best(bar, types, 0, 3);
    assertEquals(three.boneless(), 3);
    assertEquals(three.portions().size(), 6, "100 g fall between 450 and 550");
    Slicing most = Slicer.best(bar, types, 0, 9);
    assertEquals(most.boneless(), 3, "more there are not");
  }

  @Test
  public void theStripTakesTheBonesOutAndWeighsWhatItIs() {
    // the row reaches half of it; a whole row would take 7 of 100
    Fillet bar = Fillets.bar(1000, 0.5);
    PinBoneCut strip = PinBoneCut.of(bar, Way.STRIP);
    assertEquals(strip.strip().milligrams() / 1000.0, 35, 0.01);
    // it is taken off the front only: half of the length still has 500 g
    assertEquals(
        1000 - strip.strip().milligrams() / 1000.0 - strip.lanes().get(0).fillet().gramsBefore(0.5),
        500,
        0.5);
    assertEquals(strip.lanes().size(), 1);
    assertEquals(strip.lanes().get(0).fillet().pinBonesTo(), 0.0);
    assertEquals(strip.lanes().get(0).fillet().mass().plus(strip.strip()), bar.mass());
    PinBoneCut above = PinBoneCut.of(bar, Way.ABOVE_THE_ROW);
    assertEquals(above.lanes().size(), 3);
    assertEquals(
        Mass.total(above.lanes().stream().map(lane -> lane.fillet().mass()).toList()), bar.mass());
    assertEquals(
        above.lanes().get(0).fillet().mass(), Mass.ofGrams(275), "back: 55 of 100 of the front");
    assertEquals(above.lanes().get(1).fillet().pinBonesTo(), 1.0, "the belly side has them all");
    assertEquals(above.lanes().get(2).fillet().pinBonesTo(), 0.0);
    assertEquals(above.lanes().get(2).fillet().centimetres(), 20, 1e-9);
    assertEquals(PinBoneCut.of(Fillets.bar(1000, 0), Way.STRIP).way(), Way.LEFT_IN);
  }

  @Test
  public void theWayWithEnoughWithoutBonesComesFirst() {
    Fillet bar = Fillets.bar(1000, 0.5);
    List<PortionType> types = List.of(type(120, 0, false, Style.STRAIGHT));
    List<PassCut> none = PassCut.ways(bar, types, 0, 0);
    assertEquals(none.get(0).bones().way(), Way.LEFT_IN, "nothing is taken out for nothing");
    assertEquals(none.get(0).portions(), 8);
    List<PassCut> all = PassCut.ways(bar, types, 0, 7);
    assertEquals(all.get(0).bones().way(), Way.STRIP);
    assertTrue(all.get(0).boneless() >= 7);
    assertEquals(all.size(), 3);
    assertEquals(PassCut.ways(Fillets.bar(1000, 0), types, 0, 2).size(), 1);
  }

  @Test
  public void thePassIsToldWhatIsThinThickBonyOrMayBeRaw() {
    Slicing slicing =
        Slicer.best(Fillets.wedge(1000), List.of(type(100, 0, false, Style.STRAIGHT)), 0);
    List<Slicing.Piece> portions = slicing.portions();
    assertTrue(PassFlag.of(portions.get(0), slicing, false).contains(PassFlag.SLOW));
    assertTrue(PassFlag.of(portions.get(9), slicing, true).contains(PassFlag.FAST));
    assertTrue(PassFlag.of(portions.get(9), slicing, true).contains(PassFlag.RAW_ALLOWED));
    assertFalse(PassFlag.of(portions.get(9), slicing, false).contains(PassFlag.RAW_ALLOWED));
    assertEquals(PassFlag.of(portions.get(5), slicing, false), List.of());
    Slicing bony =
        Slicer.best(Fillets.bar(1000, 0.3), List.of(type(500, 0, false, Style.STRAIGHT)), 0);
    assertEquals(PassFlag.of(bony.portions().get(0), bony, false), List.of(PassFlag.BONES));
    assertEquals(PassFlag.of(bony.portions().get(1), bony, false), List.of());
  }

  @Test
  public void aFishFullOfFineBonesIsNeverBoneless() {
    for (String code : new String[] {"carp", "pike", "milkfish", "shad"}) {
      Species fish = Catalogue.shipped().getSpecies(code);
      for (PinBoneCut.Way way : PinBoneCut.Way.values()) {
        assertEquals(way.of(fish), PinBoneCut.Way.LEFT_IN, code);
      }
    }
    Species hake = Catalogue.shipped().getSpecies("hake");
    assertEquals(PinBoneCut.Way.STRIP.of(hake), PinBoneCut.Way.STRIP);
  }
}
