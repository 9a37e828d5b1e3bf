package mosaicknife.core.cost;

import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.ExactMoney;

/**
 * What one plate costs, line by line. Wherever a plate has a price it has these lines, and a line
 * that is not counted is known to be left out.
 *
 * @param lines the amount of each line that is counted, for one plate; the fish always is
 */
public record PlateCost(Map<Line, ExactMoney> lines) {

  /** What a plate is made of. */
  public enum Line {
    /** The fish as it was paid for. */
    FISH,
    /** What other parts of the fish carry of its cost; zero or less. */
    BY_PRODUCTS,
    /** The work at the board. */
    LABOUR,
    /** What else lies on the plate. */
    EXTRAS
  }

  /** Refuses a plate without fish, and by-products that make it dearer. */
  public PlateCost {
    Check.that(lines.containsKey(Line.FISH), "Expected the cost of the fish");
    Optional.ofNullable(lines.get(Line.BY_PRODUCTS))
        .ifPresent(
            carried ->
                Check.that(!carried.isPositive(), "Expected a credit up to 0, found ", carried));
    lines = Collections.unmodifiableMap(new EnumMap<>(lines));
  }

  /**
   * Makes a plate of fish and work alone.
   *
   * @param fish the fish for one plate
   * @param labour the work for one plate
   * @return the plate
   */
  public static PlateCost of(ExactMoney fish, ExactMoney labour) {
    return new PlateCost(Map.of(Line.FISH, fish, Line.LABOUR, labour));
  }

  /**
   * Returns the same plate with another line.
   *
   * @param line the line
   * @param amount its amount for one plate
   * @return the plate
   */
  public PlateCost with(Line line, ExactMoney amount) {
    Map<Line, ExactMoney> more = new EnumMap<>(lines);
    more.put(line, amount);
    return new PlateCost(more);
  }

  /**
   * Returns all counted lines together.
   *
   * @return the sum
   */
  public ExactMoney total() {
    return lines.values().stream().reduce(ExactMoney::plus).orElseThrow();
  }

  /**
   * Returns what is not counted.
   *
   * @return the lines, in the order of {@link Line}
   */
  public List<Line> leftOut() {
    return Arrays.stream(Line.values()).filter(line -> !lines.containsKey(line)).toList();
  }
}
