package mosaicknife.core.slice;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Where a fillet is cut, against sums by hand and against every way to cut it. */
public class SlicerTest {

  private static PortionType type(int target, int less, int more, long value) {
    return new PortionType(
        "t" + target,
        Mass.ofGrams(target),
        Mass.ofGrams(target - less),
        Mass.ofGrams(target + more),
        0,
        false,
        value);
  }

  private static Species species(String code) {
    return Catalogue.shipped().getSpecies(code);
  }

  @Test
  public void sevenPortionsLieInAHakeFilletAndTheirCutsAreInCentimetres() {
    Fillet fillet =
        Fillet.of(
                species("hake"),
                "fillet-left",
                Mass.ofGrams(1318),
                Mass.ofKilograms("4.860"),
                Optional.empty())
            .orElseThrow();
    Slicing slicing = Slicer.best(fillet, List.of(type(180, 0, 0, 1000)), 0);
    assertEquals(slicing.portions().size(), 7);
    assertEquals(slicing.over(), Mass.ofGrams(58));
    assertEquals(Mass.total(slicing.pieces().stream().map(p -> p.mass()).toList()), fillet.mass());
    List<Double> cuts = slicing.cuts();
    assertEquals(cuts.size(), 7, "seven portions and one leftover");
    assertTrue(slicing.pieces().get(7).type().isEmpty(), "the thin tail is left over");
    for (int i = 1; i < cuts.size(); i++) {
      assertTrue(cuts.get(i) > cuts.get(i - 1));
    }
    // a fish of 4.86 kg is about 79 cm long by its condition factor, its fillet some half of that
    assertEquals(species("hake").centimetres(Mass.ofKilograms("4.860")), 78.6, 0.1);
    assertTrue(fillet.centimetres() > 35 && fillet.centimetres() < 70, "" + fillet.centimetres());
    assertFalse(fillet.measured());
  }

  @Test
  public void limitsOfTheDishCountAndNotTheTarget() {
    assertEquals(
        Slicer.best(Fillets.bar(790, 0), List.of(type(165, 0, 0, 1)), 0).portions().size(), 4);
    PortionType five =
        PortionType.of(
            "dish", new Serving(Serving.Form.SLICES, Mass.ofGrams(165), 0.05, 1, false), 0, false);
    Slicing slicing = Slicer.best(Fillets.bar(790, 0), List.of(five), 0);
    assertEquals(slicing.portions().size(), 5, "158 g are within five percent of 165");
    assertTrue(slicing.portions().stream().allMatch(p -> p.mass().compareTo(five.lightest()) >= 0));
    assertEquals(
        Slicer.best(Fillets.bar(100, 0), List.of(type(180, 10, 10, 5)), 0).over(),
        Mass.ofGrams(100),
        "a target larger than the fillet");
  }

  @Test
  public void thicknessKeepsTheTailOutAndBonesKeepTheHeadOut() {
    PortionType thick =
        new PortionType(
            "block", Mass.ofGrams(100), Mass.ofGrams(100), Mass.ofGrams(100), 20, false, 500);
    Slicing slicing = Slicer.best(Fillets.wedge(1000), List.of(thick), 100);
    // half of its thickness is at half of its length, where three quarters of its mass are before
    assertEquals(slicing.portions().size(), 7);
    assertTrue(slicing.portions().stream().allMatch(p -> p.thinnest() >= 20));
    assertTrue(slicing.pieces().get(slicing.pieces().size() - 1).type().isEmpty());
    PortionType boneless =
        new PortionType(
            "child", Mass.ofGrams(100), Mass.ofGrams(100), Mass.ofGrams(100), 0, true, 500);
    Slicing tail = Slicer.best(Fillets.bar(1000, 0.35), List.of(boneless), 100);
    assertEquals(tail.portions().size(), 6);
    assertTrue(tail.portions().stream().noneMatch(Slicing.Piece::bones));
    assertTrue(tail.portions().get(0).from() >= 0.35);
    assertEquals(tail.pieces().get(0).mass(), Mass.ofGrams(400), "one leftover, at the head end");
  }

  @Test
  public void aLongerFilletOfTheSameMassIsThinner() {
    Mass fish = Mass.ofKilograms("4.860");
    Fillet norm =
        Fillet.of(species("hake"), "fillet-left", Mass.ofGrams(1318), fish, Optional.empty())
            .orElseThrow();
    Fillet longer =
        Fillet.of(
                species("hake"),
                "fillet-left",
                Mass.ofGrams(1318),
                fish,
                Optional.of(norm.centimetres() * 1.2))
            .orElseThrow();
    // the same mass over 1.2 of the length: cross-section 1 / 1.2
    assertEquals(
        longer.millimetresAt(0.4) * longer.centimetresWideAt(0.4),
        norm.millimetresAt(0.4) * norm.centimetresWideAt(0.4) / 1.2,
        0.01);
    assertTrue(longer.millimetresAt(0.4) < norm.millimetresAt(0.4));
    assertTrue(Fillet.isLength(species("hake"), "fillet-left", fish, norm.centimetres()));
    assertFalse(
        Fillet.isLength(species("hake"), "fillet-left", Mass.ofKilograms("12"), 12),
        "a fillet of a large hake of twelve centimetres");
  }

