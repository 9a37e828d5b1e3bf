package mosaicknife.app.parts;

import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.lot.LotChanged;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.core.plan.PreWork;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Ticks off what is done before the first cut, with who did it. */
@Service
@Transactional
public class PreWorkTicker {

  private final PreWorkRepository works;
  private final LotRegister lots;
  private final PeopleRegister people;
  private final CurrentPerson current;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  PreWorkTicker(
      PreWorkRepository works,
      LotRegister lots,
      PeopleRegister people,
      CurrentPerson current,
      ApplicationEventPublisher events,
      Clock clock) {
    this.works = works;
    this.lots = lots;
    this.people = people;
    this.current = current;
    this.events = events;
    this.clock = clock;
  }

  /**
   * Who did a thing, and when.
   *
   * @param by the name of the person
   * @param at when
   */
  public record Done(String by, Instant at) {}

  /**
   * Returns what is done of a lot.
   *
   * @param lotId the number of the lot
   * @return who did it and when, by place and task with a stroke between
   */
  @Transactional(readOnly = true)
  public Map<String, Done> of(long lotId) {
    Map<Long, String> names = people.names();
    return works.findOfLot(lotId).stream()
        .collect(
            Collectors.toMap(
                done -> done.place() + "/" + done.task(),
                done -> new Done(names.getOrDefault(done.doneBy(), ""), done.doneAt())));
  }

  /**
   * Returns what was done to lots before the first cut.
   *
   * @param lots the numbers of the lots
   * @return the tasks by lot
   */
  @Transactional(readOnly = true)
  public Map<Long, Set<PreWork.Task>> done(Collection<Long> lots) {
    return works.findOfLots(lots).stream()
        .collect(
            Collectors.groupingBy(
                PreWorkEntity::lotId, Collectors.mapping(PreWorkEntity::task, Collectors.toSet())));
  }

  /**
   * Says that a thing is done, or that it is not after all. Said twice the same way it is the same.
   *
   * @param lotId the number of the lot
   * @param place where on the fish
   * @param task what
   * @param done whether it is done
   * @throws mosaicknife.app.shared.Refusal if the lot is closed
   */
  @PreAuthorize("hasAuthority('WEIGH') and @here.of('LOT', #lotId)")
  public void tick(long lotId, PreWork.Place place, PreWork.Task task, boolean done) {
    lots.checkOpen(lotId);
    PreWorkEntity.Key key = new PreWorkEntity.Key(lotId, place, task);
    Optional<PreWorkEntity> before = works.findById(key);
    if (done && before.isEmpty()) {
      works.save(new PreWorkEntity(key, current.get().id(), clock.instant()));
      events.publishEvent(new LotChanged(lotId));
    } else if (!done && before.isPresent()) {
      works.delete(before.get());
      events.publishEvent(new LotChanged(lotId));
    }
  }
}
