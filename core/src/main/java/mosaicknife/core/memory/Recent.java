package mosaicknife.core.memory;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;

/**
 * Answers the same question once, one at a time, and remembers the answers that were asked for
 * last: what takes a processor for seconds is not worked out again for the next page.
 *
 * @param <K> a question, compared by what it holds
 * @param <V> its answer
 */
public final class Recent<K, V> {

  private static final float LOAD = 0.75f;

  private final int most;
  private final Function<K, V> work;
  private final Map<K, V> known = new LinkedHashMap<>(16, LOAD, true);

  /**
   * Makes one that knows nothing yet.
   *
   * @param most how many answers are remembered, at least one
   * @param work finds the answer to a question
   */
  public Recent(int most, Function<K, V> work) {
    this.most = most;
    this.work = work;
  }

  /**
   * Returns the answer to a question; whoever asks the same meanwhile waits for it.
   *
   * @param question the question
   * @return its answer
   */
  public synchronized V of(K question) {
    V answer = known.get(question);
    if (answer == null) {
      answer = work.apply(question);
      known.put(question, answer);
      if (known.size() > most) {
        known.remove(known.keySet().iterator().next());
      }
    }
    return answer;
  }
}
