package mosaicknife.core.clock;

import mosaicknife.core.check.Check;

/**
 * A stretch of time.
 *
 * @param from its beginning, in minutes from now; below 0 if it has begun
 * @param to its end, in minutes from now, not before the beginning
 */
public record Span(int from, int to) {

  /** Refuses an end before the beginning. */
  public Span {
    Check.that(from <= to, "Expected a span in order, found %d, %d".formatted(from, to));
  }

  /**
   * Says whether it holds another.
   *
   * @param start the beginning of the other
   * @param end its end
   * @return whether the other lies within it
   */
  public boolean holds(int start, int end) {
    return from <= start && end <= to;
  }
}
