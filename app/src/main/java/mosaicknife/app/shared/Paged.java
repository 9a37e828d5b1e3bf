package mosaicknife.app.shared;

import java.util.List;

/**
 * One page of a list that is told how long it is, so that nothing is left out silently.
 *
 * @param rows the rows of the page
 * @param number which page, from 1
 * @param pages how many there are, at least one
 * @param total how many rows there are on all pages
 * @param <T> a row
 */
public record Paged<T>(List<T> rows, int number, int pages, int total) {

  /** Copies the rows. */
  public Paged {
    rows = List.copyOf(rows);
  }

  /**
   * Returns a page of a list.
   *
   * @param all the list
   * @param wanted which page; the nearest there is
   * @param size how many rows fit one, at least one
   * @param <T> a row
   * @return the page
   */
  public static <T> Paged<T> of(List<T> all, int wanted, int size) {
    int pages = Math.max(1, (all.size() + size - 1) / size);
    int number = Math.min(pages, Math.max(1, wanted));
    int from = (number - 1) * size;
    return new Paged<>(
        all.subList(from, Math.min(all.size(), from + size)), number, pages, all.size());
  }
}
