package mosaicknife.core.breakdown;

import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;

/**
 * What became of one lot: the fish as purchased and the parts it was cut into so far.
 *
 * <p>It is immutable and computed from facts. It does not judge: {@link Balance} does.
 *
 * @param state the state the fish was bought in
 * @param purchased the mass as purchased (AP), positive
 * @param fish how many fish, from 1
 * @param parts the parts weighed so far, in cutting order; may be empty
 */
public record Breakdown(State state, Mass purchased, int fish, List<Node> parts) {

  /** Refuses a lot without mass or fish, and two parts of one identifier. */
  public Breakdown {
    Check.notNull(state, "state");
    Check.that(purchased.isPositive(), "Expected a purchased mass above 0 g, found ", purchased);
    Check.inRange(fish, 1, 10_000, "number of fish");
    parts = List.copyOf(parts);
    List<String> ids = parts.stream().flatMap(Node::leaves).map(Node::id).toList();
    Check.that(
        ids.stream().distinct().count() == ids.size(), "Expected each part once, found ", ids);
  }

  /**
   * Returns the parts that lie on the board in the end.
   *
   * @return the leaves in cutting order
   */
  public List<Node.Leaf> leaves() {
    return parts.stream().flatMap(Node::leaves).toList();
  }

  /**
   * Returns the leaves that serve as main dishes.
   *
   * @return the leaves with the purpose plate, in cutting order
   */
  public List<Node.Leaf> mains() {
    return leaves().stream().filter(leaf -> leaf.isFor(Purpose.PLATE)).toList();
  }

  /**
   * Returns what the parts cut off the whole fish weigh together.
   *
   * @return the sum of the first level of the tree
   */
  public Mass tallied() {
    return Mass.total(parts.stream().map(Node::mass).toList());
  }

  /**
   * Returns what the parts leave of the fish as purchased.
   *
   * @return purchased less tallied; negative if the parts weigh more
   */
  public Mass remainder() {
    return purchased.minus(tallied());
  }

  /**
   * Returns the mass of all leaves that satisfy a condition.
   *
   * @param condition the condition
   * @return their sum
   */
  public Mass massOf(Predicate<Node.Leaf> condition) {
    return Mass.total(leaves().stream().filter(condition).map(Node.Leaf::mass).toList());
  }

  /**
   * Returns the mass of all leaves with a purpose that satisfies a condition; open parts do not.
   *
   * @param condition the condition on the purpose
   * @return their sum
   */
  public Mass massFor(Predicate<Purpose> condition) {
    return massOf(leaf -> leaf.purpose().filter(condition).isPresent());
  }

  /**
   * Finds a leaf by its identifier.
   *
   * @param id the identifier
   * @return the leaf, or empty
   */
  public Optional<Node.Leaf> findLeaf(String id) {
    return leaves().stream().filter(leaf -> leaf.id().equals(id)).findFirst();
  }
}
