package mosaicknife.app.lot;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.lot.Division;
import mosaicknife.core.lot.Lot;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps which lots were taken out of which, and moves fish, money and inspection with them. */
@Service
@Transactional
public class Divisions {

  private final DivisionRepository divisions;
  private final LotRepository lots;
  private final LotFishRepository measured;
  private final InspectionRepository inspections;
  private final ClaimRepository claims;
  private final EvidenceRepository evidence;
  private final LotRegister register;
  private final CurrentPerson current;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  Divisions(
      DivisionRepository divisions,
      LotRepository lots,
      LotFishRepository measured,
      InspectionRepository inspections,
      ClaimRepository claims,
      EvidenceRepository evidence,
      LotRegister register,
      CurrentPerson current,
      ApplicationEventPublisher events,
      Clock clock) {
    this.divisions = divisions;
    this.lots = lots;
    this.measured = measured;
    this.inspections = inspections;
    this.claims = claims;
    this.evidence = evidence;
    this.register = register;
    this.current = current;
    this.events = events;
    this.clock = clock;
  }

  /**
   * Finds the lot another was taken out of.
   *
   * @param lotId the number of the lot
   * @return the number of the lot its fish came from, or empty
   */
  @Transactional(readOnly = true)
  public Optional<Long> from(long lotId) {
    return divisions.findById(lotId).map(DivisionEntity::fromLotId);
  }

  /**
   * Returns the lots that were taken out of a lot.
   *
   * @param lotId the number of the lot
   * @return their numbers
   */
  @Transactional(readOnly = true)
  public List<Long> into(long lotId) {
    return divisions.findAllByFromLotIdOrderByLotId(lotId).stream()
        .map(DivisionEntity::lotId)
        .toList();
  }

  /**
   * Returns whether something was claimed for a lot and not given up.
   *
   * @param lotId the number of the lot
   * @return true while a claim stands
   */
  @Transactional(readOnly = true)
  public boolean isClaimed(long lotId) {
    return claims.findAllByLotIdOrderById(lotId).stream().anyMatch(claim -> !claim.isGivenUp());
  }

  /**
   * Finds the lot a division made that was sent before.
   *
   * @param clientId the identifier the sender made
   * @return the number of the lot, or empty
   */
  @Transactional(readOnly = true)
  public Optional<Long> sentBefore(UUID clientId) {
    return lots.findByClientId(clientId).map(LotEntity::id);
  }

  /**
   * Makes a lot of the fish that were taken out of one. The inspection of all holds for them until
   * they have one of their own.
   *
   * @param clientId the identifier the sender made
   * @param lot the lot
   * @param version the version the page showed
   * @param numbers the numbers of the fish that leave; empty if they were not weighed one by one
   * @param division what leaves and what stays
   * @return the number of the new lot
   * @throws Refusal if the page was stale
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.of('LOT', #lot.id())")
  public long divide(
      UUID clientId, Lot lot, int version, List<Integer> numbers, Division division) {
    LotEntity from = register.fresh(lot.id(), version);
    LotEntity taken = lots.saveAndFlush(from.takenOut(clientId, division.taken()));
    from.keep(division.left());
    divisions.save(new DivisionEntity(taken.id(), lot.id(), current.get().id(), clock.instant()));
    moveFish(lot, numbers, taken.id());
    events.publishEvent(new LotReceived(register.get(taken.id())));
    events.publishEvent(new LotChanged(lot.id()));
    return taken.id();
  }

  /** The fish that leave are numbered anew in their lot, and those that stay in theirs. */
  private void moveFish(Lot lot, List<Integer> numbers, long to) {
    List<MeasuredFish> all =
        measured.findAllByKeyLotIdOrderByKeyFishNo(lot.id()).stream()
            .map(LotFishEntity::toFish)
            .toList();
    if (all.isEmpty()) {
      return;
    }
    if (numbers.isEmpty()) {
      throw Refusal.ofInput("lot.problem.some-fish-were-measured");
    }
    measured.deleteAllByKeyLotId(lot.id());
    measured.flush();
    number(all, numbers, to);
    number(all, Division.staying(lot.fish(), numbers), lot.id());
  }

  private void number(List<MeasuredFish> all, List<Integer> numbers, long lotId) {
    for (int i = 0; i < numbers.size(); i++) {
      int number = numbers.get(i);
      int now = i + 1;
      all.stream()
          .filter(fish -> fish.number() == number)
          .forEach(
              fish ->
                  measured.save(
                      new LotFishEntity(
                          lotId, new MeasuredFish(now, fish.mass(), fish.length(), fish.basis()))));
    }
  }

  /**
   * Puts the fish of a lot back to the lot they came from; the lot is no more. Its parts must be
   * gone before.
   *
   * @param taken the lot that was taken out
   * @param from the lot they came from
   * @throws Refusal if something was claimed or filed for the lot since
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.of('LOT', #taken.id())")
  public void putBack(Lot taken, Lot from) {
    boolean papers = !taken.papers().records().isEmpty() || !taken.papers().exemptions().isEmpty();
    boolean filed = evidence.countByLotId(taken.id()) > 0 || inspections.existsByLotId(taken.id());
    if (isClaimed(taken.id()) || filed || papers) {
      throw Refusal.ofInput("lot.problem.has-papers-of-its-own", taken.id());
    }
    register.find(from.id()).keep(Division.rejoined(from.receipt(), taken.receipt()));
    List<LotFishEntity> fish = measured.findAllByKeyLotIdOrderByKeyFishNo(taken.id());
    List<MeasuredFish> back = fish.stream().map(LotFishEntity::toFish).toList();
    measured.deleteAllByKeyLotId(taken.id());
    for (MeasuredFish one : back) {
      measured.save(
          new LotFishEntity(
              from.id(),
              new MeasuredFish(from.fish() + one.number(), one.mass(), one.length(), one.basis())));
    }
    divisions.findById(taken.id()).ifPresent(divisions::delete);
    lots.delete(register.find(taken.id()));
    events.publishEvent(new LotChanged(from.id()));
  }
}
