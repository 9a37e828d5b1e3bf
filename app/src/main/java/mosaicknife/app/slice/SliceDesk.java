package mosaicknife.app.slice;

import java.math.RoundingMode;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.homes.UseBook;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.lot.OnBoard;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.slice.Fillet;
import mosaicknife.core.slice.PassCut;
import mosaicknife.core.slice.Slicer;
import mosaicknife.core.slice.Slicing;
import mosaicknife.core.use.Hand;
import mosaicknife.core.use.OnHand;
import org.springframework.stereotype.Component;

/** Cuts the fillets of a lot as asked, and finds what is left of them a home. */
@Component
class SliceDesk {

  private static final String THIN_END = "tail-piece";

  /** The curve of what other targets give counts as so many. */
  private static final int CURVE = 25;

  private static final String TRIM = "trim";

  private final UseBook uses;
  private final CatalogueEditor catalogue;
  private final HouseSettings houses;

  SliceDesk(UseBook uses, CatalogueEditor catalogue, HouseSettings houses) {
    this.uses = uses;
    this.catalogue = catalogue;
    this.houses = houses;
  }

  /** Refuses what would take long: every fillet of the lot is cut, and the chosen one every way. */
  void check(LotSheet sheet, List<OnBoard> board, Asked asked) {
    boolean workable =
        board.stream()
            .flatMap(one -> one.shape(sheet.lot(), Optional.empty()).stream())
            .allMatch(
                fillet ->
                    Slicer.isWorkable(
                        fillet, asked.types(), asked.boneless(), board.size() + CURVE));
    if (!workable) {
      throw Refusal.ofField("tolerance", "slice.problem.too-much");
    }
  }

  /** Cuts one fillet as asked; empty where the body plan draws no such part. */
  Optional<PassCut> cut(LotSheet sheet, OnBoard piece, Asked asked) {
    return piece
        .shape(sheet.lot(), asked.length())
        .map(
            fillet ->
                PassCut.of(
                    fillet,
                    asked.bones().of(sheet.lot().species()),
                    asked.types(),
                    perKilogram(sheet, piece, fillet, asked),
                    asked.boneless()));
  }

  /** Cuts one fillet every way its pin bones can be dealt with, the best first. */
  List<PassCut> ways(LotSheet sheet, OnBoard piece, Asked asked) {
    return piece
        .shape(sheet.lot(), asked.length())
        .map(
            fillet ->
                PassCut.ways(
                    fillet,
                    asked.types(),
                    perKilogram(sheet, piece, fillet, asked),
                    asked.boneless()))
        .orElse(List.of())
        .stream()
        .filter(one -> one.bones().way().of(sheet.lot().species()) == one.bones().way())
        .toList();
  }

  /** What is left has its own worth only where portions have one in money. */
  private long perKilogram(LotSheet sheet, OnBoard piece, Fillet fillet, Asked asked) {
    return asked.priced()
        ? home(sheet, piece, THIN_END, fillet.mass())
            .map(home -> home.worth().perKilogram().rounded(RoundingMode.DOWN).minorUnits())
            .orElse(0L)
        : 0;
  }

  /** Where the largest piece that is left over goes. */
  Optional<Hand.Home> home(LotSheet sheet, OnBoard piece, PassCut cut) {
    return cut.lanes().stream()
        .flatMap(lane -> lane.pieces().stream().map(one -> new Left(one, lane)))
        .filter(left -> left.piece().type().isEmpty())
        .max(Comparator.comparing(left -> left.piece().mass()))
        .flatMap(
            left ->
                home(sheet, piece, left.piece().to() >= 1 ? THIN_END : TRIM, left.piece().mass()));
  }

  private record Left(Slicing.Piece piece, Slicing lane) {}

  private Optional<Hand.Home> home(LotSheet sheet, OnBoard piece, String kind, Mass left) {
    Optional<PartKind> of = catalogue.findKind(kind);
    if (of.isEmpty() || !left.isPositive()) {
      return Optional.empty();
    }
    OnHand whole = Hand.onHand(sheet, piece.part(), piece.mass(), 0, Set.of(), houses.today());
    return Hand.home(
        whole, of.get(), left, uses.uses().values(), houses.house().formats().currency());
  }
}
