package mosaicknife.app.demo;

import java.util.Optional;
import mosaicknife.app.house.Named;
import mosaicknife.app.parts.OptionChooser;
import mosaicknife.app.parts.PurposeAssigner;
import mosaicknife.app.parts.WayKeeper;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.app.weighing.UsualPurposes;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.Mass;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** The plans of the demo: the plaice and the albacore are planned, and one way is kept. */
@Component
@ConditionalOnProperty(name = "mosaic.demo", havingValue = "true")
class DemoPlans {

  private final LotSheets sheets;
  private final OptionChooser options;
  private final WayKeeper ways;
  private final PurposeAssigner purposes;
  private final UsualPurposes usual;

  DemoPlans(
      LotSheets sheets,
      OptionChooser options,
      WayKeeper ways,
      PurposeAssigner purposes,
      UsualPurposes usual) {
    this.sheets = sheets;
    this.options = options;
    this.ways = ways;
    this.purposes = purposes;
    this.usual = usual;
  }

  void load(Named counter, long pollack, long plaice, long albacore) {
    options.makeHouseAnswer(
        pollack, "pin-bones", "our guests are told, and pulling tears soft flesh");
    plaice(plaice);
    albacore(counter, albacore);
  }

  private void plaice(long lot) {
    usual.ofAll(lot);
    LotSheet sheet = sheets.get(lot);
    sheet.parts().stream()
        .filter(part -> part.purpose().filter(Purpose.PLATE::equals).isPresent())
        .forEach(
            part ->
                plan(lot, part, Purpose.PLATE, "plaice fillets, brown shrimps", Optional.empty()));
    // two of its four fillets are a plate
    purposes.serve(lot, new Serving(Serving.Form.PIECES, Mass.ofGrams(300), 0.15, 2, false));
    ways.save(sheet.lot(), sheet.plan().choices(), "small plaice, four fillets");
  }

  /** One large fish over two venues: the bottom loins and the belly go to the counter. */
  private void albacore(Named counter, long lot) {
    options.choose(lot, "shape", "blocks", "even slices for the tasting menu");
    usual.ofAll(lot);
    for (LotPart part : sheets.get(lot).parts()) {
      boolean bottom = part.slot().startsWith("loin-bottom");
      if (bottom || part.slot().equals("belly")) {
        plan(
            lot,
            part,
            bottom ? Purpose.PLATE : Purpose.SECOND_PLATE,
            bottom ? "albacore, seared" : "belly with glaze",
            Optional.of(counter.id()));
      } else if (part.slot().startsWith("loin-top")) {
        plan(lot, part, Purpose.PLATE, "albacore, tasting menu", Optional.empty());
      }
    }
  }

  private void plan(long lot, LotPart part, Purpose purpose, String dish, Optional<Long> venue) {
    purposes.plan(lot, part.slot(), part.version(), Optional.of(purpose), dish, venue);
  }
}
