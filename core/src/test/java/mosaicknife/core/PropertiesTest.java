package mosaicknife.core;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Stage;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.Breakdown;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.breakdown.Knowledge;
import mosaicknife.core.breakdown.Node;
import mosaicknife.core.breakdown.Yields;
import mosaicknife.core.breakdown.Yields.Basis;
import mosaicknife.core.cost.CostSheet;
import mosaicknife.core.cost.Costing;
import mosaicknife.core.cost.CostingMethod;
import mosaicknife.core.cost.LotCost;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.portion.WholePortions;
import mosaicknife.core.practice.FishSimulator;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import mosaicknife.core.quantity.UnitPrice;
import mosaicknife.core.quantity.UnitSystem;
import org.testng.annotations.Test;

/** What must hold for every fish, price and weight, tried on thousands of made-up ones. */
public class PropertiesTest {

  private static final List<Species> SPECIES = List.copyOf(WorkedHake.CATALOGUE.species());
  private static final int FISH = 300;

  private final Random random = new Random(2026);

  @Test
  public void costsAddUpToTheLotInEveryMethodAndMainsNeverEarn() {
    for (int i = 0; i < FISH; i++) {
      Breakdown fish = fish();
      LotCost cost = LotCost.of(price(40), fish.purchased());
      long lot = cost.total().rounded(RoundingMode.HALF_UP).minorUnits();
      Map<String, UnitPrice> values = new HashMap<>();
      fish.leaves().forEach(leaf -> values.put(leaf.id(), price(30)));
      for (CostingMethod option : CostingMethod.values()) {
        Optional<Costing> costing = Costing.by(option, fish, cost, values);
        if (costing.isPresent()) {
          long parts =
              costing.get().parts().stream().mapToLong(p -> p.rounded().minorUnits()).sum();
          assertEquals(parts, lot, option + " of " + fish);
          assertFalse(costing.get().onMains().isNegative(), option + " of " + fish);
          assertTrue(costing.get().onMains().compareTo(cost.total()) <= 0);
        }
      }
    }
  }

  @Test
  public void aPortionByCountNeverCostsLessThanByWeight() {
    for (int i = 0; i < FISH; i++) {
      Breakdown fish = fish();
      Mass target = Mass.ofGrams(60 + random.nextInt(200));
      LotCost cost = LotCost.of(price(40), fish.purchased());
      CostSheet.of(CostingMethod.ALL_ON_THE_MAINS, fish, cost, Map.of(), target)
          .ifPresent(
              sheet ->
                  sheet
                      .portionByCount()
                      .ifPresent(
                          byCount -> assertTrue(byCount.compareTo(sheet.portionByWeight()) >= 0)));
    }
  }

  @Test
  public void wholePortionsAndWhatIsOverAreTheFillets() {
    for (int i = 0; i < FISH; i++) {
      Breakdown fish = fish();
      Mass target = Mass.ofGrams(30 + random.nextInt(400));
      WholePortions portions = WholePortions.in(fish.mains(), Serving.slices(target));
      Mass fillets = Mass.total(fish.mains().stream().map(Node::mass).toList());
      assertEquals(portions.portioned().plus(portions.over()), fillets);
      assertFalse(portions.over().isNegative());
      assertTrue(portions.count() <= fillets.wholeTimes(target));
    }
  }

  @Test
  public void aCleanerBasisNeverWeighsMoreAndYieldsStayBelowOne() {
    for (int i = 0; i < FISH; i++) {
      Species species = SPECIES.get(random.nextInt(SPECIES.size()));
      Breakdown fish = fish(species);
      Yields yields = Yields.of(fish, species);
      Mass cuts = fish.massOf(leaf -> leaf.kind().stage() == Stage.CUTTING);
      for (State state : State.OF_FISH) {
        if (state.compareTo(fish.state()) >= 0) {
          Basis basis = yields.basis(state).orElseThrow();
          assertTrue(basis.mass().compareTo(fish.purchased()) <= 0, state + " of " + fish);
          assertTrue(Yields.share(cuts, basis).compareTo(Fraction.ONE) < 0, state + " of " + fish);
        }
      }
      Fraction all = yields.usable().plus(yields.kept()).plus(yields.discarded());
      assertTrue(all.compareTo(Fraction.ONE) <= 0, all + " of " + fish);
    }
  }

  @Test
  public void whatIsShownIsReadBackWithinItsLastDigit() {
    for (int i = 0; i < 2_000; i++) {
      Mass mass = Mass.ofMilligrams(500 + (long) (random.nextDouble() * 100_000_000));
      for (UnitSystem system : UnitSystem.values()) {
        String shown = MassText.format(mass, system);
        Mass read = MassText.parse(shown, MassUnit.KILOGRAM).mass();
        // half a gram, or half a tenth of an ounce
        long half = system == UnitSystem.METRIC ? 500 : 1_418;
        assertTrue(read.minus(mass).abs().milligrams() <= half, shown + " for " + mass);
      }
    }
  }

  private Breakdown fish() {
    return fish(SPECIES.get(random.nextInt(SPECIES.size())));
  }

  private Breakdown fish(Species species) {
    State state = State.OF_FISH.get(random.nextInt(State.OF_FISH.size()));
    Mass mass = Mass.ofGrams(300 + random.nextInt(9_000));
    List<Node> parts = new ArrayList<>();
    FishSimulator.draw(species, state, mass, HouseNorms.STARTING, random)
        .forEach((slot, part) -> parts.add(leaf(species, slot, part)));
    return new Breakdown(state, mass, 1, parts);
  }

  private Node leaf(Species species, String slot, Mass mass) {
    PartKind kind = species.plan().findSlot(slot).orElseThrow().kind();
    int choice = random.nextInt(Purpose.values().length + 1);
    Optional<Purpose> purpose =
        choice == Purpose.values().length
            ? Optional.empty()
            : Optional.of(Purpose.values()[choice]);
    return new Node.Leaf(slot, slot, kind, mass, Knowledge.MEASURED, purpose, 1);
  }

  private UnitPrice price(int upTo) {
    return UnitPrice.ofPerKilogram(
        ExactMoney.of(
            "%d.%02d".formatted(random.nextInt(upTo), random.nextInt(100)), WorkedHake.EUR));
  }
}
