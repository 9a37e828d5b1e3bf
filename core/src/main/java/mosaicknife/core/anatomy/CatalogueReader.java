package mosaicknife.core.anatomy;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mosaicknife.core.anatomy.Drawing.Place;
import mosaicknife.core.anatomy.Drawing.Region;
import mosaicknife.core.anatomy.Drawing.View;
import mosaicknife.core.anatomy.ReferenceFile.Line;
import mosaicknife.core.anatomy.Species.MassRange;
import mosaicknife.core.anatomy.Species.Trait;
import mosaicknife.core.quantity.Mass;

/** Reads the shipped data files into a {@link Catalogue}; the files explain their own columns. */
final class CatalogueReader {

  private final Map<String, PartKind> kinds = new LinkedHashMap<>();
  private final Map<String, BodyPlan> plans = new LinkedHashMap<>();
  private final Map<String, List<Share>> usualShares = new LinkedHashMap<>();
  private final Map<String, List<Share>> shares = new LinkedHashMap<>();
  private final Map<String, List<String>> moreNames = new LinkedHashMap<>();
  private final Map<String, Species> species = new LinkedHashMap<>();

  private CatalogueReader() {}

  static Catalogue read() {
    CatalogueReader reader = new CatalogueReader();
    ReferenceFile.open(CatalogueReader.class, "part-kinds.csv").lines().forEach(reader::readKind);
    reader.readPlans();
    ReferenceFile.open(CatalogueReader.class, "plan-norms.csv")
        .lines()
        .forEach(reader::readUsualShare);
    List<Line> fish = ReferenceFile.open(CatalogueReader.class, "species.csv").lines();
    Map<String, BodyPlan> planOf =
        fish.stream().collect(Collectors.toMap(l -> l.field(0), reader::planOf));
    ReferenceFile.open(CatalogueReader.class, "norms.csv")
        .lines()
        .forEach(line -> reader.readShare(line, planOf));
    ReferenceFile.open(CatalogueReader.class, "market-names.csv")
        .lines()
        .forEach(
            line -> {
              if (!planOf.containsKey(line.field(0))) {
                throw line.problem("expected a species, one of " + planOf.keySet());
              }
              reader
                  .moreNames
                  .computeIfAbsent(line.field(0), code -> new ArrayList<>())
                  .addAll(line.list(1));
            });
    fish.forEach(reader::readSpecies);
    List<RefusedFish> refused =
        ReferenceFile.open(CatalogueReader.class, "refused.csv").lines().stream()
            .map(
                line ->
                    new RefusedFish(
                        line.list(0).get(0),
                        Set.copyOf(line.list(0)),
                        Set.copyOf(line.list(1)),
                        Set.copyOf(line.list(2)),
                        line.field(3)))
            .toList();
    return new Catalogue(reader.kinds, reader.plans, reader.usualShares, reader.species, refused);
  }

  private void readKind(Line line) {
    PartKind kind =
        new PartKind(
            line.field(0),
            line.field(1),
            line.read(2, PartClass::valueOf),
            line.read(3, Stage::valueOf),
            line.field(4),
            line.field(5),
            line.list(6),
            line.list(7).stream().map(PartKind.Trait::valueOf).collect(Collectors.toSet()));
    if (!kind.cutFrom().isEmpty() && kind.code().equals(kind.cutFrom())) {
      throw line.problem("expected a part cut out of another");
    }
    kinds.put(kind.code(), kind);
  }

  private void readPlans() {
    PlanBuilder plan = null;
    for (Line line : ReferenceFile.open(CatalogueReader.class, "body-plans.csv").lines()) {
      if (line.field(0).equals("plan")) {
        finish(plan);
        plan = new PlanBuilder(line);
      } else if (plan == null) {
        throw line.problem("expected a plan first");
      } else {
        plan.add(line);
      }
    }
    finish(plan);
  }

  private void finish(PlanBuilder plan) {
    if (plan != null) {
      plans.put(plan.head.field(1), plan.build());
    }
  }

