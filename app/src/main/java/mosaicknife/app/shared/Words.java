package mosaicknife.app.shared;

import java.util.Locale;
import java.util.Optional;
import mosaicknife.core.finding.Finding;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.MessageSource;
import org.springframework.context.MessageSourceResolvable;
import org.springframework.context.NoSuchMessageException;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.stereotype.Component;

/**
 * The words of the application in the language of the person who reads, with figures as this house
 * writes them. Pages ask it as their message source.
 */
@Component("messageSource")
public class Words implements MessageSource {

  private final ObjectProvider<Figures> figures;

  Words(ObjectProvider<Figures> figures) {
    this.figures = figures;
  }

  /**
   * Words a message.
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
   * Words the name of a choice.
   *
   * @param constant the constant
   * @return the text under its enum and name
   */
  public String say(Enum<?> constant) {
    return say(Finding.of(constant));
  }

  /**
   * Words why something was not done.
   *
   * @param problem a refusal, or what a core type says of a text it could not read
   * @return the sentence
   */
  public String say(RuntimeException problem) {
    return problem instanceof Refusal refusal
        ? say(refusal.key(), refusal.figures())
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
    Figures writer = figures.getIfAvailable();
    return Bundles.shipped()
        .find(
            key,
            locale,
            figure -> writer == null ? figure : writer.write(figure),
            values == null ? new Object[0] : values);
  }
}
