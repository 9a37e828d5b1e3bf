package mosaicknife.core.slice;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import mosaicknife.core.check.Check;

/**
 * What is to be cut for a service: the fillets on the boards and how many portions of each kind are
 * wanted.
 *
 * @param fillets the fillets, in the order they lie
 * @param wanted what is wanted of them
 */
public record Service(List<OnTheBoard> fillets, List<Wanted> wanted) {

  /** More fillets than these are no one service. */
  public static final int MOST_FILLETS = 400;

  /** No fillet is cut into more portions of a kind. */
  static final int MOST_OF_A_KIND = 150;

  /** Copies the lists; refuses two fillets of one name. */
  public Service {
    fillets = List.copyOf(fillets);
    wanted = List.copyOf(wanted);
    Check.inRange(fillets.size(), 0, MOST_FILLETS, "fillets of a service");
    Set<String> ids = new HashSet<>();
    for (OnTheBoard one : fillets) {
      Check.that(ids.add(one.id()), "Expected one fillet, found ", one.id());
      for (int kind : one.kinds()) {
        Check.inRange(kind, 0, wanted.size() - 1, "kind of portion");
      }
    }
  }

  /**
   * Returns whether it can be worked out while somebody waits.
   *
   * @return false where limits are so wide or fillets so heavy that it would take long, or portions
   *     so small that hundreds lie in one
   */
  public boolean isWorkable() {
    return fillets.stream()
        .allMatch(
            one ->
                Slicer.isWorkable(one.fillet(), types(one), 0, Math.max(1, fillets.size()))
                    && one.kinds().stream().noneMatch(kind -> isCrumbs(one.fillet(), kind)));
  }

  private List<PortionType> types(OnTheBoard one) {
    return one.kinds().stream().map(kind -> wanted.get(kind).type()).toList();
  }

  /** Whether a fillet would be cut into more portions of a kind than anybody cuts. */
  boolean isCrumbs(Fillet fillet, int kind) {
    Wanted one = wanted.get(kind);
    long inside = fillet.mass().milligrams() / one.type().lightest().milligrams();
    return Math.min(inside, one.count()) > MOST_OF_A_KIND;
  }

  /**
   * A fillet.
   *
   * @param id what it is called
   * @param fillet its shape and mass
   * @param kinds which of what is wanted may be cut of it, by place in the list
   */
  public record OnTheBoard(String id, Fillet fillet, Set<Integer> kinds) {

    /** Copies the kinds. */
    public OnTheBoard {
      Check.text(id, "name of a fillet");
      kinds = Set.copyOf(kinds);
    }
  }

  /**
   * So many portions of a kind.
   *
   * @param type the portion
   * @param count how many, from 0
   */
  public record Wanted(PortionType type, int count) {

    /** More portions than these are no one service. */
    public static final int MOST = 10_000;

    /** Refuses fewer than none. */
    public Wanted {
      Check.inRange(count, 0, MOST, "portions wanted");
    }
  }
}
