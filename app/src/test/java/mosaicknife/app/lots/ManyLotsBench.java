package mosaicknife.app.lots;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import mosaicknife.app.TestLots;
import mosaicknife.app.WithPages;
import mosaicknife.core.anatomy.State;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.PlatformTransactionManager;
import org.testng.annotations.Test;

/**
 * How much longer the pages take with four hundred open lots than with eight, in a house that is
 * left with them. Run by {@code ./mosaic bench} only.
 */
public class ManyLotsBench extends WithPages {

  private static final int MOST_TIMES = 3;
  private static final int LOOKS = 7;
  private static final List<String> PAGES =
      List.of("/", "/slice", "/uses", "/kitchen", "/clock", "/dock", "/lots", "/larder", "/cost");

  @Autowired private JdbcClient jdbc;
  @Autowired private PlatformTransactionManager transactions;

  @Test
  public void fourHundredLotsAgainstEight() throws Exception {
    session("ines");
    FullHouse house = new FullHouse(jdbc, transactions);
    TestLots lots = new TestLots(applicationContext);
    long lot = lots.receive("hake", State.GUTTED, 1, "3.000");
    lots.weighForThePlate(lot, "fillet-left", "0.900 kg", "");
    house.open(lot, 400);
    Map<String, Double> many = looks();
    house.closeLongAgo(lot, 8);
    Map<String, Double> few = looks();
    many.forEach(
        (page, millis) -> {
          double times = millis / few.get(page);
          System.out.printf(
              "measured | %s with 400 open lots, against 8 | %.1f × | %d × | %s%n",
              page.equals("/") ? "Today" : page,
              times,
              MOST_TIMES,
              times <= MOST_TIMES ? "good" : "WORSE");
        });
  }

  private Map<String, Double> looks() {
    Map<String, Double> took = new LinkedHashMap<>();
    for (String page : PAGES) {
      IntStream.range(0, LOOKS).forEach(i -> look(page));
      took.put(
          page,
          IntStream.range(0, LOOKS).mapToDouble(i -> look(page)).sorted().toArray()[LOOKS / 2]);
    }
    return took;
  }

  private double look(String page) {
    long began = System.nanoTime();
    try {
      page("ines", page);
    } catch (Exception e) {
      throw new IllegalStateException(page, e);
    }
    return (System.nanoTime() - began) / 1e6;
  }
}
