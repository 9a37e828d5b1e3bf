package mosaicknife.app.buy;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mosaicknife.app.catalogue.FishNames;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.buying.Offer.Form;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.PriceText;
import mosaicknife.core.quantity.QuantityFormatException;
import mosaicknife.core.quantity.UnitPrice;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/**
 * Reads a price list: a table with a heading, separated by commas, semicolons or tabs, with or
 * without a byte-order mark. Every row that is not understood is kept with its reason.
 */
final class PriceListReader {

  private static final int MOST_ROWS = 20_000;
  private static final int SHOWN = 60;
  private static final Pattern DOTTED = Pattern.compile("(\\d{1,2})[./](\\d{1,2})[./](\\d{4})");
  private static final Map<String, Set<String>> HEADINGS =
      Map.of(
          "fish", Set.of("fish", "species", "name", "product", "item"),
          "form", Set.of("form", "cut", "type"),
          "state", Set.of("state", "condition"),
          "size", Set.of("size", "grade", "size grade", "weight"),
          "price", Set.of("price", "price per kg", "per kg", "eur/kg", "price/kg"),
          "date", Set.of("date", "valid", "valid on", "day"));

  private final Catalogue catalogue;
  private final Formats formats;
  private final LocalDate today;
  private final Map<String, Optional<Species>> known = new HashMap<>();

  PriceListReader(Catalogue catalogue, Formats formats, LocalDate today) {
    this.catalogue = catalogue;
    this.formats = formats;
    this.today = today;
  }

  /** A row that was not understood. */
  record BadRow(long line, String text, String reason) {}

  /** What was read: rows that count and rows that do not. */
  record ReadList(List<PriceLine> lines, List<BadRow> bad) {}

