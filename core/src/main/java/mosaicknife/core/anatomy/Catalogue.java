package mosaicknife.core.anatomy;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mosaicknife.core.check.Check;

/** The fish, body plans and part kinds that are known. */
public final class Catalogue {

  private final Map<String, PartKind> kinds;
  private final Map<String, BodyPlan> plans;
  private final Map<String, List<Share>> usualShares;
  private final Map<String, Species> species;

  /** A typing error is seen in a name from so many letters, two from so many. */
  private static final int SHORT_NAME = 5;

  private static final int LONG_NAME = 9;

  private final List<RefusedFish> refused;
  private final NameIndex<Species> names;

  Catalogue(
      Map<String, PartKind> kinds,
      Map<String, BodyPlan> plans,
      Map<String, List<Share>> usualShares,
      Map<String, Species> species,
      List<RefusedFish> refused) {
    this.kinds = Check.notNull(kinds, "kinds");
    this.plans = Check.notNull(plans, "plans");
    this.usualShares = Check.notNull(usualShares, "norms of the plans");
    this.species = Check.notNull(species, "species");
    this.refused = List.copyOf(refused);
    this.names = new NameIndex<>(List.copyOf(species.values()), Species::names);
  }

  /**
   * Reads the catalogue that ships with Mosaic Knife.
   *
   * @return the catalogue
   * @throws ReferenceDataException if a data file has a line that cannot be read; the message names
   *     file, line and text
   */
  public static Catalogue shipped() {
    return Shipped.CATALOGUE;
  }

  /** Read once: it never changes. */
  private static final class Shipped {
    private static final Catalogue CATALOGUE = CatalogueReader.read();
  }

  /**
   * Returns all species in the order of the file.
   *
   * @return the species
   */
  public Collection<Species> species() {
    return species.values();
  }

  /**
   * Returns all body plans in the order of the file.
   *
   * @return the plans
   */
  public Collection<BodyPlan> plans() {
    return plans.values();
  }

  /**
   * Returns all part kinds in the order of the file.
   *
   * @return the kinds
   */
  public Collection<PartKind> kinds() {
    return kinds.values();
  }

  /**
   * Finds a species.
   *
   * @param code its code
   * @return the species, or empty
   */
  public Optional<Species> findSpecies(String code) {
    return Optional.ofNullable(species.get(code));
  }

  /**
   * Returns a species that must exist.
   *
   * @param code its code
   * @return the species
   * @throws IllegalArgumentException if there is none of that code
   */
  public Species getSpecies(String code) {
    return findSpecies(code)
        .orElseThrow(
            () -> new IllegalArgumentException("Expected a species, found code '" + code + "'"));
  }

  /**
   * Returns the kinds of part that can be cut from one: those that the tree of kinds hangs on it,
   * and of a fillet or loin also what is cut from the side it is.
   *
   * @param from the kind that is cut
   * @return the kinds in the order of the file; empty if nothing is cut from it
   */
  public List<PartKind> cutFrom(PartKind from) {
    Optional<PartKind> above = findKind(from.cutFrom());
    boolean side = above.isPresent() && !above.get().cutFrom().isEmpty();
    boolean flesh = from.nature() == PartClass.FLESH;
    return kinds.values().stream()
        .filter(
            kind ->
                kind.cutFrom().equals(from.code())
                    || side
                        && flesh
                        && kind.cutFrom().equals(from.cutFrom())
                        && !isCutFurther(kind))
        .filter(kind -> kind != from && !kind.is(PartKind.Trait.PORTION))
        .toList();
  }

  /** Flesh that others are cut from is a whole fillet or loin, and none of the pieces of one. */
  private boolean isCutFurther(PartKind kind) {
    return kind.nature() == PartClass.FLESH
        && kinds.values().stream().anyMatch(other -> other.cutFrom().equals(kind.code()));
  }

  /**
   * Finds a part kind.
   *
   * @param code its code
   * @return the kind, or empty
   */
  public Optional<PartKind> findKind(String code) {
    return Optional.ofNullable(kinds.get(code));
  }

