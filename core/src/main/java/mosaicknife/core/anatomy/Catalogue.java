package mosaicknife.core.anatomy;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.core.check.Check;

/** The fish, body plans and part kinds that are known. */
public final class Catalogue {

  private final Map<String, PartKind> kinds;
  private final Map<String, BodyPlan> plans;
  private final Map<String, Species> species;

  Catalogue(
      Map<String, PartKind> kinds, Map<String, BodyPlan> plans, Map<String, Species> species) {
    this.kinds = Check.notNull(kinds, "kinds");
    this.plans = Check.notNull(plans, "plans");
    this.species = Check.notNull(species, "species");
  }

  /**
   * Reads the catalogue that ships with Mosaic Knife.
   *
   * @return the catalogue
   * @throws ReferenceDataException if a data file has a line that cannot be read; the message names
   *     file, line and text
   */
  public static Catalogue shipped() {
    return CatalogueReader.read();
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
   * Finds a part kind.
   *
   * @param code its code
   * @return the kind, or empty
   */
  public Optional<PartKind> findKind(String code) {
    return Optional.ofNullable(kinds.get(code));
  }

  /**
   * Finds species by any of their names, with typing errors.
   *
   * @param query what was typed; blank gives all
   * @return the species whose names contain it, in the order of the file; if there are none, those
   *     with a similar name, the most similar first
   */
  public List<Species> search(String query) {
    return NameSearch.find(List.copyOf(species.values()), query);
  }
}
