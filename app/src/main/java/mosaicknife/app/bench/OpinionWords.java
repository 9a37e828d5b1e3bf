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
        .map(remark -> new Opinion(sentence(remark, money, formats), sure(remark.sure())))
        .forEach(opinions::add);
    drift.ifPresent(d -> opinions.add(new Opinion(sentence(d, formats), sure(d.sure()))));
    return opinions;
  }

  private static String sentence(Remark remark, boolean money, Formats formats) {
    String gap = formats.roughly(remark.gap());
    String band = formats.range(remark.low(), remark.high());
    String worth =
        (remark.portions() > 0
                ? ", %d portion%s".formatted(remark.portions(), remark.portions() == 1 ? "" : "s")
                : "")
            + remark.worth().filter(w -> money).map(w -> ", ≈ " + formats.money(w)).orElse("");
    return switch (remark.about()) {
      case LIGHT ->
          "%s is light: most fish of this size give %s. Missing %s%s. Look at the frame."
              .formatted(remark.part(), band, gap, worth);
      case HEAVY ->
          "%s is heavy: most fish of this size give %s. Are bones or belly still on it?"
              .formatted(remark.part(), band);
      case UNEVEN ->
          "%s is %s lighter than %s%s. Two sides of one fish differ less: look under that side."
              .formatted(
                  remark.part(), gap, Suspicion.lower(remark.other().orElse("the other")), worth);
      case FRAME ->
          "%s of meat on the %s (%s)%s. Worth a spoon."
              .formatted(gap, Suspicion.lower(remark.part()), band, worth);
    };
  }

  private static String sentence(Drift drift, Formats formats) {
    return "Your last %d cuts get lighter, %s in all. Sharpen the knife?"
        .formatted(drift.cuts(), formats.percent(Fraction.ofEstimate(drift.total())));
  }

  private static String sure(double probability) {
    return Math.min(99, Math.round(100 * probability)) + " % sure";
  }
}
