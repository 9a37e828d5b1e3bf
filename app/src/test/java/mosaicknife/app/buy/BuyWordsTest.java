package mosaicknife.app.buy;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mosaicknife.app.Sentences;
import mosaicknife.app.buy.PriceKeeper.Past;
import mosaicknife.app.buy.PurchasePlanner.Plan;
import mosaicknife.app.house.Named;
import mosaicknife.app.house.Supplier;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.Specification;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.buying.Candidate;
import mosaicknife.core.buying.DeliveryDays;
import mosaicknife.core.buying.Demand;
import mosaicknife.core.buying.Demand.Per;
import mosaicknife.core.buying.Offer;
import mosaicknife.core.buying.Offer.Form;
import mosaicknife.core.buying.OrderPlanner;
import mosaicknife.core.buying.StockNeed;
import mosaicknife.core.buying.SurplusHome;
import mosaicknife.core.buying.Wish;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.plan.Choices;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;
import mosaicknife.core.quantity.UnitSystem;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What Buy says in words and understands as typed, without a database. */
public class BuyWordsTest {

  private static final Currency EUR = Currency.getInstance("EUR");
  private static final Formats METRIC = new Formats(UnitSystem.METRIC, EUR, ZoneId.of("UTC"));
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final Serving MAIN =
      new Serving(Serving.Form.SLICES, Mass.ofGrams(180), 0.05, 1, true);
  private static final Demand DINNER = new Demand(38, 6, Per.SERVICE);

  private static Offer offer(String species, Form form, String grade, String price) {
    return new Offer(
        species + form + grade,
        CATALOGUE.getSpecies(species),
        State.GUTTED,
        SizeGrade.parseKilograms(grade),
        form,
        UnitPrice.ofPerKilogram(price, EUR),
        "Grey Skerry Landings");
  }

  private static Plan plan(double litres, Offer... offers) {
    Dish dish =
        new Dish(
            1,
            "Hake",
            new Named(1, "Lantern House"),
            MAIN,
            Specification.SKIN_ON,
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            false,
            Set.of(),
            List.of("hake"),
            Set.of("hake"),
            Map.of(ProfileName.WEEKEND, DINNER),
            0);
    Wish wish =
        new Wish(
            MAIN,
            Specification.SKIN_ON,
            Choices.USUAL,
            DINNER.distribution(),
            0,
            0.9,
            ExactMoney.of("18.00", EUR));
    List<Candidate> candidates =
        new OrderPlanner(HouseNorms.STARTING, CATALOGUE).plan(wish, List.of(offers));
    return new Plan(
        dish,
        new PlanWish(ProfileName.WEEKEND, Per.SERVICE, 90, 0, litres),
        Optional.of(DINNER),
        candidates,
        List.of(),
        List.of(),
        candidates.stream().filter(o -> o.offer().form() == Form.FILLET).findFirst(),
        List.of(),
        List.of(CATALOGUE.getSpecies("hake")),
        List.of(),
        candidates.stream().findFirst().map(best -> new StockNeed(best.bones(), litres)),
        Finding.of(SurplusHome.OTHER_DISH, "Fish and chips", "Low Tide Counter"));
  }

  @Test
  public void theCheapestAndTheDearerSayWhyByTheirOwnQualities() {
    PurchasePlanView view =
        PurchasePlanView.of(
            plan(
                0,
                offer("hake", Form.WHOLE, "1.5-2.5", "11.40"),
                offer("hake", Form.WHOLE, "0.8-1.5", "13.40")),
            METRIC);
    assertEquals(view.wanted(), "38 ± 6 portions per service");
    String best = view.bars().get(0).reason();
    String dear = view.bars().get(1).reason();
    assertTrue(best.startsWith("Cheapest by ≈ €"), best);
    assertTrue(best.contains("a lower price per weight"), best);
    assertTrue(dear.contains("more a plate: a higher price per weight"), dear);
    assertTrue(dear.contains("more work"), dear);
    assertFalse(dear.contains("lower"), "the dearer one is not said to be cheap: " + dear);
    assertEquals(
        PurchasePlanView.of(plan(0, offer("hake", Form.WHOLE, "1.5-2.5", "11.40")), METRIC)
            .bars()
            .get(0)
            .reason(),
        "The only one on offer for this dish.");
  }

