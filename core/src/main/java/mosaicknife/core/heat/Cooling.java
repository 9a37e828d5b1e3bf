package mosaicknife.core.heat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import mosaicknife.core.check.Check;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.Temperature;

/**
 * A batch that cools: what its readings say, and whether it will be cold in time while there is
 * still something to be done.
 *
 * @param readings the readings that count, in the order of time
 * @param where where it stands
 * @param rule how fast it must be cold
 * @param offHeat when it came off the heat, in minutes since the first reading; empty if that is
 *     not known
 * @param moved since when it stands there, in minutes since the first reading; empty if it never
 *     stood elsewhere
 */
public record Cooling(
    List<Reading> readings,
    Surroundings where,
    CoolingRule rule,
    OptionalDouble offHeat,
    OptionalDouble moved) {

  /** A batch of which nobody knows when it came off the heat. */
  public Cooling(List<Reading> readings, Surroundings where, CoolingRule rule) {
    this(readings, where, rule, OptionalDouble.empty(), OptionalDouble.empty());
  }

  private static final double NOISE = 0.6;
  private static final double MOST_A_MINUTE = 12;
  private static final double SURE = 0.9;
  private static final double LIKELY = 0.5;
  private static final double UNLIKELY = 0.1;

  /** Copies the readings. */
  public Cooling {
    readings = List.copyOf(readings);
    Check.notNull(where, "where");
    Check.notNull(rule, "rule");
  }

  /** What keeps a batch off the shelf. */
  public enum Problem {
    /** No reading says that it is cold: how cold it must be. */
    NOT_READ_COLD,
    /** Something is wrong with its readings. */
    DOUBTFUL,
    /** It was not cold in time: by the rule of the house it is thrown away. */
    MISSED
  }

  /** What is to be reached. */
  public enum Goal {
    /** The first stage. */
    FIRST,
    /** Cold. */
    COLD
  }

  /** How it stands. */
  public enum Standing {
    /** Nothing was read yet, or too little to say anything. */
    TOO_EARLY,
    /** Still above where the clock starts. */
    HOT,
    /** It will be cold in time. */
    IN_TIME,
    /** It may be late. */
    MAY_BE_LATE,
    /** At this rate it will be late. */
    LATE,
    /** A stage was missed: by the rule of the house it is thrown away. */
    MISSED,
    /** It is cold, in time. */
    COLD
  }

  /** What is wrong with a reading. */
  public enum Doubt {
    /** It rises: the probe is out of it, or it is heated. */
    RISES,
    /** It jumps further than anything cools. */
    JUMPS,
    /** Colder than where it stands. */
    COLDER_THAN_AROUND
  }

  /** What can be done while there is time, the least trouble first. */
  public enum Way {
    /** Stir it with an ice paddle. */
    PADDLE(0.55, Surroundings.ROOM),
    /** Into ice and water, stirred. */
    ICE_BATH(0.3, Surroundings.ICE_BATH),
    /** Split into two shallow trays in the refrigerator. */
    SHALLOW_TRAYS(0.35, Surroundings.FRIDGE),
    /** Into the blast chiller. */
    BLAST(0.35, Surroundings.BLAST);

    private final double factor;
    private final Surroundings where;

    Way(double factor, Surroundings where) {
      this.factor = factor;
      this.where = where;
    }
  }

  /**
   * A goal with its deadline.
   *
   * @param goal what is to be reached
   * @param deadline by when, in minutes since the first reading
   * @param when when it will be, as far as the readings tell; empty if they do not, or never
   * @param never whether most ways never reach it where it stands
   */
  public record Due(Goal goal, double deadline, Optional<LagFit.When> when, boolean never) {}

  /**
   * Returns what is wrong with the readings.
   *
   * @return the doubt about each reading that has one, by its place
   */
  public Optional<Doubt> doubt() {
    Reading before = null;
    for (Reading reading : readings) {
      if (before != null) {
        double rise = reading.degrees() - before.degrees();
        double minutes = reading.minutes() - before.minutes();
        if (-rise > MOST_A_MINUTE * minutes + 2 * NOISE) {
          return Optional.of(Doubt.JUMPS);
        }
        if (rise > 2 * NOISE) {
          return Optional.of(Doubt.RISES);
        }
      }
      if (reading.degrees() < where.degrees() - 3 * where.spread() - NOISE) {
        return Optional.of(Doubt.COLDER_THAN_AROUND);
      }
      before = reading;
    }
    return Optional.empty();
  }

  /**
   * Fits the readings since it stands where it does: what it did elsewhere tells nothing of here.
   *
   * @return the fit; empty if there are too few, or something is wrong with them
   */
  public Optional<LagFit> fit() {
    List<Reading> here =
        readings.stream()
            .filter(reading -> moved.isEmpty() || reading.minutes() >= moved.getAsDouble())
            .toList();
    return doubt().isPresent() ? Optional.empty() : LagFit.of(here, where);
  }

  /**
   * When it fell below where the clock starts: between two readings, the earlier if in doubt. Of
   * one that was below already when it was read first nobody knows; then it counts from the heat,
   * for standing and straining are part of the time.
   */
  private OptionalDouble started() {
    Reading before = null;
    for (Reading reading : readings) {
      if (reading.degrees() <= rule.from()) {
        if (before == null) {
          return OptionalDouble.of(Math.min(offHeat.orElse(reading.minutes()), reading.minutes()));
        }
        double share = (before.degrees() - rule.from()) / (before.degrees() - reading.degrees());
        return OptionalDouble.of(before.minutes() + share * (reading.minutes() - before.minutes()));
      }
      before = reading;
    }
    return OptionalDouble.empty();
  }

  /**
   * Returns what is still to be reached.
   *
   * @return the goals with their deadlines, the next first; empty while it is too hot or too early
   */
  public List<Due> due() {
    OptionalDouble start = started();
    List<Due> due = new ArrayList<>();
    if (start.isEmpty()) {
      return due;
    }
    Optional<LagFit> fit = fit();
    for (Goal goal : Goal.values()) {
      if (reached(goal).isEmpty()) {
        double deadline = start.getAsDouble() + minutes(goal);
        Optional<LagFit.When> when = fit.flatMap(one -> one.reaches(degrees(goal)));
        due.add(new Due(goal, deadline, when, fit.isPresent() && when.isEmpty()));
      }
    }
    return due;
  }

  private double degrees(Goal goal) {
    return goal == Goal.FIRST ? rule.first() : rule.cold();
  }

  private int minutes(Goal goal) {
    return goal == Goal.FIRST ? rule.firstMinutes() : rule.allMinutes();
  }

  private OptionalDouble reached(Goal goal) {
    return readings.stream()
        .filter(reading -> reading.degrees() <= degrees(goal))
        .mapToDouble(Reading::minutes)
        .min();
  }

  /**
   * Says how it stands.
   *
   * @param now minutes since the first reading
   * @return the standing; late only if nine of ten ways are late
   */
  public Standing standing(double now) {
    if (readings.isEmpty()) {
      return Standing.TOO_EARLY;
    }
    OptionalDouble start = started();
    if (start.isEmpty()) {
      return Standing.HOT;
    }
    for (Goal goal : Goal.values()) {
      double deadline = start.getAsDouble() + minutes(goal);
      if (reached(goal).orElse(now) > deadline) {
        return Standing.MISSED;
      }
    }
    if (reached(Goal.COLD).isPresent()) {
      return Standing.COLD;
    }
    Optional<LagFit> fit = fit();
    if (fit.isEmpty()) {
      return Standing.TOO_EARLY;
    }
    double worst =
        due().stream()
            .mapToDouble(one -> late(fit.get().likely(), degrees(one.goal()), one.deadline()))
            .max()
            .orElse(0);
    if (worst >= LIKELY) {
      return worst >= SURE ? Standing.LATE : Standing.MAY_BE_LATE;
    }
    return worst <= UNLIKELY ? Standing.IN_TIME : Standing.TOO_EARLY;
  }

  /** The share of ways that reach it after the deadline or never. */
  private static double late(List<Lag> ways, double degrees, double deadline) {
    double late = 0;
    double all = 0;
    for (Lag way : ways) {
      all += way.weight();
      OptionalDouble time = way.reaches(degrees);
      late += time.isEmpty() || time.getAsDouble() > deadline ? way.weight() : 0;
    }
    return late / all;
  }

  /**
   * Says what keeps it from being cold by a reading: nothing else shows it.
   *
   * @return what is in the way of ending its cooling, or nothing
   */
  public Optional<Finding> coldness() {
    boolean cold =
        !readings.isEmpty() && readings.get(readings.size() - 1).degrees() <= rule.cold();
    if (!cold) {
      return Optional.of(
          Finding.of(Problem.NOT_READ_COLD, new Temperature((int) Math.round(rule.cold() * 10))));
    }
    return doubt().map(what -> Finding.of(Problem.DOUBTFUL));
  }

  /**
   * Says what keeps it from being packed, labelled and dated.
   *
   * @param now minutes since the first reading
   * @return what is in the way, or nothing
   */
  public Optional<Finding> shelving(double now) {
    return coldness()
        .or(
            () ->
                standing(now) == Standing.MISSED
                    ? Optional.of(Finding.of(Problem.MISSED))
                    : Optional.empty());
  }

  /**
   * Returns what can still be done.
   *
   * @param now minutes since the first reading
   * @return what brings it to every goal in time for nine of ten ways, the least trouble first
   */
  public Set<Way> help(double now) {
    Set<Way> help = EnumSet.noneOf(Way.class);
    Optional<LagFit> fit = fit();
    for (Way way : Way.values()) {
      if (fit.isPresent() && due().stream().allMatch(one -> helps(way, fit.get(), one, now))) {
        help.add(way);
      }
    }
    return help;
  }

  private boolean helps(Way way, LagFit fit, Due due, double now) {
    List<Lag> changed =
        fit.likely().stream()
            .map(
                lag -> {
                  double around = Math.min(way.where.degrees(), lag.surroundings());
                  return new Lag(
                      around, lag.at(now) - around, lag.minutes() * way.factor, lag.weight());
                })
            .sorted(Comparator.comparingDouble(Lag::minutes))
            .toList();
    return late(changed, degrees(due.goal()), due.deadline() - now) <= 1 - SURE;
  }
}
