package mosaicknife.core.mosaic;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import mosaicknife.core.mosaic.MosaicLayout.Piece;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.Test;

public class MosaicLayoutTest {

  private static final double GROUT = 2;
  // sums of doubles over at most 20 tiles of a frame of 10^5 px²
  private static final double ROUNDING = 1e-6;

  @Test
  public void areasAreExactlyProportionalAndTheFrameIsFull() {
    Random random = new Random(3);
    for (int round = 0; round < 300; round++) {
      double width = 120 + random.nextInt(900);
      double height = 80 + random.nextInt(600);
      List<Piece> pieces = pieces(random, 1 + random.nextInt(18));
      List<Tile> tiles = MosaicLayout.of(width, height, GROUT).lay(pieces);

      double perGram = tiles.get(0).area() / grams(pieces.get(0));
      for (int i = 0; i < tiles.size(); i++) {
        assertEquals(tiles.get(i).area() / grams(pieces.get(i)) / perGram, 1, ROUNDING);
        assertEquals(tiles.get(i).id(), pieces.get(i).id());
      }
      assertEquals(right(tiles), width, ROUNDING);
      assertEquals(bottom(tiles), height, ROUNDING);
    }
  }

  @Test
  public void tilesKeepTheGroutBetweenThemAndTheirOrder() {
    List<Tile> tiles = MosaicLayout.of(640, 400, GROUT).lay(pieces(new Random(11), 12));
    for (int i = 0; i < tiles.size(); i++) {
      for (int j = i + 1; j < tiles.size(); j++) {
        Tile a = tiles.get(i);
        Tile b = tiles.get(j);
        double across = Math.max(b.x() - (a.x() + a.width()), a.x() - (b.x() + b.width()));
        double down = b.y() - (a.y() + a.height());
        assertTrue(across >= GROUT - ROUNDING || down >= GROUT - ROUNDING, a + " touches " + b);
      }
    }
  }

  @Test
  public void evenPiecesComeOutNearlySquare() {
    List<Piece> even = new ArrayList<>();
    for (int i = 0; i < 12; i++) {
      even.add(new Piece("p" + i, Mass.ofGrams(100)));
    }
    for (Tile tile : MosaicLayout.of(400, 300, 0).lay(even)) {
      assertEquals(tile.width(), 100, ROUNDING);
      assertEquals(tile.height(), 100, ROUNDING);
    }
  }

  @Test
  public void nothingToLayIsAnEmptyFrameAndNoRoomIsRefused() {
    assertEquals(MosaicLayout.of(100, 100, GROUT).lay(List.of()), List.of());
    assertThrows(
        IllegalArgumentException.class,
        () -> MosaicLayout.of(1, 1, 50).lay(pieces(new Random(1), 5)));
    assertThrows(IllegalArgumentException.class, () -> new Piece("p", Mass.ZERO));
  }

  private static List<Piece> pieces(Random random, int count) {
    List<Piece> pieces = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      pieces.add(new Piece("p" + i, Mass.ofGrams(20 + random.nextInt(1500))));
    }
    return pieces;
  }

  private static double grams(Piece piece) {
    return piece.mass().inGrams().doubleValue();
  }

  private static double right(List<Tile> tiles) {
    return tiles.stream().mapToDouble(t -> t.x() + t.width()).max().orElseThrow();
  }

  private static double bottom(List<Tile> tiles) {
    return tiles.stream().mapToDouble(t -> t.y() + t.height()).max().orElseThrow();
  }
}
