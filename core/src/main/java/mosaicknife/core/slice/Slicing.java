package mosaicknife.core.slice;

import java.util.List;
import java.util.Optional;
import mosaicknife.core.quantity.Mass;

/**
 * A fillet with its cuts.
 *
 * @param fillet the fillet
 * @param pieces the pieces from the head end to the tail, together the fillet
 */
public record Slicing(Fillet fillet, List<Piece> pieces) {

  /** Copies the pieces. */
  public Slicing {
    pieces = List.copyOf(pieces);
  }

  /**
   * A piece.
   *
   * @param from where it begins, 0 at the head end of the fillet and 1 at the tail end
   * @param to where it ends
   * @param mass what it weighs, an estimate; of a portion, when it is trimmed
   * @param trim what is trimmed off a portion
   * @param type what it is; empty if it is left over
   * @param bones whether pin bones are in it
   * @param thinnest how thick it is at its thinnest, in millimetres
   */
  public record Piece(
      double from,
      double to,
      Mass mass,
      Mass trim,
      Optional<PortionType> type,
      boolean bones,
      double thinnest) {}

  /**
   * Returns the portions.
   *
   * @return the pieces that are something, from the head end
   */
  public List<Piece> portions() {
    return pieces.stream().filter(piece -> piece.type().isPresent()).toList();
  }

  /**
   * Returns the portions without bones.
   *
   * @return how many they are
   */
  public int boneless() {
    return (int) portions().stream().filter(piece -> !piece.bones()).count();
  }

  /**
   * Returns what is trimmed off the portions.
   *
   * @return the mass
   */
  public Mass trim() {
    return Mass.total(pieces.stream().map(Piece::trim).toList());
  }

  /**
   * Returns what is left over.
   *
   * @return the mass of the pieces that are nothing, without what is trimmed off
   */
  public Mass over() {
    return Mass.total(
        pieces.stream().filter(one -> one.type().isEmpty()).map(Piece::mass).toList());
  }

  /**
   * Returns where the knife goes.
   *
   * @return centimetres from the head end, one for each cut between two pieces
   */
  public List<Double> cuts() {
    return pieces.stream().skip(1).map(piece -> piece.from() * fillet.centimetres()).toList();
  }
}
