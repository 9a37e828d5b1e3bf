package mosaicknife.core.lot;

import java.util.Optional;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.UnitPrice;

/**
 * A part of a lot as it was laid out and decided, before anything is computed of it.
 *
 * @param id its number
 * @param slot its code within the lot
 * @param number its number on the drawing
 * @param name its name on screen
 * @param kind its kind
 * @param parentId the part it is cut from, if not the whole fish
 * @param planned whether the cut plan has it, or somebody added it
 * @param skipped whether it is not taken off this time
 * @param staysOn the slot of the part it stays on this time; empty if it comes off or is left out
 * @param putInto the slot of the part it was put back into after it was weighed, if it was
 * @param inARow whether every reading is a piece of its own
 * @param venueId the venue it goes to, if that was decided
 * @param purpose what it is for
 * @param goesTo where it goes: a dish, a use, words
 * @param value what the house would pay for it
 * @param held where it is held
 * @param shelf how much of it was put on a shelf, and used since
 * @param version counts changes of its purpose, so that a stale page is noticed
 */
public record Part(
    long id,
    String slot,
    int number,
    String name,
    PartKind kind,
    Optional<Long> parentId,
    boolean planned,
    boolean skipped,
    Optional<String> staysOn,
    Optional<String> putInto,
    boolean inARow,
    Optional<Long> venueId,
    Optional<Purpose> purpose,
    Destination goesTo,
    Optional<UnitPrice> value,
    Optional<Held> held,
    OnShelf shelf,
    int version) {

  /** Refuses what is missing. */
  public Part {
    Check.text(slot, "slot");
    Check.text(name, "name");
    Check.notNull(kind, "kind");
    Check.notNull(purpose, "purpose");
    Check.notNull(goesTo, "destination");
    Check.notNull(shelf, "shelf");
    Check.that(
        skipped || staysOn.isEmpty(), "Expected a part that stays on another to be left out");
    Check.that(
        !skipped || putInto.isEmpty(), "Expected a part that is put back to be taken off first");
  }

  /**
   * Returns the same part with another purpose and destination.
   *
   * @param other the purpose
   * @param to where it goes
   * @return the part as it would be
   */
  public Part goingTo(Purpose other, Destination to) {
    return goingTo(other, to, value);
  }

  /**
   * Returns the same part with another purpose, destination and worth.
   *
   * @param other the purpose
   * @param to where it goes
   * @param worth what a kilogram of it is worth so
   * @return the part as it would be
   */
  public Part goingTo(Purpose other, Destination to, Optional<UnitPrice> worth) {
    return new Part(
        id,
        slot,
        number,
        name,
        kind,
        parentId,
        planned,
        skipped,
        staysOn,
        putInto,
        inARow,
        venueId,
        Optional.of(other),
        to,
        worth,
        held,
        shelf,
        version);
  }

  /**
   * Returns the dish it goes to.
   *
   * @return the dish; empty if it goes elsewhere, or is not for a plate
   */
  public Optional<Destination.ToDish> dish() {
    return purpose.filter(Purpose::isServed).isPresent()
            && goesTo instanceof Destination.ToDish dish
        ? Optional.of(dish)
        : Optional.empty();
  }
}
