package mosaicknife.app.bench;

import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.house.TrayEditor;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.breakdown.Explanation;
import mosaicknife.core.breakdown.Explanation.Cause;
import mosaicknife.core.breakdown.GrossErrors.Finding;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Searches the tally of a lot for gross errors, and mends one. */
@Service
@Transactional
public class TallyMender {

  private final BenchSheets sheets;
  private final WeighingRecorder bench;
  private final TrayEditor trays;
  private final HouseSettings houses;

  TallyMender(BenchSheets sheets, WeighingRecorder bench, TrayEditor trays, HouseSettings houses) {
    this.sheets = sheets;
    this.bench = bench;
    this.trays = trays;
    this.houses = houses;
  }

  /**
   * Searches the tally of a lot.
   *
   * @param sheet the lot
   * @return what was found; empty before the first weight
   */
  @Transactional(readOnly = true)
  public Optional<Finding> find(BenchSheet sheet) {
    return TallyCheck.of(sheet, trays.trays());
  }

  /**
   * Mends what an explanation says, and returns the part to weigh next if it asks for one. The same
   * wish sent again is the same.
   *
   * @param lotId the lot number
   * @param id the identifier the sender made
   * @param line the weighing at fault, or the slot of a part never weighed
   * @param cause what happened
   * @return the slot of a part that is to be weighed now; empty if a figure was corrected
   * @throws Refusal if the tally changed since and no longer says so
   */
  @PreAuthorize("hasAuthority('WEIGH')")
  public Optional<String> mend(long lotId, UUID id, String line, Cause cause) {
    BenchSheet sheet = sheets.get(lotId);
    if (cause == Cause.NEVER_WEIGHED) {
      sheet
          .find(line)
          .filter(BenchPart::skipped)
          .ifPresent(part -> bench.skipOrExpect(lotId, part.slot()));
      return Optional.of(line);
    }
    Explanation explanation =
        find(sheet).stream()
            .flatMap(found -> found.explanations().stream())
            .filter(e -> e.line().equals(line) && e.cause() == cause)
            .findFirst()
            .orElseThrow(
                () -> Refusal.ofStale("The tally changed since. Look at it again, then mend it."));
    bench.mend(
        lotId,
        id,
        UUID.fromString(line),
        explanation.corrected(),
        Suspicion.reason(explanation, houses.house().formats()));
    return Optional.empty();
  }
}
