package mosaicknife.core.lot;

import java.math.RoundingMode;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.Stage;
import mosaicknife.core.breakdown.Balance;
import mosaicknife.core.breakdown.Breakdown;
import mosaicknife.core.breakdown.FishTiles;
import mosaicknife.core.breakdown.FishTiles.PartSoFar;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.breakdown.Knowledge;
import mosaicknife.core.breakdown.Node;
import mosaicknife.core.breakdown.Reconciliation;
import mosaicknife.core.breakdown.ScaleError;
import mosaicknife.core.check.Check;
import mosaicknife.core.cost.Contender;
import mosaicknife.core.cost.CostSheet;
import mosaicknife.core.cost.CostingMethod;
import mosaicknife.core.cost.PlateCost;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.plan.CutPlan;
import mosaicknife.core.plan.Pieces;
import mosaicknife.core.portion.WholePortions;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;
import mosaicknife.core.safety.RawGate;

/**
 * Everything the stations need to know of one lot, computed from its facts and nothing else.
 *
 * <p>{@link #of} is the one place where facts (weighings), choices (the cut plan, purposes) and the
 * beliefs of the house become parts, tree, balance and tiles; every page reads this, so no two can
 * disagree about one fish.
 *
 * @param lot the lot
 * @param plan what it is to become
 * @param parts its parts in cutting order
 * @param breakdown the tree of what was weighed
 * @param balance whether it adds up
 * @param tiles how the fish is filled
 * @param norms what the house believes
 * @param counted its plates, once they were asked for
 */
