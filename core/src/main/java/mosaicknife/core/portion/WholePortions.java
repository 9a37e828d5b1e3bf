package mosaicknife.core.portion;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.Function;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.breakdown.Node;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;

/**
 * How many whole portions lie inside each fillet.
 *
 * <p>Portions fit inside each fillet, not inside the total weight: two fillets of 790 g hold eight
 * portions of 165 g, not nine. A part weighed for several fish together is taken as so many equal
 * pieces; then the count is an estimate. Portions that were cut and weighed are counted as they
 * are.
 *
 * @param target the mass of one portion, positive
 * @param fillets one entry per part, in cutting order
 */
public record WholePortions(Mass target, List<Inside> fillets) {

  /** Refuses a target without mass. */
  public WholePortions {
    Check.that(target.isPositive(), "Expected a portion above 0 g, found " + target);
    fillets = List.copyOf(fillets);
  }

  /**
   * The portions inside one part.
   *
   * @param id the identifier of the part
   * @param name the name of the part
   * @param mass what is eaten of all its pieces
   * @param pieces how many pieces it is
   * @param count the whole portions in all its pieces
   */
  public record Inside(String id, String name, Mass mass, int pieces, long count) {

    /**
     * Returns whether the count assumes equal pieces.
     *
     * @return true if the part was weighed for several fish together
     */
    public boolean isEstimated() {
      return pieces > 1;
    }
  }

  /**
   * Counts the portions inside parts.
   *
   * @param parts the parts to be portioned
   * @param target the mass of one portion, positive
   * @return the portions
   */
  public static WholePortions in(List<Node.Leaf> parts, Mass target) {
    return in(parts, target, WholePortions::equalPieces);
  }

  /**
   * Counts the portions inside parts whose pieces are known to differ, or of which not all is
   * eaten.
   *
   * @param parts the parts to be portioned
   * @param target the mass of one portion, positive
   * @param pieces what is eaten of each piece of a part
   * @return the portions
   */
  public static WholePortions in(
      List<Node.Leaf> parts, Mass target, Function<Node.Leaf, List<Mass>> pieces) {
    return new WholePortions(
        target, parts.stream().map(part -> inside(part, target, pieces)).toList());
  }

  /**
   * Takes a part as equal pieces.
   *
   * @param part the part
   * @return one mass for each piece, rounded down to the milligram but for the last
   */
  public static List<Mass> equalPieces(Node.Leaf part) {
    Mass each = Mass.ofMilligrams(part.mass().milligrams() / part.pieces());
    List<Mass> pieces = new ArrayList<>(Collections.nCopies(part.pieces(), each));
    pieces.set(part.pieces() - 1, part.mass().minus(each.multipliedBy(part.pieces() - 1L)));
    return pieces;
  }

  private static Inside inside(
      Node.Leaf part, Mass target, Function<Node.Leaf, List<Mass>> pieces) {
    if (part.kind().is(PartKind.Trait.PORTION)) {
      // cut and weighed one by one: they are what they are, a little under the target or not
      return new Inside(part.id(), part.name(), part.mass(), 1, part.pieces());
    }
    List<Mass> masses = pieces.apply(part);
    long count = masses.stream().mapToLong(piece -> piece.wholeTimes(target)).sum();
    return new Inside(part.id(), part.name(), Mass.total(masses), masses.size(), count);
  }

  /**
   * Returns how many portions there are.
   *
   * @return the sum over all parts, from 0
   */
  public long count() {
    return fillets.stream().mapToLong(Inside::count).sum();
  }

  /**
   * Returns what the whole portions weigh together.
   *
   * @return count times target
   */
  public Mass portioned() {
    return target.multipliedBy(count());
  }

  /**
   * Returns what is left when every portion has exactly its target mass.
   *
   * @return the mass over, zero or more
   */
  public Mass over() {
    return Mass.total(fillets.stream().map(Inside::mass).toList()).minus(portioned());
  }

  /**
   * Returns what is left of one part when every portion has exactly its target mass.
   *
   * @param fillet the part
   * @return the mass over, zero or more
   */
  public Mass overOf(Inside fillet) {
    return fillet.mass().minus(target.multipliedBy(fillet.count()));
  }

  /**
   * Returns whether any count assumes equal pieces.
   *
   * @return true if a part was weighed for several fish together
   */
  public boolean isEstimated() {
    return fillets.stream().anyMatch(Inside::isEstimated);
  }
}
