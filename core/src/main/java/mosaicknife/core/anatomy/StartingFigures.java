package mosaicknife.core.anatomy;

import java.util.List;
import mosaicknife.core.check.Check;

/**
 * The few figures from which the starting norms of a fish are made, as fractions of the ungutted
 * fish.
 *
 * <p>The body plan says in which proportions a fish of its build falls apart; these three move it:
 * guts and head are taken as given, the main cuts share the flesh in the plan's proportions, and
 * what is left is shared by the other parts in the plan's proportions. It all adds up to 1.
 *
 * @param guts the guts, from 0 to 0.4
 * @param head the head without gills, from 0 to 0.6; ignored by a plan without a head of its own
 * @param flesh all main cuts together, from 0.1 to 0.8
 */
public record StartingFigures(double guts, double head, double flesh) {

  private static final double MOST_TAKEN = 0.97;

  /** Refuses fractions out of range or that leave nothing for the other parts. */
  public StartingFigures {
    Check.inRange(guts, 0, 0.4, "guts");
    Check.inRange(head, 0, 0.6, "head");
    Check.inRange(flesh, 0.1, 0.8, "flesh");
    Check.that(
        guts + head + flesh <= MOST_TAKEN,
        "Expected guts, head and flesh to leave something for frame and fins, found %.3f together"
            .formatted(guts + head + flesh));
  }

  /** How hard the ribs are; hard ribs are worked over and leave meat behind. */
  public enum Ribs {
    /** Cut without effort. */
    SOFT(1.05),
    /** Cut with some pressure. */
    USUAL(1),
    /** Too hard to cut. */
    HARD(0.82);

    private final double flesh;

    Ribs(double flesh) {
      this.flesh = flesh;
    }
  }

  /** How large the head is for the body. */
  public enum HeadSize {
    /** Clearly small. */
    SMALL(0.72),
    /** As usual for the body plan. */
    USUAL(1),
    /** Clearly large. */
    LARGE(1.35);

    private final double head;

    HeadSize(double head) {
      this.head = head;
    }
  }

  /**
   * Guesses the figures of a fish that nobody here knows, from the usual fish of its body plan.
   *
   * @param usual the norms of the body plan
   * @param ribs how hard its ribs are
   * @param head how large its head is
   * @return the figures; what a larger head takes is missing from the flesh and the rest alike
   */
  public static StartingFigures guess(List<Share> usual, Ribs ribs, HeadSize head) {
    double usualHead = sum(usual, PartKind.Trait.HEAD);
    double newHead = usualHead * head.head;
    double leftForOthers = (1 - newHead) / (1 - usualHead);
    double flesh =
        usual.stream().filter(share -> share.slot().isMain()).mapToDouble(Share::mean).sum()
            * ribs.flesh;
    return new StartingFigures(
        sum(usual, PartKind.Trait.GUTS) * leftForOthers, newHead, flesh * leftForOthers);
  }

  /**
   * Makes the norms of all parts.
   *
   * @param usual the norms of the body plan, which add up to 1
   * @param widening how many times wider than the plan's the spread is, from 0.2 to 5
   * @return the norms in the plan's order; they add up to 1
   */
  public List<Share> applyTo(List<Share> usual, double widening) {
    Check.inRange(widening, 0.2, 5, "widening");
    double mains =
        usual.stream().filter(share -> share.slot().isMain()).mapToDouble(Share::mean).sum();
    double usualGuts = sum(usual, PartKind.Trait.GUTS);
    double usualHead = sum(usual, PartKind.Trait.HEAD);
    double others = 1 - mains - usualGuts - usualHead;
    double left = 1 - flesh - (usualGuts > 0 ? guts : 0) - (usualHead > 0 ? head : 0);
    return usual.stream()
        .map(
            share -> {
              double mean =
                  share.slot().kind().is(PartKind.Trait.GUTS)
                      ? guts
                      : share.slot().kind().is(PartKind.Trait.HEAD)
                          ? head
                          : share.mean() * (share.slot().isMain() ? flesh / mains : left / others);
              double spread = share.spread() * widening * Math.sqrt(mean / share.mean());
              return new Share(share.slot(), mean, Math.min(1, spread));
            })
        .toList();
  }

  private static double sum(List<Share> shares, PartKind.Trait trait) {
    return shares.stream()
        .filter(share -> share.slot().kind().is(trait))
        .mapToDouble(Share::mean)
        .sum();
  }
}
