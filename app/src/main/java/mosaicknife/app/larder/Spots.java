package mosaicknife.app.larder;

import java.util.Optional;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
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
  private final CurrentPerson current;

  Spots(HouseSettings houses, PeopleRegister people, CurrentPerson current) {
    this.houses = houses;
    this.people = people;
    this.current = current;
  }

  /**
   * Reads where something is to lie, as typed.
   *
   * @param venue the number of the venue
   * @param place the shelf
   * @param keeper the number of the person; empty for whoever is signed in
   * @return the spot
   * @throws Refusal if the place is missing or there is no such person
   */
  public Shelved.Spot spot(long venue, String place, Optional<Long> keeper) {
    String where = PlainText.needed(place, LONGEST_PLACE, "place", FieldName.PLACE);
    long who = keeper.orElseGet(() -> current.get().id());
    if (!people.names().containsKey(who)) {
      throw Refusal.ofField("keeper", "shared.problem.not-chosen");
    }
    houses.getVenue(venue);
    return new Shelved.Spot(venue, where, who);
  }
}