  private BodyPlan planOf(Line line) {
    BodyPlan plan = plans.get(line.field(3));
    if (plan == null) {
      throw line.problem("expected a body plan, one of " + plans.keySet());
    }
    return plan;
  }

  private void readUsualShare(Line line) {
    BodyPlan plan = plans.get(line.field(0));
    if (plan == null) {
      throw line.problem("expected a body plan, one of " + plans.keySet());
    }
    usualShares.computeIfAbsent(plan.code(), code -> new ArrayList<>()).add(share(line, plan));
  }

  private void readShare(Line line, Map<String, BodyPlan> planOf) {
    BodyPlan plan = planOf.get(line.field(0));
    if (plan == null) {
      throw line.problem("expected a species, one of " + planOf.keySet());
    }
    shares.computeIfAbsent(line.field(0), code -> new ArrayList<>()).add(share(line, plan));
  }

  private static Share share(Line line, BodyPlan plan) {
    PartSlot slot =
        plan.findSlot(line.field(1))
            .orElseThrow(() -> line.problem("expected a slot of plan " + plan.code()));
    return new Share(slot, line.read(2, Double::parseDouble), line.read(3, Double::parseDouble));
  }

  private void readSpecies(Line line) {
    String code = line.field(0);
    BodyPlan plan = planOf(line);
    Eating eating =
        new Eating(
            line.read(11, text -> word(text, Eating.Flesh::valueOf)),
            line.read(12, text -> word(text, Eating.Texture::valueOf)),
            line.read(13, text -> word(text, Eating.Flavour::valueOf)),
            line.read(15, text -> word(text, Eating.Skin::valueOf)),
            line.read(16, text -> word(text, Eating.Scales::valueOf)),
            line.read(17, Double::parseDouble),
            line.read(18, Mass::ofKilograms),
            line.read(10, Double::parseDouble));
    species.put(
        code,
        new Species(
            code,
            line.field(1),
            line.field(2),
            Stream.concat(line.list(4).stream(), moreNames.getOrDefault(code, List.of()).stream())
                .map(MarketName::parse)
                .distinct()
                .toList(),
            plan,
            line.list(14).stream()
                .map(text -> word(text, Trait::valueOf))
                .collect(Collectors.toSet()),
            eating,
            new MassRange(line.read(5, Mass::ofKilograms), line.read(6, Mass::ofKilograms)),
            line.list(20).stream().map(SizeGrade::parseKilograms).toList(),
            line.read(19, Season::parse),
            norms(line, plan)));
  }

  /** A fish with norms of its own has them; the others are made from their three figures. */
  private List<Share> norms(Line line, BodyPlan plan) {
    List<Share> own = new ArrayList<>(shares.getOrDefault(line.field(0), List.of()));
    if (!own.isEmpty()) {
      own.sort(Comparator.comparingInt(share -> share.slot().number()));
      return own;
    }
    StartingFigures figures =
        new StartingFigures(
            line.read(7, Double::parseDouble),
            line.read(8, Double::parseDouble),
            line.read(9, Double::parseDouble));
    return figures.applyTo(usualShares.get(plan.code()), 1);
  }

  private static <T> T word(String text, Function<String, T> reader) {
    return reader.apply(text.toUpperCase(Locale.ROOT).replace('-', '_'));
  }

  /** Collects the lines of one plan. */
  private final class PlanBuilder {

    private final Line head;
    private final List<PartSlot> slots = new ArrayList<>();
    private final Set<BodyPlan.Trait> traits = EnumSet.noneOf(BodyPlan.Trait.class);
    private Thickness thickness;
    private Work work;
    private final List<ViewBuilder> views = new ArrayList<>();

    private PlanBuilder(Line head) {
      this.head = head;
    }

