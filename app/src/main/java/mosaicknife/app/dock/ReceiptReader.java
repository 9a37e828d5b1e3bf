package mosaicknife.app.dock;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.Supplier;
import java.util.stream.Stream;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.Permission;
import mosaicknife.app.buy.OrderLine;
import mosaicknife.app.buy.OrderPlacer;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.catalogue.FishNames;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.lot.Delivery;
import mosaicknife.app.shared.ClientIds;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Typed;
import mosaicknife.app.shared.Words;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.lot.Arrival;
import mosaicknife.core.lot.CatchMethod;
import mosaicknife.core.lot.Killing;
import mosaicknife.core.lot.LotRules;
import mosaicknife.core.lot.Origin;
import mosaicknife.core.lot.Receipt;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.PriceText;
import mosaicknife.core.quantity.QuantityFormatException;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.quantity.UnitPrice;
import org.springframework.stereotype.Component;

/** Understands a delivery as typed, or says field by field what is wrong with it. */
@Component
public class ReceiptReader {

  private final CatalogueEditor catalogue;
  private final HouseSettings houses;
  private final OrderPlacer orders;
  private final CurrentPerson current;

  private final Words words;

  ReceiptReader(
      CatalogueEditor catalogue,
      HouseSettings houses,
      OrderPlacer orders,
      CurrentPerson current,
      Words words) {
    this.words = words;
    this.catalogue = catalogue;
    this.houses = houses;
    this.orders = orders;
    this.current = current;
  }

  /**
   * Returns whether a price is shown to and taken from the person: who sees none sets none.
   *
   * @return false if the price is the agreed one, or to come
   */
  boolean takesPrice() {
    return current.may(Permission.SEE_COSTS);
  }

  private Optional<UnitPrice> agreed(String line) {
    OptionalLong number = line(line);
    if (number.isEmpty()) {
      return Optional.empty();
    }
    return orders.findByLine(number.getAsLong()).stream()
        .flatMap(order -> order.lines().stream())
        .filter(ordered -> ordered.id() == number.getAsLong())
        .map(OrderLine::price)
        .findFirst();
  }

  /**
   * What came of reading.
   *
   * @param delivery the delivery, if every field was understood
   * @param problems a sentence per field that was not, in the order of the form
   */
  public record ReadReceipt(Optional<Delivery> delivery, Map<String, String> problems) {}

  /**
   * Reads a delivery.
   *
   * @param form the delivery as typed
   * @return the delivery, or the problems
   */
  public ReadReceipt read(ReceiptForm form) {
    Map<String, String> problems = new LinkedHashMap<>();
    Formats formats = houses.house().formats();
    Optional<Species> species = field("species", problems, () -> species(form.species()));
    Optional<State> state =
        field(
            "state",
            problems,
            () -> choice(State.values(), form.state(), "state", "state on arrival"));
    Optional<Integer> fish =
        field(
            "fish",
            problems,
            () ->
                state.filter(State::isCut).isPresent()
                    ? 1
                    : Typed.count(form.fish(), 1, LotRules.MOST_FISH, "fish"));
    Optional<Mass> invoiced = field("invoiced", problems, () -> mass(paidFor(form), formats));
    Optional<Optional<Mass>> own =
        field(
            "own",
            problems,
            () -> form.own().isBlank() ? Optional.empty() : Optional.of(mass(form.own(), formats)));
    Optional<Optional<UnitPrice>> price =
        field(
            "price",
            problems,
            () -> takesPrice() ? Optional.of(price(form, formats)) : known(form, formats));
    Optional<String> supplier = field("supplier", problems, () -> supplier(form));
    Optional<Long> venue = field("venue", problems, () -> Typed.id(form.venue(), "venue"));
    Optional<Origin> origin =
        field("origin", problems, () -> choice(Origin.values(), form.origin(), "origin", "origin"));
    Optional<LocalDate> landed =
        field("landedOn", problems, () -> Typed.day(form.landedOn(), "landedOn"));
    Optional<String> note =
        field("note", problems, () -> PlainText.line(form.note(), 500, "note", FieldName.NOTE));
    Optional<Optional<Mass>> gross =
        field(
            "gross",
            problems,
            () ->
                form.gross().isBlank()
                    ? Optional.empty()
                    : Optional.of(mass(form.gross(), formats)));
    Optional<Optional<Temperature>> temperature =
        field(
            "temperature",
            problems,
            () ->
                form.temperature().isBlank()
                    ? Optional.empty()
                    : Optional.of(Temperature.parse(form.temperature())));
    Optional<String> area =
        field(
            "area", problems, () -> PlainText.line(form.area(), 80, "area", FieldName.CATCH_AREA));
    if (!problems.isEmpty()) {
      return new ReadReceipt(Optional.empty(), problems);
    }
    Receipt receipt =
        new Receipt(
            species.orElseThrow(),
            state.orElseThrow(),
            fish.orElseThrow(),
            invoiced.orElseThrow(),
            own.orElseThrow(),
            price.orElseThrow(),
            supplier.orElseThrow(),
            origin.orElseThrow(),
            landed.orElseThrow(),
            note.orElseThrow(),
            new Arrival(
                line(form.line()),
                gross.orElseThrow(),
                temperature.orElseThrow(),
                Typed.choice(CatchMethod.values(), form.method()),
                area.orElseThrow(),
                Stream.of(form.killing().split(","))
                    .flatMap(step -> Typed.choice(Killing.values(), step.strip()).stream())
                    .distinct()
                    .toList(),
                !form.scaled().isBlank(),
                !form.byCatch().isBlank()));
    return new ReadReceipt(
        Optional.of(new Delivery(ClientIds.of(form.id()), venue.orElseThrow(), receipt)), problems);
  }

