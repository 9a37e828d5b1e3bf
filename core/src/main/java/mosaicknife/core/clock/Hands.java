package mosaicknife.core.clock;

import mosaicknife.core.check.Check;

/**
 * The pair of hands a task takes.
 *
 * @param venue the number of the venue they are needed at
 * @param skill what they must be able to do
 */
public record Hands(long venue, Skill skill) {

  /** Refuses hands without a skill. */
  public Hands {
    Check.notNull(skill, "skill");
  }
}
