package mosaicknife.app.weighing;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.parts.LotParts;
import mosaicknife.app.parts.OptionChooser;
import mosaicknife.app.shared.OnThisPage;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.lot.Part;
import mosaicknife.core.lot.Weighing;
import mosaicknife.core.plan.Choices;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Loads the facts and choices of lots; what follows from them the core works out. */
@Service
@Transactional(readOnly = true)
public class LotSheets {

  private static final int MOST_KEPT = 500;

  private final LotRegister lots;
  private final LotParts parts;
  private final OptionChooser options;
  private final WeighingRepository weighings;
  private final PeopleRegister people;
  private final CatalogueEditor catalogue;
  private final OnThisPage page;
  private final Map<Long, Known> kept = new ConcurrentHashMap<>();

  LotSheets(
      LotRegister lots,
      LotParts parts,
      OptionChooser options,
      WeighingRepository weighings,
      PeopleRegister people,
      CatalogueEditor catalogue,
      OnThisPage page) {
    this.catalogue = catalogue;
    this.page = page;
    this.lots = lots;
    this.parts = parts;
    this.options = options;
    this.weighings = weighings;
    this.people = people;
  }

  /**
   * Returns one lot.
   *
   * @param lotId the lot number
   * @return its sheet
   * @throws mosaicknife.app.shared.Refusal if there is no such lot
   */
  public LotSheet get(long lotId) {
    return of(List.of(lots.get(lotId))).get(0);
  }

  /**
   * Returns lots with all that follows from them.
   *
   * @param wanted the lots
   * @return their sheets, in the same order
   */
  public List<LotSheet> of(List<Lot> wanted) {
    return page.inOrder(LotSheet.class, wanted, Lot::id, this::workedOut);
  }

  private Map<Long, LotSheet> workedOut(List<Lot> wanted) {
    List<Long> ids = wanted.stream().map(Lot::id).toList();
    Map<Long, List<Part>> partsOf = parts.of(wanted);
    Map<Long, List<Weighing>> standing = standing(ids, partsOf);
    Map<Long, Choices> choices = options.of(ids);
    Catalogue fish = catalogue.now();
    return wanted.stream()
        .collect(
            Collectors.toMap(
                Lot::id,
                lot ->
                    workedOut(
                        new Facts(
                            lot,
                            choices.getOrDefault(lot.id(), Choices.USUAL),
                            partsOf.getOrDefault(lot.id(), List.of()),
                            standing.getOrDefault(lot.id(), List.of()),
                            fish))));
  }

  /** All that a sheet follows from. */
  private record Facts(
      Lot lot, Choices choices, List<Part> parts, List<Weighing> standing, Catalogue catalogue) {}

  private record Known(Facts facts, LotSheet sheet) {}

  /** A sheet follows from its facts alone: of the same facts it is the same sheet. */
  private LotSheet workedOut(Facts facts) {
    Known known = kept.get(facts.lot().id());
    if (known == null || !known.facts().equals(facts)) {
      known =
          new Known(
              facts,
              LotSheet.of(
                  facts.lot(),
                  LotParts.plan(facts.lot(), facts.choices(), facts.catalogue()),
                  facts.parts(),
                  facts.standing(),
                  HouseNorms.STARTING));
      if (kept.size() >= MOST_KEPT) {
        // any one: who asks for more than are kept still finds most of them
        kept.keySet().stream().findAny().ifPresent(kept::remove);
      }
      kept.put(facts.lot().id(), known);
    }
    return known.sheet();
  }

  private record Place(long lot, String slot) {}

  private Map<Long, List<Weighing>> standing(List<Long> ids, Map<Long, List<Part>> partsOf) {
    Map<Long, Place> places = new HashMap<>();
    partsOf.forEach(
        (lot, all) -> all.forEach(part -> places.put(part.id(), new Place(lot, part.slot()))));
    Map<Long, String> names = people.names();
    return weighings.findLastLinks(ids).stream()
        .filter(link -> !link.isTakenBack())
        .collect(
            Collectors.groupingBy(
                link -> places.get(link.partId()).lot(),
                Collectors.mapping(
                    link ->
                        link.toWeighing(
                            places.get(link.partId()).slot(), names.get(link.takenBy())),
                    Collectors.toList())));
  }

  /**
   * Returns every weighing of a lot as it was written down, the superseded ones too.
   *
   * @param lotId the lot number
   * @return the facts in the order they were taken
   */
  public List<Weighing> facts(long lotId) {
    Lot lot = lots.get(lotId);
    Map<Long, String> slots =
        parts.of(List.of(lot)).getOrDefault(lotId, List.of()).stream()
            .collect(Collectors.toMap(Part::id, Part::slot));
    Map<Long, String> names = people.names();
    return weighings.findByPartIdInOrderByTakenAt(slots.keySet()).stream()
        .map(w -> w.toWeighing(slots.get(w.partId()), names.get(w.takenBy())))
        .toList();
  }

  /**
   * Finds the last weight a person took on a lot that stands.
   *
   * @param lotId the lot number
   * @param person the number of the person
   * @return its identifier, or empty
   */
  public Optional<UUID> lastOf(long lotId, long person) {
    return weighings.findLastOf(lotId, person).map(WeighingEntity::id);
  }
}
