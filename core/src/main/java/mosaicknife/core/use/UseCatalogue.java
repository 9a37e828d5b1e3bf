package mosaicknife.core.use;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Eating;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.ReferenceFile;
import mosaicknife.core.anatomy.ReferenceFile.Line;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.FoodState;
import mosaicknife.core.safety.FreshnessGroup;
import mosaicknife.core.use.FishUse.Caution;
import mosaicknife.core.use.FishUse.Equipment;
import mosaicknife.core.use.FishUse.Measure;
import mosaicknife.core.use.FishUse.Need;
import mosaicknife.core.use.FishUse.Unit;

/** The uses that are shipped: starting estimates, to be replaced by the house's own. */
public final class UseCatalogue {

  private static final String NONE = "NONE";

  private static final String FILE = "uses.csv";
  private static final Map<Eating.Flesh, Fraction> FAT_OF_FLESH =
      Map.of(
          Eating.Flesh.WHITE, Fraction.of(1, 100),
          Eating.Flesh.MEDIUM, Fraction.of(3, 100),
          Eating.Flesh.OILY, Fraction.of(12, 100));
  private static final Map<String, Fraction> FAT_OF_KIND =
      Map.of(
          "belly-fat", Fraction.of(70, 100),
          "skin-fat", Fraction.of(70, 100),
          "belly-front", Fraction.of(35, 100));

  // a tuna keeps its fat in the belly: what is trimmed off the loins is lean
  private static final Fraction TUNA_MEAT = Fraction.of(3, 100);
  private static final Fraction MOSTLY = Fraction.of(1, 2);

  private UseCatalogue() {}

  /**
   * Reads the shipped uses.
   *
   * @param catalogue the kinds of part they may be made of
   * @return the uses by code, in the order of the file
   * @throws mosaicknife.core.anatomy.ReferenceDataException if a line is not understood
   */
  public static Map<String, FishUse> shipped(Catalogue catalogue) {
    Map<String, FishUse> uses = new LinkedHashMap<>();
    for (Line line : ReferenceFile.open(UseCatalogue.class, FILE).lines()) {
      FishUse use = read(line);
      for (String kind : use.kinds()) {
        if (catalogue.findKind(kind).isEmpty()) {
          throw line.problem("no kind of part '%s'".formatted(kind));
        }
      }
      if (uses.put(use.code(), use) != null) {
        throw line.problem("a second use of this code");
      }
    }
    return uses;
  }

  /**
   * Reads a use of the house, written as a line of the file.
   *
   * @param text the line
   * @return the use
   * @throws mosaicknife.core.anatomy.ReferenceDataException if it is not understood
   */
  public static FishUse read(String text) {
    return read(ReferenceFile.of(FILE, text).lines().get(0));
  }

  /**
   * Writes a use as a line of the file.
   *
   * @param use the use; no name in it has a semicolon, a comma or a slash
   * @return the line
   */
  public static String write(FishUse use) {
    return String.join(
        ";",
        use.code(),
        use.name(),
        use.purpose().name(),
        String.join(",", use.kinds().stream().sorted().toList()),
        names(use.needs()),
        use.oldest().isPresent() ? "" + use.oldest().getAsInt() : "",
        use.lightest().map(UseCatalogue::grams).orElse(""),
        write(use.measure()),
        use.unit().name(),
        "" + use.perPlate(),
        use.lines().stream().map(RecipeLine::write).collect(Collectors.joining(",")),
        percent(use.loss()),
        "" + use.work().start(),
        use.work().each().toPlainString(),
        use.work().equipment().name(),
        use.work().load().toPlainString(),
        use.value().toPlainString(),
        (use.raw() ? "RAW/" : "COOKED/") + use.kept().state(),
        "" + use.keeps(),
        names(use.cautions()),
        use.fat().map(UseCatalogue::percent).orElse(""));
  }

  private static String write(Measure measure) {
    if (measure instanceof Measure.Finished finished) {
      return "FINISHED " + grams(finished.mass());
    }
    return measure instanceof Measure.OfPart part
        ? "PART " + grams(part.mass())
        : "PIECE " + ((Measure.Pieces) measure).count();
  }

  private static String names(Set<? extends Enum<?>> all) {
    return all.stream().map(Enum::name).sorted().collect(Collectors.joining(","));
  }

  private static String grams(Mass mass) {
    return "" + mass.milligrams() / 1000;
  }

  private static String percent(Fraction share) {
    return share
        .toDecimal(6, java.math.RoundingMode.HALF_EVEN)
        .movePointRight(2)
        .stripTrailingZeros()
        .toPlainString();
  }

