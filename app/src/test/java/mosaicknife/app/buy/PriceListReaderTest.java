package mosaicknife.app.buy;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import mosaicknife.app.Sentences;
import mosaicknife.app.buy.PriceListReader.BadRow;
import mosaicknife.app.buy.PriceListReader.ReadList;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.buying.Offer.Form;
import mosaicknife.core.quantity.UnitSystem;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class PriceListReaderTest {

  private static final LocalDate TODAY = LocalDate.of(2026, 11, 25);
  private static final Formats METRIC =
      new Formats(UnitSystem.METRIC, Currency.getInstance("EUR"), ZoneId.of("UTC"));

  private static ReadList read(String list) {
    return new PriceListReader(Catalogue.shipped(), METRIC, TODAY).read(list);
  }

  @Test
  public void readsSemicolonsDecimalCommasAndAByteOrderMark() {
    ReadList read =
        read(
            "\uFEFFFish;Form;State;Size;Price\r\n"
                + "merluza;whole;gutted;1,5-2,5 kg;11,40\r\n"
                + "\"Steinbutt\";;;2.5-4;24,50/kg\r\n"
                + "hake;fillet;;;5.20/lb\r\n");
    assertTrue(read.bad().isEmpty(), read.bad().toString());
    PriceLine hake = read.lines().get(0);
    assertEquals(hake.species().code(), "hake");
    assertEquals(hake.state(), State.GUTTED);
    assertEquals(hake.grade(), SizeGrade.parseKilograms("1.5-2.5"));
    assertEquals(hake.price().perKilogram().amount().doubleValue(), 11.4, 1e-9);
    assertEquals(read.lines().get(1).species().code(), "turbot");
    assertEquals(read.lines().get(2).form(), Form.FILLET);
    assertEquals(read.lines().get(2).price().perKilogram().amount().doubleValue(), 11.464, 0.001);
  }

  @Test
  public void readsCommasTabsAndDatesInThreeForms() {
    String day = "2026-11-24";
    for (String written : List.of(day, "24.11.2026", "24/11/2026")) {
      ReadList read = read("species\tprice\tdate\nhake\t11.40\t" + written + "\n");
      assertEquals(read.lines().get(0).validOn(), Optional.of(LocalDate.parse(day)), written);
    }
    assertEquals(read("fish,price\nhake,11.40\n").lines().size(), 1);
  }

  @DataProvider
  Object[][] badRows() {
    return new Object[][] {
      {"kraken;whole;gutted;1-2;10;", "No fish in the catalogue is called"},
      {";whole;gutted;1-2;10;", "name of the fish is missing"},
      {"hake;sliced;gutted;1-2;10;", "neither whole nor fillet"},
      {"hake;whole;frozen;1-2;10;", "isn’t a state"},
      {"hake;whole;gutted;big;10;", "isn’t a size"},
      {"hake;whole;gutted;2-1;10;", "from small to large"},
      {"hake;whole;gutted;1-2;;", "price is missing"},
      {"hake;whole;gutted;1-2;-4;", ""},
      {"hake;whole;gutted;1-2;free;", "number"},
      {"hake;whole;gutted;1-2;10;31.31.2026", "isn’t a date"},
      {"hake;whole;gutted;1-2;10;1999-01-01", "too far from today"},
      {"<script>alert(1)</script>;whole;gutted;1-2;10;", "No fish in the catalogue"},
    };
  }

  @Test(dataProvider = "badRows")
  public void aBadRowIsKeptWithItsReasonAndTheOthersCount(String row, String words) {
    ReadList read =
        read("fish;form;state;size;price;date\n" + row + "\nturbot;whole;gutted;2-4;24;\n");
    assertEquals(read.lines().size(), 1, "the good row counts");
    BadRow bad = read.bad().get(0);
    assertEquals(bad.line(), 2);
    assertTrue(bad.reason().contains(words), bad.reason());
  }

  @DataProvider
  Object[][] noLists() {
    return new Object[][] {
      {"", "The list is empty"},
      {"fish\nhake\n", "Only one column was found"},
      {"fish|price\nhake|10\n", "Only one column was found"},
      {"name of boat;colour\nx;y\n", "no column “fish”"},
      {"fish;colour\nhake;grey\n", "no column “price”"},
      {"fish;price\n\"hake;10\n", "quotes in it do not close"},
    };
  }

  @Test(dataProvider = "noLists")
  public void whatIsNoListIsRefusedWithASentence(String list, String words) {
    Refusal refusal = expectThrows(Refusal.class, () -> read(list));
    assertTrue(Sentences.of(refusal).contains(words), Sentences.of(refusal));
  }

  @Test
  public void fiveThousandRowsWithFortyBadOnesAreRead() {
    StringBuilder list = new StringBuilder("fish;form;state;size;price\n");
    String[] fish = {"hake", "turbot", "cod", "plaice", "ray"};
    for (int i = 0; i < 5_000; i++) {
      boolean bad = i % 125 == 7;
      list.append(bad ? "seaserpent" : fish[i % fish.length])
          .append(";whole;gutted;")
          .append(1 + i)
          .append("-")
          .append(2 + i)
          .append(" g;9,")
          .append(10 + i % 90)
          .append('\n');
    }
    ReadList read = read(list.toString());
    assertEquals(read.bad().size(), 40);
    assertEquals(read.lines().size(), 4_960);
  }

  @Test
  public void theSameThingTwiceInOneListIsSaidSo() {
    ReadList read = read("fish;size;price\nhake;1-2;10\nhake;1-2;11\n");
    assertEquals(read.lines().size(), 1);
    assertTrue(read.bad().get(0).reason().contains("twice"));
  }
}
