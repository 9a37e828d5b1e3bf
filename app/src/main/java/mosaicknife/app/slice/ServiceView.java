package mosaicknife.app.slice;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.lot.OnBoard;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.slice.ServicePlan;
import mosaicknife.core.slice.Slicing;

/**
 * What every fillet is cut into for a service.
 *
 * @param answer how many portions of how many fillets
 * @param lost what is lost of what is cut
 * @param proof whether a better plan is possible
 * @param saved what that saves against cutting each until it is gone; empty if nothing
 * @param money the same in money; empty if nothing or nobody knows
 * @param dishes the dishes
 * @param fillets the fillets
 */
record ServiceView(
    String answer,
    String lost,
    String proof,
    String saved,
    String money,
    List<DishRow> dishes,
    List<FilletRow> fillets) {

  /** A dish: what is wanted and what is cut. */
  record DishRow(
      long id, String name, String serving, String wanted, int cut, int missing, String css) {}

  /** A fillet: its portions from the head end, and what is left. */
  record FilletRow(long lot, String key, String name, String mass, List<Bar> bars, String said) {}

  /** A portion or a leftover, as wide as it is heavy. */
  record Bar(double x, double width, String text, String dish, String css) {}

  /** A portion of the list, by dish. */
  record Listed(String fillet, String centimetres, String grams, String flag) {}

  /** A dish of the list. */
  record DishList(String dish, String serving, List<Listed> rows) {}

  private static final int WIDE = 560;

  /** Of more dishes than these the colours come again: the words are beside them. */
  private static final List<String> COLOURS = List.of("p-FIRST", "p-NEXT", "p-THIRD", "p-FOURTH");

  static ServiceView of(Evening.Asked asked, ServicePlan plan, ServicePlan hand, Formats formats) {
    int cut = (int) plan.cuts().stream().filter(Optional::isPresent).count();
    int more = plan.served() - hand.served();
    Mass saved = hand.lost().minus(plan.lost());
    return new ServiceView(
        formats.say("slice.said.service", plan.served(), cut),
        formats.say("slice.said.lost", formats.about(plan.lost()), plan.cut()),
        proof(plan, formats),
        more > 0 || saved.isPositive()
            ? formats.say(
                "slice.said.against-the-hand",
                more,
                formats.about(saved.isPositive() ? saved : Mass.ZERO))
            : "",
        money(asked, saved, formats),
        dishes(asked, plan, formats),
        fillets(asked, plan, formats));
  }

  private static String proof(ServicePlan plan, Formats formats) {
    if (plan.isProved()) {
      return formats.say("slice.said.proved");
    }
    return formats.say("slice.said.gap", formats.about(plan.lost().minus(plan.leastLost())));
  }

  /** At what a kilogram of the fillets carries on the whole. */
  private static String money(Evening.Asked asked, Mass saved, Formats formats) {
    if (!saved.isPositive()) {
      return "";
    }
    Optional<ExactMoney> worth = Optional.empty();
    Mass known = Mass.ZERO;
    for (Evening.OnALot one : asked.fillets()) {
      Optional<ExactMoney> own =
          one.sheet().worthOfMains().map(price -> price.times(one.piece().mass()));
      if (own.isPresent()) {
        worth = Optional.of(worth.map(own.get()::plus).orElse(own.get()));
        known = known.plus(one.piece().mass());
      }
    }
    Fraction share = known.isPositive() ? saved.dividedBy(known) : Fraction.ZERO;
    return worth
        .map(all -> formats.say("slice.said.money", formats.money(all.multipliedBy(share))))
        .orElse("");
  }

  private static List<DishRow> dishes(Evening.Asked asked, ServicePlan plan, Formats formats) {
    List<DishRow> rows = new ArrayList<>();
    for (int i = 0; i < asked.dishes().size(); i++) {
      int wanted = plan.service().wanted().get(i).count();
      int cut = plan.served(i);
      rows.add(
          new DishRow(
              asked.dishes().get(i).id(),
              asked.dishes().get(i).name(),
              formats.serving(asked.dishes().get(i).serving()),
              asked.wanted().get(asked.dishes().get(i).id()),
              cut,
              wanted - cut,
              css(i)));
    }
    return rows;
  }

  private static List<FilletRow> fillets(Evening.Asked asked, ServicePlan plan, Formats formats) {
    List<FilletRow> rows = new ArrayList<>();
    double heaviest =
        asked.fillets().stream()
            .mapToDouble(one -> one.piece().mass().milligrams())
            .max()
            .orElse(1);
    for (int i = 0; i < asked.fillets().size(); i++) {
      Evening.OnALot one = asked.fillets().get(i);
      Optional<Slicing> cut = plan.cuts().get(i);
      double wide = WIDE * one.piece().mass().milligrams() / heaviest;
      rows.add(
          new FilletRow(
              one.sheet().lot().id(),
              one.piece().key(),
              name(one, formats),
              formats.mass(one.piece().mass()),
              cut.map(slicing -> bars(slicing, wide, asked, formats))
                  .orElse(List.of(new Bar(0, wide, "", "", "p-WHOLE"))),
              cut.map(slicing -> said(slicing, formats))
                  .orElseGet(() -> formats.say("slice.said.stays-whole"))));
    }
    return rows;
  }

  private static String name(Evening.OnALot one, Formats formats) {
    OnBoard piece = one.piece();
    return formats.say(
        "slice.said.of-lot",
        one.sheet().lot().species().name(),
        one.sheet().lot().id(),
        SliceView.name(piece, formats));
  }

  private static List<Bar> bars(
      Slicing slicing, double wide, Evening.Asked asked, Formats formats) {
    List<Bar> bars = new ArrayList<>();
    double all = slicing.fillet().mass().milligrams();
    double x = 0;
    for (Slicing.Piece piece : slicing.pieces()) {
      double width = wide * piece.mass().plus(piece.trim()).milligrams() / all;
      bars.add(
          new Bar(
              x,
              width,
              piece.type().isPresent() ? SlicePicture.figure(piece.mass(), formats) : "",
              piece.type().map(type -> type.name()).orElse(""),
              piece.type().map(type -> css(kind(asked, type.name()))).orElse("p-OVER")));
      x += width;
    }
    return bars;
  }

  private static int kind(Evening.Asked asked, String name) {
    int place = 0;
    for (int i = 0; i < asked.dishes().size(); i++) {
      if (asked.dishes().get(i).name().equals(name)) {
        place = i;
      }
    }
    return place;
  }

  private static String css(int kind) {
    return COLOURS.get(kind % COLOURS.size());
  }

  private static String said(Slicing slicing, Formats formats) {
    String portions =
        slicing.portions().stream()
            .collect(
                Collectors.groupingBy(
                    piece -> piece.type().orElseThrow().name(),
                    LinkedHashMap::new,
                    Collectors.counting()))
            .entrySet()
            .stream()
            .map(one -> formats.say("slice.said.portions", one.getValue(), one.getKey()))
            .collect(Collectors.joining(", "));
    return slicing.over().isPositive()
        ? formats.say("slice.said.and-over", portions, formats.about(slicing.over()))
        : portions;
  }

  /** Every portion by dish, to hang at the pass. */
  static List<DishList> lists(Evening.Asked asked, ServicePlan plan, Formats formats) {
    List<DishList> lists = new ArrayList<>();
    for (int i = 0; i < asked.dishes().size(); i++) {
      List<Listed> rows = new ArrayList<>();
      for (int f = 0; f < asked.fillets().size(); f++) {
        Evening.OnALot one = asked.fillets().get(f);
        Optional<Slicing> cut = plan.cuts().get(f);
        if (cut.isPresent()) {
          String dish = plan.service().wanted().get(i).type().name();
          for (Slicing.Piece piece : cut.get().portions()) {
            if (piece.type().orElseThrow().name().equals(dish)) {
              rows.add(
                  new Listed(
                      name(one, formats),
                      SliceView.centimetres(piece.to() * cut.get().fillet().centimetres()),
                      formats.about(piece.mass()),
                      SliceView.flags(
                          piece, cut.get(), SliceView.isRaw(one.sheet(), one.piece()), formats)));
            }
          }
        }
      }
      lists.add(
          new DishList(
              asked.dishes().get(i).name(),
              formats.serving(asked.dishes().get(i).serving()),
              rows));
    }
    return lists.stream().filter(list -> !list.rows().isEmpty()).toList();
  }
}
