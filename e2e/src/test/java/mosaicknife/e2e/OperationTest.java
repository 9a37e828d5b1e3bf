package mosaicknife.e2e;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.concurrent.Callable;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** A house run by the script: it comes back by itself, and its backups are worth their name. */
public class OperationTest {

  static final String STORED =
      "select p.lot_id || '|' || w.id from weighing w join lot_part p on p.id = w.part_id"
          + " order by w.stored_at, w.taken_at";

  private Machine machine;

  @BeforeClass
  void start() throws Exception {
    machine = Machine.fresh();
    machine.must("start");
  }

  /** One after the other in one house: as methods of their own it would run while others wait. */
  @Test
  public void aHouseRunByTheScriptHoldsWhatItPromises() throws Exception {
    theFirstOwnersLinkIsForNobodyElseToRead();
    theApplicationsRoleMayLittle();
    whenBothAreKilledItComesBackAndNothingIsLostOrDoubled();
    aBackupIsCheckedAndWhatIsNoneIsRefusedWithTheHouseAsItWas();
  }

  private void theFirstOwnersLinkIsForNobodyElseToRead() throws Exception {
    Path link = machine.home().resolve("first-owner");
    assertEquals(PosixFilePermissions.toString(Files.getPosixFilePermissions(link)), "rw-------");
    try (var logs = Files.list(machine.home().resolve("log"))) {
      for (Path log : logs.toList()) {
        assertFalse(Files.readString(log).contains("welcome?link="), log.toString());
      }
    }
    Weighers.found(link);
    assertFalse(Files.exists(link), "a used link is forgotten");
  }

  private void theApplicationsRoleMayLittle() throws Exception {
    assertEquals(
        machine.ask(
            "select rolsuper or rolcreatedb or rolcreaterole or rolreplication from pg_roles where"
                + " rolname = 'mosaic_app'"),
        "f");
    assertEquals(
        machine.ask(
            "select count(*) from pg_class c join pg_namespace s on s.oid = c.relnamespace where"
                + " s.nspname = 'public' and pg_get_userbyid(c.relowner) <> 'mosaic_app'"),
        "0");
  }

  private void whenBothAreKilledItComesBackAndNothingIsLostOrDoubled() throws Exception {
    try (Weighers weighers = new Weighers("http://127.0.0.1:" + machine.port(), 4)) {
      weighers.begin();
      weighers.await(20);
      String before = machine.must("status");
      machine.kill("app.pid");
      machine.kill("database");
      machine.awaitUp();
      weighers.await(weighers.answered() + 20);
      // the keeper too, and started at once: it works at the first try
      machine.kill("keeper.pid");
      machine.kill("app.pid");
      machine.kill("database");
      assertTrue(machine.must("start").contains(":" + machine.port() + "/"), "the same port");
      weighers.await(weighers.answered() + 20);
      weighers.end();
      List<String> stored = machine.ask(STORED).lines().toList();
      assertEquals(weighers.compare(stored), new Weighers.Tally(weighers.answered(), 0, 0, 0));
      assertEquals(
          databaseLine(machine.must("status")),
          databaseLine(before),
          "the database keeps its port");
    }
  }

  private static String databaseLine(String status) {
    return status
        .lines()
        .filter(line -> line.startsWith("The database runs"))
        .findFirst()
        .orElse("");
  }

  private void aBackupIsCheckedAndWhatIsNoneIsRefusedWithTheHouseAsItWas() throws Exception {
    Path good = machine.home().resolve("house.backup");
    machine.must("backup", good.toString());
    assertEquals(PosixFilePermissions.toString(Files.getPosixFilePermissions(good)), "rw-------");
    String weighings = machine.ask("select count(*) from weighing");
    refused(damaged(good, "cut.backup", bytes(good).length - 200), "cut off");
    refused(flipped(good), "checksum does not match");
    refused(Files.createFile(machine.home().resolve("empty.backup")), "is empty");
    refused(
        Files.writeString(machine.home().resolve("letter.backup"), "Dear butcher\n"),
        "is not a backup of Mosaic Knife");
    Path key = Files.writeString(machine.home().resolve("key"), "salt and marsh\n");
    Path locked = machine.home().resolve("locked.backup");
    Path touched = machine.home().resolve("touched");
    withAnEvilRule(
        touched, () -> machine.must("backup", locked.toString(), "--key", key.toString()));
    refused(locked, "is encrypted");
    Path printed = machine.home().resolve("printed");
    machine.must("seal", printed.toString());
    assertTrue(machine.must("seal").contains("Print it"), "the seal can be shown");
    Path seal = machine.home().resolve("seal");
    for (Path one : List.of(printed, seal)) {
      assertEquals(PosixFilePermissions.toString(Files.getPosixFilePermissions(one)), "rw-------");
    }
    // as another machine has it: a seal of its own
    Files.writeString(seal, "0123456789abcdef".repeat(4));
    refused(good, "was sealed by another house");
    String restored =
        machine.must(
            "restore", locked.toString(), "--key", key.toString(), "--seal", printed.toString());
    assertTrue(restored.contains("The one before is there as mosaic_before_"), restored);
    assertEquals(machine.ask("select count(*) from weighing"), weighings);
    assertEquals(machine.ask("select count(*) from pg_proc where proname = 'evil'"), "0");
    assertFalse(Files.exists(touched), "a program that the file named was run");
    assertEquals(Files.readString(seal), Files.readString(printed), "the seal from now on");
    assertTrue(machine.isUp());
  }

  /** Whoever reached the database before it was backed up, with a rule that runs a program. */
  private void withAnEvilRule(Path touched, Callable<String> backup) throws Exception {
    machine.ask("create function evil() returns boolean language sql as 'select true'");
    machine.ask("alter table weighing add constraint evil check (evil())");
    machine.ask(
        """
        create or replace function evil() returns boolean language plpgsql as $$ begin
          reset role; execute $x$copy (select 1) to program 'touch %s'$x$; return true; end $$;
        """
            .formatted(touched));
    backup.call();
    machine.ask("alter table weighing drop constraint evil");
    machine.ask("drop function evil()");
  }

  private void refused(Path file, String why) throws Exception {
    Machine.Said said = machine.does("restore", file.toString());
    assertNotEquals(said.code(), 0, said.said());
    assertTrue(said.said().contains(why), said.said());
    assertTrue(said.said().contains("is as it was"), said.said());
    assertTrue(machine.isUp());
  }

  private static byte[] bytes(Path file) throws IOException {
    return Files.readAllBytes(file);
  }

  private Path damaged(Path good, String name, int length) throws IOException {
    return Files.write(machine.home().resolve(name), java.util.Arrays.copyOf(bytes(good), length));
  }

  private Path flipped(Path good) throws IOException {
    byte[] bytes = bytes(good);
    bytes[bytes.length / 2] ^= 1;
    return Files.write(machine.home().resolve("flipped.backup"), bytes, StandardOpenOption.CREATE);
  }

  @AfterClass(alwaysRun = true)
  void stop() {
    if (machine != null) {
      machine.close();
    }
  }
}
