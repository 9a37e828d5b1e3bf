package mosaicknife.app.cost;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import mosaicknife.app.TestLots;
import mosaicknife.app.WithPages;
import mosaicknife.core.anatomy.State;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What a little more or less is worth, on the page of a lot. */
public class WhatIfPagesTest extends WithPages {

  private TestLots lots;

  @BeforeClass
  void lotsOfItsOwn() {
    lots = new TestLots(applicationContext);
  }

  @AfterClass(alwaysRun = true)
  void nobodyCountsWithThem() {
    lots.close();
  }

  private static final String ASKED = "?more=5 g&plates=200&share=28";

  /** A hake of 4.860 kg with fillets of 1318 and 1292 g. */
  private long hake() {
    long lot = lots.receive("hake", State.GUTTED, 1, "4.860");
    lots.weighForThePlate(lot, "fillet-left", "1.318 kg", "");
    lots.weighForThePlate(lot, "fillet-right", "1.292 kg", "");
    return lot;
  }

  @Test
  public void yieldPortionMenuAndTheCutBoughtInAreSaid() throws Exception {
    long lot = hake();
    assertTrue(page("ines", "/cost/" + lot).contains("A little more or less"));
    String said = page("ines", "/cost/" + lot + "/what-if" + ASKED + "&bought=400/kg");
    // 2.610 of 4.860 kg
    assertTrue(said.contains("The yield is 53.7 %"), said);
    assertTrue(said.contains("on 200 plates a week"), said);
    assertTrue(said.contains("breaking it pays up to"), said);
    assertTrue(said.contains("this lot has 53.7 %"), said);
    String menu = page("ines", "/cost/" + lot + "/what-if" + ASKED + "&price=24");
    assertTrue(menu.contains("At €24.00 on the menu it is"), menu);
    String cheap = page("ines", "/cost/" + lot + "/what-if" + ASKED + "&bought=0.10/kg");
    assertTrue(cheap.contains("never pays") && cheap.contains("No yield is enough"), cheap);
    String none = page("ines", "/cost/" + lot + "/what-if" + ASKED);
    assertFalse(none.contains("bought in"), "nothing is said of what nobody asked");
  }

  @DataProvider
  public static Object[][] wrong() {
    return new Object[][] {
      {"?more=&plates=200&share=28"},
      {"?more=0&plates=200&share=28"},
      {"?more=5 g&plates=0&share=28"},
      {"?more=5 g&plates=many&share=28"},
      {"?more=5 g&plates=200&share=0"},
      {"?more=5 g&plates=200&share=140"},
      {ASKED + "&price=0"},
      {ASKED + "&price=-4"},
      {ASKED + "&bought=0/kg"},
      {ASKED + "&bought=dear"},
    };
  }

  @Test(dataProvider = "wrong")
  public void whatIsWrongIsSaid(String query) throws Exception {
    assertTrue(page("ines", "/cost/" + hake() + "/what-if" + query).contains("text-danger"), query);
  }

  @Test
  public void onlyThoseWhoSeeCostsSeeIt() throws Exception {
    assertEquals(
        mvc.perform(
                MockMvcRequestBuilders.get("/cost/" + hake() + "/what-if" + ASKED)
                    .cookie(session("tobiah")))
            .andReturn()
            .getResponse()
            .getStatus(),
        403);
    long unweighed = lots.receive("hake", State.GUTTED, 1, "4.860");
    assertTrue(
        page("ines", "/cost/" + unweighed + "/what-if" + ASKED).contains("still to be weighed"));
  }
}
