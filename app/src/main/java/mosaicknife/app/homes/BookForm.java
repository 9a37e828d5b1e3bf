package mosaicknife.app.homes;

import java.io.Serializable;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.RecipeText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Typed;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.safety.FoodState;
import mosaicknife.core.use.FishUse;
import mosaicknife.core.use.FishUse.Caution;
import mosaicknife.core.use.FishUse.Equipment;
import mosaicknife.core.use.FishUse.Measure;
import mosaicknife.core.use.FishUse.Need;
import mosaicknife.core.use.FishUse.Unit;

/**
 * A use as typed.
 *
 * @param name what a cook calls it
 * @param purpose second plate, pot or hold
 * @param kinds the kinds of part, one a line
 * @param needs what a part must be or have
 * @param oldest the most days since landing
 * @param lightest the lightest piece
 * @param measure how units are counted
 * @param each how much one unit is, a mass or a number of pieces
 * @param unit the word for a unit
 * @param perPlate how many make a plate
 * @param lines what goes in: name, percent, price, allergens; one a line
 * @param loss percent lost
 * @param start minutes to set up
 * @param minutes minutes a unit
 * @param equipment what it needs
 * @param load how much of that a unit takes
 * @param value what a unit is worth
 * @param raw anything if the result is raw, cured or underdone
 * @param keeps for how many days it keeps
 * @param cautions what to be careful about
 * @param fat the percent of fat that is wanted
 */
