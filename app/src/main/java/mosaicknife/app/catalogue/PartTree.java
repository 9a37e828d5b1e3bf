package mosaicknife.app.catalogue;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.PartKind;

/** The kinds of part in the order of the tree, each with its depth. */
final class PartTree {

  private PartTree() {}

  /** One kind; {@code hit} if it was searched for. */
  record Row(PartKind kind, int depth, boolean hit) {}

  static List<Row> of(Catalogue catalogue, String query) {
    Set<String> hits = new HashSet<>();
    if (!query.isBlank()) {
      catalogue.searchKinds(query).forEach(kind -> hits.add(kind.code()));
    }
    List<Row> rows = new ArrayList<>();
    add(catalogue, "", 0, hits, rows);
    return rows;
  }

  private static void add(
      Catalogue catalogue, String cutFrom, int depth, Set<String> hits, List<Row> rows) {
    for (PartKind kind : catalogue.kinds()) {
      if (kind.cutFrom().equals(cutFrom)) {
        rows.add(new Row(kind, depth, hits.contains(kind.code())));
        add(catalogue, kind.code(), depth + 1, hits, rows);
      }
    }
  }
}
