package mosaicknife.app.bench;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.bench.WeighingEntity.Place;
import mosaicknife.app.bench.WeighingEntity.Stamp;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.dock.Lot;
import mosaicknife.app.dock.LotRegister;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.quantity.Mass;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes weights at the bench, and takes them back. */
@Service
@Transactional
public class WeighingRecorder {

  private static final int MOST_PARTS = 60;

  /** Nothing lighter is a part; a typed 1.318 g was meant as kg. */
  private static final Mass SMALLEST_PART = Mass.ofGrams(2);

  private final LotRegister lots;
  private final LotPartRepository parts;
  private final WeighingRepository weighings;
  private final BenchSheets sheets;
  private final PeopleRegister people;
  private final HouseSettings houses;
  private final CurrentPerson current;
  private final CatalogueEditor catalogue;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  WeighingRecorder(
      LotRegister lots,
      LotPartRepository parts,
      WeighingRepository weighings,
      BenchSheets sheets,
      PeopleRegister people,
      HouseSettings houses,
      CurrentPerson current,
      CatalogueEditor catalogue,
      ApplicationEventPublisher events,
      Clock clock) {
    this.lots = lots;
    this.parts = parts;
    this.weighings = weighings;
    this.sheets = sheets;
    this.people = people;
    this.houses = houses;
    this.current = current;
    this.catalogue = catalogue;
    this.events = events;
    this.clock = clock;
  }

  /**
   * Takes a weight. The same weighing sent again is the same weighing.
   *
   * @param take the wish
   * @return the part's slot and mass as taken
   * @throws Refusal if the weight cannot be, or somebody else was quicker
   */
  @PreAuthorize("hasAuthority('WEIGH')")
  public Weighed take(Take take) {
    LotPartEntity part = part(take.lotId(), take.slot());
    if (weighings.findById(take.id()).isPresent()) {
      return new Weighed(part.name(), take.entry().mass());
    }
    Lot lot = openLot(take.lotId());
    checkFish(lot, part, take.fishNo());
    checkMass(lot, part, take);
    Stamp stamp = new Stamp(current.get().id(), moment(take, lot));
    int piece = part.isInARow() ? weighings.lastPiece(part.id(), take.fishNo()) + 1 : 0;
    Place place = new Place(part.id(), take.fishNo(), piece);
    WeighingEntity weighing = WeighingEntity.taken(take.id(), place, take.entry(), stamp);
    Optional<WeighingEntity> last = weighings.findLastLink(part.id(), take.fishNo(), piece);
    if (last.filter(link -> link.id().equals(take.id())).isPresent()) {
      // its twin was stored between the first look and this one
      return new Weighed(part.name(), take.entry().mass());
    }
    if (last.isPresent()) {
      weighing.after(last.get(), follow(part, last.get(), take));
    }
    weighings.saveAndFlush(weighing);
    events.publishEvent(new LotChanged(lot.id()));
    return new Weighed(part.name(), take.entry().mass());
  }

  /**
   * A weight that was taken.
   *
   * @param part the name of the part
   * @param mass the mass
   */
  public record Weighed(String part, Mass mass) {}

  /** When it was taken: a weight that waited in a browser keeps its moment, if that can be. */
  private Instant moment(Take take, Lot lot) {
    Instant now = clock.instant();
    return take.moment()
        .filter(at -> !at.isAfter(now) && !at.isBefore(lot.receivedAt()))
        .orElse(now);
  }

  private void checkFish(Lot lot, LotPartEntity part, int fishNo) {
    if (fishNo < 0 || fishNo > lot.fish()) {
      throw Refusal.ofInput("Lot %d has no fish %d.".formatted(lot.id(), fishNo));
    }
    if (weighings.isWeighedTheOtherWay(part.id(), fishNo)) {
      throw Refusal.ofInput(
          fishNo == 0
              ? "%s was weighed fish by fish. Go on so, or take those weights back first."
                  .formatted(part.name())
              : "%s was weighed for all fish together. Take that back first to weigh fish by fish."
                  .formatted(part.name()));
    }
  }

  private void checkMass(Lot lot, LotPartEntity part, Take take) {
    Mass mass = take.entry().mass();
    if (mass.compareTo(SMALLEST_PART) < 0) {
      throw Refusal.ofInput("Less than 2 g is no part. Check the unit: g or kg.");
    }
    if (mass.compareTo(lot.purchased()) > 0) {
      Formats formats = houses.house().formats();
      throw Refusal.ofInput(
          "%s of %s would weigh more than the whole lot of %s. Check the figure and the unit."
              .formatted(part.name(), formats.mass(mass), formats.mass(lot.purchased())));
    }
    part.parentId().ifPresent(parent -> checkInside(lot, part, parent, mass));
  }

