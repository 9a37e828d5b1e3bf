package mosaicknife.app.dock;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.app.WithDatabase;
import mosaicknife.app.dock.ReceiptReader.ReadReceipt;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.lot.Arrival;
import mosaicknife.core.lot.Killing;
import mosaicknife.core.lot.Receipt;
import mosaicknife.core.quantity.Mass;
import org.springframework.beans.factory.annotation.Autowired;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class ReceiptReaderTest extends WithDatabase {

  @Autowired private ReceiptReader reader;

  private ReadReceipt read(ReceiptForm form) {
    ReadReceipt[] read = new ReadReceipt[1];
    people.as("ines", () -> read[0] = reader.read(form));
    return read[0];
  }

  @Test
  public void understandsADeliveryAsPeopleTypeIt() {
    Receipt receipt =
        read(form("merluza", "GUTTED", "3", "10 lb 11.4 oz", "5,17/lb", "2026-11-25"))
            .delivery()
            .orElseThrow()
            .receipt();
    assertEquals(receipt.species().code(), "hake");
    assertEquals(receipt.state(), State.GUTTED);
    assertEquals(receipt.fish(), 3);
    // 171.4 oz × 28.349523125 g = 4 859.108 g
    assertEquals(receipt.invoiced(), Mass.ofMilligrams(4_859_108));
    assertEquals(receipt.own(), Optional.empty());
    assertEquals(receipt.note(), "for Friday");
    assertEquals(
        receipt.price().orElseThrow().perKilogram().amount().doubleValue(), 11.397899, 0.000001);
  }

  @DataProvider
  Object[][] wrong() {
    return new Object[][] {
      {form("", "GUTTED", "1", "1", "1", "2026-11-25"), "species", "Which fish is it?"},
      {
        form("m", "GUTTED", "1", "1", "1", "2026-11-25"),
        "species",
        "can be several fish: Lemon sole"
      },
      {form("hake", "", "1", "1", "1", "2026-11-25"), "state", "The state on arrival is missing."},
      {
        form("hake", "GUTTED", "two", "1", "1", "2026-11-25"),
        "fish",
        "“two” isn’t a whole number from 1 to 500"
      },
      {form("hake", "GUTTED", "99999", "1", "1", "2026-11-25"), "fish", "isn’t a whole number"},
      {form("hake", "GUTTED", "1", "4.8.6", "1", "2026-11-25"), "invoiced", "is not a number"},
      {form("hake", "GUTTED", "1", "1", "1/box", "2026-11-25"), "price", "Type kg or lb."},
      {form("hake", "GUTTED", "1", "1", "1", "25/11/2026"), "landedOn", "such as 2026-11-25"},
    };
  }

  @Test(dataProvider = "wrong")
  public void saysOfOneFieldWhatIsWrongWithIt(ReceiptForm form, String field, String words) {
    ReadReceipt read = read(form);
    assertFalse(read.delivery().isPresent());
    assertEquals(read.problems().keySet(), Map.of(field, "").keySet());
    assertTrue(read.problems().get(field).contains(words), read.problems().get(field));
  }

  @Test
  public void aFieldThatWasNotSentIsEmptyAndADeliveryGetsAnIdentifier() {
    ReceiptForm nothing =
        new ReceiptForm(
            null, null, null, null, null, null, null, null, null, null, null, null, null, null,
            null, null, null, null, null, null, null);
    assertEquals(nothing.id().length(), 36);
    assertEquals(nothing.fish(), "1");
    assertEquals(read(nothing).problems().size(), 8);
  }

  @Test
  public void aFishIsKilledInStepsAndMayComeScaledOrAsByCatch() {
    ReadReceipt read = read(form("hake", "GUTTED", "2", "4.0", "11", "2026-11-25"));
    Arrival arrival = read.delivery().orElseThrow().receipt().arrival();
    assertEquals(arrival.killing(), List.of(Killing.SPIKED, Killing.BLED));
    assertTrue(arrival.scaled() && arrival.byCatch());
  }

  private static ReceiptForm form(
      String species, String state, String fish, String invoiced, String price, String landed) {
    return new ReceiptForm(
        null,
        species,
        state,
        fish,
        invoiced,
        "",
        price,
        "Grey Skerry Landings",
        "1",
        "WILD",
        landed,
        " for  Friday ",
        "",
        "",
        "",
        "",
        "",
        "SPIKED,BLED,SPIKED,<b>",
        "yes",
        "yes",
        "");
  }
}
