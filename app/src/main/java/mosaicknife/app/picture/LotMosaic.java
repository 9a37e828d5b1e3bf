package mosaicknife.app.picture;

import mosaicknife.app.picture.MosaicPicture.PartLabel;
import mosaicknife.app.picture.MosaicPicture.Size;
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
            sheet.find(slot).map(part -> new PartLabel(part.number(), part.name(), part.purpose())),
        size,
        formats,
        summary);
  }
}
