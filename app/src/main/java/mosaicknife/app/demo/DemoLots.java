package mosaicknife.app.demo;

import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import mosaicknife.app.account.DemoPeople;
import mosaicknife.app.bench.SimulatedFish;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.device.StandInPanel;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.house.Named;
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
import mosaicknife.core.cost.CostingMethod;
import mosaicknife.core.lot.Arrival;
import mosaicknife.core.lot.Held;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.lot.Origin;
import mosaicknife.core.lot.Receipt;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.quantity.UnitPrice;
import mosaicknife.core.scale.ScaleReading;
import mosaicknife.core.scale.ScaleReading.Motion;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Lots in every state of progress. */
@Component
@ConditionalOnProperty(name = "mosaic.demo", havingValue = "true")
class DemoLots {

  private static final Mass STEP = Mass.ofGrams(2);

  private final DemoPeople people;
  private final HouseSettings houses;
  private final LotRegister lots;
  private final WeighingRecorder bench;
  private final LotSheets sheets;
  private final PurposeAssigner purposes;
  private final SimulatedFish fish;
  private final CatalogueEditor catalogue;

  DemoLots(
      DemoPeople people,
      HouseSettings houses,
      LotRegister lots,
      WeighingRecorder bench,
      LotSheets sheets,
      PurposeAssigner purposes,
      SimulatedFish fish,
      CatalogueEditor catalogue) {
    this.people = people;
    this.houses = houses;
    this.lots = lots;
    this.bench = bench;
    this.sheets = sheets;
    this.purposes = purposes;
    this.fish = fish;
    this.catalogue = catalogue;
  }

  /** The lots that are planned next: a pollack, a plaice and an albacore. */
  List<Lot> load(Named lantern, Named counter) {
    List<Lot> planned = new ArrayList<>();
    people.as(
        "tobiah",
        () -> {
          finishedHake(lantern);
          weighedTurbot(lantern);
          planned.add(pollackOnTheBoard(lantern));
          hakeWithAForgottenTare(counter);
          planned.add(plaiceJustReceived(counter));
          threeGurnards(counter);
          planned.add(albacoreWaiting(lantern));
        });
    return planned;
  }

  private void finishedHake(Named venue) {
    Lot lot =
        receive(
            venue,
            "hake",
            State.GUTTED,
            1,
            "4.860",
            "4.860",
            "11.40",
            "Grey Skerry Landings",
            Origin.WILD,
            1,
            "Line-caught, for Friday's set menu");
    weigh(lot, "fins", Mass.ofKilograms("0.118"));
    weigh(lot, "gills", Mass.ofKilograms("0.062"));
    weigh(lot, "head", Mass.ofKilograms("0.985"));
    weigh(lot, "collar", Mass.ofKilograms("0.214"));
    weigh(lot, "fillet-left", Mass.ofKilograms("1.318"));
    weigh(lot, "fillet-right", Mass.ofKilograms("1.292"));
    weigh(lot, "belly", Mass.ofKilograms("0.172"));
    weigh(lot, "frame", Mass.ofKilograms("0.612"));
    people.as(
        "ines",
        () -> {
          assign(lot, "fins", Purpose.COMPOST, Use.PLAIN);
          assign(lot, "gills", Purpose.COMPOST, Use.PLAIN);
          assign(lot, "fillet-left", Purpose.PLATE, worth("hake, brown butter and capers", null));
          assign(lot, "fillet-right", Purpose.PLATE, worth("hake, brown butter and capers", null));
          assign(lot, "head", Purpose.POT, worth("white stock", "1.80"));
          assign(lot, "frame", Purpose.POT, worth("white stock", "1.80"));
          assign(lot, "belly", Purpose.SECOND_PLATE, worth("glazed on the grill", "9.00"));
          assign(lot, "collar", Purpose.SECOND_PLATE, worth("counter snack, fried", "8.00"));
          lots.costBy(
              lot.id(),
              lots.get(lot.id()).version(),
              CostingMethod.BY_PRODUCT_CREDIT,
              Optional.empty(),
              Optional.empty());
          lots.finish(lot.id(), lots.get(lot.id()).version());
        });
  }

  private void weighedTurbot(Named venue) {
    Lot lot =
        receive(
            venue,
            "turbot",
            State.GUTTED,
            1,
            "3.420",
            "3.404",
            "24.50",
            "Marram Quay Fish",
            Origin.WILD,
            1,
            "");
    weighAll(lot);
    people.as(
        "ines",
        () -> {
          for (LotPart part : sheets.get(lot.id()).parts()) {
            if (part.kind().code().equals("fillet")) {
              assign(lot, part.slot(), Purpose.PLATE, worth("turbot, sea herbs", null));
            }
          }
          assign(lot, "gills", Purpose.COMPOST, Use.PLAIN);
          assign(
              lot,
              "frame",
              Purpose.HOLD,
              new Use(
                  "stock on Saturday",
                  Optional.empty(),
                  Optional.of(
                      new Held(
                          houses.today().plusDays(3),
                          "Blast freezer, shelf 2",
                          people.idOf("tobiah")))));
        });
  }

