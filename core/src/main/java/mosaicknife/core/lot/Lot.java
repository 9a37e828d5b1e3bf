package mosaicknife.core.lot;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Species.Trait;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.check.Check;
import mosaicknife.core.cost.CostingMethod;
import mosaicknife.core.cost.LotCost;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.plan.CutPlan;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.quantity.UnitPrice;
import mosaicknife.core.safety.Fitness;
import mosaicknife.core.safety.FreezingRecord;
import mosaicknife.core.safety.Limit;
import mosaicknife.core.safety.Limits;
import mosaicknife.core.safety.RawGate;
import mosaicknife.core.safety.RawPapers;

/**
 * Fish bought together at one price on one delivery: its receipt, and what the house decided of it.
 *
 * @param id the lot number
 * @param receipt what was received
 * @param venue the venue that took it
 * @param receivedAt when it was received
 * @param receivedBy who received it
 * @param each what each fish weighs, where all were weighed by themselves; else empty
 * @param portioned what one portion is, if somebody or a dish has said it
 * @param costingMethod how the house costs it
 * @param finishedAt when the lot was closed, if it is
 * @param inspection the newest inspection, if there was one
 * @param credited what the supplier credits
 * @param extras freight, ice and box share by invoiced kilogram
 * @param papers what may open its raw gate
 * @param cold how cold it was kept
 * @param version counts changes, so that a stale page is noticed
 */
