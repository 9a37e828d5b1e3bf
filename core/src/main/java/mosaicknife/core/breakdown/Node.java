package mosaicknife.core.breakdown;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;

/** A part in the tree of cuts: whole as it lies there, or cut further. */
public sealed interface Node {

  /**
   * Returns the identifier of the part within its lot.
   *
   * @return the identifier, not blank
   */
  String id();

  /**
   * Returns the name on screen.
   *
   * @return such as {@code Left fillet}
   */
  String name();

  /**
   * Returns the kind of part.
   *
   * @return the kind
   */
  PartKind kind();

  /**
   * Returns the mass of the part.
   *
   * @return the mass, positive
   */
  Mass mass();

  /**
   * Returns the parts that lie on the board in the end: the part itself or what it was cut into.
   *
   * @return the leaves in cutting order
   */
  Stream<Leaf> leaves();

  /**
   * A part that was not cut further.
   *
   * @param id the identifier within the lot
   * @param name the name on screen
   * @param kind the kind of part
   * @param mass the mass of all pieces together, positive
   * @param knowledge how the mass is known
   * @param purpose what it is for, empty while that is open
   * @param pieces how many pieces the mass covers, from 1; more than one when a part was weighed
   *     for several fish together
   */
  record Leaf(
      String id,
      String name,
      PartKind kind,
      Mass mass,
      Knowledge knowledge,
      Optional<Purpose> purpose,
      int pieces)
      implements Node {

    /** Refuses a part without mass or pieces. */
    public Leaf {
      Check.text(id, "id");
      Check.text(name, "name");
      Check.notNull(kind, "kind");
      Check.that(
          mass.isPositive(), "Expected '%s' to weigh something, found %s".formatted(name, mass));
      Check.notNull(knowledge, "knowledge");
      Check.notNull(purpose, "purpose");
      Check.inRange(pieces, 1, 10_000, "pieces of '" + name + "'");
    }

    @Override
    public Stream<Leaf> leaves() {
      return Stream.of(this);
    }

    /**
     * Returns whether the part has a purpose.
     *
     * @param wanted the purpose asked for
     * @return true if it is exactly that purpose
     */
    public boolean isFor(Purpose wanted) {
      return purpose.filter(wanted::equals).isPresent();
    }
  }

  /**
   * A part that was cut further. Its loss is what its own parts leave of it.
   *
   * @param id the identifier within the lot
   * @param name the name on screen
   * @param kind the kind of part
   * @param mass the mass before it was cut, positive
   * @param parts what it was cut into, at least one
   */
  record Cut(String id, String name, PartKind kind, Mass mass, List<Node> parts) implements Node {

    /** Refuses a cut without mass or parts. */
    public Cut {
      Check.text(id, "id");
      Check.text(name, "name");
      Check.notNull(kind, "kind");
      Check.that(
          mass.isPositive(), "Expected '%s' to weigh something, found %s".formatted(name, mass));
      parts = List.copyOf(Check.notEmpty(parts, "parts of '" + name + "'"));
    }

    @Override
    public Stream<Leaf> leaves() {
      return parts.stream().flatMap(Node::leaves);
    }

    /**
     * Returns what the parts leave of the whole: drip, scales, dust of the saw; negative if the
     * parts weigh more.
     *
     * @return mass less the sum of the parts
     */
    public Mass loss() {
      return mass.minus(Mass.total(parts.stream().map(Node::mass).toList()));
    }
  }
}
