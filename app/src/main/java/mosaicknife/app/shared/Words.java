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
import mosaicknife.core.finding.Finding;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.MessageSource;
import org.springframework.context.MessageSourceResolvable;
import org.springframework.context.NoSuchMessageException;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;

/**
 * The words of the application: every text a person reads comes from a bundle of its package, under
 * {@code messages/}, and is put together by ICU's MessageFormat, which knows plurals and genders.
 *
 * <p>A bundle is {@code bench.properties} for the words as written, {@code bench_cs.properties} for
 * a language. A key stands in one bundle only; a key twice, or a message that ICU cannot read,
 * stops the start. Figures are written by {@link Figures} before the message sees them.
 */
@Component("messageSource")
public class Words implements MessageSource {

  private static final String BUNDLES = "classpath*:messages/*.properties";

  private final Map<Locale, Map<String, String>> patterns;
  private final Map<Locale, Map<String, MessageFormat>> formats = new ConcurrentHashMap<>();
  private final ObjectProvider<Figures> figures;

  /** Reads the bundles. */
  Words(ObjectProvider<Figures> figures) {
    this.figures = figures;
    this.patterns = read();
  }

  private static Map<Locale, Map<String, String>> read() {
    Map<Locale, Map<String, String>> all = new HashMap<>();
    try {
      for (Resource bundle : new PathMatchingResourcePatternResolver().getResources(BUNDLES)) {
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
   * Words a message in the language of the person who reads.
   *
   * @param key the key
   * @param values the figures
   * @return the text
   * @throws NoSuchMessageException if no bundle has the key
   */
  public String say(String key, Object... values) {
    return getMessage(key, values, LocaleContextHolder.getLocale());
  }

  /**
   * Words a finding of the core.
   *
   * @param finding the finding
   * @return the text
   */
  public String say(Finding finding) {
    return say(finding.key(), finding.figures().toArray());
  }

  /**
   * Words why something was not done.
   *
   * @param problem a refusal, or what a core type says of a text it could not read
   * @return the sentence
   */
  public String say(RuntimeException problem) {
    return problem instanceof Refusal refusal && refusal.finding().isPresent()
        ? say(refusal.finding().get())
        : problem.getMessage();
  }

  @Override
  public String getMessage(String key, Object[] values, Locale locale) {
    return find(key, values, locale).orElseThrow(() -> new NoSuchMessageException(key, locale));
  }

  @Override
  public String getMessage(String key, Object[] values, String otherwise, Locale locale) {
    return find(key, values, locale).orElse(otherwise);
  }

  @Override
  public String getMessage(MessageSourceResolvable wanted, Locale locale) {
    String[] keys = wanted.getCodes() == null ? new String[0] : wanted.getCodes();
    for (String key : keys) {
      Optional<String> found = find(key, wanted.getArguments(), locale);
      if (found.isPresent()) {
        return found.get();
      }
    }
    if (wanted.getDefaultMessage() == null) {
      throw new NoSuchMessageException(String.join(", ", keys), locale);
    }
    return wanted.getDefaultMessage();
  }

  private Optional<String> find(String key, Object[] values, Locale locale) {
    return pattern(key, locale).map(pattern -> fill(key, pattern, values, locale));
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

  private String fill(String key, String pattern, Object[] values, Locale locale) {
    if (pattern.indexOf('{') < 0) {
      return pattern;
    }
    MessageFormat format =
        formats
            .computeIfAbsent(locale, l -> new ConcurrentHashMap<>())
            .computeIfAbsent(key, k -> new MessageFormat(pattern, locale));
    Object[] written = values == null ? new Object[0] : values.clone();
    for (int i = 0; i < written.length; i++) {
      written[i] = written(written[i]);
    }
    // a format keeps state while it works; a copy is cheap beside reading the pattern again
    return ((MessageFormat) format.clone()).format(written);
  }

  private Object written(Object figure) {
    if (figure instanceof Finding finding) {
      return say(finding);
    }
    if (figure instanceof Enum<?> constant) {
      return say(Finding.of(constant));
    }
    Figures writer = figures.getIfAvailable();
    return writer == null ? figure : writer.write(figure);
  }
}
