package mosaicknife.app.homes;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.Collectors;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.larder.LarderKeeper;
import mosaicknife.app.larder.LarderKeeper.Input;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.use.Batch;
import mosaicknife.core.use.FishUse;
import mosaicknife.core.use.HandId;
import mosaicknife.core.use.OnHand;
import mosaicknife.core.use.Qualification;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Decides what is to be made, of what lies there. */
@Service
@Transactional
public class Decisions {

  private final MakingRows rows;
  private final HandReader hand;
  private final UseBook book;
  private final LarderKeeper larder;
  private final PartLetters letters;
  private final HouseSettings houses;

  Decisions(
      MakingRows rows,
      HandReader hand,
      UseBook book,
      LarderKeeper larder,
      PartLetters letters,
      HouseSettings houses) {
    this.rows = rows;
    this.hand = hand;
    this.book = book;
    this.larder = larder;
    this.letters = letters;
    this.houses = houses;
  }

  /**
   * Something of a plan that is to be made as it was shown.
   *
   * @param code the code of the use
   * @param venue the number of the venue
   * @param units how many units
   * @param from the grams it takes, by part on hand
   */
  public record Choice(String code, long venue, long units, Map<HandId, Mass> from) {}

  /**
   * Decides that what a plan says is made.
   *
   * @param clientId the identifier the sender made
   * @param choices what is made
   * @throws Refusal if something changed since the plan was shown, so that it does not fit any more
   */
  @PreAuthorize(
      "hasAuthority('DECIDE_PURPOSE') and #choices.?[!@here.ofHands(from().keySet())].isEmpty()")
  public void accept(UUID clientId, List<Choice> choices) {
    rows.lock();
    int number = 0;
    for (Choice choice : choices) {
      UUID own = Makings.derived(clientId + ":" + number++);
      if (rows.numberOf(own).isEmpty()) {
        take(own, choice);
      }
    }
  }

  /**
   * Decides that one thing is made of what was shown.
   *
   * @param clientId the identifier the sender made
   * @param choice what is made
   * @return the number of what is to be made
   * @throws Refusal if something changed since it was shown
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.ofHands(#choice.from().keySet())")
  public long accept(UUID clientId, Choice choice) {
    rows.lock();
    return rows.numberOf(clientId).orElseGet(() -> take(clientId, choice));
  }

  private long take(UUID clientId, Choice choice) {
    FishUse use = Optional.ofNullable(book.uses().get(choice.code())).orElseGet(() -> changed());
    Map<HandId, OnHand> onHand =
        hand.waiting().stream().collect(Collectors.toMap(OnHand::id, part -> part));
    List<Input> from = new ArrayList<>();
    choice
        .from()
        .forEach(
            (id, mass) -> {
              OnHand part = Optional.ofNullable(onHand.get(id)).orElseGet(() -> changed());
              if (mass.compareTo(part.mass()) > 0
                  || !mass.isPositive()
                  || !Qualification.qualifies(use, part) && !Qualification.fattens(use, part)) {
                changed();
              }
              from.add(input(part, mass));
            });
    Mass all = Mass.total(choice.from().values());
    boolean pieces = use.measure() instanceof FishUse.Measure.Pieces;
    if (choice.units() < 1 || !pieces && new Batch(use, all, all).units() < choice.units()) {
      changed();
    }
    return decide(clientId, use, choice.venue(), choice.units(), from);
  }

  private static <T> T changed() {
    throw Refusal.ofStale("homes.problem.plan-changed");
  }

  private static Input input(OnHand part, Mass mass) {
    return part.id() instanceof HandId.Here here ? new Input(here, mass) : changed();
  }

  /**
   * Decides by hand what grams of a part become; the plan leaves them alone from then on.
   *
   * @param clientId the identifier the sender made
   * @param code the code of the use
   * @param venue the number of the venue
   * @param id which part on hand
   * @param mass how much of it; empty for all that is left
   * @param wanted how many units are wanted; the recipe then says how much of it they take
   * @throws Refusal if the part may not become that, or less of it is left
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.ofHands({#id})")
  public void decide(
      UUID clientId, String code, long venue, HandId id, Optional<Mass> mass, OptionalInt wanted) {
    rows.lock();
    FishUse use = Optional.ofNullable(book.uses().get(code)).orElseGet(() -> refused(code));
    OnHand part =
        hand.waiting().stream()
            .filter(one -> one.id().equals(id))
            .findFirst()
            .orElseThrow(() -> Refusal.ofInput("homes.problem.not-on-hand"));
    Qualification.whyNot(use, part).stream()
        .findFirst()
        .ifPresent(
            why -> {
              throw Refusal.of(why.at("use"));
            });
    Mass some =
        wanted.isPresent()
            ? Batch.forUnits(use, wanted.getAsInt(), part.piece()).fish()
            : mass.orElse(part.mass());
    if (some.compareTo(part.mass()) > 0) {
      throw Refusal.ofField("amount", "larder.problem.less-left", part.name(), part.mass());
    }
    long units = new Batch(use, some, part.piece()).units();
    if (units == 0) {
      throw Refusal.ofField("amount", "homes.problem.less-than-one", some, use.name());
    }
    decide(clientId, use, venue, units, List.of(input(part, some)));
  }

  private static FishUse refused(String code) {
    throw Refusal.ofInput("homes.problem.no-such-use", code);
  }

  private long decide(UUID clientId, FishUse use, long venue, long units, List<Input> from) {
    Optional<Long> before = rows.numberOf(clientId);
    if (before.isPresent()) {
      return before.get();
    }
    houses.getVenue(venue);
    long making = rows.begin(clientId, use, venue, units);
    from.forEach(
        input -> rows.takes(making, input, input.label().map(larder::numberOf).orElse(null)));
    if (use.purpose() != Purpose.HOLD) {
      from.forEach(input -> letters.give(input, use, Optional.empty()));
    }
    return making;
  }
}
