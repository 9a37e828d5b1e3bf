package mosaicknife.app.demo;

import java.util.ArrayList;
import java.util.List;
import mosaicknife.app.account.DemoPeople;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.house.Named;
import mosaicknife.app.house.TrayEditor;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Loads the demo once: people, suppliers and lots in every state of progress. */
@Component
@ConditionalOnProperty(name = "mosaic.demo", havingValue = "true")
class DemoData implements ApplicationRunner {

  private static final Logger LOG = LoggerFactory.getLogger(DemoData.class);

  private final DemoPeople people;
  private final HouseSettings houses;
  private final TrayEditor trays;
  private final DemoLots lots;
  private final DemoDay day;
  private final TransactionTemplate transaction;

  DemoData(
      DemoPeople people,
      HouseSettings houses,
      TrayEditor trays,
      DemoLots lots,
      DemoDay day,
      TransactionTemplate transaction) {
    this.people = people;
    this.houses = houses;
    this.trays = trays;
    this.lots = lots;
    this.day = day;
    this.transaction = transaction;
  }

  /** All or nothing: a load that was killed half-way starts from the beginning next time. */
  @Override
  public void run(ApplicationArguments args) {
    if (people.areThere()) {
      return;
    }
    transaction.executeWithoutResult(status -> load());
    LOG.info("The demo data of Saltmarsh Row are loaded");
  }

  private void load() {
    houses.found("Saltmarsh Row", "Lantern House", "EUR", "UTC");
    people.add();
    List<Named> venues = new ArrayList<>();
    people.as(
        "adaeze",
        () -> {
          venues.add(houses.addVenue("Lantern House"));
          venues.add(houses.addVenue("Low Tide Counter"));
          // the trays beside the scale, made up like everything here
          trays.add("Small dish", "96 g");
          trays.add("Steel tray", "212 g");
          trays.add("Deep tray", "385 g");
          trays.add("Blue tub", "640 g");
        });
    Named lantern = venues.get(0);
    Named counter = venues.get(1);
    // on a database that a load was cut off in, the first lot is not number one
    List<Runnable> rest = day.rest(lantern, counter, lots.load(lantern, counter));
    for (int i = 0; i < rest.size(); i++) {
      // read by ./mosaic, which shows it
      LOG.info("Progress: demo data, {} of {}", i + 1, rest.size());
      rest.get(i).run();
    }
  }
}
