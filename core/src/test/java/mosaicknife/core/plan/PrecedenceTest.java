package mosaicknife.core.plan;

import static org.testng.Assert.assertEquals;

import java.util.List;
import java.util.Map;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.plan.Precedence.Answered;
import mosaicknife.core.plan.Precedence.Source;
import org.testng.annotations.Test;

public class PrecedenceTest {

  private static final List<CuttingOption> OPTIONS =
      CuttingOptions.of(Catalogue.shipped().getSpecies("hake"), State.GUTTED);

  @Test
  public void theWayGoesBeforeTheHouseAndTheHouseBeforeWhatIsUsual() {
    List<Answered> found =
        Precedence.of(
            OPTIONS,
            Map.of("skin", "off"),
            Map.of("skin", "on", "ribs", "through", "shape", "blocks"));
    assertEquals(
        List.copyOf(found.stream().sorted((a, b) -> a.option().compareTo(b.option())).toList()),
        List.of(
            new Answered("ribs", "through", Source.HOUSE),
            new Answered("shape", "blocks", Source.HOUSE),
            new Answered("skin", "off", Source.WAY)));
  }

  @Test
  public void anAnswerTheFishDoesNotHaveIsPassedOver() {
    assertEquals(
        Precedence.of(OPTIONS, Map.of("skin", "no such"), Map.of("skin", "off", "wings", "on")),
        List.of(new Answered("skin", "off", Source.HOUSE)));
    assertEquals(Precedence.of(OPTIONS, Map.of(), Map.of()), List.of());
    assertEquals(
        Precedence.of(
            CuttingOptions.of(Catalogue.shipped().getSpecies("hake"), State.FILLETS),
            Map.of("ribs", "through"),
            Map.of()),
        List.of(),
        "fillet has no ribs");
  }
}
