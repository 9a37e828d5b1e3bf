package mosaicknife.core.anatomy;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.core.anatomy.ReferenceFile.Line;
import mosaicknife.core.check.Check;

/**
 * By what a species differs from the drawing of its body plan, so that a fish looks like itself.
 * Own drawings by eye; figures for a drawing and for no sum.
 *
 * @param depth the greatest depth of the body as a fraction of its length to the tail fin
 * @param head the length of the head as a fraction of the same
 * @param front how high the forehead is against the drawing of the plan; 1 for the same
 * @param stalk how thick the stalk of the tail is against the drawing of the plan
 * @param fins how high the fins on back and belly are against the drawing of the plan
 * @param tail how far the tail fin spreads against the drawing of the plan
 * @param fork how deep the tail is forked in body lengths; below 0 it is rounded
 * @param eye how large the eye is against the usual one
 * @param marks what is on its skin and about its mouth, and what its fins do
 * @param drawnFrom the body plan whose drawing it resembles more than that of its own; empty for
 *     its own
 */
public record Look(
    double depth,
    double head,
    double front,
    double stalk,
    double fins,
    double tail,
    double fork,
    double eye,
    List<Mark> marks,
    String drawnFrom) {

  private static final Map<String, Look> SHIPPED = read();

  /** Refuses what cannot be drawn. */
  public Look {
    Check.inRange(depth, 0.03, 1.1, "depth");
    Check.inRange(head, 0.05, 0.5, "head");
    Check.inRange(front, 0.5, 1.6, "forehead");
    Check.inRange(stalk, 0.3, 2, "stalk");
    Check.inRange(fins, 0.3, 3, "fins");
    Check.inRange(tail, 0.3, 2, "tail");
    Check.inRange(fork, -0.08, 0.15, "fork");
    Check.inRange(eye, 0.4, 2.5, "eye");
    marks = List.copyOf(marks);
  }

  /**
   * Something on the skin.
   *
   * @param kind what it is
   * @param figures its figures: how many, or where and how large
   */
  public record Mark(Kind kind, List<Double> figures) {

    /** What is on a skin or about a mouth. */
    public enum Kind {
      /** Upright bars: how many. */
      BARS,
      /** Lines along the body: how many. */
      STRIPES,
      /** Round spots: how many, how large. */
      SPOTS,
      /** Bars that wave on the back: how many. */
      WAVES,
      /** One blotch: how far along, how high (-1 back to 1 belly), how large. */
      BLOTCH,
      /** A line along the middle of the side. */
      LATERAL,
      /** Whiskers at the chin: how many, how long. */
      BARBELS,
      /** Little fins before the tail: how many. */
      FINLETS,
      /** Bony knobs or thorns: how many. */
      THORNS,
      /** A sword at the snout: how long. */
      BILL,
      /** None of the marks of the body plan but mouth and breast fin. */
      PLAIN,
      /** A fin of the plan: which, how far it stands further back, how high (0 for none). */
      FIN,
      /** A fin of the plan that is two fins: which. */
      SPLIT
    }

    /** Copies the figures. */
    public Mark {
      figures = List.copyOf(figures);
    }

    private static Mark parse(String text) {
      String[] parts = text.split(" ");
      return new Mark(
          Kind.valueOf(parts[0]),
          List.of(parts).subList(1, parts.length).stream().map(Double::parseDouble).toList());
    }
  }

  /**
   * Finds the look of a species.
   *
   * @param species its code
   * @return its look; empty for one that is drawn as its body plan
   */
  public static Optional<Look> of(String species) {
    return Optional.ofNullable(SHIPPED.get(species));
  }

  private static Map<String, Look> read() {
    Map<String, Look> looks = new LinkedHashMap<>();
    for (Line line : ReferenceFile.open(Look.class, "looks.csv").lines()) {
      looks.put(line.field(0), line.read(1, depth -> look(line, Double.parseDouble(depth))));
    }
    return looks;
  }

  private static Look look(Line line, double depth) {
    return new Look(
        depth,
        number(line, 2),
        number(line, 3),
        number(line, 4),
        number(line, 5),
        number(line, 6),
        number(line, 7),
        number(line, 8),
        line.list(9).stream().map(Mark::parse).toList(),
        line.field(10));
  }

  private static double number(Line line, int field) {
    return line.read(field, Double::parseDouble);
  }
}
