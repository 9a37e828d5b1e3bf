package mosaicknife.app.buy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mosaicknife.app.account.Here;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.house.Named;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.buying.Demand;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the dishes and what is wanted of them. */
@Service
@Transactional
public class DishEditor {

  private final DishRepository dishes;
  private final CatalogueEditor catalogue;
  private final HouseSettings houses;
  private final Here here;
  private final ApplicationEventPublisher events;

  DishEditor(
      DishRepository dishes,
      CatalogueEditor catalogue,
      HouseSettings houses,
      Here here,
      ApplicationEventPublisher events) {
    this.events = events;
    this.here = here;
    this.dishes = dishes;
    this.catalogue = catalogue;
    this.houses = houses;
  }

  /**
   * Returns the dishes that are served, by name.
   *
   * @return the dishes
   */
  @Transactional(readOnly = true)
  public List<Dish> all() {
    Map<Long, Named> venues =
        houses.venues().stream().collect(Collectors.toMap(Named::id, venue -> venue));
    return dishes.findAllByActiveTrueOrderByName().stream()
        .map(dish -> dish.toDish(venues.get(dish.venueId()), houses.house().formats().currency()))
        .toList();
  }

  /**
   * Finds a dish that is served by its name, as people ask for it.
   *
   * @param name the name, whatever the case
   * @return the first dish of that name, or empty
   */
  @Transactional(readOnly = true)
  public Optional<Dish> find(String name) {
    return all().stream().filter(dish -> dish.name().equalsIgnoreCase(name.strip())).findFirst();
  }

  /**
   * Returns a dish.
   *
   * @param id its number
   * @return the dish
   * @throws Refusal if there is none
   */
  @Transactional(readOnly = true)
  public Dish get(long id) {
    DishEntity dish = find(id);
    return dish.toDish(houses.getVenue(dish.venueId()), houses.house().formats().currency());
  }

  private DishEntity find(long id) {
    return dishes
        .findById(id)
        .orElseThrow(() -> Refusal.ofMissing("buy.problem.there-is-no-such-dish"));
  }

  /**
   * Stores a new dish.
   *
   * @param form the dish as typed
   * @return the dish
   * @throws Refusal if something is missing or not understood, or the venue has a dish of that name
   */
  @PreAuthorize("hasAuthority('BUY')")
  public Dish add(DishForm form) {
    DishForm.Understood dish = understood(form);
    if (dishes.existsByNameIgnoreCaseAndVenueIdAndActiveTrue(dish.name(), dish.venue())) {
      throw Refusal.ofField("name", "buy.problem.there-is-a-dish-of");
    }
    DishEntity stored = dishes.saveAndFlush(DishEntity.of(dish));
    changed(stored);
    return get(stored.id());
  }

  private DishForm.Understood understood(DishForm form) {
    DishForm.Understood dish = form.understood(catalogue.now(), houses.house().formats());
    houses.getVenue(dish.venue());
    here.at(dish.venue());
    return dish;
  }

  /** Changes a dish. */
  @PreAuthorize("hasAuthority('BUY') and @here.of('DISH', #id)")
  void change(long id, DishForm form) {
    DishEntity dish = fresh(id, form.version());
    DishForm.Understood understood = understood(form);
    if (dishes.findAllByActiveTrueOrderByName().stream()
        .anyMatch(
            other ->
                other.id() != id
                    && other.venueId() == understood.venue()
                    && other.name().equalsIgnoreCase(understood.name()))) {
      throw Refusal.ofField("name", "buy.problem.there-is-a-dish-of");
    }
    dish.change(understood);
    dishes.saveAndFlush(dish);
    changed(dish);
  }

  private void changed(DishEntity dish) {
    events.publishEvent(new DishChanged(dish.id(), dish.name(), dish.isRaw(), dish.isActive()));
  }

  /**
   * Says how much is wanted of a dish in a profile.
   *
   * @param id the number of the dish
   * @param profile when the guests come
   * @param demand how much
   * @throws Refusal if there is no such dish
   */
  @PreAuthorize("hasAuthority('BUY') and @here.of('DISH', #id)")
  public void want(long id, ProfileName profile, Demand demand) {
    DishEntity dish = find(id);
    dish.want(profile, demand);
    dishes.saveAndFlush(dish);
  }

  /** Takes a dish off; orders that name it stay. */
  @PreAuthorize("hasAuthority('BUY') and @here.of('DISH', #id)")
  void switchOff(long id, int version) {
    DishEntity dish = fresh(id, version);
    dish.switchOff();
    changed(dish);
  }

  private DishEntity fresh(long id, int version) {
    DishEntity dish = find(id);
    if (dish.version() != version || !dish.isActive()) {
      throw Refusal.ofStale("buy.problem.somebody-else-changed-this-dish");
    }
    return dish;
  }
}
