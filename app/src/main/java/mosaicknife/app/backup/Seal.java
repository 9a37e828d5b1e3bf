package mosaicknife.app.backup;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.HexFormat;
import java.util.Locale;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/**
 * The key a house seals its backups with: who does not have it cannot write a file that is taken
 * for one of that house.
 */
final class Seal {

  private static final String KIND = "HmacSHA256";
  private static final int BYTES = 32;
  private static final int MARK_LETTERS = 8;

  private final SecretKeySpec key;
  private final String mark;

  private Seal(byte[] bytes) {
    key = new SecretKeySpec(bytes, KIND);
    try {
      mark =
          HexFormat.of()
              .formatHex(MessageDigest.getInstance("SHA-256").digest(bytes))
              .substring(0, MARK_LETTERS);
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException(e);
    }
  }

  /**
   * Reads a key as it was made, printed or typed: 64 hexadecimal digits, whatever stands between.
   *
   * @param file the file
   * @return the key
   * @throws Unfit if it holds anything else
   * @throws IOException if it cannot be read
   */
  static Seal read(Path file) throws IOException {
    String digits = Files.readString(file).toLowerCase(Locale.ROOT).replaceAll("[\\s-]", "");
    if (!digits.matches("[0-9a-f]{" + 2 * BYTES + "}")) {
      throw new Unfit(Unfit.Why.NO_SEAL, file.toString());
    }
    return new Seal(HexFormat.of().parseHex(digits));
  }

  /** Eight letters that tell one key from another and give nothing of it away. */
  String mark() {
    return mark;
  }

  /** A running sum that only this key comes to. */
  Mac sum() {
    try {
      Mac sum = Mac.getInstance(KIND);
      sum.init(key);
      return sum;
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException(e);
    }
  }
}
