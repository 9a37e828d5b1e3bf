package mosaicknife.app.lot;

import java.time.LocalDate;
import java.util.List;
import mosaicknife.app.booklet.HouseRules;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.lot.CatchRule;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.Saying;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Looks at the catch of a lot by the rules of the house and by its papers. */
@Service
@Transactional(readOnly = true)
public class CatchChecker {

  private final HouseRules rules;
  private final LotRepository lots;
  private final EvidenceFiler evidence;
  private final HouseSettings houses;

  CatchChecker(HouseRules rules, LotRepository lots, EvidenceFiler evidence, HouseSettings houses) {
    this.rules = rules;
    this.lots = lots;
    this.evidence = evidence;
    this.houses = houses;
  }

  /**
   * Looks at a lot by the rules of its fish.
   *
   * @param lot the lot
   * @return what is to be said; nothing where no rule of the house speaks
   */
  public List<Finding> warnings(Lot lot) {
    List<CatchRule> known =
        rules.catches().stream()
            .map(HouseRules.Kept::rule)
            .filter(rule -> rule.species().equals(lot.species().code()))
            .toList();
    if (known.isEmpty()) {
      return List.of();
    }
    CatchRule.Catch seen =
        new CatchRule.Catch(
            lot.landedOn(),
            lot.arrival().area(),
            lot.arrival().method(),
            (int) lots.countFishLandedOn(lot.species().code(), lot.landedOn()),
            evidence.of(lot.id()).stream().anyMatch(e -> e.kind() == Evidence.Kind.TAG));
    LocalDate today = houses.today();
    return known.stream().flatMap(rule -> rule.warning(seen, today).stream()).toList();
  }

  /**
   * Looks at what is said of the catch of a lot.
   *
   * @param lot the lot
   * @return each saying with how far its papers bear it
   */
  public List<Saying.Said> sayings(Lot lot) {
    return Saying.of(
        lot.receipt(), evidence.of(lot.id()).stream().flatMap(e -> e.shows().stream()).toList());
  }
}
