package mosaicknife.app.catalogue;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.ZoneOffset;
import java.util.Currency;
import java.util.Optional;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.quantity.UnitSystem;
import org.testng.annotations.Test;

/** A name that is typed for a dish, a price, a delivery or a rule means one fish, or asks. */
public class FishNamesTest {

  private static final FishNames NAMES =
      new FishNames(
          Catalogue.shipped(),
          new Formats(UnitSystem.METRIC, Currency.getInstance("EUR"), ZoneOffset.UTC));

  private static Optional<String> code(Optional<Species> found) {
    return found.map(Species::code);
  }

  @Test
  public void aFishThatIsRefusedIsRefusedWhoeverAsks() {
    for (String name : new String[] {"fugu", "northern puffer", "Lagocephalus", "河豚"}) {
      Refusal written = expectThrows(Refusal.class, () -> NAMES.written(name, "fish"));
      assertEquals(written.field(), "fish");
      assertTrue(written.figures()[0].toString().contains("licensed handlers"), name);
      expectThrows(Refusal.class, () -> NAMES.meant(name, ""));
      expectThrows(Refusal.class, () -> NAMES.writtenOrMeant(name, ""));
    }
  }

  @Test
  public void theNameTheHouseWritesMeansItsFishAndOneOfTwoAsksWhich() {
    assertEquals(code(NAMES.written("Sea bass", "fish")), Optional.of("sea-bass"));
    Refusal asked = expectThrows(Refusal.class, () -> NAMES.meant("Sea bass", "fish"));
    assertTrue(asked.figures()[1].toString().contains("Centropristis striata"));
    expectThrows(Refusal.class, () -> NAMES.written("butterfish", "fish"));
    assertEquals(code(NAMES.written("lubina", "fish")), Optional.of("sea-bass"));
    assertEquals(code(NAMES.written("no such fish", "fish")), Optional.empty());
  }
}