  /** What is cut from a part cannot outweigh it. */
  private void checkInside(Lot lot, LotPartEntity part, long parentId, Mass mass) {
    List<BenchPart> all = sheets.get(lot.id()).parts();
    BenchPart parent = all.stream().filter(p -> p.id() == parentId).findFirst().orElseThrow();
    Mass siblings =
        Mass.total(
            all.stream()
                .filter(p -> p.parentId().filter(id -> id == parentId).isPresent())
                .filter(p -> p.id() != part.id() || part.isInARow())
                .map(BenchPart::mass)
                .toList());
    if (parent.isStarted() && siblings.plus(mass).compareTo(parent.mass()) > 0) {
      Formats formats = houses.house().formats();
      throw Refusal.ofInput(
          "The pieces of %s would weigh %s, more than its %s. Check the figure or weigh it again."
              .formatted(
                  parent.name(), formats.mass(siblings.plus(mass)), formats.mass(parent.mass())));
    }
  }

  /** Checks that the sender saw the last weighing, and returns the reason of the correction. */
  private String follow(LotPartEntity part, WeighingEntity last, Take take) {
    if (last.isTakenBack()) {
      return "";
    }
    if (take.supersedes().filter(last.id()::equals).isEmpty()) {
      Formats formats = houses.house().formats();
      Taken taken = last.toTaken(people.names().get(last.takenBy()));
      throw Refusal.ofStale(
          "%s was already weighed: %s by %s at %s. Choose it again to correct it."
              .formatted(
                  part.name(), formats.mass(taken.mass()), taken.by(), formats.time(taken.at())));
    }
    String reason = PlainText.line(take.reason(), 200, "reason", "reason");
    if (reason.isEmpty()) {
      throw Refusal.ofField(
          "reason",
          "%s was weighed before. Say why it is weighed again, then take.".formatted(part.name()));
    }
    return reason;
  }

  /**
   * Takes back the last weight this person took on a lot. A correction goes back to the figure
   * before it.
   *
   * @param lotId the lot number
   * @return the name of the part
   * @throws Refusal if there is nothing to take back
   */
  @PreAuthorize("hasAuthority('WEIGH')")
  public String takeBack(long lotId) {
    WeighingEntity last =
        weighings
            .findLastOf(lotId, current.get().id())
            .orElseThrow(
                () -> Refusal.ofInput("There is no weight of yours on this lot to take back."));
    return takeBack(lotId, UUID.randomUUID(), last.id());
  }

  /**
   * Takes back one weight of this person. The same wish sent again is the same.
   *
   * @param lotId the lot number
   * @param id the identifier the sender made for the taking back
   * @param weighing the weighing to take back
   * @return the name of the part
   * @throws Refusal if it is not there, is another's, or was changed since
   */
  @PreAuthorize("hasAuthority('WEIGH')")
  public String takeBack(long lotId, UUID id, UUID weighing) {
    openLot(lotId);
    WeighingEntity last =
        weighings
            .findById(weighing)
            .orElseThrow(() -> Refusal.ofInput("That weight is not there to take back."));
    String name = partName(lotId, last.partId());
    if (weighings.findById(id).isPresent()) {
      return name;
    }
    Stamp stamp = new Stamp(current.get().id(), clock.instant());
    if (last.takenBy() != stamp.person()) {
      throw Refusal.ofInput("Somebody else took that weight. Weigh the part again to correct it.");
    }
    boolean stands =
        weighings
            .findLastLink(last.partId(), last.fishNo(), last.pieceNo())
            .filter(link -> link.id().equals(weighing))
            .isPresent();
    if (!stands || last.isTakenBack()) {
      throw Refusal.ofStale("%s was changed since. Look at it again.".formatted(name));
    }
    Optional<WeighingEntity> before =
        last.supersedes().flatMap(weighings::findById).filter(w -> !w.isTakenBack());
    weighings.saveAndFlush(
        before
            .map(w -> WeighingEntity.restoring(id, last, w, stamp))
            .orElseGet(() -> WeighingEntity.takingBack(id, last, stamp)));
    events.publishEvent(new LotChanged(lotId));
    return name;
  }

