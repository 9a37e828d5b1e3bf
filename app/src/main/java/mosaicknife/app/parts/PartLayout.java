package mosaicknife.app.parts;

import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotRules;
import mosaicknife.core.plan.Choices;
import mosaicknife.core.plan.CutPlan;
import org.springframework.stereotype.Component;

/** Keeps the parts of a lot in step with its cut plan. */
@Component
class PartLayout {

  private final LotPartRepository parts;
  private final WeighedParts weighed;
  private final CatalogueEditor catalogue;

  PartLayout(LotPartRepository parts, WeighedParts weighed, CatalogueEditor catalogue) {
    this.parts = parts;
    this.weighed = weighed;
    this.catalogue = catalogue;
  }

  CutPlan plan(Lot lot, Choices choices) {
    return plan(lot, choices, catalogue.now());
  }

  /** The same by a catalogue that is at hand. */
  static CutPlan plan(Lot lot, Choices choices, Catalogue fish) {
    return CutPlan.of(lot.toCut(HouseNorms.STARTING), choices, fish);
  }

  /**
   * Lays out the parts of a new lot. They are numbered anew, because a part that is already off
   * leaves no gap in the keys of the bench.
   */
  void layOut(Lot lot, CutPlan plan) {
    List<CutPlan.Planned> planned = plan.parts();
    for (int i = 0; i < planned.size(); i++) {
      CutPlan.Planned one = planned.get(i);
      LotPartEntity part = LotPartEntity.planned(lot.id(), one.slot(), i + 1);
      boolean held = LotRules.held(lot, one.purpose()).isPresent();
      if (lot.state().isCut() && one.slot().isMain() && !held) {
        // it was bought for the plate
        part.assign(one.purpose(), Use.PLAIN, Optional.empty());
      }
      parts.save(part);
    }
  }

  /**
   * Adds the parts a changed plan has, and leaves out those it has no more. What the plan had
   * before stays as it is, so a part that somebody left out by hand is not called back. The order
   * is that of the route, or the one given.
   */
  void arrange(Lot lot, CutPlan before, CutPlan plan, List<String> order) {
    List<String> had = before.parts().stream().map(part -> part.slot().code()).toList();
    List<LotPartEntity> rows = parts.findByLotIdInOrderByNumber(List.of(lot.id()));
    Map<String, LotPartEntity> bySlot =
        rows.stream()
            .collect(
                Collectors.toMap(
                    LotPartEntity::slot, Function.identity(), (a, b) -> a, HashMap::new));
    List<String> planned = plan.parts().stream().map(part -> part.slot().code()).toList();
    for (LotPartEntity row : rows) {
      if (planned.contains(row.slot())) {
        if (!had.contains(row.slot())) {
          row.expectAgain();
        }
      } else if (row.isPlanned()) {
        leaveOut(row);
      }
    }
    int number = rows.stream().mapToInt(LotPartEntity::number).max().orElse(0);
    for (CutPlan.Planned part : plan.parts()) {
      if (!bySlot.containsKey(part.slot().code())) {
        LotPartEntity added = LotPartEntity.planned(lot.id(), part.slot(), ++number);
        bySlot.put(added.slot(), parts.save(added));
      }
    }
    Comparator<LotPartEntity> byRoute =
        Comparator.comparingInt(
            row -> planned.contains(row.slot()) ? planned.indexOf(row.slot()) : planned.size());
    number(bySlot.values(), byRoute.thenComparingInt(LotPartEntity::number));
    order(bySlot.values(), order);
  }

  /**
   * Numbers parts in the order a house takes them off, before the first weight. What the house has
   * never taken off comes after what stands before it on the route.
   */
  void order(Collection<LotPartEntity> rows, List<String> order) {
    Map<String, Integer> places = new HashMap<>();
    int place = -1;
    for (LotPartEntity row : byNumber(rows)) {
      place = order.contains(row.slot()) ? order.indexOf(row.slot()) : place;
      places.put(row.slot(), place);
    }
    Comparator<LotPartEntity> byHouse =
        Comparator.<LotPartEntity>comparingInt(row -> places.get(row.slot()))
            .thenComparing(row -> !order.contains(row.slot()));
    number(rows, byHouse.thenComparingInt(LotPartEntity::number));
  }

  private static List<LotPartEntity> byNumber(Collection<LotPartEntity> rows) {
    return rows.stream().sorted(Comparator.comparingInt(LotPartEntity::number)).toList();
  }

  /**
   * Before the first weight the numbers follow the route, each piece after its part; after it a
   * number stays with its part.
   */
  void number(Collection<LotPartEntity> rows, Comparator<LotPartEntity> order) {
    if (rows.stream().noneMatch(row -> weighed.isWeighed(row.id()))) {
      Map<Optional<Long>, List<LotPartEntity>> pieces =
          rows.stream().sorted(order).collect(Collectors.groupingBy(LotPartEntity::parentId));
      number(pieces, Optional.empty(), 0);
    }
  }

  private static int number(
      Map<Optional<Long>, List<LotPartEntity>> pieces, Optional<Long> of, int last) {
    int number = last;
    for (LotPartEntity row : pieces.getOrDefault(of, List.of())) {
      row.number(number + 1);
      number = number(pieces, Optional.of(row.id()), number + 1);
    }
    return number;
  }

  private void leaveOut(LotPartEntity row) {
    if (weighed.isWeighed(row.id())) {
      throw Refusal.ofInput("parts.problem.was-weighed-already-so-this", row.name());
    }
    row.skip();
  }
}