  @Test
  public void theLongestWhiskerFillsTheScaleAndEveryBarLiesWithinItsWhisker() {
    PurchasePlanView view =
        PurchasePlanView.of(
            plan(
                0,
                offer("hake", Form.WHOLE, "1.5-2.5", "11.40"),
                offer("hake", Form.FILLET, "1-2", "29.50"),
                offer("hake", Form.WHOLE, "2.5-4", "12.60")),
            METRIC);
    double longest = 0;
    for (PurchasePlanView.CandidateBar bar : view.bars()) {
      double low = Double.parseDouble(bar.low());
      double middle = Double.parseDouble(bar.bar());
      double high = Double.parseDouble(bar.high());
      assertTrue(low <= middle && middle <= high, bar.toString());
      longest = Math.max(longest, high);
    }
    assertEquals(longest, 560, 0.1);
  }

  @Test
  public void breakEvenIsPassedWhenTheFilletIsCheaper() {
    Offer whole = offer("hake", Form.WHOLE, "1.5-2.5", "11.40");
    List<PurchasePlanView.Notice> pays =
        PurchasePlanView.of(plan(0, whole, offer("hake", Form.FILLET, "1-2", "39")), METRIC)
            .notices();
    assertTrue(pays.get(0).sentence().startsWith("Cutting Hake, gutted, 1.5–2.5 kg yourself pays"));
    List<PurchasePlanView.Notice> passed =
        PurchasePlanView.of(plan(0, whole, offer("hake", Form.FILLET, "1-2", "12")), METRIC)
            .notices();
    assertTrue(
        passed.get(0).sentence().contains("now costs more than your break-even of ≈ €"),
        passed.get(0).sentence());
    assertTrue(passed.get(0).alarm() && !pays.get(0).alarm());
  }

  @Test
  public void bonesAreComparedWithTheStockThatIsWanted() {
    Offer hake = offer("hake", Form.WHOLE, "1.5-2.5", "11.40");
    String few = notice(plan(80, hake), "you want 80 l");
    assertTrue(few.endsWith("so you need more."), few);
    String over = notice(plan(2, hake), "you want 2 l");
    assertTrue(
        over.contains("are over: freeze them, give them to the other venue, or sell them"), over);
    String mackerel = notice(plan(5, offer("mackerel", Form.WHOLE, "0.5-1.2", "5")), "No bones");
    assertTrue(mackerel.contains("oily or farmed"), mackerel);
  }

  private static String notice(Plan plan, String words) {
    return PurchasePlanView.of(plan, METRIC).notices().stream()
        .map(PurchasePlanView.Notice::sentence)
        .filter(line -> line.contains(words))
        .findFirst()
        .orElseThrow();
  }

  @Test
  public void aPlanIsUnderstoodAndWhatIsMissingIsUsual() {
    assertEquals(
        PlanWish.of(null, null, null, null, null),
        new PlanWish(ProfileName.WEEKEND, Per.SERVICE, 90, 0, 0));
    assertEquals(
        PlanWish.of("MIDWEEK", "WEEK", "97,5", "12", "8.5"),
        new PlanWish(ProfileName.MIDWEEK, Per.WEEK, 97.5, 12, 8.5));
    assertEquals(PlanWish.of("nonsense", "<script>", "", " ", "").profile(), ProfileName.WEEKEND);
  }

  @DataProvider
  Object[][] noWishes() {
    return new Object[][] {
      {"49", "0", "0", "from 50 to 99.9"},
      {"100", "0", "0", "from 50 to 99.9"},
      {"often", "0", "0", "isn’t a percentage"},
      {"90", "1000000", "0", "whole number from 0 to 5000"},
      {"90", "2.5", "0", "whole number from 0 to 5000"},
      {"90", "-1", "0", "isn’t a whole number"},
      {"90", "0", "9000", "from 0 to 500"},
    };
  }

