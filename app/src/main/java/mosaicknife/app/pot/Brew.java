package mosaicknife.app.pot;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import mosaicknife.app.homes.ToMake;
import mosaicknife.core.heat.Cooling;
import mosaicknife.core.heat.CoolingRule;
import mosaicknife.core.heat.Reading;
import mosaicknife.core.heat.Surroundings;
import mosaicknife.core.pot.PotPlan;
import mosaicknife.core.pot.PotRun;
import mosaicknife.core.pot.PotStep;
import mosaicknife.core.quantity.Temperature;

/**
 * A batch on the hob, with everything that is known of it.
 *
 * @param id its number
 * @param making what it is made of, and where
 * @param plan what was worked out when it was put on
 * @param kettle the number of the kettle it is in
 * @param run what was begun and done
 * @param wanted when it is needed, if somebody said so
 * @param probed what a probe showed, in the order of time
 * @param where where it stands to cool
 * @param moved since when it stands there; empty if it never stood elsewhere
 * @param probe whether the probe of the house is in it
 * @param by the number of who began the step that is on; empty if none is
 */
public record Brew(
    long id,
    ToMake making,
    PotPlan plan,
    long kettle,
    PotRun run,
    Optional<Instant> wanted,
    List<Probed> probed,
    Surroundings where,
    Optional<Instant> moved,
    boolean probe,
    Optional<Long> by) {

  /** Copies the readings. */
  public Brew {
    probed = List.copyOf(probed);
  }

  /**
   * What a probe showed.
   *
   * @param id its number
   * @param temperature what
   * @param at when
   * @param byProbe whether the probe said it; typed otherwise
   * @param instrument which thermometer, where it was typed
   * @param by the number of who wrote it down
   */
  public record Probed(
      long id, Temperature temperature, Instant at, boolean byProbe, String instrument, long by) {}

  /**
   * Returns the same as a batch that cools.
   *
   * @param rule how fast the house wants it cold
   * @return the batch as the core sees it
   */
  public Cooling cooling(CoolingRule rule) {
    return new Cooling(
        probed.stream().map(one -> new Reading(since(one.at()), one.temperature())).toList(),
        where,
        rule,
        run.offTheHeat().stream().mapToDouble(this::since).findFirst(),
        moved.stream().mapToDouble(this::since).findFirst());
  }

  /**
   * Returns how long after the first reading a moment is.
   *
   * @param at the moment
   * @return minutes; 0 if nothing was read
   */
  public double since(Instant at) {
    return probed.isEmpty()
        ? 0
        : java.time.Duration.between(probed.get(0).at(), at).toSeconds() / 60.0;
  }

  /**
   * Returns the moment so many minutes after the first reading.
   *
   * @param minutes the minutes
   * @return the moment
   */
  public Instant after(double minutes) {
    return probed.get(0).at().plusSeconds(Math.round(minutes * 60));
  }

  /**
   * Works the times of its steps out: what cools takes as long as its readings say.
   *
   * @param rule how fast the house wants it cold
   * @param now the moment
   * @return the steps with their times
   */
  public List<PotRun.Timed> timed(CoolingRule rule, Instant now) {
    Optional<Instant> cold = cold(rule);
    return run.timed(
        now,
        step ->
            step.work() == PotStep.Work.COOL && cold.isPresent()
                ? Math.max(0, minutesOn(step, cold.get()))
                : plan.minutes(step));
  }

  private int minutesOn(PotStep step, Instant until) {
    return Optional.ofNullable(run.marks().get(step.code()))
        .map(mark -> (int) java.time.Duration.between(mark.begun(), until).toMinutes())
        .orElseGet(() -> plan.minutes(step));
  }

  /** When it will be cold, as far as its readings tell. */
  private Optional<Instant> cold(CoolingRule rule) {
    return due(rule).flatMap(Cooling.Due::when).map(when -> after(when.likely()));
  }

  private Optional<Cooling.Due> due(CoolingRule rule) {
    return cooling(rule).due().stream().filter(due -> due.goal() == Cooling.Goal.COLD).findFirst();
  }

  /**
   * Returns whether it never gets cold where it stands.
   *
   * @param rule how fast the house wants it cold
   * @return true if its readings say so
   */
  public boolean neverCold(CoolingRule rule) {
    return due(rule).filter(Cooling.Due::never).isPresent();
  }
}
