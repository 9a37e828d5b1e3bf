package mosaicknife.app.exchange;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.quantity.Mass;

/**
 * A lot for other programs. Masses are grams; the price is there for those who may see costs.
 *
 * @param id the lot number
 * @param species the code of the species
 * @param speciesName its name
 * @param state the state on arrival
 * @param fish how many fish
 * @param invoicedGrams the mass on the invoice
 * @param ownGrams the mass on the own scale, if weighed
 * @param pricePerKilogram the price, if the caller may see costs
 * @param currency its currency, likewise
 * @param supplier the supplier
 * @param venue the venue
 * @param origin wild or farmed
 * @param landedOn when it was landed
 * @param receivedAt when it was received
 * @param finishedAt when it was closed, if it is
 * @param verdict whether the tally adds up
 * @param talliedGrams what was weighed so far
 * @param remainderGrams what the parts leave of the fish
 * @param parts the parts in cutting order
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
record LotJson(
    long id,
    String species,
    String speciesName,
    State state,
    int fish,
    BigDecimal invoicedGrams,
    BigDecimal ownGrams,
    BigDecimal pricePerKilogram,
    String currency,
    String supplier,
    String venue,
    String origin,
    LocalDate landedOn,
    Instant receivedAt,
    Instant finishedAt,
    String verdict,
    BigDecimal talliedGrams,
    BigDecimal remainderGrams,
    List<PartJson> parts) {

  /**
   * A part of a lot.
   *
   * @param part its code within the lot
   * @param name its name
   * @param kind its kind
   * @param purpose what it is for, if decided
   * @param expectedGrams what it should weigh by the norm: an estimate
   * @param measuredGrams what was weighed of it, if anything
   */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record PartJson(
      String part,
      String name,
      String kind,
      Purpose purpose,
      BigDecimal expectedGrams,
      BigDecimal measuredGrams) {

    private static PartJson of(LotPart part) {
      return new PartJson(
          part.slot(),
          part.name(),
          part.kind().code(),
          part.purpose().orElse(null),
          part.expected().map(Mass::inGrams).orElse(null),
          part.isStarted() ? part.mass().inGrams() : null);
    }
  }

  static LotJson of(LotSheet sheet, boolean withCosts) {
    Lot lot = sheet.lot();
    return new LotJson(
        lot.id(),
        lot.species().code(),
        lot.species().name(),
        lot.state(),
        lot.fish(),
        lot.invoiced().inGrams(),
        lot.own().map(Mass::inGrams).orElse(null),
        withCosts ? lot.price().map(price -> price.perKilogram().amount()).orElse(null) : null,
        withCosts ? lot.currency().getCurrencyCode() : null,
        lot.supplier(),
        lot.venue().name(),
        lot.origin().name(),
        lot.landedOn(),
        lot.receivedAt(),
        lot.finishedAt().orElse(null),
        sheet.balance().verdict().name(),
        sheet.balance().tallied().inGrams(),
        sheet.balance().remainder().inGrams(),
        sheet.parts().stream().map(PartJson::of).toList());
  }
}
