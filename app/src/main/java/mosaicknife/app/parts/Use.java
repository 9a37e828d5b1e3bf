package mosaicknife.app.parts;

import java.util.Optional;
import mosaicknife.core.lot.Held;
import mosaicknife.core.quantity.UnitPrice;

/**
 * What becomes of a part beside its purpose.
 *
 * @param becomes what it becomes, such as {@code fumet for Friday}; possibly empty
 * @param value what the house would pay for it, if a use is counted
 * @param held date, place and keeper of what is kept
 */
public record Use(String becomes, Optional<UnitPrice> value, Optional<Held> held) {

  /** A purpose with nothing more said. */
  public static final Use PLAIN = new Use("", Optional.empty(), Optional.empty());

  /**
   * Returns the same at another value.
   *
   * @param worth the value
   * @return the use
   */
  Use at(Optional<UnitPrice> worth) {
    return new Use(becomes, worth, held);
  }
}
