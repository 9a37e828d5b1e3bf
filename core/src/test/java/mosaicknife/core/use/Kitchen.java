package mosaicknife.core.use;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.Fitness;
import mosaicknife.core.safety.FoodState;
import mosaicknife.core.use.FishUse.Equipment;
import mosaicknife.core.use.FishUse.Measure;
import mosaicknife.core.use.FishUse.Unit;

/** Parts and uses for tests, made by hand. */
final class Kitchen {

  static final Catalogue CATALOGUE = Catalogue.shipped();
  static final OnHand.Condition SOUND =
      new OnHand.Condition(
          false, false, false, false, Optional.of(Fitness.RAW), false, false, false);

  private Kitchen() {}

  static OnHand part(String id, String species, String kind, String kilograms, int pieces) {
    return part(id, species, kind, kilograms, pieces, 1, SOUND);
  }

  static OnHand part(
      String id,
      String species,
      String kind,
      String kilograms,
      int pieces,
      int days,
      OnHand.Condition condition) {
    return new OnHand(
        new HandId.Cut(1, id),
        id,
        CATALOGUE.findKind(kind).orElseThrow(),
        CATALOGUE.getSpecies(species),
        Mass.ofKilograms(kilograms),
        pieces,
        Optional.empty(),
        1,
        condition,
        days,
        true);
  }

  static FishUse use(String code, Set<String> kinds, Measure measure, FishUse.Work work) {
    return use(code, kinds, measure, work, Optional.empty());
  }

  static FishUse use(
      String code, Set<String> kinds, Measure measure, FishUse.Work work, Optional<Fraction> fat) {
    return use(code, kinds, measure, work, 1, fat);
  }

  static FishUse forTonight(String code, Set<String> kinds, Measure measure, FishUse.Work work) {
    return use(code, kinds, measure, work, 0, Optional.empty());
  }

  private static FishUse use(
      String code,
      Set<String> kinds,
      Measure measure,
      FishUse.Work work,
      int keeps,
      Optional<Fraction> fat) {
    return new FishUse(
        code,
        code,
        Purpose.SECOND_PLATE,
        kinds,
        Set.of(),
        OptionalInt.empty(),
        Optional.empty(),
        measure,
        Unit.PIECE,
        1,
        List.of(),
        Fraction.ZERO,
        work,
        BigDecimal.ONE,
        new FishUse.Kept(false, FoodState.RAW, keeps),
        Set.of(),
        fat);
  }

  static FishUse.Work work(int start, String each, Equipment equipment, String load) {
    return new FishUse.Work(start, new BigDecimal(each), equipment, new BigDecimal(load));
  }

  static FishUse shipped(String code) {
    return UseCatalogue.shipped(CATALOGUE).get(code);
  }

  static Measure grams(long grams) {
    return new Measure.OfPart(Mass.ofGrams(grams));
  }
}
