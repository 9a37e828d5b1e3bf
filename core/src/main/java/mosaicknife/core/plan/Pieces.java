package mosaicknife.core.plan;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.ReferenceFile;
import mosaicknife.core.anatomy.ReferenceFile.Line;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * The pieces a part is usually cut into: eye, strips and tail of a loin, cheeks of a head. Shares
 * are starting estimates with a wide spread.
 */
public final class Pieces {

  private static final Map<String, List<Piece>> SHIPPED = read();

  private Pieces() {}

  /**
   * A piece of a part.
   *
   * @param kind the code of its kind
   * @param share how much of the part it is, above 0 below 1
   * @param spread the standard deviation of that between fish
   * @param usual what it is usually for
   */
  public record Piece(String kind, double share, double spread, Purpose usual) {

    /** Refuses shares out of range. */
    public Piece {
      Check.text(kind, "kind");
      Check.inRange(share, 0.001, 0.999, "share");
      Check.inRange(spread, 0, 1, "spread");
    }

    /**
     * Returns what the piece should weigh.
     *
     * @param part the mass of the part
     * @return its share of it, an estimate
     */
    public Mass of(Mass part) {
      return part.multipliedBy(Fraction.ofEstimate(share), RoundingMode.HALF_EVEN);
    }
  }

  /**
   * Returns the usual pieces of a part.
   *
   * @param part the kind of the part
   * @return the pieces in the order of the work; empty if it is usually not cut further
   */
  public static List<Piece> of(PartKind part) {
    return SHIPPED.getOrDefault(part.code(), List.of());
  }

  /**
   * Finds what is known of a piece.
   *
   * @param part the kind of the part
   * @param piece the kind of the piece
   * @return the piece; empty for one that was never estimated
   */
  public static Optional<Piece> find(PartKind part, PartKind piece) {
    return of(part).stream().filter(one -> one.kind().equals(piece.code())).findFirst();
  }

  /**
   * Returns what a piece is for when it is cut from a part: what the part is for, unless the part
   * goes on the plate and such a piece usually does not.
   *
   * @param part the kind of the part
   * @param purpose what the part is for, if that was decided
   * @param piece the kind of the piece
   * @return the purpose, until it is told otherwise; empty if nothing was decided, the part is
   *     held, or the piece may not be used so
   */
  public static Optional<Purpose> inherited(
      PartKind part, Optional<Purpose> purpose, PartKind piece) {
    return purpose
        .filter(wanted -> wanted != Purpose.HOLD)
        .map(
            wanted ->
                wanted == Purpose.PLATE
                    ? find(part, piece).map(Piece::usual).orElse(wanted)
                    : wanted)
        .filter(piece::mayBeFor);
  }

  private static Map<String, List<Piece>> read() {
    Map<String, List<Piece>> pieces = new LinkedHashMap<>();
    for (Line line : ReferenceFile.open(Pieces.class, "pieces.csv").lines()) {
      pieces
          .computeIfAbsent(line.field(1), part -> new ArrayList<>())
          .add(
              new Piece(
                  line.field(2),
                  line.read(3, Double::parseDouble),
                  line.read(4, Double::parseDouble),
                  line.read(5, Purpose::valueOf)));
    }
    return pieces;
  }
}