  private <T> Optional<T> field(String name, Map<String, String> problems, Supplier<T> reader) {
    try {
      return Optional.of(reader.get());
    } catch (Refusal | QuantityFormatException e) {
      problems.put(name, words.say(e));
      return Optional.empty();
    }
  }

  private Species species(String typed) {
    if (typed.isBlank()) {
      throw Refusal.ofInput("dock.problem.which-fish-is-it-type");
    }
    return new FishNames(catalogue.now(), houses.house().formats())
        .meant(typed, "")
        .orElseThrow(
            () ->
                Refusal.ofInput(
                    "dock.problem.no-fish-here-is-called", Typed.shortened(typed.strip())));
  }

  private static <E extends Enum<E>> E choice(E[] values, String typed, String field, String what) {
    return Arrays.stream(values)
        .filter(value -> value.name().equals(typed))
        .findFirst()
        .orElseThrow(() -> Refusal.ofField(field, "dock.problem.the-is-missing-choose-one", what));
  }

  private static OptionalLong line(String typed) {
    return typed.matches("[0-9]{1,18}")
        ? OptionalLong.of(Long.parseLong(typed))
        : OptionalLong.empty();
  }

  private static Mass mass(String typed, Formats formats) {
    return MassText.parse(typed, formats.system().large()).mass();
  }

  private Optional<UnitPrice> known(ReceiptForm form, Formats formats) {
    return form.isOwnCatch() ? Optional.of(nothing(formats)) : agreed(form.line());
  }

  private static UnitPrice nothing(Formats formats) {
    return UnitPrice.ofPerKilogram(ExactMoney.zero(formats.currency()));
  }

  private static UnitPrice price(ReceiptForm form, Formats formats) {
    return form.isOwnCatch() && form.price().isBlank()
        ? nothing(formats)
        : PriceText.parse(form.price(), formats.system().large(), formats.currency()).price();
  }

  /** Nobody wrote an invoice for what the house caught: it is what the own scale says. */
  private static String paidFor(ReceiptForm form) {
    return form.isOwnCatch() && form.invoiced().isBlank() ? form.own() : form.invoiced();
  }

  private String supplier(ReceiptForm form) {
    return form.isOwnCatch() && form.supplier().isBlank()
        ? ""
        : PlainText.needed(form.supplier(), 80, "supplier", FieldName.SUPPLIER);
  }
}
