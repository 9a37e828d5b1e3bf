package mosaicknife.app.pot;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.device.Probe;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.heat.Surroundings;
import mosaicknife.core.quantity.Temperature;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes down what probes show of a batch, where it stands, and reads the probe of the house. */
@Service
@Transactional
public class PotProbe {

  private static final int LONGEST_NAME = 60;

  private final PotBook book;
  private final PotReadingRepository readings;
  private final PotStandRepository stands;
  private final Probe probe;
  private final CurrentPerson current;
  private final Clock clock;

  PotProbe(
      PotBook book,
      PotReadingRepository readings,
      PotStandRepository stands,
      Probe probe,
      CurrentPerson current,
      Clock clock) {
    this.book = book;
    this.readings = readings;
    this.stands = stands;
    this.probe = probe;
    this.current = current;
    this.clock = clock;
  }

  /**
   * Writes down what a probe showed.
   *
   * @param clientId the identifier the sender made
   * @param id the number of the batch
   * @param temperature what it showed
   * @param at when
   * @param instrument which thermometer
   * @throws Refusal if that lies ahead, or days back, or nobody says which
   */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.of('POT', #id)")
  public void read(UUID clientId, long id, Temperature temperature, Instant at, String instrument) {
    book.notAhead(at);
    String which = PlainText.needed(instrument, LONGEST_NAME, "instrument", FieldName.INSTRUMENT);
    book.locked(id);
    note(clientId, id, temperature, at, Optional.of(which), current.get().id());
  }

  /**
   * Reads the probe of the house now.
   *
   * @param clientId the identifier the sender made
   * @param id the number of the batch
   * @return what it showed
   * @throws Refusal if it does not answer
   */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.of('POT', #id)")
  public Temperature read(UUID clientId, long id) {
    Temperature shown = probe.read().orElseThrow(() -> Refusal.ofInput("pot.problem.probe-silent"));
    book.locked(id);
    note(clientId, id, shown, clock.instant(), Optional.empty(), current.get().id());
    return shown;
  }

  private void note(
      UUID clientId,
      long id,
      Temperature temperature,
      Instant at,
      Optional<String> typed,
      long by) {
    if (!readings.existsByClientId(clientId)) {
      readings.saveAndFlush(
          new PotReadingEntity(
              clientId,
              id,
              temperature.tenths(),
              at,
              typed.isEmpty(),
              typed.orElse(""),
              null,
              by,
              clock.instant()));
    }
  }

  /**
   * Strikes a reading that was wrong.
   *
   * @param id the number of the batch
   * @param reading the number of the reading
   * @throws Refusal if the batch has none of that number
   */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.of('POT', #id)")
  public void strike(long id, long reading) {
    Brew.Probed wrong =
        book.locked(id).probed().stream()
            .filter(one -> one.id() == reading)
            .findFirst()
            .orElseThrow(() -> Refusal.ofStale("pot.problem.no-such-reading"));
    readings.saveAndFlush(
        new PotReadingEntity(
            UUID.randomUUID(),
            id,
            wrong.temperature().tenths(),
            wrong.at(),
            wrong.byProbe(),
            wrong.instrument(),
            reading,
            current.get().id(),
            clock.instant()));
  }

  /**
   * Says where a batch stands to cool, and whether the probe is in it.
   *
   * @param id the number of the batch
   * @param where where
   * @param inIt whether the probe of the house is in it
   */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.of('POT', #id)")
  public void stand(long id, Surroundings where, boolean inIt) {
    book.locked(id);
    if (inIt) {
      book.running().stream()
          .filter(other -> other.id() != id && other.probe())
          .forEach(other -> stood(other.id(), other.where(), false));
      probe.stands(where);
    }
    stood(id, where, inIt);
  }

  private void stood(long id, Surroundings where, boolean inIt) {
    stands.saveAndFlush(
        new PotStandEntity(id, where.name(), inIt, current.get().id(), clock.instant()));
  }

  /**
   * Reads the probe for the batch it is in, once: whoever put it there is who reads.
   *
   * @return whether anything was read
   */
  public boolean log() {
    Optional<Brew> in = book.running().stream().filter(Brew::probe).findFirst();
    Optional<Temperature> shown = in.flatMap(one -> probe.read());
    shown.ifPresent(
        temperature -> {
          long id = in.get().id();
          List<PotStandEntity> stood = stands.findAllByBatchIdInOrderById(List.of(id));
          long by = stood.get(stood.size() - 1).by();
          note(UUID.randomUUID(), id, temperature, clock.instant(), Optional.empty(), by);
        });
    return shown.isPresent();
  }
}
