package mosaicknife.app.shared;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a form did.
 *
 * @param said the key of the sentence that says so; empty to say nothing
 * @param facts what the sentence tells
 * @param page the page that is shown instead of the one the form came from
 * @param told what else that page is told once, by name
 */
public record Done(
    Optional<String> said, List<Object> facts, Optional<String> page, Map<String, Object> told) {

  /** It says nothing: the page shows it. */
  public static final Done QUIETLY =
      new Done(Optional.empty(), List.of(), Optional.empty(), Map.of());

  /**
   * Says what was done.
   *
   * @param key the key of the sentence
   * @param facts what it tells
   * @return the answer
   */
  public static Done said(String key, Object... facts) {
    return new Done(Optional.of(key), List.of(facts), Optional.empty(), Map.of());
  }

  /**
   * Shows another page.
   *
   * @param other its address
   * @return the same answer there
   */
  public Done on(String other) {
    return new Done(said, facts, Optional.of(other), told);
  }

  /**
   * Tells the page something once.
   *
   * @param name under which name
   * @param value what
   * @return the same answer with it
   */
  public Done with(String name, Object value) {
    Map<String, Object> more = new LinkedHashMap<>(told);
    more.put(name, value);
    return new Done(said, facts, page, more);
  }
}
