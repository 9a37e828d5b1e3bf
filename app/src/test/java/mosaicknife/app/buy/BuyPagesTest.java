package mosaicknife.app.buy;

import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mosaicknife.app.Sentences;
import mosaicknife.app.WithPages;
import mosaicknife.app.buy.PriceKeeper.Confirmed;
import mosaicknife.app.house.Supplier;
import mosaicknife.app.house.SupplierEditor;
import mosaicknife.app.house.SupplierForm;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.buying.Demand;
import mosaicknife.core.buying.Demand.Per;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Dishes, prices, plans and orders on a real PostgreSQL and on their pages. */
public class BuyPagesTest extends WithPages {

  private static final PlanWish WEEKEND = new PlanWish(ProfileName.WEEKEND, Per.SERVICE, 90, 0, 8);

  @Autowired private SupplierEditor suppliers;
  @Autowired private DishEditor dishes;
  @Autowired private PriceKeeper prices;
  @Autowired private PurchasePlanner plans;
  @Autowired private OrderPlacer orders;
  @Autowired private JdbcClient jdbc;
  @Autowired private Clock clock;

  private Dish dish(String name) {
    return dishes.all().stream().filter(d -> d.name().startsWith(name)).findFirst().orElseThrow();
  }

  private LocalDate tomorrow() {
    return LocalDate.now(clock).plusDays(1);
  }

  private long priceCount() {
    return jdbc.sql("select count(*) from price").query(Long.class).single();
  }

  @Test
  public void aPriceHeardOnThePhoneIsAFishAndAFigure() throws Exception {
    String look =
        follow(
            "ines",
            "/buy/prices/heard",
            "supplier",
            "Holm Sound Boats",
            "fish",
            "gurnard",
            "price",
            "6.45");
    assertTrue(look.contains("6.45"), look);
    assertTrue(look.contains("Tub gurnard"), "it says which fish was understood");
    String odd =
        follow(
            "ines",
            "/buy/prices/heard",
            "supplier",
            "Holm Sound Boats",
            "fish",
            "a \"thing\"; of the sea",
            "price",
            "cheap");
    assertFalse(odd.contains("Something went wrong"), odd);
    assertEquals(
        send("maren", "/buy/prices/heard", "supplier", "x", "fish", "hake", "price", "1")
            .getStatus(),
        403);
  }

  @Test
  public void aListIsLookedAtBeforeAnythingCountsAndReadAgainUpdates() throws Exception {
    long before = priceCount();
    long suppliers = jdbc.sql("select count(*) from supplier").query(Long.class).single();
    String list = "fish;size;price\nsole;0.3-0.45;31\nsole;0.45-0.6;36\nkraken;1-2;5\n";
    String look =
        upload(
            "ines",
            "/buy/prices",
            "list.csv",
            list.getBytes(StandardCharsets.UTF_8),
            "supplier",
            "Marram Quay Fish",
            "validOn",
            LocalDate.now(clock).toString());
    assertTrue(look.contains("Nothing is saved yet"), look);
    assertTrue(look.contains("called “kraken”"), look);
    assertEquals(priceCount(), before, "a look stores no price");
    assertEquals(
        jdbc.sql("select count(*) from supplier").query(Long.class).single().longValue(),
        suppliers,
        "and no supplier");
    Matcher id = Pattern.compile("/buy/prices/look/([0-9a-f-]{36})\"").matcher(look);
    assertTrue(id.find());
    String stored = follow("ines", "/buy/prices/look/" + id.group(1));
    assertTrue(stored.contains("Saved: 2 new prices, 0 updated."), stored);
    assertEquals(priceCount(), before + 2);
    String gone = follow("ines", "/buy/prices/look/" + id.group(1));
    assertTrue(gone.contains("confirmed or dropped already"), "a double tap stores nothing twice");

    people.as(
        "ines",
        () -> {
          Confirmed again =
              prices.takeIn("marram quay fish", LocalDate.now(clock), list.replace("31", "29,50"));
          assertEquals(again, new Confirmed(0, 2));
        });
    assertEquals(priceCount(), before + 2, "re-import updates instead of doubling");
    assertTrue(page("ines", "/buy/prices/of/sole").contains("€29.50/kg"));
  }

