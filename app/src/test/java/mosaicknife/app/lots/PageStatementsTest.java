package mosaicknife.app.lots;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.HashMap;
import java.util.LinkedHashMap;
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

  /** The most a page may ask, whatever others left on hobs, shelves and the dock. */
  private static final Map<String, Integer> MOST = new HashMap<>();

  static {
    MOST.put("/", 60);
    MOST.put("/slice", 40);
    MOST.put("/uses", 60);
    MOST.put("/uses/plan", 50);
    MOST.put("/kitchen", 40);
    MOST.put("/clock/day", 60);
    MOST.put("/dock", 34);
    MOST.put("/lots", 5);
    MOST.put("/larder", 30);
    MOST.put("/cost", 22);
    MOST.put("/cost/compare", 22);
    MOST.put("/pot", 45);
    MOST.put("/buy", 10);
    MOST.put("/buy/orders", 10);
    MOST.put("/catalogue", 3);
  }

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
          assertEquals(counts(), few);
        });
  }

  private Map<String, Integer> counts() throws Exception {
    Map<String, Integer> counts = new LinkedHashMap<>();
    for (String address : MOST.keySet()) {
      StatementCounter.restart();
      page("ines", address);
      int asked = StatementCounter.count();
      assertTrue(asked <= MOST.get(address), address + " asks " + StatementCounter.asked());
      counts.put(address, asked);
    }
    return counts;
  }
}
