package mosaicknife.app.shared;

import java.util.Locale;
import java.util.Optional;
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
public class Words implements MessageSource, Speech {

  private final ObjectProvider<Figures> figures;

  Words(ObjectProvider<Figures> figures) {
    this.figures = figures;
  }

  @Override
  public String say(String key, Object... values) {
    return getMessage(key, values, LocaleContextHolder.getLocale());
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