public record LotSheet(
    Lot lot,
    CutPlan plan,
    List<LotPart> parts,
    Breakdown breakdown,
    Balance balance,
    FishTiles tiles,
    HouseNorms norms,
    CountedOnce counted) {

  private static final Optional<Purpose> PLATE = Optional.of(Purpose.PLATE);

  /** Copies the parts. */
  public LotSheet {
    parts = List.copyOf(parts);
    Check.notNull(norms, "norms");
    Check.notNull(counted, "counted");
  }

  /**
   * Works out a lot.
   *
   * @param lot the lot
   * @param cut what it is to become by its cutting options
   * @param laidOut its parts by number, as laid out and decided
   * @param standing the weighings that stand, of all its parts
   * @param house what the house believes
   * @return the sheet
   */
  public static LotSheet of(
      Lot lot, CutPlan cut, List<Part> laidOut, List<Weighing> standing, HouseNorms house) {
    CutPlan plan = cut.joined(staying(laidOut));
    HouseNorms norms = house.with(plan.loss(lot.arrival().scaled()));
    Map<String, CutPlan.Planned> planned =
        plan.parts().stream()
            .collect(Collectors.toMap(part -> part.slot().code(), Function.identity()));
    Map<String, List<Weighing>> taken =
        standing.stream().collect(Collectors.groupingBy(Weighing::part));
    List<Part> inOrder =
        shown(
            depthFirst(laidOut),
            part ->
                planned.containsKey(part.slot())
                    || taken.containsKey(part.slot())
                    || !isOfAnotherPlan(part),
            part -> taken.containsKey(part.slot()));
    List<LotPart> parts = new PartTree(lot, inOrder, planned, taken, norms).parts();
    Breakdown breakdown =
        new Breakdown(lot.state(), lot.purchased(), lot.fish(), nodes(lot, parts, norms));
    Mass outstanding = Mass.total(parts.stream().map(LotPart::outstanding).toList());
    Balance balance =
        Balance.of(breakdown, outstanding, norms.loss(), scaleSigma(parts, breakdown, norms));
    return new LotSheet(
        lot,
        plan.cutInto(PartTree.plates(parts)),
        parts,
        breakdown,
        balance,
        tiles(lot, parts, breakdown, norms),
        norms,
        new CountedOnce());
  }

  /** What is planned to be cut from a part that is not there is not there either. */
  private static List<Part> shown(
      List<Part> inOrder, Predicate<Part> isThere, Predicate<Part> isWeighed) {
    Set<Long> hidden = new HashSet<>();
    List<Part> shown = new ArrayList<>();
    for (Part part : inOrder) {
      boolean inside = part.parentId().filter(hidden::contains).isPresent();
      if (isWeighed.test(part) || isThere.test(part) && !inside) {
        shown.add(part);
      } else {
        hidden.add(part.id());
      }
    }
    return shown;
  }

  /** A part that only another route has is not there; what somebody added or chose stays. */
  private static boolean isOfAnotherPlan(Part part) {
    return part.planned() && part.skipped() && part.staysOn().isEmpty();
  }

  private static Map<String, String> staying(List<Part> parts) {
    return parts.stream()
        .filter(part -> part.staysOn().isPresent())
        .collect(Collectors.toMap(Part::slot, part -> part.staysOn().orElseThrow()));
  }

  /** What is cut from a part follows it, before the next one is taken in hand. */
  private static List<Part> depthFirst(List<Part> byNumber) {
    Map<Optional<Long>, List<Part>> children =
        byNumber.stream().collect(Collectors.groupingBy(Part::parentId));
    List<Part> ordered = new ArrayList<>();
    children
        .getOrDefault(Optional.<Long>empty(), List.of())
        .forEach(p -> add(p, children, ordered));
    return ordered;
  }

  private static void add(Part part, Map<Optional<Long>, List<Part>> children, List<Part> ordered) {
    ordered.add(part);
    children
        .getOrDefault(Optional.of(part.id()), List.of())
        .forEach(piece -> add(piece, children, ordered));
  }

  /**
   * How far whole less parts may be off by the scales alone: each reading with the step of the
   * scale it came from, the whole and what came from no scale as the house assumes.
   */
  private static double scaleSigma(List<LotPart> parts, Breakdown breakdown, HouseNorms norms) {
    double whole = norms.scale().sigmaGrams(1);
    double variance = whole * whole;
    List<String> leaves = breakdown.parts().stream().map(node -> LeafId.slotOf(node.id())).toList();
    for (LotPart part : parts) {
      if (leaves.contains(part.slot())) {
        for (Weighing weighing : part.taken()) {
          double one = weighing.step().map(ScaleError::of).orElse(norms.scale()).sigmaGrams(1);
          variance += one * one;
        }
      }
    }
    return Math.sqrt(variance);
  }

  /**
   * Returns the same lot as it would be costed if a part that nobody decided about became
   * something.
   *
   * @param slot the part
   * @param purpose what it would be for
   * @param to where it would go
   * @param worth what a kilogram of it would be worth
   * @return the lot; the same if the part is decided already
   */
  public LotSheet deciding(
      String slot, Purpose purpose, Destination to, Optional<UnitPrice> worth) {
    List<LotPart> decided =
        parts.stream()
            .map(
                one ->
                    one.slot().equals(slot) && one.purpose().isEmpty()
                        ? new LotPart(
                            one.part().goingTo(purpose, to, worth),
                            one.expected(),
                            one.spread(),
                            one.outstanding(),
                            one.taken(),
                            one.sizes())
                        : one)
            .toList();
    Breakdown broken =
        new Breakdown(lot.state(), lot.purchased(), lot.fish(), nodes(lot, decided, norms));
    return new LotSheet(lot, plan, decided, broken, balance, tiles, norms, new CountedOnce());
  }

  private static List<Node> nodes(Lot lot, List<LotPart> parts, HouseNorms norms) {
    Set<Long> there = parts.stream().map(LotPart::id).collect(Collectors.toSet());
    List<Node> nodes = new ArrayList<>();
    parts.stream()
        .filter(part -> part.parentId().filter(there::contains).isEmpty())
        .forEach(part -> nodes.addAll(nodesOf(lot, part, parts, norms)));
    return nodes;
  }

  /** What was weighed of a part; of one that was cut before it was weighed, its pieces. */
  private static List<Node> nodesOf(Lot lot, LotPart part, List<LotPart> parts, HouseNorms norms) {
    List<Node> pieces = new ArrayList<>();
    parts.stream()
        .filter(p -> p.parentId().filter(id -> id == part.id()).isPresent())
        .forEach(p -> pieces.addAll(nodesOf(lot, p, parts, norms)));
    if (!part.isStarted()) {
      return pieces;
    }
    if (!pieces.isEmpty()) {
      rest(part, pieces, norms).ifPresent(pieces::add);
      return List.of(new Node.Cut(part.slot(), part.name(), part.kind(), part.mass(), pieces));
    }
    return part.inARow()
        ? rowOf(lot, part)
        : part.taken().stream().map(taken -> leaf(lot, part, taken)).toList();
  }

  /** What is left of a part that is being cut further, beyond drip: still there, not weighed. */
  private static Optional<Node> rest(LotPart part, List<Node> pieces, HouseNorms norms) {
    Mass left = part.mass().minus(Mass.total(pieces.stream().map(Node::mass).toList()));
    if (left.compareTo(norms.loss().highest(part.mass())) <= 0) {
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
  private static List<Node> rowOf(Lot lot, LotPart part) {
    Map<Integer, List<Weighing>> byFish =
        part.taken().stream()
            .collect(Collectors.groupingBy(Weighing::fish, TreeMap::new, Collectors.toList()));
    List<Node> leaves = new ArrayList<>();
    byFish.forEach(
        (fish, pieces) ->
            leaves.add(
                new Node.Leaf(
                    LeafId.of(part.slot(), fish, lot.fish()),
                    nameOf(lot, part, fish),
                    part.kind(),
                    Mass.total(pieces.stream().map(Weighing::mass).toList()),
                    Knowledge.MEASURED,
                    part.purpose(),
                    pieces.size())));
    return leaves;
  }

  private static Node leaf(Lot lot, LotPart part, Weighing taken) {
    return new Node.Leaf(
        LeafId.of(part.slot(), taken.fish(), lot.fish()),
        nameOf(lot, part, taken.fish()),
        part.kind(),
        taken.mass(),
        Knowledge.MEASURED,
        part.purpose(),
        part.fishOf(taken.fish(), lot.fish()).size());
  }

  private static String nameOf(Lot lot, LotPart part, int fish) {
    return lot.fish() > 1 && fish > 0 ? part.name() + ", fish " + fish : part.name();
  }

  /** One tile a part: a part cut further is shown by its pieces. */
  private static FishTiles tiles(
      Lot lot, List<LotPart> parts, Breakdown breakdown, HouseNorms norms) {
    Map<String, Mass> measured =
        breakdown.leaves().stream()
            .collect(Collectors.toMap(leaf -> LeafId.slotOf(leaf.id()), Node::mass, Mass::plus));
    List<PartSoFar> soFar =
        parts.stream()
            .map(
                part ->
                    new PartSoFar(
                        part.slot(),
                        measured.getOrDefault(part.slot(), Mass.ZERO),
                        part.outstanding()))
            .toList();
    return FishTiles.of(lot.purchased(), norms.loss(), soFar);
  }

  /**
   * Returns another plan of the lot with what was decided about its parts: what stays on another,
   * and what is cut further.
   *
   * @param other the plan, by other answers to the cutting options
   * @return the plan to compare with the one of this sheet
   */
  public CutPlan asDecided(CutPlan other) {
    return other.joined(staying(parts.stream().map(LotPart::part).toList())).cutInto(plan.pieces());
  }

  /**
   * Returns whether a part may be served raw: the gate of that part is open, and it is eaten.
   *
   * @param part the part
   * @return false of guts and gills whatever was frozen
   */
  public boolean mayBeRaw(LotPart part) {
    return part.kind().mayBeFor(Purpose.PLATE)
        && lot.rawGate(part.optionalSlot()).filter(RawGate::isOpen).isPresent();
  }

  /**
   * Returns what keeps a part from where it goes, asked anew: what was decided while the gate was
   * open, or the dish was cooked, may not stand any more.
   *
   * @param part the part
   * @return what keeps it, or nothing
   */
  public Optional<Finding> gate(LotPart part) {
    // what was put back into another is served with it
    Optional<Part> with = part.part().putInto().flatMap(this::find).map(LotPart::part);
    return LotRules.gate(
        lot,
        with.flatMap(Part::dish)
            .map(dish -> part.part().goingTo(Purpose.PLATE, dish))
            .orElseGet(part::part));
  }

  /**
   * Returns the parts that may not go where they go.
   *
   * @return those the raw gate keeps, in cutting order
   */
  public List<LotPart> kept() {
    return parts.stream().filter(part -> gate(part).isPresent()).toList();
  }

  /**
   * Returns the parts that are to be weighed or were.
   *
   * @return all but the skipped ones
   */
  public List<LotPart> expectedParts() {
    return parts.stream()
        .filter(part -> !part.skipped())
        .filter(part -> part.isStarted() || !isLeftWith(part))
        .toList();
  }

  /** Whether a part lies in one that is not taken off this time. */
  private boolean isLeftWith(LotPart part) {
    return parentOf(part)
        .filter(parent -> !parent.isStarted() && (parent.skipped() || isLeftWith(parent)))
        .isPresent();
  }

  /** A row of pieces has no last one, so it is not counted among the weights to take. */
  private Stream<LotPart> countedParts() {
    return expectedParts().stream().filter(part -> !part.inARow() && !isOpened(part));
  }

  /**
   * Returns how many weights are taken: a part weighed for all fish together counts for each.
   *
   * @return the count, up to {@link #weights}
   */
  public long weightsTaken() {
    return countedParts()
        .mapToLong(part -> part.isDone(lot.fish()) ? lot.fish() : part.taken().size())
        .sum();
  }

  /**
   * Returns how long the rest of the lot takes at the board.
   *
   * @return minutes of the plan for what is not weighed yet, an estimate; 0 if all is
   */
  public int minutesLeft() {
    long all = weights();
    double left = all == 0 ? 0 : (all - weightsTaken()) / (double) all;
    return (int) Math.ceil(plan.minutes() * Math.max(0, left));
  }

  /**
   * Returns how many weights there are to take.
   *
   * @return parts times fish
   */
  public long weights() {
    return countedParts().count() * lot.fish();
  }

  /**
   * Returns the weighed parts that have no purpose yet.
   *
   * @return the parts
   */
  public List<LotPart> open() {
    return parts.stream().filter(p -> p.isStarted() && p.purpose().isEmpty()).toList();
  }

  /**
   * Returns whether every expected part has a purpose.
   *
   * @return true if no tile is open
   */
  public boolean isPlanned() {
    return expectedParts().stream().allMatch(part -> part.purpose().isPresent());
  }

  /**
   * Returns the next part to weigh for one fish. The order is the butcher's: it goes on after the
   * part that was weighed last, in cutting order, and comes back to what was passed over at the
   * end.
   *
   * @param fishNo the fish, or 0 for all together
   * @return the part; empty when all are weighed
   */
  public Optional<LotPart> next(int fishNo) {
    List<LotPart> order = new ArrayList<>(parts);
    Collections.rotate(order, -(lastWeighed(fishNo) + 1));
    return order.stream()
        .filter(part -> !part.skipped() && !part.inARow() && isWanted(part, fishNo))
        .filter(part -> !isPassedOver(part))
        .findFirst();
  }

  /**
   * Returns the fish to go on with once one is done.
   *
   * @param fishNo the fish on the board, or 0 for all together
   * @return the one after it, in turn, that still has a part to weigh; empty if none has
   */
  public OptionalInt nextFish(int fishNo) {
    return IntStream.range(0, fishNo == 0 ? 0 : lot.fish() - 1)
        .map(on -> (fishNo + on) % lot.fish() + 1)
        .filter(fish -> next(fish).isPresent())
        .findFirst();
  }

  private boolean isWanted(LotPart part, int fishNo) {
    return part.find(fishNo).isEmpty() && !part.fishOf(fishNo, lot.fish()).isEmpty();
  }

  /**
   * Returns whether nobody asks for the weight of a part: its pieces stand for it, or it lies in
   * one that is not taken off.
   *
   * @param part the part
   * @return true if the bench goes on without it
   */
  public boolean isPassedOver(LotPart part) {
    return isOpened(part) || opensLike(part) || isLeftWith(part);
  }

  /** Whether the hand cut another of its kind without weighing it, and so will cut this one. */
  private boolean opensLike(LotPart part) {
    return !part.isStarted()
        && !piecesOf(part).isEmpty()
        && parts.stream().anyMatch(other -> other.kind().equals(part.kind()) && isOpened(other));
  }

  /** Where the part stands that was weighed last of a fish; -1 if none was. */
  private int lastWeighed(int fishNo) {
    int last = -1;
    Instant latest = Instant.MIN;
    for (int i = 0; i < parts.size(); i++) {
      for (Weighing taken : parts.get(i).taken()) {
        boolean ofFish = taken.fish() == fishNo || taken.fish() == 0;
        if (ofFish && !taken.at().isBefore(latest)) {
          latest = taken.at();
          last = i;
        }
      }
    }
    return last;
  }

  /**
   * Returns the purpose the cut plan proposes for a part.
   *
   * @param part the part
   * @return the purpose; empty for a part that the plan does not foresee
   */
  public Optional<Purpose> usualPurpose(LotPart part) {
    List<Part> all = parts.stream().map(LotPart::part).toList();
    return planned(part.slot())
        .map(CutPlan.Planned::purpose)
        .map(usual -> LotRules.pot(part.part(), usual, all).isEmpty() ? usual : Purpose.COMPOST)
        .or(
            () ->
                parentOf(part)
                    .flatMap(
                        parent ->
                            Pieces.inherited(
                                parent.kind(),
                                parent.purpose().or(() -> usualPurpose(parent)),
                                part.kind())));
  }

  /**
   * Returns about what the next figure of a part is.
   *
   * @param part the part
   * @param fishNo which fish, or 0 for all together
   * @return by the norm, of the fish that is on the board; one portion of a row; empty if neither
   *     is known
   */
  public Optional<Mass> about(LotPart part, int fishNo) {
    return part.inARow()
        ? Optional.of(plates().servingOf(part.slot()).target())
        : part.expected().map(all -> shares().of(all, part.fishOf(fishNo, lot.fish())));
  }

  /**
   * Returns what the fish weigh that a weight of a part is of.
   *
   * @param part the part
   * @param fishNo which fish, or 0 for all together
   * @return the mass: of the fish on the board where it is known, else of a mean one
   */
  public Mass fishWith(LotPart part, int fishNo) {
    return shares().of(lot.purchased(), part.fishOf(fishNo, lot.fish()));
  }

  FishShares shares() {
    return new FishShares(lot, parts);
  }

  /**
   * Returns how far the next figure of a part may well lie off {@link #about what it is about}.
   *
   * @param part the part
   * @param fishNo which fish, or 0 for all together
   * @return the standard deviation; zero without norm
   */
  public Mass spreadAbout(LotPart part, int fishNo) {
    return part.inARow() ? Mass.ZERO : shares().spreadOf(part, part.fishOf(fishNo, lot.fish()));
  }

  /**
   * Finds what the plan expects of a part.
   *
   * @param slot the slot
   * @return the expectation; empty for a part that the plan does not foresee
   */
  public Optional<CutPlan.Planned> planned(String slot) {
    return plan.parts().stream().filter(part -> part.slot().code().equals(slot)).findFirst();
  }

  /**
   * Returns what stays on a part this time and is weighed with it.
   *
   * @param part the part
   * @return the parts in cutting order
   */
  public List<LotPart> stayingOn(LotPart part) {
    return parts.stream()
        .filter(other -> other.part().staysOn().filter(part.slot()::equals).isPresent())
        .toList();
  }

  /**
   * Returns what a part that stays on another weighs by the norm, out of their one weight.
   *
   * @param part the part that stays on another
   * @return an estimate over all fish; empty while the other is not weighed
   */
  public Optional<Mass> shareOf(LotPart part) {
    return part.part()
        .staysOn()
        .flatMap(this::find)
        .filter(on -> on.isDone(lot.fish()))
        .flatMap(on -> planned(on.slot()).map(both -> both.split(on.mass()).get(part.slot())));
  }

  /**
   * Returns the parts one may stay on this time, should it not be taken off.
   *
   * @param part a part that was not weighed
   * @return what is cut from the same as it, and is taken off itself
   */
  public List<LotPart> mayStayOn(LotPart part) {
    return part.isStarted()
        ? List.of()
        : parts.stream()
            .filter(other -> !other.equals(part) && !other.skipped() && !other.inARow())
            .filter(other -> other.parentId().equals(part.parentId()))
            .toList();
  }

  /**
   * Returns the parts a weight may belong to that was booked on the wrong row.
   *
   * @param part the part it was booked on
   * @param fishNo the fish, or 0 for all together
   * @return the parts that have no weight of that fish yet
   */
  public List<LotPart> mayBeInstead(LotPart part, int fishNo) {
    return part.inARow() || part.find(fishNo).isEmpty()
        ? List.of()
        : parts.stream()
            .filter(other -> !other.equals(part) && !other.inARow())
            .filter(other -> other.find(fishNo).isEmpty() && other.part().staysOn().isEmpty())
            .toList();
  }

  /**
   * Returns whether pieces can be cut from a part.
   *
   * @param part the part
   * @return true once it was weighed, unless it is portions already
   */
  public boolean mayBeCut(LotPart part) {
    return part.isStarted() && !part.inARow();
  }

  /**
   * Returns the parts whose pieces can be repeated on one: the first side, once the second lies on
   * the board.
   *
   * @param part a part that was weighed
   * @return parts of its kind that were cut
   */
  public List<LotPart> cutBefore(LotPart part) {
    return !mayBeCut(part) || !piecesOf(part).isEmpty()
        ? List.of()
        : parts.stream()
            .filter(other -> other.kind().equals(part.kind()) && !piecesOf(other).isEmpty())
            .toList();
  }

  List<LotPart> piecesOf(LotPart part) {
    return parts.stream()
        .filter(other -> !other.inARow())
        .filter(other -> other.parentId().filter(id -> id == part.id()).isPresent())
        .toList();
  }

  /**
   * Returns into which pieces a part is planned to be cut, or was.
   *
   * @param part the part
   * @return their kinds
   */
  public List<PartKind> piecesPlanned(LotPart part) {
    return piecesOf(part).stream().map(LotPart::kind).toList();
  }

  /**
   * Returns whether a part was cut further without being weighed: its pieces stand for it.
   *
   * @param part the part
   * @return true if nothing was weighed of it, but something of its pieces
   */
  public boolean isOpened(LotPart part) {
    return !part.isStarted()
        && piecesOf(part).stream().anyMatch(piece -> piece.isStarted() || isOpened(piece));
  }

  /**
   * Finds the part another was cut from.
   *
   * @param part the part
   * @return its parent; empty for what is cut from the whole fish
   */
  public Optional<LotPart> parentOf(LotPart part) {
    return part.parentId()
        .flatMap(id -> parts.stream().filter(other -> other.id() == id).findFirst());
  }

  /**
   * Finds the part a weighing is of.
   *
   * @param weighing the identifier of a weighing that stands
   * @return the part, or empty
   */
  public Optional<LotPart> partWeighedBy(String weighing) {
    return parts.stream()
        .filter(part -> part.taken().stream().anyMatch(t -> t.id().toString().equals(weighing)))
        .findFirst();
  }

  /**
   * Finds a part by its slot.
   *
   * @param slot the slot
   * @return the part, or empty
   */
  public Optional<LotPart> find(String slot) {
    return parts.stream().filter(part -> part.slot().equals(slot)).findFirst();
  }

  /**
   * Returns what the parts are worth to the house, by leaf of the breakdown.
   *
   * @return the values of those leaves whose part has one
   */
  public Map<String, UnitPrice> values() {
    return breakdown.leaves().stream()
        .filter(leaf -> partOf(leaf).flatMap(LotPart::value).isPresent())
        .collect(
            Collectors.toMap(
                Node.Leaf::id, leaf -> partOf(leaf).flatMap(LotPart::value).orElseThrow()));
  }

  /** What was really taken at those values: what waits on a shelf has earned nothing yet. */
  private Map<String, UnitPrice> earned() {
    Map<String, UnitPrice> earned = new HashMap<>();
    values()
        .forEach(
            (leaf, value) -> {
              LotPart part = find(LeafId.slotOf(leaf)).orElseThrow();
              Fraction taken = part.part().shelf().taken(part.mass());
              earned.put(leaf, UnitPrice.ofPerKilogram(value.perKilogram().multipliedBy(taken)));
            });
    return earned;
  }

  /** Main cuts by the plan that are kept for another day, by leaf of the breakdown. */
  private Set<String> heldMains() {
    return breakdown.leaves().stream()
        .filter(leaf -> leaf.isFor(Purpose.HOLD))
        .filter(leaf -> partOf(leaf).flatMap(this::usualPurpose).equals(PLATE))
        .map(Node.Leaf::id)
        .collect(Collectors.toSet());
  }

  /**
   * Finds the part a leaf of the breakdown belongs to.
   *
   * @param leaf the leaf
   * @return the part
   */
  public Optional<LotPart> partOf(Node.Leaf leaf) {
    return find(LeafId.slotOf(leaf.id()));
  }

  /**
   * Returns the plates of the lot, planned and counted.
   *
   * @return what can be asked of them
   */
  public LotPortions plates() {
    return new LotPortions(this);
  }

  /**
   * Returns the whole portions inside the main cuts weighed so far.
   *
   * @return the plates by what each part's dish calls a portion
   */
  public WholePortions portions() {
    return counted.of(plates());
  }

  /**
   * Returns whether the plates can be counted on what was weighed.
   *
   * @return true once every main cut was weighed
   */
  public boolean isCounted() {
    return !breakdown.mains().isEmpty() && mainsToCome().isEmpty();
  }

  /**
   * Returns what was put back into a part and is served with it.
   *
   * @param part the part
   * @return the parts in cutting order
   */
  public List<LotPart> backIn(LotPart part) {
    return parts.stream()
        .filter(other -> other.part().putInto().filter(part.slot()::equals).isPresent())
        .toList();
  }

  /**
   * Returns the parts one may be put back into, to be served with them.
   *
   * @param part a part
   * @return flesh for the plate; none for what was not weighed, is not eaten, or never lay inside
   *     the fish as roe and liver do
   */
  public List<LotPart> mayGoInto(LotPart part) {
    return part.kind().stage() != Stage.GUTTING
        ? List.of()
        : parts.stream()
            .filter(other -> !other.inARow() && usuallyServed(other))
            .filter(
                other ->
                    LotRules.puttingBack(part.part(), part.isStarted(), other.part()).isEmpty())
            .toList();
  }

  /**
   * Returns whether a part can be weighed after cooking.
   *
   * @param part the part
   * @return true if it was weighed raw and is eaten on a plate
   */
  public boolean mayBeCooked(LotPart part) {
    return part.isStarted()
        && part.purpose().or(() -> usualPurpose(part)).filter(Purpose::isServed).isPresent();
  }

  private boolean usuallyServed(LotPart part) {
    return part.purpose().or(() -> usualPurpose(part)).equals(PLATE);
  }

  /**
   * Returns the main cuts that are still to be weighed: the price of the whole fish over half of
   * its fillets is worth nothing.
   *
   * @return what is for the plate, or will be by the plan, and not weighed of every fish
   */
  public List<LotPart> mainsToCome() {
    return expectedParts().stream()
        .filter(part -> !part.inARow() && !isOpened(part))
        .filter(part -> parentOf(part).map(this::isOpened).orElse(true))
        .filter(part -> part.purpose().or(() -> usualPurpose(part)).equals(PLATE))
        .filter(part -> !part.isDone(lot.fish()))
        .toList();
  }

  /**
   * Returns what the lot costs by a costing method.
   *
   * @param method the method
   * @return the costs; empty while the price is to come, a main cut is not weighed, no part is for
   *     the plate, or none carries cost
   */
  public Optional<CostSheet> costs(CostingMethod method) {
    if (lot.cost().isEmpty() || !mainsToCome().isEmpty()) {
      return Optional.empty();
    }
    Map<String, UnitPrice> worth = method == CostingMethod.BY_PRODUCT_CREDIT ? earned() : values();
    return CostSheet.of(method, breakdown, lot.cost().get(), worth, heldMains(), portions());
  }

  /**
   * Returns how much of a part is eaten: bones and head of a fish served whole are not.
   *
   * @param part the part
   * @return the fraction of its mass, by the norm; 1 of what is eaten altogether
   */
  public Fraction edible(LotPart part) {
    return planned(part.slot())
        .filter(planned -> part.kind().is(PartKind.Trait.EATEN_IN_PART))
        .map(planned -> planned.edible().dividedBy(planned.mass()))
        .orElse(Fraction.ONE);
  }

  /**
   * Returns what a plate of the lot costs, by the costing method the lot chose: the fish, what
   * other parts carry of it, and the work as the plan estimates it.
   *
   * @param labourPerHour what an hour of work costs
   * @return the plate; empty without a whole portion or a cost
   */
  public Optional<PlateCost> plate(ExactMoney labourPerHour) {
    long portions = portions().count();
    return costs(lot.costingMethod())
        .filter(costs -> portions > 0)
        .map(
            costs -> {
              // what is kept for another day is no cost of tonight's plates
              ExactMoney fish = costs.cost().total().minus(costs.costing().onHeld());
              ExactMoney carried = costs.costing().onMains().minus(fish);
              return PlateCost.of(
                      fish.dividedBy(portions), plan.labour(labourPerHour).dividedBy(portions))
                  .with(PlateCost.Line.BY_PRODUCTS, carried.dividedBy(portions));
            });
  }

  /**
   * Makes the lot ready to be compared with other fish at one plate.
   *
   * @param labourPerHour what an hour of work costs
   * @return what tonight's cuts cost and weigh; empty while a main cut is not weighed or carries no
   *     cost
   */
  public Optional<Contender> contender(ExactMoney labourPerHour) {
    return costs(lot.costingMethod())
        .flatMap(
            costs -> {
              ExactMoney fish = costs.cost().total().minus(costs.costing().onHeld());
              ExactMoney carried = fish.minus(costs.costing().onMains());
              Mass tonight = ofTonight();
              return costs.mains().compareTo(tonight) > 0
                  ? Optional.empty()
                  : Optional.of(
                      new Contender(
                          "lot-" + lot.id(),
                          lot.species().name(),
                          tonight,
                          fish,
                          plan.labour(labourPerHour),
                          carried.isNegative() ? ExactMoney.zero(fish.currency()) : carried,
                          plates().tonight().stream().map(OnBoard::eaten).toList(),
                          true,
                          0));
            });
  }

  /** How much of the purchase tonight's main cuts stand for, where others are kept. */
  private Mass ofTonight() {
    Mass mains = Mass.total(breakdown.mains().stream().map(Node::mass).toList());
    Mass kept =
        Mass.total(
            heldMains().stream()
                .flatMap(id -> breakdown.findLeaf(id).stream())
                .map(Node::mass)
                .toList());
    return lot.purchased().multipliedBy(mains.dividedBy(mains.plus(kept)), RoundingMode.HALF_UP);
  }

  /**
   * Returns what a kilogram of main cut is worth: what it costs by the method the lot chose, or, as
   * long as nothing is for the plate, what the lot costs over what the plan expects of it.
   *
   * @return the price; empty if neither is known
   */
  public Optional<UnitPrice> worthOfMains() {
    return costs(lot.costingMethod())
        .map(CostSheet::ediblePrice)
        .or(
            () ->
                lot.cost()
                    .filter(cost -> plan.mains().isPositive())
                    .map(cost -> cost.total().per(plan.mains())));
  }

  /**
   * Returns the figures adjusted so that the tally closes, once every part is weighed.
   *
   * @return the adjusted tally; empty while parts are open or nothing is weighed
   */
  public Optional<Reconciliation> adjusted() {
    List<Node> weighed = breakdown.parts();
    if (weighed.isEmpty() || balance.outstanding().isPositive()) {
      return Optional.empty();
    }
    return Optional.of(
        Reconciliation.of(
            lot.purchased(),
            weighed.stream().map(Node::mass).toList(),
            norms.loss(),
            norms.scale()));
  }

  /**
   * Returns whether the work of a station on this lot is done.
   *
   * @param station the station
   * @return true if nothing is open there
   */
  public boolean isDone(Station station) {
    return switch (station) {
      case DOCK -> lot.inspection().isPresent();
      case PLAN -> isPlanned();
      case BENCH -> balance.verdict() == Balance.Verdict.CLOSED;
      case COST -> isCounted();
      case USES -> balance.tallied().isPositive() && open().isEmpty();
    };
  }

  /**
   * Returns what is to be done next with the lot.
   *
   * @return the step
   */
  public NextStep nextStep() {
    if (lot.isFinished()) {
      return NextStep.NOTHING;
    }
    return switch (balance.verdict()) {
      case OVER, SHORT -> NextStep.LOOK_AT_THE_TALLY;
      case OPEN -> balance.tallied().isPositive() ? NextStep.WEIGH_ON : NextStep.START_WEIGHING;
      case CLOSED -> open().isEmpty() ? NextStep.CLOSE : NextStep.DECIDE_THE_REST;
    };
  }
}
