package mosaicknife.app.weighing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosaicknife.app.parts.PurposeAssigner;
import mosaicknife.app.parts.Use;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Gives parts the purpose their plan proposes. What would be held stays open: it needs a date. */
@Service
@Transactional
public class UsualPurposes {

  private final LotSheets sheets;
  private final PurposeAssigner purposes;

  UsualPurposes(LotSheets sheets, PurposeAssigner purposes) {
    this.sheets = sheets;
    this.purposes = purposes;
  }

  /**
   * Gives every weighed part that is still open its usual purpose.
   *
   * @param lotId the lot number
   * @return the names of the parts that have no usual purpose and stay open
   * @throws mosaicknife.app.shared.Refusal if the lot is closed or someone decided first
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.of('LOT', #lotId)")
  public List<String> ofWeighed(long lotId) {
    LotSheet sheet = sheets.get(lotId);
    List<String> left = new ArrayList<>();
    for (LotPart part : sheet.open()) {
      usual(sheet, part)
          .ifPresentOrElse(
              purpose -> purposes.assign(lotId, part.slot(), part.version(), purpose, Use.PLAIN),
              () -> left.add(part.name()));
    }
    return left;
  }

  /**
   * Gives every part that is still open its usual purpose, weighed or not.
   *
   * @param lotId the lot number
   * @throws mosaicknife.app.shared.Refusal if the lot is closed or someone decided first
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.of('LOT', #lotId)")
  public void ofAll(long lotId) {
    LotSheet sheet = sheets.get(lotId);
    for (LotPart part : sheet.expectedParts()) {
      if (part.purpose().isEmpty()) {
        usual(sheet, part)
            .ifPresent(
                purpose ->
                    purposes.plan(
                        lotId,
                        part.slot(),
                        part.version(),
                        Optional.of(purpose),
                        part.becomes(),
                        part.venueId()));
      }
    }
  }

  private static Optional<Purpose> usual(LotSheet sheet, LotPart part) {
    return sheet.usualPurpose(part).filter(purpose -> purpose != Purpose.HOLD);
  }
}
