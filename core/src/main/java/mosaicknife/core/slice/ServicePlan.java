package mosaicknife.core.slice;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import mosaicknife.core.quantity.Mass;

/**
 * Which fillet is cut into what, for a service.
 *
 * @param service what was asked
 * @param cuts for each fillet its cuts, in the order they lie; empty for one that stays whole
 * @param lost what of the fillets that are cut is on no portion that was asked: leftovers, and what
 *     portions weigh above their target
 * @param leastLost no plan that serves as much can lose less than this
 * @param mostWorth no plan can serve portions of more worth than this, in minor units
 */
public record ServicePlan(
    Service service, List<Optional<Slicing>> cuts, Mass lost, Mass leastLost, long mostWorth) {

  /** Copies the cuts. */
  public ServicePlan {
    cuts = List.copyOf(cuts);
  }

  /**
   * Returns how many portions of a kind are cut.
   *
   * @param kind its place among what is wanted
   * @return how many
   */
  public int served(int kind) {
    PortionType type = service.wanted().get(kind).type();
    return (int)
        cuts.stream()
            .flatMap(Optional::stream)
            .flatMap(cut -> cut.portions().stream())
            .filter(piece -> piece.type().orElseThrow() == type)
            .count();
  }

  /**
   * Returns how many portions are cut.
   *
   * @return of all kinds
   */
  public int served() {
    return IntStream.range(0, service.wanted().size()).map(this::served).sum();
  }

  /**
   * Returns what the portions are worth.
   *
   * @return minor units
   */
  public long worth() {
    return IntStream.range(0, service.wanted().size())
        .mapToLong(kind -> served(kind) * service.wanted().get(kind).type().value())
        .sum();
  }

  /**
   * Holds a plan against another of the same service.
   *
   * @param other the other
   * @return the cuts that serve more, or as much and lose less; with what is known of the best
   */
  ServicePlan noWorseThan(ServicePlan other) {
    boolean isWorse =
        worth() < other.worth() || worth() == other.worth() && lost.compareTo(other.lost()) > 0;
    return isWorse
        ? new ServicePlan(
            service,
            other.cuts(),
            other.lost(),
            leastLost.compareTo(other.lost()) < 0 ? leastLost : other.lost(),
            Math.max(mostWorth, other.worth()))
        : this;
  }

  /**
   * Returns the mass of the fillets that are cut.
   *
   * @return all of them
   */
  public Mass cut() {
    return Mass.total(
        cuts.stream().flatMap(Optional::stream).map(cut -> cut.fillet().mass()).toList());
  }

  /**
   * Returns how much better a plan could be that serves as much.
   *
   * @return what more could be saved, as a fraction of what is cut; 0 where this one is proved
   */
  public double gap() {
    Mass all = cut();
    return all.isPositive() ? lost.minus(leastLost).milligrams() / (double) all.milligrams() : 0;
  }

  /**
   * Returns whether no plan is better.
   *
   * @return whether nothing more can be served, nor less lost
   */
  public boolean isProved() {
    return worth() >= mostWorth && lost.compareTo(leastLost) <= 0;
  }
}
