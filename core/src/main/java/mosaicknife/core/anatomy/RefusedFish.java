package mosaicknife.core.anatomy;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mosaicknife.core.check.Check;

/**
 * A fish that is not supported, with the reason: only licensed handlers may break it. It stops by
 * its own names and by nothing that only looks like them.
 *
 * @param name its name on screen
 * @param names its names
 * @param genera the genera it is of
 * @param words words that mean it at the head of a compound: northern puffer
 * @param why the reason, a full sentence
 */
public record RefusedFish(
    String name, Set<String> names, Set<String> genera, Set<String> words, String why) {

  /** A shorter word stands inside too many others to mean this fish there. */
  private static final int LONG = 6;

  /** Thai, and all scripts of the east after it. */
  private static final int FIRST_SPACELESS = 0x0E00;

  /** Refuses a fish without name or reason, and keeps what is compared in plain letters. */
  public RefusedFish {
    Check.text(name, "name");
    Check.that(!names.isEmpty(), "Expected names of ", name);
    names = plain(names);
    genera = plain(genera);
    words = plain(words);
    Check.text(why, "why");
  }

  private static Set<String> plain(Set<String> all) {
    return all.stream().map(NameIndex::plain).collect(Collectors.toUnmodifiableSet());
  }

  /**
   * Returns whether something typed names it: a name of it among its words, its genus, or a
   * compound of one of its words.
   *
   * @param typed as typed
   * @return true if it is meant, whatever stands around it
   */
  public boolean isNamedBy(String typed) {
    String plain = NameIndex.plain(typed);
    List<String> parts = Arrays.asList(plain.split(" "));
    return names.stream().anyMatch(name -> isIn(plain, name))
        || parts.stream().anyMatch(genera::contains)
        || words.stream().anyMatch(word -> parts.stream().anyMatch(part -> isOf(part, word)));
  }

  /**
   * Returns whether something typed is the whole of one of its names.
   *
   * @param typed as typed
   * @return true if so
   */
  public boolean isCalled(String typed) {
    return names.contains(NameIndex.plain(typed));
  }

  /**
   * Returns by how few letters something typed differs from a name or word of it, where a name is
   * long enough to tell.
   *
   * @param typed as typed
   * @param shortest how many letters a name needs
   * @return the letters
   */
  int letters(String typed, int shortest) {
    String plain = NameIndex.plain(typed);
    return Stream.concat(names.stream(), words.stream())
        .filter(name -> name.length() >= shortest)
        .mapToInt(name -> NameIndex.letters(name, plain))
        .min()
        .orElse(Integer.MAX_VALUE);
  }

  private static boolean isIn(String typed, String name) {
    return isSpaceless(name)
        ? typed.contains(name)
        : (" " + typed + " ").contains(" " + name + " ");
  }

  /** Scripts without spaces write a compound as one word, as German does. */
  private static boolean isOf(String part, String word) {
    return part.equals(word)
        || isSpaceless(word) && part.contains(word)
        || word.length() >= LONG && part.endsWith(word);
  }

  private static boolean isSpaceless(String text) {
    return text.codePoints().allMatch(letter -> letter >= FIRST_SPACELESS);
  }
}
