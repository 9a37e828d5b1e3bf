package mosaicknife.app.dock;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import mosaicknife.app.buy.Order;
import mosaicknife.app.buy.OrderLine;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.buying.Offer.Form;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;

/**
 * What came against what was ordered.
 *
 * @param order the order
 * @param line the line a lot came for
 * @param came how many fish came for it so far, over all lots
 * @param sentences what differs, one sentence each; empty if all is as ordered
 * @param missing how many fish are missing, 0 if none
 */
public record OrderMatch(
    Order order, OrderLine line, int came, List<String> sentences, int missing) {

  /**
   * Compares a lot with the line it came for.
   *
   * @param lot the lot
   * @param order the order of the line
   * @param all all lots that came for the order
   * @param formats how the house writes numbers
   * @param withPrices whether prices may be spoken of
   * @return the comparison, or empty if the lot was not ordered
   */
  public static Optional<OrderMatch> of(
      Lot lot, Order order, List<Lot> all, Formats formats, boolean withPrices) {
    return order.lines().stream()
        .filter(line -> isFor(lot, line))
        .findFirst()
        .map(line -> compare(lot, order, line, came(line, all), formats, withPrices));
  }

  static boolean isFor(Lot lot, OrderLine line) {
    return lot.arrival().orderLine().isPresent()
        && lot.arrival().orderLine().getAsLong() == line.id();
  }

  static int came(OrderLine line, List<Lot> all) {
    return all.stream().filter(lot -> isFor(lot, line)).mapToInt(Lot::fish).sum();
  }

  private static OrderMatch compare(
      Lot lot, Order order, OrderLine line, int came, Formats formats, boolean withPrices) {
    List<String> sentences = new ArrayList<>();
    boolean whole = line.form() == Form.WHOLE;
    int missing = whole ? Math.max(0, line.fish() - came) : 0;
    if (!lot.species().code().equals(line.species().code())) {
      sentences.add(
          formats.say(
              "dock.said.substituted-came-instead-of",
              lot.species().name().toLowerCase(Locale.ROOT),
              line.species().name().toLowerCase(Locale.ROOT)));
    }
    if (missing > 0) {
      sentences.add(formats.say("dock.said.short-by-fish-of-came", missing, came, line.fish()));
    }
    if (whole && came > line.fish()) {
      sentences.add(
          formats.say("dock.said.fish-too-many-came-were", came - line.fish(), came, line.fish()));
    }
    if (whole && lot.state() != line.state()) {
      sentences.add(
          formats.say(
              "dock.said.it-came-ordered",
              formats.say(lot.state()).toLowerCase(Locale.ROOT),
              formats.say(line.state()).toLowerCase(Locale.ROOT)));
    }
    if (whole) {
      size(lot, line, formats).ifPresent(sentences::add);
    }
    if (withPrices && lot.price().compareTo(line.price()) > 0) {
      ExactMoney more = lot.price().times(lot.invoiced()).minus(line.price().times(lot.invoiced()));
      sentences.add(
          formats.say(
              "dock.said.invoiced-at-agreed-too-much",
              formats.price(lot.price()),
              formats.price(line.price()),
              formats.money(more)));
    }
    return new OrderMatch(order, line, came, sentences, missing);
  }

  private static Optional<String> size(Lot lot, OrderLine line, Formats formats) {
    Mass mean = lot.receipt().meanFish();
    if (line.grade().contains(mean)) {
      return Optional.empty();
    }
    return Optional.of(
        formats.say(
            "dock.said.another-size-each-ordered",
            formats.mass(mean),
            formats.range(line.grade().from(), line.grade().to())));
  }
}
