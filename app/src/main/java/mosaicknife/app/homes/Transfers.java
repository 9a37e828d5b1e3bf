package mosaicknife.app.homes;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.larder.ItemKeeper;
import mosaicknife.app.larder.LarderBook;
import mosaicknife.app.larder.LarderKeeper;
import mosaicknife.app.larder.LarderKeeper.Input;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.larder.Item;
import mosaicknife.core.larder.Shelved;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.quantity.Mass;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Brings what lies at one venue to where something is made of it: it goes under a label, is sent,
 * and arrives when somebody says so there, short or not.
 */
@Service
@Transactional
public class Transfers {

  private static final int DAYS_ON_THE_WAY = 1;

  private final MakingRepository makings;
  private final MakingWayRepository ways;
  private final MakingBook open;
  private final LotSheets sheets;
  private final LarderKeeper larder;
  private final ItemKeeper items;
  private final LarderBook shelves;
  private final HouseSettings houses;
  private final CurrentPerson current;
  private final Clock clock;

  Transfers(
      MakingRepository makings,
      MakingWayRepository ways,
      MakingBook open,
      LotSheets sheets,
      LarderKeeper larder,
      ItemKeeper items,
      LarderBook shelves,
      HouseSettings houses,
      CurrentPerson current,
      Clock clock) {
    this.makings = makings;
    this.ways = ways;
    this.open = open;
    this.sheets = sheets;
    this.larder = larder;
    this.items = items;
    this.shelves = shelves;
    this.houses = houses;
    this.current = current;
    this.clock = clock;
  }

  /**
   * Something that is not where it is needed.
   *
   * @param number which of the things the batch is made of, from 0
   * @param input what
   * @param from the number of the venue where it lies
   * @param sent whether it is on its way
   */
  public record Leg(int number, Input input, long from, boolean sent) {}

  /**
   * Returns what of something that is to be made lies elsewhere.
   *
   * @param making what is to be made
   * @return what is to be sent or is on its way; a part that is not cut yet is not in it
   */
  @Transactional(readOnly = true)
  public List<Leg> legs(ToMake making) {
    List<Leg> legs = new ArrayList<>();
    for (int i = 0; i < making.from().size(); i++) {
      int number = i;
      Input input = making.from().get(i);
      if (input.label().isPresent()) {
        Item item = shelves.get(input.label().get());
        if (!item.isGone() && item.spot().venue() != making.venue()) {
          legs.add(new Leg(number, input, item.spot().venue(), item.underWay().isPresent()));
        }
      } else {
        LotSheet sheet = sheets.get(input.of().lot());
        long at = sheet.lot().venue().id();
        left(sheet, input)
            .filter(mass -> at != making.venue())
            .ifPresent(mass -> legs.add(new Leg(number, input, at, false)));
      }
    }
    return legs;
  }

  private static Optional<Mass> left(LotSheet sheet, Input input) {
    return sheet
        .find(input.of().slot())
        .filter(LotPart::isStarted)
        .map(part -> part.mass().minus(part.part().shelf().in()))
        .filter(Mass::isPositive)
        .map(left -> left.compareTo(input.mass()) < 0 ? left : input.mass());
  }

  /**
   * Sends something to where it is needed.
   *
   * @param id the number of the making
   * @param number which of the things it is made of, from 0
   * @return the code of its label
   * @throws Refusal if it is on its way already, or not there
   */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE')")
  public String send(long id, int number) {
    makings.lockAll();
    ToMake making = making(id);
    return send(
        making,
        legs(making).stream()
            .filter(one -> one.number() == number && !one.sent())
            .findFirst()
            .orElseThrow(() -> Refusal.ofStale("homes.problem.sent-already")));
  }

  /**
   * Sends everything of a batch that lies elsewhere, in one go.
   *
   * @param id the number of the making
   * @return the codes of the labels
   * @throws Refusal if nothing of it is to be sent
   */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE')")
  public List<String> sendAll(long id) {
    makings.lockAll();
    ToMake making = making(id);
    List<String> codes =
        legs(making).stream().filter(one -> !one.sent()).map(leg -> send(making, leg)).toList();
    if (codes.isEmpty()) {
      throw Refusal.ofStale("homes.problem.sent-already");
    }
    return codes;
  }

  private ToMake making(long id) {
    return open.toMake().stream()
        .filter(one -> one.id() == id)
        .findFirst()
        .orElseThrow(() -> Refusal.ofMissing("homes.problem.no-such-making"));
  }

  private String send(ToMake making, Leg leg) {
    UUID client = own("way:" + making.id() + ":" + leg.number());
    String code = leg.input().label().orElseGet(() -> label(making, leg, client));
    items.send(own("sent:" + client), code, making.venue());
    return code;
  }

  private String label(ToMake making, Leg leg, UUID client) {
    Input input = leg.input();
    Mass some = left(sheets.get(input.of().lot()), input).orElseThrow();
    String code =
        larder.put(
            client,
            input.of().lot(),
            input.of().slot(),
            Optional.of(some),
            Optional.of(houses.today().plusDays(DAYS_ON_THE_WAY)),
            new Shelved.Spot(
                leg.from(), houses.getVenue(making.venue()).name(), current.get().id()));
    ways.saveAndFlush(
        new MakingWayEntity(
            making.id(),
            input.of().lot(),
            input.of().slot(),
            larder.numberOf(code),
            current.get().id(),
            clock.instant()));
    return code;
  }

  private static UUID own(String text) {
    return UUID.nameUUIDFromBytes(text.getBytes(StandardCharsets.UTF_8));
  }
}