record BookForm(
    String name,
    String purpose,
    String kinds,
    List<String> needs,
    String oldest,
    String lightest,
    String measure,
    String each,
    String unit,
    String perPlate,
    String lines,
    String loss,
    String start,
    String minutes,
    String equipment,
    String load,
    String value,
    String raw,
    String state,
    String keeps,
    List<String> cautions,
    String fat)
    implements Serializable {

  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);
  private static final BigDecimal MOST = BigDecimal.valueOf(100_000);

  /** Puts an empty list where nothing was ticked. */
  BookForm {
    needs = needs == null ? List.of() : new ArrayList<>(needs);
    cautions = cautions == null ? List.of() : new ArrayList<>(cautions);
  }

  static BookForm of(FishUse use, Catalogue catalogue, Formats formats) {
    Measure measure = use.measure();
    return new BookForm(
        use.name(),
        use.purpose().name(),
        use.kinds().stream()
            .sorted()
            .map(code -> catalogue.findKind(code).map(PartKind::name).orElse(code))
            .collect(Collectors.joining("\n")),
        use.needs().stream().map(Enum::name).toList(),
        use.oldest().isPresent() ? "" + use.oldest().getAsInt() : "",
        use.lightest().map(formats::mass).orElse(""),
        measure instanceof Measure.Finished
            ? "FINISHED"
            : measure instanceof Measure.OfPart ? "PART" : "PIECE",
        measure instanceof Measure.Finished finished
            ? formats.mass(finished.mass())
            : measure instanceof Measure.OfPart part
                ? formats.mass(part.mass())
                : "" + ((Measure.Pieces) measure).count(),
        use.unit().name(),
        "" + use.perPlate(),
        use.lines().stream().map(RecipeText::write).collect(Collectors.joining("\n")),
        RecipeText.percent(use.loss()),
        "" + use.work().start(),
        use.work().each().toPlainString(),
        use.work().equipment().name(),
        use.work().load().toPlainString(),
        use.value().toPlainString(),
        use.raw() ? "yes" : "",
        use.kept().state().name(),
        "" + use.keeps(),
        use.cautions().stream().map(Enum::name).toList(),
        use.fat().map(RecipeText::percent).orElse(""));
  }

  /** The use as understood. */
  FishUse understood(String code, Catalogue catalogue, Formats formats) {
    String called = RecipeText.name(name, "name");
    Fraction lost = share(loss, "loss", BigDecimal.ZERO, BigDecimal.valueOf(95));
    Optional<Fraction> wanted =
        fat.isBlank()
            ? Optional.empty()
            : Optional.of(share(fat, "fat", BigDecimal.ZERO, BigDecimal.valueOf(60)));
    return new FishUse(
        code,
        called,
        Typed.choice(Purpose.values(), purpose)
            .filter(p -> p == Purpose.SECOND_PLATE || p == Purpose.POT || p == Purpose.HOLD)
            .orElseThrow(() -> Refusal.ofField("purpose", "shared.problem.not-chosen")),
        kinds(catalogue),
        set(Need.values(), needs, Need.class),
        oldest.isBlank()
            ? OptionalInt.empty()
            : OptionalInt.of(Typed.count(oldest, 0, 30, "oldest")),
        lightest.isBlank() ? Optional.empty() : Optional.of(mass(lightest, formats, "lightest")),
        measure(formats),
        Typed.choice(Unit.values(), unit)
            .orElseThrow(() -> Refusal.ofField("unit", "shared.problem.not-chosen")),
        Typed.count(perPlate, 1, 1000, "perPlate"),
        RecipeText.lines(lines, "lines", line -> RecipeText.line(line, "lines")),
        lost,
        new FishUse.Work(
            Typed.count(start, 0, 1440, "start"),
            Typed.decimal(minutes, 2, BigDecimal.ZERO, BigDecimal.valueOf(600), "minutes"),
            Typed.choice(Equipment.values(), equipment)
                .orElseThrow(() -> Refusal.ofField("equipment", "shared.problem.not-chosen")),
            Typed.decimal(load, 2, BigDecimal.ZERO, MOST, "load")),
        Typed.decimal(value, 2, BigDecimal.ZERO, MOST, "value"),
        kept(),
        set(Caution.values(), cautions, Caution.class),
        wanted);
  }

  /** As somebody would make it who ticked nothing: raw, and cooked when it is served. */
  private FishUse.Kept kept() {
    boolean isRaw = raw != null && !raw.isEmpty();
    FoodState made = Typed.choice(FoodState.values(), state).orElse(FoodState.RAW);
    if (isRaw && made.isHeated()) {
      throw Refusal.ofField("state", "homes.problem.raw-and-cooked");
    }
    return new FishUse.Kept(isRaw, made, Typed.count(keeps, 0, 365, "keeps"));
  }

  private Set<String> kinds(Catalogue catalogue) {
    Set<String> codes = new LinkedHashSet<>();
    for (String typed : kinds.split("[\\n,]")) {
      String text = typed.strip();
      if (!text.isEmpty()) {
        PartKind kind =
            catalogue.kinds().stream()
                .filter(k -> k.name().equalsIgnoreCase(text) || k.code().equalsIgnoreCase(text))
                .findFirst()
                .orElseThrow(() -> Refusal.ofField("kinds", "homes.problem.no-such-kind", text));
        if (!kind.mayBeFor(Purpose.POT)) {
          throw Refusal.ofField("kinds", "homes.problem.kind-has-no-use", kind.name());
        }
        codes.add(kind.code());
      }
    }
    if (codes.isEmpty()) {
      throw Refusal.ofField("kinds", "homes.problem.no-kind");
    }
    return codes;
  }

  private Measure measure(Formats formats) {
    if (measure.equals("PIECE")) {
      return new Measure.Pieces(Typed.count(each, 1, 100, "each"));
    }
    Mass mass = mass(each, formats, "each");
    return measure.equals("PART") ? new Measure.OfPart(mass) : new Measure.Finished(mass);
  }

  private static Mass mass(String typed, Formats formats, String field) {
    Mass mass = MassText.parse(typed, formats.system().small()).mass();
    if (mass.compareTo(Mass.ofGrams(1)) < 0) {
      throw Refusal.ofField(field, "homes.problem.no-grams");
    }
    // whole grams, as the book is written
    return Mass.ofGrams(Math.round(mass.inGrams().doubleValue()));
  }

  private static Fraction share(String typed, String field, BigDecimal from, BigDecimal to) {
    return Fraction.of(
        Typed.percent(typed, from, to, field).divide(HUNDRED, java.math.MathContext.DECIMAL64));
  }

  private static <E extends Enum<E>> Set<E> set(E[] values, List<String> ticked, Class<E> type) {
    Set<E> all = EnumSet.noneOf(type);
    Arrays.stream(values).filter(one -> ticked.contains(one.name())).forEach(all::add);
    return all;
  }
}