  @Test
  public void fiveThousandRowsAreStoredAndStoredAgain() {
    StringBuilder list = new StringBuilder("fish;size;price\n");
    for (int i = 0; i < 5_000; i++) {
      list.append(i % 125 == 7 ? "seaserpent" : "witch")
          .append(';')
          .append(100 + i)
          .append('-')
          .append(101 + i)
          .append(" g;7,10\n");
    }
    LocalDate longAgo = LocalDate.now(clock).minusDays(100);
    people.as(
        "ines",
        () -> {
          assertEquals(
              prices.takeIn("Holm Sound Boats", longAgo, list.toString()), new Confirmed(4_960, 0));
          assertEquals(
              prices.takeIn("Holm Sound Boats", longAgo, list.toString()), new Confirmed(0, 4_960));
        });
  }

  @Test
  public void aFileThatIsNoTextIsRefused() throws Exception {
    String answer =
        upload(
            "ines",
            "/buy/prices",
            "list.csv",
            new byte[] {80, 75, 3, 4, 0, 0, 1, 2},
            "supplier",
            "Marram Quay Fish",
            "validOn",
            LocalDate.now(clock).toString());
    assertTrue(answer.contains("This file isn’t text"), answer);
    String old =
        upload(
            "ines",
            "/buy/prices",
            "list.csv",
            "fish;price\nrødspætte;9,80\n".getBytes(StandardCharsets.ISO_8859_1),
            "supplier",
            "Marram Quay Fish",
            "validOn",
            LocalDate.now(clock).toString());
    assertTrue(old.contains("1 row is fine."), "an old encoding is read: " + old);
  }

  @DataProvider
  Object[][] covers() {
    return new Object[][] {
      {"1000000", "0", "whole number from 0 to 5000"},
      {"-5", "0", "whole number from 0 to 5000"},
      {"many", "0", "whole number from 0 to 5000"},
      {"", "0", "whole number from 0 to 5000"},
      {"24.5", "0", "whole number from 0 to 5000"},
      {"24", "lots", "isn’t a number from 0 to 5000"},
      {"<script>", "0", "whole number from 0 to 5000"},
    };
  }

  @Test(dataProvider = "covers")
  public void aDemandThatCannotBeIsRefusedAndStaysTyped(
      String portions, String forecastError, String words) throws Exception {
    Dish turbot = dish("Turbot");
    String page =
        follow(
            "ines",
            "/buy/dishes/" + turbot.id() + "/demand",
            "profile",
            "WEEKEND",
            "per",
            "SERVICE",
            "portions",
            portions,
            "forecastError",
            forecastError,
            "back",
            "all");
    assertTrue(page.contains(words), page);
    assertFalse(page.contains("<script>"), "nothing runs");
    assertEquals(dish("Turbot").demand(), turbot.demand());
  }

  @Test
  public void theDayOfDeliveryOfferedIsOneOnWhichTheSupplierDelivers() throws Exception {
    Supplier skerry =
        suppliers.suppliers().stream()
            .filter(known -> known.name().equals("Grey Skerry Landings"))
            .findFirst()
            .orElseThrow();
    LocalDate day = tomorrow().plusDays(3);
    try {
      people.as(
          "ines", () -> suppliers.change(skerry.id(), on(skerry, Set.of(day.getDayOfWeek()))));
      Document page =
          Jsoup.parse(page("ines", "/buy/dishes/" + dish("Hake, brown").id() + "?profile=WEEKEND"));
      int seen = 0;
      for (Element bar : page.select(".candidates > li")) {
        if (bar.select(".candidate-name small").text().startsWith("Grey Skerry Landings")) {
          assertEquals(bar.select("[name=deliverOn]").val(), day.toString());
          seen++;
        }
      }
      assertTrue(seen > 0, "no candidate of that supplier");
    } finally {
      people.as("ines", () -> suppliers.change(skerry.id(), on(skerry, skerry.days().days())));
    }
  }

  private static SupplierForm on(Supplier supplier, Set<DayOfWeek> days) {
    return new SupplierForm(supplier.contact(), supplier.phone(), supplier.note(), days);
  }

