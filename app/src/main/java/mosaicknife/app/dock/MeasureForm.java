package mosaicknife.app.dock;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mosaicknife.app.lot.MeasuredFish;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.QuantityFormatException;
import mosaicknife.core.safety.LengthRule.Basis;

/** Fish measured one by one as typed: one a line, a weight, a length or both. */
record MeasureForm(String fish, String basis) {

  private static final int MOST_LINES = 500;
  private static final Pattern LENGTH =
      Pattern.compile("(?i)([0-9][0-9.,]*\\s*(?:mm|cm|m|in|\"))(?![a-z])");

  static MeasureForm of(List<MeasuredFish> fish, Formats formats) {
    List<String> lines = new ArrayList<>();
    for (MeasuredFish one : fish) {
      String mass = one.mass().map(formats::mass).orElse("");
      String length = one.length().map(Length::toString).orElse("");
      lines.add((mass + " " + length).strip());
    }
    Basis basis = fish.isEmpty() ? Basis.TOTAL : fish.get(0).basis();
    return new MeasureForm(String.join("\n", lines), basis.name());
  }

  List<MeasuredFish> understood(Formats formats) {
    Basis measuredAs = "FORK".equals(basis) ? Basis.FORK : Basis.TOTAL;
    List<MeasuredFish> all = new ArrayList<>();
    for (String line : (fish == null ? "" : fish).split("[\\r\\n]+")) {
      if (line.isBlank()) {
        continue;
      }
      if (all.size() == MOST_LINES) {
        throw Refusal.ofField("fish", "dock.problem.up-to-fish-are-kept", MOST_LINES);
      }
      all.add(one(all.size() + 1, line, measuredAs, formats));
    }
    return all;
  }

  private static MeasuredFish one(int number, String line, Basis basis, Formats formats) {
    try {
      Matcher matcher = LENGTH.matcher(line);
      Optional<Length> length = Optional.empty();
      String rest = line;
      if (matcher.find()) {
        length = Optional.of(Length.parse(matcher.group(1)));
        rest = (line.substring(0, matcher.start()) + line.substring(matcher.end())).strip();
      }
      rest = rest.replaceAll("^[,;]|[,;]$", "").strip();
      Optional<Mass> mass =
          rest.isEmpty()
              ? Optional.empty()
              : Optional.of(MassText.parse(rest, formats.system().large()).mass());
      return new MeasuredFish(number, mass, length, basis);
    } catch (QuantityFormatException e) {
      throw Refusal.ofField("fish", "lot.problem.fish", number, e.finding());
    }
  }
}
