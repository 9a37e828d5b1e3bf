package mosaicknife.app.weighing;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.core.craft.Drift;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.lot.Opinions;
import mosaicknife.core.lot.Opinions.OverNorm;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Looks at the main cuts one person took in this shift, over all lots of a species. */
@Component
public class WorkShift {

  private static final Duration LENGTH = Duration.ofHours(10);
  private static final Duration ANEW = Duration.ofSeconds(20);
  private static final int MOST_LOTS = 12;
  private static final int MOST_KEPT = 500;

  private final WeighingRepository weighings;
  private final LotSheets sheets;
  private final CatalogueEditor catalogue;
  private final CurrentPerson current;
  private final Clock clock;
  private final Map<Hands, Kept> kept = new ConcurrentHashMap<>();

  WorkShift(
      WeighingRepository weighings,
      LotSheets sheets,
      CatalogueEditor catalogue,
      CurrentPerson current,
      Clock clock) {
    this.weighings = weighings;
    this.sheets = sheets;
    this.catalogue = catalogue;
    this.current = current;
    this.clock = clock;
  }

  private record Hands(long person, String species, long lot) {}

  private record Kept(List<OverNorm> cuts, Instant at) {}

  /**
   * Whether the cuts of this person get lighter; empty where there are too few to tell. The lot on
   * the board is read as it is; the other lots of the shift only now and then, as they are at rest.
   *
   * @param sheet the lot on the board
   * @return the drift, or empty
   */
  @Transactional(readOnly = true)
  public Optional<Drift> drift(LotSheet sheet) {
    long person = current.get().id();
    List<OverNorm> cuts = new ArrayList<>(Opinions.mainCuts(sheet, person));
    Instant since = clock.instant().minus(LENGTH);
    cuts.removeIf(cut -> cut.at().isBefore(since));
    if (!cuts.isEmpty()) {
      cuts.addAll(elsewhere(sheet, person));
    }
    return Opinions.drift(cuts);
  }

  private List<OverNorm> elsewhere(LotSheet sheet, long person) {
    Hands hands = new Hands(person, sheet.lot().species().code(), sheet.lot().id());
    Kept known = kept.get(hands);
    Instant now = clock.instant();
    if (known == null || known.at().plus(ANEW).isBefore(now)) {
      if (kept.size() >= MOST_KEPT) {
        kept.clear();
      }
      known = new Kept(look(hands), now);
      kept.put(hands, known);
    }
    return known.cuts();
  }

  private List<OverNorm> look(Hands hands) {
    Instant since = clock.instant().minus(LENGTH);
    return weighings.lotsOfMainCutsOf(hands.person(), since, catalogue.now().mainKinds()).stream()
        .filter(lot -> lot != hands.lot())
        .sorted(Comparator.reverseOrder())
        .limit(MOST_LOTS)
        .map(sheets::get)
        .filter(sheet -> sheet.lot().species().code().equals(hands.species()))
        .flatMap(sheet -> Opinions.mainCuts(sheet, hands.person()).stream())
        .toList();
  }
}
