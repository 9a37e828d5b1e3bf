package mosaicknife.core.portion;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.breakdown.Node;
import mosaicknife.core.check.Check;
import mosaicknife.core.portion.Serving.Near;
import mosaicknife.core.portion.Serving.Weight;
import mosaicknife.core.quantity.Mass;

/**
 * How many plates lie inside the main cuts.
 *
 * <p>Slices fit inside each piece, not inside the total weight: two fillets of 790 g hold eight
 * portions of 165 g, not nine. A part weighed for several fish together is taken as so many pieces;
 * then the count is an estimate. Portions that were cut and weighed are counted as they are.
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
   * A part to be portioned.
   *
   * @param id its identifier
   * @param name its name
   * @param pieces what is eaten of each of its pieces
   * @param estimated whether the mass of a piece is worked out, not weighed
   */
  public record Part(String id, String name, List<Eaten> pieces, boolean estimated) {

    /** Copies the pieces. */
    public Part {
      pieces = List.copyOf(pieces);
    }
  }

  /**
   * What one part gives.
   *
   * @param part the part
   * @param serving what its dish calls a portion
   */
  public record Inside(Part part, Serving serving) {

    /**
     * Returns what is eaten of it.
     *
     * @return the mass of all its pieces
     */
    public Mass mass() {
      return Mass.total(part.pieces().stream().map(Eaten::mass).toList());
    }

    /**
     * Returns what lies in it.
     *
     * @return the whole portions in all its pieces, or the pieces that are served
     */
    public long count() {
      return part.pieces().stream().mapToLong(serving::served).sum();
    }

    /**
     * Returns what of it does not go on a plate.
     *
     * @return the mass over, zero or more
     */
    public Mass over() {
      return Mass.total(part.pieces().stream().map(serving::over).toList());
    }

    /**
     * Returns how many of its pieces are of a weight.
     *
     * @param weight lighter than the dish wants, or too light to be served unasked
     * @return the count; 0 where a plate is not so many pieces
     */
    public long pieces(Weight weight) {
      return serving.form() != Serving.Form.PIECES
          ? 0
          : part.pieces().stream().filter(one -> serving.weightOf(one) == weight).count();
    }

    /**
     * Returns another portion that one of its pieces only just does not give.
     *
     * @return the one that lacks least; empty if none is near
     */
    public Optional<Near> near() {
      return part.pieces().stream()
          .flatMap(one -> serving.near(one).stream())
          .min((one, other) -> one.missing().compareTo(other.missing()));
    }
  }

  /**
   * Counts the portions inside parts.
   *
   * @param parts the parts to be portioned
   * @param serving what a portion is
   * @return the portions
   */
  public static WholePortions of(List<Part> parts, Serving serving) {
    List<Eaten> all = parts.stream().flatMap(part -> part.pieces().stream()).toList();
    return new WholePortions(
        serving,
        parts.stream().map(part -> new Inside(part, serving)).toList(),
        serving.plates(all));
  }

  /**
   * Counts the portions inside one piece.
   *
   * @param piece what is eaten of it
   * @param serving what a portion is
   * @return the portions
   */
  public static WholePortions of(Eaten piece, Serving serving) {
    return of(List.of(new Part("piece", "piece", List.of(piece), false)), serving);
  }

  /**
   * Counts the portions inside parts of which nothing is known but their masses.
   *
   * @param parts the parts to be portioned
   * @param serving what a portion is
   * @return the portions
   */
  public static WholePortions in(List<Node.Leaf> parts, Serving serving) {
    return of(parts.stream().map(WholePortions::part).toList(), serving);
  }

  private static Part part(Node.Leaf leaf) {
    List<Eaten> pieces = new ArrayList<>();
    for (Mass mass : leaf.mass().dividedInto(leaf.pieces())) {
      pieces.add(Eaten.of(pieces.size() + 1, mass));
    }
    return new Part(leaf.id(), leaf.name(), pieces, leaf.pieces() > 1);
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
   * Returns what is eaten of the cuts.
   *
   * @return the mass of all pieces
   */
  public Mass eaten() {
    return Mass.total(fillets.stream().map(Inside::mass).toList());
  }

  /**
   * Returns what of the cuts goes on plates.
   *
   * @return all that is not over
   */
  public Mass portioned() {
    return eaten().minus(over());
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
   * Returns whether any count is of pieces that were not weighed by themselves.
   *
   * @return true if a part was weighed for several fish together, or is taken by its usual share
   */
  public boolean isEstimated() {
    return fillets.stream().anyMatch(inside -> inside.part().estimated());
  }
}
