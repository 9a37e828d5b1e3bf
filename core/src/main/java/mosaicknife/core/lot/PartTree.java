package mosaicknife.core.lot;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.plan.CutPlan.Planned;
import mosaicknife.core.plan.Pieces;
import mosaicknife.core.plan.Pieces.Piece;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * What is expected of each part of a lot and still to come of it, from the whole fish down to the
 * pieces of its parts: a piece is a share of the part it is cut from.
 */
final class PartTree {

  /** A part whose pieces are all but this much of it has no rest worth waiting for. */
  private static final double NO_REST = 0.1;

  private final Lot lot;
  private final List<Part> inOrder;
  private final Map<String, Planned> planned;
  private final Map<String, List<Weighing>> taken;
  private final HouseNorms norms;
  private final Map<Long, LotPart> done = new LinkedHashMap<>();

  /**
   * Makes a tree.
   *
   * @param lot the lot
   * @param inOrder its parts, each after the one it is cut from
   * @param planned what the plan expects, by slot
   * @param taken the weighings that stand, by slot
   * @param norms what the house believes
   */
  PartTree(
      Lot lot,
      List<Part> inOrder,
      Map<String, Planned> planned,
      Map<String, List<Weighing>> taken,
      HouseNorms norms) {
    this.lot = lot;
    this.inOrder = inOrder;
    this.planned = planned;
    this.taken = taken;
    this.norms = norms;
  }

  List<LotPart> parts() {
    inOrder.forEach(part -> done.put(part.id(), part(part)));
    return List.copyOf(done.values());
  }

  private LotPart part(Part part) {
    List<Weighing> weighings = taken.getOrDefault(part.slot(), List.of());
    Expected expected = expected(part);
    return new LotPart(
        part,
        expected.mass(),
        expected.spread(),
        outstanding(part, weighings, expected.mass()),
        weighings,
        norms.sizes());
  }

  private record Expected(Optional<Mass> mass, Mass spread) {

    static final Expected NOTHING = new Expected(Optional.empty(), Mass.ZERO);
  }

  private Expected expected(Part part) {
    Planned plan = planned.get(part.slot());
    if (plan != null) {
      return new Expected(Optional.of(plan.mass()), plan.spread());
    }
    return part.inARow()
        ? Expected.NOTHING
        : part.parentId()
            .map(done::get)
            .flatMap(from -> Pieces.find(from.kind(), part.kind()).map(piece -> of(from, piece)))
            .orElse(Expected.NOTHING);
  }

  /**
   * A piece of a part that was weighed is a share of its weight, else of what is expected of it.
   */
  private Expected of(LotPart from, Piece piece) {
    boolean weighed = from.isDone(lot.fish());
    Optional<Mass> whole = weighed ? Optional.of(from.mass()) : from.expected();
    double own = whole.map(mass -> mass.milligrams() * piece.spread()).orElse(0.0);
    double ofPart = weighed ? 0 : from.spread().milligrams() * piece.share();
    return new Expected(
        whole.map(piece::of), Mass.ofMilligrams(Math.round(Math.hypot(own, ofPart))));
  }

  /**
   * What is inside a part comes with it; a part that was cut before it was weighed comes with its
   * pieces, and with the rest of it where they are not all of it.
   */
  private Mass outstanding(Part part, List<Weighing> weighings, Optional<Mass> expected) {
    boolean inside =
        part.parentId().filter(done::containsKey).filter(p -> !isOpened(p)).isPresent();
    if (inside || expected.isEmpty() || part.skipped()) {
      return Mass.ZERO;
    }
    if (isOpened(part.id())) {
      return restOf(part, expected.get());
    }
    Set<Integer> of = weighings.stream().map(Weighing::fish).collect(Collectors.toSet());
    List<Mass> each = lot.shared(expected.get());
    return of.contains(0)
        ? Mass.ZERO
        : Mass.total(
            FishShares.all(lot.fish()).stream()
                .filter(fish -> !of.contains(fish))
                .map(fish -> each.get(fish - 1))
                .toList());
  }

  private Mass restOf(Part part, Mass expected) {
    return restOf(part.kind(), piecesOf(part.id()).stream().map(Part::kind).toList(), expected);
  }

  /**
   * Returns what is left of a part beside its pieces by their usual shares.
   *
   * @param part the kind of the part
   * @param pieces the kinds of its pieces
   * @param whole what the part weighs
   * @return the mass; zero where it is not worth waiting for, or the share of a piece is not known
   */
  static Mass restOf(PartKind part, List<PartKind> pieces, Mass whole) {
    double known = 0;
    for (PartKind piece : pieces) {
      Optional<Piece> share = Pieces.find(part, piece);
      if (share.isEmpty()) {
        return Mass.ZERO;
      }
      known += share.get().share();
    }
    return 1 - known < NO_REST
        ? Mass.ZERO
        : whole.multipliedBy(Fraction.ofEstimate(1 - known), RoundingMode.HALF_EVEN);
  }

  private boolean isOpened(long part) {
    Part itself = inOrder.stream().filter(p -> p.id() == part).findFirst().orElseThrow();
    return !taken.containsKey(itself.slot())
        && piecesOf(part).stream().anyMatch(p -> taken.containsKey(p.slot()) || isOpened(p.id()));
  }

  private List<Part> piecesOf(long part) {
    return inOrder.stream().filter(p -> p.parentId().filter(id -> id == part).isPresent()).toList();
  }

  /**
   * Returns what is served of the parts that are planned to be cut further: a plate lies inside a
   * piece, and not across two.
   *
   * @param parts the parts of a lot
   * @return the fraction of the part that each piece for the plate is, its rest last, by slot
   */
  static Map<String, List<Fraction>> plates(List<LotPart> parts) {
    Map<Long, List<LotPart>> pieces =
        parts.stream()
            .filter(p -> p.parentId().isPresent() && !p.skipped() && p.expected().isPresent())
            .collect(Collectors.groupingBy(p -> p.parentId().orElseThrow()));
    return parts.stream()
        .filter(part -> part.expected().isPresent() && pieces.containsKey(part.id()))
        .filter(part -> part.parentId().isEmpty())
        .collect(Collectors.toMap(LotPart::slot, part -> plates(part, pieces.get(part.id()))));
  }

  private static List<Fraction> plates(LotPart part, List<LotPart> pieces) {
    List<Fraction> plates = new ArrayList<>();
    Mass whole = part.expected().orElseThrow();
    Mass rest = whole;
    for (LotPart piece : pieces) {
      Mass mass = piece.expected().orElseThrow();
      rest = rest.minus(mass);
      if (purposeOf(part, piece).filter(Purpose.PLATE::equals).isPresent()) {
        plates.add(mass.dividedBy(whole));
      }
    }
    Fraction left = rest.dividedBy(whole);
    if (left.toDouble() >= NO_REST && part.purpose().filter(p -> p != Purpose.PLATE).isEmpty()) {
      plates.add(left);
    }
    return plates;
  }

  private static Optional<Purpose> purposeOf(LotPart part, LotPart piece) {
    return piece.purpose().or(() -> Pieces.find(part.kind(), piece.kind()).map(Piece::usual));
  }
}
