package mosaicknife.app.kitchen;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.booklet.HouseBook;
import mosaicknife.app.booklet.Section;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.kitchen.Marinade;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.quantity.Mass;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what lies in a marinade. */
@Service
@Transactional
public class Soaks {

  /** Marinades and cures, as lines. */
  static final Section<String> MARINADES = new Section<>("MARINADE", String.class);

  private static final BigDecimal LEAST = BigDecimal.valueOf(2);
  private static final BigDecimal MOST = BigDecimal.valueOf(200);

  private final SoakRepository soaks;
  private final SoakEndRepository ends;
  private final LotRegister lots;
  private final HouseBook house;
  private final CurrentPerson current;
  private final Clock clock;

  Soaks(
      SoakRepository soaks,
      SoakEndRepository ends,
      LotRegister lots,
      HouseBook house,
      CurrentPerson current,
      Clock clock) {
    this.soaks = soaks;
    this.ends = ends;
    this.lots = lots;
    this.house = house;
    this.current = current;
    this.clock = clock;
  }

  /**
   * Some fish that goes into a marinade.
   *
   * @param marinade the code of the marinade
   * @param lot the number of the lot
   * @param what what of it, in words
   * @param millimetres its thickness at the thickest point
   * @param measured whether somebody measured that
   * @param mass how much of it
   * @param vessel what it lies in
   */
  public record Put(
      String marinade,
      long lot,
      String what,
      BigDecimal millimetres,
      boolean measured,
      Mass mass,
      Marinade.Vessel vessel) {}

  /**
   * Some fish that lies in a marinade.
   *
   * @param id its number
   * @param marinade the marinade
   * @param lot the lot
   * @param what what of it
   * @param millimetres its thickness
   * @param measured whether somebody measured that
   * @param mass how much of it
   * @param vessel what it lies in
   * @param begun when it went in
   */
  public record Soak(
      long id,
      Marinade marinade,
      Lot lot,
      String what,
      BigDecimal millimetres,
      boolean measured,
      Mass mass,
      Marinade.Vessel vessel,
      Instant begun) {

    /**
     * Returns its times.
     *
     * @return ready, best and spoiled, in minutes since it went in
     */
    public Marinade.Window window() {
      return marinade.window(millimetres.doubleValue(), lot.species().eating());
    }

    /**
     * Says how it stands.
     *
     * @param now the moment
     * @return the standing
     */
    public Marinade.Standing standing(Instant now) {
      return Marinade.standing(window(), Duration.between(begun, now).toMinutes());
    }
  }

  /**
   * Returns what lies in a marinade now.
   *
   * @return the soaks, the one that went in first first
   */
  @Transactional(readOnly = true)
  public List<Soak> open() {
    List<SoakEntity> found = soaks.findOpen();
    Map<Long, Lot> of =
        lots.all(found.stream().map(SoakEntity::lotId).distinct().toList()).stream()
            .collect(Collectors.toMap(Lot::id, Function.identity()));
    return found.stream()
        .map(
            one ->
                new Soak(
                    one.id(),
                    lying(one.marinade()),
                    of.get(one.lotId()),
                    one.what(),
                    one.millimetres(),
                    one.isMeasured(),
                    Mass.ofMilligrams(one.massMilligrams()),
                    Marinade.Vessel.valueOf(one.vessel()),
                    one.begunAt()))
        .toList();
  }

  /** What it lies in, as it was when it went in; those of the first days have only its code. */
  private static Marinade lying(String kept) {
    return kept.contains(";") ? Marinade.read(kept) : Marinade.shipped().get(kept);
  }

  /**
   * Says how everything in a marinade stands.
   *
   * @param now the moment
   * @return each soak with its standing, the one that went in first first
   */
  @Transactional(readOnly = true)
  public Map<Soak, Marinade.Standing> standing(Instant now) {
    Map<Soak, Marinade.Standing> all = new LinkedHashMap<>();
    open().forEach(one -> all.put(one, one.standing(now)));
    return all;
  }

  /**
   * Returns about how thick a fillet of a lot is.
   *
   * @param lot the lot
   * @return millimetres, an estimate from the body plan at the mean mass of its fish
   */
  public static BigDecimal thickness(Lot lot) {
    Species species = lot.species();
    Mass fish = Mass.ofMilligrams(lot.purchased().milligrams() / lot.fish());
    return BigDecimal.valueOf(species.filletMillimetres(fish))
        .setScale(0, RoundingMode.HALF_EVEN)
        .max(LEAST)
        .min(MOST);
  }

  /**
   * Writes down that fish went in.
   *
   * @param clientId the identifier the sender made
   * @param put the fish
   * @throws Refusal if there is no such marinade
   */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.of('LOT', #put.lot())")
  @SentTwice
  public void put(UUID clientId, Put put) {
    Marinade marinade = marinade(put.marinade());
    lots.get(put.lot());
    if (!soaks.existsByClientId(clientId)) {
      soaks.saveAndFlush(
          new SoakEntity(clientId, put, marinade.write(), current.get().id(), clock.instant()));
    }
  }

  /**
   * Returns the marinades of the house.
   *
   * @return those in use, by code
   */
  @Transactional(readOnly = true)
  public Map<String, Marinade> marinades() {
    return house.inUse(MARINADES, Marinade.shipped(), Marinade::read);
  }

  /**
   * Returns a marinade.
   *
   * @param code its code
   * @return the marinade
   * @throws Refusal if there is none of that code
   */
  @Transactional(readOnly = true)
  public Marinade marinade(String code) {
    return Optional.ofNullable(marinades().get(code))
        .orElseThrow(() -> Refusal.ofField("marinade", "shared.problem.not-chosen"));
  }

  /**
   * Writes down that it came out.
   *
   * @param id its number
   * @throws Refusal if somebody took it out already
   */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.of('SOAK', #id)")
  public void out(long id) {
    if (ends.existsById(id)) {
      throw Refusal.ofStale("kitchen.problem.out-already");
    }
    ends.saveAndFlush(new SoakEndEntity(id, current.get().id(), clock.instant()));
  }
}
