package mosaicknife.core.lot;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.lot.NaiveCount.Lying;
import mosaicknife.core.plan.Choices;
import mosaicknife.core.plan.CutPlan;
import mosaicknife.core.plan.Pieces;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.portion.Serving.Form;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassUnit;

/** A lot cut at random, and what then lies on the board by whoever cut it. */
final class RandomBoard {

  private static final List<String> FISH =
      List.of("hake", "turbot", "plaice", "albacore", "gurnard", "mackerel", "monkfish", "pollack");
  private static final BigDecimal GRAM = BigDecimal.ONE;

  private final Random random;
  private final int fish;
  private final TestLot lot;
  private final List<BigDecimal> shares = new ArrayList<>();
  private final List<Lying> board = new ArrayList<>();
  private final Serving serving;
  private final NaiveCount naive;
  private boolean undecided;

  RandomBoard(long seed) {
    random = new Random(seed);
    fish = random.nextInt(3) == 0 ? 1 : 1 + random.nextInt(12);
    Form form = Form.values()[random.nextInt(Form.values().length)];
    boolean ounces = random.nextBoolean();
    BigDecimal typed =
        ounces
            ? BigDecimal.valueOf(2 + random.nextInt(8))
            : BigDecimal.valueOf(60 + random.nextInt(180));
    BigDecimal exact =
        ounces ? typed.multiply(MassUnit.OUNCE.milligrams()).movePointLeft(3) : typed;
    int hundredths = List.of(0, 3, 5, 10).get(random.nextInt(4));
    int count = form == Form.PIECES || form == Form.FISH ? 1 + random.nextInt(3) : 1;
    serving =
        new Serving(
            form,
            Mass.of(typed, ounces ? MassUnit.OUNCE : MassUnit.GRAM, RoundingMode.HALF_UP),
            hundredths / 100.0,
            count,
            false);
    naive = new NaiveCount(form, exact, BigDecimal.valueOf(hundredths, 2), serving.count());
    lot = receive(form);
    cut();
    lot.sheet().parts().stream()
        .filter(part -> part.purpose().filter(Purpose.PLATE::equals).isPresent())
        .forEach(part -> lot.dish(part.slot(), "Dish", serving));
  }

  private TestLot receive(Form form) {
    String species = FISH.get(random.nextInt(FISH.size()));
    List<Integer> grams =
        IntStream.range(0, fish).mapToObj(i -> 400 + random.nextInt(4000)).toList();
    int all = grams.stream().mapToInt(Integer::intValue).sum();
    String kilograms = BigDecimal.valueOf(all, 3).toPlainString();
    TestLot made = new TestLot(species, State.GUTTED, fish, kilograms, "");
    boolean apart = random.nextBoolean();
    if (apart) {
      made.each(
          grams.stream()
              .map(one -> BigDecimal.valueOf(one, 3).toPlainString())
              .toArray(String[]::new));
    }
    if (form == Form.SHARED || form == Form.FISH) {
      made.cutBy(new Choices(Map.of("route", "whole")));
    }
    for (int one : grams) {
      shares.add(
          apart
              ? BigDecimal.valueOf(one).divide(BigDecimal.valueOf(all), MathContext.DECIMAL128)
              : BigDecimal.ONE.divide(BigDecimal.valueOf(fish), MathContext.DECIMAL128));
    }
    return made;
  }

  private void cut() {
    for (CutPlan.Planned part : lot.sheet().plan().parts()) {
      if (part.edible().isPositive() && part.purpose() == Purpose.PLATE) {
        lot.decide(Purpose.PLATE, part.slot().code());
        BigDecimal edible =
            BigDecimal.valueOf(part.edible().milligrams())
                .divide(BigDecimal.valueOf(part.mass().milligrams()), MathContext.DECIMAL128);
        cut(part, edible);
      }
    }
  }

