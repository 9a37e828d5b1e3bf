package mosaicknife.app.lot;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.account.Permission;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotRules;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the claims against suppliers; what is credited makes the lot cheaper. */
@Service
@Transactional
public class ClaimSettler {

  private static final int LONGEST_REASON = 300;

  private final ClaimRepository claims;
  private final LotRegister lots;
  private final PeopleRegister people;
  private final CurrentPerson current;
  private final Clock clock;

  ClaimSettler(
      ClaimRepository claims,
      LotRegister lots,
      PeopleRegister people,
      CurrentPerson current,
      Clock clock) {
    this.claims = claims;
    this.lots = lots;
    this.people = people;
    this.current = current;
    this.clock = clock;
  }

  /**
   * Returns the claims of a lot, the oldest first.
   *
   * @param lotId the number of the lot
   * @return the claims
   */
  @Transactional(readOnly = true)
  public List<Claim> of(long lotId) {
    return claims.findAllByLotIdOrderById(lotId).stream()
        .map(claim -> claim.toClaim(people.names()))
        .toList();
  }

  /**
   * A claim as understood.
   *
   * @param clientId the identifier the sender made, so that a repeated send is the same claim
   * @param kind what it is about
   * @param mass the mass it is about; without an amount it is worth this much at the lot's price
   * @param amount the money asked back, if it is not worked out from the mass
   * @param reason the reason
   */
  public record Asked(
      UUID clientId,
      Claim.Kind kind,
      Optional<Mass> mass,
      Optional<ExactMoney> amount,
      String reason) {}

  /**
   * Makes a claim.
   *
   * @param lotId the number of the lot
   * @param asked the claim
   * @return its number
   * @throws Refusal if it is worth nothing, or all claims together more than the lot cost, or an
   *     amount is named by somebody who does not see costs
   */
  @PreAuthorize("hasAuthority('RECEIVE') and @here.of('LOT', #lotId)")
  @SentTwice
  public long ask(long lotId, Asked asked) {
    Optional<ClaimEntity> sentBefore = claims.findByClientId(asked.clientId());
    if (sentBefore.isPresent()) {
      return sentBefore.get().id();
    }
    if (asked.amount().isPresent() && !current.may(Permission.SEE_COSTS)) {
      // or the limit of a claim would tell, try by try, what the lot cost
      throw Refusal.ofField("amount", "lot.problem.claim-by-weight");
    }
    Lot lot = lots.get(lotId);
    Optional<ExactMoney> amount = LotRules.claimed(lot.receipt(), asked.mass(), asked.amount());
    check(lot, asked.mass(), amount, OptionalLong.empty());
    return claims
        .saveAndFlush(
            new ClaimEntity(
                asked.clientId(),
                lotId,
                asked.kind(),
                asked.mass(),
                amount.orElseThrow(),
                PlainText.needed(asked.reason(), LONGEST_REASON, "reason", FieldName.REASON),
                current.get().id(),
                clock.instant()))
        .id();
  }

  private void check(
      Lot lot, Optional<Mass> mass, Optional<ExactMoney> amount, OptionalLong except) {
    ExactMoney others =
        of(lot.id()).stream()
            .filter(claim -> except.isEmpty() || claim.id() != except.getAsLong())
            .filter(claim -> claim.status() != Claim.Status.DROPPED)
            .map(Claim::amount)
            .reduce(ExactMoney.zero(lot.currency()), ExactMoney::plus);
    Refusal.ifFound(LotRules.claim(lot.receipt(), mass, amount, others));
  }

  /**
   * Settles a claim: what the supplier credits, or that it is given up.
   *
   * @param lotId the lot at whose address it is settled
   * @param id its number
   * @param version the version the page showed
   * @param status credited or given up, or asked again
   * @param amount what is credited, which may be less than was asked
   * @throws Refusal if the lot has no such claim, the page was stale or more is credited than the
   *     lot cost
   */
  @PreAuthorize("hasAuthority('SEE_COSTS') and @here.of('LOT', #lotId)")
  public void settle(long lotId, long id, int version, Claim.Status status, ExactMoney amount) {
    ClaimEntity claim =
        claims
            .findById(id)
            .filter(one -> one.lotId() == lotId)
            .orElseThrow(() -> Refusal.ofMissing("lot.problem.this-lot-has-no-such"));
    if (claim.version() != version) {
      throw Refusal.ofStale("lot.problem.someone-else-settled-this-claim");
    }
    check(lots.get(claim.lotId()), Optional.empty(), Optional.of(amount), OptionalLong.of(id));
    claim.settle(status, amount);
  }

  /** Returns the claim of a number with its lot. */
  @Transactional(readOnly = true)
  public Claim get(long lotId, long id) {
    return of(lotId).stream()
        .filter(claim -> claim.id() == id)
        .findFirst()
        .orElseThrow(() -> Refusal.ofMissing("lot.problem.this-lot-has-no-such"));
  }
}
