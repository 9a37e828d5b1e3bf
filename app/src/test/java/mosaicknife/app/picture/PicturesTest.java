package mosaicknife.app.picture;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.ZoneOffset;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import mosaicknife.app.picture.FishPicture.PartMark;
import mosaicknife.app.picture.FishPicture.RegionPicture;
import mosaicknife.app.picture.FishPicture.Standing;
import mosaicknife.app.picture.MosaicPicture.PartLabel;
import mosaicknife.app.picture.MosaicPicture.Size;
import mosaicknife.app.picture.MosaicPicture.Slice;
import mosaicknife.app.picture.MosaicPicture.SlicePicture;
import mosaicknife.app.picture.MosaicPicture.TilePicture;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.anatomy.BodyPlan;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.breakdown.FishTiles;
import mosaicknife.core.breakdown.FishTiles.PartSoFar;
import mosaicknife.core.breakdown.LossNorm;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitSystem;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class PicturesTest {

  private static final Formats FORMATS =
      new Formats(UnitSystem.METRIC, Currency.getInstance("EUR"), ZoneOffset.UTC);
  private static final Mass FISH = Mass.ofGrams(4860);

  @DataProvider
  Object[][] sizes() {
    return new Object[][] {{Size.SMALL}, {Size.BENCH}, {Size.WIDE}, {Size.LARGE}};
  }

  @Test(dataProvider = "sizes")
  public void theDrawnAreasAreProportionalToTheMasses(Size size) {
    List<PartSoFar> parts =
        List.of(
            weighed("head", 985), weighed("left", 1318), weighed("right", 1292), due("frame", 612));
    FishTiles tiles = FishTiles.of(FISH, LossNorm.STARTING, parts);
    List<TilePicture> drawn = picture(tiles, size).tiles();
    double perGram = area(drawn.get(0)) / 985;
    for (int i = 0; i < drawn.size(); i++) {
      double grams = tiles.tiles().get(i).mass().inGrams().doubleValue();
      // coordinates are written with two decimals: a pixel more or less per hundred of height
      assertEquals(area(drawn.get(i)) / grams / perGram, 1, 0.005, drawn.get(i).slot());
    }
  }

  @Test
  public void aTileSaysItsPurposeInThreeWaysAndInTheTable() {
    MosaicPicture picture =
        picture(FishTiles.of(FISH, LossNorm.STARTING, List.of(weighed("left", 4000))), Size.LARGE);
    TilePicture tile = picture.tiles().get(0);
    assertEquals(tile.css(), "tile measured p-PLATE");
    assertEquals(tile.letter(), "P");
    assertEquals(tile.purpose(), "Plate");
    assertEquals(tile.name(), "Left fillet");
    assertEquals(tile.weight(), "4.000 kg");
    assertEquals(tile.share(), "82.3 %");
    assertFalse(picture.cracked());
    TilePicture rest = picture.tiles().get(1);
    assertEquals(rest.css(), "tile remainder p-NONE");
    assertEquals(rest.letter(), "?");
    assertEquals(rest.fullName(), "Not accounted for");
  }

  @Test
  public void anExpectedTileLooksExpectedAndASmallOneShowsItsNumber() {
    MosaicPicture picture =
        picture(
            FishTiles.of(FISH, LossNorm.STARTING, List.of(due("left", 4000), weighed("gills", 62))),
            Size.BENCH);
    assertEquals(picture.tiles().get(0).css(), "tile expected p-PLATE");
    assertTrue(picture.tiles().get(0).weight().startsWith("≈ "));
    TilePicture small = picture.tiles().get(1);
    assertEquals(small.fullName(), "Gills");
    assertFalse(small.name().equals("Gills"), "there is no room for the name");
  }

  @Test
  public void aTileIsSplitByTheGramsOfWhatItBecomes() {
    TilePicture tile =
        picture(FishTiles.of(FISH, LossNorm.STARTING, List.of(weighed("left", 4000))), Size.LARGE)
            .tiles()
            .get(0);
    List<SlicePicture> slices = tile.slices();
    double width = Double.parseDouble(tile.width());
    assertEquals(Double.parseDouble(slices.get(0).width()), width * 0.75, 0.1, "3 of 4 kg");
    assertEquals(Double.parseDouble(slices.get(1).x()), width * 0.75, 0.1);
    assertEquals(Double.parseDouble(slices.get(1).width()), width * 0.2, 0.1, "0.8 of 4 kg");
    assertEquals(slices.get(0).text(), "3.000 kg Patties");
    assertEquals(slices.get(1).text(), "", "no room for so many words");
    assertEquals(slices.get(1).title(), "800 g A name that is much too long for its slice");
  }

  @Test
  public void theFrameCracksWhenThePartsOutweighTheFish() {
    assertTrue(
        picture(FishTiles.of(FISH, LossNorm.STARTING, List.of(weighed("left", 4900))), Size.BENCH)
            .cracked());
  }

  @Test
  public void aRegionShowsHowItsPartStandsAndOnlyTheFirstCarriesTheNumber() {
    BodyPlan plan = Catalogue.shipped().getSpecies("turbot").plan();
    FishPicture fish =
        FishPicture.of(
            plan,
            slot ->
                switch (slot) {
                  case "fins" -> mark(Standing.WEIGHED, Purpose.COMPOST);
                  case "head" -> mark(Standing.NEXT, null);
                  default -> Optional.empty();
                });
    List<RegionPicture> regions =
        fish.views().stream().flatMap(view -> view.regions().stream()).toList();
    assertEquals(css(regions, "fins"), "region weighed p-COMPOST");
    assertEquals(css(regions, "head"), "region next p-OPEN");
    assertEquals(css(regions, "frame"), "region none");
    assertEquals(regions.stream().filter(r -> r.slot().equals("fins") && r.first()).count(), 1);
    assertTrue(regions.stream().filter(r -> r.slot().equals("fins")).count() > 1);
  }

  @Test
  public void pathsAreCurvesInThousandthsOfABodyLength() {
    BodyPlan plan = Catalogue.shipped().getSpecies("hake").plan();
    FishPicture fish = FishPicture.of(plan, slot -> Optional.empty());
    assertEquals(fish.viewBox(), "0 0 1030.0 760.0");
    String contour = fish.views().get(1).contour();
    assertTrue(contour.matches("M[-0-9.,C Z]+Z"), contour);
    assertEquals(fish.views().size(), 3);
  }

  private static final List<Slice> LEFT =
      List.of(
          new Slice("Patties", Mass.ofGrams(3000)),
          new Slice("A name that is much too long for its slice", Mass.ofGrams(800)));

  private static MosaicPicture picture(FishTiles tiles, Size size) {
    return MosaicPicture.of(tiles, FISH, PicturesTest::label, size, FORMATS, "summary");
  }

  private static Optional<PartLabel> label(String slot) {
    return switch (slot) {
      case "remainder" -> Optional.empty();
      case "left" -> Optional.of(new PartLabel(4, "Left fillet", Optional.of(Purpose.PLATE), LEFT));
      case "gills" -> Optional.of(new PartLabel(2, "Gills", Optional.empty(), List.of()));
      default -> Optional.of(new PartLabel(7, slot, Optional.empty(), List.of()));
    };
  }

  private static Optional<PartMark> mark(Standing standing, Purpose purpose) {
    return Optional.of(new PartMark(1, "Part", standing, Optional.ofNullable(purpose), ""));
  }

  private static String css(List<RegionPicture> regions, String slot) {
    return regions.stream().filter(r -> r.slot().equals(slot)).findFirst().orElseThrow().css();
  }

  private static double area(TilePicture tile) {
    return Double.parseDouble(tile.width()) * Double.parseDouble(tile.height());
  }

  private static PartSoFar weighed(String id, int grams) {
    return new PartSoFar(id, Mass.ofGrams(grams), Mass.ZERO);
  }

  private static PartSoFar due(String id, int grams) {
    return new PartSoFar(id, Mass.ZERO, Mass.ofGrams(grams));
  }
}
