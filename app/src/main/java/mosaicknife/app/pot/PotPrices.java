package mosaicknife.app.pot;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.Permission;
import mosaicknife.app.booklet.HouseBook;
import mosaicknife.app.booklet.Section;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.larder.LarderBook;
import mosaicknife.app.larder.LarderKeeper.Input;
import mosaicknife.app.shared.CarriedWords;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.cost.Carried;
import mosaicknife.core.cost.Outlay;
import mosaicknife.core.pot.Kettle;
import mosaicknife.core.pot.Learnt;
import mosaicknife.core.pot.PotCost;
import mosaicknife.core.pot.PotPlan;
import mosaicknife.core.pot.StockMethod;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.use.FishUse;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a litre of stock costs here, one way and another, and bought in. */
@Service
@Transactional
class PotPrices {

  private static final Section<Typed> TYPED = new Section<>("POT_PRICE", Typed.class);

  private final HouseBook house;
  private final PotBook book;
  private final LarderBook larder;
  private final HouseSettings houses;
  private final CurrentPerson current;

  PotPrices(
      HouseBook house,
      PotBook book,
      LarderBook larder,
      HouseSettings houses,
      CurrentPerson current) {
    this.house = house;
    this.book = book;
    this.larder = larder;
    this.houses = houses;
    this.current = current;
  }

  /**
   * What the house typed.
   *
   * @param kilowatt what a kilowatt-hour costs
   * @param bought what a litre of stock costs bought in; empty if nobody said so
   */
  record Typed(BigDecimal kilowatt, Optional<BigDecimal> bought) {}

  private Optional<Typed> typed() {
    return house.said(TYPED).stream().findFirst();
  }

  /** The same as a form shows it; what the house did not type is a starting figure. */
  record Fields(String kilowatt, String bought, boolean own) {}

  @Transactional(readOnly = true)
  public Fields fields() {
    return typed()
        .map(
            one ->
                new Fields(
                    one.kilowatt().toPlainString(),
                    one.bought().map(BigDecimal::toPlainString).orElse(""),
                    true))
        .orElseGet(
            () -> new Fields(PotCost.Prices.STARTING_KILOWATT_HOUR.toPlainString(), "", false));
  }

  /** Writes down what things cost. */
  @PreAuthorize("hasAuthority('SEE_COSTS')")
  public void keep(BigDecimal kilowatt, Optional<BigDecimal> bought) {
    house.write(TYPED, "all", new Typed(kilowatt, bought));
  }

  private PotCost.Prices prices() {
    Optional<Typed> typed = typed();
    Currency currency = houses.house().formats().currency();
    return new PotCost.Prices(
        new ExactMoney(
            typed.map(Typed::kilowatt).orElse(PotCost.Prices.STARTING_KILOWATT_HOUR), currency),
        houses.house().labourPerHour(),
        typed.flatMap(Typed::bought).map(litre -> new ExactMoney(litre, currency)));
  }

  /** What a batch lays out beside its bones, here and on its shelf. */
  @Transactional(readOnly = true)
  public Outlay outlay(PotPlan plan) {
    return PotCost.of(plan, prices());
  }

  /** What a batch costs, in words; nothing if nothing comes of it, or for who may not see it. */
  @Transactional(readOnly = true)
  public List<String> said(PotPlan plan, FishUse use, Collection<Input> bones) {
    if (plan.litres() <= 0 || !current.may(Permission.SEE_COSTS)) {
      return List.of();
    }
    Formats formats = houses.house().formats();
    LarderBook.Carrying carrying = larder.carried(bones, use);
    Carried batch = carrying.sum().plus(outlay(plan));
    Carried litre = PotCost.perLitre(batch, plan);
    List<String> said = new ArrayList<>();
    said.add(
        formats.say(
            "pot.said.cost", formats.money(litre.total()), CarriedWords.parts(litre, formats)));
    said.add(formats.say("pot.said.cost-all", formats.money(batch.total())));
    if (carrying.open().isPositive()) {
      said.add(formats.say("pot.said.bones-open", carrying.open()));
    }
    prices()
        .bought()
        .ifPresent(
            bought ->
                said.add(
                    formats.say(
                        litre.total().compareTo(bought) <= 0
                            ? "pot.said.bought-dearer"
                            : "pot.said.bought-cheaper",
                        formats.money(bought))));
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

  /**
   * All ways for the same litres in the same kettle, with the answers usual for each, of bones that
   * carry as much a kilogram as those that would go in.
   */
  @Transactional(readOnly = true)
  public List<Row> compared(double litres, Kettle kettle, FishUse use, Collection<Input> like) {
    if (!current.may(Permission.SEE_COSTS)) {
      return List.of();
    }
    Formats formats = houses.house().formats();
    LarderBook.Carrying carrying = larder.carried(like, use);
    Map<String, Learnt> learnt = book.learnt();
    List<Row> rows = new ArrayList<>();
    for (StockMethod method : book.methods().values()) {
      Mass bones = Mass.ofGrams((long) Math.ceil(litres * method.gramsOfBones()));
      PotPlan plan = PotPlan.of(method, method.usual(), bones, litres, kettle);
      if (plan.kettles() > 0 && carrying.mass().isPositive()) {
        int all = plan.allMinutes();
        Carried batch =
            carrying.sum().multipliedBy(plan.bones().dividedBy(carrying.mass())).plus(outlay(plan));
        rows.add(
            new Row(
                method.name(),
                formats.money(PotCost.perLitre(batch, plan).total()),
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
