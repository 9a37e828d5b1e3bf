package mosaicknife.app.clock;

import biweekly.Biweekly;
import biweekly.ICalVersion;
import biweekly.ICalendar;
import biweekly.component.VAlarm;
import biweekly.component.VEvent;
import biweekly.property.Trigger;
import biweekly.util.Duration;
import java.time.Clock;
import java.time.Instant;
import java.util.Date;
import java.util.Optional;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.account.Person;
import mosaicknife.app.account.Secrets;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.clock.Schedule;
import mosaicknife.core.clock.Schedule.Placed;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The day for calendar programs. Whoever has the address reads when what is done, and nothing else:
 * no mass, no money.
 */
@Service
@Transactional
class Feed {

  private static final int WARN_MINUTES = 5;

  private final FeedRepository feeds;
  private final PeopleRegister people;
  private final HouseSettings houses;
  private final CurrentPerson current;
  private final Clock clock;

  Feed(
      FeedRepository feeds,
      PeopleRegister people,
      HouseSettings houses,
      CurrentPerson current,
      Clock clock) {
    this.feeds = feeds;
    this.people = people;
    this.houses = houses;
    this.current = current;
    this.clock = clock;
  }

  /** Makes an address for the person who asks; the one they had ends. */
  public String open() {
    String token = Secrets.fresh();
    feeds.saveAndFlush(
        new FeedEntity(current.get().id(), Secrets.hash(token), false, clock.instant()));
    return token;
  }

  /** Ends the address of the person who asks. */
  public void close() {
    feeds.saveAndFlush(
        new FeedEntity(current.get().id(), Secrets.hash(Secrets.fresh()), true, clock.instant()));
  }

  /** When the person who asks made their address; empty if they have none. */
  @Transactional(readOnly = true)
  public Optional<Instant> made() {
    return feeds
        .findNewest(current.get().id())
        .filter(feed -> !feed.isEnded())
        .map(FeedEntity::madeAt);
  }

  /** Who an address belongs to; refused when it is none, or they may not sign in any more. */
  @Transactional(readOnly = true)
  public Person reader(String token) {
    return feeds
        .findByHash(Secrets.hash(token))
        .flatMap(
            feed ->
                people.everybody().stream()
                    .filter(one -> one.id() == feed.personId() && one.active())
                    .findFirst())
        .orElseThrow(() -> Refusal.ofMissing("clock.problem.no-such-feed"));
  }

  /** Writes the day down as a calendar: what takes hands, and what it waits for. */
  String write(Gathering.Gathered day, Schedule schedule) {
    ICalendar calendar = new ICalendar();
    calendar.setProductId("-//Mosaic Knife//Clock//EN");
    calendar.setName(houses.house().formats().say("clock.said.calendar", houses.house().name()));
    for (Placed one : schedule.placed()) {
      if (one.task().minutes() > 0) {
        calendar.addEvent(event(day, one));
      }
    }
    return Biweekly.write(calendar).version(ICalVersion.V2_0).go();
  }

  private static VEvent event(Gathering.Gathered day, Placed one) {
    Instant from = day.now().toInstant().plusSeconds(one.start() * 60L);
    VEvent event = new VEvent();
    event.setUid(one.task().id().toString().replaceAll("[^A-Za-z0-9:-]", "-") + "@mosaic-knife");
    event.setDateTimeStamp(Date.from(day.now().toInstant()));
    event.setDateStart(Date.from(from));
    event.setDateEnd(Date.from(from.plusSeconds(one.task().minutes() * 60L)));
    String who = one.worker().map(day::worker).orElse("");
    event.setSummary(who.isEmpty() ? one.task().name() : one.task().name() + " (" + who + ")");
    if (one.task().hands().isPresent() && !one.task().isRunning()) {
      Trigger before =
          new Trigger(
              Duration.builder().prior(true).minutes(WARN_MINUTES).build(),
              biweekly.parameter.Related.START);
      event.addAlarm(VAlarm.display(before, event.getSummary().getValue()));
    }
    return event;
  }
}
