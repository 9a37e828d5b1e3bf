package mosaicknife.core.anatomy;

import java.util.List;
import java.util.Set;
import mosaicknife.core.check.Check;

/**
 * A kind of part, such as fillet, frame or collar, independent of species and side.
 *
 * @param code the lasting identifier, lower case with hyphens
 * @param name the field's word in the singular, in English
 * @param nature flesh, by-product or irreducible
 * @param stage when it leaves the fish
 * @param cutFrom the code of the part it is cut out of; empty for the whole fish
 * @param meaning one line that explains the word
 * @param synonyms other names, so that search and help find it
 * @param traits what rules ask of a kind, instead of its code
 */
public record PartKind(
    String code,
    String name,
    PartClass nature,
    Stage stage,
    String cutFrom,
    String meaning,
    List<String> synonyms,
    Set<Trait> traits) {

  /** What a rule may ask of a kind. The data says which kind is what; no rule names a kind. */
  public enum Trait {
    /** What gutting takes out. */
    GUTS,
    /** What gilling takes out. */
    GILLS,
    /** What heading takes off. */
    HEAD,
    /** The backbone with what stays on it: it can be scraped. */
    FRAME,
    /** What is left of a fish whose tail or wings were taken. */
    BODY,
    /** The fins and what goes with them. */
    FINS,
    /** The skin as a part of its own. */
    SKIN,
    /** The plate behind the gill. */
    COLLAR,
    /** The thin flap under the ribs. */
    BELLY,
    /** The fish in one piece. */
    WHOLE_FISH,
    /** On the plate there is more of it than is eaten: bones, or a head. */
    EATEN_IN_PART,
    /** A finished portion. */
    PORTION,
    /** What is squared off a cut. */
    TRIM,
    /** Scraped flesh: much surface, warm from the hand, keeps for hours. */
    SCRAPED,
    /** Bones a stock is made of. */
    STOCK_BONES,
    /** Neither bones for a stock nor a by-product that a plan of purchase counts. */
    WASTE
  }

  /** Refuses blank names and copies the synonyms. */
  public PartKind {
    Check.text(code, "code");
    Check.text(name, "name");
    Check.notNull(nature, "nature");
    Check.notNull(stage, "stage");
    Check.notNull(cutFrom, "part it is cut out of");
    Check.text(meaning, "meaning");
    synonyms = List.copyOf(synonyms);
    traits = Set.copyOf(traits);
  }

  /**
   * Returns whether the kind has a trait.
   *
   * @param trait the trait
   * @return true if it has
   */
  public boolean is(Trait trait) {
    return traits.contains(trait);
  }

  /**
   * Returns whether a part of this kind may be used for a purpose. Gills and guts spoil every plate
   * and pot: they may only go to compost or bin.
   *
   * @param purpose the purpose
   * @return false for an irreducible part and any other purpose
   */
  public boolean mayBeFor(Purpose purpose) {
    return nature != PartClass.IRREDUCIBLE || purpose == Purpose.COMPOST || purpose == Purpose.BIN;
  }
}
