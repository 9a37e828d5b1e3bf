package mosaicknife.core.buying;

import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import mosaicknife.core.anatomy.Species;

/**
 * Under which fish a dish is sold. Another fish under that name deceives the guest, however well it
 * eats: it is a substitute, chosen knowingly, and every paper names the fish that is served.
 */
public final class SoldAs {

  private SoldAs() {}

  /**
   * Suggests from the name of a dish under which of its fish it is sold; a person decides.
   *
   * @param dish the name of the dish
   * @param fish the fish it may be made of
   * @return those its name names; all of them where it names none, as the catch of the day
   */
  public static List<Species> suggested(String dish, List<Species> fish) {
    String name = dish.toLowerCase(Locale.ROOT);
    List<Species> named = fish.stream().filter(one -> isNamed(one, name)).toList();
    return named.isEmpty() ? List.copyOf(fish) : named;
  }

  private static boolean isNamed(Species fish, String dish) {
    return fish.names()
        .map(name -> Pattern.quote(name.toLowerCase(Locale.ROOT)))
        .anyMatch(name -> Pattern.compile("\\b" + name + "\\b").matcher(dish).find());
  }
}
