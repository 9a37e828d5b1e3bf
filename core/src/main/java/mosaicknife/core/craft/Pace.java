package mosaicknife.core.craft;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * The minutes of a lot, read off the moments at which its parts were weighed; nobody presses a
 * stopwatch.
 *
 * <p>The time between two weights is the time of the second one's step. A gap of more than {@value
 * #PAUSE_MINUTES} minutes and more than {@value #TIMES_MEDIAN} times the median gap is a pause: the
 * step then counts the median, and the minutes are an estimate. Of the first step only the moment
 * the bench was opened can tell, if it was.
 *
 * @param steps the minutes of each step, in the order of weighing
 * @param pauses how many pauses were left out
 * @param isEstimated whether a pause or an unknown start was filled in
 */
public record Pace(List<Step> steps, int pauses, boolean isEstimated) {

  private static final int PAUSE_MINUTES = 5;
  private static final int TIMES_MEDIAN = 4;

  /** Copies the steps. */
  public Pace {
    steps = List.copyOf(steps);
  }

  /**
   * A weight that was taken.
   *
   * @param part the part
   * @param fish which fish, from 1; 0 for all together
   * @param at when
   */
  public record Stroke(String part, int fish, Instant at) {}

  /**
   * One step.
   *
   * @param part the part
   * @param fish which fish
   * @param took how long it took
   */
  public record Step(String part, int fish, Duration took) {}

  /**
   * Reads the pace of a lot.
   *
   * @param strokes the weights in any order
   * @param opened when work on the lot began, if that is known
   * @return the pace; without steps for no weight
   */
  public static Pace of(List<Stroke> strokes, Optional<Instant> opened) {
    List<Stroke> sorted = strokes.stream().sorted(Comparator.comparing(Stroke::at)).toList();
    List<Duration> gaps = new ArrayList<>();
    Instant before =
        opened.filter(at -> sorted.isEmpty() || !at.isAfter(sorted.get(0).at())).orElse(null);
    for (Stroke stroke : sorted) {
      gaps.add(before == null ? null : Duration.between(before, stroke.at()));
      before = stroke.at();
    }
    Duration median = median(gaps.stream().filter(gap -> gap != null).sorted().toList());
    Duration limit = median.multipliedBy(TIMES_MEDIAN);
    Duration pause = Duration.ofMinutes(PAUSE_MINUTES);
    List<Step> steps = new ArrayList<>();
    int pauses = 0;
    boolean estimated = false;
    for (int i = 0; i < sorted.size(); i++) {
      Duration gap = gaps.get(i);
      boolean paused = gap != null && gap.compareTo(pause) > 0 && gap.compareTo(limit) > 0;
      pauses += paused ? 1 : 0;
      estimated |= paused || gap == null;
      Stroke stroke = sorted.get(i);
      steps.add(new Step(stroke.part(), stroke.fish(), paused || gap == null ? median : gap));
    }
    return new Pace(steps, pauses, estimated);
  }

  private static Duration median(List<Duration> sorted) {
    return sorted.isEmpty() ? Duration.ZERO : sorted.get(sorted.size() / 2);
  }

  /**
   * Returns the minutes of all steps.
   *
   * @return the sum
   */
  public Duration total() {
    return steps.stream().map(Step::took).reduce(Duration.ZERO, Duration::plus);
  }

  /**
   * Returns the minutes of each fish.
   *
   * @return the sums by fish, in order; under 0 what was weighed for all together
   */
  public Map<Integer, Duration> byFish() {
    Map<Integer, Duration> sums = new TreeMap<>();
    steps.forEach(step -> sums.merge(step.fish(), step.took(), Duration::plus));
    return sums;
  }

  /**
   * Returns the minutes of each part.
   *
   * @return the sums by part, in the order of first weighing
   */
  public Map<String, Duration> byPart() {
    Map<String, Duration> sums = new LinkedHashMap<>();
    steps.forEach(step -> sums.merge(step.part(), step.took(), Duration::plus));
    return sums;
  }
}