public record Lot(
    long id,
    Receipt receipt,
    Venue venue,
    Instant receivedAt,
    String receivedBy,
    List<Mass> each,
    Optional<Serving> portioned,
    CostingMethod costingMethod,
    Optional<Instant> finishedAt,
    Optional<Inspection> inspection,
    ExactMoney credited,
    UnitPrice extras,
    RawPapers papers,
    ColdChain cold,
    int version) {

  /** Refuses what is missing. */
  public Lot {
    Check.notNull(receipt, "receipt");
    each = List.copyOf(each);
    Check.that(
        each.isEmpty() || each.size() == receipt.fish(),
        "Expected a mass of each fish or of none, found ",
        each.size());
    Check.notNull(portioned, "serving");
    Check.notNull(costingMethod, "costing method");
    Check.notNull(finishedAt, "moment of closing");
    Check.notNull(inspection, "inspection");
    Check.notNull(credited, "credit");
    Check.notNull(extras, "extras");
    Check.notNull(papers, "papers");
    Check.notNull(cold, "cold chain");
  }

  /**
   * Returns the species.
   *
   * @return the species
   */
  public Species species() {
    return receipt.species();
  }

  /**
   * Returns the state on arrival.
   *
   * @return the state
   */
  public State state() {
    return receipt.state();
  }

  /**
   * Returns how many fish it is.
   *
   * @return the number, from 1
   */
  public int fish() {
    return receipt.fish();
  }

  /**
   * Returns the mass that is paid for.
   *
   * @return the mass on the invoice
   */
  public Mass invoiced() {
    return receipt.invoiced();
  }

  /**
   * Returns the mass on the own scale.
   *
   * @return the mass, if it was weighed
   */
  public Optional<Mass> own() {
    return receipt.own();
  }

  /**
   * Returns what freight, ice and boxes of the whole lot cost.
   *
   * @return the money, zero or more
   */
  public ExactMoney extrasInAll() {
    return extras.times(invoiced());
  }

  /**
   * Returns what it is paid in.
   *
   * @return the currency
   */
  public Currency currency() {
    return extras.perKilogram().currency();
  }

  /**
   * Returns the price.
   *
   * @return the price per mass; empty while it is to come
   */
  public Optional<UnitPrice> price() {
    return receipt.price();
  }

  /**
   * Returns who delivered it.
   *
   * @return the name of the supplier
   */
  public String supplier() {
    return receipt.supplier();
  }

  /**
   * Returns whether it is wild or farmed.
   *
   * @return the origin
   */
  public Origin origin() {
    return receipt.origin();
  }

  /**
   * Returns when it was landed.
   *
   * @return the day
   */
  public LocalDate landedOn() {
    return receipt.landedOn();
  }

  /**
   * Returns what was remarked at the dock.
   *
   * @return the remark, possibly empty
   */
  public String note() {
    return receipt.note();
  }

  /**
   * Returns what was asked and measured at the dock.
   *
   * @return the arrival
   */
  public Arrival arrival() {
    return receipt.arrival();
  }

  /**
   * Returns the mass that yields are counted from.
   *
   * @return the mass as purchased
   */
  public Mass purchased() {
    return receipt.purchased();
  }

  /**
   * Returns the lot as fish to be cut.
   *
   * @param norms what the house believes
   * @return the fish
   */
  public CutPlan.Fish toCut(HouseNorms norms) {
    return new CutPlan.Fish(species(), state(), fish(), purchased(), each, norms);
  }

  /**
   * Shares a part of all fish out to each: as their own masses are where those are known, else
   * alike.
   *
   * @param part the mass of the part of all fish together, from 0
   * @return one mass for each fish, together the part
   */
  public List<Mass> shared(Mass part) {
    return shared(part, FishShares.all(fish()));
  }

  /**
   * Shares a part of some fish out to each of them.
   *
   * @param part the mass of the part, from 0
   * @param fish the numbers of the fish it is of, from 1
   * @return one mass for each of them, in their order, together the part
   */
  public List<Mass> shared(Mass part, List<Integer> fish) {
    if (each.isEmpty()) {
      return part.dividedInto(fish.size());
    }
    List<Mass> own = fish.stream().map(one -> each.get(one - 1)).toList();
    Mass all = Mass.total(own);
    return part.sharedBy(own.stream().map(mass -> mass.dividedBy(all)).toList());
  }

  /**
   * Returns what the lot cost: the invoice, whatever the own scale says, less what is credited.
   *
   * @return the cost; empty while the price is to come
   */
  public Optional<LotCost> cost() {
    return price().map(price -> new LotCost(price, invoiced(), extrasInAll(), credited));
  }

  /**
   * Returns what the lot may become, if that was decided.
   *
   * @return the decision of the newest inspection
   */
  public Optional<Fitness> fitness() {
    return inspection.map(Inspection::decision);
  }

  /**
   * Returns whether the whole lot may be served raw; every part of it carries this.
   *
   * @return the gate; empty if the lot was not inspected
   */
  public Optional<RawGate> rawGate() {
    return rawGate(Optional.empty());
  }

  /**
   * Returns whether a part may be served raw: a record may be of it alone.
   *
   * @param part the slot of the part; empty for the whole lot
   * @return the gate; empty if the lot was not inspected
   */
  public Optional<RawGate> rawGate(Optional<String> part) {
    boolean measured = arrival().temperature().isPresent();
    return fitness()
        .map(fit -> hold().isPresent() || isNeverRaw() ? Fitness.REFUSE : fit)
        .map(fit -> RawGate.of(fit, measured, papers, part));
  }

  /**
   * Returns what a freezing record of the lot has to fit with.
   *
   * @param zone where the house is
   * @return its receipt, its landing, how warm it was when, and the records that stand
   */
  public FreezingRecord.Known known(ZoneId zone) {
    return new FreezingRecord.Known(
        receivedAt,
        landedOn(),
        arrival().temperature(),
        cold.warm().stream().map(ColdChain.Warm::at).toList(),
        papers.records(),
        zone);
  }

  /** Blood that harms until it is cooked is no matter of freezing. */
  private boolean isNeverRaw() {
    return species().traits().contains(Trait.TOXIC_BLOOD);
  }

  /**
   * Returns whether its cuts may be shared out to dishes.
   *
   * @return false while it is held, and of one that is for the pot only or was refused
   */
  public boolean mayBeServed() {
    return hold().isEmpty() && fitness().filter(fit -> fit.isStricterThan(Fitness.COOK)).isEmpty();
  }

  /** Why a lot is held. */
  public enum Hold {
    /** It came warmer than the house allows: the temperature, the limit. */
    CAME_WARM,
    /** It stood warm longer than the house allows: the minutes, the limit. */
    STOOD_WARM
  }

  /**
   * Returns why the lot is held until somebody looks at it and decides: it came too warm, or it is
   * a histamine fish that stood warm too long in all.
   *
   * @return the reason; empty if it is not held, or an inspection after it decided
   */
  public Optional<Finding> hold() {
    Limits limits = cold.limits();
    Temperature most =
        limits.temperature(isHistamineWatched() ? Limit.HISTAMINE_TEMPERATURE : Limit.WARM);
    Optional<Temperature> came = arrival().temperature().filter(t -> t.compareTo(most) > 0);
    if (came.isPresent() && inspection.isEmpty()) {
      return Optional.of(Finding.of(Hold.CAME_WARM, came.get(), most));
    }
    int allowed = limits.value(Limit.HISTAMINE_TIME);
    boolean decided =
        inspection
            .filter(seen -> cold.warm().stream().noneMatch(warm -> warm.at().isAfter(seen.at())))
            .isPresent();
    return isHistamineWatched() && cold.minutes() > allowed && !decided
        ? Optional.of(Finding.of(Hold.STOOD_WARM, cold.minutes(), allowed))
        : Optional.empty();
  }

  /**
   * Returns when the fish is to be used by: as long as the signs and the temperature at the
   * inspection gave it.
   *
   * @return the moment; empty if nothing is known of it
   */
  public Optional<Instant> useBy() {
    return inspection.flatMap(
        seen ->
            seen.daysLeft().isPresent()
                ? Optional.of(
                    seen.at().plusSeconds((long) (seen.daysLeft().getAsDouble() * 86_400)))
                : Optional.empty());
  }

  /**
   * Returns the day by which a part is to be used: as long as the signs and the temperature at the
   * inspection gave the fish, and no longer than the house lets scrapings lie.
   *
   * @param part the part
   * @return the moment; empty if nothing is known of it
   */
  public Optional<Instant> useBy(LotPart part) {
    Optional<Instant> fish = useBy();
    if (!part.kind().is(PartKind.Trait.SCRAPED)) {
      return fish;
    }
    Optional<Instant> scraped =
        part.taken().stream()
            .map(Weighing::at)
            .min(Comparator.naturalOrder())
            .map(at -> at.plus(Duration.ofHours(cold.limits().value(Limit.SCRAPINGS))));
    return Stream.concat(fish.stream(), scraped.stream()).min(Comparator.naturalOrder());
  }

  /**
   * Returns whether the time above the limit is watched because histamine may form.
   *
   * @return true for histamine fish
   */
  public boolean isHistamineWatched() {
    return species().traits().contains(Trait.HISTAMINE);
  }

  /**
   * Returns whether the lot is closed.
   *
   * @return true after it was finished
   */
  public boolean isFinished() {
    return finishedAt.isPresent();
  }
}
