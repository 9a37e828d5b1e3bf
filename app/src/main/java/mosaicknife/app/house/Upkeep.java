package mosaicknife.app.house;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Room;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.info.BuildProperties;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Whether the house is looked after: its backups, the room on the machine. */
@Service
public class Upkeep {

  /** One is made each night; a machine that was off for a night is no reason to worry. */
  private static final Duration LATE_AFTER = Duration.ofHours(36);

  private static final BigDecimal MEGABYTE = BigDecimal.valueOf(1_000_000);
  private static final int MOST_SHOWN = 10;

  private final JdbcClient jdbc;
  private final Room room;
  private final HouseSettings houses;
  private final Clock clock;
  private final boolean expected;
  private final String release;

  Upkeep(
      JdbcClient jdbc,
      Room room,
      HouseSettings houses,
      Clock clock,
      @Value("${mosaic.backup.expected}") boolean expected,
      ObjectProvider<BuildProperties> build) {
    this.jdbc = jdbc;
    this.room = room;
    this.houses = houses;
    this.clock = clock;
    this.expected = expected;
    this.release =
        Optional.ofNullable(build.getIfAvailable()).map(BuildProperties::getVersion).orElse("");
  }

  /**
   * A backup that was made.
   *
   * @param at when
   * @param file where it was written
   * @param megabytes how large it is
   * @param encrypted whether it needs a key
   */
  public record Backup(Instant at, String file, BigDecimal megabytes, boolean encrypted) {}

  /**
   * Returns the newest backups, the newest first.
   *
   * @return the backups; none before the first
   */
  @Transactional(readOnly = true)
  public List<Backup> backups() {
    return jdbc.sql(
            "select made_at, file, bytes, encrypted from backup_made order by made_at desc limit ?")
        .param(MOST_SHOWN)
        .query(
            (row, number) ->
                new Backup(
                    row.getTimestamp(1).toInstant(),
                    row.getString(2),
                    BigDecimal.valueOf(row.getLong(3)).divide(MEGABYTE, 1, RoundingMode.UP),
                    row.getBoolean(4)))
        .list();
  }

  /**
   * Returns whether a backup is missing: this house is backed up by itself, and the last one, or
   * the house itself if there is none, is too old.
   *
   * @return true if somebody should look why
   */
  @Transactional(readOnly = true)
  public boolean isLate() {
    return expected
        && jdbc.sql(
                "select coalesce((select max(made_at) from backup_made),"
                    + " (select min(created_at) from person))")
            .query(Timestamp.class)
            .optional()
            .filter(last -> last.toInstant().isBefore(clock.instant().minus(LATE_AFTER)))
            .isPresent();
  }

  /**
   * Returns what is free on the machine.
   *
   * @return megabytes; empty if it is not known which places count
   */
  public Optional<BigDecimal> freeMegabytes() {
    OptionalLong free = room.freeMegabytes();
    return free.isPresent() ? Optional.of(BigDecimal.valueOf(free.getAsLong())) : Optional.empty();
  }

  /**
   * Returns which release runs.
   *
   * @return its version; empty where it was not built as a release
   */
  public String release() {
    return release;
  }

  /**
   * Says what whoever runs the house should do now.
   *
   * @param manages whether the reader manages the house
   * @return sentences; none while all is well
   */
  @Transactional(readOnly = true)
  public List<String> warnings(boolean manages) {
    Formats formats = houses.house().formats();
    List<String> warnings = new ArrayList<>();
    OptionalLong left = room.shortMegabytes();
    if (left.isPresent()) {
      warnings.add(
          formats.say(
              "house.said.room-short", formats.number(BigDecimal.valueOf(left.getAsLong()))));
    }
    if (manages && isLate()) {
      warnings.add(
          backups().stream()
              .findFirst()
              .map(last -> formats.say("house.said.backup-late", formats.moment(last.at())))
              .orElseGet(() -> formats.say("house.said.backup-none")));
    }
    return warnings;
  }
}
