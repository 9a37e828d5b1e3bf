package mosaicknife.core.use;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import mosaicknife.core.anatomy.PartClass;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.use.FishUse.Equipment;
import mosaicknife.core.use.FishUse.Measure;
import mosaicknife.core.use.PlanQuestion.Lock;
import mosaicknife.core.use.PlanQuestion.Place;
import mosaicknife.core.use.PlanQuestion.Wanted;
import mosaicknife.core.use.UsePlan.Grams;
import mosaicknife.core.use.UsePlan.Left;
import mosaicknife.core.use.UsePlan.Making;
import mosaicknife.core.use.UsePlan.Next;
import mosaicknife.core.use.UsePlan.Why;

/**
 * Turns what the programme decided for pools into grams of parts: locked ones first, then what lies
 * at the venue, then the oldest; and says of the rest why it is left.
 */
final class Sharing {

  private final PlanQuestion question;
  private final Map<OnHand, Pool> fits;
  private final Map<OnHand, Mass> left = new LinkedHashMap<>();
  private final Map<String, Long> units = new HashMap<>();
  private final Map<String, Map<OnHand, Long>> pieces = new HashMap<>();
  private final Map<String, Map<Pool, Mass>> pools = new HashMap<>();
  private final Map<String, List<Grams>> from = new HashMap<>();
  private final Set<Wanted> served = new HashSet<>();

  Sharing(PlanQuestion question, Map<OnHand, Pool> fits) {
    this.question = question;
    this.fits = fits;
    question.parts().forEach(part -> left.put(part, part.mass()));
  }

  void units(String wanted, long count) {
    units.put(wanted, count);
  }

  void pieces(String wanted, OnHand part, long count) {
    pieces.computeIfAbsent(wanted, key -> new LinkedHashMap<>()).put(part, count);
  }

  void pool(String use, Pool pool, long tenths) {
    pools
        .computeIfAbsent(use, key -> new LinkedHashMap<>())
        .put(pool, Mass.ofMilligrams(tenths * 100));
  }

  UsePlan plan(long worth, long bound) {
    question.locks().forEach(this::lock);
    List<Wanted> made = question.wanted().stream().filter(w -> units.get(w.id()) > 0).toList();
    made.forEach(this::takePieces);
    List<Wanted> byMass =
        made.stream().filter(w -> !(w.use().measure() instanceof Measure.Pieces)).toList();
    Map<Wanted, Mass> missing = new LinkedHashMap<>();
    byMass.forEach(wanted -> missing.put(wanted, needed(wanted)));
    byMass.stream().filter(w -> w.use().fat().isPresent()).forEach(w -> takeFat(w, missing));
    byMass.forEach(wanted -> takeGrams(wanted, missing, true));
    byMass.forEach(wanted -> takeGrams(wanted, missing, false));
    List<Wanted> minces = made.stream().filter(w -> w.use().fat().isPresent()).toList();
    minces.forEach(one -> level(one, minces));
    minces.forEach(this::fatten);
    List<Making> makings =
        made.stream()
            .map(w -> new Making(w, units.get(w.id()), from.getOrDefault(w.id(), List.of())))
            .toList();
    return new UsePlan(makings, rest(), worth, Math.max(worth, bound));
  }

  private void lock(Lock lock) {
    question.parts().stream()
        .filter(part -> part.id().equals(lock.part()))
        .forEach(part -> take(lock.use() + "@" + lock.venue(), part, lock.mass(), true));
  }

  private void take(String wanted, OnHand part, Mass mass, boolean locked) {
    if (mass.equals(Mass.ZERO)) {
      return;
    }
    left.merge(part, mass, Mass::minus);
    List<Grams> grams = from.computeIfAbsent(wanted, key -> new ArrayList<>());
    Optional<Grams> same =
        grams.stream().filter(g -> g.part().equals(part) && g.locked() == locked).findFirst();
    same.ifPresent(grams::remove);
    Mass sum = same.map(Grams::mass).orElse(Mass.ZERO).plus(mass);
    if (sum.isPositive()) {
      grams.add(new Grams(part, sum, locked));
    }
  }

  private void takePieces(Wanted wanted) {
    pieces
        .getOrDefault(wanted.id(), Map.of())
        .forEach(
            (part, count) -> {
              boolean all = count == part.pieces();
              Mass mass = all ? left.get(part) : part.piece().multipliedBy(count);
              take(wanted.id(), part, mass, false);
            });
  }

