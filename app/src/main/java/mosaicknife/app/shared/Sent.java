package mosaicknife.app.shared;

import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZonedDateTime;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.Temperature;
import org.springframework.ui.Model;

/**
 * What a form sent, each field read like everything that people type. A field that cannot be read
 * is refused by its name; one that was not sent is an empty one.
 */
public final class Sent {

  /** Tablets are not all on the second. */
  private static final Duration AHEAD = Duration.ofMinutes(2);

  private final Map<String, String> typed;
  private final Formats formats;

  /**
   * Takes what was sent.
   *
   * @param typed what was typed, by field
   * @param formats how the house writes masses and times
   */
  public Sent(Map<String, String> typed, Formats formats) {
    this.typed = Map.copyOf(typed);
    this.formats = formats;
  }

  /**
   * Finds what was typed into the form of a page and refused.
   *
   * @param page what the page is told
   * @return the text of each field; empty if nothing was refused
   */
  public static Optional<Map<String, String>> kept(Model page) {
    return kept(page, "typed");
  }

  /**
   * As {@link #kept(Model)}, of a page with several forms.
   *
   * @param page what the page is told
   * @param name what the form keeps it as
   * @return the text of each field; empty if nothing was refused
   */
  @SuppressWarnings("unchecked")
  public static Optional<Map<String, String>> kept(Model page, String name) {
    return Optional.ofNullable((Map<String, String>) page.getAttribute(name));
  }

  /**
   * Returns what was typed.
   *
   * @return the text of each field
   */
  public Map<String, String> typed() {
    return typed;
  }

  /**
   * Returns the text of a field.
   *
   * @param field its name
   * @return what was typed without outer spaces; empty if nothing
   */
  public String text(String field) {
    return typed.getOrDefault(field, "").strip();
  }

  /**
   * Returns whether a field was sent, as of a box that was ticked.
   *
   * @param field its name
   * @return true if it came at all
   */
  public boolean has(String field) {
    return typed.containsKey(field);
  }

  /**
   * Reads a field that may be empty.
   *
   * @param <T> what it is
   * @param field its name
   * @param reader reads it by its name
   * @return what was typed; empty if nothing was
   */
  public <T> Optional<T> given(String field, Function<String, T> reader) {
    return text(field).isEmpty() ? Optional.empty() : Optional.of(reader.apply(field));
  }

  /**
   * Returns the identifier the sender made, so that what is sent twice is stored once.
   *
   * @return the identifier in the field {@code id}; a fresh one if there is none
   */
  public UUID own() {
    return own("id");
  }

  /** As {@link #own()}, of another field. */
  public UUID own(String field) {
    return ClientIds.of(typed.get(field));
  }

  /** As {@link Typed#id}. */
  public long id(String field) {
    return Typed.id(text(field), field);
  }

  /** As {@link Typed#count}. */
  public int count(String field, int from, int to) {
    return Typed.count(text(field), from, to, field);
  }

  /** As {@link Typed#decimal}. */
  public BigDecimal decimal(String field, int decimals, BigDecimal from, BigDecimal to) {
    return Typed.decimal(text(field), decimals, from, to, field);
  }

  /** As {@link Typed#day}. */
  public LocalDate day(String field) {
    return Typed.day(text(field), field);
  }

  /** As {@link Typed#time}. */
  public LocalTime time(String field) {
    return Typed.time(text(field), field);
  }

  /** As {@link Typed#moment}, by the clock of the house. */
  public Instant moment(String field) {
    return Typed.moment(text(field), formats.zone(), field);
  }

  /**
   * Reads when the clock on the wall last showed a time: one that lies ahead was yesterday, as
   * after midnight.
   *
   * @param field the name of the field
   * @param now the moment
   * @return the moment, not after now
   * @throws Refusal if it is no time
   */
  public Instant lately(String field, Instant now) {
    ZonedDateTime today = now.atZone(formats.zone()).with(time(field));
    if (!today.toInstant().isAfter(now)) {
      return today.toInstant();
    }
    return today.toInstant().isAfter(now.plus(AHEAD)) ? today.minusDays(1).toInstant() : now;
  }

  /**
   * Reads a mass.
   *
   * @param field the name of the field
   * @return the mass; a bare number is in the small unit of the house
   * @throws mosaicknife.core.quantity.QuantityFormatException if it is none
   */
  public Mass mass(String field) {
    return MassText.parse(text(field), formats.system().small()).mass();
  }

  /**
   * Reads a mass of something that is there.
   *
   * @param field the name of the field
   * @return the mass, above nothing
   * @throws Refusal if it is nothing
   */
  public Mass someMass(String field) {
    Mass mass = mass(field);
    if (!mass.isPositive()) {
      throw Refusal.ofField(field, "larder.problem.nothing");
    }
    return mass;
  }

  /** Reads a temperature in degrees Celsius. */
  public Temperature temperature(String field) {
    return Temperature.parse(text(field));
  }

  /** Reads a length. */
  public Length length(String field) {
    return Length.parse(text(field));
  }

  /**
   * Finds what was chosen.
   *
   * @param <E> the kind of choice
   * @param values the choices
   * @param field the name of the field
   * @return the choice
   * @throws Refusal if it is none of them
   */
  public <E extends Enum<E>> E choice(E[] values, String field) {
    return Typed.choice(values, text(field))
        .orElseThrow(() -> Refusal.ofField(field, "shared.problem.not-chosen"));
  }
}
