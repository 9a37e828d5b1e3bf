package mosaicknife.app.backup;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.HexFormat;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.crypto.Mac;

/**
 * A backup: one line that says what it is, the dump (encrypted if a key is given), and a last line
 * with two sums of all before it. The first tells damage, the second, which only the house can
 * make, tells forgery.
 */
final class BackupFile {

  private static final Pattern HEAD =
      Pattern.compile(
          "MOSAIC-BACKUP ([12]) (demo|house) (plain|encrypted) [0-9.]{1,20} [0-9TZ:-]{10,30}"
              + "(?: ([0-9a-f]{8}))?");
  private static final int LONGEST_HEAD = 200;

  private static final Pattern TAIL =
      Pattern.compile("\nsha256 ([0-9a-f]{64})(?: seal ([0-9a-f]{64}))?\n");
  private static final int TAIL_BYTES = "\nsha256  seal \n".length() + 128;
  private static final int UNSEALED_TAIL_BYTES = "\nsha256 \n".length() + 64;
  private static final int CHUNK = 1 << 16;

  private BackupFile() {}

  /**
   * What a whole file says of itself.
   *
   * @param mode demo or house
   * @param how plain or encrypted
   * @param headBytes where the dump begins
   * @param tailBytes how many bytes come after it
   */
  record Said(String mode, String how, int headBytes, int tailBytes) {}

  private record Sums(String plain, String sealed) {}

  private static Sums sums(Path file, long bytes, Seal seal) throws IOException {
    try (InputStream in = new BufferedInputStream(Files.newInputStream(file), CHUNK)) {
      MessageDigest plain = MessageDigest.getInstance("SHA-256");
      Mac sealed = seal.sum();
      byte[] chunk = new byte[CHUNK];
      for (long left = bytes; left > 0; ) {
        int read = in.read(chunk, 0, (int) Math.min(chunk.length, left));
        if (read < 0) {
          throw new IOException(file + " became shorter");
        }
        plain.update(chunk, 0, read);
        sealed.update(chunk, 0, read);
        left -= read;
      }
      HexFormat hex = HexFormat.of();
      return new Sums(hex.formatHex(plain.digest()), hex.formatHex(sealed.doFinal()));
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException(e);
    }
  }

  /**
   * Writes the last line of a file that is otherwise complete.
   *
   * @param file the first line and the dump
   * @param seal the key of the house
   * @throws IOException if it cannot be written
   */
  static void seal(Path file, Seal seal) throws IOException {
    Sums sums = sums(file, Files.size(file), seal);
    Files.writeString(
        file,
        "\nsha256 " + sums.plain() + " seal " + sums.sealed() + "\n",
        StandardOpenOption.APPEND);
  }

  /**
   * Looks whether a file is whole and of this house, before any database is asked.
   *
   * @param file the file
   * @param seal the key of the house
   * @param isUnsealedTaken whether one of a release that did not seal is taken
   * @return what it says of itself
   * @throws Unfit if it is not
   * @throws IOException if it cannot be read
   */
  static Said check(Path file, Seal seal, boolean isUnsealedTaken) throws IOException {
    long size = Files.size(file);
    if (size == 0) {
      throw new Unfit(Unfit.Why.EMPTY, "");
    }
    String start = new String(read(file, 0, LONGEST_HEAD), StandardCharsets.ISO_8859_1);
    Matcher head = HEAD.matcher(start.split("\n", 2)[0]);
    if (!start.contains("\n") || !head.matches()) {
      throw new Unfit(Unfit.Why.NO_BACKUP, "");
    }
    boolean isSealed = head.group(1).equals("2") && head.group(4) != null;
    int tailBytes = isSealed ? TAIL_BYTES : UNSEALED_TAIL_BYTES;
    Matcher tail =
        TAIL.matcher(
            new String(
                read(file, Math.max(0, size - tailBytes), tailBytes), StandardCharsets.ISO_8859_1));
    if (!tail.matches() || isSealed != (tail.group(2) != null)) {
      throw new Unfit(Unfit.Why.CUT_OFF, "");
    }
    Sums sums = sums(file, size - tailBytes, seal);
    if (!sums.plain().equals(tail.group(1))) {
      throw new Unfit(Unfit.Why.DAMAGED, "");
    }
    if (!isSealed && !isUnsealedTaken) {
      throw new Unfit(Unfit.Why.UNSEALED, "");
    }
    if (isSealed && !isSame(sums.sealed(), tail.group(2))) {
      boolean isOurs = head.group(4).equals(seal.mark());
      throw new Unfit(isOurs ? Unfit.Why.FORGED : Unfit.Why.OTHER_HOUSE, head.group(4));
    }
    return new Said(head.group(2), head.group(3), head.end() + 1, tailBytes);
  }

  /** In a time that tells nothing of how much of it was right. */
  private static boolean isSame(String one, String other) {
    return MessageDigest.isEqual(
        one.getBytes(StandardCharsets.US_ASCII), other.getBytes(StandardCharsets.US_ASCII));
  }

  private static byte[] read(Path file, long from, int bytes) throws IOException {
    try (InputStream in = Files.newInputStream(file)) {
      in.skipNBytes(from);
      return in.readNBytes(bytes);
    }
  }
}
