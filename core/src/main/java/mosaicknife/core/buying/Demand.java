package mosaicknife.core.buying;

import mosaicknife.core.check.Check;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * How many portions of a dish are wanted, and over what time the figure counts.
 *
 * @param portions the expected number, from 0 to 5000
 * @param forecastError how far the number usually is off, as a standard deviation in portions; 0
 *     when it is certain, as at a function
 * @param per what the number is counted over
 */
public record Demand(int portions, double forecastError, Per per) {

  /** The most portions that a plan is made for. */
  public static final int MOST = 5_000;

  /** Refuses numbers out of range. */
  public Demand {
    Check.inRange(portions, 0, MOST, "portions");
    Check.inRange(forecastError, 0, MOST, "forecastError");
    Check.notNull(per, "time it counts for");
  }

  /** What a number of portions is counted over. */
  public enum Per {
    /** One service, such as a dinner. */
    SERVICE,
    /** One day with all its services. */
    DAY,
    /** All days of the profile. */
    WEEK;
  }

  /**
   * When the guests come: the midweek, the weekend, a function.
   *
   * @param servicesPerDay how many services a day has, from 1 to 4
   * @param daysPerWeek how many days of the week it has, from 1 to 7
   */
  public record Profile(int servicesPerDay, int daysPerWeek) {

    /** Refuses numbers out of range. */
    public Profile {
      Check.inRange(servicesPerDay, 1, 4, "services a day");
      Check.inRange(daysPerWeek, 1, 7, "days a week");
    }

    private int services(Per per) {
      return switch (per) {
        case SERVICE -> 1;
        case DAY -> servicesPerDay;
        case WEEK -> servicesPerDay * daysPerWeek;
      };
    }
  }

  /**
   * Counts the demand over another time.
   *
   * <p>The number grows with the services, the forecast error only with their square root, since
   * good and bad services even out.
   *
   * @param other the time to count over
   * @param profile how many services a day and days a week there are
   * @return the demand over that time
   */
  public Demand over(Per other, Profile profile) {
    double ratio = profile.services(other) / (double) profile.services(per);
    int scaled = (int) Math.min(MOST, Math.ceil(portions * ratio - 1e-9));
    return new Demand(scaled, Math.min(MOST, forecastError * Math.sqrt(ratio)), other);
  }

  /**
   * Returns how probable each number of portions is.
   *
   * @return a normal distribution about the expected number, rounded to whole portions, not below 0
   */
  public Counts distribution() {
    if (forecastError == 0) {
      return Counts.exactly(portions);
    }
    NormalDistribution normal = NormalDistribution.of(portions, forecastError);
    int most = (int) Math.ceil(portions + 4 * forecastError);
    double[] probabilities = new double[most + 1];
    double before = 0;
    for (int k = 0; k < most; k++) {
      double upTo = normal.cumulativeProbability(k + 0.5);
      probabilities[k] = upTo - before;
      before = upTo;
    }
    probabilities[most] = 1 - before;
    return Counts.of(probabilities);
  }
}
