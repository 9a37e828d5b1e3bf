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
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Looks at the main cuts one person took in this shift, over all lots of a species. */
@Component
public class Shift {

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

  Shift(
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

  private record Hands(long person, String species) {}

  private record Kept(Optional<Drift> drift, Instant at) {}

  /**
   * Whether the cuts of this person get lighter; empty where there are too few to tell. It reads
   * many lots, so it is looked at anew only now and then: a knife does not get dull in seconds.
   *
   * @param sheet the lot on the board
   * @return the drift, or empty
   */
  @Transactional(readOnly = true)
  public Optional<Drift> drift(LotSheet sheet) {
    Hands hands = new Hands(current.get().id(), sheet.lot().species().code());
    Kept known = kept.get(hands);
    Instant now = clock.instant();
    if (known == null || known.at().plus(ANEW).isBefore(now)) {
      if (kept.size() >= MOST_KEPT) {
        kept.clear();
      }
      known = new Kept(look(sheet), now);
      kept.put(hands, known);
    }
    return known.drift();
  }

  private Optional<Drift> look(LotSheet sheet) {
    long person = current.get().id();
    Instant since = clock.instant().minus(LENGTH);
    List<String> kinds = catalogue.now().mainKinds();
    if (weighings.countMainCutsOf(person, since, kinds) < Drift.FEWEST) {
      return Optional.empty();
    }
    List<LotSheet> looked = new ArrayList<>(List.of(sheet));
    weighings.lotsOfMainCutsOf(person, since, kinds).stream()
        .filter(lot -> lot != sheet.lot().id())
        .sorted(Comparator.reverseOrder())
        .limit(MOST_LOTS)
        .map(sheets::get)
        .forEach(looked::add);
    return Opinions.drift(looked, sheet.lot().species().code(), person);
  }
}
