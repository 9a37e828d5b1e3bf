package mosaicknife.app.homes;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.use.Batch;
import mosaicknife.core.use.Hand;
import mosaicknife.core.use.OnHand;
import mosaicknife.core.use.UsePlan;
import mosaicknife.core.use.UsePlan.Grams;
import mosaicknife.core.use.UsePlan.Left;
import mosaicknife.core.use.UsePlan.Making;

/**
 * The flow from parts to what they become, as wide as the grams.
 *
 * @param width the width of the drawing
 * @param height its height
 * @param parts the parts on the left
 * @param uses what they become, on the right
 * @param ribbons what flows between
 */
record FlowPicture(int width, int height, List<Node> parts, List<Node> uses, List<Ribbon> ribbons) {

  private static final int WIDTH = 1180;
  private static final int LEFT = 330;
  private static final int RIGHT = 760;
  private static final int BAR = 12;
  private static final int GAP = 10;
  private static final int LEAST = 40;
  private static final int TALL = 420;
  private static final int MOST_DRAWN = 40;

  /** A part or what becomes of some. */
  record Node(int x, double y, double height, String style, String title, String line) {}

  /** Grams that flow from one to the other. */
  record Ribbon(String path, String style, String title) {}

  /** What something is made of, or what is left: grams of a part, or of the others together. */
  private record Target(String style, String title, String line, Map<Optional<OnHand>, Mass> from) {

    Mass mass() {
      return Mass.total(from.values());
    }
  }

  static FlowPicture of(
      UsePlan plan, Map<Long, String> venues, Optional<ExactMoney> labour, Formats formats) {
    Map<OnHand, Mass> weights = new LinkedHashMap<>();
    for (Making making : plan.makings()) {
      making.from().forEach(grams -> weights.merge(grams.part(), grams.mass(), Mass::plus));
    }
    plan.left().forEach(left -> weights.merge(left.part(), left.mass(), Mass::plus));
    Set<OnHand> alone = heaviest(weights);
    List<Target> targets = new ArrayList<>();
    plan.makings().forEach(one -> targets.add(target(one, alone, venues, labour, formats)));
    targets.addAll(rests(plan.left(), alone, formats));

    Map<Optional<OnHand>, Mass> parts = new LinkedHashMap<>();
    weights.forEach((part, mass) -> parts.merge(drawn(part, alone), mass, Mass::plus));
    double scale = TALL / Math.max(1, Mass.total(parts.values()).inGrams().doubleValue());
    Map<Optional<OnHand>, double[]> at = new LinkedHashMap<>();
    List<Node> left = new ArrayList<>();
    double tallest = 0;
    for (Map.Entry<Optional<OnHand>, Mass> one : parts.entrySet()) {
      double height = height(one.getValue(), scale);
      at.put(one.getKey(), new double[] {tallest + offset(one.getValue(), scale)});
      String title =
          one.getKey()
              .map(part -> HomeView.name(part, formats))
              .orElseGet(
                  () -> formats.say("homes.said.other-parts", weights.size() - alone.size()));
      String weight =
          one.getKey().filter(OnHand::measured).isPresent()
              ? formats.mass(one.getValue())
              : formats.about(one.getValue());
      left.add(new Node(LEFT - BAR, tallest, height, "part", title, weight));
      tallest += height + GAP;
    }
    List<Node> right = new ArrayList<>();
    List<Ribbon> ribbons = new ArrayList<>();
    double y = 0;
    for (Target target : targets) {
      double height = height(target.mass(), scale);
      right.add(new Node(RIGHT, y, height, target.style(), target.title(), target.line()));
      double down = y + offset(target.mass(), scale);
      for (Map.Entry<Optional<OnHand>, Mass> one : target.from().entrySet()) {
        double thick = one.getValue().inGrams().doubleValue() * scale;
        String title = formats.mass(one.getValue());
        ribbons.add(ribbon(at.get(one.getKey()), down, thick, target.style(), title));
        down += thick;
      }
      y += height + GAP;
    }
    return new FlowPicture(WIDTH, (int) Math.ceil(Math.max(tallest, y)), left, right, ribbons);
  }

