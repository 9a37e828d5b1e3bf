package mosaicknife.core.slice;

import java.util.ArrayList;
import java.util.List;

/** What the pass must know of a piece before it is cooked. */
public enum PassFlag {
  /** There are bones in it: said to the guest, never to a child's plate. */
  BONES,
  /** Much thinner than most: it goes in last. */
  FAST,
  /** Much thicker than most: it goes in first. */
  SLOW,
  /** Its lot may be eaten raw: a record opened the gate. */
  RAW_ALLOWED;

  /** Heat takes the square of the thickness: at three quarters about half the time. */
  private static final double THIN = 0.75;

  private static final double THICK = 1.3;

  /**
   * Returns the flags of a piece.
   *
   * @param piece the piece
   * @param slicing the cuts it is one of
   * @param raw whether a record allows the lot to be eaten raw
   * @return the flags, in their order; of a single portion neither fast nor slow
   */
  public static List<PassFlag> of(Slicing.Piece piece, Slicing slicing, boolean raw) {
    List<PassFlag> flags = new ArrayList<>();
    if (piece.bones()) {
      flags.add(BONES);
    }
    List<Double> sorted =
        slicing.portions().stream().map(one -> thick(one, slicing.fillet())).sorted().toList();
    if (sorted.size() > 1) {
      double median = sorted.get(sorted.size() / 2);
      double own = thick(piece, slicing.fillet());
      if (own < THIN * median) {
        flags.add(FAST);
      } else if (own > THICK * median) {
        flags.add(SLOW);
      }
    }
    if (raw) {
      flags.add(RAW_ALLOWED);
    }
    return flags;
  }

  private static double thick(Slicing.Piece piece, Fillet fillet) {
    return fillet.millimetresAt((piece.from() + piece.to()) / 2);
  }
}
