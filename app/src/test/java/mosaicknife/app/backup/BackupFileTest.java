package mosaicknife.app.backup;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.Arrays;
import java.util.HexFormat;
import org.springframework.util.FileSystemUtils;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** Damage, forgery and the file of another house are told apart. */
public class BackupFileTest {

  private static final String KEY =
      "00112233445566778899aabbccddeeff00112233445566778899aabbccddeeff";
  // printf '%b' "$(echo KEY | sed 's/../\\x&/g')" | sha256sum
  private static final String MARK = "4773d12e";
  private static final String HEAD = "MOSAIC-BACKUP 2 house plain 0.10.0 2026-11-30T04:00:00Z ";

  private Path folder;
  private Seal seal;

  @BeforeMethod
  void make() throws IOException {
    folder = Files.createTempDirectory("mosaic-files");
    seal = Seal.read(Files.writeString(folder.resolve("seal"), KEY));
  }

  @AfterMethod(alwaysRun = true)
  void clear() throws IOException {
    FileSystemUtils.deleteRecursively(folder);
  }

  private Path sealed(String text, Seal with) throws IOException {
    Path file = Files.writeString(folder.resolve("house.backup"), text);
    BackupFile.seal(file, with);
    return file;
  }

  private Unfit.Why why(Path file) {
    return expectThrows(Unfit.class, () -> BackupFile.check(file, seal, false)).why();
  }

  @Test
  public void aFileOfTheHouseIsWhole() throws IOException {
    assertEquals(seal.mark(), MARK);
    Path file = sealed(HEAD + MARK + "\nfish\nand\0bones", seal);
    BackupFile.Said said = BackupFile.check(file, seal, false);
    assertEquals(said.mode() + " " + said.how(), "house plain");
    byte[] all = Files.readAllBytes(file);
    assertEquals(
        new String(
            Arrays.copyOfRange(all, said.headBytes(), all.length - said.tailBytes()),
            StandardCharsets.UTF_8),
        "fish\nand\0bones");
  }

  @Test
  public void aPrintedSealIsReadAsItWasTyped() throws IOException {
    Path typed =
        Files.writeString(
            folder.resolve("typed"),
            "0011 2233 4455 6677 8899 AABB CCDD EEFF\n0011-2233-4455-6677 8899 aabb ccdd eeff \n");
    assertEquals(Seal.read(typed).mark(), MARK);
    Path less = Files.writeString(folder.resolve("less"), KEY.substring(1));
    assertEquals(expectThrows(Unfit.class, () -> Seal.read(less)).why(), Unfit.Why.NO_SEAL);
  }

  @Test
  public void damageIsToldFromForgeryAndFromAnotherHouse() throws Exception {
    Path file = sealed(HEAD + MARK + "\nfish", seal);
    byte[] good = Files.readAllBytes(file);
    assertEquals(why(Files.write(file, Arrays.copyOf(good, good.length - 20))), Unfit.Why.CUT_OFF);
    byte[] flipped = good.clone();
    flipped[HEAD.length() + 9] ^= 1;
    assertEquals(why(Files.write(file, flipped)), Unfit.Why.DAMAGED);
    Seal other = Seal.read(Files.writeString(folder.resolve("other"), KEY.replace("00", "ff")));
    assertNotEquals(other.mark(), MARK);
    assertEquals(why(sealed(HEAD + MARK + "\nfish", other)), Unfit.Why.FORGED);
    assertEquals(why(sealed(HEAD + other.mark() + "\nfish", other)), Unfit.Why.OTHER_HOUSE);
    assertEquals(why(Files.writeString(file, "")), Unfit.Why.EMPTY);
    assertEquals(why(Files.writeString(file, "Dear butcher\n")), Unfit.Why.NO_BACKUP);
    assertEquals(why(Files.writeString(file, HEAD + MARK)), Unfit.Why.NO_BACKUP);
  }

  /** Someone who may write the folder of the backups changes a file and mends its checksum. */
  @Test
  public void aFileThatWasChangedWithItsChecksumIsForged() throws Exception {
    Path file = sealed(HEAD + MARK + "\nfish", seal);
    String all = Files.readString(file);
    String start = HEAD + MARK + "\nfisk";
    String sum =
        HexFormat.of()
            .formatHex(
                MessageDigest.getInstance("SHA-256")
                    .digest(start.getBytes(StandardCharsets.UTF_8)));
    String tail = all.substring(all.indexOf(" seal "));
    Files.writeString(file, start + "\nsha256 " + sum + tail);
    assertEquals(why(file), Unfit.Why.FORGED);
    // nor does it help to say that it was never sealed
    String older = "MOSAIC-BACKUP 1 house plain 0.10.0 2026-11-30T04:00:00Z\nfisk";
    String olderSum =
        HexFormat.of()
            .formatHex(
                MessageDigest.getInstance("SHA-256")
                    .digest(older.getBytes(StandardCharsets.UTF_8)));
    Files.writeString(file, older + "\nsha256 " + olderSum + "\n");
    assertEquals(why(file), Unfit.Why.UNSEALED);
    assertEquals(BackupFile.check(file, seal, true).mode(), "house");
  }
}
