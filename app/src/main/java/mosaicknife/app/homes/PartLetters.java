package mosaicknife.app.homes;

import java.util.Currency;
import java.util.Optional;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.larder.LarderKeeper.Input;
import mosaicknife.app.parts.PurposeAssigner;
import mosaicknife.app.parts.Use;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.lot.Destination;
import mosaicknife.core.lot.Held;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotRules;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.use.FishUse;
import mosaicknife.core.use.Hand;
import org.springframework.stereotype.Component;

/** The letters of parts follow what is made of them. */
@Component
class PartLetters {

  private final LotSheets sheets;
  private final PurposeAssigner purposes;
  private final HouseSettings houses;

  PartLetters(LotSheets sheets, PurposeAssigner purposes, HouseSettings houses) {
    this.sheets = sheets;
    this.purposes = purposes;
    this.houses = houses;
  }

  /** The part's letter follows what is made of it, as long as its lot is open and it has none. */
  void give(Input input, FishUse use, Optional<Held> held) {
    if (input.label().isPresent()) {
      return;
    }
    LotSheet sheet = sheets.get(input.of().lot());
    Optional<LotPart> part = sheet.find(input.of().slot());
    if (sheet.lot().isFinished() || part.flatMap(LotPart::purpose).isPresent() || part.isEmpty()) {
      return;
    }
    purposes.assign(
        input.of().lot(),
        input.of().slot(),
        part.get().version(),
        use.purpose(),
        new Use(new Destination.ToUse(use.code(), use.name()), Hand.value(use, currency()), held));
  }

  private Currency currency() {
    return houses.house().formats().currency();
  }

  /** A part whose letter followed what is not made any more waits again, with its letter. */
  void forget(Input input, FishUse use) {
    if (input.label().isPresent()) {
      return;
    }
    LotSheet sheet = sheets.get(input.of().lot());
    sheet
        .find(input.of().slot())
        .filter(part -> !sheet.lot().isFinished() && isFor(part, use))
        .filter(part -> LotRules.closed(sheet.lot(), part.part(), use.purpose()).isEmpty())
        .ifPresent(
            part ->
                purposes.assign(
                    input.of().lot(), input.of().slot(), part.version(), use.purpose(), Use.PLAIN));
  }

  private static boolean isFor(LotPart part, FishUse use) {
    return part.part().goesTo() instanceof Destination.ToUse to && to.code().equals(use.code());
  }
}