    private void add(Line line) {
      switch (line.field(0)) {
        case "slot" -> slots.add(slot(line));
        case "trait" -> traits.add(line.read(1, BodyPlan.Trait::valueOf));
        case "work" ->
            work = new Work(line.read(1, Double::parseDouble), line.read(2, Double::parseDouble));
        case "thick" -> thickness = line.read(1, PlanBuilder::thickness);
        case "view" -> views.add(new ViewBuilder(line));
        default -> {
          if (views.isEmpty()) {
            throw line.problem("expected a slot or a view");
          }
          views.get(views.size() - 1).add(line);
        }
      }
    }

    private static Thickness thickness(String text) {
      return new Thickness(Arrays.stream(text.split(" +")).map(Double::valueOf).toList());
    }

    private PartSlot slot(Line line) {
      PartKind kind = kinds.get(line.field(1));
      if (kind == null) {
        throw line.problem("expected a part kind");
      }
      Side side = line.read(2, Side::valueOf);
      String code =
          side == Side.NONE
              ? kind.code()
              : kind.code() + "-" + side.name().toLowerCase(Locale.ROOT).replace('_', '-');
      return new PartSlot(code, slots.size() + 1, kind, side, line.read(3, Purpose::valueOf));
    }

    private BodyPlan build() {
      Drawing drawing =
          new Drawing(
              head.read(4, Double::parseDouble),
              head.read(5, Double::parseDouble),
              views.stream().map(ViewBuilder::build).toList());
      return new BodyPlan(
          head.field(1), head.field(2), head.field(3), slots, thickness, work, traits, drawing);
    }
  }

  /** Collects the lines of one view; a view may be moved, scaled and turned upside down. */
  private static final class ViewBuilder {

    private final String name;
    private final Place place;
    private final List<Region> regions = new ArrayList<>();
    private final List<Shape> marks = new ArrayList<>();
    private Shape contour;
    private Point eye;

    private ViewBuilder(Line line) {
      name = line.field(1);
      place =
          new Place(
              line.read(2, Double::parseDouble),
              line.read(3, Double::parseDouble),
              line.read(4, Double::parseDouble));
    }

    private void add(Line line) {
      switch (line.field(0)) {
        case "contour" -> contour = new Shape(points(line, 1), true, true);
        case "region" -> regions.add(region(line, false, true));
        case "curved" -> regions.add(region(line, true, true));
        case "fin" -> regions.add(region(line, true, false));
        case "mark" -> marks.add(new Shape(points(line, 1), false, true));
        case "bones" -> marks.addAll(bones(line));
        case "eye" -> eye = points(line, 1).get(0);
        default -> throw line.problem("expected contour, region, curved, fin, mark, bones or eye");
      }
    }

    private Region region(Line line, boolean smooth, boolean clipped) {
      return new Region(
          line.field(1), new Shape(points(line, 3), true, smooth), clipped, points(line, 2).get(0));
    }

    /** Bones: from x, to x, along y, how many, how long at the first, how long at the last. */
    private List<Shape> bones(Line line) {
      double[] numbers =
          Arrays.stream(line.field(1).split(" ")).mapToDouble(Double::parseDouble).toArray();
      int count = (int) numbers[3];
      List<Shape> bones = new ArrayList<>();
      for (int i = 0; i < count; i++) {
        double t = i / (double) (count - 1);
        double x = numbers[0] + t * (numbers[1] - numbers[0]);
        double length = numbers[4] + t * (numbers[5] - numbers[4]);
        bones.add(
            new Shape(
                List.of(
                    placed(x + length / 3, numbers[2] - length),
                    placed(x, numbers[2]),
                    placed(x + length / 3, numbers[2] + length)),
                false,
                false));
      }
      return bones;
    }

    private List<Point> points(Line line, int field) {
      return line.read(
          field,
          text ->
              Arrays.stream(text.split(" +"))
                  .map(pair -> pair.split(","))
                  .map(xy -> placed(Double.parseDouble(xy[0]), Double.parseDouble(xy[1])))
                  .toList());
    }

    private Point placed(double x, double y) {
      return place.toSheet(x, y);
    }

    private View build() {
      return new View(name, contour, regions, marks, Optional.ofNullable(eye), place);
    }
  }
}
