package mosaicknife.app.account;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.HexFormat;

/** Makes secrets that cannot be guessed, and the hashes that are kept of them. */
public final class Secrets {

  private static final SecureRandom RANDOM = new SecureRandom();
  private static final int BYTES = 32;

  private Secrets() {}

  /**
   * Makes a secret.
   *
   * @return 256 random bits as text for an address
   */
  public static String fresh() {
    byte[] bytes = new byte[BYTES];
    RANDOM.nextBytes(bytes);
    return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
  }

  /**
   * Makes what is kept of a secret. SHA-256 is enough here: the secret has 256 random bits, so it
   * needs no slow hash.
   *
   * @param token the secret
   * @return its hash
   */
  public static String hash(String token) {
    try {
      byte[] digest =
          MessageDigest.getInstance("SHA-256").digest(token.getBytes(StandardCharsets.UTF_8));
      return HexFormat.of().formatHex(digest);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("Bug: every Java has SHA-256", e);
    }
  }
}
