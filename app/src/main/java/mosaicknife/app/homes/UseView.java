package mosaicknife.app.homes;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.lot.Cooked;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * What the parts of one lot are for, ready for the template.
 *
 * @param rows one row per part that was weighed or is expected
 * @param totals how much goes to each purpose
 * @param openText how much is still without a purpose; empty if nothing is
 */
record UseView(List<Row> rows, List<Total> totals, String openText) {

  /** One part and the purposes it may have. */
  record Row(
      LotPart part,
      String weight,
      boolean weighed,
      String share,
      List<UseChoice> choices,
      String value,
      String held,
      String shelved,
      Optional<String> left,
      UUID newId,
      Optional<CookedView> cooked) {}

  /** What a part weighed after cooking, in words and as it can be typed again. */
  record CookedView(String said, String out, String flesh) {}

  /** One purpose of one part. */
  record UseChoice(Purpose purpose, boolean chosen, boolean allowed, boolean usual) {}

  /** One purpose over all parts. */
  record Total(Purpose purpose, String mass, String share, boolean any) {}

  static UseView of(
      LotSheet sheet, Map<String, Cooked> cooked, Map<Long, String> names, Formats formats) {
    Mass whole = sheet.lot().purchased();
    List<Row> rows =
        sheet.expectedParts().stream()
            .map(part -> row(sheet, part, cooked(sheet, part, cooked, formats), names, formats))
            .toList();
    List<Total> totals =
        Stream.of(Purpose.values())
            .map(
                purpose -> {
                  Mass mass = sheet.breakdown().massFor(purpose::equals);
                  return new Total(
                      purpose,
                      formats.mass(mass),
                      formats.percent(mass.dividedBy(whole)),
                      mass.isPositive());
                })
            .toList();
    Mass open = sheet.breakdown().massOf(leaf -> leaf.purpose().isEmpty());
    return new UseView(rows, totals, open.isPositive() ? formats.mass(open) : "");
  }

  /** Only what is eaten is cooked for a plate; empty for a part that is not. */
  private static Optional<CookedView> cooked(
      LotSheet sheet, LotPart part, Map<String, Cooked> cooked, Formats formats) {
    Optional<Cooked> weighed = Optional.ofNullable(cooked.get(part.slot()));
    if (weighed.isEmpty() && !sheet.mayBeCooked(part)) {
      return Optional.empty();
    }
    return Optional.of(
        weighed
            .map(
                one ->
                    new CookedView(
                        said(sheet, part, one, formats),
                        formats.mass(one.out()),
                        one.flesh().map(formats::mass).orElse("")))
            .orElse(new CookedView("", "", "")));
  }

  private static String said(LotSheet sheet, LotPart part, Cooked one, Formats formats) {
    Fraction loss = one.lost(part.mass());
    boolean heavier = loss.compareTo(Fraction.ZERO) < 0;
    String lost =
        formats.say(
            heavier ? "homes.part.said.cooked-heavier" : "homes.part.said.cooked",
            formats.mass(one.out()),
            formats.percent(heavier ? Fraction.ZERO.minus(loss) : loss));
    String flesh =
        one.flesh()
            .map(m -> formats.say("homes.part.said.off-the-bone", formats.mass(m)))
            .orElse("");
    String plate =
        one.onAPlate(sheet.plates().platesOf(part.slot()))
            .map(m -> formats.say("homes.part.said.on-a-plate", formats.mass(m)))
            .orElse("");
    return formats.list(Stream.of(lost, flesh, plate).filter(text -> !text.isEmpty()).toList());
  }

  private static Row row(
      LotSheet sheet,
      LotPart part,
      Optional<CookedView> cooked,
      Map<Long, String> names,
      Formats formats) {
    Optional<Purpose> usual = sheet.usualPurpose(part);
    Mass shown = part.isStarted() ? part.mass() : part.expected().orElse(Mass.ZERO);
    return new Row(
        part,
        part.isStarted()
            ? formats.mass(part.mass())
            : part.expected()
                .map(formats::about)
                .orElse(formats.say("homes.part.said.not-weighed")),
        part.isStarted(),
        shown.isPositive() ? formats.percent(shown.dividedBy(sheet.lot().purchased())) : "",
        Stream.of(Purpose.values()).map(p -> choice(part, p, usual)).toList(),
        part.value().map(formats::price).orElse(""),
        part.held()
            .map(
                held ->
                    formats.say(
                        "homes.part.said.until",
                        formats.day(held.until()),
                        held.place(),
                        names.getOrDefault(held.keeper(), "?")))
            .orElse(""),
        part.part().shelf().in().isPositive()
            ? formats.say("homes.part.said.on-a-shelf", part.part().shelf().in())
            : "",
        Optional.of(part.mass().minus(part.part().shelf().in()))
            .filter(left -> left.isPositive() && part.kind().mayBeFor(Purpose.HOLD))
            .map(formats::mass),
        UUID.randomUUID(),
        cooked);
  }

  private static UseChoice choice(LotPart part, Purpose purpose, Optional<Purpose> usual) {
    return new UseChoice(
        purpose,
        part.purpose().filter(purpose::equals).isPresent(),
        part.kind().mayBeFor(purpose),
        part.purpose().isEmpty() && usual.filter(purpose::equals).isPresent());
  }
}
