package mosaicknife.core.use;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.use.FishUse.Equipment;

/**
 * What is to be shared out: parts, what is wanted of them, and the room there is.
 *
 * @param parts the parts on hand and coming today
 * @param wanted what the venues can sell or keep
 * @param room how much equipment each venue has left; what is not named is not limited
 * @param hands the minutes of hands each venue has left; a venue not named is not limited
 * @param left the minutes each venue has until its last hour; a venue not named has time
 * @param locks what was decided by hand and stays
 */
public record PlanQuestion(
    List<OnHand> parts,
    List<Wanted> wanted,
    Map<Place, Long> room,
    Map<Long, Long> hands,
    Map<Long, Long> left,
    List<Lock> locks) {

  /** Copies the lists; refuses a part or a wish that is there twice. */
  public PlanQuestion {
    parts = List.copyOf(parts);
    wanted = List.copyOf(wanted);
    room = Map.copyOf(room);
    hands = Map.copyOf(hands);
    left = Map.copyOf(left);
    locks = List.copyOf(locks);
    Set<Object> seen = new HashSet<>();
    for (OnHand part : parts) {
      Check.that(seen.add(part.id()), "Expected each part once, found twice " + part.id());
    }
    for (Wanted one : wanted) {
      Check.that(seen.add(one.id()), "Expected each wish once, found twice " + one.id());
    }
  }

  /**
   * What a venue can sell or keep of a use.
   *
   * @param use the use
   * @param venue the number of the venue
   * @param most how many units at most, from 0
   * @param worth what one unit is worth less what goes in and the work, in hundredths of the minor
   *     unit of money; a use that is worth nothing is not made
   */
  public record Wanted(FishUse use, long venue, long most, long worth) {

    /** Refuses a wish below nothing. */
    public Wanted {
      Check.notNull(use, "use");
      Check.inRange(most, 0, 100_000, "units");
    }

    /**
     * Returns its identifier.
     *
     * @return use and venue
     */
    public String id() {
      return use.code() + "@" + venue;
    }
  }

  /**
   * A kind of equipment at a venue.
   *
   * @param venue the number of the venue
   * @param equipment which
   */
  public record Place(long venue, Equipment equipment) {}

  /**
   * Grams of a part that somebody gave a use by hand.
   *
   * @param part which part
   * @param use the code of the use
   * @param venue the number of the venue
   * @param mass how much, positive
   */
  public record Lock(HandId part, String use, long venue, Mass mass) {

    /** Refuses nothing. */
    public Lock {
      Check.that(mass.isPositive(), "Expected a mass above 0 g, found ", mass);
    }
  }

  /**
   * Returns how many units of a wish are ready before the last hour of its venue. What keeps for a
   * day or more is not made for tonight alone.
   *
   * @param one the wish
   * @return what is wanted at most, or less if there is no time for it
   */
  public long inTime(Wanted one) {
    Long minutes = left.get(one.venue());
    FishUse.Work work = one.use().work();
    if (minutes == null || one.use().keeps() > 0) {
      return one.most();
    }
    if (minutes < work.start()) {
      return 0;
    }
    BigDecimal rest = BigDecimal.valueOf(minutes - work.start());
    return work.each().signum() == 0
        ? one.most()
        : Math.min(one.most(), rest.divide(work.each(), 0, RoundingMode.FLOOR).longValueExact());
  }

  /**
   * Returns the same question without locks.
   *
   * @return what would be free to plan
   */
  public PlanQuestion unlocked() {
    return new PlanQuestion(parts, wanted, room, hands, left, List.of());
  }
}
