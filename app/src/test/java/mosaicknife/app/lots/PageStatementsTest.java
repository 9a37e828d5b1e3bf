package mosaicknife.app.lots;

import static org.testng.Assert.assertEquals;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mosaicknife.app.StatementCounter;
import mosaicknife.app.TestLots;
import mosaicknife.app.WithPages;
import mosaicknife.core.anatomy.State;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.PlatformTransactionManager;
import org.testng.annotations.Test;

/** How often a page that lists many asks the database: as often for many as for few. */
public class PageStatementsTest extends WithPages {

  private static final List<String> PAGES =
      List.of(
          "/",
          "/slice",
          "/uses",
          "/uses/plan",
          "/kitchen",
          "/clock/day",
          "/dock",
          "/lots",
          "/larder",
          "/cost",
          "/cost/compare",
          "/pot",
          "/buy",
          "/buy/orders",
          "/catalogue");

  @Autowired private JdbcClient jdbc;
  @Autowired private PlatformTransactionManager transactions;

  @Test
  public void aPageAsksAsOftenForManyAsForFew() throws Exception {
    session("ines");
    TestLots house = new TestLots(applicationContext);
    long lot = house.receive("hake", State.GUTTED, 1, "3.000");
    house.weighForThePlate(lot, "fillet-left", "0.900 kg", "");
    FullHouse full = new FullHouse(jdbc, transactions);
    Map<String, Integer> few = new LinkedHashMap<>();
    full.withOldLots(
        0,
        () -> {
          full.copies(lot, 9);
          few.putAll(counts());
        });
    full.withOldLots(
        0,
        () -> {
          full.copies(lot, 199);
          Map<String, Integer> many = counts();
          System.out.println("STATEMENTS " + few + "\nSTATEMENTS " + many);
          assertEquals(many, few);
        });
  }

  private Map<String, Integer> counts() throws Exception {
    Map<String, Integer> counts = new LinkedHashMap<>();
    for (String address : PAGES) {
      StatementCounter.restart();
      page("ines", address);
      counts.put(address, StatementCounter.count());
    }
    return counts;
  }
}
