package mosaicknife.app.picture;

import java.util.List;
import java.util.Map;
import mosaicknife.app.picture.MosaicPicture.PartLabel;
import mosaicknife.app.picture.MosaicPicture.Size;
import mosaicknife.app.picture.MosaicPicture.Slice;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.lot.LotSheet;

/** Draws the mosaic of a lot. */
public final class LotMosaic {

  private LotMosaic() {}

  /**
   * Draws the mosaic of a lot.
   *
   * @param sheet the lot
   * @param size how large
   * @param formats how the house writes numbers
   * @return the picture
   */
  public static MosaicPicture of(LotSheet sheet, Size size, Formats formats) {
    return of(sheet, Map.of(), size, formats);
  }

  /**
   * Draws the mosaic of a lot with what the grams of its parts become.
   *
   * @param sheet the lot
   * @param slices what was decided of grams, by slot
   * @param size how large
   * @param formats how the house writes numbers
   * @return the picture
   */
  public static MosaicPicture of(
      LotSheet sheet, Map<String, List<Slice>> slices, Size size, Formats formats) {
    String summary =
        formats.say(
            "picture.said.mosaic-of-of-weighed-of",
            formats.say("shared.lot-title", sheet.lot().id(), sheet.lot().species().name()),
            formats.mass(sheet.balance().tallied()),
            formats.mass(sheet.lot().purchased()),
            sheet.weightsTaken(),
            sheet.weights());
    return MosaicPicture.of(
        sheet.tiles(),
        sheet.lot().purchased(),
        slot ->
            sheet
                .find(slot)
                .map(
                    part ->
                        new PartLabel(
                            part.number(),
                            part.name(),
                            part.purpose(),
                            slices.getOrDefault(slot, List.of()))),
        size,
        formats,
        summary);
  }
}
