package mosaicknife.app.today;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.kitchen.Soaks;
import mosaicknife.app.pot.PotClocks;
import mosaicknife.app.shared.Formats;
import org.springframework.stereotype.Component;

/** What runs by itself and is not to be forgotten. */
@Component
class Running {

  private final PotClocks pots;
  private final Soaks soaks;
  private final HouseSettings houses;
  private final Clock clock;

  Running(PotClocks pots, Soaks soaks, HouseSettings houses, Clock clock) {
    this.pots = pots;
    this.soaks = soaks;
    this.houses = houses;
    this.clock = clock;
  }

  /** What is on the hob and lies in a marinade. */
  List<PotClocks.Running> clocks() {
    List<PotClocks.Running> all = new ArrayList<>(pots.running());
    Formats formats = houses.house().formats();
    soaks
        .standing(clock.instant())
        .forEach(
            (soak, standing) ->
                all.add(
                    new PotClocks.Running(
                        formats.say("today.said.in-marinade", soak.what(), soak.marinade().name()),
                        formats.say("Marinade.Standing." + standing.name()),
                        "w-" + standing.name(),
                        "/kitchen")));
    return all;
  }
}