  @Test(dataProvider = "noWishes")
  public void aPlanThatCannotBeIsRefused(String level, String onHand, String litres, String words) {
    Refusal refusal =
        expectThrows(Refusal.class, () -> PlanWish.of("WEEKEND", "SERVICE", level, onHand, litres));
    assertTrue(Sentences.of(refusal).contains(words), Sentences.of(refusal));
  }

  @Test
  public void pricesOverTimeAreLinesOfOneThingEach() {
    LocalDate day = LocalDate.of(2026, 11, 11);
    Offer whole = offer("hake", Form.WHOLE, "1.5-2.5", "11.40");
    Offer dearer = offer("hake", Form.WHOLE, "1.5-2.5", "12.00");
    Offer fillet = offer("hake", Form.FILLET, "1.5-2.5", "24.00");
    PriceHistory history =
        PriceHistory.of(
            List.of(
                new Past(day.plusDays(14), dearer),
                new Past(day.plusDays(14), fillet),
                new Past(day, whole)),
            METRIC);
    assertEquals(history.lines().size(), 2);
    assertEquals(history.rows().size(), 3);
    assertEquals(history.highest(), "€24.00/kg");
    assertEquals(history.from(), "Wed 11 Nov");
    PriceHistory.Line line =
        history.lines().stream().filter(l -> l.dots().size() == 2).findFirst().orElseThrow();
    assertTrue(line.path().startsWith("M0.0 "), line.path());
    assertTrue(line.path().contains("L600.0 "), line.path());
    assertTrue(PriceHistory.of(List.of(), METRIC).rows().isEmpty());
  }

  private static final Supplier GREY_SKERRY =
      new Supplier(
          1,
          "Grey Skerry Landings",
          "",
          "",
          "",
          new DeliveryDays(Set.of(DayOfWeek.TUESDAY, DayOfWeek.FRIDAY)));

  /** 27 November 2026 is a Friday, the next Tuesday is 1 December. */
  @Test
  public void anOrderForADayOnWhichNothingComesSaysWhenItDoes() {
    assertEquals(order(LocalDate.of(2026, 11, 27), OrderStatus.PLACED).doubt(), Optional.empty());
    LocalDate saturday = LocalDate.of(2026, 11, 28);
    assertEquals(
        METRIC.say(order(saturday, OrderStatus.DRAFT).doubt().orElseThrow()),
        "Grey Skerry Landings doesn’t deliver on Sat 28 Nov. The next delivery is on Tue 1 Dec.");
    assertEquals(order(saturday, OrderStatus.CLOSED).doubt(), Optional.empty());
  }

  private static Order order(LocalDate day, OrderStatus status) {
    return new Order(1, GREY_SKERRY, 1, "Lantern House", day, status, "", "z", List.of(), 0);
  }

  @Test
  public void anOrderAddsUp() {
    Order order =
        new Order(
            1,
            GREY_SKERRY,
            1,
            "Lantern House",
            LocalDate.of(2026, 11, 27),
            OrderStatus.DRAFT,
            "",
            "Ines Varga",
            List.of(line(2, "4.000", "11.40"), line(1, "2.500", "8.00")),
            0);
    assertEquals(order.mass(), Mass.ofKilograms("6.5"));
    assertEquals(order.money(EUR).amount().doubleValue(), 65.6, 1e-9);
    assertEquals(
        new Order(
                1, GREY_SKERRY, 1, "y", order.deliverOn(), OrderStatus.DRAFT, "", "z", List.of(), 0)
            .money(EUR),
        ExactMoney.zero(EUR));
  }

  private static OrderLine line(int fish, String kilograms, String price) {
    return new OrderLine(
        1,
        CATALOGUE.getSpecies("hake"),
        Form.WHOLE,
        State.GUTTED,
        SizeGrade.parseKilograms("1.5-2.5"),
        fish,
        Mass.ofKilograms(kilograms),
        UnitPrice.ofPerKilogram(price, EUR),
        "",
        0,
        "",
        "");
  }
}
