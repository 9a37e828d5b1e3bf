package mosaicknife.app.pot;

import java.math.BigDecimal;
import mosaicknife.app.booklet.HouseBook;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.core.pot.Kettle;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes down the kettles of the house. */
@Service
@Transactional
public class Kettles {

  private static final int LONGEST_NAME = 60;

  private final PotBook pots;
  private final HouseBook book;
  private final HouseSettings houses;

  Kettles(PotBook pots, HouseBook book, HouseSettings houses) {
    this.pots = pots;
    this.book = book;
    this.houses = houses;
  }

  /**
   * Writes down a kettle of a venue; one of the same name is that kettle, changed.
   *
   * @param venue the number of the venue
   * @param name what it is called
   * @param litres what it holds, from 1 to 500
   * @param centimetres how wide it is
   * @param watts what its hob puts out
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.at(#venue)")
  public void keep(long venue, String name, BigDecimal litres, int centimetres, int watts) {
    houses.getVenue(venue);
    String called = PlainText.needed(name, LONGEST_NAME, "name", FieldName.NAME);
    PotBook.Placed placed =
        new PotBook.Placed(venue, new Kettle(called, litres, centimetres, watts));
    pots.kettles().stream()
        .filter(one -> one.venue() == venue && one.kettle().name().equals(called))
        .findFirst()
        .ifPresentOrElse(
            one -> book.write(PotBook.KETTLES, "" + one.number(), placed),
            () -> book.add(PotBook.KETTLES, placed));
  }

  /**
   * Takes a kettle out of use.
   *
   * @param id the number of its row
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.of('KETTLE', #id)")
  public void retire(long id) {
    book.takeOut(PotBook.KETTLES, id);
  }
}
