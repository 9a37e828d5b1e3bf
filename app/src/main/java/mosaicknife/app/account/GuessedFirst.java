package mosaicknife.app.account;

import me.gosimple.nbvcxz.Nbvcxz;

/**
 * Passwords that are tried before all others: those of lists that went round, names and words with
 * a figure behind them, keys in a row, one letter again and again.
 */
final class GuessedFirst {

  /** Of 0 to 4: below this a patient stranger gets there. */
  private static final int LEAST_SCORE = 2;

  private GuessedFirst() {}

  /** Its lists are read when the first password is set, not at every start. */
  private static final class Lists {
    private static final Nbvcxz JUDGE = new Nbvcxz();
  }

  /**
   * Judges a password.
   *
   * @param password the password, not empty
   * @return true if it is guessed within about a million tries
   */
  static boolean is(String password) {
    return Lists.JUDGE.estimate(password).getBasicScore() < LEAST_SCORE;
  }
}
