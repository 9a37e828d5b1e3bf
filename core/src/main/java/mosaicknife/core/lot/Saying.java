package mosaicknife.core.lot;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Set;

/** What is said of a catch, to the guest too: it needs a paper or a mark that shows it. */
public enum Saying {
  /** Caught in the wild. */
  WILD,
  /** Grown on a farm. */
  FARMED,
  /** Caught on hook and line. */
  LINE,
  /** Caught in a static net. */
  NET,
  /** Caught in a towed net. */
  TRAWL,
  /** Caught in a trap. */
  TRAP,
  /** Speared. */
  SPEAR,
  /** Not what the boat was after. */
  BY_CATCH;

  private static final Set<Saying> ORIGINS = Set.of(WILD, FARMED);
  private static final Set<Saying> METHODS = Set.of(LINE, NET, TRAWL, TRAP, SPEAR);

  /** How far it can be said. */
  public enum Standing {
    /** A paper or a mark shows it, and none says otherwise. */
    PROVEN,
    /** Nobody showed it yet. */
    OPEN,
    /** Something shows the opposite. */
    CONTRADICTED
  }

  /**
   * What is said, and how far.
   *
   * @param what what is said
   * @param standing how far it can be
   */
  public record Said(Saying what, Standing standing) {}

  /**
   * Looks at what is said of a delivery.
   *
   * @param receipt the delivery
   * @param shown what its papers and marks show, all together
   * @return what is said of it, each with how far
   */
  public static List<Said> of(Receipt receipt, Collection<Saying> shown) {
    List<Saying> all = new ArrayList<>();
    all.add(receipt.origin() == Origin.WILD ? WILD : FARMED);
    receipt
        .arrival()
        .method()
        .map(Saying::of)
        .filter(one -> !all.contains(one))
        .ifPresent(all::add);
    if (receipt.arrival().byCatch()) {
      all.add(BY_CATCH);
    }
    return all.stream().map(one -> new Said(one, standing(one, all, shown))).toList();
  }

  private static Saying of(CatchMethod method) {
    return switch (method) {
      case LINE -> LINE;
      case NET -> NET;
      case TRAWL -> TRAWL;
      case TRAP -> TRAP;
      case SPEAR -> SPEAR;
      case FARM -> FARMED;
    };
  }

  private static Standing standing(Saying one, List<Saying> said, Collection<Saying> shown) {
    boolean otherwise =
        shown.stream().anyMatch(one::excludes) || said.stream().anyMatch(one::excludes);
    if (otherwise) {
      return Standing.CONTRADICTED;
    }
    return shown.contains(one) ? Standing.PROVEN : Standing.OPEN;
  }

  /** Wild is not farmed, a line is no net, and nothing on a farm is caught. */
  private boolean excludes(Saying other) {
    boolean origins = ORIGINS.contains(this) && ORIGINS.contains(other);
    boolean methods = METHODS.contains(this) && METHODS.contains(other);
    boolean farm = this == FARMED && isOfACatch(other) || other == FARMED && isOfACatch(this);
    return this != other && (origins || methods || farm);
  }

  private static boolean isOfACatch(Saying one) {
    return METHODS.contains(one) || one == BY_CATCH;
  }
}
