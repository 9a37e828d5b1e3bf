package mosaicknife.core.anatomy;

import java.util.List;
import mosaicknife.core.check.Check;

/**
 * A fish that is not supported, with the reason: only licensed handlers may break it.
 *
 * @param names its names, the first on screen
 * @param why the reason, a full sentence
 */
public record RefusedFish(List<String> names, String why) {

  /** Refuses a fish without name or reason. */
  public RefusedFish {
    names = List.copyOf(Check.notEmpty(names, "names"));
    Check.text(why, "why");
  }

  /**
   * Returns the name on screen.
   *
   * @return the first name
   */
  public String name() {
    return names.get(0);
  }
}
