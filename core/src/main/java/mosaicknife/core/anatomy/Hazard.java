package mosaicknife.core.anatomy;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;

/**
 * What can hurt in a part of a fish: data of the species and the part, never of a name.
 *
 * @param kind what it is
 * @param of which fish: traits, genera, or {@link #ALL}
 * @param parts the codes of the kinds of part; {@link #WHOLE} for the fish as it is
 * @param closes whether no use is open to such a part
 * @param from from which mass of one fish; empty for every fish
 * @param confirms who confirms it in a house
 * @param read when it was collected
 */
public record Hazard(
    Kind kind,
    Set<String> of,
    Set<String> parts,
    boolean closes,
    Optional<Mass> from,
    String confirms,
    LocalDate read) {

  /** Every fish. */
  public static final String ALL = "ALL";

  /** The fish as it is, and so its flesh. */
  public static final String WHOLE = "whole";

  private static final List<Hazard> SHIPPED =
      ReferenceFile.open(Hazard.class, "hazards.csv").lines().stream()
          .map(
              line ->
                  new Hazard(
                      line.read(0, Kind::valueOf),
                      Set.copyOf(line.list(1)),
                      Set.copyOf(line.list(2)),
                      line.field(3).equals("CLOSED"),
                      Optional.of(line.field(4))
                          .filter(text -> !text.isEmpty())
                          .map(text -> Mass.ofGrams(Long.parseLong(text) * 1000)),
                      line.field(5),
                      line.read(6, LocalDate::parse)))
          .toList();

  /** What can hurt. */
  public enum Kind {
    /** Organs and head gather a toxin of warm reefs that nothing destroys. */
    REEF_ORGANS,
    /** The flesh of large fish of warm reefs can carry it. */
    REEF_FLESH,
    /** Roe that is poisonous by itself. */
    POISON_ROE,
    /** Slime and skin that are poisonous. */
    SURFACE_TOXIN,
    /** A liver with so much vitamin A that a plate of it harms. */
    LIVER_VITAMIN,
    /** A liver that is food in small amounts. */
    LIVER_AMOUNT,
    /** Not sold everywhere, or not without papers. */
    SALE
  }

  /** Copies the sets. */
  public Hazard {
    Check.notNull(kind, "kind");
    of = Set.copyOf(of);
    parts = Set.copyOf(parts);
    Check.that(!of.isEmpty() && !parts.isEmpty(), "Expected fish and parts of ", kind);
    Check.notNull(from, "mass");
    Check.text(confirms, "who confirms it");
    Check.notNull(read, "day");
  }

  /**
   * Returns all that is known.
   *
   * @return the hazards in the order of the file
   */
  public static List<Hazard> shipped() {
    return SHIPPED;
  }

  /**
   * Returns what can hurt in a part.
   *
   * @param species the fish
   * @param part the code of the kind of part; {@link #WHOLE} for what is of the fish as it is
   * @return the hazards; empty if none is known
   */
  public static List<Hazard> in(Species species, String part) {
    return SHIPPED.stream().filter(one -> one.isOf(species) && one.parts.contains(part)).toList();
  }

  /**
   * Returns what to be careful about in a part that is food.
   *
   * @param species the fish
   * @param part the code of the kind of part
   * @return the hazards that close no use
   */
  public static Stream<Kind> care(Species species, String part) {
    return in(species, part).stream().filter(one -> !one.closes).map(Hazard::kind);
  }

  /**
   * Returns what closes every use of a part.
   *
   * @param species the fish
   * @param part the code of the kind of part
   * @return the hazard; empty if it may be food
   */
  public static Optional<Kind> closing(Species species, String part) {
    return in(species, part).stream().filter(Hazard::closes).map(Hazard::kind).findFirst();
  }

  /**
   * Returns whether it sets a fish apart: what every fish has is said where the part is used.
   *
   * @param species the fish
   * @return true if the fish has it and others have not
   */
  public boolean setsApart(Species species) {
    return isOf(species) && !of.contains(ALL);
  }

  /**
   * Returns whether a fish has it in some part.
   *
   * @param species the fish
   * @return true by a trait, its genus, or if every fish has it
   */
  public boolean isOf(Species species) {
    String genus = species.scientificName().replaceAll(" .*", "");
    return of.contains(ALL)
        || of.contains(genus)
        || species.traits().stream().anyMatch(trait -> of.contains(trait.name()));
  }
}
