package mosaicknife.app.homes;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import mosaicknife.app.buy.Order;
import mosaicknife.app.buy.OrderLine;
import mosaicknife.app.buy.OrderPlacer;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.buying.Offer;
import mosaicknife.core.plan.Choices;
import mosaicknife.core.plan.CutPlan;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.use.Coming;
import mosaicknife.core.use.OnHand;
import mosaicknife.core.use.UsePlan;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Sees the bones of the next days in the orders, while there is time to find them a home. */
@Component
class ComingPlanner {

  private static final int DAYS = 7;

  private final OrderPlacer orders;
  private final CatalogueEditor catalogue;
  private final HomePlanner planner;
  private final PlanDesk desk;
  private final HouseSettings houses;

  ComingPlanner(
      OrderPlacer orders,
      CatalogueEditor catalogue,
      HomePlanner planner,
      PlanDesk desk,
      HouseSettings houses) {
    this.orders = orders;
    this.catalogue = catalogue;
    this.planner = planner;
    this.desk = desk;
    this.houses = houses;
  }

  /**
   * What a day of deliveries leaves beside the plates.
   *
   * @param day the day
   * @param mass how much that is, an estimate
   * @param made what it can become
   * @param left what finds no home
   */
  record Day(String day, String mass, List<String> made, List<String> left) {}

  @Transactional(readOnly = true)
  public List<Day> days() {
    LocalDate today = houses.today();
    Map<LocalDate, List<OnHand>> byDay = new TreeMap<>();
    for (Order order : orders.expected()) {
      if (!order.deliverOn().isBefore(today) && order.deliverOn().isBefore(today.plusDays(DAYS))) {
        for (OrderLine line : order.lines()) {
          byDay
              .computeIfAbsent(order.deliverOn(), day -> new ArrayList<>())
              .addAll(parts(line, order.venueId()));
        }
      }
    }
    Map<Long, String> venues = houses.venueNames();
    Formats formats = houses.house().formats();
    return byDay.entrySet().stream()
        .filter(one -> !one.getValue().isEmpty())
        .map(one -> day(one.getKey(), one.getValue(), venues, formats))
        .toList();
  }

  private List<OnHand> parts(OrderLine line, long venue) {
    if (line.form() != Offer.Form.WHOLE || line.fish() < 1 || !line.mass().isPositive()) {
      return List.of();
    }
    CutPlan.Fish fish =
        new CutPlan.Fish(
            line.species(), line.state(), line.fish(), line.mass(), HouseNorms.STARTING);
    return Coming.parts("" + line.id(), CutPlan.of(fish, Choices.USUAL, catalogue.now()), venue);
  }

  private Day day(LocalDate day, List<OnHand> parts, Map<Long, String> venues, Formats formats) {
    UsePlan plan = desk.plan(planner.coming(parts));
    return new Day(
        formats.day(day),
        formats.about(Mass.total(parts.stream().map(OnHand::mass).toList())),
        plan.makings().stream()
            .map(
                making ->
                    formats.say(
                        "homes.said.coming-made",
                        making.units(),
                        making.wanted().use().name(),
                        venues.getOrDefault(making.wanted().venue(), "?"),
                        formats.about(making.mass())))
            .toList(),
        plan.left().stream()
            .map(
                left ->
                    formats.say(
                        "homes.said.coming-left",
                        left.part().name(),
                        formats.about(left.mass()),
                        formats.say(left.why()),
                        formats.say("UsePlan.Next." + left.next().name())))
            .toList());
  }
}