  /** What the whole units of a wish take beyond what is locked for it. */
  private Mass needed(Wanted wanted) {
    Fraction grams =
        wanted
            .use()
            .gramsOfPart(Mass.ofGrams(1))
            .multipliedBy(Fraction.of(units.get(wanted.id()), 1));
    BigDecimal milligrams = grams.toDecimal(3, RoundingMode.CEILING).movePointRight(3);
    Mass locked =
        Mass.total(from.getOrDefault(wanted.id(), List.of()).stream().map(Grams::mass).toList());
    Mass rest = Mass.ofMilligrams(milligrams.longValueExact()).minus(locked);
    return rest.isNegative() ? Mass.ZERO : rest;
  }

  /** Each venue gets its share of the fat, so that every batch of a use is equally fat. */
  private void takeFat(Wanted wanted, Map<Wanted, Mass> missing) {
    String code = wanted.use().code();
    Mass all =
        Mass.total(
            missing.keySet().stream()
                .filter(other -> other.use().code().equals(code))
                .filter(other -> !served.contains(other))
                .map(missing::get)
                .toList());
    served.add(wanted);
    Map<Pool, Mass> open = pools.getOrDefault(code, Map.of());
    if (!all.isPositive()) {
      return;
    }
    Fraction share = missing.get(wanted).dividedBy(all);
    for (OnHand part : fits.keySet()) {
      Pool pool = fits.get(part);
      if (pool.fattens().contains(code) && open.containsKey(pool)) {
        Mass due = open.get(pool).multipliedBy(share, RoundingMode.HALF_EVEN);
        take(wanted, part, least(missing.get(wanted), least(left.get(part), due)), missing, open);
      }
    }
  }

  private void take(
      Wanted wanted, OnHand part, Mass some, Map<Wanted, Mass> missing, Map<Pool, Mass> open) {
    take(wanted.id(), part, some, false);
    missing.merge(wanted, some, Mass::minus);
    open.merge(fits.get(part), some, Mass::minus);
  }

  /** Fat that is left over takes the place of meat while a batch is leaner than wanted. */
  private void fatten(Wanted wanted) {
    for (OnHand fat : fits.keySet()) {
      if (fits.get(fat).fattens().contains(wanted.use().code())) {
        for (Grams lean : List.copyOf(from.getOrDefault(wanted.id(), List.of()))) {
          Fraction difference = UseCatalogue.fat(fat).minus(UseCatalogue.fat(lean.part()));
          if (!lean.locked() && difference.compareTo(Fraction.ZERO) > 0) {
            BigDecimal grams =
                lacking(wanted).dividedBy(difference).toDecimal(0, RoundingMode.FLOOR);
            Mass wished = Mass.ofGrams(Math.max(0, grams.longValueExact()));
            Mass some = least(wished, least(lean.mass(), left.get(fat)));
            exchange(wanted, lean.part(), fat, some);
          }
        }
      }
    }
  }

  /**
   * A batch that is fatter than wanted gives its fattest grams to a leaner one of the same use for
   * its leanest, so that each is as fat as wanted and not only all together.
   */
  private void level(Wanted fatter, List<Wanted> minces) {
    for (Wanted leaner : minces) {
      boolean same = leaner != fatter && leaner.use().code().equals(fatter.use().code());
      while (same && exchanges(fatter, leaner)) {
        // each exchange uses up a part of one of the two, or evens them out
      }
    }
  }

  private boolean exchanges(Wanted fatter, Wanted leaner) {
    Fraction over = Fraction.ZERO.minus(lacking(fatter));
    Fraction under = lacking(leaner);
    Comparator<Grams> byFat = Comparator.comparing(one -> UseCatalogue.fat(one.part()));
    Optional<Grams> fat = free(fatter).max(byFat);
    Optional<Grams> lean = free(leaner).min(byFat);
    if (fat.isEmpty() || lean.isEmpty()) {
      return false;
    }
    Fraction difference =
        UseCatalogue.fat(fat.get().part()).minus(UseCatalogue.fat(lean.get().part()));
    if (difference.compareTo(Fraction.ZERO) <= 0) {
      return false;
    }
    Fraction due = (over.compareTo(under) < 0 ? over : under).dividedBy(difference);
    Mass wished = Mass.ofGrams(Math.max(0, due.toDecimal(0, RoundingMode.FLOOR).longValueExact()));
    Mass some = least(wished, least(fat.get().mass(), lean.get().mass()));
    exchange(fatter, fat.get().part(), lean.get().part(), some);
    exchange(leaner, lean.get().part(), fat.get().part(), some);
    return some.isPositive();
  }

  private Stream<Grams> free(Wanted wanted) {
    return from.getOrDefault(wanted.id(), List.of()).stream().filter(one -> !one.locked());
  }

  private void exchange(Wanted wanted, OnHand out, OnHand in, Mass some) {
    take(wanted.id(), out, Mass.ZERO.minus(some), false);
    take(wanted.id(), in, some, false);
  }

