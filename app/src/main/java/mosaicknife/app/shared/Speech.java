package mosaicknife.app.shared;

import mosaicknife.core.finding.Finding;
import mosaicknife.core.finding.Keyed;
import mosaicknife.core.quantity.QuantityFormatException;

/** Puts messages into words: in the language of the person who reads, with the house's figures. */
public interface Speech {

  /**
   * Words a message.
   *
   * @param key its key
   * @param values its figures
   * @return the text
   * @throws RuntimeException if no bundle has the key
   */
  String say(String key, Object... values);

  /**
   * Words a finding of the core, or what else has words of its own.
   *
   * @param keyed a finding, with its figures, or another thing with a key
   * @return the text
   */
  default String say(Keyed keyed) {
    return say(
        keyed.key(),
        keyed instanceof Finding finding ? finding.figures().toArray() : new Object[0]);
  }

  /**
   * Words the name of a choice.
   *
   * @param constant the constant
   * @return the text under its enum and name
   */
  default String say(Enum<?> constant) {
    return say(Finding.of(constant));
  }

  /**
   * Words why something was not done.
   *
   * @param problem a refusal, or what a core type says of a text it could not read
   * @return the sentence
   */
  default String say(RuntimeException problem) {
    if (problem instanceof Refusal refusal) {
      return say(refusal.key(), refusal.figures());
    }
    return problem instanceof QuantityFormatException typed
        ? say(typed.finding())
        : problem.getMessage();
  }
}
