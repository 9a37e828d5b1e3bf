package mosaicknife.core.clock;

import mosaicknife.core.check.Check;

/**
 * The pair of hands a task takes.
 *
 * @param place where
 * @param skill what they must be able to do
 */
public record Hands(String place, Skill skill) {

  /** Refuses a place without a name. */
  public Hands {
    Check.text(place, "place");
    Check.notNull(skill, "skill");
  }
}
