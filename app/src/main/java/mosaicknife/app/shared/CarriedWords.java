package mosaicknife.app.shared;

import mosaicknife.core.cost.Carried;

/** What something carries, in its parts: the same words at the pot and on the shelf. */
public final class CarriedWords {

  private CarriedWords() {}

  /**
   * Says the parts.
   *
   * @param carried what it carries
   * @param formats the formats of the house
   * @return fish, goods, hands and heat, the last two as estimates
   */
  public static String parts(Carried carried, Formats formats) {
    return formats.say(
        "carried.parts",
        formats.money(carried.fish()),
        formats.money(carried.beside().goods()),
        formats.money(carried.beside().work()),
        formats.money(carried.beside().fuel()));
  }
}
