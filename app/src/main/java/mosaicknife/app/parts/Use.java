package mosaicknife.app.parts;

import java.util.Optional;
import mosaicknife.core.lot.Destination;
import mosaicknife.core.lot.Held;
import mosaicknife.core.quantity.UnitPrice;

/**
 * What becomes of a part beside its purpose.
 *
 * @param to what it becomes: a dish, a use, or words such as {@code fumet for Friday}, which may be
 *     the name of a dish
 * @param value what the house would pay for it, if a use is counted
 * @param held date, place and keeper of what is kept
 */
public record Use(Destination to, Optional<UnitPrice> value, Optional<Held> held) {

  /** A purpose with nothing more said. */
  public static final Use PLAIN = new Use("", Optional.empty(), Optional.empty());

  /** What somebody wrote. */
  public Use(String words, Optional<UnitPrice> value, Optional<Held> held) {
    this(new Destination.InWords(words), value, held);
  }

  /**
   * Returns the same at another value.
   *
   * @param worth the value
   * @return the use
   */
  Use at(Optional<UnitPrice> worth) {
    return new Use(to, worth, held);
  }
}
