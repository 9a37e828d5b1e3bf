package mosaicknife.core.lot;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.lot.OnBoard.Known;
import mosaicknife.core.plan.Pieces;
import mosaicknife.core.portion.Eaten;
import mosaicknife.core.portion.Eaten.Cut;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * Lays out what of a lot goes on plates, fish by fish. What was weighed of several fish together is
 * shared out to them; a part that is cut further is its pieces and nothing else, and what is left
 * of it beyond drip is one piece more.
 */
final class Board {

  private final LotSheet sheet;
  private final Lot lot;
  private final boolean pinBones;
  private final List<OnBoard> all = new ArrayList<>();

  private final Predicate<LotPart> served;

  /** What goes on plates, or will by the plan while nobody decided. */
  Board(LotSheet sheet) {
    this(
        sheet,
        part ->
            part.purpose().or(() -> sheet.usualPurpose(part)).equals(Optional.of(Purpose.PLATE)));
  }

  /** The parts somebody asks for, laid out the same way. */
  Board(LotSheet sheet, Predicate<LotPart> served) {
    this.served = served;
    this.sheet = sheet;
    this.lot = sheet.lot();
    this.pinBones = sheet.plan().leavesPinBones();
  }

  List<OnBoard> pieces() {
    for (LotPart part : sheet.parts()) {
      boolean isRoot = sheet.parentOf(part).isEmpty();
      for (int fish = 1; isRoot && fish <= lot.fish(); fish++) {
        lay(part, fish);
      }
    }
    List<LotPart> order = sheet.parts();
    all.sort(Comparator.comparingInt((OnBoard one) -> order.indexOf(one.part())));
    return List.copyOf(all);
  }

  /** What was weighed of a part for one fish, or all together. */
  private void lay(LotPart part, int fish) {
    List<LotPart> pieces = pieces(part);
    List<LotPart> cut = pieces.stream().filter(piece -> isTaken(piece, fish)).toList();
    List<LotPart> rows =
        sheet.parts().stream()
            .filter(row -> row.inARow() && row.parentId().equals(Optional.of(part.id())))
            .toList();
    Optional<Mass> own = weighed(part, fish);
    if (own.isEmpty() && cut.isEmpty()) {
      expected(part, fish).ifPresent(mass -> byShare(part, fish, mass, Known.NORM, false));
      return;
    }
    cut.forEach(piece -> lay(piece, fish));
    rows.forEach(row -> layRow(row, fish));
    Mass gone =
        Mass.total(cut.stream().map(piece -> massOf(piece, fish)).toList())
            .plus(Mass.total(rows.stream().map(row -> ofRow(row, fish)).toList()));
    if (own.isEmpty()) {
      layToCome(part, fish, pieces, cut);
    } else if (gone.isPositive()) {
      Mass left = own.get().minus(gone);
      if (left.compareTo(sheet.norms().loss().highest(own.get())) > 0) {
        add(part, fish, left, Known.WORKED_OUT, Cut.PIECE);
      }
    } else {
      Known known = isOfOneFish(part, fish) ? Known.MEASURED : Known.WORKED_OUT;
      byShare(part, fish, own.get(), known, false);
    }
  }

  /** A part that was cut before it was weighed: what else it will be cut into, by the norm. */
  private void layToCome(LotPart part, int fish, List<LotPart> pieces, List<LotPart> cut) {
    Optional<Mass> whole = expected(part, fish);
    for (LotPart piece : pieces) {
      if (!cut.contains(piece) && whole.isPresent()) {
        shareOf(part, piece)
            .ifPresent(mass -> byShare(piece, fish, mass.of(whole.get()), Known.NORM, true));
      }
    }
    whole
        .map(mass -> rest(part, pieces, mass))
        .filter(Mass::isPositive)
        .ifPresent(mass -> add(part, fish, mass, Known.NORM, Cut.PIECE));
  }

  /** A part, or what it is planned to be cut into, by the usual shares. */
  private void byShare(LotPart part, int fish, Mass mass, Known known, boolean isPiece) {
    List<LotPart> pieces = pieces(part);
    if (pieces.isEmpty()) {
      add(part, fish, mass, known, isPiece || part.parentId().isPresent() ? Cut.PIECE : Cut.MAIN);
      return;
    }
    Known ofPiece = known == Known.NORM ? Known.NORM : Known.WORKED_OUT;
    for (LotPart piece : pieces) {
      shareOf(part, piece).ifPresent(one -> byShare(piece, fish, one.of(mass), ofPiece, true));
    }
    Mass rest = rest(part, pieces, mass);
    if (rest.isPositive()) {
      add(part, fish, rest, ofPiece, Cut.PIECE);
    }
  }