  private static FishUse read(Line line) {
    return new FishUse(
        line.field(0),
        line.field(1),
        line.read(2, Purpose::valueOf),
        Set.copyOf(line.list(3)),
        set(line, 4, Need.class),
        line.field(5).isEmpty() ? OptionalInt.empty() : OptionalInt.of(whole(line, 5)),
        line.field(6).isEmpty()
            ? Optional.empty()
            : Optional.of(line.read(6, text -> Mass.ofGrams(Long.parseLong(text)))),
        line.read(7, UseCatalogue::measure),
        line.read(8, Unit::valueOf),
        whole(line, 9),
        line.read(
            10,
            text ->
                line.list(10).stream().map(one -> RecipeLine.read(one.split("/", -1))).toList()),
        line.read(11, UseCatalogue::percent),
        new FishUse.Work(
            whole(line, 12),
            line.read(13, BigDecimal::new),
            line.read(14, Equipment::valueOf),
            line.read(15, BigDecimal::new)),
        line.read(16, BigDecimal::new),
        kept(line),
        set(line, 19, Caution.class),
        line.field(20).isEmpty()
            ? Optional.empty()
            : Optional.of(line.read(20, UseCatalogue::percent)));
  }

  /** A house's older line says only how it is served; then the equipment tells the state. */
  private static FishUse.Kept kept(Line line) {
    String[] how = line.field(17).split("/", 2);
    FoodState state =
        how.length > 1
            ? line.read(17, text -> FoodState.valueOf(how[1]))
            : switch (line.read(14, Equipment::valueOf)) {
              case FREEZER -> FoodState.FROZEN;
              case KETTLE -> FoodState.COOKED;
              case SMOKER -> FoodState.HOT_SMOKED;
              case DRYER -> FoodState.DRIED;
              default -> FoodState.RAW;
            };
    return new FishUse.Kept(how[0].equals("RAW"), state, whole(line, 18));
  }

  private static int whole(Line line, int field) {
    return line.read(field, Integer::valueOf);
  }

  private static Fraction percent(String text) {
    return Fraction.of(new BigDecimal(text).movePointLeft(2));
  }

  private static Measure measure(String text) {
    String[] words = text.split(" ", 2);
    long figure = Long.parseLong(words[1]);
    return switch (words[0]) {
      case "FINISHED" -> new Measure.Finished(Mass.ofGrams(figure));
      case "PART" -> new Measure.OfPart(Mass.ofGrams(figure));
      case "PIECE" -> new Measure.Pieces((int) figure);
      default -> throw new IllegalArgumentException(text);
    };
  }

  private static <E extends Enum<E>> Set<E> set(Line line, int field, Class<E> type) {
    Set<E> all = EnumSet.noneOf(type);
    for (String name : line.list(field)) {
      if (!name.equals(NONE)) {
        all.add(line.read(field, text -> Enum.valueOf(type, name)));
      }
    }
    return all;
  }

  /**
   * Returns about how fat a part is.
   *
   * @param kind its kind
   * @param species the fish
   * @return its share of fat; a starting estimate
   */
  public static Fraction fat(PartKind kind, Species species) {
    boolean tuna = FreshnessGroup.of(species) == FreshnessGroup.TUNA;
    Fraction meat = tuna ? TUNA_MEAT : FAT_OF_FLESH.get(species.eating().flesh());
    return FAT_OF_KIND.getOrDefault(kind.code(), meat);
  }

  /**
   * Returns about how fat something on hand is.
   *
   * @param part the part
   * @return its share of fat; a starting estimate
   */
  public static Fraction fat(OnHand part) {
    return fat(part.kind(), part.species());
  }

  /**
   * Returns whether a part is cut off as fat and not as meat.
   *
   * @param kind its kind
   * @return true for fat of belly and skin
   */
  public static boolean isFat(PartKind kind) {
    return FAT_OF_KIND.getOrDefault(kind.code(), Fraction.ZERO).compareTo(MOSTLY) > 0;
  }

  /**
   * Returns how much fat of belly or skin a batch takes: its own share is that of all its meat.
   *
   * @param meat the meat by what it is of
   * @param wanted the share that is wanted, below that of the fat
   * @return the mass to the gram; zero if the meat has enough
   */
  public static Mass fatToAdd(Map<OnHand.Kind, Mass> meat, Fraction wanted) {
    Mass whole = Mass.total(meat.values());
    Fraction own = Fraction.ZERO;
    for (Map.Entry<OnHand.Kind, Mass> one : meat.entrySet()) {
      Fraction share = one.getValue().dividedBy(whole);
      own = own.plus(fat(one.getKey().kind(), one.getKey().species()).multipliedBy(share));
    }
    return Batch.fat(whole, own, wanted, FAT_OF_KIND.get("belly-fat"));
  }

  /**
   * Returns the uses something qualifies for.
   *
   * @param uses the uses of the house
   * @param part the part
   * @return those without a reason against them
   */
  public static List<FishUse> fitting(Iterable<FishUse> uses, OnHand part) {
    List<FishUse> fitting = new ArrayList<>();
    for (FishUse use : uses) {
      if (Qualification.qualifies(use, part)) {
        fitting.add(use);
      }
    }
    return fitting;
  }
}
