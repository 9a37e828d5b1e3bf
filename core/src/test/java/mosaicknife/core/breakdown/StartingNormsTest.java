package mosaicknife.core.breakdown;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Specification;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.StartingNorms.PartNorm;
import org.testng.annotations.Test;

public class StartingNormsTest {

  private final Catalogue catalogue = Catalogue.shipped();

  @Test
  public void everyFishInEveryStateAndSpecificationAddsUpToOneWithItsLoss() {
    for (Species species : catalogue.species()) {
      for (State state : State.values()) {
        for (Specification specification : Specification.values()) {
          StartingNorms norms = StartingNorms.of(species, state, specification, LossNorm.STARTING);
          double parts = norms.parts().stream().mapToDouble(PartNorm::mean).sum();
          assertEquals(
              parts + norms.loss().mean(),
              1,
              0.001,
              species.code() + " " + state + " " + specification);
        }
      }
    }
  }

  @Test
  public void yieldsLieInTheRangesTheTradeWouldAccept() {
    for (Species species : catalogue.species()) {
      double skinOn = yieldOf(species, State.GUTTED, Specification.SKIN_ON);
      double blocks = yieldOf(species, State.GUTTED, Specification.BLOCKS);
      assertTrue(skinOn > 0.31 && skinOn < 0.70, species.code() + " skin-on " + skinOn);
      assertTrue(blocks > 0.25 && blocks < skinOn, species.code() + " blocks " + blocks);
      double headed = yieldOf(species, State.HEADED_AND_GUTTED, Specification.SKIN_ON);
      assertTrue(headed > skinOn && headed < 0.82, species.code() + " headed " + headed);
    }
  }

  @Test
  public void whatComesOffAMainCutIsNamed() {
    StartingNorms norms =
        StartingNorms.of(
            catalogue.getSpecies("hake"), State.GUTTED, Specification.BLOCKS, LossNorm.STARTING);
    assertTrue(norms.parts().stream().anyMatch(p -> p.name().equals("Skin of left fillet")));
    assertTrue(norms.parts().stream().anyMatch(p -> p.kind().equals("pin-bone-strip")));
    assertTrue(norms.parts().stream().anyMatch(p -> p.kind().equals("trim")));
  }

  private static double yieldOf(Species species, State state, Specification specification) {
    return StartingNorms.of(species, state, specification, LossNorm.STARTING).mains();
  }
}
