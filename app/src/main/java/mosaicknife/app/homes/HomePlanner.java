package mosaicknife.app.homes;

import java.time.Clock;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import mosaicknife.app.homes.UseBook.Room;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.larder.LarderKeeper.Input;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.use.FishUse;
import mosaicknife.core.use.Hand;
import mosaicknife.core.use.HandId;
import mosaicknife.core.use.OnHand;
import mosaicknife.core.use.PlanQuestion;
import mosaicknife.core.use.PlanQuestion.Lock;
import mosaicknife.core.use.PlanQuestion.Place;
import mosaicknife.core.use.PlanQuestion.Wanted;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Asks what is to be shared out: parts, wishes, room and what was decided. */
@Service
@Transactional(readOnly = true)
public class HomePlanner {

  private static final long STEP = 15;

  private final HandReader hand;
  private final MakingBook makings;
  private final UseBook book;
  private final HouseSettings houses;
  private final Clock clock;

  HomePlanner(
      HandReader hand, MakingBook makings, UseBook book, HouseSettings houses, Clock clock) {
    this.hand = hand;
    this.makings = makings;
    this.book = book;
    this.houses = houses;
    this.clock = clock;
  }

  /**
   * Gathers what is to be shared out, without what was decided already.
   *
   * @return the question
   */
  @Transactional(readOnly = true)
  public PlanQuestion question() {
    return question(hand.waiting(), makings.toMake(), false);
  }

  /**
   * Gathers the same with what was decided as locks, so that its price can be seen.
   *
   * @return the question
   */
  @Transactional(readOnly = true)
  public PlanQuestion decided() {
    return question(hand.all(), makings.toMake(), true);
  }

  /**
   * Gathers what parts of another day could become, on a day like any other.
   *
   * @param parts the parts that will be there
   * @return the question, with all that is wanted in a day and all the room there is
   */
  @Transactional(readOnly = true)
  public PlanQuestion coming(List<OnHand> parts) {
    PlanQuestion day = question(parts, List.of(), false);
    return new PlanQuestion(
        day.parts(), day.wanted(), day.room(), day.hands(), Map.of(), List.of());
  }

  private PlanQuestion question(List<OnHand> parts, List<ToMake> decided, boolean locked) {
    Map<Long, Room> rooms = book.rooms();
    ExactMoney labour = houses.house().labourPerHour();
    Map<String, FishUse> uses = book.uses();
    List<Wanted> wanted = new ArrayList<>();
    rooms.forEach(
        (venue, room) ->
            uses.values()
                .forEach(
                    use -> {
                      long units = decidedUnits(decided, use, venue);
                      int most = room.wanted().getOrDefault(use.code(), 0);
                      long left = locked ? Math.max(most, units) : Math.max(0, most - units);
                      if (left > 0) {
                        wanted.add(new Wanted(use, venue, left, Hand.worth(use, labour)));
                      }
                    }));
    Map<Long, Long> hands = new HashMap<>();
    rooms.forEach((venue, room) -> room.hands().ifPresent(m -> hands.put(venue, (long) m)));
    Map<Place, Long> equipment = book.equipment(rooms);
    if (locked) {
      makeRoom(decided, hands, equipment);
    } else {
      decided.forEach(one -> takeRoom(one, hands, equipment));
    }
    List<Lock> locks = locked ? locks(parts, decided) : List.of();
    return new PlanQuestion(parts, wanted, equipment, hands, left(rooms), locks);
  }

  /** What was decided of what is there; what has left its part since binds nobody. */
  private static List<Lock> locks(List<OnHand> parts, List<ToMake> decided) {
    Map<HandId, Mass> left = new HashMap<>();
    parts.forEach(part -> left.put(part.id(), part.mass()));
    List<Lock> locks = new ArrayList<>();
    for (ToMake one : decided) {
      for (Input input : one.from()) {
        Mass there = left.getOrDefault(input.of(), Mass.ZERO);
        if (input.mass().compareTo(there) <= 0) {
          left.put(input.of(), there.minus(input.mass()));
          locks.add(new Lock(input.of(), one.use().code(), one.venue(), input.mass()));
        }
      }
    }
    return locks;
  }

  /** What was decided is made, however little room anybody says there is since. */
  private static void makeRoom(
      List<ToMake> decided, Map<Long, Long> hands, Map<Place, Long> equipment) {
    Map<Long, Long> minutes = new HashMap<>();
    Map<Place, Long> load = new HashMap<>();
    for (ToMake one : decided) {
      FishUse.Work work = one.use().work();
      minutes.merge(one.venue(), (long) work.minutes(one.units()), Long::sum);
      load.merge(
          new Place(one.venue(), work.equipment()), (long) work.room(one.units()), Long::sum);
    }
    minutes.forEach((venue, sum) -> hands.computeIfPresent(venue, (v, all) -> Math.max(all, sum)));
    load.forEach((place, sum) -> equipment.computeIfPresent(place, (p, all) -> Math.max(all, sum)));
  }

  /**
   * The minutes until each venue's last hour, by quarters so that a plan stays the same meanwhile.
   * After it the next service is planned for, which has time.
   */
  private Map<Long, Long> left(Map<Long, Room> rooms) {
    LocalTime now = LocalTime.now(clock.withZone(houses.house().formats().zone()));
    Map<Long, Long> left = new HashMap<>();
    rooms.forEach(
        (venue, room) ->
            room.lastHour()
                .map(last -> now.until(last, ChronoUnit.MINUTES) / STEP * STEP)
                .filter(minutes -> minutes >= 0 && now.isBefore(room.lastHour().get()))
                .ifPresent(minutes -> left.put(venue, minutes)));
    return left;
  }

  /** What is to be made already takes its hands and its room. */
  private static void takeRoom(ToMake one, Map<Long, Long> hands, Map<Place, Long> equipment) {
    FishUse.Work work = one.use().work();
    int minutes = work.minutes(one.units());
    int load = work.room(one.units());
    hands.computeIfPresent(one.venue(), (venue, left) -> Math.max(0, left - minutes));
    equipment.computeIfPresent(
        new Place(one.venue(), work.equipment()), (place, left) -> Math.max(0, left - load));
  }

  private static long decidedUnits(List<ToMake> decided, FishUse use, long venue) {
    return decided.stream()
        .filter(one -> one.use().code().equals(use.code()) && one.venue() == venue)
        .mapToLong(ToMake::units)
        .sum();
  }
}
