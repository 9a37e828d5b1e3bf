package mosaicknife.core.lot;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.breakdown.Balance.Verdict;
import mosaicknife.core.quantity.Mass;

/**
 * Something about a lot that needs a person to decide.
 *
 * @param what what it is
 * @param mass the mass it is about; empty for a purpose that is open
 * @param parts the parts it is about, in cutting order
 */
public record Decision(What what, Optional<Mass> mass, List<LotPart> parts) {

  /** What is to be decided; the most pressing first. */
  public enum What {
    /** It came or stood too warm: nothing of it is used before somebody looked at it. */
    TOO_WARM(Station.DOCK),
    /** Parts go to a raw dish that may not be served raw. */
    RAW_CLOSED(Station.PLAN),
    /** The tally is over the fish. */
    TALLY_OVER(Station.BENCH),
    /** More is missing than drip and scales explain. */
    TALLY_SHORT(Station.BENCH),
    /** Clearly less came than was invoiced: a claim does not wait. */
    CAME_SHORT(Station.DOCK),
    /** Weighed parts have no purpose. */
    PURPOSE_OPEN(Station.USES),
    /** Nobody who sees prices wrote down what it cost. */
    PRICE_TO_COME(Station.COST);

    private final Station station;

    What(Station station) {
      this.station = station;
    }

    /**
     * Returns whether only who sees prices can decide it.
     *
     * @return true of a price
     */
    public boolean isOfMoney() {
      return this == PRICE_TO_COME;
    }

    /**
     * Returns where it is decided.
     *
     * @return the station
     */
    public Station station() {
      return station;
    }
  }

  /** Copies the parts. */
  public Decision {
    parts = List.copyOf(parts);
  }

  /**
   * Returns what is to be decided about a lot.
   *
   * @param sheet the lot
   * @return the decisions, the most pressing first; none for a closed lot
   */
  public static List<Decision> of(LotSheet sheet) {
    List<Decision> decisions = new ArrayList<>();
    if (sheet.lot().isFinished()) {
      return decisions;
    }
    if (sheet.lot().hold().isPresent()) {
      decisions.add(new Decision(What.TOO_WARM, Optional.empty(), List.of()));
    }
    List<LotPart> closed = sheet.kept();
    if (!closed.isEmpty()) {
      decisions.add(new Decision(What.RAW_CLOSED, Optional.empty(), closed));
    }
    Verdict verdict = sheet.balance().verdict();
    Optional<Mass> off = Optional.of(sheet.balance().remainder().abs());
    if (verdict == Verdict.OVER || verdict == Verdict.SHORT) {
      What what = verdict == Verdict.OVER ? What.TALLY_OVER : What.TALLY_SHORT;
      decisions.add(new Decision(what, off, List.of()));
    }
    if (verdict == Verdict.CLOSED && !sheet.open().isEmpty()) {
      decisions.add(new Decision(What.PURPOSE_OPEN, Optional.empty(), sheet.open()));
    }
    if (sheet.lot().receipt().isShortDelivery()) {
      decisions.add(new Decision(What.CAME_SHORT, sheet.lot().receipt().shortfall(), List.of()));
    }
    if (sheet.lot().price().isEmpty()) {
      decisions.add(new Decision(What.PRICE_TO_COME, Optional.empty(), List.of()));
    }
    return decisions;
  }
}
