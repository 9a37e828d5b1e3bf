package mosaicknife.app.larder;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.lot.RawGateKeeper;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.heat.Chilled;
import mosaicknife.core.larder.Entry;
import mosaicknife.core.larder.Item;
import mosaicknife.core.larder.Keeping;
import mosaicknife.core.larder.LarderRules;
import mosaicknife.core.larder.Shelved;
import mosaicknife.core.larder.Trace;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.safety.FoodState;
import mosaicknife.core.safety.FreezingRecord;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what happens to what lies on a shelf. What is sent twice happens once. */
@Service
@Transactional
@PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE')")
public class ItemKeeper {

  private static final String HANDS = "hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and ";
  private static final int LONGEST_REASON = 160;

  private final LarderBook book;
  private final LarderRows rows;
  private final KeepingDays days;
  private final LotSheets sheets;
  private final RawGateKeeper gates;
  private final HouseSettings houses;
  private final Clock clock;

  ItemKeeper(
      LarderBook book,
      LarderRows rows,
      KeepingDays days,
      LotSheets sheets,
      RawGateKeeper gates,
      HouseSettings houses,
      Clock clock) {
    this.book = book;
    this.rows = rows;
    this.days = days;
    this.sheets = sheets;
    this.gates = gates;
    this.houses = houses;
    this.clock = clock;
  }

  /**
   * Takes some of an item out.
   *
   * @param clientId the identifier the sender made
   * @param code the code of the item
   * @param mass how much; empty for all
   * @param out what for, not to make something
   * @param reason why, for waste
   * @throws Refusal if there is less, or it may not be used any more
   */
  @PreAuthorize(HANDS + "@here.of('ITEM', #code)")
  @SentTwice
  public void take(UUID clientId, String code, Optional<Mass> mass, Entry.Out out, String reason) {
    change(
        clientId,
        code,
        kept -> {
          String why = PlainText.line(reason, LONGEST_REASON, "reason", FieldName.REASON);
          Mass some = mass.orElse(kept.item().mass());
          Refusal.ifFound(LarderRules.taking(kept.item(), some, out, why, houses.today()));
          return kept.item().taking(some, out, why, clock.instant());
        });
  }

  /**
   * Takes units of an item out.
   *
   * @param clientId the identifier the sender made
   * @param code the code of the item
   * @param units how many, from 1
   * @param out what for, not to make something
   * @param reason why, for waste
   * @throws Refusal if there are fewer, or it may not be used any more
   */
  @PreAuthorize(HANDS + "@here.of('ITEM', #code)")
  @SentTwice
  public void takeUnits(UUID clientId, String code, int units, Entry.Out out, String reason) {
    change(
        clientId,
        code,
        kept -> {
          String why = PlainText.line(reason, LONGEST_REASON, "reason", FieldName.REASON);
          Refusal.ifFound(LarderRules.units(kept.item(), units));
          Mass some = kept.item().massOf(units);
          Refusal.ifFound(LarderRules.taking(kept.item(), some, out, why, houses.today()));
          return kept.item().taking(some, out, why, clock.instant());
        });
  }

  /**
   * Weighs an item again: what is missing dried off, and its money stays.
   *
   * @param clientId the identifier the sender made
   * @param code the code of the item
   * @param mass what it weighs
   * @param trim how much was cut off, from 0
   * @param note what was seen, possibly empty
   * @throws Refusal if it got heavier
   */
  @PreAuthorize(HANDS + "@here.of('ITEM', #code)")
  @SentTwice
  public void weigh(UUID clientId, String code, Mass mass, Mass trim, String note) {
    change(
        clientId,
        code,
        kept -> {
          Refusal.ifFound(LarderRules.weighing(kept.item(), mass.plus(trim)));
          return new Entry.Weighed(
              mass,
              trim,
              PlainText.line(note, LONGEST_REASON, "note", FieldName.NOTE),
              clock.instant());
        });
  }

  /**
   * Counts an item in a stock-take.
   *
   * @param clientId the identifier the sender made
   * @param code the code of the item
   * @param mass what is there; empty for none of it
   * @param missing whether what is not there is missing; else it dried off
   * @throws Refusal if it got heavier, or is gone
   */
  @PreAuthorize(HANDS + "@here.of('ITEM', #code)")
  @SentTwice
  public void count(UUID clientId, String code, Optional<Mass> mass, boolean missing) {
    if (rows.isKnown(clientId)) {
      return;
    }
    Kept kept = book.locked(code);
    Mass there = mass.orElse(Mass.ZERO);
    Refusal.ifFound(LarderRules.weighing(kept.item(), there));
    Mass lost = kept.item().mass().minus(there);
    Instant now = clock.instant();
    if (lost.isPositive() && (missing || mass.isEmpty())) {
      Entry.Taken gone = kept.item().taking(lost, Entry.Out.MISSING, Item.STOCK_TAKE, now);
      rows.write(mass.isEmpty() ? clientId : UUID.randomUUID(), kept, gone, null);
    }
    if (mass.isPresent()) {
      rows.write(clientId, kept, new Entry.Weighed(there, Mass.ZERO, Item.STOCK_TAKE, now), null);
    }
  }

