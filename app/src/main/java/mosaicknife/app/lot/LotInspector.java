package mosaicknife.app.lot;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.booklet.HouseRules;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotRules;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.Fitness;
import mosaicknife.core.safety.Freshness;
import mosaicknife.core.safety.LengthRule;
import mosaicknife.core.safety.Plausible;
import mosaicknife.core.safety.Sign;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what was inspected and measured at the dock. */
@Service
@Transactional
public class LotInspector {

  private static final int LONGEST_REASON = 200;

  private final InspectionRepository inspections;
  private final LotFishRepository measured;
  private final HouseRules rules;
  private final LotRegister lots;
  private final HouseSettings houses;
  private final CurrentPerson current;
  private final Clock clock;

  LotInspector(
      InspectionRepository inspections,
      LotFishRepository measured,
      HouseRules rules,
      LotRegister lots,
      HouseSettings houses,
      CurrentPerson current,
      Clock clock) {
    this.inspections = inspections;
    this.measured = measured;
    this.rules = rules;
    this.lots = lots;
    this.houses = houses;
    this.current = current;
    this.clock = clock;
  }

  /**
   * Returns the signs that can be looked at on a lot.
   *
   * @param lot the lot
   * @return all signs but those that went with head or gills
   */
  public List<Sign> signs(Lot lot) {
    return Arrays.stream(Sign.values())
        .filter(sign -> Freshness.isThere(sign, lot.state()))
        .toList();
  }

  /**
   * Judges a lot by its signs; stores nothing.
   *
   * @param lot the lot
   * @param grades the grade of each sign that is there
   * @return the judgement
   * @throws Refusal if a sign was not looked at
   */
  public Freshness judge(Lot lot, Map<Sign, Integer> grades) {
    Refusal.ifFound(LotRules.signs(signs(lot), grades));
    return Freshness.of(
        lot.species(),
        lot.state(),
        grades,
        lot.arrival().temperature(),
        lot.cold().minutes(),
        lot.cold().limits());
  }

  /**
   * Stores an inspection. The same one sent again is one.
   *
   * @param lotId the number of the lot
   * @param clientId the identifier the sender made
   * @param grades the grade of each sign that is there
   * @param decision what the person decided
   * @param reason why, needed if it is not what the signs propose
   * @throws Refusal if a sign was not looked at, or a reason is missing
   */
  @PreAuthorize("hasAuthority('RECEIVE') and @here.of('LOT', #lotId)")
  @SentTwice
  public void inspect(
      long lotId, UUID clientId, Map<Sign, Integer> grades, Fitness decision, String reason) {
    if (inspections.findByClientId(clientId).isPresent()) {
      return;
    }
    Lot lot = lots.get(lotId);
    Freshness judged = judge(lot, grades);
    String why = PlainText.line(reason, LONGEST_REASON, "reason", FieldName.REASON);
    Refusal.ifFound(LotRules.decision(judged, decision, why));
    Refusal.ifFound(LotRules.inspecting(lot, decision));
    inspections.saveAndFlush(
        new InspectionEntity(
            clientId, lotId, grades, judged, decision, why, current.get().id(), clock.instant()));
  }

  /**
   * Returns the fish of a lot that were measured alone.
   *
   * @param lotId the number of the lot
   * @return the fish
   */
  @Transactional(readOnly = true)
  public List<MeasuredFish> fish(long lotId) {
    return measured.findAllByKeyLotIdOrderByKeyFishNo(lotId).stream()
        .map(LotFishEntity::toFish)
        .toList();
  }

  /**
   * Stores the fish of a lot that were measured alone, in place of those stored before.
   *
   * @param lotId the number of the lot
   * @param fish the fish
   * @throws Refusal if there are more than the lot has, a figure cannot be, or together they weigh
   *     clearly more than the lot
   */
  @PreAuthorize("hasAuthority('RECEIVE') and @here.of('LOT', #lotId)")
  public void measure(long lotId, List<MeasuredFish> fish) {
    Lot lot = lots.get(lotId);
    for (MeasuredFish one : fish) {
      one.length()
          .flatMap(length -> Plausible.question(lot.species(), length, one.mass()))
          .ifPresent(
              question -> {
                throw Refusal.ofField("fish", "lot.problem.fish", one.number(), question);
              });
    }
    Mass together = Mass.total(fish.stream().flatMap(one -> one.mass().stream()).toList());
    Refusal.ifFound(LotRules.measured(lot.receipt(), fish.size(), together));
    measured.deleteAllByKeyLotId(lotId);
    fish.forEach(one -> measured.save(new LotFishEntity(lotId, one)));
  }

  /**
   * Returns what the house's length rules say of the measured fish of a lot.
   *
   * @param lot the lot
   * @return a sentence for each fish that is warned of
   */
  @Transactional(readOnly = true)
  public List<Finding> lengthWarnings(Lot lot) {
    LocalDate today = houses.today();
    List<LengthRule> known =
        rules.lengths().stream()
            .map(HouseRules.Kept::rule)
            .filter(rule -> rule.species().equals(lot.species().code()))
            .toList();
    List<Finding> warnings = new ArrayList<>();
    for (MeasuredFish fish : fish(lot.id())) {
      for (LengthRule rule : rulesFor(known, fish)) {
        fish.length()
            .flatMap(length -> rule.warning(length, fish.basis(), today))
            .ifPresent(
                warning -> warnings.add(Finding.of(LengthWarning.OF_FISH, fish.number(), warning)));
      }
    }
    return warnings;
  }

  /** A warning about one fish of a lot. */
  public enum LengthWarning {
    /** The number of the fish, the warning. */
    OF_FISH
  }

  /**
   * A rule of the same basis decides; only if there is none, the other one asks to measure again.
   */
  private static List<LengthRule> rulesFor(List<LengthRule> known, MeasuredFish fish) {
    List<LengthRule> same = known.stream().filter(r -> r.basis() == fish.basis()).toList();
    return same.isEmpty() ? known : same;
  }
}
