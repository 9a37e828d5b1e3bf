package mosaicknife.app.parts;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.lot.Destination;
import mosaicknife.core.plan.Choices;
import mosaicknife.core.quantity.Mass;

/**
 * The house's way to cut a fish of a species and size.
 *
 * @param id its number
 * @param name its name
 * @param size the fish it is for
 * @param choices the answers to the options
 * @param fates what the parts are for, by slot
 * @param order the slots of its parts in the order they come off; empty for that of the route
 * @param pieces into which pieces parts are cut further: kinds by the kind of the part
 * @param by who saved it
 * @param at when
 */
public record Way(
    long id,
    String name,
    SizeGrade size,
    Choices choices,
    Map<String, Fate> fates,
    List<String> order,
    Map<String, List<String>> pieces,
    String by,
    Instant at) {

  /** Copies the collections. */
  public Way {
    fates = Map.copyOf(fates);
    order = List.copyOf(order);
    pieces = Map.copyOf(pieces);
  }

  /**
   * What a part is for.
   *
   * @param purpose the purpose
   * @param dish the number of the dish it goes to; 0 for none
   * @param use the code of the use it goes to; empty for none
   * @param becomes what else it becomes in words, possibly empty
   * @param venue the number of the venue it goes to; 0 where that is open
   */
  record Fate(Purpose purpose, long dish, String use, String becomes, long venue) {

    static Fate of(Purpose purpose, Destination to, Optional<Long> venue) {
      boolean isDish = to instanceof Destination.ToDish;
      return new Fate(
          purpose,
          to instanceof Destination.ToDish known ? known.id() : 0,
          to instanceof Destination.ToUse known ? known.code() : "",
          isDish ? "" : to.name(),
          venue.orElse(0L));
    }

    /** Where it goes, if that is no dish. */
    Destination inWords() {
      return use.isEmpty() ? new Destination.InWords(becomes) : new Destination.ToUse(use, becomes);
    }
  }

  /**
   * Returns whether it is for fish of a mass.
   *
   * @param fish the mass of one fish
   * @return true inside its size
   */
  public boolean isFor(Mass fish) {
    return size.contains(fish);
  }
}