  private static Target target(
      Making making,
      Set<OnHand> alone,
      Map<Long, String> venues,
      Optional<ExactMoney> labour,
      Formats formats) {
    Map<Optional<OnHand>, Mass> from = new LinkedHashMap<>();
    for (Grams grams : making.from()) {
      from.merge(drawn(grams.part(), alone), grams.mass(), Mass::plus);
    }
    String title =
        formats.say(
            "homes.said.made-at",
            making.units(),
            making.wanted().use().name(),
            venues.getOrDefault(making.wanted().venue(), "?"));
    String style = making.wanted().use().purpose().name();
    return new Target(style, title, line(making, labour, formats), from);
  }

  private static List<Target> rests(List<Left> all, Set<OnHand> alone, Formats formats) {
    List<Target> rests = new ArrayList<>();
    List<Left> others = new ArrayList<>();
    for (Left rest : all) {
      if (alone.contains(rest.part())) {
        rests.add(
            new Target(
                "left",
                formats.say("homes.said.left", HomeView.name(rest.part(), formats), rest.mass()),
                formats.say(
                    "homes.said.next",
                    formats.say(rest.why()),
                    formats.say("UsePlan.Next." + rest.next().name())),
                Map.of(Optional.of(rest.part()), rest.mass())));
      } else {
        others.add(rest);
      }
    }
    if (!others.isEmpty()) {
      Mass mass = Mass.total(others.stream().map(Left::mass).toList());
      rests.add(
          new Target(
              "left",
              formats.say("homes.said.left-of-others", others.size(), mass),
              formats.say("homes.said.each-in-the-list"),
              Map.of(Optional.empty(), mass)));
    }
    return rests;
  }

  /** More than these are no picture any more: the others stand together, as one. */
  private static Set<OnHand> heaviest(Map<OnHand, Mass> weights) {
    return weights.entrySet().stream()
        .sorted(Map.Entry.<OnHand, Mass>comparingByValue().reversed())
        .limit(weights.size() <= MOST_DRAWN ? MOST_DRAWN : MOST_DRAWN - 1)
        .map(Map.Entry::getKey)
        .collect(Collectors.toSet());
  }

  private static Optional<OnHand> drawn(OnHand part, Set<OnHand> alone) {
    return Optional.of(part).filter(alone::contains);
  }

  /** Grams, money for who may see it, and minutes. */
  private static String line(Making making, Optional<ExactMoney> labour, Formats formats) {
    Mass mass = making.mass();
    int minutes =
        new Batch(making.wanted().use(), mass, mass.isPositive() ? mass : Mass.ofGrams(1))
            .minutes();
    return labour
        .map(
            like ->
                formats.say(
                    "homes.said.making-line",
                    mass,
                    Hand.money(making.wanted().worth() * making.units(), like),
                    minutes))
        .orElseGet(() -> formats.say("homes.said.making-line-without", mass, minutes));
  }

  private static double height(Mass mass, double scale) {
    return Math.max(LEAST, mass.inGrams().doubleValue() * scale);
  }

  /** Thin flows start in the middle of what stands for them. */
  private static double offset(Mass mass, double scale) {
    return (height(mass, scale) - mass.inGrams().doubleValue() * scale) / 2;
  }

  private static Ribbon ribbon(double[] from, double to, double thick, String style, String title) {
    double y1 = from[0];
    from[0] += thick;
    double wide = Math.max(1.5, thick);
    int middle = (LEFT + RIGHT) / 2;
    String path =
        String.format(
            Locale.ROOT,
            "M%d %.1fC%d %.1f %d %.1f %d %.1fL%d %.1fC%d %.1f %d %.1f %d %.1fZ",
            LEFT,
            y1,
            middle,
            y1,
            middle,
            to,
            RIGHT,
            to,
            RIGHT,
            to + wide,
            middle,
            to + wide,
            middle,
            y1 + wide,
            LEFT,
            y1 + wide);
    return new Ribbon(path, style, title);
  }
}