  private static Optional<Pieces.Piece> shareOf(LotPart part, LotPart piece) {
    return Pieces.find(part.kind(), piece.kind());
  }

  private static Mass rest(LotPart part, List<LotPart> pieces, Mass whole) {
    return PartTree.restOf(part.kind(), pieces.stream().map(LotPart::kind).toList(), whole);
  }

  private void layRow(LotPart row, int fish) {
    Mass step = sheet.norms().scale().readability();
    row.taken().stream()
        .filter(taken -> ofRow(taken, fish))
        .filter(taken -> isServed(row) && taken.mass().isPositive())
        .forEach(
            taken -> {
              Eaten eaten = new Eaten(fish, taken.mass(), step, Cut.PORTION);
              all.add(new OnBoard(row, fish, taken.mass(), Known.MEASURED, eaten, pinBones));
            });
  }

  /** Portions of all fish together are laid once, with the first. */
  private static boolean ofRow(Weighing taken, int fish) {
    return taken.fish() == fish || taken.fish() == 0 && fish == 1;
  }

  private Mass ofRow(LotPart row, int fish) {
    Mass own =
        Mass.total(row.taken().stream().filter(t -> t.fish() == fish).map(Weighing::mass).toList());
    Mass together =
        Mass.total(row.taken().stream().filter(t -> t.fish() == 0).map(Weighing::mass).toList());
    return own.plus(lot.shared(together).get(fish - 1));
  }

  private List<LotPart> pieces(LotPart part) {
    return sheet.piecesOf(part).stream().filter(one -> !one.skipped() || one.isStarted()).toList();
  }

  private boolean isTaken(LotPart part, int fish) {
    return weighed(part, fish).isPresent()
        || pieces(part).stream().anyMatch(piece -> isTaken(piece, fish));
  }

  /** What lies there of a part that was weighed, or cut further before it was. */
  private Mass massOf(LotPart part, int fish) {
    return weighed(part, fish)
        .orElseGet(
            () -> Mass.total(pieces(part).stream().map(piece -> massOf(piece, fish)).toList()));
  }

  private Optional<Mass> weighed(LotPart part, int fish) {
    return part.inARow()
        ? Optional.empty()
        : part.find(fish).map(taken -> ofOne(part, taken, taken.mass(), fish));
  }

  private Mass ofOne(LotPart part, Weighing taken, Mass mass, int fish) {
    List<Integer> of = part.fishOf(taken.fish(), lot.fish());
    return of.size() == 1 ? mass : lot.shared(mass, of).get(of.indexOf(fish));
  }

  private boolean isOfOneFish(LotPart part, int fish) {
    return lot.fish() == 1 || part.find(fish).filter(taken -> taken.fish() == fish).isPresent();
  }

  private Optional<Mass> expected(LotPart part, int fish) {
    return part.skipped() || part.inARow()
        ? Optional.empty()
        : part.expected().map(all -> lot.shared(all).get(fish - 1));
  }

  private boolean isServed(LotPart part) {
    return part.part().putInto().isEmpty() && served.test(part);
  }

  private void add(LotPart part, int fish, Mass mass, Known known, Cut cut) {
    Mass eaten = mass.multipliedBy(edible(part), RoundingMode.HALF_EVEN);
    if (isServed(part) && eaten.isPositive()) {
      all.add(
          new OnBoard(
              part,
              fish,
              mass,
              known,
              new Eaten(fish, eaten, step(part, fish, known), cut),
              pinBones));
    }
  }

  /** What was weighed together has one step for all of it. */
  private Mass step(LotPart part, int fish, Known known) {
    Mass house = sheet.norms().scale().readability();
    return part.find(fish)
        .filter(taken -> known != Known.NORM)
        .map(
            taken -> {
              Mass step = taken.step().filter(s -> s.compareTo(house) < 0).orElse(house);
              return ofOne(part, taken, step, fish);
            })
        .orElse(Mass.ZERO);
  }

  /** What is eaten of a part, with what was put back into it. */
  private Fraction edible(LotPart part) {
    Fraction edible = sheet.edible(part);
    Mass back = Mass.total(sheet.backIn(part).stream().map(LotPart::mass).toList());
    return back.isPositive() && part.isStarted()
        ? edible.plus(back.dividedBy(part.mass()))
        : edible;
  }
}
