package mosaicknife.app.lot;

import java.time.Clock;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.core.lot.ColdChain;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.safety.Limit;
import mosaicknife.core.safety.Limits;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the limits of the house, and how long lots stood warm. */
@Service
@Transactional
public class ColdChainKeeper {

  private static final int LONGEST = 160;

  private final HouseLimitRepository limits;
  private final LotWarmRepository warm;
  private final HouseSettings houses;
  private final PeopleRegister people;
  private final CurrentPerson current;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  ColdChainKeeper(
      HouseLimitRepository limits,
      LotWarmRepository warm,
      HouseSettings houses,
      PeopleRegister people,
      CurrentPerson current,
      ApplicationEventPublisher events,
      Clock clock) {
    this.limits = limits;
    this.warm = warm;
    this.houses = houses;
    this.people = people;
    this.current = current;
    this.events = events;
    this.clock = clock;
  }

  /**
   * Returns the limits of the house.
   *
   * @return its own, else the starting ones
   */
  @Transactional(readOnly = true)
  public Limits limits() {
    return new Limits(
        limits.findNewest().stream()
            .collect(Collectors.toMap(HouseLimitEntity::which, HouseLimitEntity::toSetting)));
  }

  /** How cold lots were kept, by their numbers; fish taken out of a lot stood warm with it. */
  @Transactional(readOnly = true)
  Map<Long, ColdChain> of(Collection<Long> lots, Collection<DivisionEntity> divided) {
    Limits allowed = limits();
    ColdChain.Day day = new ColdChain.Day(houses.today(), houses.house().formats().zone());
    Map<Long, DivisionEntity> from =
        divided.stream().collect(Collectors.toMap(DivisionEntity::lotId, division -> division));
    List<Long> all =
        Stream.concat(lots.stream(), divided.stream().map(DivisionEntity::fromLotId))
            .distinct()
            .toList();
    List<LotWarmEntity> facts = warm.findAllByLotIdInOrderById(all);
    Map<Long, String> names = facts.isEmpty() ? Map.of() : people.names();
    return lots.stream()
        .distinct()
        .collect(
            Collectors.toMap(
                lot -> lot,
                lot ->
                    new ColdChain(
                        facts.stream()
                            .filter(fact -> isOf(fact, lot, Optional.ofNullable(from.get(lot))))
                            .map(fact -> fact.toWarm(names))
                            .toList(),
                        allowed,
                        day)));
  }

  private static boolean isOf(LotWarmEntity fact, long lot, Optional<DivisionEntity> division) {
    return fact.lotId() == lot
        || division
            .filter(one -> one.fromLotId() == fact.lotId())
            .filter(one -> !fact.madeAt().isAfter(one.dividedAt()))
            .isPresent();
  }

  /**
   * Writes down that a lot stood warm. The same time sent again is one.
   *
   * @param lotId the number of the lot
   * @param clientId the identifier the sender made
   * @param minutes how long, up to a day
   * @param why what happened, possibly empty
   */
  @PreAuthorize("hasAnyAuthority('RECEIVE', 'WEIGH') and @here.of('LOT', #lotId)")
  @SentTwice
  public void stoodWarm(long lotId, UUID clientId, int minutes, String why) {
    if (warm.existsByClientId(clientId)) {
      return;
    }
    warm.saveAndFlush(
        new LotWarmEntity(
            clientId,
            lotId,
            minutes,
            PlainText.line(why, LONGEST, "why", FieldName.REASON),
            current.get().id(),
            clock.instant()));
    events.publishEvent(new LotChanged(lotId));
  }

  /**
   * A limit with what a page says of it.
   *
   * @param limit which
   * @param value what counts, in its unit
   * @param setting what the house has set; empty while the starting estimate counts
   */
  public record LimitRow(Limit limit, int value, Optional<Limits.Setting> setting) {

    /**
     * Returns the value as it is shown.
     *
     * @return the temperature, or the number in its unit
     */
    public Object shown() {
      return limit.unit() == Limit.Unit.TENTHS_OF_A_DEGREE ? new Temperature(value) : value;
    }
  }

  /**
   * Returns all limits.
   *
   * @return each with what counts
   */
  @Transactional(readOnly = true)
  public List<LimitRow> rows() {
    Limits all = limits();
    return Arrays.stream(Limit.values())
        .map(
            limit ->
                new LimitRow(limit, all.value(limit), Optional.ofNullable(all.own().get(limit))))
        .toList();
  }

  /**
   * Sets a limit of the house. Older settings stay to be read.
   *
   * @param limit which
   * @param value the value in its unit
   * @param source where the house has it from
   * @throws Refusal if the value cannot be, or the source is missing
   */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE')")
  public void set(Limit limit, int value, String source) {
    Refusal.ifFound(limits().problem(limit, value));
    String from = PlainText.needed(source, LONGEST, "source", FieldName.SOURCE);
    limits.saveAndFlush(
        new HouseLimitEntity(
            limit, new Limits.Setting(value, from, houses.today()), current.get().id()));
  }
}
