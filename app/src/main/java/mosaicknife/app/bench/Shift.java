package mosaicknife.app.bench;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.core.anatomy.PartClass;
import mosaicknife.core.craft.Drift;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Looks at the main cuts one person took in this shift, over all lots of a species. */
@Component
class Shift {

  private static final Duration LENGTH = Duration.ofHours(10);
  private static final Duration ANEW = Duration.ofSeconds(20);
  private static final int MOST_LOTS = 12;
  private static final int MOST_KEPT = 500;

  private final WeighingRepository weighings;
  private final BenchSheets sheets;
  private final CurrentPerson current;
  private final Clock clock;
  private final Map<Hands, Kept> kept = new ConcurrentHashMap<>();

  Shift(WeighingRepository weighings, BenchSheets sheets, CurrentPerson current, Clock clock) {
    this.weighings = weighings;
    this.sheets = sheets;
    this.current = current;
    this.clock = clock;
  }

  private record Cut(Instant at, double overNorm) {}

  private record Hands(long person, String species) {}

  private record Kept(Optional<Drift> drift, Instant at) {}

  /**
   * Whether the cuts of this person get lighter; empty where there are too few to tell. It reads
   * many lots, so it is looked at anew only now and then: a knife does not get dull in seconds.
   */
  @Transactional(readOnly = true)
  public Optional<Drift> drift(BenchSheet sheet) {
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

  private Optional<Drift> look(BenchSheet sheet) {
    String by = current.get().name();
    Instant since = clock.instant().minus(LENGTH);
    if (weighings.countMainCutsOf(current.get().id(), since) < Drift.FEWEST) {
      return Optional.empty();
    }
    List<Long> lots =
        weighings.lotsOfMainCutsOf(current.get().id(), since).stream()
            .sorted(Comparator.reverseOrder())
            .limit(MOST_LOTS)
            .toList();
    Set<Long> others = new LinkedHashSet<>(lots);
    others.remove(sheet.lot().id());
    List<Double> yields =
        Stream.concat(Stream.of(sheet), others.stream().map(sheets::get))
            .filter(lot -> lot.lot().species().code().equals(sheet.lot().species().code()))
            .flatMap(lot -> cuts(lot, by))
            .sorted(Comparator.comparing(Cut::at))
            .map(Cut::overNorm)
            .toList();
    return Drift.in(yields);
  }

  private static Stream<Cut> cuts(BenchSheet sheet, String by) {
    double fish = sheet.lot().fish();
    return sheet.parts().stream()
        .filter(part -> part.kind().nature() == PartClass.FLESH && part.parentId().isEmpty())
        .filter(part -> part.expected().filter(mass -> mass.isPositive()).isPresent())
        .flatMap(
            part ->
                part.taken().stream()
                    .filter(taken -> taken.by().equals(by) && taken.fishNo() != 0)
                    .map(
                        taken ->
                            new Cut(
                                taken.at(),
                                taken.mass().milligrams()
                                    * fish
                                    / part.expected().get().milligrams())));
  }
}
