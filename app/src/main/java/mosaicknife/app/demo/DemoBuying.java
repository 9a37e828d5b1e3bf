package mosaicknife.app.demo;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import mosaicknife.app.buy.Dish;
import mosaicknife.app.buy.DishEditor;
import mosaicknife.app.buy.DishForm;
import mosaicknife.app.buy.OrderPlacer;
import mosaicknife.app.buy.PlanWish;
import mosaicknife.app.buy.PriceKeeper;
import mosaicknife.app.buy.ProfileName;
import mosaicknife.app.buy.PurchasePlanner;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.house.Named;
import mosaicknife.app.house.SupplierEditor;
import mosaicknife.app.house.SupplierForm;
import mosaicknife.core.buying.Demand;
import mosaicknife.core.buying.Demand.Per;
import mosaicknife.core.portion.Serving.Form;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** The buying side of the demo: six dishes, three suppliers' lists over three weeks, two orders. */
@Component
@ConditionalOnProperty(name = "mosaic.demo", havingValue = "true")
class DemoBuying {

  private static final String GREY_SKERRY =
      """
      fish;form;state;size;price
      hake;whole;gutted;0.8-1.5 kg;%s
      hake;whole;gutted;1.5-2.5 kg;%s
      hake;whole;gutted;2.5-4 kg;%s
      pollack;whole;gutted;2-4 kg;%s
      gurnard;whole;ungutted;0.6-1.2 kg;%s
      monkfish;whole;gutted;3-6 kg;%s
      """;

  private static final String MARRAM_QUAY =
      """
      fish,form,state,size,price
      turbot,whole,gutted,2.5-4 kg,%s
      plaice,whole,gutted,0.5-1 kg,%s
      thornback ray,whole,gutted,2-4 kg,%s
      hake,fillet,,,%s
      farmed trout,whole,gutted,1-3 kg,%s
      """;

  private static final String HOLM_SOUND =
      """
      fish;form;state;size;price
      mackerel;whole;ungutted;0.3-0.5 kg;%s
      albacore;whole;gutted and gilled;8-12 kg;%s
      cod;whole;gutted;2-4 kg;%s
      pollack;whole;gutted;4-9 kg;%s
      """;

  private final DishEditor dishes;
  private final PriceKeeper prices;
  private final PurchasePlanner plans;
  private final OrderPlacer orders;
  private final HouseSettings houses;
  private final SupplierEditor suppliers;

  DemoBuying(
      DishEditor dishes,
      PriceKeeper prices,
      PurchasePlanner plans,
      OrderPlacer orders,
      HouseSettings houses,
      SupplierEditor suppliers) {
    this.dishes = dishes;
    this.prices = prices;
    this.plans = plans;
    this.orders = orders;
    this.houses = houses;
    this.suppliers = suppliers;
  }

  void load(Named lantern, Named counter) {
    LocalDate today = houses.today();
    lists(today.minusDays(14), "10.20", "11.60", "12.90", "8.60", "6.10", "17.50");
    lists(today.minusDays(7), "10.60", "12.10", "13.40", "8.20", "6.40", "17.90");
    lists(today, "10.40", "11.40", "12.60", "8.20", "6.40", "18.40");
    supplier("Grey Skerry Landings", "Odell", "0555 0101", "Order by 3 pm", DayOfWeek.SUNDAY);
    supplier("Marram Quay Fish", "Sunniva", "0555 0102", "", DayOfWeek.SUNDAY, DayOfWeek.MONDAY);
    supplier("Holm Sound Boats", "the auction desk", "0555 0103", "Only what was landed");
    Dish hake =
        dish(
            "Hake, brown butter and capers",
            lantern,
            "180 g",
            "SKIN_ON",
            Form.SLICES,
            "26",
            "hake\npollack\ngurnard");
    want(hake, 24, 4, 38, 6);
    Dish turbot =
        dish(
            "Turbot, sea herbs",
            lantern,
            "190 g",
            "SKIN_ON",
            Form.SLICES,
            "42",
            "turbot\nmonkfish");
    want(turbot, 12, 3, 22, 4);
    Dish ray =
        dish("Ray wing, burnt lemon", lantern, "220 g", "SKINLESS", Form.SLICES, "24", "ray");
    want(ray, 10, 3, 16, 4);
    Dish fry =
        dish(
            "Fish and chips of the counter",
            counter,
            "150 g",
            "SKINLESS",
            Form.SLICES,
            "16.50",
            "pollack\nhake\ngurnard");
    want(fry, 30, 6, 60, 9);
    Dish plaice =
        dish("Plaice on the bone", counter, "170 g", "SKIN_ON", Form.SHARED, "21", "plaice");
    want(plaice, 12, 3, 20, 4);
    Dish albacore =
        dish(
            "Albacore, seared",
            counter,
            "120 g",
            "BLOCKS",
            Form.SLICES,
            "19",
            "albacore\nmackerel");
    want(albacore, 18, 4, 30, 5);
    PlanWish weekend = new PlanWish(ProfileName.WEEKEND, Per.SERVICE, 90, 0, 8);
    plans.order(turbot.id(), weekend, Optional.empty(), today.plusDays(1), UUID.randomUUID());
    plans.order(albacore.id(), weekend, Optional.empty(), today.plusDays(1), UUID.randomUUID());
    long placed = plans.order(hake.id(), weekend, Optional.empty(), today, UUID.randomUUID());
    orders.place(placed, orders.get(placed).version());
  }

  /** Notes whom to call at a supplier, and on which days it stays in harbour. */
  private void supplier(
      String name, String contact, String phone, String note, DayOfWeek... without) {
    Set<DayOfWeek> days = EnumSet.allOf(DayOfWeek.class);
    days.removeAll(Set.of(without));
    suppliers.change(suppliers.add(name), new SupplierForm(contact, phone, note, days));
  }

  private void lists(LocalDate day, String... grey) {
    prices.takeIn("Grey Skerry Landings", day, GREY_SKERRY.formatted((Object[]) grey));
    prices.takeIn(
        "Marram Quay Fish", day, MARRAM_QUAY.formatted("24.50", "9.80", "7.40", "29.50", "8.90"));
    prices.takeIn("Holm Sound Boats", day, HOLM_SOUND.formatted("5.20", "13.60", "9.90", "8.60"));
  }

  /** Butter, herbs and what grows on the side; and a third of the price. */
  private static final String GARNISH = "0.90";

  private static final String LIMIT = "30";

  private Dish dish(
      String name, Named venue, String portion, String cut, Form form, String price, String fish) {
    return dishes.add(
        new DishForm(
            name,
            "" + venue.id(),
            portion,
            "5",
            form.name(),
            "1",
            form == Form.SLICES ? "yes" : "",
            cut,
            price,
            price.isEmpty() ? "" : GARNISH,
            price.isEmpty() ? "" : LIMIT,
            "",
            List.of("MILK"),
            fish,
            0));
  }

  private void want(Dish dish, int midweek, int forecastError, int weekend, int weekendError) {
    dishes.want(dish.id(), ProfileName.MIDWEEK, new Demand(midweek, forecastError, Per.SERVICE));
    dishes.want(dish.id(), ProfileName.WEEKEND, new Demand(weekend, weekendError, Per.SERVICE));
  }
}
