package mosaicknife.core.cost;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Currency;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.Breakdown;
import mosaicknife.core.breakdown.Knowledge;
import mosaicknife.core.breakdown.Node;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.Money;
import mosaicknife.core.quantity.UnitPrice;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What the parts carry is the invoice, to the minor unit, whatever the fish, price and money. */
public class CostSumsTest {

  private static final int TREES = 10_000;
  private static final List<Currency> MONEY =
      List.of(
          Currency.getInstance("EUR"), Currency.getInstance("JPY"), Currency.getInstance("KWD"));

  @DataProvider
  public static Object[][] methods() {
    Object[][] methods = new Object[CostingMethod.values().length][1];
    for (int i = 0; i < methods.length; i++) {
      methods[i][0] = CostingMethod.values()[i];
    }
    return methods;
  }

  @Test(dataProvider = "methods")
  public void tenThousandTreesAddUp(CostingMethod method) {
    Random random = new Random(method.ordinal());
    int costed = 0;
    for (int i = 0; i < TREES; i++) {
      Currency money = MONEY.get(i % MONEY.size());
      Map<String, UnitPrice> values = new HashMap<>();
      Set<String> held = new HashSet<>();
      Breakdown breakdown = tree(random, money, values, held);
      LotCost cost = cost(random, breakdown.purchased(), money);
      Optional<Costing> costing = Costing.by(method, breakdown, cost, values, held);
      if (costing.isPresent()) {
        costed++;
        check(costing.get(), cost, money);
      }
    }
    assertTrue(costed > TREES / 3, "most are costed: " + costed);
  }

  private static void check(Costing costing, LotCost cost, Currency money) {
    // by hand, with no type of ours but the record itself
    BigDecimal paid =
        cost.price()
            .perKilogram()
            .amount()
            .multiply(BigDecimal.valueOf(cost.invoiced().milligrams(), 6))
            .add(cost.extras().amount())
            .subtract(cost.claims().amount())
            .setScale(money.getDefaultFractionDigits(), RoundingMode.HALF_UP);
    BigDecimal sum = BigDecimal.ZERO;
    for (Costing.PartCost part : costing.parts()) {
      Money rounded = part.rounded();
      assertEquals(rounded.currency(), money);
      assertTrue(rounded.minorUnits() >= 0, "no part pays the house");
      sum = sum.add(BigDecimal.valueOf(rounded.minorUnits(), money.getDefaultFractionDigits()));
      // a part is off by less than a minor unit, and by its share of how the whole was rounded
      BigDecimal off = rounded.inMajorUnits().subtract(part.exact().amount()).abs();
      assertTrue(
          off.movePointRight(money.getDefaultFractionDigits()).compareTo(new BigDecimal("1.5"))
              < 0);
    }
    assertEquals(sum.compareTo(paid), 0, sum + " for " + paid);
    assertFalse(costing.onMains().isNegative());
    assertFalse(costing.excess().isPositive() && costing.onMains().isPositive());
  }

  private static LotCost cost(Random random, Mass purchased, Currency money) {
    int decimals = money.getDefaultFractionDigits();
    UnitPrice price = price(random, money);
    Mass invoiced =
        random.nextInt(4) == 0
            ? purchased.plus(Mass.ofMilligrams(random.nextInt(300_000)))
            : purchased;
    ExactMoney extras = new ExactMoney(BigDecimal.valueOf(random.nextInt(900), decimals), money);
    ExactMoney most = price.times(invoiced).plus(extras);
    ExactMoney claims =
        random.nextInt(5) == 0
            ? most.multipliedBy(Fraction.of(random.nextInt(101), 100))
            : ExactMoney.zero(money);
    return new LotCost(price, invoiced, extras, claims);
  }

  /** Free fish too. */
  private static UnitPrice price(Random random, Currency money) {
    int minor = random.nextInt(10) == 0 ? 0 : random.nextInt(9_000);
    return UnitPrice.ofPerKilogram(
        new ExactMoney(BigDecimal.valueOf(minor, money.getDefaultFractionDigits()), money));
  }

  /** A fish of parts within parts, for every purpose or none, with and without a value. */
  private static Breakdown tree(
      Random random, Currency money, Map<String, UnitPrice> values, Set<String> held) {
    List<PartKind> kinds = List.copyOf(Catalogue.shipped().kinds());
    List<Node> parts = new ArrayList<>();
    Mass all = Mass.ZERO;
    int leaves = 1 + random.nextInt(12);
    for (int i = 0; i < leaves; i++) {
      PartKind kind = kinds.get(random.nextInt(kinds.size()));
      Purpose purpose = Purpose.values()[random.nextInt(Purpose.values().length)];
      Mass mass = Mass.ofMilligrams(1 + random.nextInt(2_000_000));
      String id = "p" + i;
      parts.add(
          new Node.Leaf(
              id,
              "part",
              kind,
              mass,
              Knowledge.MEASURED,
              random.nextInt(8) == 0 || !kind.mayBeFor(purpose)
                  ? Optional.empty()
                  : Optional.of(purpose),
              1 + random.nextInt(3)));
      all = all.plus(mass);
      if (random.nextInt(4) > 0) {
        values.put(id, price(random, money));
      }
      if (purpose == Purpose.HOLD && kind.mayBeFor(purpose) && random.nextBoolean()) {
        held.add(id);
      }
    }
    Mass lost = Mass.ofMilligrams(random.nextInt(200_000));
    return new Breakdown(State.GUTTED, all.plus(lost), 1, parts);
  }
}
