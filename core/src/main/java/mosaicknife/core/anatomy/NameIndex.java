package mosaicknife.core.anatomy;

import java.text.Normalizer;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * Finds things by any of their names, whatever the case or accents, and with typing errors.
 *
 * <p>A thing whose name contains what was typed is found. If none is, names are compared by
 * trigrams: the three-letter pieces of each word, padded with two spaces before and one after, and
 * the share of pieces that both have of the pieces that either has (Jaccard, 1901; the same measure
 * as PostgreSQL's trigrams). One letter wrong in a word of five still shares a third.
 *
 * @param <T> what is found
 */
final class NameIndex<T> {

  /** Below this two names share little more than a letter. */
  private static final double ALIKE = 0.3;

  /** Above this only a letter or two differ. */
  private static final double CLOSE = 0.5;

  private static final int SHORTEST_GUESS = 3;

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

    static final int NOT_IN = 4;

    int rank(String wanted) {
      if (text.equals(wanted)) {
        return 0;
      }
      if (text.startsWith(wanted)) {
        return 1;
      }
      if (text.contains(" " + wanted)) {
        return 2;
      }
      return text.contains(wanted) ? 3 : NOT_IN;
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

  /** Returns the thing whose name starts like the query or is but a letter or two off. */
  Optional<T> findClose(String query) {
    String wanted = plain(query);
    if (wanted.length() < SHORTEST_GUESS) {
      return Optional.empty();
    }
    Set<String> pieces = trigrams(wanted);
    return entries.stream()
        .filter(entry -> entry.rank(wanted) <= 2 || entry.likeness(pieces) >= CLOSE)
        .map(Entry::thing)
        .findFirst();
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

  static String plain(String text) {
    return Normalizer.normalize(text.strip(), Normalizer.Form.NFD)
        .replaceAll("\\p{M}+", "")
        .toLowerCase(Locale.ROOT)
        .replace('ø', 'o')
        .replace("æ", "ae")
        .replace("œ", "oe")
        .replace("ß", "ss")
        .replace('ı', 'i')
        .replaceAll("[’'\\-\\s]+", " ")
        .strip();
  }
}
