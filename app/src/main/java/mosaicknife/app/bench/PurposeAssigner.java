package mosaicknife.app.bench;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Optional;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.Permission;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.dock.LotRegister;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.quantity.UnitPrice;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Decides what parts are for. */
@Service
@Transactional
public class PurposeAssigner {

  private static final int LONGEST_DISH = 120;

  private final LotRegister lots;
  private final LotPartRepository parts;
  private final BenchSheets sheets;
  private final CatalogueEditor catalogue;
  private final HouseSettings houses;
  private final CurrentPerson current;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  PurposeAssigner(
      LotRegister lots,
      LotPartRepository parts,
      BenchSheets sheets,
      CatalogueEditor catalogue,
      HouseSettings houses,
      CurrentPerson current,
      ApplicationEventPublisher events,
      Clock clock) {
    this.lots = lots;
    this.parts = parts;
    this.sheets = sheets;
    this.catalogue = catalogue;
    this.houses = houses;
    this.current = current;
    this.events = events;
    this.clock = clock;
  }

  /**
   * Gives a part its purpose.
   *
   * @param lotId the lot number
   * @param slot the part
   * @param version the version of the part the page showed
   * @param purpose the purpose
   * @param use what becomes of it
   * @throws Refusal if the page was stale, the lot is closed, or the purpose does not fit the part
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE')")
  public void assign(long lotId, String slot, int version, Purpose purpose, Use use) {
    LotPartEntity part = openPart(lotId, slot, version);
    checkKind(part, purpose);
    checkHeld(purpose, use);
    part.assign(purpose, current.may(Permission.SEE_COSTS) ? use : use.at(value(part)));
    events.publishEvent(new LotChanged(lotId));
  }

  /**
   * Gives every weighed part that is still open the purpose its body plan proposes. A part that
   * would be kept stays open, since that needs a date, a place and a person.
   *
   * @param lotId the lot number
   * @throws Refusal if the lot is closed or somebody decided at the same moment
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE')")
  public void assignUsual(long lotId) {
    BenchSheet sheet = sheets.get(lotId);
    for (BenchPart part : sheet.open()) {
      sheet
          .usualPurpose(part)
          .filter(purpose -> purpose != Purpose.HOLD)
          .ifPresent(purpose -> assign(lotId, part.slot(), part.version(), purpose, Use.PLAIN));
    }
  }

  /**
   * Plans a part before it is cut: what it is for, the dish, the venue it goes to. What else was
   * said of it stays as long as the purpose does.
   *
   * @param lotId the lot number
   * @param slot the part
   * @param version the version of the part the page showed
   * @param purpose the purpose; empty to leave it as it is
   * @param becomes the dish or what else it becomes, possibly empty
   * @param venue the venue it goes to; empty for the one that took the lot
   * @throws Refusal if the page was stale, the lot is closed, or the purpose does not fit the part
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE')")
  public void plan(
      long lotId,
      String slot,
      int version,
      Optional<Purpose> purpose,
      String becomes,
      Optional<Long> venue) {
    LotPartEntity part = openPart(lotId, slot, version);
    Optional<Purpose> wanted = purpose.or(part::purpose);
    String dish = PlainText.line(becomes, LONGEST_DISH, "becomes", "dish");
    venue.ifPresent(houses::getVenue);
    if (wanted.isPresent()) {
      boolean same = part.purpose().equals(wanted);
      Optional<Held> held = same ? part.held() : Optional.empty();
      Optional<UnitPrice> value =
          same || !current.may(Permission.SEE_COSTS) ? value(part) : Optional.empty();
      checkKind(part, wanted.get());
      if (wanted.get() == Purpose.HOLD && held.isEmpty()) {
        throw Refusal.ofInput(
            "What is kept needs a date, a place and a person: decide that under Second life.");
      }
      part.assign(wanted.get(), new Use(dish, value, held));
    } else if (!dish.isEmpty()) {
      throw Refusal.ofInput("What is %s for? Tap its letter as well.".formatted(part.name()));
    }
    part.sendTo(venue.orElse(null));
    events.publishEvent(new LotChanged(lotId));
  }

  /**
   * Gives every part of a plan that is still open the purpose its plan proposes, weighed or not. A
   * part that would be kept stays open.
   *
   * @param lotId the lot number
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE')")
  public void planUsual(long lotId) {
    BenchSheet sheet = sheets.get(lotId);
    for (BenchPart part : sheet.expectedParts()) {
      sheet
          .usualPurpose(part)
          .filter(purpose -> part.purpose().isEmpty() && purpose != Purpose.HOLD)
          .ifPresent(
              purpose ->
                  plan(
                      lotId,
                      part.slot(),
                      part.version(),
                      Optional.of(purpose),
                      part.becomes(),
                      part.venueId()));
    }
  }

  /** Who may not see what a part is worth neither sets it nor wipes it. */
  private Optional<UnitPrice> value(LotPartEntity part) {
    return part.value(lots.get(part.lotId()).price().perKilogram().currency());
  }

  private LotPartEntity openPart(long lotId, String slot, int version) {
    if (lots.get(lotId).isFinished()) {
      throw Refusal.ofInput(
          "Lot %d is closed. Open it again before you change it.".formatted(lotId));
    }
    LotPartEntity part =
        parts
            .findByLotIdAndSlot(lotId, slot)
            .orElseThrow(() -> Refusal.ofMissing("Lot %d has no such part.".formatted(lotId)));
    if (part.version() != version) {
      throw Refusal.ofStale(
          "Somebody else decided on %s since this page was opened. Look at it and decide again."
              .formatted(part.name()));
    }
    return part;
  }

  private void checkKind(LotPartEntity part, Purpose purpose) {
    boolean fits = catalogue.now().findKind(part.kind()).orElseThrow().mayBeFor(purpose);
    if (!fits) {
      throw Refusal.ofInput(
          "%s have no use on a plate or in a pot: they spoil the taste. Choose compost or bin."
              .formatted(part.name()));
    }
  }

  private void checkHeld(Purpose purpose, Use use) {
    if (purpose != Purpose.HOLD) {
      return;
    }
    Held held =
        use.held()
            .orElseThrow(
                () ->
                    Refusal.ofInput(
                        "What is kept needs a date, a place and a person. Fill in all three."));
    LocalDate today = LocalDate.now(clock.withZone(houses.house().formats().zone()));
    if (held.until().isBefore(today)) {
      throw Refusal.ofInput("The date to use it by has passed already. Choose today or later.");
    }
  }
}
