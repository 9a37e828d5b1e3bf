package mosaicknife.app.shared;

import java.util.List;
import mosaicknife.core.lot.LotSheet;

/** Why another station tells another number of plates: the same words at each. */
public final class ApartWords {

  private ApartWords() {}

  /**
   * Says which plates are told apart.
   *
   * @param sheet the lot
   * @param formats the formats of the house
   * @return a sentence for each reason; nothing where every station tells the same
   */
  public static List<String> of(LotSheet sheet, Formats formats) {
    return sheet.plates().apart().entrySet().stream()
        .map(one -> formats.say("Apart." + one.getKey().name(), one.getValue()))
        .toList();
  }
}
