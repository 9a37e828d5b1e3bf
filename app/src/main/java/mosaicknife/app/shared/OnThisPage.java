package mosaicknife.app.shared;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.springframework.cache.Cache;
import org.springframework.cache.CacheManager;
import org.springframework.stereotype.Component;

/**
 * Things by their number that are worked out once while a page is shown, many at a time. The same
 * holds as for what is {@linkplain AskedOnce asked once}.
 */
@Component
public class OnThisPage {

  private final CacheManager onePage;

  OnThisPage(CacheManager onePage) {
    this.onePage = onePage;
  }

  private record Numbered(Class<?> type, long number) {}

  private Cache page() {
    return onePage.getCache("page");
  }

  /**
   * Returns things, those not known on this page worked out together.
   *
   * @param <V> what they are
   * @param type what they are
   * @param numbers their numbers
   * @param ask works out those of some numbers; what is not in its answer there is not
   * @return the things by number, in the order of the numbers
   */
  public <V> Map<Long, V> each(
      Class<V> type, Collection<Long> numbers, Function<List<Long>, Map<Long, V>> ask) {
    Cache page = page();
    Map<Long, V> all = new LinkedHashMap<>();
    List<Long> missing = new ArrayList<>();
    for (long number : numbers) {
      V known = page.get(new Numbered(type, number), type);
      all.put(number, known);
      if (known == null) {
        missing.add(number);
      }
    }
    if (!missing.isEmpty()) {
      ask.apply(missing)
          .forEach(
              (number, one) -> {
                all.put(number, one);
                page.put(new Numbered(type, number), one);
              });
    }
    all.values().removeIf(one -> one == null);
    return all;
  }

  /**
   * Returns what follows from things, in their order.
   *
   * @param <T> what the things are
   * @param <V> what follows from each
   * @param type what follows
   * @param things the things
   * @param number the number of a thing
   * @param ask works out what follows from some things, each once, by their numbers
   * @return what follows, as many as there are things
   */
  public <T, V> List<V> inOrder(
      Class<V> type,
      List<T> things,
      Function<T, Long> number,
      Function<List<T>, Map<Long, V>> ask) {
    Map<Long, T> byNumber = new HashMap<>();
    things.forEach(thing -> byNumber.put(number.apply(thing), thing));
    Map<Long, V> all =
        each(
            type,
            byNumber.keySet(),
            missing -> ask.apply(missing.stream().map(byNumber::get).toList()));
    return things.stream().map(number).map(all::get).toList();
  }
}
