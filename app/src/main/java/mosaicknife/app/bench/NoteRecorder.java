package mosaicknife.app.bench;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.lot.LotChanged;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.parts.LotParts;
import mosaicknife.app.parts.LotPutBack;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.Part;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Remarks at the bench, and when work on a lot began. */
@Service
@Transactional
public class NoteRecorder {

  private static final int LONGEST = 500;

  private final NoteRepository notes;
  private final OpeningRepository openings;
  private final LotParts parts;
  private final LotRegister lots;
  private final PeopleRegister people;
  private final CurrentPerson current;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  NoteRecorder(
      NoteRepository notes,
      OpeningRepository openings,
      LotParts parts,
      LotRegister lots,
      PeopleRegister people,
      CurrentPerson current,
      ApplicationEventPublisher events,
      Clock clock) {
    this.notes = notes;
    this.openings = openings;
    this.parts = parts;
    this.lots = lots;
    this.people = people;
    this.current = current;
    this.events = events;
    this.clock = clock;
  }

  /** What was remarked of fish that go back to their lot is remarked of that lot. */
  @EventListener
  void putBack(LotPutBack lot) {
    notes.move(lot.lotId(), lot.to());
  }

  /**
   * Writes a remark. The same remark sent again is the same.
   *
   * @param id the identifier the sender made
   * @param lotId the lot number
   * @param slot the part it is about; empty or unknown for the whole lot
   * @param typed what was typed
   */
  @PreAuthorize("hasAuthority('WEIGH') and @here.of('LOT', #lotId)")
  @SentTwice
  public void write(UUID id, long lotId, String slot, String typed) {
    Lot lot = lots.get(lotId);
    String text = PlainText.needed(typed, LONGEST, "note", FieldName.NOTE);
    if (notes.existsById(id)) {
      return;
    }
    Long part =
        partsOf(lot).stream()
            .filter(p -> p.slot().equals(slot))
            .map(Part::id)
            .findFirst()
            .orElse(null);
    notes.save(
        new NoteEntity(id, lotId, part, text).writtenBy(current.get().id(), clock.instant()));
    events.publishEvent(new LotChanged(lotId));
  }

  /**
   * Returns the remarks on a lot, the newest first.
   *
   * @param lotId the lot number
   * @return the remarks
   */
  @Transactional(readOnly = true)
  public List<Note> of(long lotId) {
    Map<Long, String> names = people.names();
    List<NoteEntity> written = notes.findByLotIdOrderByWrittenAtDesc(lotId);
    if (written.isEmpty()) {
      return List.of();
    }
    Map<Long, String> partNames =
        partsOf(lots.get(lotId)).stream().collect(Collectors.toMap(Part::id, Part::name));
    return written.stream()
        .map(
            note ->
                note.toNote(
                    note.partId() == null ? "" : partNames.getOrDefault(note.partId(), ""),
                    names.get(note.writtenBy())))
        .toList();
  }

  /**
   * Says that somebody who may weigh stands at the bench of a lot: its first step begins.
   *
   * @param lotId the lot number
   */
  @PreAuthorize("hasAuthority('WEIGH') and @here.of('LOT', #lotId)")
  @SentTwice
  public void begin(long lotId) {
    if (openings.findById(lotId).isEmpty()) {
      openings.saveAndFlush(new OpeningEntity(lotId, current.get().id(), clock.instant()));
    }
  }

  /**
   * Returns when work on a lot began.
   *
   * @param lotId the lot number
   * @return the moment, or empty
   */
  @Transactional(readOnly = true)
  public Optional<Instant> begun(long lotId) {
    return openings.findById(lotId).map(OpeningEntity::openedAt);
  }

  private List<Part> partsOf(Lot lot) {
    return parts.of(List.of(lot)).getOrDefault(lot.id(), List.of());
  }
}
