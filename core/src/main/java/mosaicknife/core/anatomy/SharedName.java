package mosaicknife.core.anatomy;

import java.util.List;
import java.util.Optional;
import mosaicknife.core.check.Check;

/**
 * Names under which more than one fish is sold, with what tells them apart and what it matters.
 *
 * @param names the names
 * @param difference how to tell them apart and what goes wrong otherwise, full sentences
 */
public record SharedName(List<String> names, String difference) {

  private static final List<SharedName> SHIPPED =
      ReferenceFile.open(SharedName.class, "shared-names.csv").lines().stream()
          .map(line -> new SharedName(line.list(0), line.field(1)))
          .toList();

  /** Refuses names without a difference. */
  public SharedName {
    names = List.copyOf(Check.notEmpty(names, "names"));
    Check.text(difference, "difference");
  }

  /**
   * Finds what to know about a name before a fish is taken for another.
   *
   * @param query what was typed; only the whole name counts, whatever its case and accents
   * @return the name; empty for one that means a single fish
   */
  public static Optional<SharedName> find(String query) {
    String wanted = NameIndex.plain(query);
    return SHIPPED.stream()
        .filter(shared -> shared.names.stream().map(NameIndex::plain).anyMatch(wanted::equals))
        .findFirst();
  }
}
