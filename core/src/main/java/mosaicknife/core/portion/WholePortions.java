package mosaicknife.core.portion;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.breakdown.Node;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;

/**
 * How many plates lie inside the main cuts.
 *
 * <p>Slices fit inside each cut, not inside the total weight: two fillets of 790 g hold eight
 * portions of 165 g, not nine. A part weighed for several fish together is taken as so many equal
 * pieces; then the count is an estimate. Portions that were cut and weighed are counted as they
 * are.
 *
 * @param serving what a portion is
 * @param fillets one entry per part, in cutting order
 * @param count the plates, from 0
 */
public record WholePortions(Serving serving, List<Inside> fillets, long count) {

  /** Copies the parts. */
  public WholePortions {
    Check.notNull(serving, "serving");
    fillets = List.copyOf(fillets);
  }

  /**
   * What one part gives.
   *
   * @param id the identifier of the part
   * @param name the name of the part
   * @param mass what is eaten of all its pieces
   * @param pieces how many pieces it is
   * @param count the whole portions in all its pieces, or the pieces that are served
   * @param over what of it does not go on a plate
   */
  public record Inside(String id, String name, Mass mass, int pieces, long count, Mass over) {

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
   * @param serving what a portion is
   * @return the portions
   */
  public static WholePortions in(List<Node.Leaf> parts, Serving serving) {
    return in(parts, serving, WholePortions::equalPieces, Node.Leaf::id);
  }

  /**
   * Counts the portions inside parts whose pieces are known to differ, or of which not all is
   * eaten.
   *
   * @param parts the parts to be portioned
   * @param serving what a portion is
   * @param pieces what is eaten of each piece of a part
   * @param cut which cut of the fish a part is, the same for all fish
   * @return the portions
   */
  public static WholePortions in(
      List<Node.Leaf> parts,
      Serving serving,
      Function<Node.Leaf, List<Mass>> pieces,
      Function<Node.Leaf, String> cut) {
    List<Inside> fillets = new ArrayList<>();
    Map<String, List<Mass>> cuts = new LinkedHashMap<>();
    long done = 0;
    for (Node.Leaf part : parts) {
      if (part.kind().is(PartKind.Trait.PORTION)) {
        // cut and weighed one by one: they are what they are, a little under the target or not
        done += part.pieces();
        fillets.add(new Inside(part.id(), part.name(), part.mass(), 1, part.pieces(), Mass.ZERO));
      } else {
        List<Mass> masses = pieces.apply(part);
        cuts.computeIfAbsent(cut.apply(part), c -> new ArrayList<>()).addAll(masses);
        fillets.add(
            new Inside(
                part.id(),
                part.name(),
                Mass.total(masses),
                masses.size(),
                serving.served(masses),
                serving.over(masses)));
      }
    }
    return new WholePortions(serving, fillets, done + serving.plates(cuts.values()));
  }

  /**
   * Takes the portions of several dishes together.
   *
   * @param serving what the most of them call a portion
   * @param all the portions of each
   * @return all of them
   */
  public static WholePortions together(Serving serving, List<WholePortions> all) {
    return new WholePortions(
        serving,
        all.stream().flatMap(portions -> portions.fillets().stream()).toList(),
        all.stream().mapToLong(WholePortions::count).sum());
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

  /**
   * Returns what of the cuts goes on plates.
   *
   * @return all that is not over
   */
  public Mass portioned() {
    return Mass.total(fillets.stream().map(Inside::mass).toList()).minus(over());
  }

  /**
   * Returns what is left of the cuts when the plates are made.
   *
   * @return the mass over, zero or more
   */
  public Mass over() {
    return Mass.total(fillets.stream().map(Inside::over).toList());
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
