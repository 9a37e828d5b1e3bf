package mosaicknife.app.weighing;

import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.lot.PartWeighedAfterAll;
import mosaicknife.app.parts.WeighedParts;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.app.weighing.WeighingEntity.Place;
import mosaicknife.app.weighing.WeighingEntity.Stamp;
import mosaicknife.app.weighing.WeighingRepository.MassRow;
import mosaicknife.core.lot.LotRules;
import mosaicknife.core.quantity.Mass;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Writes weighings down: takes them, corrects them, takes them back. A weight is taken with two
 * questions to the database, three for a piece of a part; its news leave with the row (a trigger).
 */
@Service
@Transactional
public class WeighingRecorder implements WeighedParts {

  private final WeighingRepository weighings;
  private final LotRegister lots;
  private final PeopleRegister people;
  private final HouseSettings houses;
  private final CurrentPerson current;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  WeighingRecorder(
      WeighingRepository weighings,
      LotRegister lots,
      PeopleRegister people,
      HouseSettings houses,
      CurrentPerson current,
      ApplicationEventPublisher events,
      Clock clock) {
    this.weighings = weighings;
    this.lots = lots;
    this.people = people;
    this.houses = houses;
    this.current = current;
    this.events = events;
    this.clock = clock;
  }

  @Override
  @Transactional(readOnly = true)
  public List<Long> inOrder(Collection<Long> partIds) {
    return weighings.findInOrder(partIds);
  }

  @Override
  @Transactional(readOnly = true)
  public boolean isWeighed(long partId) {
    return weighings.isWeighed(partId);
  }

  /**
   * Takes a weight. The same weighing sent again is the same weighing.
   *
   * @param take the wish
   * @return the part's name and mass as taken
   * @throws Refusal if the weight cannot be, or someone else was first
   */
  @PreAuthorize("hasAuthority('WEIGH') and @here.of('LOT', #take.lotId())")
  @SentTwice
  public Weighed take(Take take) {
    List<PlaceRow> rows = place(take.lotId(), take.slot(), take.fishNo());
    PlaceRow at = rows.get(0);
    List<WeighingEntity> links = links(rows);
    Mass mass = take.entry().mass();
    Optional<WeighingEntity> sentBefore =
        links.stream().filter(link -> link.id().equals(take.id())).findFirst();
    if (sentBefore.isPresent()) {
      checkSame(sentBefore.get(), take);
      return new Weighed(at.name(), mass);
    }
    checkOpen(take.lotId(), at);
    Refusal.ifFound(LotRules.fish(take.lotId(), at.fish(), at.name(), take.fishNo(), fish(links)));
    Refusal.ifFound(LotRules.weight(at.name(), mass, at.purchased(), at.most()));
    checkInside(at, mass);
    if (at.pieces() > 0) {
      checkAbove(at.part(), at.name(), take.fishNo(), mass);
    }
    int piece = at.inARow() ? lastPiece(links, take.fishNo()) + 1 : 0;
    Place place = new Place(at.part(), take.fishNo(), piece);
    Stamp stamp = new Stamp(current.get().id(), moment(take, at.received()));
    WeighingEntity weighing = WeighingEntity.taken(take.id(), place, take.entry(), stamp);
    Optional<WeighingEntity> last = last(links, take.fishNo(), piece);
    if (last.isPresent()) {
      weighing.after(last.get(), follow(at.name(), last.get(), take));
    }
    weighings.saveAndFlush(weighing);
    if (at.skipped()) {
      events.publishEvent(new PartWeighedAfterAll(take.lotId(), take.slot()));
    }
    return new Weighed(at.name(), mass);
  }

  /** An identifier means one weighing for ever; a sender that uses it twice would lose one. */
  private static void checkSame(WeighingEntity sent, Take take) {
    if (sent.fishNo() != take.fishNo() || !sent.mass().equals(Optional.of(take.entry().mass()))) {
      throw Refusal.ofStale("weighing.problem.id-of-another");
    }
  }

  /**
   * A weight that was taken.
   *
   * @param part the name of the part
   * @param mass the mass
   */
  public record Weighed(String part, Mass mass) {}

  private List<PlaceRow> place(long lotId, String slot, int fish) {
    List<PlaceRow> rows = weighings.findPlace(lotId, slot, fish);
    if (rows.isEmpty()) {
      throw Refusal.ofMissing("lot.problem.there-is-no-lot-choose", lotId);
    }
    if (rows.get(0).part() == null) {
      throw Refusal.ofMissing("parts.problem.lot-has-no-such-part", lotId);
    }
    return rows;
  }

