package mosaicknife.core.kitchen;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mosaicknife.core.anatomy.Eating;
import mosaicknife.core.anatomy.ReferenceFile;
import mosaicknife.core.anatomy.ReferenceFile.Line;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.Allergen;

/**
 * Something fish lies in, in parts of a base, and how long it may.
 *
 * <p>A wet marinade goes in from outside as the square of the thickness; firm flesh is slower, acid
 * is quicker and spoils sooner. A salt-sweet paste and a dry cure draw water first: they take days
 * for a thick or oily piece, and the more of it lies on the fish the less. Starting estimates of
 * what is taught of curing, with wide windows.
 *
 * @param code the lasting identifier
 * @param name what a cook calls it
 * @param kind marinade or cure
 * @param acid how sour it is
 * @param parts what it is made of, in parts
 * @param grams how much of it a kilogram of fish takes
 * @param raw whether the fish is eaten as it comes out, so that the raw gate counts
 * @param own what the house found of {@link #REFERENCE_MILLIMETRES} of flaky white flesh; empty
 *     while it goes by the estimate
 */
public record Marinade(
    String code,
    String name,
    Kind kind,
    Acid acid,
    List<Part> parts,
    Grams grams,
    boolean raw,
    Optional<Window> own) {

  /** How thick the piece is of which a house says its own times. */
  public static final int REFERENCE_MILLIMETRES = 20;

  /** The longest time of a house's own, in minutes: thirty days. */
  public static final int LONGEST = 43_200;

  private static final String FILE = "marinades.csv";
  private static final double OILY = 1.3;
  private static final double REFERENCE_CURE = 350;
  private static final int SHORTEST = 20;
  private static final int A_DAY = 1440;

  /** Copies the parts and refuses a marinade of nothing. */
  public Marinade {
    Check.text(code, "code");
    Check.text(name, "name");
    Check.notNull(kind, "kind");
    Check.notNull(acid, "acid");
    parts = List.copyOf(parts);
    Check.that(!parts.isEmpty(), "Expected a part");
    Check.notNull(grams, "grams");
    Check.that(
        own.filter(times -> !times.isInOrder()).isEmpty(),
        "Expected the three times one after the other, found ",
        own);
  }

  /** What it does. */
  public enum Kind {
    /** It is wet and flavours. */
    MARINADE(240, 2, A_DAY),
    /** Salt and sweet and thick, such as miso: it flavours and draws water, slowly. */
    PASTE(900, 1.6, 5 * A_DAY),
    /** Dry salt and sugar: it draws water and firms. */
    CURE(720, 1.6, 4 * A_DAY);

    private final double minutes;
    private final double power;
    private final int longest;

    Kind(double minutes, double power, int longest) {
      this.minutes = minutes;
      this.power = power;
      this.longest = longest;
    }
  }

  /** How sour it is. */
  public enum Acid {
    /** Not. */
    NONE(1, 2.2, 4),
    /** A little. */
    MILD(0.75, 2, 3),
    /** It cooks the outside. */
    SHARP(0.35, 1.6, 2.4);

    private final double quicker;
    private final double best;
    private final double spoils;

    Acid(double quicker, double best, double spoils) {
      this.quicker = quicker;
      this.best = best;
      this.spoils = spoils;
    }
  }

  /** What it lies in. */
  public enum Vessel {
    /** A bag with little air. */
    BAG,
    /** A tray, covered. */
    TRAY
  }

  /**
   * One of its parts.
   *
   * @param name what
   * @param parts how many parts, positive
   * @param allergens what it brings in
   */
  public record Part(String name, BigDecimal parts, Set<Allergen> allergens) {

    /** Copies the allergens. */
    public Part {
      Check.text(name, "name");
      Check.that(parts.signum() > 0, "Expected parts above 0, found ", parts);
      allergens = Set.copyOf(allergens);
    }
  }

  /**
   * How much of it a kilogram of fish takes.
   *
   * @param bag grams in a bag, from 1 to 5000
   * @param tray grams in a tray, from 1 to 5000
   */
  public record Grams(int bag, int tray) {

    /** Refuses what covers no fish, and what drowns it. */
    public Grams {
      Check.inRange(bag, 1, 5000, "grams in a bag");
      Check.inRange(tray, 1, 5000, "grams in a tray");
    }

    private int in(Vessel vessel) {
      return vessel == Vessel.BAG ? bag : tray;
    }
  }

  /**
   * How long it may lie.
   *
   * @param ready minutes until it is ready, at the least
   * @param best minutes until which it is at its best
   * @param spoiled minutes after which it is spoiled
   */
  public record Window(int ready, int best, int spoiled) {

    private static Window read(String text) {
      int[] minutes = Arrays.stream(text.split("/", -1)).mapToInt(Integer::parseInt).toArray();
      return new Window(minutes[0], minutes[1], minutes[2]);
    }

    /**
     * Returns whether its times come one after the other, within thirty days.
     *
     * @return false for what cannot be
     */
    public boolean isInOrder() {
      return 0 < ready && ready <= best && best <= spoiled && spoiled <= LONGEST;
    }

    /**
     * Returns what is left of it.
     *
     * @param passed how long it lies already, in minutes, from 0
     * @return the same times from now on; ready at once if it is, and below 0 where it is past
     */
    public Window after(int passed) {
      return new Window(Math.max(0, ready - passed), best - passed, spoiled - passed);
    }
  }

  /**
   * Works out how long a piece may lie.
   *
   * @param millimetres its thickness at the thickest point, from 2 to 200
   * @param eating how firm and how oily its flesh is
   * @return the three times: the house's own for such a piece, else the estimate
   */
  public Window window(double millimetres, Eating eating) {
    double times = times(millimetres, eating);
    return own.map(
            found ->
                new Window(
                    minutes(found.ready * times),
                    minutes(found.best * times),
                    minutes(found.spoiled * times)))
        .orElseGet(() -> estimate(millimetres, eating));
  }

  /**
   * Estimates how long a piece may lie, whatever the house found.
   *
   * @param millimetres its thickness at the thickest point, from 2 to 200
   * @param eating how firm and how oily its flesh is
   * @return the three times
   */
  public Window estimate(double millimetres, Eating eating) {
    double salt = kind == Kind.CURE ? Math.sqrt(REFERENCE_CURE / grams.bag) : 1;
    int ready = minutes(kind.minutes * times(millimetres, eating) * salt * acid.quicker);
    return new Window(ready, minutes(ready * acid.best), minutes(ready * acid.spoils));
  }

  /** How many times as long as the piece of reference. */
  private double times(double millimetres, Eating eating) {
    Check.inRange(millimetres, 2, 200, "thickness in millimetres");
    double slower =
        switch (eating.texture()) {
          case SOFT -> 0.8;
          case FLAKY -> 1;
          case FIRM -> 1.15;
          case MEATY -> 1.3;
        };
    boolean wet = kind == Kind.MARINADE;
    double oily = !wet && eating.flesh() == Eating.Flesh.OILY ? OILY : 1;
    return Math.pow(millimetres / REFERENCE_MILLIMETRES, kind.power) * slower * oily;
  }

  /**
   * Returns whether a piece is too thick for it: its outside spoils before it is through.
   *
   * @param window its times
   * @return true if it takes longer than such a one may
   */
  public boolean isTooThick(Window window) {
    return window.ready() > kind.longest;
  }

  private static int minutes(double exact) {
    return (int) Math.max(SHORTEST, Math.round(exact / 5) * 5);
  }

  /** How a piece stands in it. */
  public enum Standing {
    /** Not yet. */
    TOO_SHORT,
    /** Ready, and at its best. */
    READY,
    /** Longer than is good for it. */
    PAST_BEST,
    /** Too long: it is spoiled. */
    SPOILED
  }

  /**
   * Says how a piece stands.
   *
   * @param window its times
   * @param minutes how long it lies in it, from 0
   * @return the standing
   */
  public static Standing standing(Window window, long minutes) {
    if (minutes < window.ready()) {
      return Standing.TOO_SHORT;
    }
    return minutes <= window.best()
        ? Standing.READY
        : minutes <= window.spoiled() ? Standing.PAST_BEST : Standing.SPOILED;
  }

  /**
   * Returns how much of each part some fish takes.
   *
   * @param fish the fish, positive
   * @param vessel what it lies in
   * @return the masses, to the gram, in the order of the recipe
   */
  public Map<Part, Mass> amounts(Mass fish, Vessel vessel) {
    Check.that(fish.isPositive(), "Expected fish above 0 g, found ", fish);
    BigDecimal all = fish.inKilograms().multiply(BigDecimal.valueOf(grams.in(vessel)));
    BigDecimal sum = parts.stream().map(Part::parts).reduce(BigDecimal.ZERO, BigDecimal::add);
    Map<Part, Mass> amounts = new LinkedHashMap<>();
    for (Part part : parts) {
      BigDecimal grams = all.multiply(part.parts()).divide(sum, MathContext.DECIMAL64);
      amounts.put(part, Mass.ofGrams(grams.setScale(0, RoundingMode.HALF_EVEN).longValueExact()));
    }
    return amounts;
  }

  /**
   * Returns what guests are told of.
   *
   * @return fish, and what the parts bring in
   */
  public Set<Allergen> allergens() {
    Set<Allergen> all = java.util.EnumSet.of(Allergen.FISH);
    parts.forEach(part -> all.addAll(part.allergens()));
    return all;
  }

  /**
   * Reads the shipped ones.
   *
   * @return the marinades by code, in the order of the file
   * @throws mosaicknife.core.anatomy.ReferenceDataException if a line is not understood
   */
  public static Map<String, Marinade> shipped() {
    return all(ReferenceFile.open(Marinade.class, FILE));
  }

  /**
   * Reads one of the house, written as a line of the file.
   *
   * @param text the line
   * @return the marinade
   * @throws mosaicknife.core.anatomy.ReferenceDataException if it is not understood
   */
  public static Marinade read(String text) {
    return all(ReferenceFile.of(FILE, text)).values().iterator().next();
  }

  /**
   * Writes it as a line of the file.
   *
   * @return the line; no name in it has a semicolon, and none of a part a comma or slash
   */
  public String write() {
    return String.join(
        ";",
        code,
        name,
        kind.name(),
        acid.name(),
        parts.stream()
            .map(
                part ->
                    String.join(
                        "/",
                        part.name(),
                        part.parts().toPlainString(),
                        Allergen.write(part.allergens())))
            .collect(Collectors.joining(",")),
        "" + grams.bag,
        "" + grams.tray,
        raw ? "RAW" : "",
        own.map(one -> one.ready + "/" + one.best + "/" + one.spoiled).orElse(""));
  }

  private static Map<String, Marinade> all(ReferenceFile file) {
    Map<String, Marinade> all = new LinkedHashMap<>();
    for (Line line : file.lines()) {
      Marinade one =
          new Marinade(
              line.field(0),
              line.field(1),
              line.read(2, Kind::valueOf),
              line.read(3, Acid::valueOf),
              parts(line),
              new Grams(line.read(5, Integer::valueOf), line.read(6, Integer::valueOf)),
              line.field(7).equals("RAW"),
              line.has(8) ? Optional.of(line.read(8, Window::read)) : Optional.empty());
      if (all.put(one.code(), one) != null) {
        throw line.problem("a second one of this code");
      }
    }
    return all;
  }

  private static List<Part> parts(Line line) {
    List<Part> parts = new ArrayList<>();
    for (String text : line.list(4)) {
      String[] fields = text.split("/", -1);
      if (fields.length != 3 || fields[2].isBlank()) {
        throw line.problem("'%s' does not say its allergens".formatted(text));
      }
      parts.add(
          new Part(
              fields[0], new BigDecimal(fields[1]), line.read(4, all -> Allergen.read(fields[2]))));
    }
    return parts;
  }
}
