package mosaicknife.app.parts;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.lot.LotChanged;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.lot.PartWeighedAfterAll;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotProblem;
import mosaicknife.core.lot.LotRules;
import mosaicknife.core.lot.Part;
import mosaicknife.core.plan.Choices;
import mosaicknife.core.plan.CutPlan;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The parts of lots: laid out by the cut plan, added, left out, portioned in a row. */
@Service
@Transactional
public class LotParts {

  private static final int LONGEST_NAME = 60;

  private final LotPartRepository parts;
  private final LotRegister lots;
  private final PartLayout layout;
  private final WeighedParts weighed;
  private final PurposeAssigner purposes;
  private final CatalogueEditor catalogue;
  private final ApplicationEventPublisher events;

  LotParts(
      LotPartRepository parts,
      LotRegister lots,
      PartLayout layout,
      WeighedParts weighed,
      PurposeAssigner purposes,
      CatalogueEditor catalogue,
      ApplicationEventPublisher events) {
    this.parts = parts;
    this.lots = lots;
    this.layout = layout;
    this.weighed = weighed;
    this.purposes = purposes;
    this.catalogue = catalogue;
    this.events = events;
  }

  /**
   * Returns the parts of lots in cutting order.
   *
   * @param wanted the lots
   * @return the parts by lot number
   */
  @Transactional(readOnly = true)
  public Map<Long, List<Part>> of(Collection<Lot> wanted) {
    Map<Long, Currency> currencies =
        wanted.stream().collect(Collectors.toMap(Lot::id, Lot::currency));
    return parts.findByLotIdInOrderByNumber(currencies.keySet()).stream()
        .collect(
            Collectors.groupingBy(
                LotPartEntity::lotId,
                Collectors.mapping(
                    row -> row.toPart(kind(row), currencies.get(row.lotId())),
                    Collectors.toList())));
  }

  private PartKind kind(LotPartEntity row) {
    return catalogue
        .findKind(row.kind())
        .orElseThrow(() -> new IllegalStateException("Bug: no part kind " + row.kind()));
  }

  /**
   * Plans what a lot will become.
   *
   * @param lot the lot
   * @param choices the answers to its cutting options
   * @return the plan
   */
  @Transactional(readOnly = true)
  public CutPlan plan(Lot lot, Choices choices) {
    return layout.plan(lot, choices);
  }

  /**
   * Returns the plan of a lot by a catalogue that is at hand.
   *
   * @param lot the lot
   * @param choices its answers to the cutting options
   * @param fish the catalogue
   * @return the plan
   */
  public static CutPlan plan(Lot lot, Choices choices, Catalogue fish) {
    return PartLayout.plan(lot, choices, fish);
  }

  /**
   * Starts a row of portions cut from a part: every reading is one portion.
   *
   * @param lotId the lot number
   * @param slot the part they are cut from
   * @return the slot of the portions
   */
  @PreAuthorize("hasAuthority('WEIGH') and @here.of('LOT', #lotId)")
  @SentTwice
  public String startRow(long lotId, String slot) {
    lots.checkOpen(lotId);
    LotPartEntity from = part(lotId, slot);
    if (from.isInARow()) {
      return from.slot();
    }
    PartKind kind =
        catalogue.now().kinds().stream()
            .filter(k -> k.is(PartKind.Trait.PORTION))
            .findFirst()
            .orElseThrow(() -> new IllegalStateException("Bug: no part kind is a portion"));
    LotPartEntity row = LotPartEntity.inARow(from, kind, nextNumber(lotId));
    Optional<LotPartEntity> already = parts.findByLotIdAndSlot(lotId, row.slot());
    String started = already.orElseGet(() -> parts.saveAndFlush(row)).slot();
    events.publishEvent(new LotChanged(lotId));
    return started;
  }

  private int nextNumber(long lotId) {
    List<LotPartEntity> all = parts.findByLotIdInOrderByNumber(List.of(lotId));
    if (all.size() >= LotRules.MOST_PARTS) {
      throw Refusal.of(Finding.of(LotProblem.TOO_MANY_PARTS, LotRules.MOST_PARTS));
    }
    return all.stream().mapToInt(LotPartEntity::number).max().orElse(0) + 1;
  }

  /**
   * Adds a part that the body plan does not foresee.
   *
   * @param lotId the lot number
   * @param kindCode the kind of part
   * @param parentSlot the part it is cut from; empty for the whole fish
   * @return the slot of the new part
   * @throws Refusal if the kind or the parent is unknown, or there are too many parts
   */
  @PreAuthorize("hasAuthority('WEIGH') and @here.of('LOT', #lotId)")
  @SentTwice
  public String addPart(long lotId, String kindCode, String parentSlot) {
    lots.checkOpen(lotId);
    PartKind kind =
        catalogue
            .findKind(kindCode)
            .orElseThrow(() -> Refusal.ofField("kind", "parts.problem.which-part-is-it-choose"));
    List<LotPartEntity> all = parts.findByLotIdInOrderByNumber(List.of(lotId));
    String slot;
    if (parentSlot.isBlank()) {
      long same = all.stream().filter(p -> p.kind().equals(kind.code())).count();
      String name = same == 0 ? kind.name() : kind.name() + " " + (same + 1);
      LotPartEntity added = LotPartEntity.added(lotId, kind, nextNumber(lotId), name);
      slot = parts.saveAndFlush(added).slot();
    } else {
      slot = cut(part(lotId, parentSlot), kind).slot();
    }
    events.publishEvent(new LotChanged(lotId));
    return slot;
  }

