package mosaicknife.app.larder;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mosaicknife.app.booklet.HouseRules;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.heat.Chilled;
import mosaicknife.core.heat.CoolingRule;
import mosaicknife.core.larder.Keeping;
import mosaicknife.core.larder.Trace;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotRules;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.safety.FoodState;
import mosaicknife.core.safety.Limit;
import mosaicknife.core.use.FishUse;
import mosaicknife.core.use.HandId;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How long something may lie, and whether it may lie there at all. */
@Service
@Transactional(readOnly = true)
public class KeepingDays {

  private final LarderBook book;
  private final LotSheets sheets;
  private final HouseRules limits;
  private final HouseSettings houses;

  KeepingDays(LarderBook book, LotSheets sheets, HouseRules limits, HouseSettings houses) {
    this.book = book;
    this.sheets = sheets;
    this.limits = limits;
    this.houses = houses;
  }

  /**
   * Works out how long something may be kept that is made now.
   *
   * @param becomes what it is made into; empty for raw fish as it was cut or hung
   * @param airless whether it is packed without air
   * @param fish parts and items it is made of
   * @return the latest day, and why
   */
  public Keeping keeping(
      Optional<FoodState> becomes, boolean airless, Collection<LarderKeeper.Input> fish) {
    return of(becomes, airless, fish.stream().map(this::of).toList());
  }

  Keeping of(Optional<FoodState> becomes, boolean airless, List<Keeping.Of> of) {
    return Keeping.of(becomes, airless, of, limits.limits(), houses.today());
  }

  private Keeping.Of of(LarderKeeper.Input input) {
    if (input.label().isPresent()) {
      return Keeping.Of.item(book.get(input.label().get()));
    }
    LotSheet sheet = sheets.get(input.of().lot());
    return of(sheet, planned(sheet, input.of().slot()));
  }

  Keeping.Of of(LotSheet sheet, LotPart part) {
    LocalDate last = LotRules.lastRawDay(sheet.lot(), part, houses.today(), zone());
    return new Keeping.Of(part.name(), FoodState.RAW, false, last);
  }

  /**
   * Returns the last day that is offered for something that is made today.
   *
   * @param use what is made
   * @param fish what it is made of
   * @return as long as the use says, and no longer than its state and what it is made of keep
   */
  public LocalDate lastDay(FishUse use, List<LarderKeeper.Input> fish) {
    return keeping(use, fish).atMost(usual(use));
  }

  /**
   * Returns the last day the use says.
   *
   * @param use what is made
   * @return its days from today
   */
  public LocalDate usual(FishUse use) {
    return houses.today().plusDays(use.keeps());
  }

  /**
   * Works out how long something may be kept that is made by a use.
   *
   * @param use the use
   * @param fish parts and items it is made of
   * @return the latest day, and why
   */
  public Keeping keeping(FishUse use, List<LarderKeeper.Input> fish) {
    return keeping(
        use.isAged() ? Optional.empty() : Optional.of(use.kept().state()),
        use.cautions().contains(FishUse.Caution.VACUUM),
        fish);
  }

  /**
   * Checks that fish may lie raw until a day.
   *
   * @param fish parts and items
   * @param until the last day
   * @throws Refusal if a fish that forms histamine was not looked at, or may not lie so long
   */
  public void checkRaw(List<LarderKeeper.Input> fish, LocalDate until) {
    sources(fish)
        .forEach(
            one ->
                Refusal.ifFound(
                    LotRules.keptRaw(
                        one.sheet().lot(), one.part(), houses.today(), until, zone())));
  }

  private record Of(LotSheet sheet, LotPart part) {}

  static Trace.Source source(LarderKeeper.Input input) {
    return new Trace.Source(input.of().lot(), input.of().slot());
  }

  private Stream<Of> sources(List<LarderKeeper.Input> fish) {
    return fish.stream()
        .flatMap(
            input ->
                input.of() instanceof HandId.Kept kept
                    ? book.kept(kept.label()).item().shelved().trace().grams().keySet().stream()
                    : Stream.of(source(input)))
        .map(
            source -> {
              LotSheet sheet = sheets.get(source.lot());
              return new Of(sheet, part(sheet, source.slot()));
            });
  }

  private ZoneId zone() {
    return houses.house().formats().zone();
  }

  static LotPart part(LotSheet sheet, String slot) {
    LotPart part = planned(sheet, slot);
    if (!part.isStarted()) {
      throw Refusal.ofInput("larder.problem.not-weighed", sheet.lot().id(), slot);
    }
    return part;
  }

  /** Something is planned of a part before it is cut. */
  private static LotPart planned(LotSheet sheet, String slot) {
    return sheet
        .find(slot)
        .orElseThrow(() -> Refusal.ofInput("larder.problem.not-weighed", sheet.lot().id(), slot));
  }

  /**
   * Checks that what comes from the heat may lie on a shelf.
   *
   * @param cold by which reading it is cold
   * @throws Refusal if none says so, or it was not in time
   */
  public void checkCold(Optional<Chilled> cold) {
    Refusal.ifFound(Chilled.shelving(cold, CoolingRule.of(limits.limits())));
  }

  /**
   * Checks that a core made something cooked that was smoked hot.
   *
   * @param cold by which reading it is cold, with the core it reached
   * @throws Refusal if none was measured, or it is below what the code asks for
   */
  public void checkCore(Optional<Chilled> cold) {
    Refusal.ifFound(Chilled.cooked(cold, limits.limits().temperature(Limit.CORE_CODE)));
  }
}
