package mosaicknife.app.pot;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.RecipeText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.core.pot.StockMethod;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.Allergen;
import mosaicknife.core.use.RecipeLine;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What other stations have left over, offered to the pot for a day. */
@Service
@Transactional
class Scraps {

  private static final Duration A_DAY = Duration.ofHours(24);

  private final ScrapRepository scraps;
  private final ScrapEndRepository ends;
  private final HouseSettings houses;
  private final CurrentPerson current;
  private final Clock clock;

  Scraps(
      ScrapRepository scraps,
      ScrapEndRepository ends,
      HouseSettings houses,
      CurrentPerson current,
      Clock clock) {
    this.scraps = scraps;
    this.ends = ends;
    this.houses = houses;
    this.current = current;
    this.clock = clock;
  }

  /** Something that is left over. */
  record Scrap(long id, String venue, String name, Mass mass, Set<Allergen> allergens) {}

  @Transactional(readOnly = true)
  public List<Scrap> offered() {
    return scraps.findOffered(clock.instant().minus(A_DAY)).stream()
        .map(
            row ->
                new Scrap(
                    row.id(),
                    houses.venueNames().getOrDefault(row.venueId(), "?"),
                    row.name(),
                    Mass.ofMilligrams(row.massMilligrams()),
                    Allergen.read(row.allergens())))
        .toList();
  }

  /** Offers something; what guests must be told of it is said at once. */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.at(#venue)")
  @SentTwice
  public void offer(UUID clientId, long venue, String name, Mass mass, Set<Allergen> allergens) {
    houses.getVenue(venue);
    String called = RecipeText.name(name, "name");
    if (!mass.isPositive()) {
      throw Refusal.ofField("weight", "larder.problem.nothing");
    }
    if (!scraps.existsByClientId(clientId)) {
      scraps.saveAndFlush(
          new ScrapEntity(
              clientId,
              venue,
              called,
              mass.milligrams(),
              Allergen.write(allergens),
              current.get().id(),
              clock.instant()));
    }
  }

  /** Throws something away that nobody wanted. */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.of('SCRAP', #id)")
  public void drop(long id) {
    end(id, null);
  }

  /** Writes down that something went into a batch; two pots cannot have it. */
  void used(Set<Long> ids, long batch) {
    ids.forEach(id -> end(id, batch));
  }

  private void end(long id, Long batch) {
    if (offered().stream().noneMatch(one -> one.id() == id)) {
      throw Refusal.ofStale("pot.problem.scrap-gone");
    }
    try {
      ends.saveAndFlush(new ScrapEndEntity(id, batch, current.get().id(), clock.instant()));
    } catch (DataIntegrityViolationException second) {
      throw Refusal.ofStale("pot.problem.scrap-gone");
    }
  }

  /** A method with what other stations give to so many bones: it costs nothing. */
  StockMethod into(StockMethod method, Set<Long> ids, Mass bones) {
    if (ids.isEmpty() || !bones.isPositive()) {
      return method;
    }
    List<RecipeLine> lines = new ArrayList<>();
    List<Scrap> offered = offered();
    for (long id : ids) {
      Scrap scrap =
          offered.stream()
              .filter(one -> one.id() == id)
              .findFirst()
              .orElseThrow(() -> Refusal.ofStale("pot.problem.scrap-gone"));
      Fraction share = scrap.mass().dividedBy(bones);
      if (!RecipeLine.isShare(share)) {
        throw Refusal.ofField("scraps", "pot.problem.too-many-scraps", scrap.name());
      }
      lines.add(new RecipeLine(scrap.name(), share, BigDecimal.ZERO, scrap.allergens()));
    }
    return method.plus(lines);
  }
}
