package mosaicknife.app.bench;

import java.util.Optional;
import mosaicknife.app.catalogue.CatalogueBook;
import mosaicknife.app.device.Scale;
import mosaicknife.app.device.StandInPanel;
import mosaicknife.app.house.HouseBook;
import mosaicknife.app.picture.FishPicture;
import mosaicknife.app.picture.FishPicture.PartMark;
import mosaicknife.app.picture.FishPicture.Standing;
import mosaicknife.app.picture.MosaicPicture.Size;
import mosaicknife.app.shared.Formats;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Fills the model of the bench page and of its sheet. */
@Component
class BenchPages {

  private final BenchSheets sheets;
  private final HouseBook houses;
  private final Scale scale;
  private final StandInPanel hands;
  private final CatalogueBook catalogue;

  BenchPages(
      BenchSheets sheets,
      HouseBook houses,
      Scale scale,
      StandInPanel hands,
      CatalogueBook catalogue) {
    this.sheets = sheets;
    this.houses = houses;
    this.scale = scale;
    this.hands = hands;
    this.catalogue = catalogue;
  }

  /** Which part of which fish the bench works on. */
  record Place(long lotId, Optional<String> part, int fish) {}

  void fill(Model model, Place place) {
    Formats formats = houses.house().formats();
    BenchSheet sheet = sheets.get(place.lotId());
    int fish = sheet.lot().fish() == 1 ? 1 : Math.min(place.fish(), sheet.lot().fish());
    BenchView view = BenchView.of(sheet, place.part(), Math.max(0, fish), formats);
    model.addAttribute("bench", view);
    model.addAttribute("sheet", sheet);
    model.addAttribute("lot", sheet.lot());
    model.addAttribute("scale", ScaleView.of(scale, formats));
    model.addAttribute("standIn", hands.isThere());
    model.addAttribute("tray", formats.mass(StandInPanel.TRAY));
    model.addAttribute("kinds", catalogue.now().kinds());
    model.addAttribute("mosaic", sheet.mosaic(Size.BENCH, formats));
    model.addAttribute("drawing", drawing(view, formats));
  }

  private static FishPicture drawing(BenchView view, Formats formats) {
    BenchSheet sheet = view.sheet();
    return FishPicture.of(
        sheet.lot().species().plan(),
        slot -> sheet.find(slot).map(part -> mark(part, view, formats)));
  }

  private static PartMark mark(BenchPart part, BenchView view, Formats formats) {
    Optional<Taken> taken = part.find(view.fishNo());
    Standing standing;
    if (part.skipped()) {
      standing = Standing.ABSENT;
    } else if (view.selected().filter(part::equals).isPresent()) {
      standing = Standing.NEXT;
    } else {
      standing = taken.isPresent() ? Standing.WEIGHED : Standing.PENDING;
    }
    return new PartMark(
        part.number(),
        part.name(),
        standing,
        part.purpose(),
        taken.map(t -> formats.mass(t.mass())).orElse(""));
  }
}
