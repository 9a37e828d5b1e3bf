package mosaicknife.app;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import mosaicknife.app.account.DemoPeople;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.house.HouseSettings;
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
import mosaicknife.core.lot.Arrival;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.Origin;
import mosaicknife.core.lot.Receipt;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.quantity.UnitPrice;
import org.springframework.context.ApplicationContext;

/** Receives lots for tests, as the butcher of the demo, at the first venue of the house. */
public final class TestLots {

  private final ApplicationContext app;
  private final List<Long> received = new ArrayList<>();

  /** In an application with the demo. */
  public TestLots(ApplicationContext app) {
    this.app = app;
  }

  /** Receives wild fish of today at 12.00/kg and returns the number of the lot. */
  public long receive(String species, State state, int count, String kilograms) {
    return receive(species, state, count, kilograms, "12");
  }

  /** The same at another price a kilogram. */
  public long receive(String species, State state, int count, String kilograms, String price) {
    return receive(species, state, count, kilograms, price, Arrival.UNASKED);
  }

  /** The same, with its temperature measured. */
  public long receive(
      String species, State state, int count, String kilograms, Temperature measured) {
    return receive(
        species,
        state,
        count,
        kilograms,
        "12",
        new Arrival(
            OptionalLong.empty(),
            Optional.empty(),
            Optional.of(measured),
            Optional.empty(),
            "",
            Optional.empty()));
  }

  private long receive(
      String species, State state, int count, String kilograms, String price, Arrival arrival) {
    Mass mass = Mass.ofKilograms(kilograms);
    Lot[] made = new Lot[1];
    app.getBean(DemoPeople.class)
        .as(
            "tobiah",
            () ->
                made[0] =
                    app.getBean(LotRegister.class)
                        .receive(
                            new Delivery(
                                UUID.randomUUID(),
                                app.getBean(HouseSettings.class).venues().get(0).id(),
                                new Receipt(
                                    app.getBean(CatalogueEditor.class).now().getSpecies(species),
                                    state,
                                    count,
                                    mass,
                                    Optional.of(mass),
                                    Optional.of(
                                        UnitPrice.ofPerKilogram(
                                            price, Currency.getInstance("EUR"))),
                                    "Holm Sound Boats",
                                    Origin.WILD,
                                    LocalDate.now(ZoneOffset.UTC),
                                    "",
                                    arrival))));
    received.add(made[0].id());
    return made[0].id();
  }

  /** Weighs a part of the first fish, such as {@code 1.318 kg}. */
  public void weigh(long lot, String slot, String mass) {
    app.getBean(DemoPeople.class)
        .as(
            "tobiah",
            () ->
                app.getBean(WeighingRecorder.class)
                    .take(
                        new Take(
                            UUID.randomUUID(),
                            lot,
                            slot,
                            1,
                            Entry.of(MassText.parse(mass, MassUnit.KILOGRAM)),
                            Optional.empty(),
                            "")));
  }

  /** Weighs a part and gives it to the plate of a dish; of none if its name is empty. */
  public void weighForThePlate(long lot, String slot, String mass, String dish) {
    weigh(lot, slot, mass);
    app.getBean(DemoPeople.class)
        .as(
            "ines",
            () ->
                app.getBean(PurposeAssigner.class)
                    .assign(
                        lot,
                        slot,
                        app.getBean(LotSheets.class).get(lot).find(slot).orElseThrow().version(),
                        Purpose.PLATE,
                        new Use(dish, Optional.empty(), Optional.empty())));
  }

  /** Closes what was received here, so that nobody's clock or plan still counts with it. */
  public void close() {
    LotRegister lots = app.getBean(LotRegister.class);
    app.getBean(DemoPeople.class)
        .as(
            "tobiah",
            () ->
                lots.all(received).stream()
                    .filter(lot -> !lot.isFinished())
                    .forEach(lot -> lots.finish(lot.id(), lot.version())));
    received.clear();
  }
}
