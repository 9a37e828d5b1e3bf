package mosaicknife.core.breakdown;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import mosaicknife.core.breakdown.FishTiles.FishTile;
import mosaicknife.core.breakdown.FishTiles.PartSoFar;
import mosaicknife.core.breakdown.FishTiles.Standing;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.Test;

public class FishTilesTest {

  private static final LossNorm TWO_PERCENT = new LossNorm(0.02, 0.01);
  private static final Mass FISH = Mass.ofGrams(5000);

  @Test
  public void expectedPartsShareTheRoomTheWeighedOnesLeave() {
    // 5 000 − 1 400 weighed − 100 loss leaves 3 500 for 4 000 expected: each shrinks to 7/8
    FishTiles tiles =
        FishTiles.of(
            FISH,
            TWO_PERCENT,
            List.of(part("head", 1400, 0), part("left", 0, 2400), part("right", 0, 1600)));
    assertEquals(
        tiles.tiles(),
        List.of(
            new FishTile("head", Standing.MEASURED, Mass.ofGrams(1400)),
            new FishTile("left", Standing.EXPECTED, Mass.ofGrams(2100)),
            new FishTile("right", Standing.EXPECTED, Mass.ofGrams(1400)),
            new FishTile("remainder", Standing.REMAINDER, Mass.ofGrams(100))));
    assertFalse(tiles.isOverfull());
  }

  @Test
  public void theTilesFillTheFishExactlyUnlessThePartsOutweighIt() {
    FishTiles odd =
        FishTiles.of(
            FISH, TWO_PERCENT, List.of(part("a", 333, 0), part("b", 0, 777), part("c", 1, 1231)));
    assertEquals(Mass.total(odd.tiles().stream().map(FishTile::mass).toList()), FISH);

    FishTiles over = FishTiles.of(FISH, TWO_PERCENT, List.of(part("a", 5001, 0), part("b", 0, 9)));
    assertEquals(over.tiles(), List.of(new FishTile("a", Standing.MEASURED, Mass.ofGrams(5001))));
    assertTrue(over.isOverfull());
  }

  @Test
  public void aPartWeighedForOneFishOfTwoShowsBothTiles() {
    FishTiles half = FishTiles.of(FISH, TWO_PERCENT, List.of(part("left", 1200, 1200)));
    assertEquals(
        half.tiles().stream().map(FishTile::standing).toList(),
        List.of(Standing.MEASURED, Standing.EXPECTED, Standing.REMAINDER));
  }

  private static PartSoFar part(String id, int measured, int outstanding) {
    return new PartSoFar(id, Mass.ofGrams(measured), Mass.ofGrams(outstanding));
  }
}
