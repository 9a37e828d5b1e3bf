package mosaicknife.app.weighing;

import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import mosaicknife.app.house.HouseTray;
import mosaicknife.app.house.TrayEditor;
import mosaicknife.app.parts.LotParts;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.core.breakdown.Diagnosis;
import mosaicknife.core.breakdown.Explanation;
import mosaicknife.core.breakdown.Explanation.Cause;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.lot.Tally;
import mosaicknife.core.quantity.Mass;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Searches the tally of a lot for gross errors, and mends one. */
@Service
@Transactional
public class TallyMender {

  private final LotSheets sheets;
  private final WeighingRecorder bench;
  private final TrayEditor trays;
  private final LotParts parts;

  TallyMender(LotSheets sheets, WeighingRecorder bench, TrayEditor trays, LotParts parts) {
    this.sheets = sheets;
    this.bench = bench;
    this.trays = trays;
    this.parts = parts;
  }

  /**
   * Searches the tally of a lot.
   *
   * @param sheet the lot
   * @return what was found; empty for a sound lot
   */
  @Transactional(readOnly = true)
  public Optional<Diagnosis> find(LotSheet sheet) {
    return Tally.search(
        sheet, trays.trays().stream().collect(Collectors.toMap(HouseTray::id, HouseTray::tray)));
  }

  /**
   * Mends what an explanation says, and returns the part to weigh next if it asks for one. The same
   * wish sent again is the same.
   *
   * @param lotId the lot number
   * @param id the identifier the sender made
   * @param line the weighing at fault, or the slot of a part never weighed
   * @param cause what happened
   * @param why words the reason, as it is kept with the fact
   * @return the slot of a part that is to be weighed now; empty if a figure was corrected
   * @throws Refusal if the tally changed since and no longer says so
   */
  @PreAuthorize("hasAuthority('WEIGH') and @here.of('LOT', #lotId)")
  @SentTwice
  public Optional<String> mend(
      long lotId,
      UUID id,
      String line,
      Cause cause,
      BiFunction<LotSheet, Explanation, String> why) {
    LotSheet sheet = sheets.get(lotId);
    if (cause == Cause.NEVER_WEIGHED) {
      sheet
          .find(line)
          .filter(LotPart::skipped)
          .ifPresent(part -> parts.skipOrExpect(lotId, part.slot()));
      return Optional.of(line);
    }
    Explanation explanation =
        find(sheet).stream()
            .flatMap(found -> found.explanations().stream())
            .filter(e -> e.line().equals(line) && e.cause() == cause && e.cause().isMendable())
            .findFirst()
            .orElseThrow(() -> Refusal.ofStale("weighing.problem.the-tally-changed-since-look"));
    String reason = why.apply(sheet, explanation);
    UUID weighing = UUID.fromString(line);
    if (cause == Cause.UNDER_ANOTHER_NAME) {
      bench.takeBack(lotId, id, weighing);
      return sheet.partWeighedBy(line).map(LotPart::slot);
    }
    if (cause == Cause.ROWS_EXCHANGED) {
      UUID other = explanation.other().map(UUID::fromString).orElseThrow();
      Mass mine = massOf(sheet, line);
      UUID twin = UUID.nameUUIDFromBytes((id + " exchanged").getBytes(StandardCharsets.UTF_8));
      bench.mend(lotId, twin, other, mine, reason);
    }
    bench.mend(lotId, id, weighing, explanation.corrected(), reason);
    return Optional.empty();
  }

  private static Mass massOf(LotSheet sheet, String line) {
    return sheet.parts().stream()
        .flatMap(part -> part.taken().stream())
        .filter(taken -> taken.id().toString().equals(line))
        .findFirst()
        .orElseThrow()
        .mass();
  }
}
