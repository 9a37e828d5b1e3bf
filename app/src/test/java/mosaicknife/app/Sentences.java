package mosaicknife.app;

import java.time.ZoneOffset;
import java.util.Currency;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.quantity.UnitSystem;

/** The sentence a person reads, for tests without an application. */
public final class Sentences {

  private static final Formats FORMATS =
      new Formats(UnitSystem.METRIC, Currency.getInstance("EUR"), ZoneOffset.UTC);

  private Sentences() {}

  /** Words why something was not done. */
  public static String of(RuntimeException problem) {
    return FORMATS.say(problem);
  }
}
