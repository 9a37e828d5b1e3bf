package mosaicknife.core.use;

import java.io.ByteArrayInputStream;
import java.math.RoundingMode;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.use.PlanQuestion.Place;
import mosaicknife.core.use.PlanQuestion.Wanted;
import org.ojalgo.optimisation.ExpressionsBasedModel;
import org.ojalgo.optimisation.Optimisation;

/**
 * The same question written out part by part, without pools, as an MPS file, which any solver of
 * integer programmes reads. It counts in the same tenths of a gram, so that all must find the same
 * optimum. Worth is negative in it: the format minimises.
 */
final class PlanModel {

  private final Map<String, String> rows = new LinkedHashMap<>();
  private final Map<String, List<String>> columns = new LinkedHashMap<>();
  private final StringBuilder rightSides = new StringBuilder();
  private final StringBuilder bounds = new StringBuilder();

  private PlanModel(PlanQuestion question) {
    for (int i = 0; i < question.parts().size(); i++) {
      row("S" + i, "L", question.parts().get(i).mass().milligrams() / 100);
    }
    for (int w = 0; w < question.wanted().size(); w++) {
      wanted(question, w);
    }
  }

  static String mps(PlanQuestion question) {
    return new PlanModel(question).write();
  }

  private void row(String name, String kind, long rightSide) {
    if (rows.put(name, kind) == null) {
      rightSides.append(line("", "RHS", name, rightSide));
    }
  }

  private void cell(String column, String row, Object figure) {
    columns.computeIfAbsent(column, key -> new ArrayList<>()).add(line("", column, row, figure));
  }

  private void wanted(PlanQuestion question, int w) {
    Wanted wanted = question.wanted().get(w);
    String count = "N" + w;
    FishUse.Work work = wanted.use().work();
    cell(count, "COST", -wanted.worth());
    row("D" + w, "G", 0);
    cell(count, "D" + w, tenths(wanted.use()).negate());
    bounds.append(line("UP", "BND", count, wanted.most()));
    for (int i = 0; i < question.parts().size(); i++) {
      if (Qualification.whyNot(wanted.use(), question.parts().get(i)).isEmpty()) {
        String some = "X" + w + "P" + i;
        cell(some, "D" + w, 1);
        cell(some, "S" + i, 1);
        bounds.append(line("UP", "BND", some, question.parts().get(i).mass().milligrams() / 100));
      }
    }
    wanted.use().fat().ifPresent(share -> fat(question, w, share));
    Place place = new Place(wanted.venue(), work.equipment());
    if (question.room().containsKey(place)) {
      String room = "R" + place.venue() + "E" + place.equipment().ordinal();
      row(room, "L", question.room().get(place));
      cell(count, room, work.load());
    }
    if (question.hands().containsKey(wanted.venue())) {
      String any = "B" + w;
      row("H" + wanted.venue(), "L", question.hands().get(wanted.venue()));
      cell(count, "H" + wanted.venue(), work.each());
      cell(any, "H" + wanted.venue(), work.start());
      row("O" + w, "L", 0);
      cell(count, "O" + w, 1);
      cell(any, "O" + w, -wanted.most());
      bounds.append(line("UP", "BND", any, 1));
    }
  }

  /** Fat of another part, up to what makes the meat as fat as wanted. */
  private void fat(PlanQuestion question, int w, Fraction wanted) {
    row("F" + w, "L", 0);
    for (int i = 0; i < question.parts().size(); i++) {
      OnHand part = question.parts().get(i);
      double difference = 100 * (UseCatalogue.fat(part).toDouble() - wanted.toDouble());
      boolean meat = Qualification.qualifies(question.wanted().get(w).use(), part);
      if (!meat && part.kind().code().equals("belly-fat")) {
        String some = "X" + w + "P" + i;
        cell(some, "D" + w, 1);
        cell(some, "S" + i, 1);
        bounds.append(line("UP", "BND", some, part.mass().milligrams() / 100));
      }
      if (meat || part.kind().code().equals("belly-fat")) {
        cell("X" + w + "P" + i, "F" + w, Math.round(difference));
      }
    }
  }

  private static java.math.BigDecimal tenths(FishUse use) {
    return use.gramsOfPart(Mass.ofGrams(1)).toDecimal(1, RoundingMode.CEILING).movePointRight(1);
  }

  /** The fields of the fixed form: kind, name, name, figure. */
  private static String line(String kind, String name, String other, Object figure) {
    return " %-2s %-8s  %-8s  %12s%n".formatted(kind, name, other, figure);
  }

  private static String marker(String kind) {
    return "    MARKER                 'MARKER'                 '%s'%n".formatted(kind);
  }

  private String write() {
    StringBuilder file = new StringBuilder("NAME          USES%nROWS%n N  COST%n".formatted());
    rows.forEach((name, kind) -> file.append(" %s  %s%n".formatted(kind, name)));
    file.append("COLUMNS%n".formatted()).append(marker("INTORG"));
    columns.values().forEach(cells -> cells.forEach(file::append));
    file.append(marker("INTEND")).append("RHS%n".formatted()).append(rightSides);
    file.append("BOUNDS%n".formatted()).append(bounds).append("ENDATA%n".formatted());
    return file.toString();
  }

  /** What a solver of another house finds in the file. */
  static long optimum(PlanQuestion question) {
    ExpressionsBasedModel model =
        ExpressionsBasedModel.parse(
            new ByteArrayInputStream(mps(question).getBytes(StandardCharsets.US_ASCII)),
            ExpressionsBasedModel.FileFormat.MPS);
    Optimisation.Result result = model.minimise();
    if (!result.getState().isOptimal()) {
      throw new IllegalStateException("no optimum: " + result.getState());
    }
    return -Math.round(result.getValue());
  }
}
