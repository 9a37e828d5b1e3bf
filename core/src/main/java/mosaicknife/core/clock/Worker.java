package mosaicknife.core.clock;

import java.util.List;
import java.util.Set;
import mosaicknife.core.check.Check;

/**
 * Somebody who does tasks, one at a time.
 *
 * @param id their identifier
 * @param name their name
 * @param venues the numbers of the venues where they work
 * @param skills what they can do beside what everybody can
 * @param there when they are there, in order and apart
 */
public record Worker(
    String id, String name, Set<Long> venues, Set<Skill> skills, List<Span> there) {

  /** Copies the sets. */
  public Worker {
    Check.text(id, "id");
    Check.text(name, "name");
    venues = Set.copyOf(venues);
    skills = Set.copyOf(skills);
    there = List.copyOf(there);
  }

  /**
   * Says whether they are the hands a task takes.
   *
   * @param hands the hands
   * @return whether they work there and can do it
   */
  public boolean can(Hands hands) {
    return venues.contains(hands.venue())
        && (hands.skill() == Skill.ANY || skills.contains(hands.skill()));
  }

  /**
   * Says whether they are there.
   *
   * @param start from when, in minutes from now
   * @param end until when
   * @return whether they are there all the time between
   */
  public boolean isThere(int start, int end) {
    return there.stream().anyMatch(span -> span.holds(start, end));
  }
}
