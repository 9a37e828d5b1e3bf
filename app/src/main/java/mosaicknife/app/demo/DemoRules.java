package mosaicknife.app.demo;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Optional;
import mosaicknife.app.account.DemoPeople;
import mosaicknife.app.booklet.HouseRules;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.safety.LengthRule.Basis;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Two length rules of the invented harbour, as the house would keep its own. */
@Component
@ConditionalOnProperty(name = "mosaic.demo", havingValue = "true")
class DemoRules {

  private final DemoPeople people;
  private final HouseRules rules;
  private final Clock clock;

  DemoRules(DemoPeople people, HouseRules rules, Clock clock) {
    this.people = people;
    this.rules = rules;
    this.clock = clock;
  }

  void load() {
    LocalDate inAYear = LocalDate.now(clock).plusYears(1);
    String source = "made up for the demo: notice board of Port Sallow";
    people.as(
        "ines",
        () -> {
          rules.keepLength("hake", Basis.TOTAL, Length.parse("30 cm"), source, inAYear);
          rules.keepLength("gurnard", Basis.TOTAL, Length.parse("42 cm"), source, inAYear);
          rules.keepPair(Temperature.ofCelsius(-20), 24, Optional.empty(), source, inAYear);
          rules.keepPair(
              Temperature.ofCelsius(-35), 15, Optional.of(Length.parse("8 cm")), source, inAYear);
        });
  }
}
