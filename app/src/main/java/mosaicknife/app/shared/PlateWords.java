package mosaicknife.app.shared;

import java.util.ArrayList;
import java.util.List;
import mosaicknife.core.portion.Serving.Weight;
import mosaicknife.core.portion.WholePortions.Inside;

/** What is to be said of cuts beside the number of their plates. */
public final class PlateWords {

  private PlateWords() {}

  /**
   * Says what nearly is a plate more, what is served light, and what is not served unasked.
   *
   * @param cuts the cuts
   * @param formats how figures are written
   * @return the sentences; none where there is nothing to say
   */
  public static List<String> of(List<Inside> cuts, Formats formats) {
    List<String> said = new ArrayList<>();
    cuts.stream()
        .flatMap(cut -> cut.near().stream())
        .findFirst()
        .ifPresent(
            near ->
                said.add(
                    formats.say(
                        "shared.said.nearly", near.missing(), near.portions(), near.each())));
    long light = cuts.stream().mapToLong(cut -> cut.pieces(Weight.LIGHT)).sum();
    if (light > 0) {
      said.add(formats.say("shared.said.light", light));
    }
    long asked = cuts.stream().mapToLong(cut -> cut.pieces(Weight.ASKED)).sum();
    if (asked > 0) {
      said.add(formats.say("shared.said.too-light", asked));
    }
    return said;
  }
}