  /**
   * Moves an item within its venue, or receives one that was sent here.
   *
   * @param clientId the identifier the sender made
   * @param code the code of the item
   * @param spot where it lies now
   * @param weighed what arrived, if it was weighed: what is missing is written down as such
   * @throws Refusal if it was sent elsewhere
   */
  @PreAuthorize(HANDS + "@here.of('ITEM', #code)")
  @SentTwice
  public void move(UUID clientId, String code, Shelved.Spot spot, Optional<Mass> weighed) {
    if (rows.isKnown(clientId)) {
      return;
    }
    Kept kept = book.locked(code);
    houses.getVenue(spot.venue());
    Refusal.ifFound(LarderRules.moving(kept.item(), spot));
    Instant now = clock.instant();
    weighed.ifPresent(
        mass -> {
          Refusal.ifFound(LarderRules.weighing(kept.item(), mass));
          Mass missing = kept.item().mass().minus(mass);
          if (missing.isPositive()) {
            String why = houses.getVenue(spot.venue()).name();
            rows.write(
                UUID.randomUUID(),
                kept,
                kept.item().taking(missing, Entry.Out.MISSING, why, now),
                null);
          }
        });
    rows.write(clientId, kept, new Entry.Moved(spot, now), null);
  }

  /**
   * Sends an item to another venue.
   *
   * @param clientId the identifier the sender made
   * @param code the code of the item
   * @param venue the number of the venue
   * @throws Refusal if it is there or under way already
   */
  @PreAuthorize(HANDS + "@here.of('ITEM', #code)")
  @SentTwice
  public void send(UUID clientId, String code, long venue) {
    change(
        clientId,
        code,
        kept -> {
          houses.getVenue(venue);
          Refusal.ifFound(LarderRules.sending(kept.item(), venue));
          return new Entry.Sent(venue, clock.instant());
        });
  }

  /**
   * Writes down by which reading something on a shelf is cold.
   *
   * @param code its code
   * @param cold the reading
   */
  @PreAuthorize(HANDS + "@here.of('ITEM', #code)")
  public void chilled(String code, Chilled cold) {
    rows.chilled(book.kept(code).id(), cold);
  }

  /**
   * Freezes, thaws or cooks an item; how long it keeps from then on the limits of the house say.
   *
   * @param clientId the identifier the sender made
   * @param code the code of the item
   * @param state what it becomes
   * @param cold by which reading it is cold, of something cooked
   * @throws Refusal if that cannot be, such as freezing again, or no reading says it is cold
   */
  @PreAuthorize(HANDS + "@here.of('ITEM', #code)")
  @SentTwice
  public void turn(UUID clientId, String code, FoodState state, Optional<Chilled> cold) {
    change(
        clientId,
        code,
        kept -> {
          LocalDate today = houses.today();
          Refusal.ifFound(LarderRules.turning(kept.item(), state, today));
          if (state == FoodState.COOKED) {
            days.checkCold(cold);
            chilled(code, cold.orElseThrow());
          }
          Keeping keeping =
              days.of(Optional.of(state), false, List.of(Keeping.Of.item(kept.item())));
          return new Entry.Turned(state, keeping.latest(), keeping.ever(), clock.instant());
        });
  }

  /**
   * Moves the last day of an item.
   *
   * @param clientId the identifier the sender made
   * @param code the code of the item
   * @param until its new last day
   * @param reason why
   * @throws Refusal if the day is one of safety, or there is no reason
   */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE') and @here.of('ITEM', #code)")
  @SentTwice
  public void date(UUID clientId, String code, LocalDate until, String reason) {
    change(
        clientId,
        code,
        kept -> {
          String why = PlainText.line(reason, LONGEST_REASON, "reason", FieldName.REASON);
          Refusal.ifFound(LarderRules.dating(kept.item(), until, why, houses.today()));
          return new Entry.Dated(until, why, clock.instant());
        });
  }

  /**
   * Writes down how an item was frozen; it opens the raw gate of its part, if the rules of the
   * house say so.
   *
   * @param clientId the identifier the sender made
   * @param code the code of the item
   * @param core the temperature of the core that was held
   * @param hours how long
   * @param thickness how thick it was, if it was measured
   * @throws Refusal if the item is not frozen, or only some of its part
   */
  @PreAuthorize("hasAuthority('RECEIVE') and @here.of('ITEM', #code)")
  @SentTwice
  public void froze(
      UUID clientId, String code, Temperature core, int hours, Optional<Length> thickness) {
    Item item = book.locked(code).item();
    Trace.Source source = item.shelved().trace().grams().keySet().iterator().next();
    LotPart part = KeepingDays.part(sheets.get(source.lot()), source.slot());
    Refusal.ifFound(LarderRules.recording(item, part.mass()));
    Instant now = clock.instant();
    Lot lot = sheets.get(source.lot()).lot();
    gates.froze(
        lot,
        clientId,
        new RawGateKeeper.Frozen(
            Optional.of(source.slot()),
            FreezingRecord.Froze.HOUSE,
            Optional.of(now.minus(Duration.ofHours(hours))),
            Optional.of(now),
            core,
            core,
            thickness,
            "",
            item.spot().place(),
            "",
            Optional.empty()));
  }

  /** What happens to an item. */
  private interface Change {
    Entry to(Kept kept);
  }

  private void change(UUID clientId, String code, Change change) {
    Kept kept = book.locked(code);
    if (!rows.isKnown(clientId)) {
      rows.write(clientId, kept, change.to(kept), null);
    }
  }
}