  @Test
  public void noCoversMeanNoOrder() throws Exception {
    Dish ray = dish("Ray wing");
    people.as(
        "ines",
        () -> {
          dishes.want(ray.id(), ProfileName.FUNCTION, new Demand(0, 0, Per.SERVICE));
          assertTrue(
              plans
                  .plan(ray.id(), new PlanWish(ProfileName.FUNCTION, Per.SERVICE, 90, 0, 0))
                  .candidates()
                  .isEmpty());
          PlanWish none = new PlanWish(ProfileName.FUNCTION, Per.SERVICE, 90, 0, 0);
          Refusal refusal =
              expectThrows(
                  Refusal.class,
                  () ->
                      plans.order(ray.id(), none, Optional.empty(), tomorrow(), UUID.randomUUID()));
          assertTrue(Sentences.of(refusal).contains("This offer is gone"), Sentences.of(refusal));
        });
    assertTrue(
        page("ines", "/buy/dishes/" + ray.id() + "?profile=FUNCTION")
            .contains("Nothing is wanted in this profile yet."));
  }

  @Test
  public void aPlanRanksByThePlateAndSaysWhy() throws Exception {
    Dish hake = dish("Hake, brown");
    PurchasePlanner.Plan plan = plans.plan(hake.id(), WEEKEND);
    assertTrue(plan.candidates().size() >= 3, plan.candidates().size() + " candidates");
    for (int i = 1; i < plan.candidates().size(); i++) {
      assertTrue(
          plan.candidates()
                  .get(i - 1)
                  .costPerServed()
                  .compareTo(plan.candidates().get(i).costPerServed())
              <= 0);
      assertTrue(plan.candidates().get(i).risk() <= 0.1 + 1e-9);
    }
    String page = page("ines", "/buy/dishes/" + hake.id() + "?profile=WEEKEND&litres=8");
    assertTrue(page.contains("Cheapest by ≈ €"), "the reason in words");
    assertTrue(page.contains("yourself pays up to ≈ €"), "the break-even price");
    assertTrue(page.contains("l of stock; you want 8 l"), "bones against stock");
    assertTrue(page.contains("They could go to: Fish and chips of the counter"), "the surplus");
    assertTrue(page.contains("what eats most like it"), "substitutes");
    // another fish stands apart, is never the best, and is taken knowingly
    assertTrue(plan.candidates().stream().allMatch(o -> o.offer().species().code().equals("hake")));
    assertTrue(
        plan.others().stream().noneMatch(o -> o.offer().species().code().equals("hake"))
            && !plan.others().isEmpty());
    Document shown = Jsoup.parse(page);
    assertEquals(shown.select("#substitutes").size(), 1);
    assertTrue(
        shown.select("#substitutes + ol li").text().contains("another fish than Hake"),
        shown.text());
    assertEquals(shown.select("#substitutes + ol li.best").size(), 0);
    String wrong = page("ines", "/buy/dishes/" + hake.id() + "?profile=WEEKEND&level=7");
    assertTrue(wrong.contains("isn’t a percentage from 50 to 99.9"), wrong);
  }

  @Test
  public void whenWholeFishGetDearTheBreakEvenIsSaidToBePassed() throws Exception {
    people.as(
        "ines",
        () ->
            prices.takeIn(
                "Marram Quay Fish",
                LocalDate.now(clock),
                "fish;form;size;price\nturbot;fillet;;19\n"));
    String page = page("ines", "/buy?profile=WEEKEND");
    assertTrue(page.contains("now costs more than your break-even of ≈ €"), page);
  }

  @Test
  public void candidatesOfOneSupplierGatherOnOneSheetUntilItIsPlaced() throws Exception {
    LocalDate day = LocalDate.now(clock).plusDays(9);
    people.as(
        "ines",
        () -> {
          Dish fry = dish("Fish and chips");
          Dish hake = dish("Hake, brown");
          UUID tap = UUID.randomUUID();
          long first = plans.order(fry.id(), WEEKEND, Optional.empty(), day, tap);
          assertEquals(plans.order(fry.id(), WEEKEND, Optional.empty(), day, tap), first);
          Order order = orders.get(first);
          assertEquals(order.status(), OrderStatus.DRAFT);
          assertEquals(order.lines().size(), 1);
          long second = plans.order(fry.id(), WEEKEND, Optional.empty(), day, UUID.randomUUID());
          assertEquals(second, first, "the same supplier, venue and day");
          long other = plans.order(hake.id(), WEEKEND, Optional.empty(), day, UUID.randomUUID());
          assertTrue(other != first, "another venue has its own");
          order = orders.get(first);
          orders.dropLine(first, order.version(), order.lines().get(0).id());
          assertEquals(orders.get(first).lines().size(), 1);
          int version = orders.get(first).version();
          orders.place(first, version);
          Refusal stale = expectThrows(Refusal.class, () -> orders.place(first, version));
          assertEquals(stale.kind(), Refusal.Kind.STALE);
          int placed = orders.get(first).version();
          expectThrows(Refusal.class, () -> orders.change(first, placed, day.plusDays(1), "later"));
          orders.takeBack(first, placed);
          assertEquals(orders.get(first).status(), OrderStatus.DRAFT);
          expectThrows(
              Refusal.class,
              () ->
                  plans.order(
                      fry.id(),
                      WEEKEND,
                      Optional.empty(),
                      LocalDate.now(clock).minusDays(1),
                      UUID.randomUUID()));
        });
  }

