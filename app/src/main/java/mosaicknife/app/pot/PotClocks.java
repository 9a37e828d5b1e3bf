package mosaicknife.app.pot;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import mosaicknife.app.booklet.HouseRules;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.core.heat.CoolingRule;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What runs on the hob, in a line each, for whoever looks from afar. */
@Component
public class PotClocks {

  private final PotBook book;
  private final HouseRules limits;
  private final HouseSettings houses;
  private final Clock clock;

  PotClocks(PotBook book, HouseRules limits, HouseSettings houses, Clock clock) {
    this.book = book;
    this.limits = limits;
    this.houses = houses;
    this.clock = clock;
  }

  /**
   * A clock.
   *
   * @param name what runs
   * @param said how it stands
   * @param css the same, as a class
   * @param link where it is worked
   */
  public record Running(String name, String said, String css, String link) {}

  /**
   * Returns what runs on the hob.
   *
   * @return each batch with how it stands
   */
  @Transactional(readOnly = true)
  public List<Running> running() {
    Instant now = clock.instant();
    CoolingRule rule = CoolingRule.of(limits.limits());
    return book.running().stream()
        .map(brew -> PotView.card(brew, rule, now, houses.venueNames(), houses.house().formats()))
        .map(
            card ->
                new Running(
                    card.step().isEmpty()
                        ? card.name()
                        : houses.house().formats().say("pot.said.clock", card.name(), card.step()),
                    card.said(),
                    card.css(),
                    "/pot/" + card.id()))
        .toList();
  }
}
