package mosaicknife.app.shared;

import java.util.List;
import java.util.function.IntFunction;

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
    return of(
        all.size(),
        wanted,
        size,
        page -> all.subList(page * size, Math.min(all.size(), (page + 1) * size)));
  }

  /**
   * Returns a page of a list that is asked for page by page.
   *
   * @param total how long it is
   * @param wanted which page; the nearest there is
   * @param size how many rows fit one, at least one
   * @param rows the rows of a page, counted from 0
   * @param <T> a row
   * @return the page
   */
  public static <T> Paged<T> of(long total, int wanted, int size, IntFunction<List<T>> rows) {
    int pages = (int) Math.max(1, (total + size - 1) / size);
    int number = Math.min(pages, Math.max(1, wanted));
    return new Paged<>(rows.apply(number - 1), number, pages, (int) total);
  }

  /**
   * Reads which page is asked for, from an address that anybody may type.
   *
   * @param asked the number as typed
   * @return the number; 1 if it is none
   */
  public static int number(String asked) {
    return asked.matches("[0-9]{1,6}") ? Integer.parseInt(asked) : 1;
  }

  /**
   * Writes the address of a page.
   *
   * @param address the address, with PAGE in place of the number: the last of them, as what was
   *     searched for may be anything
   * @param page which page
   * @return the address
   */
  public static String address(String address, int page) {
    int at = address.lastIndexOf("PAGE");
    return address.substring(0, at) + page + address.substring(at + 4);
  }
}
