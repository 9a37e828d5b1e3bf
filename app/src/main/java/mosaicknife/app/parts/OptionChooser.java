package mosaicknife.app.parts;

import java.time.Clock;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.catalogue.Answer;
import mosaicknife.app.catalogue.HouseOptions;
import mosaicknife.app.lot.LotChanged;
import mosaicknife.app.lot.LotReceived;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Words;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.plan.Choices;
import mosaicknife.core.plan.CutPlan;
import mosaicknife.core.plan.CuttingOption;
import mosaicknife.core.plan.CuttingOptions;
import mosaicknife.core.plan.Precedence;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which option a lot is cut by, and which the house prefers. */
@Service
@Transactional
public class OptionChooser {

  private static final int LONGEST_REASON = 200;

  private final LotOptionRepository ofLots;
  private final HouseOptions ofHouse;
  private final WayKeeper ways;
  private final LotRegister lots;
  private final PartLayout layout;
  private final CurrentPerson current;
  private final PeopleRegister people;
  private final ApplicationEventPublisher events;
  private final Clock clock;
  private final Words words;

  OptionChooser(
      LotOptionRepository ofLots,
      HouseOptions ofHouse,
      WayKeeper ways,
      LotRegister lots,
      PartLayout layout,
      CurrentPerson current,
      PeopleRegister people,
      ApplicationEventPublisher events,
      Clock clock,
      Words words) {
    this.ofLots = ofLots;
    this.ofHouse = ofHouse;
    this.ways = ways;
    this.lots = lots;
    this.layout = layout;
    this.current = current;
    this.people = people;
    this.events = events;
    this.clock = clock;
    this.words = words;
  }

  /** A new lot is cut the house's way for its size, else by the house's answers. */
  @EventListener
  void received(LotReceived received) {
    Lot lot = received.lot();
    Optional<Way> way = ways.findFor(lot);
    Map<String, Answer> house = ofHouse.answers();
    Choices choices = Choices.USUAL;
    for (Precedence.Answered answer :
        Precedence.of(
            CuttingOptions.of(lot.species(), lot.state()),
            way.map(w -> w.choices().byOption()).orElse(Map.of()),
            choicesOf(house))) {
      String reason =
          answer.source() == Precedence.Source.WAY
              ? words.say("parts.said.the-way", way.orElseThrow().name())
              : house.get(answer.option()).reason();
      store(lot.id(), answer.option(), answer.choice(), reason);
      choices = choices.with(answer.option(), answer.choice());
    }
    CutPlan plan = layout.plan(lot, choices);
    layout.layOut(lot, plan);
    way.ifPresent(w -> ways.giveFates(lot, w));
    events.publishEvent(
        new PartsLaidOut(lot, plan.parts().stream().map(part -> part.slot().code()).toList()));
  }

  private static Map<String, String> choicesOf(Map<String, Answer> house) {
    return house.entrySet().stream()
        .collect(Collectors.toMap(Map.Entry::getKey, entry -> entry.getValue().choice()));
  }

  /**
   * Returns the answers of lots.
   *
   * @param lotIds their numbers
   * @return the answers by lot; a lot without any is left out
   */
  @Transactional(readOnly = true)
  public Map<Long, Choices> of(Collection<Long> lotIds) {
    Map<Long, Map<String, String>> byLot = new HashMap<>();
    for (LotOptionEntity answer : ofLots.findOfLots(lotIds)) {
      byLot
          .computeIfAbsent(answer.lotId(), id -> new LinkedHashMap<>())
          .put(answer.option(), answer.choice());
    }
    return byLot.entrySet().stream()
        .collect(Collectors.toMap(Map.Entry::getKey, e -> new Choices(e.getValue())));
  }

  /**
   * Returns the answers of one lot with who gave them and why.
   *
   * @param lotId the lot number
   * @return the answers by option
   */
  @Transactional(readOnly = true)
  public Map<String, Answer> answers(long lotId) {
    Map<Long, String> names = people.names();
    return ofLots.findOfLots(List.of(lotId)).stream()
        .collect(Collectors.toMap(LotOptionEntity::option, a -> a.toAnswer(names.get(a.setBy()))));
  }

  /**
   * Answers a option for one lot, and lays out its parts anew.
   *
   * @param lotId the lot number
   * @param option the code of the option
   * @param choice the code of the choice
   * @param reason why it differs from the house, possibly empty
   * @throws Refusal if the lot is closed, the choice does not apply, or a part that would go was
   *     weighed
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.of('LOT', #lotId)")
  public void choose(long lotId, String option, String choice, String reason) {
    Lot lot = openLot(lotId);
    known(lot, option, choice);
    Choices before = of(List.of(lotId)).getOrDefault(lotId, Choices.USUAL);
    store(
        lotId, option, choice, PlainText.line(reason, LONGEST_REASON, "reason", FieldName.REASON));
    layout.arrange(
        lot,
        layout.plan(lot, before),
        layout.plan(lot, before.with(option, choice)),
        ways.findFor(lot).map(Way::order).orElse(List.of()));
    events.publishEvent(new LotChanged(lotId));
  }

  /**
   * Makes the answer of a lot the answer of the house, for lots to come.
   *
   * @param lotId the lot number
   * @param option the code of the option
   * @param reason why, for those who ask later
   * @throws Refusal if no reason is given
   */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE') and @here.of('LOT', #lotId)")
  public void makeHouseAnswer(long lotId, String option, String reason) {
    Lot lot = lots.get(lotId);
    CuttingOption asked = known(lot, option);
    String choice = of(List.of(lotId)).getOrDefault(lotId, Choices.USUAL).in(asked).code();
    ofHouse.answer(option, choice, reason);
  }

  /**
   * Cuts a lot by a way of the house.
   *
   * @param lotId the lot number
   * @param wayId the number of the way
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.of('LOT', #lotId)")
  public void follow(long lotId, long wayId) {
    Lot lot = openLot(lotId);
    Way way = ways.get(wayId);
    Choices before = of(List.of(lotId)).getOrDefault(lotId, Choices.USUAL);
    Choices choices = before;
    for (CuttingOption option : CuttingOptions.of(lot.species(), lot.state())) {
      String choice = way.choices().in(option).code();
      store(lotId, option.code(), choice, "the house’s way “%s”".formatted(way.name()));
      choices = choices.with(option.code(), choice);
    }
    layout.arrange(lot, layout.plan(lot, before), layout.plan(lot, choices), way.order());
    ways.giveFates(lot, way);
    events.publishEvent(new LotChanged(lotId));
  }

  private void store(long lotId, String option, String choice, String reason) {
    LotOptionEntity answer =
        ofLots
            .findById(new OptionKey(lotId, option))
            .orElseGet(() -> new LotOptionEntity(lotId, option));
    answer.answer(choice, reason, current.get().id(), clock.instant());
    ofLots.save(answer);
  }

  private static CuttingOption known(Lot lot, String option) {
    return CuttingOptions.of(lot.species(), lot.state()).stream()
        .filter(s -> s.code().equals(option))
        .findFirst()
        .orElseThrow(() -> Refusal.ofInput("parts.problem.this-fish-does-not-ask"));
  }

  private static void known(Lot lot, String option, String choice) {
    if (known(lot, option).find(choice).isEmpty()) {
      throw Refusal.ofInput("parts.problem.that-is-no-answer-to");
    }
  }

  private Lot openLot(long lotId) {
    Lot lot = lots.get(lotId);
    if (lot.isFinished()) {
      throw Refusal.ofInput("lot.problem.lot-is-closed-open-it", lotId);
    }
    return lot;
  }
}
