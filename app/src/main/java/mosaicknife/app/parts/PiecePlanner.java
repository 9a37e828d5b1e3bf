package mosaicknife.app.parts;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.lot.LotChanged;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.lot.LotProblem;
import mosaicknife.core.lot.LotRules;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Plans into which pieces the parts of a lot are cut further, before anything is weighed. */
@Service
@Transactional
public class PiecePlanner {

  private final LotPartRepository parts;
  private final LotRegister lots;
  private final PartLayout layout;
  private final WeighedParts weighed;
  private final CatalogueEditor catalogue;
  private final ApplicationEventPublisher events;

  PiecePlanner(
      LotPartRepository parts,
      LotRegister lots,
      PartLayout layout,
      WeighedParts weighed,
      CatalogueEditor catalogue,
      ApplicationEventPublisher events) {
    this.parts = parts;
    this.lots = lots;
    this.layout = layout;
    this.weighed = weighed;
    this.catalogue = catalogue;
    this.events = events;
  }

  /**
   * Plans that a part, and with it every part of its kind, is cut into pieces, or is not. What was
   * weighed stays.
   *
   * @param lotId the lot number
   * @param slot the part
   * @param kinds the kinds of the pieces that are to be cut
   * @param without the kinds of the pieces that are not
   * @throws Refusal if the lot is closed, it cannot be cut so, or there are too many parts
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.of('LOT', #lotId)")
  public void cut(long lotId, String slot, List<String> kinds, List<String> without) {
    lots.checkOpen(lotId);
    List<LotPartEntity> all = parts.findByLotIdInOrderByNumber(List.of(lotId));
    LotPartEntity first =
        all.stream()
            .filter(part -> part.slot().equals(slot))
            .findFirst()
            .orElseThrow(() -> Refusal.ofMissing("parts.problem.lot-has-no-such-part", lotId));
    List<PartKind> wanted = kinds.stream().map(kind -> pieceOf(first, kind)).toList();
    List<LotPartEntity> alike =
        all.stream()
            .filter(part -> part.kind().equals(first.kind()) && !part.isSkipped())
            .filter(part -> part.parentId().equals(first.parentId()))
            .toList();
    List<PartKind> unwanted = without.stream().map(kind -> pieceOf(first, kind)).toList();
    alike.forEach(part -> takeBack(all, part, unwanted));
    cut(all, alike, wanted);
    events.publishEvent(new LotChanged(lotId));
  }

  /** Cuts the parts of a lot as a way of the house does; what cannot be cut so is left. */
  void cutAs(long lotId, Map<String, List<String>> pieces) {
    List<LotPartEntity> all = parts.findByLotIdInOrderByNumber(List.of(lotId));
    pieces.forEach(
        (kind, wanted) -> {
          List<LotPartEntity> alike =
              all.stream()
                  .filter(part -> part.kind().equals(kind) && !part.isSkipped())
                  .filter(part -> part.parentId().isEmpty())
                  .toList();
          List<PartKind> kinds =
              wanted.stream().map(catalogue::findKind).flatMap(Optional::stream).toList();
          cut(parts.findByLotIdInOrderByNumber(List.of(lotId)), alike, kinds);
        });
  }

  private PartKind pieceOf(LotPartEntity part, String kind) {
    PartKind of = catalogue.findKind(part.kind()).orElseThrow();
    return catalogue.now().cutFrom(of).stream()
        .filter(piece -> piece.code().equals(kind))
        .findFirst()
        .orElseThrow(() -> Refusal.ofField("kind", "parts.problem.which-part-is-it-choose"));
  }

  private static Optional<LotPartEntity> find(
      List<LotPartEntity> all, LotPartEntity part, PartKind kind) {
    return all.stream()
        .filter(isPieceOf(part))
        .filter(piece -> piece.kind().equals(kind.code()) && !piece.isInARow())
        .findFirst();
  }

  private static Predicate<LotPartEntity> isPieceOf(LotPartEntity part) {
    return other -> other.parentId().filter(part.id()::equals).isPresent();
  }

  private void cut(List<LotPartEntity> all, List<LotPartEntity> alike, List<PartKind> wanted) {
    int number = all.stream().mapToInt(LotPartEntity::number).max().orElse(0);
    List<LotPartEntity> added = new ArrayList<>();
    for (LotPartEntity part : alike) {
      for (PartKind kind : wanted) {
        if (find(all, part, kind).isEmpty()) {
          added.add(LotPartEntity.cutFrom(part, kindOf(part), kind, ++number));
        }
      }
    }
    if (all.size() + added.size() > LotRules.MOST_PARTS) {
      throw Refusal.of(Finding.of(LotProblem.TOO_MANY_PARTS, LotRules.MOST_PARTS));
    }
    added.forEach(parts::save);
    List<LotPartEntity> rows = new ArrayList<>(all);
    rows.addAll(added);
    layout.number(rows, Comparator.comparingInt(LotPartEntity::number));
  }

  private PartKind kindOf(LotPartEntity part) {
    return catalogue.findKind(part.kind()).orElseThrow();
  }

  private void takeBack(List<LotPartEntity> all, LotPartEntity part, List<PartKind> kinds) {
    for (PartKind kind : kinds) {
      find(all, part, kind)
          .filter(piece -> !weighed.isWeighed(piece.id()))
          .filter(piece -> all.stream().noneMatch(isPieceOf(piece)))
          .ifPresent(parts::delete);
    }
  }
}
