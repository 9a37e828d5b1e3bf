package mosaicknife.app.parts;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.lot.Divisions;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.core.lot.Division;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.quantity.Mass;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lets some fish of a lot be cut another way: they become a lot of their own. */
@Service
@Transactional
public class LotDivider {

  private final Divisions divisions;
  private final LotRegister lots;
  private final LotPartRepository parts;
  private final LotOptionRepository options;
  private final WeighedParts weighed;
  private final ApplicationEventPublisher events;

  LotDivider(
      Divisions divisions,
      LotRegister lots,
      LotPartRepository parts,
      LotOptionRepository options,
      WeighedParts weighed,
      ApplicationEventPublisher events) {
    this.divisions = divisions;
    this.lots = lots;
    this.parts = parts;
    this.options = options;
    this.weighed = weighed;
    this.events = events;
  }

  /**
   * How a lot stands to others of its delivery.
   *
   * @param from the lot its fish were taken out of, if they were
   * @param into the lots that were taken out of it
   * @param divisible whether fish may leave it: it has several, and nothing was weighed or claimed
   * @param returnable whether its fish may go back to the lot they came from
   */
  public record Standing(
      Optional<Long> from, List<Long> into, boolean divisible, boolean returnable) {}

  /**
   * Returns how a lot stands to others of its delivery.
   *
   * @param lot the lot
   * @return where its fish came from and may go to
   */
  @Transactional(readOnly = true)
  public Standing of(Lot lot) {
    Optional<Long> from = divisions.from(lot.id());
    boolean open = !lot.isFinished() && !isBegun(lot.id());
    return new Standing(
        from,
        divisions.into(lot.id()),
        open && Division.problem(lot, false, divisions.isClaimed(lot.id())).isEmpty(),
        open && from.filter(id -> !lots.get(id).isFinished() && !isBegun(id)).isPresent());
  }

  private boolean isBegun(long lotId) {
    return parts.findByLotIdInOrderByNumber(List.of(lotId)).stream()
        .anyMatch(part -> weighed.isWeighed(part.id()));
  }

  /**
   * Takes fish out of a lot. The same wish sent again is one.
   *
   * @param lotId the number of the lot
   * @param version the version the page showed
   * @param clientId the identifier the sender made
   * @param numbers the numbers of the fish, where each was weighed by itself; else empty
   * @param count how many fish, where they were not
   * @param mass what those weigh together
   * @return the number of the new lot
   * @throws Refusal if the lot cannot be divided so, or the page was stale
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.of('LOT', #lotId)")
  @SentTwice
  public long divide(
      long lotId,
      int version,
      UUID clientId,
      List<Integer> numbers,
      int count,
      Optional<Mass> mass) {
    Optional<Long> before = divisions.sentBefore(clientId);
    if (before.isPresent()) {
      return before.get();
    }
    lots.checkOpen(lotId);
    Lot lot = lots.get(lotId);
    Refusal.ifFound(Division.problem(lot, isBegun(lotId), divisions.isClaimed(lotId)));
    List<Integer> fish =
        lot.each().isEmpty()
            ? List.of()
            : numbers.stream().filter(n -> n >= 1 && n <= lot.fish()).distinct().sorted().toList();
    int leaving = lot.each().isEmpty() ? count : fish.size();
    Optional<Mass> typed =
        lot.each().isEmpty() ? mass.or(() -> Optional.of(Mass.ZERO)) : Optional.empty();
    Refusal.ifFound(Division.problem(lot, leaving, typed));
    Division division =
        typed.map(m -> Division.of(lot, leaving, m)).orElseGet(() -> Division.of(lot, fish));
    return divisions.divide(clientId, lot, version, fish, division);
  }

  /**
   * Puts the fish of a lot back to the lot they were taken out of. Put back before, they stay so.
   *
   * @param lotId the number of the lot
   * @throws Refusal if one of both lots is closed or begun
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.of('LOT', #lotId)")
  public void putBack(long lotId) {
    Optional<Long> before = divisions.from(lotId);
    if (before.isEmpty()) {
      return;
    }
    long from = before.get();
    lots.checkOpen(lotId);
    lots.checkOpen(from);
    if (isBegun(lotId) || isBegun(from)) {
      throw Refusal.ofInput("parts.problem.weighed-so-stays-apart");
    }
    events.publishEvent(new LotPutBack(lotId, from));
    options.deleteOfLot(lotId);
    parts.deleteOfLot(lotId);
    divisions.putBack(lots.get(lotId), lots.get(from));
  }
}
