package mosaicknife.app.lot;

import java.util.List;

/**
 * One page of a list of lots: open ones first, the newest first.
 *
 * @param lines the lots
 * @param number which page, from 1
 * @param pages how many pages there are, from 1
 * @param total how many lots were found
 */
public record LotPage(List<LotLine> lines, int number, int pages, long total) {

  /** Copies the lines. */
  public LotPage {
    lines = List.copyOf(lines);
  }
}
