package mosaicknife.core.anatomy;

import java.util.List;
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
 */
public record PartKind(
    String code,
    String name,
    PartClass nature,
    Stage stage,
    String cutFrom,
    String meaning,
    List<String> synonyms) {

  /** Refuses blank names and copies the synonyms. */
  public PartKind {
    Check.text(code, "code");
    Check.text(name, "name");
    Check.notNull(nature, "nature");
    Check.notNull(stage, "stage");
    Check.notNull(cutFrom, "part it is cut out of");
    Check.text(meaning, "meaning");
    synonyms = List.copyOf(synonyms);
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
