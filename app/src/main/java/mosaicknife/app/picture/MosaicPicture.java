package mosaicknife.app.picture;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import mosaicknife.app.shared.Decimals;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.breakdown.FishTiles;
import mosaicknife.core.breakdown.FishTiles.FishTile;
import mosaicknife.core.breakdown.FishTiles.Standing;
import mosaicknife.core.mosaic.MosaicLayout;
import mosaicknife.core.mosaic.MosaicLayout.Piece;
import mosaicknife.core.mosaic.Tile;
import mosaicknife.core.quantity.Mass;

/**
 * The mosaic of one lot, ready for the template: an SVG and the table that says the same.
 *
 * @param width the width in pixels with the frame
 * @param height the height in pixels with the frame
 * @param cracked whether the parts outweigh the fish
 * @param tiles the tiles in cutting order
 * @param summary one sentence that says what is seen
 */
public record MosaicPicture(
    int width, int height, boolean cracked, List<TilePicture> tiles, String summary) {

  private static final double GROUT = 2;
  private static final int FRAME = 3;
  private static final double NAME_WIDTH = 74;
  private static final double NAME_HEIGHT = 44;
  private static final double LETTER_SIDE = 20;
  private static final double CHARACTER_WIDTH = 7.6;
  private static final double SLICE_HEIGHT = 62;

  /** How large a mosaic is drawn. */
  public enum Size {
    /** In lists. */
    SMALL(168, 60),
    /** Beside the drawing at the bench. */
    BENCH(720, 216),
    /** Across a page. */
    WIDE(1180, 190),
    /** The main thing on a page. */
    LARGE(720, 420);

    private final int width;
    private final int height;

    Size(int width, int height) {
      this.width = width;
      this.height = height;
    }
  }

  /**
   * One tile.
   *
   * @param slot the part
   * @param css its classes: standing and purpose
   * @param x left edge
   * @param y top edge
   * @param width width
   * @param height height
   * @param letter the letter of its purpose; empty if open or no room
   * @param name its name, or its number where there is no room for that; empty for neither
   * @param fullName its name, for the table
   * @param weight its mass as text, {@code ≈} if expected
   * @param share its share of the fish in percent
   * @param purpose the purpose in words, for the table
   * @param weightFits whether there is room for the weight
   * @param slices what its grams become, where they become several things
   */
  public record TilePicture(
      String slot,
      String css,
      String x,
      String y,
      String width,
      String height,
      String letter,
      String name,
      String fullName,
      String weight,
      String share,
      String purpose,
      boolean weightFits,
      List<SlicePicture> slices) {}

  /**
   * Some grams of a tile.
   *
   * @param x its left edge within the tile
   * @param width its width
   * @param text what it becomes and how much; empty without room
   * @param title the same, for whoever points at it
   */
  public record SlicePicture(String x, String width, String text, String title) {}

  /**
   * What a tile says of its part.
   *
   * @param number its number on the drawing
   * @param name the name of the part
   * @param purpose what it is for
   * @param slices what its grams become, where that was decided
   */
  public record PartLabel(int number, String name, Optional<Purpose> purpose, List<Slice> slices) {

    /** Copies the slices. */
    public PartLabel {
      slices = List.copyOf(slices);
    }
  }

  /**
   * Some grams of a part.
   *
   * @param name what they become
   * @param mass how much
   */
  public record Slice(String name, Mass mass) {}

  /**
   * Draws the mosaic of a fish.
   *
   * @param fish how the fish is filled
   * @param whole the mass of the fish
   * @param labels what to say of a part; empty for the remainder
   * @param size how large
   * @param formats how the house writes numbers
   * @param summary one sentence that says what is seen
   * @return the picture
   */
  public static MosaicPicture of(
      FishTiles fish,
      Mass whole,
      Function<String, Optional<PartLabel>> labels,
      Size size,
      Formats formats,
      String summary) {
    List<Piece> pieces = new ArrayList<>();
    for (int i = 0; i < fish.tiles().size(); i++) {
      pieces.add(new Piece(String.valueOf(i), fish.tiles().get(i).mass()));
    }
    List<Tile> laid =
        MosaicLayout.of(size.width - 2.0 * FRAME, size.height - 2.0 * FRAME, GROUT).lay(pieces);
    List<TilePicture> tiles = new ArrayList<>();
    for (int i = 0; i < laid.size(); i++) {
      FishTile tile = fish.tiles().get(i);
      tiles.add(picture(tile, laid.get(i), labels.apply(tile.id()), whole, formats));
    }
    return new MosaicPicture(size.width, size.height, fish.isOverfull(), tiles, summary);
  }

  private static TilePicture picture(
      FishTile tile, Tile at, Optional<PartLabel> label, Mass whole, Formats formats) {
    Optional<Purpose> purpose = label.flatMap(PartLabel::purpose);
    String name =
        label.map(PartLabel::name).orElseGet(() -> formats.say("picture.said.not-accounted-for"));
    String open = label.isPresent() ? "p-OPEN" : "p-NONE";
    boolean measured = tile.standing() != Standing.EXPECTED;
    boolean letterFits = at.width() >= LETTER_SIDE && at.height() >= LETTER_SIDE;
    boolean roomy = at.width() >= NAME_WIDTH && at.height() >= NAME_HEIGHT;
    boolean nameFits = roomy && name.length() * CHARACTER_WIDTH <= at.width() - LETTER_SIDE;
    String letter = label.isEmpty() ? "?" : purpose.map(p -> String.valueOf(p.letter())).orElse("");
    return new TilePicture(
        tile.id(),
        "tile %s %s"
            .formatted(
                tile.standing().name().toLowerCase(Locale.ROOT),
                purpose.map(p -> "p-" + p.name()).orElse(open)),
        pixels(at.x() + FRAME),
        pixels(at.y() + FRAME),
        pixels(at.width()),
        pixels(at.height()),
        letterFits ? letter : "",
        nameFits ? name : number(label, at),
        name,
        measured ? formats.mass(tile.mass()) : formats.about(tile.mass()),
        formats.percent(tile.mass().dividedBy(whole)),
        label.isEmpty()
            ? ""
            : purpose.map(formats::say).orElseGet(() -> formats.say("picture.said.open")),
        roomy,
        slices(tile, at, label.map(PartLabel::slices).orElse(List.of()), formats));
  }

  private static List<SlicePicture> slices(
      FishTile tile, Tile at, List<Slice> slices, Formats formats) {
    List<SlicePicture> all = new ArrayList<>();
    double x = 0;
    for (Slice slice : slices) {
      double share = slice.mass().dividedBy(tile.mass()).toDouble();
      double width = Math.min(at.width() - x, at.width() * share);
      String title = formats.say("picture.said.slice", slice.mass(), slice.name());
      boolean fits = at.height() >= SLICE_HEIGHT && title.length() * CHARACTER_WIDTH <= width - 7;
      all.add(new SlicePicture(pixels(x), pixels(width), fits ? title : "", title));
      x += width;
    }
    return all;
  }

  private static String number(Optional<PartLabel> label, Tile at) {
    boolean besideLetter = at.width() >= 2.2 * LETTER_SIDE;
    boolean alone = at.width() >= LETTER_SIDE && label.flatMap(PartLabel::purpose).isEmpty();
    return at.height() >= LETTER_SIDE && (besideLetter || alone)
        ? label.map(l -> String.valueOf(l.number())).orElse("")
        : "";
  }

  private static String pixels(double value) {
    return Decimals.of(value, 2);
  }
}
