package mosaicknife.core.safety;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import mosaicknife.core.check.Check;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.Temperature;

/**
 * The limits of a house: its own where it has set one, else the starting estimates.
 *
 * @param own what the house has set
 */
public record Limits(Map<Limit, Setting> own) {

  /** Nothing was set: the starting estimates. */
  public static final Limits STARTING = new Limits(Map.of());

  /** Copies the settings. */
  public Limits {
    own = Map.copyOf(own);
  }

  /**
   * A limit as a house has set it.
   *
   * @param value the value in its unit
   * @param source where the house has it from
   * @param dated when the house read it there
   */
  public record Setting(int value, String source, LocalDate dated) {

    /** Refuses a setting without source. */
    public Setting {
      Check.text(source, "source");
      Check.notNull(dated, "day");
    }
  }

  /** What is wrong with a value. */
  public enum Problem {
    /** Outside what can be: the least, the most, in its unit. */
    OUTSIDE,
    /** Raw up to, cooked up to and pot up to must rise. */
    SIGNS_DO_NOT_RISE
  }

  /**
   * Returns a limit.
   *
   * @param limit which
   * @return its value in its unit
   */
  public int value(Limit limit) {
    return own.containsKey(limit) ? own.get(limit).value() : limit.starting();
  }

  /**
   * Returns a limit that is a temperature.
   *
   * @param limit which
   * @return the temperature
   */
  public Temperature temperature(Limit limit) {
    Check.that(limit.unit() == Limit.Unit.TENTHS_OF_A_DEGREE, limit + " is no temperature");
    return new Temperature(value(limit));
  }

  /**
   * Returns a limit that is a share of all demerits.
   *
   * @param limit which
   * @return the fraction, from 0 to 1
   */
  public double share(Limit limit) {
    Check.that(limit.unit() == Limit.Unit.PERCENT, limit + " is no percentage");
    return value(limit) / 100.0;
  }

  /**
   * Looks at a value before the house sets it.
   *
   * @param limit which limit
   * @param value the value in its unit
   * @return what is wrong with it, or nothing
   */
  public Optional<Finding> problem(Limit limit, int value) {
    if (value < limit.least() || value > limit.most()) {
      boolean degrees = limit.unit() == Limit.Unit.TENTHS_OF_A_DEGREE;
      Object least = degrees ? new Temperature(limit.least()) : (Object) limit.least();
      Object most = degrees ? new Temperature(limit.most()) : (Object) limit.most();
      return Optional.of(Finding.of(Problem.OUTSIDE, least, most).at("value"));
    }
    Map<Limit, Integer> signs = new EnumMap<>(Limit.class);
    for (Limit one : new Limit[] {Limit.SIGNS_RAW, Limit.SIGNS_COOK, Limit.SIGNS_POT}) {
      signs.put(one, one == limit ? value : value(one));
    }
    boolean rise =
        signs.get(Limit.SIGNS_RAW) < signs.get(Limit.SIGNS_COOK)
            && signs.get(Limit.SIGNS_COOK) < signs.get(Limit.SIGNS_POT);
    return rise ? Optional.empty() : Optional.of(Finding.of(Problem.SIGNS_DO_NOT_RISE).at("value"));
  }
}
