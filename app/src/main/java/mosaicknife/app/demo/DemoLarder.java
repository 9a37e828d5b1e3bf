package mosaicknife.app.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import mosaicknife.app.account.DemoPeople;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.homes.UseBook;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.house.Named;
import mosaicknife.app.larder.ItemKeeper;
import mosaicknife.app.larder.KeepingDays;
import mosaicknife.app.larder.LarderKeeper;
import mosaicknife.app.lot.Delivery;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.parts.PurposeAssigner;
import mosaicknife.app.parts.Use;
import mosaicknife.app.weighing.Entry;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.app.weighing.Take;
import mosaicknife.app.weighing.WeighingRecorder;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.heat.Chilled;
import mosaicknife.core.larder.Entry.Out;
import mosaicknife.core.larder.Shelved;
import mosaicknife.core.lot.Arrival;
import mosaicknife.core.lot.Held;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.Origin;
import mosaicknife.core.lot.Receipt;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.quantity.UnitPrice;
import mosaicknife.core.safety.FoodState;
import mosaicknife.core.use.FishUse.Equipment;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Shelves worth looking at: yesterday's hake and mackerel, what was made of them, what lapses. */
@Component
@ConditionalOnProperty(name = "mosaic.demo", havingValue = "true")
class DemoLarder {

  private static final Duration COOLED = Duration.ofHours(3);

  private static final Map<String, String> HAKE =
      Map.of(
          "fins",
          "0.208",
          "gills",
          "0.098",
          "head",
          "1.604",
          "collar",
          "0.372",
          "fillet-left",
          "2.210",
          "fillet-right",
          "2.150",
          "belly",
          "0.290",
          "frame",
          "1.020");

  private final DemoPeople people;
  private final HouseSettings houses;
  private final CatalogueEditor catalogue;
  private final LotRegister lots;
  private final WeighingRecorder bench;
  private final LotSheets sheets;
  private final PurposeAssigner purposes;
  private final LarderKeeper larder;
  private final KeepingDays days;
  private final ItemKeeper items;
  private final UseBook book;
  private final Clock clock;

  DemoLarder(
      DemoPeople people,
      HouseSettings houses,
      CatalogueEditor catalogue,
      LotRegister lots,
      WeighingRecorder bench,
      LotSheets sheets,
      PurposeAssigner purposes,
      LarderKeeper larder,
      KeepingDays days,
      ItemKeeper items,
      UseBook book,
      Clock clock) {
    this.people = people;
    this.houses = houses;
    this.catalogue = catalogue;
    this.lots = lots;
    this.bench = bench;
    this.sheets = sheets;
    this.purposes = purposes;
    this.larder = larder;
    this.days = days;
    this.items = items;
    this.book = book;
    this.clock = clock;
  }

  void load(Named lantern, Named counter) {
    people.as(
        "ines",
        () -> {
          takes(lantern, counter);
          long hake = hake(counter);
          shelves(hake, lantern, counter);
        });
  }

  private void takes(Named lantern, Named counter) {
    book.want(lantern.id(), "clear-stock", 8);
    book.want(lantern.id(), "quick-fumet", 4);
    book.want(lantern.id(), "soup-to-pick", 6);
    book.want(lantern.id(), "belly-glazed", 6);
    book.want(lantern.id(), "cheek-dumplings", 24);
    book.want(counter.id(), "fried-wings", 18);
    book.want(counter.id(), "oily-fish-soup", 6);
    book.want(counter.id(), "fish-cakes", 24);
    book.want(counter.id(), "rillettes", 12);
    book.want(counter.id(), "frozen-bones", 4);
    book.equip(lantern.id(), Equipment.KETTLE, 14);
    book.equip(counter.id(), Equipment.FRYER, 60);
    book.equip(counter.id(), Equipment.FREEZER, 6000);
    book.hands(lantern.id(), 150);
    book.hands(counter.id(), 90);
  }

