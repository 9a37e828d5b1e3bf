package mosaicknife.app.pot;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.homes.Decisions;
import mosaicknife.app.homes.Decisions.Choice;
import mosaicknife.app.homes.HandReader;
import mosaicknife.app.homes.UseBook;
import mosaicknife.app.larder.LarderKeeper.Input;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.core.pot.Bones;
import mosaicknife.core.pot.PotPlan;
import mosaicknife.core.pot.PotStep.Answer;
import mosaicknife.core.pot.StockMethod;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.use.Batch;
import mosaicknife.core.use.FishUse;
import mosaicknife.core.use.HandId;
import mosaicknife.core.use.OnHand;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Works out what can be put on, and puts it on. */
@Service
@Transactional
public class PotStarter {

  private final PotBook book;
  private final PotBatchRepository batches;
  private final HandReader hand;
  private final Scraps scraps;
  private final UseBook uses;
  private final Decisions decisions;
  private final CurrentPerson current;
  private final Clock clock;

  PotStarter(
      PotBook book,
      PotBatchRepository batches,
      HandReader hand,
      Scraps scraps,
      UseBook uses,
      Decisions decisions,
      CurrentPerson current,
      Clock clock) {
    this.book = book;
    this.batches = batches;
    this.hand = hand;
    this.scraps = scraps;
    this.uses = uses;
    this.decisions = decisions;
    this.current = current;
    this.clock = clock;
  }

  /**
   * What is to be put on.
   *
   * @param method the code of the method
   * @param answers what is done one way or the other
   * @param litres how many litres are wanted
   * @param kettle the number of the kettle
   * @param wanted when it is needed, if somebody said so
   * @param scraps the numbers of what other stations give
   */
  public record Wish(
      String method,
      Set<Answer> answers,
      double litres,
      long kettle,
      Optional<Instant> wanted,
      Set<Long> scraps) {

    /** A wish without scraps. */
    public Wish(
        String method, Set<Answer> answers, double litres, long kettle, Optional<Instant> wanted) {
      this(method, answers, litres, kettle, wanted, Set.of());
    }
  }

  /**
   * What a wish comes to.
   *
   * @param use what is made
   * @param graded the bones on hand
   * @param plan what fits and what comes out; empty if there are no bones for it
   * @param picked the bones that would go in
   */
  public record Worked(
      FishUse use, List<Bones.Graded> graded, Optional<PotPlan> plan, Map<OnHand, Mass> picked) {

    /**
     * Returns the bones that would go in.
     *
     * @return the same as what something is made of
     */
    public List<Input> inputs() {
      return picked.entrySet().stream()
          .flatMap(
              one ->
                  one.getKey().id() instanceof HandId.Here here
                      ? Stream.of(new Input(here, one.getValue()))
                      : Stream.empty())
          .toList();
    }
  }

  /**
   * Works a wish out with the bones on hand.
   *
   * @param wish what is wanted
   * @return bones, amounts and times
   * @throws Refusal if the house makes nothing by that method
   */
  @Transactional(readOnly = true)
  public Worked work(Wish wish) {
    StockMethod method = book.method(wish.method());
    Map<String, FishUse> all = uses.uses();
    FishUse use =
        method.uses().stream()
            .sorted()
            .map(all::get)
            .filter(java.util.Objects::nonNull)
            .findFirst()
            .orElseThrow(() -> Refusal.ofInput("pot.problem.no-use", method.name()));
    List<Bones.Graded> graded = Bones.grade(use, hand.waiting());
    Mass there = Bones.there(graded);
    if (!there.isPositive()) {
      return new Worked(use, graded, Optional.empty(), Map.of());
    }
    PotBook.Stood kettle = book.kettle(wish.kettle());
    PotPlan plan =
        PotPlan.of(
            scraps.into(method, wish.scraps(), method.bones(wish.litres(), there)),
            wish.answers(),
            there,
            wish.litres(),
            kettle.kettle());
    return new Worked(
        use, graded, Optional.of(plan), Bones.pick(graded, plan.bones(), kettle.venue()));
  }

  /**
   * Puts a batch on: its bones are promised from now on.
   *
   * @param clientId the identifier the sender made
   * @param wish what is wanted
   * @return the number of the batch
   * @throws Refusal if there are no bones for a litre, or the service is over already
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.of('KETTLE', #wish.kettle())")
  @SentTwice
  public long start(UUID clientId, Wish wish) {
    Optional<PotBatchEntity> before = batches.findByClientId(clientId);
    if (before.isPresent()) {
      return before.get().id();
    }
    if (wish.wanted().filter(at -> at.isBefore(clock.instant())).isPresent()) {
      throw Refusal.ofField("wanted", "pot.problem.over");
    }
    Worked worked = work(wish);
    PotPlan plan = worked.plan().orElseThrow(() -> Refusal.ofInput("pot.problem.no-bones"));
    if (plan.kettles() == 0) {
      throw Refusal.ofField("kettle", "pot.problem.dry", plan.kettle().name());
    }
    long venue = book.kettle(wish.kettle()).venue();
    Mass all = Mass.total(worked.picked().values());
    long units =
        Math.min(
            (long) Math.floor(plan.litres() + 0.001), new Batch(worked.use(), all, all).units());
    if (units < 1) {
      throw Refusal.ofField("litres", "pot.problem.no-litre");
    }
    Map<HandId, Mass> from = new HashMap<>();
    worked.picked().forEach((part, mass) -> from.put(part.id(), mass));
    long making = decisions.accept(clientId, new Choice(worked.use().code(), venue, units, from));
    long batch =
        batches
            .saveAndFlush(
                new PotBatchEntity(
                    clientId,
                    making,
                    wish.kettle(),
                    plan.method().write(),
                    wish.answers().stream()
                        .map(Enum::name)
                        .sorted()
                        .collect(Collectors.joining(",")),
                    BigDecimal.valueOf(plan.litres()).setScale(3, RoundingMode.HALF_EVEN),
                    wish.wanted().orElse(null),
                    current.get().id(),
                    clock.instant()))
            .id();
    scraps.used(wish.scraps(), batch);
    return batch;
  }
}