  private Lot pollackOnTheBoard(Named venue) {
    Lot lot =
        receive(
            venue,
            "pollack",
            State.GUTTED,
            1,
            "3.950",
            "3.936",
            "8.20",
            "Holm Sound Boats",
            Origin.WILD,
            1,
            "");
    for (String slot : new String[] {"fins", "gills", "head", "collar", "fillet-left"}) {
      weigh(lot, slot, fish.massOf(sheets.get(lot.id()), slot, 1));
    }
    assign(lot, "fillet-left", Purpose.PLATE, Use.PLAIN);
    assign(lot, "gills", Purpose.COMPOST, Use.PLAIN);
    return lot;
  }

  /** The head was weighed on the steel tray and nobody pressed tare: the tally is over. */
  private void hakeWithAForgottenTare(Named venue) {
    Lot lot =
        receive(
            venue,
            "hake",
            State.GUTTED,
            1,
            "3.640",
            "3.640",
            "10.90",
            "Grey Skerry Landings",
            Origin.WILD,
            0,
            "");
    for (LotPart part : sheets.get(lot.id()).parts()) {
      Mass mass = fish.massOf(sheets.get(lot.id()), part.slot(), 1);
      boolean onTheTray = part.slot().equals("head");
      weigh(lot, part.slot(), onTheTray ? mass.plus(StandInPanel.TRAY) : mass);
    }
  }

  private Lot plaiceJustReceived(Named venue) {
    return receive(
        venue,
        "plaice",
        State.GUTTED,
        1,
        "1.260",
        "1.224",
        "9.80",
        "Marram Quay Fish",
        Origin.WILD,
        0,
        "Came short of the invoice, ask for a credit");
  }

  private void threeGurnards(Named venue) {
    Lot lot =
        receive(
            venue,
            "gurnard",
            State.UNGUTTED,
            3,
            "2.910",
            "2.898",
            "6.40",
            "Holm Sound Boats",
            Origin.WILD,
            0,
            "");
    for (String slot : new String[] {"fins", "guts", "gills", "head"}) {
      for (int number = 1; number <= 2; number++) {
        weigh(lot, slot, number, fish.massOf(sheets.get(lot.id()), slot, number));
      }
    }
  }

  private Lot albacoreWaiting(Named venue) {
    return receive(
        venue,
        "albacore",
        State.GUTTED_AND_GILLED,
        1,
        "14.200",
        "",
        "13.60",
        "Holm Sound Boats",
        Origin.WILD,
        1,
        "Keep below 4 °C all the way");
  }

  private Lot receive(
      Named venue,
      String species,
      State state,
      int count,
      String invoiced,
      String own,
      String price,
      String supplier,
      Origin origin,
      int landedDaysAgo,
      String note) {
    return lots.receive(
        new Delivery(
            UUID.randomUUID(),
            venue.id(),
            new Receipt(
                catalogue.now().getSpecies(species),
                state,
                count,
                Mass.ofKilograms(invoiced),
                own.isEmpty() ? Optional.empty() : Optional.of(Mass.ofKilograms(own)),
                Optional.of(price(price)),
                supplier,
                origin,
                houses.today().minusDays(landedDaysAgo),
                note,
                arrival(species))));
  }

  private void weighAll(Lot lot) {
    for (LotPart part : sheets.get(lot.id()).parts()) {
      weigh(lot, part.slot(), fish.massOf(sheets.get(lot.id()), part.slot(), 1));
    }
  }

  private void weigh(Lot lot, String slot, Mass mass) {
    weigh(lot, slot, 1, mass);
  }

  private void weigh(Lot lot, String slot, int fishNo, Mass mass) {
    long steps = mass.wholeTimes(STEP);
    ScaleReading reading =
        new ScaleReading(STEP.multipliedBy(steps), Mass.ZERO, Motion.STEADY, STEP);
    bench.take(
        new Take(
            UUID.randomUUID(), lot.id(), slot, fishNo, Entry.of(reading), Optional.empty(), ""));
  }

  private void assign(Lot lot, String slot, Purpose purpose, Use use) {
    LotSheet sheet = sheets.get(lot.id());
    purposes.assign(lot.id(), slot, sheet.find(slot).orElseThrow().version(), purpose, use);
  }

  private static Use worth(String becomes, String perKilogram) {
    return new Use(
        becomes, Optional.ofNullable(perKilogram).map(DemoLots::price), Optional.empty());
  }

  private static UnitPrice price(String perKilogram) {
    return UnitPrice.ofPerKilogram(ExactMoney.of(perKilogram, Currency.getInstance("EUR")));
  }

  /** Pollack and albacore came while nobody had the thermometer at hand. */
  private static Arrival arrival(String species) {
    return List.of("pollack", "albacore").contains(species)
        ? Arrival.UNASKED
        : new Arrival(
            OptionalLong.empty(),
            Optional.empty(),
            Optional.of(new Temperature(12)),
            Optional.empty(),
            "",
            Optional.empty());
  }
}
