package mosaicknife.app.pot;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.booklet.HouseRules;
import mosaicknife.app.homes.Makings;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.heat.CoolingRule;
import mosaicknife.core.pot.PotRun;
import mosaicknife.core.pot.PotStep;
import mosaicknife.core.safety.Allergen;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes down what was begun and done of a batch, and packs it. */
@Service
@Transactional
public class PotKeeper {

  private static final int LONGEST_TASTE = 160;

  private final PotBook book;
  private final PotMarkRepository marks;
  private final PotResultRepository results;
  private final PotPrices prices;
  private final Makings makings;
  private final HouseRules limits;
  private final CurrentPerson current;
  private final Clock clock;

  PotKeeper(
      PotBook book,
      PotMarkRepository marks,
      PotResultRepository results,
      PotPrices prices,
      Makings makings,
      HouseRules limits,
      CurrentPerson current,
      Clock clock) {
    this.book = book;
    this.marks = marks;
    this.results = results;
    this.prices = prices;
    this.makings = makings;
    this.limits = limits;
    this.current = current;
    this.clock = clock;
  }

  private long me() {
    return current.get().id();
  }

  /**
   * Writes down that a step was begun.
   *
   * @param id the number of the batch
   * @param step the code of the step
   * @param at when
   * @throws Refusal if another comes first, somebody began it already, or that lies ahead
   */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.of('POT', #id)")
  public void begin(long id, String step, Instant at) {
    book.notAhead(at);
    refuse(book.locked(id).run().beginning(step));
    marks.saveAndFlush(new PotMarkEntity(id, step, "BEGUN", me(), at));
  }

  /**
   * Writes down that a step is done, and begins the next one: there is no pause on a hob.
   *
   * @param id the number of the batch
   * @param step the code of the step
   * @param at when
   * @throws Refusal if it was not begun by then, or somebody ended it already
   */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.of('POT', #id)")
  public void done(long id, String step, Instant at) {
    book.notAhead(at);
    PotRun run = book.locked(id).run();
    refuse(run.ending(step));
    boolean cools =
        run.steps().stream()
            .anyMatch(one -> one.code().equals(step) && one.work() == PotStep.Work.COOL);
    if (cools) {
      Refusal.ifFound(book.locked(id).cooling(rule()).coldness());
    }
    Instant begun = run.marks().get(step).begun();
    if (at.isBefore(begun)) {
      throw Refusal.ofField("at", "pot.problem.not-then");
    }
    marks.saveAndFlush(new PotMarkEntity(id, step, "DONE", me(), at));
    Map<String, PotRun.Mark> after = new HashMap<>(run.marks());
    after.put(step, new PotRun.Mark(begun, Optional.of(at)));
    new PotRun(run.steps(), after)
        .current()
        .ifPresent(
            next -> marks.saveAndFlush(new PotMarkEntity(id, next.code(), "BEGUN", me(), at)));
  }

  private static void refuse(Optional<PotRun.Problem> problem) {
    problem.ifPresent(
        what -> {
          throw Refusal.ofStale("PotRun.Problem." + what.name());
        });
  }

  private CoolingRule rule() {
    return CoolingRule.of(limits.limits());
  }

  /** How a stock set when it was cold. */
  public enum Jelly {
    /** It holds its shape. */
    SET,
    /** It trembles. */
    SOFT,
    /** It runs. */
    LOOSE,
    /** Not cold yet, or nobody looked. */
    UNKNOWN
  }

  /** How a stock looks. */
  public enum Look {
    /** Clear. */
    CLEAR,
    /** A little hazy. */
    HAZY,
    /** Cloudy. */
    CLOUDY
  }

  /**
   * What a batch gave.
   *
   * @param litres how many litres
   * @param jelly how it set
   * @param look how it looks
   * @param taste a word on its taste, possibly empty
   */
  public record Gave(BigDecimal litres, Jelly jelly, Look look, String taste) {}

  /**
   * Packs a batch: it goes into the larder with its day, and what it gave is remembered for its
   * method.
   *
   * @param id the number of the batch
   * @param made the packs
   * @param gave what it gave
   * @return the code of its label
   * @throws Refusal if it was packed already, or is not done
   */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.of('POT', #id)")
  public String pack(long id, Makings.Made made, Gave gave) {
    Brew brew = book.locked(id);
    Optional<PotStep> before = brew.run().beforePacking();
    if (before.isPresent()) {
      throw Refusal.ofInput("pot.problem.not-done", before.get().name());
    }
    Refusal.ifFound(brew.cooling(rule()).shelving(brew.since(clock.instant())));
    Set<Allergen> allergens =
        brew.plan().ingredients().stream()
            .flatMap(one -> one.line().allergens().stream())
            .collect(Collectors.toSet());
    allergens.add(Allergen.FISH);
    String code =
        makings.made(
            brew.making().id(),
            made,
            Optional.of(new Makings.WentIn(prices.outlay(brew.plan()), allergens)));
    results.saveAndFlush(
        new PotResultEntity(
            id,
            gave.litres(),
            brew.making().mass().milligrams(),
            gave.jelly().name(),
            gave.look().name(),
            PlainText.line(gave.taste(), LONGEST_TASTE, "taste", FieldName.NOTE),
            me(),
            clock.instant()));
    return code;
  }
}
