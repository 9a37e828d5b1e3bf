package mosaicknife.app.lot;

import java.time.Clock;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.booklet.HouseRules;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.core.lot.ColdChain;
import mosaicknife.core.safety.Limits;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps how long lots stood warm. */
@Service
@Transactional
public class ColdChainKeeper {

  private static final int LONGEST = 160;

  private final HouseRules rules;
  private final LotWarmRepository warm;
  private final HouseSettings houses;
  private final PeopleRegister people;
  private final CurrentPerson current;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  ColdChainKeeper(
      HouseRules rules,
      LotWarmRepository warm,
      HouseSettings houses,
      PeopleRegister people,
      CurrentPerson current,
      ApplicationEventPublisher events,
      Clock clock) {
    this.rules = rules;
    this.warm = warm;
    this.houses = houses;
    this.people = people;
    this.current = current;
    this.events = events;
    this.clock = clock;
  }

  /** How cold lots were kept, by their numbers; fish taken out of a lot stood warm with it. */
  @Transactional(readOnly = true)
  Map<Long, ColdChain> of(Collection<Long> lots, Collection<DivisionEntity> divided) {
    Limits allowed = rules.limits();
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
}
