package mosaicknife.app.shared;

/** Cleans text that a person typed into a free field. */
public final class PlainText {

  private PlainText() {}

  /**
   * Returns a line of text without control characters and outer spaces.
   *
   * @param typed what was typed; null counts as nothing
   * @param longest how many characters are allowed
   * @param field the name of the field
   * @param what what the field is, for the sentence
   * @return the text, possibly empty
   * @throws Refusal if it is too long
   */
  public static String line(String typed, int longest, String field, FieldName what) {
    String text = typed == null ? "" : typed.replaceAll("[\\p{Cntrl}\\s]+", " ").strip();
    if (text.length() > longest) {
      throw Refusal.ofField(
          field, "shared.problem.the-has-characters-up-to", what, text.length(), longest);
    }
    return text;
  }

  /**
   * Returns a line of text that may not be empty.
   *
   * @param typed what was typed; null counts as nothing
   * @param longest how many characters are allowed
   * @param field the name of the field
   * @param what what the field is, for the sentence
   * @return the text
   * @throws Refusal if it is empty or too long
   */
  public static String needed(String typed, int longest, String field, FieldName what) {
    String text = line(typed, longest, field, what);
    if (text.isEmpty()) {
      throw Refusal.ofField(field, "shared.problem.the-is-missing-type-it", what);
    }
    return text;
  }
}
