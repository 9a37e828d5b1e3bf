package mosaicknife.app;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A valid example of one form or API call, as {@code changes.txt} writes it.
 *
 * @param who the least of the people who may, or ANYONE, or NOTHING if nothing is changed
 * @param here whether it changes what is kept at a venue, and so only for those who work there
 * @param mapping the address as the application maps it
 * @param before what is sent or written before
 * @param page the page with the form, or empty
 * @param to where it is sent, if no page is named
 * @param with what is typed into the form
 * @param json what is sent to the API, or empty
 */
record Change(
    String who,
    boolean here,
    String mapping,
    List<Step> before,
    String page,
    String to,
    Map<String, String> with,
    String json) {

  /** How a step is taken. */
  enum How {
    /** The owner sends a form. */
    FIRST,
    /** Who asks sends a form. */
    OWN,
    /** The owner sends a form as a page fills it in. */
    FORM,
    /** The database is told. */
    SQL
  }

  /**
   * Something that has to be there before.
   *
   * @param how how
   * @param what the address or the statement
   * @param with the fields of the form
   */
  record Step(How how, String what, Map<String, String> with) {

    /** Whether it depends on who asks. */
    boolean isOwn() {
      return how == How.OWN || what.contains("$who");
    }

    static Step of(String how, String said) {
      if (how.equals("sql")) {
        return new Step(How.SQL, said, Map.of());
      }
      String[] parts = said.split(" *\\|", 2);
      return new Step(
          How.valueOf(how.toUpperCase(java.util.Locale.ROOT)), parts[0], fields(parts[1]));
    }
  }

  static List<Change> all() throws IOException {
    List<Change> changes = new ArrayList<>();
    Map<String, List<Step>> named = new HashMap<>();
    List<Step> steps = new ArrayList<>();
    for (String line : lines()) {
      String[] word = line.strip().split(" +", 2);
      Change last = changes.isEmpty() ? null : changes.get(changes.size() - 1);
      if (line.startsWith("=")) {
        steps = new ArrayList<>();
        named.put(word[1], steps);
      } else if (!line.startsWith(" ")) {
        steps = new ArrayList<>();
        boolean here = word[1].startsWith("here ");
        String mapping = word[1].replaceFirst("^here +", "");
        changes.add(new Change(word[0], here, mapping, steps, "", mapping, Map.of(), ""));
      } else if (word[0].equals("+")) {
        steps.addAll(named.get(word[1]));
      } else if (List.of("page", "to", "with", "json").contains(word[0])) {
        changes.set(changes.size() - 1, last.and(word[0], word[1]));
      } else {
        steps.add(Step.of(word[0], word[1]));
      }
    }
    return changes;
  }

  private static List<String> lines() throws IOException {
    try (InputStream file = Change.class.getResourceAsStream("/changes.txt")) {
      return new String(file.readAllBytes(), StandardCharsets.UTF_8)
          .lines()
          .filter(line -> !line.isBlank() && !line.startsWith("#"))
          .toList();
    }
  }

  /** What has to be there whoever asks. */
  List<Step> common() {
    return before.stream().filter(step -> !step.isOwn()).toList();
  }

  /** What has to be there of who asks. */
  List<Step> own() {
    return before.stream().filter(Step::isOwn).toList();
  }

  private Change and(String word, String said) {
    return new Change(
        who,
        here,
        mapping,
        before,
        word.equals("page") ? said : page,
        word.equals("to") ? said : to,
        word.equals("with") ? fields(said) : with,
        word.equals("json") ? said : json);
  }

  private static Map<String, String> fields(String said) {
    Map<String, String> fields = new LinkedHashMap<>();
    for (String field : said.split("; ")) {
      if (!field.isBlank()) {
        String[] sides = field.split("=", 2);
        fields.put(sides[0].strip(), sides[1]);
      }
    }
    return fields;
  }
}
