package mosaicknife.core.plan;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * Which answer was given to which school; a school without one takes its usual answer.
 *
 * @param bySchool the code of the choice, by the code of the school
 */
public record Choices(Map<String, String> bySchool) {

  /** Every school its usual answer. */
  public static final Choices USUAL = new Choices(Map.of());

  /** Copies the map. */
  public Choices {
    bySchool = Map.copyOf(bySchool);
  }

  /**
   * Returns the answer to a school.
   *
   * @param school the school, with the choices that apply
   * @return the choice; the usual one if none was made or the one made does not apply
   */
  public School.Choice in(School school) {
    return Optional.ofNullable(bySchool.get(school.code()))
        .flatMap(school::find)
        .orElse(school.usual());
  }

  /**
   * Returns the same answers with one changed.
   *
   * @param school the code of the school
   * @param choice the code of the choice
   * @return the answers
   */
  public Choices with(String school, String choice) {
    Map<String, String> changed = new LinkedHashMap<>(bySchool);
    changed.put(school, choice);
    return new Choices(changed);
  }

  /**
   * Returns the same answers over others: what is not answered here is taken from there.
   *
   * @param base the others
   * @return the answers
   */
  public Choices over(Choices base) {
    Map<String, String> all = new LinkedHashMap<>(base.bySchool);
    all.putAll(bySchool);
    return new Choices(all);
  }
}
