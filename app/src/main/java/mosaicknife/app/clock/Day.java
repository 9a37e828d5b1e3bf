package mosaicknife.app.clock;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import mosaicknife.app.homes.MakingBook;
import mosaicknife.app.homes.ToMake;
import mosaicknife.app.homes.UseBook;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.lot.ColdChainKeeper;
import mosaicknife.app.pot.Brew;
import mosaicknife.app.pot.PotBook;
import mosaicknife.core.clock.Agenda;
import mosaicknife.core.clock.Task;
import mosaicknife.core.heat.CoolingRule;
import mosaicknife.core.pot.PotRun;
import mosaicknife.core.pot.PotStep.Work;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Gathers what takes time from now on: pots that run, and what is to be made. */
@Component
class Day {

  private final PotBook pots;
  private final MakingBook makings;
  private final UseBook uses;
  private final ColdChainKeeper limits;
  private final HouseSettings houses;
  private final Clock clock;

  Day(
      PotBook pots,
      MakingBook makings,
      UseBook uses,
      ColdChainKeeper limits,
      HouseSettings houses,
      Clock clock) {
    this.pots = pots;
    this.makings = makings;
    this.uses = uses;
    this.limits = limits;
    this.houses = houses;
    this.clock = clock;
  }

  /**
   * The day.
   *
   * @param now the moment it counts from
   * @param agenda what is to be done
   * @param places what the resources are called, hands first
   * @param links where each task is worked, by its identifier
   * @param unsure the pots of which nobody can say when they are cold
   */
  record Gathered(
      Instant now,
      Agenda agenda,
      Map<String, String> places,
      Map<String, String> links,
      List<String> unsure) {}

  @Transactional(readOnly = true)
  public Gathered gather() {
    Instant now = clock.instant();
    Map<Long, UseBook.Room> rooms = uses.rooms();
    Map<Long, String> venues = houses.venueNames();
    Map<String, Integer> capacity = new HashMap<>();
    Map<String, String> places = new java.util.LinkedHashMap<>();
    houses
        .venues()
        .forEach(
            venue -> {
              capacity.put(hands(venue.id()), rooms.get(venue.id()).people().orElse(1));
              places.put(
                  hands(venue.id()),
                  houses.house().formats().say("clock.said.hands-at", venue.name()));
            });
    List<Brew> running = pots.running();
    for (PotBook.Stood stood : pots.kettles()) {
      capacity.put("kettle" + stood.kettle().name() + stood.venue(), 1);
      places.put(
          "kettle" + stood.kettle().name() + stood.venue(),
          houses
              .house()
              .formats()
              .say("clock.said.kettle-at", stood.kettle().name(), venues.get(stood.venue())));
    }
    List<Task> tasks = new ArrayList<>();
    Map<String, String> links = new HashMap<>();
    for (Brew brew : running) {
      brew(brew, now, capacity, places).forEach(tasks::add);
      brew.run().steps().forEach(s -> links.put(id(brew, s.code()), "/pot/" + brew.id()));
    }
    Set<Long> cooked = running.stream().map(b -> b.making().id()).collect(Collectors.toSet());
    for (ToMake one : makings.toMake()) {
      if (!cooked.contains(one.id())) {
        tasks.add(making(one, now, rooms.get(one.venue())));
        links.put("making" + one.id(), "/uses#make-" + one.id());
      }
    }
    CoolingRule rule = CoolingRule.of(limits.limits());
    List<String> unsure =
        running.stream()
            .filter(brew -> brew.neverCold(rule))
            .map(brew -> brew.making().use().name())
            .toList();
    return new Gathered(now, new Agenda(tasks, capacity), places, links, unsure);
  }

  private static String hands(long venue) {
    return "hands" + venue;
  }

  private static String id(Brew brew, String step) {
    return "pot" + brew.id() + ":" + step;
  }

  /** The steps of a batch that are not done; the one that is on runs from now to its usual end. */
  private List<Task> brew(
      Brew brew, Instant now, Map<String, Integer> capacity, Map<String, String> places) {
    String kettle = "kettle" + brew.plan().kettle().name() + brew.making().venue();
    capacity.putIfAbsent(kettle, 1);
    places.putIfAbsent(kettle, brew.plan().kettle().name());
    List<Task> tasks = new ArrayList<>();
    List<PotRun.Timed> open =
        brew.timed(CoolingRule.of(limits.limits()), now).stream()
            .filter(one -> !one.standing().name().startsWith("DONE"))
            .toList();
    for (int i = 0; i < open.size(); i++) {
      PotRun.Timed timed = open.get(i);
      boolean on = timed.standing() != PotRun.Standing.WAITS;
      int minutes =
          on
              ? (int) Math.max(0, Duration.between(now, timed.ends()).toMinutes())
              : (int) Duration.between(timed.begins(), timed.ends()).toMinutes();
      List<Task.After> after = new ArrayList<>();
      if (i > 0) {
        PotRun.Timed before = open.get(i - 1);
        // what comes before may go on as long as it may last, and no longer
        int spare = (int) Math.max(5, Duration.between(before.ends(), before.latest()).toMinutes());
        after.add(new Task.After(id(brew, before.step().code()), 0, spare));
      }
      boolean last = i == open.size() - 1;
      tasks.add(
          new Task(
              id(brew, timed.step().code()),
              houses
                  .house()
                  .formats()
                  .say("pot.said.clock", brew.making().use().name(), timed.step().name()),
              Math.min(minutes, 2880),
              needs(timed.step().work(), brew.making().venue(), kettle),
              after,
              last && brew.wanted().isPresent()
                  ? OptionalInt.of(
                      (int) Math.max(0, Duration.between(now, brew.wanted().get()).toMinutes()))
                  : OptionalInt.empty(),
              on ? OptionalInt.of(0) : OptionalInt.empty()));
    }
    return tasks;
  }

  private static Set<String> needs(Work work, long venue, String kettle) {
    return switch (work) {
      case HANDS -> Set.of(hands(venue));
      case HEAT, FIRE -> Set.of(kettle);
      case REST, COOL -> Set.of();
    };
  }

  /** What is to be made takes hands, and is wanted before the last hour of its venue. */
  private Task making(ToMake one, Instant now, UseBook.Room room) {
    ZonedDateTime here = now.atZone(houses.house().formats().zone());
    Optional<Long> left =
        room.lastHour()
            .map(last -> Duration.between(here, here.with(last)).toMinutes())
            .filter(minutes -> minutes > 0);
    return new Task(
        "making" + one.id(),
        one.use().name(),
        Math.min(one.use().work().minutes(one.units()), 2880),
        Set.of(hands(one.venue())),
        List.of(),
        left.map(minutes -> OptionalInt.of(minutes.intValue())).orElse(OptionalInt.empty()),
        OptionalInt.empty());
  }
}
