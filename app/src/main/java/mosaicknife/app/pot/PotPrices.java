package mosaicknife.app.pot;

import java.math.BigDecimal;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.pot.Kettle;
import mosaicknife.core.pot.Learnt;
import mosaicknife.core.pot.PotCost;
import mosaicknife.core.pot.PotPlan;
import mosaicknife.core.pot.StockMethod;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a litre of stock costs here, one way and another, and bought in. */
@Service
@Transactional
class PotPrices {

  private final PotPriceRepository prices;
  private final PotBook book;
  private final HouseSettings houses;
  private final CurrentPerson current;
  private final Clock clock;

  PotPrices(
      PotPriceRepository prices,
      PotBook book,
      HouseSettings houses,
      CurrentPerson current,
      Clock clock) {
    this.prices = prices;
    this.book = book;
    this.houses = houses;
    this.current = current;
    this.clock = clock;
  }

  /** What the house typed; empty until then. */
  @Transactional(readOnly = true)
  public Optional<PotPriceEntity> typed() {
    return prices.findFirstByOrderByIdDesc();
  }

  /** The same as a form shows it; what the house did not type is a starting figure. */
  record Fields(String bones, String kilowatt, String bought, boolean own) {}

  @Transactional(readOnly = true)
  public Fields fields() {
    return typed()
        .map(
            one ->
                new Fields(
                    one.bones().toPlainString(),
                    one.kilowatt().toPlainString(),
                    one.bought() == null ? "" : one.bought().toPlainString(),
                    true))
        .orElseGet(
            () ->
                new Fields(
                    PotCost.Prices.STARTING_BONES.toPlainString(),
                    PotCost.Prices.STARTING_KILOWATT_HOUR.toPlainString(),
                    "",
                    false));
  }

  /** Writes down what things cost. */
  @PreAuthorize("hasAuthority('SEE_COSTS')")
  public void keep(BigDecimal bones, BigDecimal kilowatt, Optional<BigDecimal> bought) {
    prices.saveAndFlush(
        new PotPriceEntity(
            bones, kilowatt, bought.orElse(null), current.get().id(), clock.instant()));
  }

  private PotCost.Prices prices() {
    Optional<PotPriceEntity> typed = typed();
    Currency currency = houses.house().formats().currency();
    return new PotCost.Prices(
        new ExactMoney(
            typed.map(PotPriceEntity::bones).orElse(PotCost.Prices.STARTING_BONES), currency),
        new ExactMoney(
            typed.map(PotPriceEntity::kilowatt).orElse(PotCost.Prices.STARTING_KILOWATT_HOUR),
            currency),
        houses.house().labourPerHour(),
        typed.map(PotPriceEntity::bought).map(litre -> new ExactMoney(litre, currency)));
  }

  /** What a batch will cost, in words; nothing if nothing comes of it. */
  @Transactional(readOnly = true)
  public List<String> said(PotPlan plan) {
    if (plan.litres() <= 0) {
      return List.of();
    }
    Formats formats = houses.house().formats();
    PotCost.Prices at = prices();
    PotCost cost = PotCost.of(plan, at);
    List<String> said = new ArrayList<>();
    said.add(
        formats.say(
            "pot.said.cost",
            formats.money(cost.perLitre()),
            formats.money(cost.perLitre(cost.bones())),
            formats.money(cost.perLitre(cost.lines())),
            formats.money(cost.perLitre(cost.fuel())),
            formats.money(cost.perLitre(cost.hands()))));
    at.bought()
        .ifPresent(
            litre ->
                said.add(
                    formats.say(
                        cost.perLitre().compareTo(litre) <= 0
                            ? "pot.said.bought-dearer"
                            : "pot.said.bought-cheaper",
                        formats.money(litre))));
    return said;
  }

  /**
   * A way beside the others.
   *
   * @param name the way
   * @param litre what a litre costs
   * @param hands minutes of hands a litre
   * @param takes how long it takes
   * @param bones the bones of a litre
   * @param gave what it gave here so far; empty if nothing is known
   */
  record Row(String name, String litre, String hands, String takes, String bones, String gave) {}

  /** All ways for the same litres in the same kettle, with the answers usual for each. */
  @Transactional(readOnly = true)
  public List<Row> compared(double litres, Kettle kettle) {
    Formats formats = houses.house().formats();
    PotCost.Prices at = prices();
    Map<String, Learnt> learnt = book.learnt();
    List<Row> rows = new ArrayList<>();
    for (StockMethod method : book.methods().values()) {
      Mass bones = Mass.ofGrams((long) Math.ceil(litres * method.gramsOfBones()));
      PotPlan plan = PotPlan.of(method, method.usual(), bones, litres, kettle);
      if (plan.kettles() > 0) {
        int all = plan.allMinutes();
        rows.add(
            new Row(
                method.name(),
                formats.money(PotCost.of(plan, at).perLitre()),
                Formats.decimal(PotCost.handsPerLitre(plan), 1),
                formats.say("pot.said.hours", all / 60, all % 60),
                formats.mass(Mass.ofGrams(method.gramsOfBones())),
                Optional.ofNullable(learnt.get(method.code()))
                    .map(one -> PotView.learnt(one, formats))
                    .orElse("")));
      }
    }
    return rows;
  }
}
