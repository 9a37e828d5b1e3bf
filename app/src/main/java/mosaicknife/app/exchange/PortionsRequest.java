package mosaicknife.app.exchange;

import java.math.BigDecimal;
import java.util.List;

/**
 * A fillet to be cut. Masses are texts with units.
 *
 * @param species the code of the species
 * @param part the code of the part, such as {@code fillet-left}
 * @param mass what the part weighs, such as {@code 1.318 kg}
 * @param fish what the fish weighed
 * @param length its length in centimetres; by the norm if left out
 * @param overPerKilogram what a kilogram of leftover is worth, in minor units; 0 if left out
 * @param pinBones LEFT_IN, STRIP or ABOVE_THE_ROW; left in if left out
 * @param withoutBones how many portions without bones are wanted, 0 to 60; 0 if left out
 * @param types what may be cut of it
 */
record PortionsRequest(
    String species,
    String part,
    String mass,
    String fish,
    BigDecimal length,
    Long overPerKilogram,
    String pinBones,
    Integer withoutBones,
    List<TypeRequest> types) {

  /**
   * A kind of portion.
   *
   * @param name what it is for
   * @param target what it should weigh, such as {@code 180 g}
   * @param lightest the least it may weigh; the target if left out
   * @param heaviest the most it may weigh; the target if left out
   * @param thickness how thick it must be everywhere, in millimetres; anything if left out
   * @param boneless whether no pin bone may be in it
   * @param value what one is worth, in minor units; 1 if left out
   * @param style STRAIGHT, BIAS, BLOCK, TAIL_FOLD, SIDE or STEAK; straight if left out
   */
  record TypeRequest(
      String name,
      String target,
      String lightest,
      String heaviest,
      BigDecimal thickness,
      Boolean boneless,
      Long value,
      String style) {}
}
