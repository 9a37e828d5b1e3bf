package mosaicknife.app.parts;

import java.time.Instant;
import java.util.Map;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.SizeGrade;
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
 * @param by who saved it
 * @param at when
 */
public record Way(
    long id,
    String name,
    SizeGrade size,
    Choices choices,
    Map<String, Fate> fates,
    String by,
    Instant at) {

  /** Copies the map. */
  public Way {
    fates = Map.copyOf(fates);
  }

  /**
   * What a part is for.
   *
   * @param purpose the purpose
   * @param becomes what it becomes, possibly empty
   * @param venue the number of the venue it goes to; 0 where that is open
   */
  public record Fate(Purpose purpose, String becomes, long venue) {}

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
