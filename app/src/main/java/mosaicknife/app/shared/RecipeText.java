package mosaicknife.app.shared;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.safety.Allergen;
import mosaicknife.core.use.RecipeLine;

/** What goes in, as people type it: one thing a line, with commas between what is said of it. */
public final class RecipeText {

  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);
  private static final BigDecimal MOST_PRICE = BigDecimal.valueOf(100_000);
  private static final int LONGEST = 60;
  private static final int MOST_LINES = 20;
  private static final int FIELDS = 4;

  private RecipeText() {}

  /**
   * Reads lines.
   *
   * @param <T> what a line becomes
   * @param typed the lines
   * @param field the name of the field
   * @param line reads one
   * @return what was typed, in its order
   * @throws Refusal if there are too many, or one is not understood
   */
  public static <T> List<T> lines(String typed, String field, Function<String, T> line) {
    List<T> all = new ArrayList<>();
    for (String one : typed.split("\\R")) {
      if (!one.isBlank()) {
        all.add(line.apply(one.strip()));
      }
    }
    if (all.size() > MOST_LINES) {
      throw Refusal.ofField(field, "shared.problem.too-many-lines", MOST_LINES);
    }
    return all;
  }

  /**
   * Reads a line of a recipe: name, percent of the fish, price a kilogram, allergens.
   *
   * @param typed the line
   * @param field the name of the field
   * @return the line
   * @throws Refusal if it is not understood, or does not say its allergens
   */
  public static RecipeLine line(String typed, String field) {
    String[] fields = fields(typed, FIELDS, field, "shared.problem.recipe-line");
    Fraction share =
        Fraction.of(
            Typed.percent(fields[1], new BigDecimal("0.01"), BigDecimal.valueOf(300), field)
                .divide(HUNDRED, MathContext.DECIMAL64));
    return new RecipeLine(
        name(fields[0], field),
        share,
        Typed.decimal(fields[2], 2, BigDecimal.ZERO, MOST_PRICE, field),
        allergens(fields[3], field));
  }

  /**
   * Splits a line; the last of its fields must say something.
   *
   * @param typed the line
   * @param count how many fields it has
   * @param field the name of the field
   * @param otherwise the key of the sentence if it has not
   * @return its fields
   */
  public static String[] fields(String typed, int count, String field, String otherwise) {
    String[] fields = typed.split(",", -1);
    if (fields.length != count || fields[count - 1].isBlank()) {
      throw Refusal.ofField(field, otherwise, Typed.shortened(typed));
    }
    return fields;
  }

  /**
   * Writes a line as {@link #line} reads it.
   *
   * @param line the line
   * @return the text
   */
  public static String write(RecipeLine line) {
    return "%s, %s %%, %s, %s"
        .formatted(
            line.name(),
            percent(line.share()),
            line.perKilogram().toPlainString(),
            write(line.allergens()));
  }

  /**
   * Writes a share.
   *
   * @param share the share
   * @return the percent, without a sign
   */
  public static String percent(Fraction share) {
    return share
        .toDecimal(5, RoundingMode.HALF_EVEN)
        .movePointRight(2)
        .stripTrailingZeros()
        .toPlainString();
  }

  /**
   * Reads a name. Names are kept in lines with such signs between them.
   *
   * @param typed the name
   * @param field the name of the field
   * @return the name, without a semicolon, comma or slash
   * @throws Refusal if it is missing, too long, or has one of them
   */
  public static String name(String typed, String field) {
    String text = PlainText.needed(typed, LONGEST, field, FieldName.NAME);
    if (text.matches(".*[;,/].*")) {
      throw Refusal.ofField(field, "shared.problem.signs", text);
    }
    return text;
  }

  /**
   * Reads allergens.
   *
   * @param typed such as {@code milk + wheat}, or {@code none}
   * @param field the name of the field
   * @return the allergens
   * @throws Refusal if one is not known
   */
  public static Set<Allergen> allergens(String typed, String field) {
    if (typed.strip().equalsIgnoreCase("none")) {
      return Set.of();
    }
    return Arrays.stream(typed.split("\\+"))
        .map(String::strip)
        .map(
            text ->
                Typed.choice(Allergen.values(), text.toUpperCase(Locale.ROOT))
                    .orElseThrow(
                        () ->
                            Refusal.ofField(
                                field, "shared.problem.no-such-allergen", Typed.shortened(text))))
        .collect(Collectors.toSet());
  }

  /**
   * Writes allergens as {@link #allergens} reads them.
   *
   * @param allergens the allergens
   * @return the text
   */
  public static String write(Set<Allergen> allergens) {
    return allergens.isEmpty()
        ? "none"
        : allergens.stream()
            .sorted()
            .map(one -> one.name().toLowerCase(Locale.ROOT))
            .collect(Collectors.joining(" + "));
  }
}
