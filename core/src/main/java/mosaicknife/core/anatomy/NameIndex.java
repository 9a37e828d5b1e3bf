package mosaicknife.core.anatomy;

import java.text.Normalizer;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Finds things by any of their names, whatever the case or accents, and with typing errors.
 *
 * <p>One order of answers: the whole name, then a name that has the typed words among its own, then
 * the start of a name, the start of a word, the middle of one. If no name contains it, names are
 * compared by trigrams: the three-letter pieces of each word, padded with two spaces before and one
 * after, and the share of pieces that both have of the pieces that either has (Jaccard, 1901; the
 * same measure as PostgreSQL's trigrams). One letter wrong in a word of five still shares a third.
 *
 * @param <T> what is found
 */
final class NameIndex<T> {

  /** Below this two names share little more than a letter. */
  private static final double ALIKE = 0.3;

  private static final int SHORTEST_GUESS = 3;

  private static final Pattern MARKS =
      Pattern.compile("(?<=[\\p{IsLatin}\\p{IsGreek}\\p{IsCyrillic}\\p{M}])\\p{IsInherited}+");

  private final List<Entry<T>> entries;

  NameIndex(List<T> things, Function<T, Stream<String>> names) {
    entries =
        things.stream()
            .map(
                thing ->
                    new Entry<>(
                        thing,
                        names.apply(thing).map(NameIndex::plain).map(NameIndex::name).toList()))
            .toList();
  }

  private record Entry<T>(T thing, List<Name> names) {

    int rank(String wanted) {
      return names.stream().mapToInt(name -> name.rank(wanted)).min().orElse(Name.NOT_IN);
    }

    double likeness(Set<String> pieces) {
      return names.stream().mapToDouble(name -> name.likeness(pieces)).max().orElse(0);
    }
  }

  /** A name with the pieces of the whole and of each of its words. */
  private record Name(String text, List<Set<String>> pieces) {

    static final int NOT_IN = 1_000;
    private static final int WORDS = 10;
    private static final int START = 100;
    private static final int WORD_START = 200;
    private static final int INSIDE = 300;

    int rank(String wanted) {
      if (text.equals(wanted)) {
        return 0;
      }
      if ((" " + text + " ").contains(" " + wanted + " ")) {
        int more = text.split(" ").length - wanted.split(" ").length;
        // the head of an English name stands last: sea bream of white sea bream
        return WORDS * more + (text.endsWith(" " + wanted) ? 0 : 1);
      }
      if (text.startsWith(wanted)) {
        return START;
      }
      if (text.contains(" " + wanted)) {
        return WORD_START;
      }
      return text.contains(wanted) ? INSIDE : NOT_IN;
    }

    /** What was typed may be one word of a longer name, such as ray of thornback ray. */
    double likeness(Set<String> wanted) {
      return pieces.stream().mapToDouble(own -> shared(own, wanted)).max().orElse(0);
    }
  }

  /** Returns what is found, the best first; a blank query finds all in their order. */
  List<T> find(String query) {
    String wanted = plain(query);
    if (wanted.isEmpty()) {
      return entries.stream().map(Entry::thing).toList();
    }
    List<T> containing =
        entries.stream()
            .filter(entry -> entry.rank(wanted) < Name.NOT_IN)
            .sorted(Comparator.comparingInt(entry -> entry.rank(wanted)))
            .map(Entry::thing)
            .toList();
    if (!containing.isEmpty() || wanted.length() < SHORTEST_GUESS) {
      return containing;
    }
    Set<String> pieces = trigrams(wanted);
    return entries.stream()
        .filter(entry -> entry.likeness(pieces) >= ALIKE)
        .sorted(Comparator.comparingDouble((Entry<T> entry) -> -entry.likeness(pieces)))
        .map(Entry::thing)
        .toList();
  }

  /** Returns all things of exactly that name. */
  List<T> findNamed(String name) {
    String wanted = plain(name);
    return entries.stream().filter(entry -> entry.rank(wanted) == 0).map(Entry::thing).toList();
  }

  /**
   * Returns by how few letters the nearest name differs from the whole query.
   *
   * @param query what was typed
   * @return letters left out, put in, exchanged or swapped with their neighbour
   */
  int letters(String query) {
    String wanted = plain(query);
    return entries.stream()
        .flatMap(entry -> entry.names().stream())
        .mapToInt(name -> letters(name.text(), wanted))
        .min()
        .orElse(Integer.MAX_VALUE);
  }

  /** The distance of Damerau (1964) and Levenshtein (1966), neighbours swapped once. */
  static int letters(String one, String other) {
    int[][] d = new int[one.length() + 1][other.length() + 1];
    for (int i = 0; i <= one.length(); i++) {
      for (int j = 0; j <= other.length(); j++) {
        if (i == 0 || j == 0) {
          d[i][j] = i + j;
          continue;
        }
        int differs = one.charAt(i - 1) == other.charAt(j - 1) ? 0 : 1;
        d[i][j] = Math.min(d[i - 1][j - 1] + differs, 1 + Math.min(d[i - 1][j], d[i][j - 1]));
        boolean swapped =
            i > 1
                && j > 1
                && one.charAt(i - 1) == other.charAt(j - 2)
                && one.charAt(i - 2) == other.charAt(j - 1);
        d[i][j] = swapped ? Math.min(d[i][j], d[i - 2][j - 2] + 1) : d[i][j];
      }
    }
    return d[one.length()][other.length()];
  }

  /** Returns whether some name contains the query. */
  boolean contains(String query) {
    String wanted = plain(query);
    return entries.stream().anyMatch(entry -> entry.rank(wanted) < Name.NOT_IN);
  }

  private static Name name(String plain) {
    Stream<String> words = Arrays.stream(plain.split(" "));
    return new Name(
        plain, Stream.concat(Stream.of(plain), words).distinct().map(NameIndex::trigrams).toList());
  }

  private static double shared(Set<String> one, Set<String> other) {
    int both = 0;
    for (String piece : one) {
      if (other.contains(piece)) {
        both++;
      }
    }
    return both / (double) (one.size() + other.size() - both);
  }

  private static Set<String> trigrams(String text) {
    Set<String> pieces = new HashSet<>();
    for (String word : text.split(" ")) {
      String padded = "  " + word + " ";
      for (int i = 0; i + 3 <= padded.length(); i++) {
        pieces.add(padded.substring(i, i + 3));
      }
    }
    return pieces;
  }

  /**
   * Writes a name so that it can be compared: small letters without accents. Marks are letters of
   * their own in scripts other than Latin, Greek and Cyrillic, and stay.
   */
  static String plain(String text) {
    String bare =
        MARKS
            .matcher(Normalizer.normalize(text.strip(), Normalizer.Form.NFKD))
            .replaceAll("")
            .toLowerCase(Locale.ROOT)
            .replace('ø', 'o')
            .replace('ł', 'l')
            .replace("æ", "ae")
            .replace("œ", "oe")
            .replace("ß", "ss")
            .replace("þ", "th")
            .replace('ı', 'i')
            .replace('ς', 'σ')
            .replaceAll("[’'ʻ`.\\-\\s]+", " ")
            .strip();
    return hiragana(Normalizer.normalize(bare, Normalizer.Form.NFC));
  }

  private static String hiragana(String text) {
    StringBuilder all = new StringBuilder(text);
    for (int i = 0; i < all.length(); i++) {
      char letter = all.charAt(i);
      if (letter >= 'ァ' && letter <= 'ヶ') {
        all.setCharAt(i, (char) (letter - 'ァ' + 'ぁ'));
      }
    }
    return all.toString();
  }
}
