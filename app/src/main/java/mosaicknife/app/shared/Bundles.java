package mosaicknife.app.shared;

import com.ibm.icu.text.MessageFormat;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.UnaryOperator;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.finding.Keyed;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/**
 * The message bundles: every text a person reads, under {@code messages/}, one bundle a package,
 * put together by ICU's MessageFormat, which knows plurals and genders.
 *
 * <p>A bundle is {@code bench.properties} for the words as written, {@code bench_cs.properties} for
 * a language. A key stands in one bundle only; a key twice stops the start. The language {@code
 * en-XA} is no bundle: it shows every message in brackets, so that a text that is not from a bundle
 * can be seen.
 */
final class Bundles {

  /** The language of the test that every text comes from a bundle. */
  static final Locale PSEUDO = Locale.forLanguageTag("en-XA");

  /** The language of the words as written. */
  private static final Locale WRITTEN = Locale.ENGLISH;

  private static final String FILES = "classpath*:messages/*.properties";
  private static final Bundles SHIPPED = new Bundles(read());

  private final Map<Locale, Map<String, String>> patterns;
  private final Map<Locale, Map<String, MessageFormat>> formats = new ConcurrentHashMap<>();

  private Bundles(Map<Locale, Map<String, String>> patterns) {
    this.patterns = patterns;
  }

  /** The bundles that ship with the application. */
  static Bundles shipped() {
    return SHIPPED;
  }

  private static Map<Locale, Map<String, String>> read() {
    Map<Locale, Map<String, String>> all = new HashMap<>();
    try {
      for (Resource bundle : new PathMatchingResourcePatternResolver().getResources(FILES)) {
        Properties lines = new Properties();
        try (InputStreamReader reader =
            new InputStreamReader(bundle.getInputStream(), StandardCharsets.UTF_8)) {
          lines.load(reader);
        }
        Map<String, String> ofLocale =
            all.computeIfAbsent(locale(bundle.getFilename()), l -> new HashMap<>());
        lines.forEach(
            (key, pattern) -> {
              if (ofLocale.put((String) key, (String) pattern) != null) {
                throw new IllegalStateException("The message '" + key + "' stands in two bundles");
              }
            });
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return all;
  }

  private static Locale locale(String file) {
    int mark = file.indexOf('_');
    return mark < 0
        ? Locale.ROOT
        : Locale.forLanguageTag(file.substring(mark + 1, file.indexOf('.')).replace('_', '-'));
  }

  /**
   * Words a message.
   *
   * @param key its key
   * @param locale the language
   * @param writer writes the figures
   * @param values the figures
   * @return the text; empty if no bundle has the key
   */
  Optional<String> find(String key, Locale locale, UnaryOperator<Object> writer, Object... values) {
    return pattern(key, locale)
        .map(pattern -> fill(key, pattern, locale, writer, values))
        .map(text -> locale.equals(PSEUDO) ? "⟦" + text + "⟧" : text);
  }

  /**
   * The language a person is answered in.
   *
   * @param person what the person's browser asks for; null if nothing is known
   * @return that language if there is a bundle for it, else that of the words as written
   */
  Locale language(Locale person) {
    if (person == null) {
      return WRITTEN;
    }
    Locale language = new Locale(person.getLanguage());
    return patterns.containsKey(person) || patterns.containsKey(language) ? language : WRITTEN;
  }

  private Optional<String> pattern(String key, Locale locale) {
    for (Locale asked : new Locale[] {locale, new Locale(locale.getLanguage()), Locale.ROOT}) {
      String pattern = patterns.getOrDefault(asked, Map.of()).get(key);
      if (pattern != null) {
        return Optional.of(pattern);
      }
    }
    return Optional.empty();
  }

  private String fill(
      String key, String pattern, Locale locale, UnaryOperator<Object> writer, Object... values) {
    if (pattern.indexOf('{') < 0) {
      return pattern;
    }
    MessageFormat format =
        formats
            .computeIfAbsent(language(locale), l -> new ConcurrentHashMap<>())
            // the plural is that of the words, whoever reads them
            .computeIfAbsent(key, k -> new MessageFormat(pattern, language(locale)));
    Object[] written = values.clone();
    for (int i = 0; i < written.length; i++) {
      boolean counted = pattern.contains("{" + i + ", plural");
      Object text = written(written[i], locale, writer);
      // a lot number is no amount: only what the message counts stays a number
      written[i] = text instanceof Number && !counted ? String.valueOf(text) : text;
    }
    // a format keeps state while it works; a copy is cheap beside reading the pattern again
    return ((MessageFormat) format.clone()).format(written);
  }

  private Object written(Object figure, Locale locale, UnaryOperator<Object> writer) {
    if (figure instanceof Enum<?> constant) {
      return written(Finding.of(constant), locale, writer);
    }
    if (figure instanceof Keyed keyed) {
      Object[] figures =
          keyed instanceof Finding finding ? finding.figures().toArray() : new Object[0];
      return find(keyed.key(), locale, writer, figures).orElse(keyed.key());
    }
    return figure == null ? "" : writer.apply(figure);
  }
}
