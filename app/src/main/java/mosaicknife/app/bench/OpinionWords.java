package mosaicknife.app.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.craft.Drift;
import mosaicknife.core.craft.SecondOpinion.Remark;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.lot.Opinions;
import mosaicknife.core.quantity.Fraction;

/** The second opinion on the fish on the board, in words. */
final class OpinionWords {

  private static final int SHOWN = 2;

  private OpinionWords() {}

  /**
   * One remark.
   *
   * @param sentence what is seen and what to do
   * @param sure how sure it is, in percent
   */
  record Opinion(String sentence, String sure) {}

  /** Puts the remarks on one fish into words; money only for those who may see it. */
  static List<Opinion> of(
      LotSheet sheet, int fish, boolean money, Optional<Drift> drift, Formats formats) {
    List<Opinion> opinions = new ArrayList<>();
    Opinions.of(sheet, fish).stream()
        .limit(SHOWN)
        .map(remark -> new Opinion(sentence(remark, money, formats), sure(remark.sure(), formats)))
        .forEach(opinions::add);
    drift.ifPresent(d -> opinions.add(new Opinion(sentence(d, formats), sure(d.sure(), formats))));
    return opinions;
  }

  private static String sentence(Remark remark, boolean money, Formats formats) {
    String gap = formats.roughly(remark.gap());
    String band = formats.range(remark.low(), remark.high());
    String worth =
        remark
            .worth()
            .filter(w -> money)
            .map(w -> formats.say("bench.said.worth", remark.portions(), w))
            .orElseGet(() -> formats.say("bench.said.portions", remark.portions()));
    return switch (remark.about()) {
      case LIGHT ->
          formats.say("bench.said.is-light-most-fish-of", remark.part(), band, gap, worth);
      case HEAVY -> formats.say("bench.said.is-heavy-most-fish-of", remark.part(), band);
      case UNEVEN ->
          formats.say(
              "bench.said.is-lighter-than-two-sides",
              remark.part(),
              gap,
              Suspicion.lower(remark.other().orElse("")),
              worth);
      case FRAME ->
          formats.say(
              "bench.said.of-meat-on-the-worth", gap, Suspicion.lower(remark.part()), band, worth);
    };
  }

  private static String sentence(Drift drift, Formats formats) {
    return formats.say(
        "bench.said.your-last-cuts-get-lighter",
        drift.cuts(),
        formats.percent(Fraction.ofEstimate(drift.total())));
  }

  private static String sure(double probability, Formats formats) {
    return formats.say("bench.said.sure", Math.min(99, Math.round(100 * probability)));
  }
}
