package mosaicknife.app.shared;

import java.util.Arrays;
import java.util.Optional;
import mosaicknife.core.finding.Finding;

/**
 * Something was asked for that the rules do not allow; nothing was saved.
 *
 * <p>It names a message and its figures; {@link Words#say(RuntimeException)} gives one plain
 * sentence for the person who asked: what happened and what to do.
 */
public class Refusal extends RuntimeException {

  private static final long serialVersionUID = 1L;

  private final Kind kind;
  private final String field;
  private final String key;
  private final transient Object[] figures;

  /** Why something was refused. */
  public enum Kind {
    /** What was typed or chosen is not allowed. */
    INPUT,
    /** Someone else was first; the page shows an older state. */
    STALE,
    /** There is no such thing. */
    MISSING,
    /** It is kept at a venue where whoever asks does not work. */
    ELSEWHERE
  }

  private Refusal(Kind kind, String field, String key, Object... figures) {
    super(key + " " + Arrays.toString(figures));
    this.kind = kind;
    this.field = field;
    this.key = key;
    this.figures = figures.clone();
  }

  /**
   * Refuses what a rule of the core found wrong.
   *
   * @param finding what it found, about one field or none
   * @return the refusal
   */
  public static Refusal of(Finding finding) {
    return new Refusal(Kind.INPUT, finding.field(), finding.key(), finding.figures().toArray());
  }

  /**
   * Refuses if a rule of the core found something wrong.
   *
   * @param finding what it found, if anything
   * @throws Refusal if there is a finding
   */
  public static void ifFound(Optional<Finding> finding) {
    finding.ifPresent(
        found -> {
          throw of(found);
        });
  }

  /**
   * Refuses an input.
   *
   * @param key the key of the sentence
   * @param figures its figures
   * @return the refusal
   */
  public static Refusal ofInput(String key, Object... figures) {
    return new Refusal(Kind.INPUT, "", key, figures);
  }

  /**
   * Refuses the input of one field of a form.
   *
   * @param field the name of the field
   * @param key the key of the sentence to show beside it
   * @param figures its figures
   * @return the refusal
   */
  public static Refusal ofField(String field, String key, Object... figures) {
    return new Refusal(Kind.INPUT, field, key, figures);
  }

  /**
   * Refuses a change made from an older state.
   *
   * @param key the key of the sentence
   * @param figures its figures
   * @return the refusal
   */
  public static Refusal ofStale(String key, Object... figures) {
    return new Refusal(Kind.STALE, "", key, figures);
  }

  /**
   * Refuses to show what is not there.
   *
   * @param key the key of the sentence
   * @param figures its figures
   * @return the refusal
   */
  public static Refusal ofMissing(String key, Object... figures) {
    return new Refusal(Kind.MISSING, "", key, figures);
  }

  /**
   * Refuses to change what is kept at another venue.
   *
   * @param key the key of the sentence
   * @param figures its figures
   * @return the refusal
   */
  public static Refusal ofElsewhere(String key, Object... figures) {
    return new Refusal(Kind.ELSEWHERE, "", key, figures);
  }

  /**
   * Returns why it was refused.
   *
   * @return the kind
   */
  public Kind kind() {
    return kind;
  }

  /**
   * Returns the field at fault.
   *
   * @return its name, empty if no single field is at fault
   */
  public String field() {
    return field;
  }

  /**
   * Returns the key of the sentence.
   *
   * @return the key
   */
  public String key() {
    return key;
  }

  /**
   * Returns the figures of the sentence.
   *
   * @return the figures in the order the sentence takes them
   */
  public Object[] figures() {
    return figures == null ? new Object[0] : figures.clone();
  }
}