  /** The grams of fat a batch lacks. */
  private Fraction lacking(Wanted wanted) {
    Fraction lacking = Fraction.ZERO;
    for (Grams one : from.getOrDefault(wanted.id(), List.of())) {
      Fraction below = wanted.use().fat().orElseThrow().minus(UseCatalogue.fat(one.part()));
      lacking = lacking.plus(below.multipliedBy(Fraction.of(one.mass().inGrams())));
    }
    return lacking;
  }

  private void takeGrams(Wanted wanted, Map<Wanted, Mass> missing, boolean atTheVenue) {
    Map<Pool, Mass> open = pools.getOrDefault(wanted.use().code(), Map.of());
    List<OnHand> oldestFirst =
        fits.keySet().stream()
            .filter(part -> open.containsKey(fits.get(part)))
            .filter(part -> !atTheVenue || part.venue() == wanted.venue())
            .sorted(Comparator.comparingInt(OnHand::days).reversed())
            .toList();
    for (OnHand part : oldestFirst) {
      Pool pool = fits.get(part);
      Mass some = least(missing.get(wanted), least(left.get(part), open.get(pool)));
      take(wanted, part, some, missing, open);
    }
  }

  private static Mass least(Mass one, Mass other) {
    return one.compareTo(other) <= 0 ? one : other;
  }

  private List<Left> rest() {
    List<Left> rest = new ArrayList<>();
    left.forEach(
        (part, mass) -> {
          if (mass.compareTo(Mass.ofGrams(1)) >= 0) {
            rest.add(new Left(part, mass, why(part, mass), next(part)));
          }
        });
    return rest;
  }

  private Finding why(OnHand part, Mass mass) {
    List<Wanted> fitting =
        question.wanted().stream().filter(wanted -> fits.get(part).gives(wanted.use())).toList();
    if (fitting.isEmpty()) {
      return nearest(part);
    }
    List<Wanted> open =
        fitting.stream().filter(wanted -> units.get(wanted.id()) < wanted.most()).toList();
    if (open.isEmpty()) {
      return Finding.of(Why.NOT_WANTED);
    }
    List<Wanted> inTime =
        open.stream().filter(wanted -> units.get(wanted.id()) < question.inTime(wanted)).toList();
    if (inTime.isEmpty()) {
      return Finding.of(Why.TOO_LATE);
    }
    List<Wanted> worth = inTime.stream().filter(wanted -> wanted.worth() > 0).toList();
    if (worth.isEmpty()) {
      return Finding.of(Why.NOT_WORTH_IT);
    }
    List<Wanted> enough =
        worth.stream()
            .filter(
                wanted ->
                    wanted.use().gramsOfPart(part.piece()).compareTo(Fraction.of(mass.inGrams()))
                        <= 0)
            .toList();
    if (enough.isEmpty()) {
      return Finding.of(Why.LESS_THAN_A_UNIT);
    }
    return enough.stream()
        .filter(wanted -> isFull(wanted))
        .findFirst()
        .map(wanted -> Finding.of(Why.NO_ROOM, wanted.use().work().equipment()))
        .orElse(Finding.of(Why.NO_HANDS));
  }

  /** The reason of the use that asks for the least more than this part has. */
  private Finding nearest(OnHand part) {
    return question.wanted().stream()
        .map(Wanted::use)
        .filter(use -> use.kinds().contains(part.kind().code()))
        .map(use -> Qualification.whyNot(use, part))
        .min(Comparator.comparingInt(List::size))
        .map(reasons -> reasons.get(0))
        .orElse(Finding.of(Why.NOTHING_FITS));
  }

  private boolean isFull(Wanted wanted) {
    Place place = new Place(wanted.venue(), wanted.use().work().equipment());
    Long room = question.room().get(place);
    if (room == null) {
      return false;
    }
    BigDecimal used =
        question.wanted().stream()
            .filter(w -> place.equals(new Place(w.venue(), w.use().work().equipment())))
            .map(w -> w.use().work().load().multiply(BigDecimal.valueOf(units.get(w.id()))))
            .reduce(BigDecimal.ZERO, BigDecimal::add);
    return used.add(wanted.use().work().load()).compareTo(BigDecimal.valueOf(room)) > 0;
  }

  private Next next(OnHand part) {
    if (part.kind().nature() == PartClass.IRREDUCIBLE || part.condition().held()) {
      return Next.COMPOST;
    }
    boolean room =
        question.room().entrySet().stream()
            .filter(one -> one.getKey().equipment() == Equipment.FREEZER)
            .filter(one -> one.getKey().venue() == part.venue())
            .allMatch(one -> one.getValue() > 0);
    return room && !part.condition().thawed() && !part.condition().soiled()
        ? Next.FREEZE
        : Next.COMPOST;
  }
}
