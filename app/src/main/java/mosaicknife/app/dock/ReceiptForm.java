package mosaicknife.app.dock;

import java.util.List;
import java.util.UUID;
import mosaicknife.app.buy.Order;
import mosaicknife.app.buy.OrderLine;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.buying.Offer.Form;

/**
 * A delivery as typed: every field a text, to be understood by {@link ReceiptReader}. A field that
 * was not sent is empty.
 *
 * @param id the identifier the sender made; a fresh one if none came
 * @param species the code of the species or any of its names
 * @param state the state on arrival
 * @param fish how many fish; one if none came
 * @param invoiced the weight on the invoice
 * @param own the weight on the own scale
 * @param price the price
 * @param supplier the supplier
 * @param venue the number of the venue
 * @param origin wild or farmed
 * @param landedOn when it was landed
 * @param note a remark
 * @param line the number of the order line it came for
 * @param gross the weight with ice and box
 * @param temperature the temperature at receipt
 * @param method how it was caught
 * @param area where it was caught
 * @param killing how it was killed, the steps by name with commas
 * @param scaled anything if it came without its scales
 * @param byCatch anything if it is by-catch
 * @param ownCatch anything if the house caught it: it needs neither supplier nor price
 */
public record ReceiptForm(
    String id,
    String species,
    String state,
    String fish,
    String invoiced,
    String own,
    String price,
    String supplier,
    String venue,
    String origin,
    String landedOn,
    String note,
    String line,
    String gross,
    String temperature,
    String method,
    String area,
    String killing,
    String scaled,
    String byCatch,
    String ownCatch) {

  /** Puts an empty text where nothing was sent. */
  public ReceiptForm {
    id = or(id, UUID.randomUUID().toString());
    species = or(species, "");
    state = or(state, "");
    fish = or(fish, "1");
    invoiced = or(invoiced, "");
    own = or(own, "");
    price = or(price, "");
    supplier = or(supplier, "");
    venue = or(venue, "");
    origin = or(origin, "");
    landedOn = or(landedOn, "");
    note = or(note, "");
    line = or(line, "");
    gross = or(gross, "");
    temperature = or(temperature, "");
    method = or(method, "");
    area = or(area, "");
    killing = or(killing, "");
    scaled = or(scaled, "");
    byCatch = or(byCatch, "");
    ownCatch = or(ownCatch, "");
  }

  /**
   * The form for a line that is expected, filled in with what was ordered; the agreed price only
   * for those who may see it.
   */
  static ReceiptForm expected(Order order, long lineId, boolean withPrice) {
    OrderLine line = order.lines().stream().filter(l -> l.id() == lineId).findFirst().orElseThrow();
    return new ReceiptForm(
        null,
        line.species().code(),
        (line.form() == Form.FILLET ? State.FILLETS : line.state()).name(),
        "" + Math.max(1, line.fish()),
        "",
        "",
        withPrice
            ? line.price().perKilogram().amount().stripTrailingZeros().toPlainString() + "/kg"
            : "",
        order.supplier(),
        "" + order.venueId(),
        "",
        "",
        "",
        "" + lineId,
        "",
        "",
        "",
        "",
        "",
        "",
        "",
        "");
  }

  /** Whether a step of killing was ticked. */
  public boolean isKilledBy(String step) {
    return List.of(killing.split(",")).contains(step);
  }

  /** Whether the house caught it itself. */
  boolean isOwnCatch() {
    return !ownCatch.isBlank();
  }

  private static String or(String text, String otherwise) {
    return text == null ? otherwise : text;
  }
}
