package mosaicknife.app.lot;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.lot.CatchRule;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.Saying;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the house's rules about catches, and looks at lots by them. */
@Service
@Transactional
public class CatchRuleKeeper {

  private final CatchRuleRepository rules;
  private final LotRepository lots;
  private final EvidenceFiler evidence;
  private final CatalogueEditor catalogue;
  private final HouseSettings houses;
  private final CurrentPerson current;

  CatchRuleKeeper(
      CatchRuleRepository rules,
      LotRepository lots,
      EvidenceFiler evidence,
      CatalogueEditor catalogue,
      HouseSettings houses,
      CurrentPerson current) {
    this.rules = rules;
    this.lots = lots;
    this.evidence = evidence;
    this.catalogue = catalogue;
    this.houses = houses;
    this.current = current;
  }

  /**
   * Looks at a lot by the rules of its fish.
   *
   * @param lot the lot
   * @return what is to be said; nothing where no rule of the house speaks
   */
  @Transactional(readOnly = true)
  public List<Finding> warnings(Lot lot) {
    List<CatchRule> known =
        rules.findAllBySpeciesOrderById(lot.species().code()).stream()
            .map(CatchRuleEntity::toRule)
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
  @Transactional(readOnly = true)
  public List<Saying.Said> sayings(Lot lot) {
    return Saying.of(
        lot.receipt(), evidence.of(lot.id()).stream().flatMap(e -> e.shows().stream()).toList());
  }

  /**
   * A rule with what a page says of it.
   *
   * @param id its number
   * @param fish the name of the fish
   * @param rule the rule
   * @param expired whether the house no longer trusts it
   */
  public record Row(long id, String fish, CatchRule rule, boolean expired) {}

  /**
   * Returns the rules of the house.
   *
   * @return all, by fish
   */
  @Transactional(readOnly = true)
  public List<Row> rows() {
    LocalDate today = houses.today();
    return rules.findAllByOrderBySpeciesAscIdAsc().stream()
        .map(
            row -> {
              CatchRule rule = row.toRule();
              Optional<String> name =
                  catalogue.now().findSpecies(rule.species()).map(species -> species.name());
              return new Row(row.id(), name.orElse(rule.species()), rule, !rule.isTrusted(today));
            })
        .toList();
  }

  /**
   * Keeps a rule.
   *
   * @param rule the rule, read today
   * @throws Refusal if something is missing, or the day is past
   */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE')")
  public void keep(CatchRule rule) {
    Refusal.ifFound(rule.problem());
    rules.saveAndFlush(new CatchRuleEntity(rule, current.get().id()));
  }

  /**
   * Drops a rule.
   *
   * @param id its number
   */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE')")
  public void drop(long id) {
    rules.deleteById(id);
  }
}
