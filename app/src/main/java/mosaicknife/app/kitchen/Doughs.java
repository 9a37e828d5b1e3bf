package mosaicknife.app.kitchen;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.core.pot.Thickener;
import mosaicknife.core.quantity.Mass;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Kneaded butter and roux in packs, a day's worth each, with their date. */
@Service
@Transactional
class Doughs {

  private static final int LONGEST_PLACE = 60;

  private final DoughRepository doughs;
  private final DoughTakenRepository taken;
  private final HouseSettings houses;
  private final CurrentPerson current;
  private final Clock clock;

  Doughs(
      DoughRepository doughs,
      DoughTakenRepository taken,
      HouseSettings houses,
      CurrentPerson current,
      Clock clock) {
    this.doughs = doughs;
    this.taken = taken;
    this.houses = houses;
    this.current = current;
    this.clock = clock;
  }

  /** Packs that are put away. */
  record Put(long venue, Thickener thickener, int packs, Mass pack, boolean frozen, String place) {}

  /** Packs that lie there. */
  record Left(
      long id,
      String venue,
      Thickener thickener,
      int packs,
      Mass pack,
      boolean frozen,
      String place,
      LocalDate useBy) {}

  /** What lies there, the first to lapse first. */
  @Transactional(readOnly = true)
  public List<Left> left() {
    List<DoughEntity> all = doughs.findLeft();
    Map<Long, Integer> gone =
        taken.findAllByDoughIdIn(all.stream().map(DoughEntity::id).toList()).stream()
            .collect(
                Collectors.groupingBy(
                    DoughTakenEntity::doughId, Collectors.summingInt(DoughTakenEntity::packs)));
    Map<Long, String> venues = houses.venueNames();
    return all.stream()
        .map(
            one ->
                new Left(
                    one.id(),
                    venues.getOrDefault(one.venueId(), "?"),
                    one.thickener(),
                    one.packs() - gone.getOrDefault(one.id(), 0),
                    Mass.ofMilligrams(one.packMilligrams()),
                    one.isFrozen(),
                    one.place(),
                    one.useBy()))
        .toList();
  }

  /** Puts packs away; the day they keep until is worked out from how they lie. */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.at(#put.venue())")
  @SentTwice
  public void put(UUID clientId, Put put) {
    houses.getVenue(put.venue());
    PlainText.needed(put.place(), LONGEST_PLACE, "place", FieldName.PLACE);
    if (!doughs.existsByClientId(clientId)) {
      doughs.saveAndFlush(
          new DoughEntity(
              clientId,
              put,
              houses.today().plusDays(put.thickener().keeps(put.frozen())),
              current.get().id(),
              clock.instant()));
    }
  }

  /** Takes packs; no more than there are. */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.of('DOUGH', #id)")
  @SentTwice
  public void take(UUID clientId, long id, int packs) {
    doughs.lock(id);
    if (taken.existsByClientId(clientId)) {
      return;
    }
    Left left =
        left().stream()
            .filter(one -> one.id() == id)
            .findFirst()
            .orElseThrow(() -> Refusal.ofStale("kitchen.problem.no-packs"));
    if (packs > left.packs()) {
      throw Refusal.ofField("packs", "kitchen.problem.so-few-packs", left.packs());
    }
    taken.saveAndFlush(
        new DoughTakenEntity(clientId, id, packs, current.get().id(), clock.instant()));
  }
}
