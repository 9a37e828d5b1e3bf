package mosaicknife.app.bench;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.dock.Lot;
import mosaicknife.app.dock.LotRegister;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.breakdown.Balance;
import mosaicknife.core.breakdown.Breakdown;
import mosaicknife.core.breakdown.FishTiles;
import mosaicknife.core.breakdown.FishTiles.PartSoFar;
import mosaicknife.core.breakdown.Knowledge;
import mosaicknife.core.breakdown.LossNorm;
import mosaicknife.core.breakdown.Node;
import mosaicknife.core.breakdown.ScaleError;
import mosaicknife.core.plan.Choices;
import mosaicknife.core.plan.CutPlan;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads the parts and weighings of lots into what the core computes with. */
@Service
@Transactional(readOnly = true)
public class BenchSheets {

  private final LotRegister lots;
  private final LotPartRepository parts;
  private final WeighingRepository weighings;
  private final PeopleRegister people;
  private final CatalogueEditor catalogue;
  private final OptionChooser options;
  private final PartLayout layout;

  BenchSheets(
      LotRegister lots,
      LotPartRepository parts,
      WeighingRepository weighings,
      PeopleRegister people,
      CatalogueEditor catalogue,
      OptionChooser options,
      PartLayout layout) {
    this.lots = lots;
    this.parts = parts;
    this.weighings = weighings;
    this.people = people;
    this.catalogue = catalogue;
    this.options = options;
    this.layout = layout;
  }

  /**
   * Reads one lot.
   *
   * @param lotId the lot number
   * @return its sheet
   * @throws mosaicknife.app.shared.Refusal if there is no such lot
   */
  public BenchSheet get(long lotId) {
    return read(List.of(lots.get(lotId))).get(0);
  }

  /**
   * Reads all lots, open ones first.
   *
   * @return their sheets
   */
  public List<BenchSheet> all() {
    return read(lots.all());
  }

  /**
   * Returns every weighing of a lot as it was written down, the superseded ones too.
   *
   * @param lotId the lot number
   * @return the facts in the order they were taken
   */
  public List<WeighingFact> facts(long lotId) {
    Map<Long, String> slots =
        parts.findByLotIdInOrderByNumber(List.of(lots.get(lotId).id())).stream()
            .collect(Collectors.toMap(LotPartEntity::id, LotPartEntity::slot));
    Map<Long, String> names = people.names();
    return weighings.findByPartIdInOrderByTakenAt(slots.keySet()).stream()
        .map(w -> w.toFact(slots.get(w.partId()), names.get(w.takenBy())))
        .toList();
  }

  private List<BenchSheet> read(List<Lot> wanted) {
    List<Long> ids = wanted.stream().map(Lot::id).toList();
    Map<Long, String> names = people.names();
    Map<Long, List<LotPartEntity>> partsOf =
        parts.findByLotIdInOrderByNumber(ids).stream()
            .collect(Collectors.groupingBy(LotPartEntity::lotId));
    Map<Long, List<Taken>> takenOf =
        weighings.findLastLinks(ids).stream()
            .filter(link -> !link.isTakenBack())
            .collect(
                Collectors.groupingBy(
                    WeighingEntity::partId,
                    Collectors.mapping(
                        w -> w.toTaken(names.get(w.takenBy())), Collectors.toList())));
    Map<Long, Choices> choices = options.of(ids);
    return wanted.stream()
        .map(
            lot ->
                sheet(
                    lot,
                    layout.plan(lot, choices.getOrDefault(lot.id(), Choices.USUAL)),
                    partsOf.getOrDefault(lot.id(), List.of()),
                    takenOf))
        .toList();
  }

  private BenchSheet sheet(
      Lot lot, CutPlan plan, List<LotPartEntity> rows, Map<Long, List<Taken>> takenOf) {
    Map<String, CutPlan.Planned> expectation =
        plan.parts().stream()
            .collect(Collectors.toMap(part -> part.slot().code(), Function.identity()));
    List<BenchPart> benchParts =
        rows.stream()
            .map(row -> part(lot, row, takenOf.getOrDefault(row.id(), List.of()), expectation))
            .toList();
    Breakdown breakdown =
        new Breakdown(lot.state(), lot.purchased(), lot.fish(), nodes(lot, benchParts));
    Mass outstanding = Mass.total(benchParts.stream().map(BenchPart::outstanding).toList());
    Balance balance = Balance.of(breakdown, outstanding, LossNorm.STARTING, ScaleError.BENCH);
    return new BenchSheet(
        lot, plan, benchParts, breakdown, balance, tiles(lot, benchParts, breakdown));
  }

