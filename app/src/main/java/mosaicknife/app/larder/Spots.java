package mosaicknife.app.larder;

import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Sent;
import mosaicknife.core.larder.Shelved;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Where things lie, and who keeps them. */
@Service
@Transactional(readOnly = true)
public class Spots {

  private static final int LONGEST_PLACE = 80;

  private final HouseSettings houses;
  private final PeopleRegister people;

  Spots(HouseSettings houses, PeopleRegister people) {
    this.houses = houses;
    this.people = people;
  }

  /**
   * Reads where something is to lie, as a form sends it.
   *
   * @param venue the number of the venue
   * @param sent the fields place, the shelf, and by, the number of the person
   * @return the spot
   * @throws Refusal if the place is missing or there is no such person
   */
  public Shelved.Spot read(long venue, Sent sent) {
    long keeper = sent.id("by");
    String place = PlainText.needed(sent.text("place"), LONGEST_PLACE, "place", FieldName.PLACE);
    if (!people.names().containsKey(keeper)) {
      throw Refusal.ofField("keeper", "shared.problem.not-chosen");
    }
    houses.getVenue(venue);
    return new Shelved.Spot(venue, place, keeper);
  }
}