  /**
   * Gives a part that was cut or added a name of its own.
   *
   * @param lotId the lot number
   * @param slot the part
   * @param typed its name, up to 60 characters
   * @throws Refusal if the body plan foresees the part, or nothing was typed
   */
  @PreAuthorize("hasAuthority('WEIGH') and @here.of('LOT', #lotId)")
  public void call(long lotId, String slot, String typed) {
    lots.checkOpen(lotId);
    LotPartEntity part = part(lotId, slot);
    if (part.isPlanned()) {
      throw Refusal.ofField("name", "parts.problem.has-its-name", part.name());
    }
    part.call(PlainText.needed(typed, LONGEST_NAME, "name", FieldName.NAME));
    events.publishEvent(new LotChanged(lotId));
  }

  private LotPartEntity cut(LotPartEntity from, PartKind kind) {
    return parts.saveAndFlush(
        LotPartEntity.cutFrom(from, kind(from), kind, nextNumber(from.lotId())));
  }

  /**
   * Cuts a part into the same pieces as another: the second side repeats the first.
   *
   * @param lotId the lot number
   * @param slot the part that is cut
   * @param like the part whose pieces are repeated
   * @return the slot of its first piece
   * @throws Refusal if it is cut already, or the other is not
   */
  @PreAuthorize("hasAuthority('WEIGH') and @here.of('LOT', #lotId)")
  @SentTwice
  public String cutLike(long lotId, String slot, String like) {
    lots.checkOpen(lotId);
    LotPartEntity from = part(lotId, slot);
    if (!piecesOf(from).isEmpty()) {
      throw Refusal.ofInput("parts.problem.is-cut-already", from.name());
    }
    List<LotPartEntity> made = repeat(part(lotId, like), from);
    if (made.isEmpty()) {
      throw Refusal.ofInput("parts.problem.is-not-cut", part(lotId, like).name());
    }
    events.publishEvent(new LotChanged(lotId));
    return made.get(0).slot();
  }

  private List<LotPartEntity> repeat(LotPartEntity like, LotPartEntity from) {
    List<LotPartEntity> made = new ArrayList<>();
    for (LotPartEntity piece : piecesOf(like)) {
      if (!piece.isInARow()) {
        LotPartEntity copy = cut(from, kind(piece));
        made.add(copy);
        repeat(piece, copy);
      }
    }
    return made;
  }

  private List<LotPartEntity> piecesOf(LotPartEntity part) {
    return parts.findByLotIdInOrderByNumber(List.of(part.lotId())).stream()
        .filter(other -> other.parentId().filter(part.id()::equals).isPresent())
        .toList();
  }

  /**
   * Says that a part stays on another this time: it is weighed with it and goes where it goes.
   *
   * @param lotId the lot number
   * @param slot the part
   * @param on the part it stays on
   * @throws Refusal if it was weighed already, or the other is not taken off either
   */
  @PreAuthorize("hasAuthority('WEIGH') and @here.of('LOT', #lotId)")
  public void stayOn(long lotId, String slot, String on) {
    lots.checkOpen(lotId);
    LotPartEntity part = part(lotId, slot);
    LotPartEntity other = part(lotId, on);
    if (weighed.isWeighed(part.id())) {
      throw Refusal.ofInput("parts.problem.was-weighed-take-the-weight", part.name());
    }
    if (part.slot().equals(other.slot()) || other.isSkipped()) {
      throw Refusal.ofInput("parts.problem.is-not-taken-off-itself", other.name());
    }
    Currency money = lots.get(lotId).currency();
    Refusal.ifFound(
        LotRules.staying(part.toPart(kind(part), money), other.toPart(kind(other), money)));
    part.stayOn(other);
    events.publishEvent(new LotChanged(lotId));
  }

  /**
   * Puts a part back into another after it was weighed, such as roe into a butterflied fish: it is
   * served with it.
   *
   * @param lotId the lot number
   * @param slot the part
   * @param into the part it is put into; empty to take it out again
   * @throws Refusal if it was not weighed, may not be eaten, or the other is not for the plate
   */
  @PreAuthorize("hasAuthority('WEIGH') and @here.of('LOT', #lotId)")
  public void putBack(long lotId, String slot, Optional<String> into) {
    lots.checkOpen(lotId);
    LotPartEntity part = part(lotId, slot);
    if (into.isEmpty()) {
      part.takeOut();
    } else {
      LotPartEntity other = part(lotId, into.get());
      Currency money = lots.get(lotId).currency();
      Part itself = part.toPart(kind(part), money);
      boolean isWeighed = weighed.isWeighed(part.id());
      Refusal.ifFound(LotRules.puttingBack(itself, isWeighed, other.toPart(kind(other), money)));
      purposes.servedWith(part, other);
      part.putInto(other);
    }
    events.publishEvent(new LotChanged(lotId));
  }

  /**
   * Says that a part is not taken off this time, or that it is after all.
   *
   * @param lotId the lot number
   * @param slot the part
   * @throws Refusal if it was weighed already
   */
  @PreAuthorize("hasAuthority('WEIGH') and @here.of('LOT', #lotId)")
  public void skipOrExpect(long lotId, String slot) {
    lots.checkOpen(lotId);
    LotPartEntity part = part(lotId, slot);
    if (part.isSkipped()) {
      part.expectAgain();
    } else if (weighed.isWeighed(part.id())) {
      throw Refusal.ofInput("parts.problem.was-weighed-take-the-weight", part.name());
    } else {
      part.skip();
    }
    events.publishEvent(new LotChanged(lotId));
  }

  @EventListener
  void expect(PartWeighedAfterAll event) {
    part(event.lotId(), event.slot()).expectAgain();
  }

  private LotPartEntity part(long lotId, String slot) {
    return parts
        .findByLotIdAndSlot(lotId, slot)
        .orElseThrow(() -> Refusal.ofMissing("parts.problem.lot-has-no-such-part", lotId));
  }
}