  private String partName(long lotId, long partId) {
    return parts.findByLotIdInOrderByNumber(List.of(lotId)).stream()
        .filter(part -> part.id() == partId)
        .map(LotPartEntity::name)
        .findFirst()
        .orElseThrow(() -> Refusal.ofMissing("Lot %d has no such part.".formatted(lotId)));
  }

  /**
   * Corrects a weighing by what the search for gross errors found.
   *
   * @param lotId the lot number
   * @param id the identifier the sender made for the correction
   * @param weighing the weighing at fault
   * @param right what it should read
   * @param reason what was wrong
   * @throws Refusal if it was changed meanwhile
   */
  @PreAuthorize("hasAuthority('WEIGH')")
  public void mend(long lotId, UUID id, UUID weighing, Mass right, String reason) {
    openLot(lotId);
    if (weighings.findById(id).isPresent()) {
      return;
    }
    WeighingEntity wrong =
        weighings
            .findById(weighing)
            .orElseThrow(() -> Refusal.ofStale("That weight is gone. Look at the tally again."));
    partName(lotId, wrong.partId());
    Stamp stamp = new Stamp(current.get().id(), clock.instant());
    weighings.saveAndFlush(WeighingEntity.mending(id, wrong, right, reason, stamp));
    events.publishEvent(new LotChanged(lotId));
  }

  /**
   * Starts a row of portions cut from a part: every reading is one portion.
   *
   * @param lotId the lot number
   * @param slot the part they are cut from
   * @return the slot of the portions
   */
  @PreAuthorize("hasAuthority('WEIGH')")
  public String startRow(long lotId, String slot) {
    openLot(lotId);
    LotPartEntity from = part(lotId, slot);
    if (from.isInARow()) {
      return from.slot();
    }
    PartKind kind =
        catalogue
            .findKind("portion")
            .orElseThrow(() -> new IllegalStateException("Bug: no part kind portion"));
    LotPartEntity row = LotPartEntity.inARow(from, kind, nextNumber(lotId));
    Optional<LotPartEntity> already = parts.findByLotIdAndSlot(lotId, row.slot());
    String started = already.orElseGet(() -> parts.saveAndFlush(row)).slot();
    events.publishEvent(new LotChanged(lotId));
    return started;
  }

  private int nextNumber(long lotId) {
    List<LotPartEntity> all = parts.findByLotIdInOrderByNumber(List.of(lotId));
    if (all.size() >= MOST_PARTS) {
      throw Refusal.ofInput("A lot has at most %d parts.".formatted(MOST_PARTS));
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
  @PreAuthorize("hasAuthority('WEIGH')")
  public String addPart(long lotId, String kindCode, String parentSlot) {
    openLot(lotId);
    PartKind kind =
        catalogue
            .findKind(kindCode)
            .orElseThrow(() -> Refusal.ofField("kind", "Which part is it? Choose one."));
    List<LotPartEntity> all = parts.findByLotIdInOrderByNumber(List.of(lotId));
    Long parent = parentSlot.isBlank() ? null : part(lotId, parentSlot).id();
    int number = nextNumber(lotId);
    long same = all.stream().filter(p -> p.kind().equals(kind.code())).count();
    String name = same == 0 ? kind.name() : kind.name() + " " + (same + 1);
    String slot = parts.saveAndFlush(LotPartEntity.added(lotId, kind, number, name, parent)).slot();
    events.publishEvent(new LotChanged(lotId));
    return slot;
  }

  /**
   * Says that a part is not taken off this time, or that it is after all.
   *
   * @param lotId the lot number
   * @param slot the part
   * @throws Refusal if it was weighed already
   */
  @PreAuthorize("hasAuthority('WEIGH')")
  public void skipOrExpect(long lotId, String slot) {
    openLot(lotId);
    LotPartEntity part = part(lotId, slot);
    if (part.isSkipped()) {
      part.expectAgain();
    } else if (sheets.get(lotId).find(slot).filter(BenchPart::isStarted).isPresent()) {
      throw Refusal.ofInput("%s was weighed. Take the weight back first.".formatted(part.name()));
    } else {
      part.skip();
    }
    events.publishEvent(new LotChanged(lotId));
  }

  private Lot openLot(long lotId) {
    Lot lot = lots.get(lotId);
    if (lot.isFinished()) {
      throw Refusal.ofInput(
          "Lot %d is closed. Open it again before you change it.".formatted(lotId));
    }
    return lot;
  }

  private LotPartEntity part(long lotId, String slot) {
    return parts
        .findByLotIdAndSlot(lotId, slot)
        .orElseThrow(() -> Refusal.ofMissing("Lot %d has no such part.".formatted(lotId)));
  }
}
