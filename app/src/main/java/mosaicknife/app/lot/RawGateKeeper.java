package mosaicknife.app.lot;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.booklet.HouseRules;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.safety.FreezingRecord;
import mosaicknife.core.safety.FreezingRule;
import mosaicknife.core.safety.ProbeCurve;
import mosaicknife.core.safety.RawPapers;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what opens the raw gate: the pairs of the house, records of freezing, exemptions. */
@Service
@Transactional
public class RawGateKeeper {

  private static final int LONGEST = 160;
  private static final int LONGEST_NAME = 80;

  private final HouseRules rules;
  private final FreezingRecordRepository records;
  private final RawExemptionRepository exemptions;
  private final HouseSettings houses;
  private final PeopleRegister people;
  private final CurrentPerson current;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  RawGateKeeper(
      HouseRules rules,
      FreezingRecordRepository records,
      RawExemptionRepository exemptions,
      HouseSettings houses,
      PeopleRegister people,
      CurrentPerson current,
      ApplicationEventPublisher events,
      Clock clock) {
    this.rules = rules;
    this.records = records;
    this.exemptions = exemptions;
    this.houses = houses;
    this.people = people;
    this.current = current;
    this.events = events;
    this.clock = clock;
  }

  /** What may open the gate of lots, by their numbers; with the pairs that are trusted today. */
  @Transactional(readOnly = true)
  Map<Long, RawPapers> of(Collection<Long> lots) {
    List<FreezingRule> trusted =
        rules.pairs().stream().filter(kept -> !kept.expired()).map(HouseRules.Kept::rule).toList();
    Map<Long, String> names = people.names();
    Map<Long, List<FreezingRecordEntity>> frozen =
        records.findAllByLotIdInOrderById(lots).stream()
            .collect(Collectors.groupingBy(LotFact::lotId));
    Map<Long, List<RawExemptionEntity>> exempt =
        exemptions.findAllByLotIdInOrderById(lots).stream()
            .collect(Collectors.groupingBy(LotFact::lotId));
    return lots.stream()
        .distinct()
        .collect(
            Collectors.toMap(
                lot -> lot,
                lot ->
                    new RawPapers(
                        frozen.getOrDefault(lot, List.of()).stream()
                            .map(record -> record.toRecord(names))
                            .toList(),
                        exempt.getOrDefault(lot, List.of()).stream()
                            .map(one -> one.toExemption(names))
                            .toList(),
                        trusted)));
  }

  /**
   * How fish was frozen, as it was understood.
   *
   * @param part the slot of the part; empty for the whole lot
   * @param froze who froze it
   * @param from from when, by the wall's clock; empty where a curve says
   * @param to until when
   * @param before the core when it began
   * @param after the core when it ended
   * @param thickness how thick it was, if it was measured
   * @param curve what a probe read, as it was typed; empty if none was in
   * @param place where it lay
   * @param paper the paper that shows it; empty for the house's own
   * @param caught when it was caught, if that is needed
   */
  public record Frozen(
      Optional<String> part,
      FreezingRecord.Froze froze,
      Optional<Instant> from,
      Optional<Instant> to,
      Temperature before,
      Temperature after,
      Optional<Length> thickness,
      String curve,
      String place,
      String paper,
      Optional<LocalDate> caught) {}

  /**
   * Writes down that fish was frozen. The same record sent again is one.
   *
   * @param lot the lot
   * @param clientId the identifier the sender made
   * @param frozen how it was frozen
   * @throws Refusal if that cannot be true of the lot
   */
  @PreAuthorize("hasAuthority('RECEIVE') and @here.of('LOT', #lot.id())")
  @SentTwice
  public void froze(Lot lot, UUID clientId, Frozen frozen) {
    if (records.existsByClientId(clientId)) {
      return;
    }
    Instant now = clock.instant();
    Optional<ProbeCurve> curve = curve(frozen.curve());
    FreezingRecord record =
        new FreezingRecord(
            frozen.part(),
            new FreezingRecord.Span(
                frozen.froze(),
                curve.map(ProbeCurve::from).or(frozen::from).orElseThrow(() -> noTime("from")),
                curve.map(ProbeCurve::to).or(frozen::to).orElseThrow(() -> noTime("to")),
                PlainText.line(frozen.place(), LONGEST_NAME, "place", FieldName.PLACE),
                PlainText.line(frozen.paper(), LONGEST, "paper", FieldName.EVIDENCE),
                frozen.caught()),
            frozen.before(),
            frozen.after(),
            frozen.thickness(),
            curve,
            current.get().name(),
            now);
    Refusal.ifFound(record.problem(lot.known(houses.house().formats().zone()), now));
    records.saveAndFlush(new FreezingRecordEntity(clientId, lot.id(), record, current.get().id()));
    events.publishEvent(new LotChanged(lot.id()));
  }

  private static Refusal noTime(String field) {
    return Refusal.ofField(field, "lot.problem.from-when-to-when");
  }

  private Optional<ProbeCurve> curve(String typed) {
    try {
      return typed.isBlank()
          ? Optional.empty()
          : Optional.of(ProbeCurve.parse(typed, houses.house().formats().zone()));
    } catch (ProbeCurve.Unreadable e) {
      throw Refusal.of(e.finding());
    }
  }

  /**
   * Attaches a named exemption with its evidence. The same one sent again is one.
   *
   * @param lotId the number of the lot
   * @param clientId the identifier the sender made
   * @param name what it is called
   * @param evidence the paper that shows it
   * @throws Refusal if name or evidence is missing
   */
  @PreAuthorize("hasAuthority('RECEIVE') and @here.of('LOT', #lotId)")
  @SentTwice
  public void exempt(long lotId, UUID clientId, String name, String evidence) {
    if (exemptions.existsByClientId(clientId)) {
      return;
    }
    exemptions.saveAndFlush(
        new RawExemptionEntity(
            clientId,
            lotId,
            PlainText.needed(name, LONGEST_NAME, "name", FieldName.NAME),
            PlainText.needed(evidence, LONGEST, "evidence", FieldName.EVIDENCE),
            current.get().id(),
            clock.instant()));
    events.publishEvent(new LotChanged(lotId));
  }
}