  private static List<WeighingEntity> links(List<PlaceRow> rows) {
    return rows.stream().flatMap(row -> row.link().stream()).toList();
  }

  private static void checkOpen(long lotId, PlaceRow at) {
    if (at.finished() != null) {
      throw Refusal.ofInput("lot.problem.lot-is-closed-open-it", lotId);
    }
  }

  /** The links that no other one follows. */
  private static List<WeighingEntity> ends(List<WeighingEntity> links) {
    Set<UUID> followed =
        links.stream().flatMap(link -> link.supersedes().stream()).collect(Collectors.toSet());
    return links.stream().filter(link -> !followed.contains(link.id())).toList();
  }

  private static List<Integer> fish(List<WeighingEntity> links) {
    return ends(links).stream()
        .filter(link -> !link.isTakenBack())
        .map(WeighingEntity::fishNo)
        .toList();
  }

  private static int lastPiece(List<WeighingEntity> links, int fish) {
    return links.stream()
        .filter(link -> link.fishNo() == fish)
        .mapToInt(WeighingEntity::pieceNo)
        .max()
        .orElse(0);
  }

  private static Optional<WeighingEntity> last(List<WeighingEntity> links, int fish, int piece) {
    return ends(links).stream()
        .filter(link -> link.fishNo() == fish && link.pieceNo() == piece)
        .findFirst();
  }

  /** When it was taken: a weight that waited in a browser keeps its moment, if that can be. */
  private Instant moment(Take take, Instant received) {
    Instant now = clock.instant();
    return take.moment().filter(at -> !at.isAfter(now) && !at.isBefore(received)).orElse(now);
  }

  /** What is cut from a part cannot outweigh it; other pieces of a row count, an old figure not. */
  private void checkInside(PlaceRow at, Mass mass) {
    if (at.parent() == null) {
      return;
    }
    List<MassRow> family = weighings.findInside(at.parent());
    MassRow parent =
        family.stream().filter(row -> row.getPart() == at.parent()).findFirst().orElseThrow();
    long others =
        family.stream()
            .filter(row -> row.getPart() != at.parent())
            .filter(row -> row.getPart() != at.part() || at.inARow())
            .mapToLong(MassRow::getMass)
            .sum();
    Refusal.ifFound(
        LotRules.inside(
            parent.getName(),
            Mass.ofMilligrams(parent.getMass()),
            Mass.ofMilligrams(others),
            mass));
  }

  /** What a part is cut into cannot outweigh it, whichever of them is weighed later. */
  private void checkAbove(long part, String name, int fish, Mass mass) {
    Refusal.ifFound(
        LotRules.above(name, mass, Mass.ofMilligrams(weighings.massOfPieces(part, fish))));
  }