  private void cut(CutPlan.Planned part, BigDecimal edible) {
    String slot = part.slot().code();
    double all = part.mass().milligrams() / 1000.0 * (0.85 + 0.3 * random.nextDouble());
    boolean together = fish > 1 && random.nextBoolean();
    List<Pieces.Piece> usual = Pieces.of(part.slot().kind());
    boolean further = !usual.isEmpty() && (fish == 1 || !together) && random.nextInt(3) == 0;
    boolean row = !further && !together && serving.form() == Form.SLICES && random.nextInt(3) == 0;
    if (together) {
      int grams = Math.max(4 * fish, (int) Math.round(all));
      lot.weigh(slot, 0, grams);
      for (int one = 0; one < fish; one++) {
        BigDecimal share = shares.get(one);
        lie(one + 1, share.multiply(BigDecimal.valueOf(grams)).multiply(edible), share, 'm');
      }
      return;
    }
    Map<String, String> pieces = new HashMap<>();
    if (further) {
      for (Pieces.Piece piece : usual) {
        String code = piece.kind() + "-of-" + slot;
        lot.cut(slot, piece.kind());
        lot.decide(Purpose.PLATE, code);
        pieces.put(piece.kind(), code);
      }
    }
    if (row) {
      lot.portioned(slot).decide(Purpose.PLATE, "portion-of-" + slot);
    }
    for (int one = 1; one <= fish; one++) {
      int grams = Math.max(8, (int) Math.round(all * shares.get(one - 1).doubleValue()));
      lot.weigh(slot, one, grams);
      if (further) {
        cutFurther(usual, pieces, one, grams);
      } else if (row) {
        portions(slot, one, grams);
      } else {
        lie(one, BigDecimal.valueOf(grams).multiply(edible), GRAM, 'm');
      }
    }
  }

  /** Every piece but a little is weighed; or the last is left on what it lies on. */
  private void cutFurther(List<Pieces.Piece> usual, Map<String, String> codes, int one, int grams) {
    boolean half = usual.size() > 1 && random.nextBoolean();
    List<Pieces.Piece> cut =
        half
            ? usual.stream()
                .sorted(Comparator.comparingDouble(Pieces.Piece::share))
                .limit(1)
                .toList()
            : usual;
    double sum = usual.stream().mapToDouble(Pieces.Piece::share).sum();
    int left = grams;
    for (int i = 0; i < cut.size(); i++) {
      boolean last = i == cut.size() - 1 && !half;
      int piece = last ? left : Math.max(2, (int) Math.floor(grams * cut.get(i).share() / sum));
      left -= piece;
      lot.weigh(codes.get(cut.get(i).kind()), one, piece);
      lie(one, BigDecimal.valueOf(piece), GRAM, 'p');
    }
    rest(one, grams, left);
  }

  private void portions(String slot, int one, int grams) {
    int each = (int) Math.max(5, serving.target().milligrams() / 1000);
    int cut = Math.min(grams / each, random.nextInt(4));
    for (int i = 1; i <= cut; i++) {
      lot.weigh("portion-of-" + slot, one, i, each);
      lie(one, BigDecimal.valueOf(each), GRAM, 'w');
    }
    if (cut == 0) {
      lie(one, BigDecimal.valueOf(grams), GRAM, 'm');
    } else {
      rest(one, grams, grams - cut * each);
    }
  }

  /** What is more than drip is a piece that still lies there; drip is 1.5 % and twice 0.8 %. */
  private void rest(int one, int grams, int left) {
    if (left > 0.1 * grams) {
      lie(one, BigDecimal.valueOf(left), GRAM, 'p');
    } else if (left > 0.005 * grams) {
      undecided = true;
    }
  }

  private void lie(int one, BigDecimal grams, BigDecimal step, char how) {
    // masses are whole milligrams
    board.add(new Lying(one, grams.setScale(3, RoundingMode.HALF_EVEN), step, how));
  }

  /** Whether what is left of a cut may be drip or a piece: nobody can say. */
  boolean isUndecided() {
    return undecided;
  }

  LotSheet sheet() {
    return lot.sheet();
  }

  Serving serving() {
    return serving;
  }

  List<Lying> board() {
    return board;
  }

  NaiveCount naive() {
    return naive;
  }
}