  private long hake(Named venue) {
    LocalDate today = houses.today();
    Mass whole = Mass.ofKilograms("8.100");
    Lot lot =
        lots.receive(
            new Delivery(
                UUID.randomUUID(),
                venue.id(),
                new Receipt(
                    catalogue.now().getSpecies("hake"),
                    State.GUTTED,
                    1,
                    whole,
                    Optional.of(whole),
                    Optional.of(
                        UnitPrice.ofPerKilogram("11.80", houses.house().formats().currency())),
                    "Grey Skerry Landings",
                    Origin.WILD,
                    today.minusDays(1),
                    "",
                    new Arrival(
                        OptionalLong.empty(),
                        Optional.empty(),
                        Optional.of(new Temperature(8)),
                        Optional.empty(),
                        "",
                        Optional.empty()))));
    for (LotPart part : sheets.get(lot.id()).parts()) {
      bench.take(
          new Take(
              UUID.randomUUID(),
              lot.id(),
              part.slot(),
              1,
              Entry.of(MassText.parse(HAKE.get(part.slot()) + " kg", MassUnit.KILOGRAM)),
              Optional.empty(),
              ""));
    }
    decide(lot, Purpose.PLATE, Use.PLAIN, "fillet-left");
    decide(lot, Purpose.COMPOST, Use.PLAIN, "gills", "fins");
    decide(lot, Purpose.SECOND_PLATE, Use.PLAIN, "belly");
    decide(lot, Purpose.POT, Use.PLAIN, "head");
    hold(lot, "Blast freezer, shelf 2", today.plusDays(4), "frame");
    hold(lot, "Walk-in, ageing rack", today.plusDays(5), "fillet-right");
    hold(lot, "Counter fridge", today, "collar");
    lots.finish(lot.id(), lots.get(lot.id()).version());
    return lot.id();
  }

  private void decide(Lot lot, Purpose purpose, Use use, String... slots) {
    for (String slot : slots) {
      int version = sheets.get(lot.id()).find(slot).orElseThrow().version();
      purposes.assign(lot.id(), slot, version, purpose, use);
    }
  }

  private void hold(Lot lot, String place, LocalDate until, String slot) {
    Held held = new Held(until, place, people.idOf("tobiah"));
    decide(lot, Purpose.HOLD, new Use("", Optional.empty(), Optional.of(held)), slot);
  }

  private void shelves(long lot, Named lantern, Named counter) {
    LocalDate today = houses.today();
    long ines = people.idOf("ines");
    String head =
        larder.put(
            UUID.randomUUID(),
            lot,
            "head",
            Optional.of(Mass.ofGrams(700)),
            Optional.of(today.plusDays(1)),
            new Shelved.Spot(counter.id(), "Counter fridge", ines));
    items.send(UUID.randomUUID(), head, lantern.id());
    String stock =
        larder.make(
            UUID.randomUUID(),
            away("clear-stock", "1.800 kg", 2, today.plusDays(2), lantern, "Walk-in, low shelf"),
            List.of(LarderKeeper.Input.part(lot, "head", Mass.ofGrams(850))));
    String rillettes =
        larder.make(
            UUID.randomUUID(),
            away("rillettes", "0.360 kg", 4, today.plusDays(3), counter, "Counter fridge"),
            List.of(LarderKeeper.Input.part(lot, "belly", Mass.ofGrams(290))));
    Instant now = clock.instant();
    for (String cooked : List.of(stock, rillettes)) {
      items.chilled(
          cooked,
          new Chilled(
              Temperature.ofCelsius(4), now, now.minus(COOLED), "probe 1", Optional.empty()));
    }
    items.takeUnits(UUID.randomUUID(), rillettes, 1, Out.EATEN, "");
    items.take(UUID.randomUUID(), stock, Optional.of(Mass.ofGrams(450)), Out.EATEN, "");
  }

  private LarderKeeper.PutAway away(
      String use, String mass, int units, LocalDate until, Named venue, String place) {
    var made = book.get(use);
    return new LarderKeeper.PutAway(
        made.name(),
        Optional.of(use),
        MassText.parse(mass, MassUnit.KILOGRAM).mass(),
        units,
        new mosaicknife.core.use.Batch(made, Mass.ofGrams(400), Mass.ofGrams(400))
            .outlay(houses.house().labourPerHour(), units, Map.of()),
        made.allergens(),
        new Shelved.Traits(false, false, false),
        until,
        days.keeping(Optional.of(FoodState.COOKED), false, List.of()),
        FoodState.COOKED,
        new Shelved.Spot(venue.id(), place, people.idOf("tobiah")));
  }
}