  /** Checks that the sender saw the last weighing, and returns the reason of the correction. */
  private String follow(String part, WeighingEntity last, Take take) {
    if (last.isTakenBack()) {
      return "";
    }
    if (take.supersedes().filter(last.id()::equals).isEmpty()) {
      Formats formats = houses.house().formats();
      throw Refusal.ofStale(
          "weighing.problem.was-already-weighed-by-at",
          part,
          formats.mass(last.mass().orElseThrow()),
          people.names().get(last.takenBy()),
          formats.time(last.takenAt()));
    }
    String reason = PlainText.line(take.reason(), 200, "reason", FieldName.REASON);
    if (reason.isEmpty()) {
      throw Refusal.ofField("reason", "weighing.problem.was-weighed-before-say-why", part);
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
  @PreAuthorize("hasAuthority('WEIGH') and @here.of('LOT', #lotId)")
  public String takeBack(long lotId) {
    WeighingEntity last =
        weighings
            .findLastOf(lotId, current.get().id())
            .orElseThrow(() -> Refusal.ofInput("weighing.problem.you-have-no-weight-on"));
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
  @PreAuthorize("hasAuthority('WEIGH') and @here.of('LOT', #lotId)")
  @SentTwice
  public String takeBack(long lotId, UUID id, UUID weighing) {
    lots.checkOpen(lotId);
    WeighingEntity last =
        weighings
            .findById(weighing)
            .orElseThrow(() -> Refusal.ofInput("weighing.problem.that-weight-is-not-there"));
    String name = partName(lotId, last.partId());
    if (weighings.findById(id).isPresent()) {
      return name;
    }
    Stamp stamp = new Stamp(current.get().id(), clock.instant());
    if (last.takenBy() != stamp.person()) {
      throw Refusal.ofInput("weighing.problem.someone-else-took-that-weight");
    }
    List<WeighingEntity> links = weighings.findByPartId(last.partId());
    boolean stands = ends(links).stream().anyMatch(link -> link.id().equals(weighing));
    if (!stands || last.isTakenBack()) {
      throw Refusal.ofStale("weighing.problem.someone-else-changed-first-look", name);
    }
    Optional<WeighingEntity> before =
        last.supersedes().flatMap(weighings::findById).filter(w -> !w.isTakenBack());
    before
        .flatMap(WeighingEntity::mass)
        .ifPresent(mass -> checkAbove(last.partId(), name, last.fishNo(), mass));
    if (before.isEmpty() && last.pieceNo() == 0) {
      Refusal.ifFound(LotRules.back(name, last.fishNo(), fish(links)));
    }
    weighings.saveAndFlush(
        before
            .map(w -> WeighingEntity.restoring(id, last, w, stamp))
            .orElseGet(() -> WeighingEntity.takingBack(id, last, stamp)));
    return name;
  }

  /**
   * Moves a weight of this person to another part: it was booked on the wrong row. The weight keeps
   * its reading and its moment. The same wish sent again is the same.
   *
   * @param lotId the lot number
   * @param id the identifier the sender made for the weight on the other part
   * @param weighing the weighing that stands on the wrong part
   * @param slot the part it belongs to
   * @return the name of that part and the mass
   * @throws Refusal if the other part was weighed already, or the weight is gone or another's
   */
  @PreAuthorize("hasAuthority('WEIGH') and @here.of('LOT', #lotId)")
  @SentTwice
  public Weighed move(long lotId, UUID id, UUID weighing, String slot) {
    WeighingEntity wrong =
        weighings
            .findById(weighing)
            .orElseThrow(() -> Refusal.ofInput("weighing.problem.that-weight-is-not-there"));
    List<PlaceRow> rows = place(lotId, slot, wrong.fishNo());
    PlaceRow at = rows.get(0);
    Mass mass = wrong.mass().orElse(Mass.ZERO);
    List<WeighingEntity> links = links(rows);
    if (links.stream().anyMatch(link -> link.id().equals(id))) {
      return new Weighed(at.name(), mass);
    }
    checkOpen(lotId, at);
    Optional<WeighingEntity> last = last(links, wrong.fishNo(), 0);
    if (at.inARow() || last.filter(link -> !link.isTakenBack()).isPresent()) {
      throw Refusal.ofInput("weighing.problem.was-weighed-choose-another", at.name());
    }
    Refusal.ifFound(LotRules.weight(at.name(), mass, at.purchased(), at.most()));
    takeBack(lotId, UUID.randomUUID(), weighing);
    Refusal.ifFound(LotRules.fish(lotId, at.fish(), at.name(), wrong.fishNo(), fish(links)));
    checkInside(at, mass);
    checkAbove(at.part(), at.name(), wrong.fishNo(), mass);
    WeighingEntity moved =
        wrong.movedTo(id, new Place(at.part(), wrong.fishNo(), 0), current.get().id());
    last.ifPresent(link -> moved.after(link, ""));
    weighings.saveAndFlush(moved);
    if (at.skipped()) {
      events.publishEvent(new PartWeighedAfterAll(lotId, slot));
    }
    return new Weighed(at.name(), mass);
  }

  private String partName(long lotId, long partId) {
    return weighings
        .findPartName(lotId, partId)
        .orElseThrow(() -> Refusal.ofMissing("parts.problem.lot-has-no-such-part", lotId));
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
  @PreAuthorize("hasAuthority('WEIGH') and @here.of('LOT', #lotId)")
  public void mend(long lotId, UUID id, UUID weighing, Mass right, String reason) {
    lots.checkOpen(lotId);
    if (weighings.findById(id).isPresent()) {
      return;
    }
    WeighingEntity wrong =
        weighings
            .findById(weighing)
            .orElseThrow(() -> Refusal.ofStale("weighing.problem.that-weight-is-gone-look"));
    checkAbove(wrong.partId(), partName(lotId, wrong.partId()), wrong.fishNo(), right);
    Stamp stamp = new Stamp(current.get().id(), clock.instant());
    weighings.saveAndFlush(WeighingEntity.mending(id, wrong, right, reason, stamp));
  }
}
