package mosaicknife.core.anatomy;

import java.text.Normalizer;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * Finds fish by any of their names, whatever the case or accents, and with typing errors.
 *
 * <p>A fish whose name contains what was typed is found. If none is, names are compared by
 * trigrams: the three-letter pieces of each word, padded with two spaces before and one after, and
 * the share of pieces that both have of the pieces that either has (Jaccard, 1901; the same measure
 * as PostgreSQL's trigrams). One letter wrong in a word of five still shares a third.
 */
final class NameSearch {

  /** Below this two names share little more than a letter. */
  private static final double ALIKE = 0.3;

  private static final int SHORTEST_GUESS = 3;

  private NameSearch() {}

  /** Returns the fish found, the best first; a blank query finds all in their order. */
  static List<Species> find(List<Species> species, String query) {
    String wanted = plain(query);
    List<Species> containing =
        species.stream()
            .filter(fish -> fish.names().anyMatch(name -> plain(name).contains(wanted)))
            .toList();
    if (!containing.isEmpty() || wanted.length() < SHORTEST_GUESS) {
      return containing;
    }
    Set<String> pieces = trigrams(wanted);
    return species.stream()
        .filter(fish -> likeness(fish, pieces) >= ALIKE)
        .sorted(Comparator.comparingDouble((Species fish) -> -likeness(fish, pieces)))
        .toList();
  }

  private static double likeness(Species fish, Set<String> wanted) {
    return fish.names().mapToDouble(name -> bestWord(plain(name), wanted)).max().orElse(0);
  }

  /** What was typed may be one word of a longer name, such as ray of thornback ray. */
  private static double bestWord(String name, Set<String> wanted) {
    double whole = shared(trigrams(name), wanted);
    return Arrays.stream(name.split(" "))
        .mapToDouble(word -> shared(trigrams(word), wanted))
        .reduce(whole, Math::max);
  }

  private static double shared(Set<String> one, Set<String> other) {
    Set<String> both = new HashSet<>(one);
    both.retainAll(other);
    return both.size() / (double) (one.size() + other.size() - both.size());
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

  private static String plain(String text) {
    return Normalizer.normalize(text.strip(), Normalizer.Form.NFD)
        .replaceAll("\\p{M}+", "")
        .replace('ø', 'o')
        .replace('Ø', 'o')
        .toLowerCase(Locale.ROOT)
        .replaceAll("\\s+", " ");
  }
}