  /**
   * Finds a body plan.
   *
   * @param code its code
   * @return the plan, or empty
   */
  public Optional<BodyPlan> findPlan(String code) {
    return Optional.ofNullable(plans.get(code));
  }

  /**
   * Returns in which proportions a fish of a body plan usually falls apart.
   *
   * @param plan the plan
   * @return the starting norms of the plan; they add up to 1
   */
  public List<Share> usualShares(BodyPlan plan) {
    return List.copyOf(usualShares.getOrDefault(plan.code(), List.of()));
  }

  /**
   * Finds species by any of their names, with typing errors.
   *
   * @param query what was typed; blank gives all
   * @return the species found, the best first: a whole name before the start of one, that before
   *     the start of a word, that before the middle of a word; if no name contains it, those with a
   *     similar name; none for the name of a fish that is refused: nobody takes it for another
   */
  public List<Species> search(String query) {
    return findRefused(query).isPresent() ? List.of() : names.find(query);
  }

  /**
   * Returns the species that are sold under a name, whatever the case or accents: butterfish is a
   * name of two fish.
   *
   * @param name the whole name
   * @return all of that name
   */
  public List<Species> named(String name) {
    return names.findNamed(name);
  }

  /**
   * Finds a fish that is refused. It stops by its own names only: a name under which another fish
   * is sold passes, and so does one that only looks like it.
   *
   * @param query any of its names, alone or among other words; with a typing error if no other fish
   *     is as near
   * @return the fish and the reason, or empty
   */
  public Optional<RefusedFish> findRefused(String query) {
    if (query.isBlank() || !names.findNamed(query).isEmpty()) {
      return Optional.empty();
    }
    Optional<RefusedFish> named =
        Stream.concat(
                refused.stream().filter(one -> one.isCalled(query)),
                refused.stream().filter(one -> one.isNamedBy(query)))
            .findFirst();
    return named.isPresent() || names.contains(query) ? named : findMistyped(query);
  }

  private Optional<RefusedFish> findMistyped(String query) {
    int most = query.strip().length() >= LONG_NAME ? 2 : 1;
    int sold = names.letters(query);
    return query.strip().length() < SHORT_NAME
        ? Optional.empty()
        : refused.stream()
            .filter(one -> one.letters(query, SHORT_NAME) <= Math.min(most, sold - 1))
            .findFirst();
  }

  /**
   * Finds what keeps a fish of the house out: a name of it, or its genus, is of a fish that is
   * refused.
   *
   * @param species the fish
   * @return the fish it would be, and the reason; empty if it may be added
   */
  public Optional<RefusedFish> findRefused(Species species) {
    Set<String> shipped =
        findSpecies(species.code()).stream().flatMap(Species::names).collect(Collectors.toSet());
    return refused.stream()
        .filter(
            one -> species.names().filter(name -> !shipped.contains(name)).anyMatch(one::isNamedBy))
        .findFirst();
  }

  /**
   * Finds kinds of part by name or synonym. A word with two meanings gives both.
   *
   * @param query what was typed; blank gives all
   * @return the kinds, the best first
   */
  public List<PartKind> searchKinds(String query) {
    return new NameIndex<>(
            List.copyOf(kinds.values()),
            kind -> Stream.concat(Stream.of(kind.name()), kind.synonyms().stream()))
        .find(query);
  }

  /**
   * Returns a catalogue in which some species are replaced, added or left out.
   *
   * @param changed the species as the house wants them; a known code replaces, a new one is added
   * @param removed the codes of those to leave out
   * @return the new catalogue; this one stays as it is
   */
  public Catalogue with(Collection<Species> changed, Set<String> removed) {
    Map<String, Species> all = new LinkedHashMap<>(species);
    changed.forEach(fish -> all.put(fish.code(), fish));
    removed.forEach(all::remove);
    return new Catalogue(kinds, plans, usualShares, all, refused);
  }

  /**
   * Returns the kinds of part that are a main cut in some body plan.
   *
   * @return their codes
   */
  public List<String> mainKinds() {
    return plans.values().stream()
        .flatMap(plan -> plan.slots().stream())
        .filter(PartSlot::isMain)
        .map(slot -> slot.kind().code())
        .distinct()
        .sorted()
        .toList();
  }
}
