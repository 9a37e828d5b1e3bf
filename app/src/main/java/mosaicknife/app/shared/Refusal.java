package mosaicknife.app.shared;

import java.util.Optional;
import mosaicknife.core.finding.Finding;

/**
 * Something was asked for that the rules do not allow; nothing was stored.
 *
 * <p>{@link Words#say(RuntimeException)} gives one plain sentence for the person who asked: what
 * happened and what to do.
 */
public class Refusal extends RuntimeException {

  private static final long serialVersionUID = 1L;

  private final Kind kind;
  private final String field;
  private final transient Finding finding;

  /** Why something was refused. */
  public enum Kind {
    /** What was typed or chosen is not allowed. */
    INPUT,
    /** Somebody else was quicker; the page shows an older state. */
    STALE,
    /** There is no such thing. */
    MISSING
  }

  private Refusal(Kind kind, String field, String sentence) {
    super(sentence);
    this.kind = kind;
    this.field = field;
    this.finding = null;
  }

  private Refusal(Kind kind, Finding finding) {
    super(finding.key() + " " + finding.figures());
    this.kind = kind;
    this.field = finding.field();
    this.finding = finding;
  }

  /**
   * Refuses what a rule of the core found wrong.
   *
   * @param finding what it found, about one field or none
   * @return the refusal
   */
  public static Refusal of(Finding finding) {
    return new Refusal(Kind.INPUT, finding);
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
   * Returns what a rule found, to be put into words.
   *
   * @return the finding; empty where the message is a sentence already
   */
  public Optional<Finding> finding() {
    return Optional.ofNullable(finding);
  }

  /**
   * Refuses an input.
   *
   * @param sentence the sentence to show
   * @return the refusal
   */
  public static Refusal ofInput(String sentence) {
    return new Refusal(Kind.INPUT, "", sentence);
  }

  /**
   * Refuses the input of one field of a form.
   *
   * @param field the name of the field
   * @param sentence the sentence to show beside it
   * @return the refusal
   */
  public static Refusal ofField(String field, String sentence) {
    return new Refusal(Kind.INPUT, field, sentence);
  }

  /**
   * Refuses a change made from an older state.
   *
   * @param sentence the sentence to show
   * @return the refusal
   */
  public static Refusal ofStale(String sentence) {
    return new Refusal(Kind.STALE, "", sentence);
  }

  /**
   * Refuses to show what is not there.
   *
   * @param sentence the sentence to show
   * @return the refusal
   */
  public static Refusal ofMissing(String sentence) {
    return new Refusal(Kind.MISSING, "", sentence);
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
}
