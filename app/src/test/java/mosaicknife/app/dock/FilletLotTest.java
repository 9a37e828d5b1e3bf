package mosaicknife.app.dock;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Clock;
import java.time.LocalDate;
import java.util.UUID;
import mosaicknife.app.WithPages;
import mosaicknife.app.buy.OrderPlacer;
import mosaicknife.app.buy.OrderStatus;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.lot.Station;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.testng.annotations.Test;

/** Fillet that was bought cut: ordered by weight, received as a lot, straight to portions. */
public class FilletLotTest extends WithPages {

  @Autowired private OrderPlacer orders;
  @Autowired private HouseSettings houses;
  @Autowired private LotSheets sheets;
  @Autowired private JdbcClient jdbc;
  @Autowired private Clock clock;

  private long placed(String kilograms) {
    long supplier = houses.addSupplier("Marram Quay Fish").id();
    long order =
        jdbc.sql(
                "insert into purchase_order (supplier_id, venue_id, deliver_on, status, made_by,"
                    + " made_at, placed_at) select :supplier, :venue, :day, 'PLACED', min(id), now(),"
                    + " now() from person returning id")
            .param("supplier", supplier)
            .param("venue", houses.venues().get(0).id())
            .param("day", LocalDate.now(clock))
            .query(Long.class)
            .single();
    jdbc.sql(
            "insert into order_line (client_id, order_id, species, form, state, from_mg, to_mg,"
                + " fish, mass_mg, price_per_kg, currency) values (gen_random_uuid(), :order,"
                + " 'hake', 'FILLET', 'GUTTED', 1000000, 2000000, 0, :mass * 1000000, 29.5, 'EUR')")
        .param("order", order)
        .param("mass", new java.math.BigDecimal(kilograms))
        .update();
    return order;
  }

  /** Receives hake fillet for an order line; the number of fish is typed and of no meaning. */
  private String receive(long line, String invoiced) throws Exception {
    return follow(
        "tobiah",
        "/dock/receive",
        "id",
        UUID.randomUUID().toString(),
        "line",
        Long.toString(line),
        "species",
        "hake",
        "state",
        "FILLETS",
        "fish",
        "9",
        "origin",
        "WILD",
        "landedOn",
        LocalDate.now(clock).toString(),
        "supplier",
        "Marram Quay Fish",
        "venue",
        Long.toString(houses.venues().get(0).id()),
        "invoiced",
        invoiced);
  }

  /**
   * 5.040 kg came of 5.000 kg ordered: 29 portions of 171 g at least (180 less the house's 5 %) at
   * 29.50 x 5.04 / 29 = 5.13.
   */
  @Test
  public void filletIsReceivedBecomesALotAndClosesItsOrder() throws Exception {
    long order = placed("5");
    long line = orders.get(order).lines().get(0).id();
    assertTrue(page("tobiah", "/dock").contains("/dock/receive?line=" + line));
    Element form = Jsoup.parse(page("tobiah", "/dock/receive?line=" + line)).body();
    assertEquals(form.select("[name=state][checked]").val(), "FILLETS");
    assertEquals(form.select("[name=species][checked]").val(), "hake");

    String received = receive(line, "5.040 kg");
    assertTrue(received.contains("As ordered"), received);
    assertEquals(orders.get(order).status(), OrderStatus.CLOSED, "all of it came");

    long lot =
        jdbc.sql("select id from lot where order_line_id = :line")
            .param("line", line)
            .query(Long.class)
            .single();
    LotSheet sheet = sheets.get(lot);
    assertTrue(sheet.isDone(Station.BENCH), "nothing is left to weigh");
    assertEquals(sheet.lot().fish(), 1, "fillet has no number of fish");
    assertEquals(sheet.portions().count(), 29, "it is for the plate already");
    String cost = page("ines", "/cost/" + lot);
    assertEquals(Jsoup.parse(cost).select("#portion-by-count").text(), "€5.13");
    assertFalse(cost.contains("Ungutted"), "nobody saw the fish it came from");
    for (String address : new String[] {"/bench/", "/plan/", "/uses/", "/dock/"}) {
      assertTrue(page("tobiah", address + lot).contains("Hake"), address);
    }
    assertFalse(page("tobiah", "/plan/" + lot).contains("option-route"));
  }

  @Test
  public void lessThanOrderedIsSaidAndTheOrderStaysOpen() throws Exception {
    long order = placed("4");
    long line = orders.get(order).lines().get(0).id();
    String received = receive(line, "3 kg");
    assertTrue(
        received.contains("1.000 kg less came than was ordered: 3.000 kg of 4.000 kg."), received);
    assertEquals(orders.get(order).status(), OrderStatus.PLACED);
  }
}
