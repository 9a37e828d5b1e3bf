package mosaicknife.app.house;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.OptionalLong;
import mosaicknife.app.WithPages;
import mosaicknife.app.shared.TestRoom;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.info.BuildProperties;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.Test;

/** Backups that are late and a disk that runs full are said, and nothing while all is well. */
public class UpkeepTest extends WithPages {

  private static final Instant NOW = Instant.parse("2031-03-04T12:00:00Z");

  @Autowired private JdbcClient jdbc;
  @Autowired private HouseSettings houses;
  @Autowired private ObjectProvider<BuildProperties> build;

  private Upkeep upkeep(boolean expected, long leastMegabytes) {
    return new Upkeep(
        jdbc,
        TestRoom.at("/tmp", leastMegabytes),
        houses,
        Clock.fixed(NOW, ZoneOffset.UTC),
        expected,
        build);
  }

  private void made(Duration ago) {
    jdbc.sql("insert into backup_made (made_at, file, bytes, encrypted) values (?, ?, ?, true)")
        .params(NOW.minus(ago).atOffset(ZoneOffset.UTC), "/srv/one.backup", 1_234_567)
        .update();
  }

  @AfterMethod
  void forget() {
    jdbc.sql("delete from backup_made").update();
  }

  @Test
  public void aHouseThatWasNeverBackedUpIsToldOnlyIfItShouldBe() {
    assertEquals(upkeep(false, 0).warnings(true), List.of());
    assertEquals(upkeep(true, 0).warnings(false), List.of(), "a cook cannot mend it");
    assertTrue(upkeep(true, 0).warnings(true).get(0).startsWith("No backup was made yet."));
  }

  @Test
  public void aNightMissedIsNoAlarmTwoAre() {
    made(Duration.ofHours(35));
    assertFalse(upkeep(true, 0).isLate());
    assertEquals(upkeep(true, 0).warnings(true), List.of());
    forget();
    made(Duration.ofHours(37));
    assertTrue(upkeep(true, 0).isLate());
    assertTrue(
        upkeep(true, 0).warnings(true).get(0).contains("2 Mar"),
        upkeep(true, 0).warnings(true).toString());
    made(Duration.ofHours(1));
    assertFalse(upkeep(true, 0).isLate());
  }

  @Test
  public void aDiskThatRunsFullIsSaidToEverybody() {
    assertEquals(upkeep(false, 1).warnings(false), List.of());
    assertTrue(upkeep(false, Long.MAX_VALUE).warnings(false).get(0).contains("MB are left"));
    assertEquals(
        TestRoom.at("/nowhere/at/all", Long.MAX_VALUE).shortMegabytes(), OptionalLong.empty());
  }

  @Test
  public void thePageListsWhatWasMade() throws Exception {
    made(Duration.ofHours(2));
    String page = page("adaeze", "/house/upkeep");
    assertTrue(page.contains("/srv/one.backup") && page.contains("1.3 MB"), page);
    assertTrue(page.contains("encrypted"), page);
  }
}
