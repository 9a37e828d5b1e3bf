package mosaicknife.app;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.expectThrows;

import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What PostgreSQL itself refuses, whatever the application would do. */
public class SchemaTest extends WithDatabase {

  @Autowired private JdbcClient jdbc;

  @DataProvider
  Object[][] impossible() {
    return new Object[][] {
      {"a lot of no fish", "update lot set fish_count = 0 where id = 1"},
      {"a lot of negative mass", "update lot set invoiced_mg = -1 where id = 1"},
      {"a lot of three tonnes", "update lot set own_mg = 3000000000 where id = 1"},
      {"a negative price", "update lot set price_per_kg = -0.01 where id = 1"},
      {"a state that is none", "update lot set state = 'FLOATING' where id = 1"},
      {"an origin that is none", "update lot set origin = 'FOUND' where id = 1"},
      {"a lot closed by nobody", "update lot set finished_by = null where id = 1"},
      {
        "a lot closed before it came",
        "update lot set finished_at = received_at - interval '1 hour' where id = 1"
      },
      {
        "a delivery stored twice",
        "update lot set client_id = (select client_id from lot where id = 2) where id = 1"
      },
      {
        "a part kept nowhere",
        "update lot_part set purpose = 'HOLD' where lot_id = 3 and slot = 'head'"
      },
      {
        "a part kept in a place without a name",
        "update lot_part set purpose = 'HOLD', hold_until = current_date, hold_place = ' ',"
            + " hold_keeper = 1 where lot_id = 3 and slot = 'head'"
      },
      {"a purpose that is none", "update lot_part set purpose = 'SOUP' where lot_id = 3"},
      {"a part cut from itself", "update lot_part set parent_id = id where lot_id = 3"},
      {"two parts of one number", "update lot_part set number = 1 where lot_id = 3"},
      {"two people of one name", "update person set sign_in = 'ines' where sign_in = 'maren'"},
      {"a sign-in name in capitals", "update person set sign_in = 'Maren' where sign_in = 'maren'"},
      {"a role that is none", "update person set role = 'KING' where sign_in = 'maren'"},
      {"a second house", "update house set id = 2"},
      {"a venue without a name", "insert into venue (name) values ('  ')"},
      {"a supplier twice", "insert into supplier (name) values ('GREY SKERRY LANDINGS')"},
    };
  }

  @Test(dataProvider = "impossible")
  public void theDatabaseRefuses(String what, String sql) {
    expectThrows(DataIntegrityViolationException.class, () -> jdbc.sql(sql).update());
  }

  @Test
  public void everyWeighingThatStandsIsTheLastLinkOfOneChain() {
    String heads =
        """
        select count(*) from (
          select part_id, fish_no from weighing where supersedes is null
          group by part_id, fish_no having count(*) > 1) twice
        """;
    String forks =
        """
        select count(*) from (
          select supersedes from weighing where supersedes is not null
          group by supersedes having count(*) > 1) forked
        """;
    assertEquals(jdbc.sql(heads).query(Long.class).single(), Long.valueOf(0));
    assertEquals(jdbc.sql(forks).query(Long.class).single(), Long.valueOf(0));
  }
}
