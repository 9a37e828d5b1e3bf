package mosaicknife.app.shared;

import com.ibm.icu.text.DateTimePatternGenerator;
import java.text.DecimalFormatSymbols;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import org.springframework.context.i18n.LocaleContext;
import org.springframework.context.i18n.LocaleContextHolder;

/**
 * How the person who reads is used to see figures and dates: words and names of days in the
 * language of the words, the rest by the habits of the person. Someone who asks for German and
 * reads English words sees {@code 1,318 kg} and {@code Wed 25 Nov}; a day never stands in another
 * language than the sentence around it.
 *
 * <p>The habits are those the person's browser asks for ({@code Accept-Language}); English of no
 * region is read as British.
 *
 * @param words the language of the words in the region of the person
 * @param figures whose signs figures are written with
 * @param day writes a date, such as {@code Wed 25 Nov}
 * @param dayOfYear writes a date with its year, such as {@code Wed 25 Nov 2026}
 * @param time writes a time of day, such as {@code 14:02}
 * @param decimalSign what stands between a whole number and its decimals
 */
record Reader(
    Locale words,
    Locale figures,
    DateTimeFormatter day,
    DateTimeFormatter dayOfYear,
    DateTimeFormatter time,
    char decimalSign) {

  private static final Pattern POINT = Pattern.compile("(?<=\\d)\\.(?=\\d)");
  private static final Map<Locale, Reader> KNOWN = new ConcurrentHashMap<>();
  private static final int MOST_KNOWN = 500;

  /** The person who reads what is written now. */
  static Reader now() {
    LocaleContext context = LocaleContextHolder.getLocaleContext();
    Locale person = context == null ? null : context.getLocale();
    return of(person == null ? Locale.UK : person);
  }

  /**
   * The reader of a locale.
   *
   * @param person what the browser asks for
   */
  static Reader of(Locale person) {
    Reader known = KNOWN.get(person);
    if (known != null) {
      return known;
    }
    Reader reader = read(person);
    // anybody may ask for any locale: what is not known by then is read each time
    if (KNOWN.size() < MOST_KNOWN) {
      KNOWN.put(person, reader);
    }
    return reader;
  }

  private static Reader read(Locale person) {
    Locale language = Bundles.shipped().language(person);
    String region = person.getCountry().isEmpty() ? Locale.UK.getCountry() : person.getCountry();
    Locale words = new Locale(language.getLanguage(), region);
    // scales and keys here have western digits only
    boolean westernDigits = DecimalFormatSymbols.getInstance(person).getZeroDigit() == '0';
    boolean own = westernDigits && !person.getLanguage().equals(language.getLanguage());
    Locale figures = own ? person : words;
    DateTimePatternGenerator patterns = DateTimePatternGenerator.getInstance(words);
    return new Reader(
        words,
        figures,
        DateTimeFormatter.ofPattern(patterns.getBestPattern("EEEdMMM"), words),
        DateTimeFormatter.ofPattern(patterns.getBestPattern("EEEdMMMy"), words),
        DateTimeFormatter.ofPattern(patterns.getBestPattern("jmm"), words),
        DecimalFormatSymbols.getInstance(figures).getDecimalSeparator());
  }

  /** Puts the reader's decimal sign into a text that was written with a point between digits. */
  String decimal(String text) {
    return decimalSign == '.' ? text : POINT.matcher(text).replaceAll(String.valueOf(decimalSign));
  }
}
