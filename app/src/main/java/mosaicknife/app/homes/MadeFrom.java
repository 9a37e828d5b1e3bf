package mosaicknife.app.homes;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosaicknife.app.larder.LarderBook;
import mosaicknife.app.larder.LarderKeeper.Input;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.use.FishUse;
import mosaicknife.core.use.OnHand;
import org.springframework.stereotype.Component;

/** What something is made of, as far as it lies there. */
@Component
class MadeFrom {

  private final LotSheets sheets;
  private final LarderBook shelves;

  MadeFrom(LotSheets sheets, LarderBook shelves) {
    this.sheets = sheets;
    this.shelves = shelves;
  }

  /**
   * What was planned, as far as it is cut and still there: the hand makes it of what lies there.
   */
  List<Input> there(ToMake planned) {
    List<Input> there = new ArrayList<>();
    for (Input input : planned.from()) {
      left(input)
          .filter(Mass::isPositive)
          .map(left -> left.compareTo(input.mass()) < 0 ? left : input.mass())
          .ifPresent(some -> there.add(new Input(input.of(), some)));
    }
    if (there.isEmpty()) {
      throw Refusal.ofInput("homes.problem.nothing-cut", planned.use().name());
    }
    return there;
  }

  private Optional<Mass> left(Input input) {
    return input.label().isEmpty()
        ? sheets
            .get(input.of().lot())
            .find(input.of().slot())
            .map(part -> part.mass().minus(part.part().shelf().in()))
        : Optional.of(shelves.get(input.label().get()).mass());
  }

  boolean mayBeRaw(FishUse use, List<Input> from) {
    return use.raw()
        && from.stream()
            .allMatch(
                input -> {
                  LotSheet sheet = sheets.get(input.of().lot());
                  return sheet.find(input.of().slot()).filter(sheet::mayBeRaw).isPresent();
                });
  }

  List<OnHand.Kind> kinds(List<Input> from) {
    List<OnHand.Kind> kinds = new ArrayList<>();
    for (Input input : from) {
      LotSheet sheet = sheets.get(input.of().lot());
      sheet
          .find(input.of().slot())
          .ifPresent(part -> kinds.add(new OnHand.Kind(part.kind(), sheet.lot().species())));
    }
    return kinds;
  }
}
