package mosaicknife.app.exchange;

import java.math.BigDecimal;
import java.util.List;

/**
 * The best cuts of a fillet.
 *
 * @param centimetres how long it is
 * @param measured whether that was given; else it is an estimate
 * @param portions how many portions
 * @param overGrams what is left over, in grams
 * @param pieces the pieces from the head end
 */
record PortionsAnswer(
    BigDecimal centimetres,
    boolean measured,
    int portions,
    BigDecimal overGrams,
    List<PieceJson> pieces) {

  /**
   * A piece.
   *
   * @param fromCentimetres where it begins, from the head end
   * @param toCentimetres where it ends
   * @param grams what it weighs, an estimate
   * @param type what it is; nothing if it is left over
   * @param bones whether pin bones are in it
   * @param thinnestMillimetres how thick it is at its thinnest
   */
  record PieceJson(
      BigDecimal fromCentimetres,
      BigDecimal toCentimetres,
      BigDecimal grams,
      String type,
      boolean bones,
      BigDecimal thinnestMillimetres) {}
}
