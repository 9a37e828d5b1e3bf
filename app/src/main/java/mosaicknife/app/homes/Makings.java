package mosaicknife.app.homes;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.larder.ItemKeeper;
import mosaicknife.app.larder.KeepingDays;
import mosaicknife.app.larder.LarderBook;
import mosaicknife.app.larder.LarderKeeper;
import mosaicknife.app.larder.LarderKeeper.Input;
import mosaicknife.app.larder.LarderKeeper.PutAway;
import mosaicknife.app.parts.PurposeAssigner;
import mosaicknife.app.parts.Use;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.cost.Outlay;
import mosaicknife.core.heat.Chilled;
import mosaicknife.core.larder.Entry;
import mosaicknife.core.larder.Keeping;
import mosaicknife.core.larder.LabelFacts;
import mosaicknife.core.larder.Shelved;
import mosaicknife.core.lot.Destination;
import mosaicknife.core.lot.Held;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotRules;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.Allergen;
import mosaicknife.core.use.Batch;
import mosaicknife.core.use.FishUse;
import mosaicknife.core.use.Hand;
import mosaicknife.core.use.HandId;
import mosaicknife.core.use.OnHand;
import mosaicknife.core.use.Qualification;
import mosaicknife.core.use.RecipeLine;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what is to be made, and writes down what was made of it or why it was dropped. */
@Service
@Transactional
public class Makings {

  private final MakingRepository makings;
  private final MakingSourceRepository sources;
  private final MakingEndRepository ends;
  private final MakingBook open;
  private final HandReader hand;
  private final UseBook book;
  private final SubProducts subProducts;
  private final LotSheets sheets;
  private final LarderKeeper larder;
  private final KeepingDays days;
  private final ItemKeeper items;
  private final LarderBook shelves;
  private final PurposeAssigner purposes;
  private final HouseSettings houses;
  private final CurrentPerson current;
  private final Clock clock;

