package mosaicknife.core.anatomy;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import mosaicknife.core.anatomy.Species.Trait;
import mosaicknife.core.anatomy.StartingFigures.HeadSize;
import mosaicknife.core.anatomy.StartingFigures.Ribs;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.Test;

public class UnknownFishTest {

  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final BodyPlan ROUND = CATALOGUE.getSpecies("hake").plan();
  private static final List<Share> USUAL = CATALOGUE.usualShares(ROUND);

  private static UnknownFish fish(Eating.Flesh flesh, int grams) {
    return fish(flesh, grams, UnknownFish.Kin.NONE);
  }

  private static UnknownFish fish(Eating.Flesh flesh, int grams, UnknownFish.Kin kin) {
    return new UnknownFish(
        ROUND,
        Ribs.USUAL,
        HeadSize.USUAL,
        flesh,
        Mass.ofGrams(grams),
        new UnknownFish.Skin(
            Eating.Scales.MANY, Eating.Skin.CRISP, true, UnknownFish.PinBones.THROUGHOUT),
        kin);
  }

  @Test
  public void itTakesOverWhatCanHurtInItsFamily() {
    assertEquals(
        fish(Eating.Flesh.WHITE, 500, UnknownFish.Kin.SCORPIONFISH)
            .toSpecies("d", "D", USUAL)
            .traits(),
        Set.of(Trait.PARASITES, Trait.THIN_SKIN, Trait.SPINES, Trait.VENOM));
    assertTrue(
        fish(Eating.Flesh.WHITE, 500, UnknownFish.Kin.REEF)
            .toSpecies("e", "E", USUAL)
            .traits()
            .contains(Trait.REEF_TOXIN));
    assertEquals(
        fish(Eating.Flesh.WHITE, 500, UnknownFish.Kin.PUFFER).problem().orElseThrow().what(),
        UnknownFish.Problem.REFUSED_FAMILY);
  }

  @Test
  public void itHasThePartsOfItsPlanAndIsKnownWorse() {
    Species made = fish(Eating.Flesh.WHITE, 1800).toSpecies("odd", "Odd fish", USUAL);
    assertEquals(made.shares().stream().mapToDouble(Share::mean).sum(), 1, 1e-9);
    for (int i = 0; i < USUAL.size(); i++) {
      assertEquals(made.shares().get(i).slot(), USUAL.get(i).slot());
      assertTrue(made.shares().get(i).spread() >= USUAL.get(i).spread(), "nothing gets surer");
    }
    assertEquals(made.usualMass().lowest(), Mass.ofGrams(900));
    assertEquals(made.usualMass().highest(), Mass.ofGrams(3600));
  }

  @Test
  public void everyCautionHoldsUntilSomebodyKnowsBetter() {
    assertEquals(
        fish(Eating.Flesh.WHITE, 500).toSpecies("a", "A", USUAL).traits(),
        Set.of(Trait.PARASITES, Trait.THIN_SKIN));
    assertEquals(
        fish(Eating.Flesh.OILY, 500).toSpecies("b", "B", USUAL).traits(),
        Set.of(Trait.PARASITES, Trait.HISTAMINE, Trait.THIN_SKIN));
    Eating eating = fish(Eating.Flesh.WHITE, 500).toSpecies("c", "C", USUAL).eating();
    assertEquals(eating.scales(), Eating.Scales.MANY);
    assertEquals(eating.skin(), Eating.Skin.CRISP);
    assertEquals(eating.pinBonesTo(), 1.0);
  }

  @Test
  public void nobodyCutsAFishOfNineGramsOrOfHalfATonne() {
    assertEquals(fish(Eating.Flesh.WHITE, 10).problem(), Optional.empty());
    assertEquals(fish(Eating.Flesh.WHITE, 400_000).problem(), Optional.empty());
    assertEquals(
        fish(Eating.Flesh.WHITE, 9).problem().orElseThrow().what(), UnknownFish.Problem.MASS);
    assertEquals(fish(Eating.Flesh.WHITE, 500_000).problem().orElseThrow().field(), "mass");
  }
}
