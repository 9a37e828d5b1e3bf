package mosaicknife.app.bench;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
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

  private final WeighingRepository weighings;
  private final BenchSheets sheets;
  private final CurrentPerson current;
  private final Clock clock;

  Shift(WeighingRepository weighings, BenchSheets sheets, CurrentPerson current, Clock clock) {
    this.weighings = weighings;
    this.sheets = sheets;
    this.current = current;
    this.clock = clock;
  }

  private record Cut(Instant at, double overNorm) {}

  /** Whether the cuts of this person get lighter; empty where there are too few to tell. */
  @Transactional(readOnly = true)
  public Optional<Drift> drift(BenchSheet sheet) {
    String by = current.get().name();
    List<Long> lots =
        weighings.lotsOf(
            current.get().id(),
            sheet.lot().species().code(),
            clock.instant().minus(LENGTH),
            Drift.FEWEST);
    if (lots.isEmpty()) {
      return Optional.empty();
    }
    Set<Long> others = new LinkedHashSet<>(lots);
    others.remove(sheet.lot().id());
    List<Double> yields =
        Stream.concat(Stream.of(sheet), others.stream().map(sheets::get))
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