  @Test
  public void aPlacedOrderSaysOnUsesWhatItLeavesBesideThePlates() throws Exception {
    LocalDate day = LocalDate.now(clock).plusDays(3);
    people.as(
        "ines",
        () -> {
          Dish fry = dish("Fish and chips");
          long order = plans.order(fry.id(), WEEKEND, Optional.empty(), day, UUID.randomUUID());
          orders.place(order, orders.get(order).version());
        });
    String shown = page("ines", "/uses/coming");
    assertTrue(shown.contains("beside the plates"), shown);
    assertTrue(shown.contains("≈ "), "by the norm");
    assertEquals(send("maren", "/uses/coming").getStatus() / 100, 4);
  }

  @Test
  public void theSheetIsAPdfAndATable() throws Exception {
    byte[] pdf =
        mvc.perform(get("/buy/orders/1/sheet.pdf").cookie(session("ines")))
            .andReturn()
            .getResponse()
            .getContentAsByteArray();
    assertEquals(new String(pdf, 0, 5, StandardCharsets.ISO_8859_1), "%PDF-");
    assertTrue(pdf.length > 5_000, "with its font inside: " + pdf.length);
    String csv = page("ines", "/buy/orders/1/sheet.csv");
    assertTrue(csv.startsWith("order,supplier,deliver on,fish,"), csv);
    assertEquals(csv.lines().count(), 1 + orders.get(1).lines().size());
  }

  @DataProvider
  Object[][] badDishes() {
    return new Object[][] {
      {"", "180 g", "5", "hake", "name of the dish is missing"},
      {"Hake soup", "9 kg", "5", "hake", "between 5 g and 5.000 kg"},
      {"Hake soup", "180 g", "50", "hake", "isn’t a percentage from 0 to 30"},
      {"Hake soup", "180 g", "5", "", "Which fish is it made of"},
      {"Hake soup", "180 g", "5", "qqqqqq", "No fish here is called"},
      {"Hake soup", "", "5", "hake", "No weight was typed"},
      {"Hake, brown butter and capers", "180 g", "5", "hake", "a dish of that name"},
    };
  }

  @Test(dataProvider = "badDishes")
  public void aDishThatCannotBeStaysTypedAndStoresNothing(
      String name, String portion, String tolerance, String fish, String words) throws Exception {
    int before = dishes.all().size();
    var answer =
        send(
            "ines",
            "/buy/new",
            "name",
            name,
            "venue",
            "" + dish("Turbot").venue().id(),
            "portion",
            portion,
            "tolerance",
            tolerance,
            "form",
            "SLICES",
            "specification",
            "SKIN_ON",
            "price",
            "24",
            "fish",
            fish);
    assertEquals(answer.getStatus(), 422);
    String page = answer.getContentAsString(StandardCharsets.UTF_8);
    assertTrue(page.contains(words), page);
    assertEquals(dishes.all().size(), before);
  }

  @Test
  public void aDishIsChangedAndAStalePageIsRefused() throws Exception {
    Dish plaice = dish("Plaice");
    String[] fields = {
      "name", "Plaice on the bone",
      "venue", "" + plaice.venue().id(),
      "portion", "165 g",
      "tolerance", "5",
      "specification", "SKIN_ON",
      "form", "SHARED",
      "price", "21",
      "fish", "plaice\nlemon sole",
      "version", "" + plaice.version()
    };
    assertEquals(send("ines", "/buy/dishes/" + plaice.id() + "/change", fields).getStatus(), 302);
    assertEquals(dish("Plaice").fish(), List.of("plaice", "lemon-sole"));
    var stale = send("ines", "/buy/dishes/" + plaice.id() + "/change", fields);
    assertEquals(stale.getStatus(), 422);
    assertTrue(stale.getContentAsString(StandardCharsets.UTF_8).contains("Someone else changed"));
  }
}
