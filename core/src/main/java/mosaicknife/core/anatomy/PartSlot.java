package mosaicknife.core.anatomy;

import mosaicknife.core.check.Check;

/**
 * A place in a body plan that one part fills: the left fillet, the frame.
 *
 * @param code the lasting identifier within the plan, such as {@code fillet-left}
 * @param number its number on the drawing, in cutting order, from 1
 * @param kind what kind of part it is
 * @param side which side it comes from
 * @param usual the purpose it usually gets; only a proposal
 */
public record PartSlot(String code, int number, PartKind kind, Side side, Purpose usual) {

  /** Refuses numbers outside 1–99 and missing parts. */
  public PartSlot {
    Check.text(code, "code");
    Check.inRange(number, 1, 99, "number");
    Check.notNull(kind, "kind");
    Check.notNull(side, "side");
    Check.notNull(usual, "usual purpose");
  }

  /**
   * Returns whether the part is a main cut: flesh that usually goes on the plate. The one
   * definition of the word.
   *
   * @return true for fillets, loins and wings
   */
  public boolean isMain() {
    return usual == Purpose.PLATE && kind.nature() == PartClass.FLESH;
  }

  /**
   * Returns the name on screen.
   *
   * @return such as {@code Left fillet}
   */
  public String name() {
    return side.nameOf(kind.name());
  }
}