  Makings(
      MakingRepository makings,
      MakingSourceRepository sources,
      MakingEndRepository ends,
      MakingBook open,
      HandReader hand,
      UseBook book,
      SubProducts subProducts,
      LotSheets sheets,
      LarderKeeper larder,
      KeepingDays days,
      ItemKeeper items,
      LarderBook shelves,
      PurposeAssigner purposes,
      HouseSettings houses,
      CurrentPerson current,
      Clock clock) {
    this.makings = makings;
    this.sources = sources;
    this.ends = ends;
    this.open = open;
    this.hand = hand;
    this.book = book;
    this.subProducts = subProducts;
    this.sheets = sheets;
    this.larder = larder;
    this.days = days;
    this.items = items;
    this.shelves = shelves;
    this.purposes = purposes;
    this.houses = houses;
    this.current = current;
    this.clock = clock;
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
    makings.lockAll();
    int number = 0;
    for (Choice choice : choices) {
      UUID own = derived(clientId + ":" + number++);
      if (!makings.existsByClientId(own)) {
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
    makings.lockAll();
    return makings
        .findByClientId(clientId)
        .map(MakingEntity::id)
        .orElseGet(() -> take(clientId, choice));
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

  private static UUID derived(String text) {
    return UUID.nameUUIDFromBytes(text.getBytes(StandardCharsets.UTF_8));
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
    makings.lockAll();
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
    Optional<MakingEntity> before = makings.findByClientId(clientId);
    if (before.isPresent()) {
      return before.get().id();
    }
    houses.getVenue(venue);
    MakingEntity making =
        makings.saveAndFlush(
            new MakingEntity(
                clientId,
                use.code(),
                use.name(),
                venue,
                units,
                current.get().id(),
                clock.instant()));
    from.forEach(
        input ->
            sources.save(
                new MakingSourceEntity(
                    making.id(),
                    input.of().lot(),
                    input.of().slot(),
                    input.label().map(larder::numberOf).orElse(null),
                    input.mass())));
    if (use.purpose() != Purpose.HOLD) {
      from.forEach(input -> give(input, use, Optional.empty()));
    }
    return making.id();
  }

  /** The part's letter follows what is made of it, as long as its lot is open and it has none. */
  private void give(Input input, FishUse use, Optional<Held> held) {
    if (input.label().isPresent()) {
      return;
    }
    LotSheet sheet = sheets.get(input.of().lot());
    Optional<LotPart> part = sheet.find(input.of().slot());
    if (sheet.lot().isFinished() || part.flatMap(LotPart::purpose).isPresent() || part.isEmpty()) {
      return;
    }
    purposes.assign(
        input.of().lot(),
        input.of().slot(),
        part.get().version(),
        use.purpose(),
        new Use(new Destination.ToUse(use.code(), use.name()), Hand.value(use, currency()), held));
  }

  private java.util.Currency currency() {
    return houses.house().formats().currency();
  }

  /**
   * What came out when something was made.
   *
   * @param units how many units
   * @param mass what they weigh; empty to take what the recipe says
   * @param useBy the last day; empty for as long as the use says
   * @param spot where it lies
   * @param served whether it goes out at once
   * @param cold by which reading it is cold, of what comes hot and not from a pot
   */
  public record Made(
      int units,
      Optional<Mass> mass,
      Optional<LocalDate> useBy,
      Shelved.Spot spot,
      boolean served,
      Optional<Chilled> cold) {}

  /**
   * Writes down that something was made: it goes on a shelf with its trace, cost and allergens.
   *
   * @param id the number of the making
   * @param made what came out
   * @return the code of its label
   * @throws Refusal if it was made or dropped already, or less of a part is there
   */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.of('MAKING', #id)")
  @SentTwice
  public String made(long id, Made made) {
    return made(id, made, Optional.empty());
  }

  /**
   * What really went in beside the fish, where that is known better than from the recipe.
   *
   * @param beside what was laid out
   * @param allergens what it brought in
   */
  public record WentIn(Outlay beside, Set<Allergen> allergens) {}

  /**
   * Writes down the same of a batch of which it is known what went in.
   *
   * @param id the number of the making
   * @param made what came out
   * @param wentIn what went in; empty for what the recipe says
   * @return the code of its label
   * @throws Refusal if it was made or dropped already, or less of a part is there
   */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.of('MAKING', #id)")
  public String made(long id, Made made, Optional<WentIn> wentIn) {
    ToMake planned = open(id);
    FishUse use = planned.use();
    List<Input> there = there(planned);
    boolean hot = LabelFacts.comesHot(use) && wentIn.isEmpty() && !made.served();
    if (hot) {
      days.checkCold(made.cold());
    }
    if (hot && LabelFacts.needsCore(use)) {
      days.checkCore(made.cold());
    }
    Mass fish = Mass.total(there.stream().map(Input::mass).toList());
    Batch batch = new Batch(use, fish, fish);
    Map<RecipeLine, List<Input>> products =
        wentIn.isPresent() ? Map.of() : subProducts.of(batch, made.spot().venue());
    Map<RecipeLine, Mass> own = new HashMap<>();
    products.forEach((line, found) -> own.put(line, SubProducts.mass(found)));
    List<Input> all = new ArrayList<>(there);
    products.values().forEach(all::addAll);
    Keeping keeping = keeping(use, all);
    LocalDate until = made.useBy().orElseGet(() -> keeping.atMost(usual(use)));
    if (use.isAged()) {
      days.checkRaw(there, until);
    }
    Refusal.ifFound(keeping.problem(until));
    if (use.purpose() == Purpose.HOLD) {
      Held held = new Held(until, made.spot().place(), made.spot().keeper());
      there.forEach(input -> give(input, use, Optional.of(held)));
    }
    PutAway away =
        new PutAway(
            use.name(),
            Optional.of(use.code()),
            made.mass().orElse(batch.out()),
            made.units(),
            wentIn
                .map(WentIn::beside)
                .orElseGet(() -> batch.outlay(houses.house().labourPerHour(), made.units(), own)),
            wentIn.map(WentIn::allergens).orElseGet(() -> book.recipes().allergens(use)),
            new Shelved.Traits(
                LabelFacts.bones(use, kinds(there)), mayBeRaw(use, there), made.mass().isEmpty()),
            until,
            keeping,
            use.kept().state(),
            made.spot());
    String code = larder.make(derived("making:" + id), away, all);
    made.cold().filter(cold -> hot).ifPresent(cold -> items.chilled(code, cold));
    end(id, larder.numberOf(code), "");
    if (made.served()) {
      items.take(UUID.randomUUID(), code, Optional.empty(), Entry.Out.EATEN, "");
    }
    return code;
  }

  /**
   * Returns the last day that is offered for something that is made today.
   *
   * @param use what is made
   * @param fish what it is made of
   * @return as long as the use says, and no longer than its state and what it is made of keep
   */
  @Transactional(readOnly = true)
  public LocalDate lastDay(FishUse use, List<Input> fish) {
    return keeping(use, fish).atMost(usual(use));
  }

  private LocalDate usual(FishUse use) {
    return houses.today().plusDays(use.keeps());
  }

  private Keeping keeping(FishUse use, List<Input> fish) {
    return days.keeping(
        use.isAged() ? Optional.empty() : Optional.of(use.kept().state()),
        use.cautions().contains(FishUse.Caution.VACUUM),
        fish);
  }

  /**
   * What was planned, as far as it is cut and still there: the hand makes it of what lies there.
   */
  private List<Input> there(ToMake planned) {
    List<Input> there = new ArrayList<>();
    for (Input input : planned.from()) {
      left(input)
          .filter(Mass::isPositive)
          .map(left -> left.compareTo(input.mass()) < 0 ? left : input.mass())
          .ifPresent(some -> there.add(new Input(input.of(), some)));
    }
    if (there.isEmpty()) {
      throw Refusal.ofInput("homes.problem.nothing-cut", planned.use().name());
    }
    return there;
  }

  private Optional<Mass> left(Input input) {
    return input.label().isEmpty()
        ? sheets
            .get(input.of().lot())
            .find(input.of().slot())
            .map(part -> part.mass().minus(part.part().shelf().in()))
        : Optional.of(shelves.get(input.label().get()).mass());
  }

  private boolean mayBeRaw(FishUse use, List<Input> from) {
    return use.raw()
        && from.stream()
            .allMatch(
                input -> {
                  LotSheet sheet = sheets.get(input.of().lot());
                  return sheet.find(input.of().slot()).filter(sheet::mayBeRaw).isPresent();
                });
  }

  private List<OnHand.Kind> kinds(List<Input> from) {
    List<OnHand.Kind> kinds = new ArrayList<>();
    for (Input input : from) {
      LotSheet sheet = sheets.get(input.of().lot());
      sheet
          .find(input.of().slot())
          .ifPresent(part -> kinds.add(new OnHand.Kind(part.kind(), sheet.lot().species())));
    }
    return kinds;
  }

  /**
   * Drops what was to be made; its parts are free again.
   *
   * @param id the number of the making
   * @param reason why
   * @throws Refusal if no reason was given, or it was made or dropped already
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.of('MAKING', #id)")
  public void drop(long id, String reason) {
    ToMake dropped = open(id);
    end(id, null, PlainText.needed(reason, 160, "reason", FieldName.REASON));
    dropped.from().forEach(input -> forget(input, dropped.use()));
  }

  /** A part whose letter followed what is not made any more waits again, with its letter. */
  private void forget(Input input, FishUse use) {
    if (input.label().isPresent()) {
      return;
    }
    LotSheet sheet = sheets.get(input.of().lot());
    sheet
        .find(input.of().slot())
        .filter(part -> !sheet.lot().isFinished() && isFor(part, use))
        .filter(part -> LotRules.closed(sheet.lot(), part.part(), use.purpose()).isEmpty())
        .ifPresent(
            part ->
                purposes.assign(
                    input.of().lot(), input.of().slot(), part.version(), use.purpose(), Use.PLAIN));
  }

  private static boolean isFor(LotPart part, FishUse use) {
    return part.part().goesTo() instanceof Destination.ToUse to && to.code().equals(use.code());
  }

  private void end(long id, Long item, String reason) {
    ends.saveAndFlush(new MakingEndEntity(id, item, reason, current.get().id(), clock.instant()));
  }

  private ToMake open(long id) {
    makings.lockAll();
    if (ends.existsById(id)) {
      throw Refusal.ofStale("homes.problem.made-already");
    }
    return open.toMake().stream()
        .filter(one -> one.id() == id)
        .findFirst()
        .orElseThrow(() -> Refusal.ofMissing("homes.problem.no-such-making"));
  }
}