  ReadList read(String content) {
    String text = content.startsWith("\uFEFF") ? content.substring(1) : content;
    if (text.isBlank()) {
      throw Refusal.ofField("file", "buy.problem.the-list-is-empty-choose");
    }
    char delimiter = delimiter(text);
    CSVFormat format =
        CSVFormat.RFC4180
            .builder()
            .setDelimiter(delimiter)
            .setIgnoreEmptyLines(true)
            .setTrim(true)
            .get();
    try (var parser = format.parse(new StringReader(text))) {
      var rows = parser.iterator();
      Map<String, Integer> columns = columns(rows.next());
      return rows(rows, columns);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (IllegalStateException | UncheckedIOException e) {
      throw Refusal.ofField("file", "buy.problem.the-file-is-no-table");
    }
  }

  private static char delimiter(String text) {
    String heading = text.lines().filter(line -> !line.isBlank()).findFirst().orElse("");
    char best = ',';
    long most = 0;
    for (char offer : new char[] {';', '\t', ','}) {
      long count = heading.chars().filter(c -> c == offer).count();
      if (count > most) {
        best = offer;
        most = count;
      }
    }
    if (most == 0) {
      throw Refusal.ofField("file", "buy.problem.only-one-column-was-found");
    }
    return best;
  }

  private static Map<String, Integer> columns(CSVRecord heading) {
    Map<String, Integer> columns = new HashMap<>();
    for (int i = 0; i < heading.size(); i++) {
      String word = heading.get(i).strip().toLowerCase(Locale.ROOT);
      int column = i;
      HEADINGS.forEach(
          (name, words) -> {
            if (words.contains(word)) {
              columns.putIfAbsent(name, column);
            }
          });
    }
    for (String needed : List.of("fish", "price")) {
      if (!columns.containsKey(needed)) {
        throw Refusal.ofField(
            "file",
            "buy.problem.the-heading-has-no-column",
            needed,
            shortened(String.join(", ", heading.toList())));
      }
    }
    return columns;
  }

  private ReadList rows(Iterator<CSVRecord> rows, Map<String, Integer> columns) {
    List<PriceLine> lines = new ArrayList<>();
    List<BadRow> bad = new ArrayList<>();
    Set<String> seen = new HashSet<>();
    while (rows.hasNext()) {
      CSVRecord row = rows.next();
      if (row.getRecordNumber() > MOST_ROWS) {
        throw Refusal.ofField("file", "buy.problem.the-list-has-more-than", MOST_ROWS);
      }
      try {
        PriceLine line = line(row, columns);
        String key =
            line.species().code() + line.form() + line.state() + line.grade() + line.validOn();
        if (!seen.add(key)) {
          throw Refusal.ofInput("buy.problem.the-same-fish-state-and");
        }
        lines.add(line);
      } catch (Refusal | QuantityFormatException | IllegalArgumentException problem) {
        bad.add(
            new BadRow(
                row.getRecordNumber(),
                shortened(String.join(" | ", row.toList())),
                formats.say(problem)));
      }
    }
    return new ReadList(lines, bad);
  }

  private PriceLine line(CSVRecord row, Map<String, Integer> columns) {
    Species species = species(cell(row, columns, "fish"));
    Form form = form(cell(row, columns, "form"));
    State state = state(cell(row, columns, "state"));
    SizeGrade grade = grade(cell(row, columns, "size"), species);
    UnitPrice price =
        PriceText.parse(
                needed(cell(row, columns, "price"), "buy.problem.the-price-is-missing"),
                formats.system().large(),
                formats.currency())
            .price();
    if (!price.perKilogram().isPositive()) {
      throw Refusal.ofInput("buy.problem.the-price-is-not-above");
    }
    return new PriceLine(species, form, state, grade, price, date(cell(row, columns, "date")));
  }

  private static String cell(CSVRecord row, Map<String, Integer> columns, String name) {
    Integer column = columns.get(name);
    return column == null || column >= row.size() ? "" : row.get(column).strip();
  }

  private static String needed(String text, String sentence) {
    if (text.isEmpty()) {
      throw Refusal.ofInput(sentence);
    }
    return text;
  }

  /** In a list a name must be a name: the whole of one, not a guess. */
  private Species species(String typed) {
    String name = needed(typed, "buy.problem.the-name-of-the-fish");
    return known
        .computeIfAbsent(
            name.toLowerCase(Locale.ROOT),
            wanted -> new FishNames(catalogue, formats).written(name, "fish"))
        .orElseThrow(
            () -> Refusal.ofInput("buy.problem.no-fish-in-the-catalogue", shortened(name)));
  }

  private static Form form(String typed) {
    return switch (typed.toLowerCase(Locale.ROOT)) {
      case "", "whole", "round", "fish" -> Form.WHOLE;
      case "fillet", "fillets", "loin", "loins" -> Form.FILLET;
      default -> throw Refusal.ofInput("buy.problem.is-neither-whole-nor-fillet", shortened(typed));
    };
  }

  private static State state(String typed) {
    return switch (typed.toLowerCase(Locale.ROOT)) {
      case "", "gutted" -> State.GUTTED;
      case "ungutted", "whole", "round" -> State.UNGUTTED;
      case "gutted and gilled", "gilled", "g&g" -> State.GUTTED_AND_GILLED;
      case "h&g", "headed and gutted", "headed" -> State.HEADED_AND_GUTTED;
      default -> throw Refusal.ofInput("buy.problem.is-no-state-such-as", shortened(typed));
    };
  }

  /** Without a size, all usual sizes of the fish. */
  private SizeGrade grade(String typed, Species species) {
    if (typed.isEmpty()) {
      return new SizeGrade(species.usualMass().lowest(), species.usualMass().highest());
    }
    Matcher matcher =
        Pattern.compile("([0-9.,]+)\\s*[-–/]\\s*([0-9.,]+)\\s*([a-zA-Z]*)").matcher(typed);
    if (!matcher.matches()) {
      throw Refusal.ofInput("buy.problem.is-no-size-such-as", shortened(typed));
    }
    Mass from =
        MassText.parse(matcher.group(1) + matcher.group(3), formats.system().large()).mass();
    Mass to = MassText.parse(matcher.group(2) + matcher.group(3), formats.system().large()).mass();
    if (from.compareTo(to) >= 0) {
      throw Refusal.ofInput("buy.problem.does-not-go-from-small", shortened(typed));
    }
    return new SizeGrade(from, to);
  }

  private Optional<LocalDate> date(String typed) {
    if (typed.isEmpty()) {
      return Optional.empty();
    }
    try {
      Matcher dotted = DOTTED.matcher(typed);
      LocalDate date =
          dotted.matches()
              ? LocalDate.of(
                  Integer.parseInt(dotted.group(3)),
                  Integer.parseInt(dotted.group(2)),
                  Integer.parseInt(dotted.group(1)))
              : LocalDate.parse(typed);
      if (date.isAfter(today.plusDays(60)) || date.isBefore(today.minusYears(5))) {
        throw Refusal.ofInput("buy.problem.is-too-far-from-today", shortened(typed));
      }
      return Optional.of(date);
    } catch (DateTimeException e) {
      throw Refusal.ofInput("buy.problem.is-no-date-write-2026", shortened(typed));
    }
  }

  private static String shortened(String text) {
    return text.length() > SHOWN ? text.substring(0, SHOWN) + "…" : text;
  }
}