  @Test
  public void aWedgeIsThinInItsSecondHalfAndABarNowhere() {
    assertEquals(Fillets.bar(1000, 0).thin(), List.of());
    List<Fillet.Zone> thin = Fillets.wedge(1000).thin();
    assertEquals(thin.size(), 1);
    assertEquals(thin.get(0).from(), 0.5, 0.01);
    assertEquals(thin.get(0).to(), 1.0);
  }

  @Test
  public void theCurveFallsWithTheTarget() {
    assertEquals(
        Slicer.counts(
            Fillets.bar(1318, 0), type(180, 0, 0, 1), List.of(160, 164, 165, 180, 188, 189)),
        List.of(8, 8, 7, 7, 7, 6));
  }

  @DataProvider
  public static Object[][] seeds() {
    Object[][] seeds = new Object[12][1];
    for (int i = 0; i < seeds.length; i++) {
      seeds[i][0] = (long) i;
    }
    return seeds;
  }

  /** Every way to cut a small fillet on whole grams, one after the other. */
  @Test(dataProvider = "seeds")
  public void noOtherWayToCutIsWorthMore(long seed) {
    Random random = new Random(seed);
    int grams = 18 + random.nextInt(6);
    Fillet fillet =
        random.nextBoolean() ? Fillets.wedge(grams) : Fillets.bar(grams, random.nextDouble());
    List<PortionType> types = new ArrayList<>();
    for (int i = 0; i < 2; i++) {
      int target = 4 + random.nextInt(5);
      types.add(
          new PortionType(
              "t" + i,
              Mass.ofGrams(target),
              Mass.ofGrams(target - random.nextInt(2)),
              Mass.ofGrams(target + random.nextInt(3)),
              random.nextInt(2) * 10,
              random.nextBoolean(),
              1 + random.nextInt(40)));
    }
    long perKilogram = random.nextInt(3) * 700;
    Slicing slicing = Slicer.best(fillet, types, perKilogram);
    long worth = 0;
    for (Slicing.Piece piece : slicing.pieces()) {
      worth += worth(fillet, piece, perKilogram);
    }
    assertEquals(worth, best(fillet, types, perKilogram, 0, false));
  }

  private static long worth(Fillet fillet, Slicing.Piece piece, long perKilogram) {
    long grams = piece.mass().milligrams() / 1000;
    int from = (int) Math.round(fillet.gramsBefore(piece.from()));
    return piece
        .type()
        .map(t -> worth(t, grams))
        .orElseGet(() -> over(fillet, from, (int) (from + grams), perKilogram));
  }

  private static long worth(PortionType type, long grams) {
    long off = grams - type.target().milligrams() / 1000;
    return type.value() * 1_000_000 - off * off;
  }

  /**
   * A thousandth of a kilogram's worth a gram, less for a piece of its own, and for each
   * millimetre.
   */
  private static long over(Fillet fillet, int from, int to, long perKilogram) {
    int all = (int) (fillet.mass().milligrams() / 1000);
    long worth = (to - from) * perKilogram * 1000 - 50_000;
    for (int i = from + 1; i <= to; i++) {
      worth -=
          Math.round(
              fillet.millimetresAt(i == all ? 1 : fillet.profile().placeOf(i / (double) all)));
    }
    return worth;
  }

  /** The best from a gram on, by trying everything; a leftover is not followed by another. */
  private static long best(
      Fillet fillet, List<PortionType> types, long perKilogram, int from, boolean afterOver) {
    int all = (int) (fillet.mass().milligrams() / 1000);
    if (from == all) {
      return 0;
    }
    long best = Long.MIN_VALUE / 4;
    double start = fillet.profile().placeOf(from / (double) all);
    for (int to = from + 1; to <= all; to++) {
      double thinnest = Double.MAX_VALUE;
      for (int i = from; i <= to; i++) {
        double s = i == all ? 1 : fillet.profile().placeOf(i / (double) all);
        thinnest = Math.min(thinnest, fillet.millimetresAt(s));
      }
      int grams = to - from;
      for (PortionType type : types) {
        boolean fits =
            grams * 1000L >= type.lightest().milligrams()
                && grams * 1000L <= type.heaviest().milligrams()
                && !(type.boneless() && start < fillet.pinBonesTo())
                && thinnest >= type.millimetres();
        if (fits) {
          best = Math.max(best, worth(type, grams) + best(fillet, types, perKilogram, to, false));
        }
      }
      if (!afterOver) {
        long worth = over(fillet, from, to, perKilogram);
        best = Math.max(best, worth + best(fillet, types, perKilogram, to, true));
      }
    }
    return best;
  }
}