  private BenchPart part(
      Lot lot, LotPartEntity row, List<Taken> taken, Map<String, CutPlan.Planned> expectation) {
    Optional<CutPlan.Planned> planned = Optional.ofNullable(expectation.get(row.slot()));
    Optional<Mass> expected = planned.map(CutPlan.Planned::mass);
    boolean pooled = taken.stream().anyMatch(t -> t.fishNo() == 0);
    int missing = pooled || row.isSkipped() ? 0 : Math.max(0, lot.fish() - taken.size());
    Mass outstanding =
        expected
            .map(
                mass -> mass.multipliedBy(Fraction.of(missing, lot.fish()), RoundingMode.HALF_EVEN))
            .orElse(Mass.ZERO);
    return new BenchPart(
        row.id(),
        row.slot(),
        row.number(),
        row.name(),
        kind(row),
        row.parentId(),
        row.isPlanned(),
        row.isSkipped(),
        row.isInARow(),
        row.venueId(),
        row.purpose(),
        row.becomes(),
        row.value(lot.price().perKilogram().currency()),
        row.held(),
        expected,
        planned.map(CutPlan.Planned::spread).orElse(Mass.ZERO),
        outstanding,
        taken,
        row.version());
  }

  private PartKind kind(LotPartEntity row) {
    return catalogue
        .findKind(row.kind())
        .orElseThrow(() -> new IllegalStateException("Bug: no part kind " + row.kind()));
  }

  private static List<Node> nodes(Lot lot, List<BenchPart> parts) {
    Map<Long, BenchPart> byId =
        parts.stream().collect(Collectors.toMap(BenchPart::id, Function.identity()));
    List<Node> nodes = new ArrayList<>();
    for (BenchPart part : parts) {
      boolean inside = part.parentId().map(byId::get).filter(BenchPart::isStarted).isPresent();
      if (part.isStarted() && !inside) {
        nodes.addAll(nodesOf(lot, part, parts));
      }
    }
    return nodes;
  }

  private static List<Node> nodesOf(Lot lot, BenchPart part, List<BenchPart> parts) {
    List<Node> pieces = new ArrayList<>();
    parts.stream()
        .filter(p -> p.isStarted() && p.parentId().filter(id -> id == part.id()).isPresent())
        .forEach(p -> pieces.addAll(nodesOf(lot, p, parts)));
    if (!pieces.isEmpty()) {
      rest(part, pieces).ifPresent(pieces::add);
      return List.of(new Node.Cut(part.slot(), part.name(), part.kind(), part.mass(), pieces));
    }
    return part.inARow()
        ? rowOf(lot, part)
        : part.taken().stream().map(taken -> leaf(lot, part, taken)).toList();
  }

  /** What is left of a part that is being cut further, beyond drip: still there, not weighed. */
  private static Optional<Node> rest(BenchPart part, List<Node> pieces) {
    Mass left = part.mass().minus(Mass.total(pieces.stream().map(Node::mass).toList()));
    if (left.compareTo(LossNorm.STARTING.highest(part.mass())) <= 0) {
      return Optional.empty();
    }
    return Optional.of(
        new Node.Leaf(
            part.slot(),
            "Rest of " + part.name().toLowerCase(Locale.ROOT),
            part.kind(),
            left,
            Knowledge.BY_DIFFERENCE,
            part.purpose(),
            1));
  }

  /** The pieces of a row that come from one fish are one leaf of so many pieces. */
  private static List<Node> rowOf(Lot lot, BenchPart part) {
    Map<Integer, List<Taken>> byFish =
        part.taken().stream()
            .collect(Collectors.groupingBy(Taken::fishNo, TreeMap::new, Collectors.toList()));
    List<Node> leaves = new ArrayList<>();
    byFish.forEach(
        (fishNo, pieces) ->
            leaves.add(
                new Node.Leaf(
                    LeafIds.of(part.slot(), fishNo, lot.fish()),
                    lot.fish() > 1 && fishNo > 0 ? part.name() + ", fish " + fishNo : part.name(),
                    part.kind(),
                    Mass.total(pieces.stream().map(Taken::mass).toList()),
                    Knowledge.MEASURED,
                    part.purpose(),
                    pieces.size())));
    return leaves;
  }

  private static Node leaf(Lot lot, BenchPart part, Taken taken) {
    boolean one = taken.fishNo() != 0 || lot.fish() == 1;
    String name = one && lot.fish() > 1 ? part.name() + ", fish " + taken.fishNo() : part.name();
    return new Node.Leaf(
        LeafIds.of(part.slot(), taken.fishNo(), lot.fish()),
        name,
        part.kind(),
        taken.mass(),
        Knowledge.MEASURED,
        part.purpose(),
        one ? 1 : lot.fish());
  }

  /** One tile a part: a part cut further is shown by its pieces. */
  private static FishTiles tiles(Lot lot, List<BenchPart> parts, Breakdown breakdown) {
    Map<String, Mass> measured =
        breakdown.leaves().stream()
            .collect(Collectors.toMap(leaf -> LeafIds.slotOf(leaf.id()), Node::mass, Mass::plus));
    List<PartSoFar> soFar =
        parts.stream()
            .map(
                part ->
                    new PartSoFar(
                        part.slot(),
                        measured.getOrDefault(part.slot(), Mass.ZERO),
                        part.outstanding()))
            .toList();
    return FishTiles.of(lot.purchased(), LossNorm.STARTING, soFar);
  }
}
