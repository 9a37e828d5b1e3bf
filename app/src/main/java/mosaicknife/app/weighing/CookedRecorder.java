package mosaicknife.app.weighing;

import java.time.Clock;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.core.lot.Cooked;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.quantity.Mass;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what parts weighed after cooking, also of lots that are closed: dinner comes after. */
@Service
@Transactional
public class CookedRecorder {

  private final CookedRepository cooked;
  private final LotSheets sheets;
  private final PeopleRegister people;
  private final CurrentPerson current;
  private final Clock clock;

  CookedRecorder(
      CookedRepository cooked,
      LotSheets sheets,
      PeopleRegister people,
      CurrentPerson current,
      Clock clock) {
    this.cooked = cooked;
    this.sheets = sheets;
    this.people = people;
    this.current = current;
    this.clock = clock;
  }

  /**
   * Returns what the parts of a lot weighed after cooking.
   *
   * @param sheet the lot
   * @return the weights by slot of the part
   */
  @Transactional(readOnly = true)
  public Map<String, Cooked> of(LotSheet sheet) {
    Map<Long, String> slots =
        sheet.parts().stream().collect(Collectors.toMap(LotPart::id, LotPart::slot));
    Map<Long, String> names = people.names();
    return cooked.findByPartIdIn(slots.keySet()).stream()
        .map(one -> one.toCooked(slots.get(one.partId()), names.getOrDefault(one.cookedBy(), "")))
        .collect(Collectors.toMap(Cooked::part, one -> one));
  }

  /**
   * Keeps what a part weighed after cooking; said again it is corrected.
   *
   * @param lotId the lot number
   * @param slot the part
   * @param out what came off the heat; empty takes the weights back
   * @param flesh what was taken off the bone, if it was weighed
   * @throws Refusal if there is no such part, or the weights cannot be right
   */
  @PreAuthorize("hasAuthority('WEIGH') and @here.of('LOT', #lotId)")
  @SentTwice
  public void weigh(long lotId, String slot, Optional<Mass> out, Optional<Mass> flesh) {
    LotPart part =
        sheets
            .get(lotId)
            .find(slot)
            .orElseThrow(() -> Refusal.ofMissing("parts.problem.lot-has-no-such-part", lotId));
    Optional<CookedEntity> before = cooked.findById(part.id());
    if (out.isEmpty()) {
      before.ifPresent(cooked::delete);
      return;
    }
    Refusal.ifFound(Cooked.problem(part.name(), part.mass(), out.get(), flesh));
    CookedEntity now = before.orElseGet(() -> new CookedEntity(part.id()));
    now.weigh(out.get(), flesh, current.get().id(), clock.instant());
    cooked.save(now);
  }
}
