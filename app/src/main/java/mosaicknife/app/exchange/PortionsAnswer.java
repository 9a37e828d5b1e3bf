package mosaicknife.app.exchange;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import mosaicknife.core.slice.Fillet;
import mosaicknife.core.slice.PassCut;
import mosaicknife.core.slice.PinBoneCut;
import mosaicknife.core.slice.PortionType;
import mosaicknife.core.slice.Slicing;

/**
 * The best cuts of a fillet.
 *
 * @param centimetres how long it is
 * @param measured whether that was given; else it is an estimate
 * @param portions how many portions
 * @param withoutBones how many of them have no bones
 * @param overGrams what is left over, in grams
 * @param trimGrams what is trimmed off portions, in grams
 * @param stripGrams what comes out with the pin bones, in grams
 * @param pieces the pieces from the head end
 */
record PortionsAnswer(
    BigDecimal centimetres,
    boolean measured,
    int portions,
    int withoutBones,
    BigDecimal overGrams,
    BigDecimal trimGrams,
    BigDecimal stripGrams,
    List<PieceJson> pieces) {

  /**
   * A piece.
   *
   * @param zone WHOLE, BACK, BELLY_SIDE or TAIL: what of the fillet it is cut of
   * @param fromCentimetres where it begins, from the head end
   * @param toCentimetres where it ends
   * @param grams what it weighs, an estimate
   * @param type what it is; nothing if it is left over
   * @param bones whether pin bones are in it
   * @param thinnestMillimetres how thick it is at its thinnest
   */
  record PieceJson(
      String zone,
      BigDecimal fromCentimetres,
      BigDecimal toCentimetres,
      BigDecimal grams,
      String type,
      boolean bones,
      BigDecimal thinnestMillimetres) {}

  static PortionsAnswer of(PassCut cut) {
    Fillet fillet = cut.bones().fillet();
    List<PieceJson> pieces = new ArrayList<>();
    BigDecimal over = BigDecimal.ZERO;
    BigDecimal trim = BigDecimal.ZERO;
    for (int i = 0; i < cut.lanes().size(); i++) {
      PinBoneCut.Lane lane = cut.bones().lanes().get(i);
      Slicing slicing = cut.lanes().get(i);
      over = over.add(slicing.over().inGrams());
      trim = trim.add(slicing.trim().inGrams());
      pieces.addAll(pieces(slicing, lane.zone(), lane.from() * fillet.centimetres()));
    }
    return new PortionsAnswer(
        tenth(fillet.centimetres()),
        fillet.measured(),
        cut.portions(),
        cut.boneless(),
        over,
        trim,
        cut.bones().strip().inGrams(),
        pieces);
  }

  static List<PieceJson> pieces(Slicing slicing, PinBoneCut.Zone zone, double start) {
    double length = slicing.fillet().centimetres();
    return slicing.pieces().stream()
        .map(
            piece ->
                new PieceJson(
                    zone.name(),
                    tenth(start + piece.from() * length),
                    tenth(start + piece.to() * length),
                    piece.mass().inGrams(),
                    piece.type().map(PortionType::name).orElse(null),
                    piece.bones(),
                    tenth(piece.thinnest())))
        .toList();
  }

  private static BigDecimal tenth(double figure) {
    return BigDecimal.valueOf(figure).setScale(1, RoundingMode.HALF_UP);
  }
}
