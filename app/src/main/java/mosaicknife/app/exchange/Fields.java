package mosaicknife.app.exchange;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;
import mosaicknife.app.exchange.ApiProblems.FieldProblems;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Words;
import mosaicknife.core.quantity.QuantityFormatException;

/** Reads the fields of one request and collects what is wrong with all of them. */
final class Fields {

  private final Words words;
  private final Map<String, String> problems = new LinkedHashMap<>();

  Fields(Words words) {
    this.words = words;
  }

  /** Reads a field; one that is wrong is remembered, and something else stands for it. */
  <T> T read(String name, T otherwise, Supplier<T> reader) {
    try {
      return reader.get();
    } catch (Refusal | QuantityFormatException e) {
      problems.put(name, words.say(e));
      return otherwise;
    }
  }

  <T> T needed(String name, T value, T otherwise) {
    if (value == null) {
      wrong(name, "exchange.problem.missing", name);
      return otherwise;
    }
    return value;
  }

  void wrong(String name, String key, Object... figures) {
    problems.put(name, words.say(key, figures));
  }

  /** Refuses the request if anything was wrong. */
  void check() {
    if (!problems.isEmpty()) {
      throw new FieldProblems(problems);
    }
  }
}
