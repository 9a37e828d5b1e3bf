package mosaicknife.app.demo;

import java.util.List;
import mosaicknife.app.account.DemoPeople;
import mosaicknife.app.house.Named;
import mosaicknife.core.lot.Lot;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** What a day of the demo holds beside its first lots. */
@Component
@ConditionalOnProperty(name = "mosaic.demo", havingValue = "true")
class DemoDay {

  private final DemoPeople people;
  private final DemoBuying buying;
  private final DemoDock dock;
  private final DemoPlans plans;
  private final DemoLarder larder;
  private final DemoPot pot;
  private final DemoClock clock;

  DemoDay(
      DemoPeople people,
      DemoBuying buying,
      DemoDock dock,
      DemoPlans plans,
      DemoLarder larder,
      DemoPot pot,
      DemoClock clock) {
    this.people = people;
    this.buying = buying;
    this.dock = dock;
    this.plans = plans;
    this.larder = larder;
    this.pot = pot;
    this.clock = clock;
  }

  /** What is loaded beside the first lots, in its order. */
  List<Runnable> rest(Named lantern, Named counter, List<Lot> planned) {
    return List.of(
        () -> people.as("ines", () -> buying.load(lantern, counter)),
        () ->
            people.as(
                "ines",
                () ->
                    plans.load(
                        counter, planned.get(0).id(), planned.get(1).id(), planned.get(2).id())),
        () -> people.as("tobiah", dock::load),
        () -> larder.load(lantern, counter),
        () -> pot.load(lantern, counter),
        () -> clock.load(lantern, counter));
  }
}
