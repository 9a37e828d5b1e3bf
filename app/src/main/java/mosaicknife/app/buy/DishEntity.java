package mosaicknife.app.buy;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.MapKeyColumn;
import jakarta.persistence.MapKeyEnumerated;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Currency;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mosaicknife.app.house.Named;
import mosaicknife.app.shared.StoredServing;
import mosaicknife.core.anatomy.Specification;
import mosaicknife.core.buying.Demand;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.safety.Allergen;
import org.hibernate.annotations.BatchSize;

@Entity
@Table(name = "dish")
class DishEntity {

  private static final int BATCH = 50;

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private String name;

  @Column(name = "venue_id")
  private long venueId;

  @Embedded private StoredServing serving;

  @Enumerated(EnumType.STRING)
  private Specification specification;

  private BigDecimal price;
  private BigDecimal garnish;

  @Column(name = "cost_limit")
  private BigDecimal costLimit;

  private boolean raw;
  private boolean active = true;

  /** The names of the allergens, with commas between them. */
  private String allergens = "";

  @ElementCollection(fetch = FetchType.EAGER)
  @CollectionTable(name = "dish_fish", joinColumns = @JoinColumn(name = "dish_id"))
  @BatchSize(size = BATCH)
  private Set<DishFish> fish = new HashSet<>();

  @ElementCollection(fetch = FetchType.EAGER)
  @CollectionTable(name = "demand", joinColumns = @JoinColumn(name = "dish_id"))
  @MapKeyColumn(name = "profile")
  @MapKeyEnumerated(EnumType.STRING)
  @BatchSize(size = BATCH)
  private Map<ProfileName, DemandRow> demand = new HashMap<>();

  @Version private int version;

  protected DishEntity() {}

  static DishEntity of(DishForm.Understood dish) {
    DishEntity entity = new DishEntity();
    entity.change(dish);
    return entity;
  }

  void change(DishForm.Understood dish) {
    name = dish.name();
    venueId = dish.venue();
    serving = StoredServing.of(dish.serving());
    specification = dish.specification();
    price = dish.price().map(ExactMoney::amount).orElse(null);
    garnish = dish.garnish().map(ExactMoney::amount).orElse(null);
    costLimit = dish.costLimit().orElse(null);
    raw = dish.raw();
    allergens = dish.allergens().stream().sorted().map(Enum::name).collect(Collectors.joining(","));
    fish.clear();
    for (String species : dish.fish()) {
      fish.add(new DishFish(species, fish.size(), dish.soldAs().contains(species)));
    }
  }

  void want(ProfileName profile, Demand wanted) {
    demand.put(profile, DemandRow.of(wanted));
  }

  boolean isRaw() {
    return raw;
  }

  String name() {
    return name;
  }

  boolean isActive() {
    return active;
  }

  void switchOff() {
    active = false;
  }

  Long id() {
    return id;
  }

  long venueId() {
    return venueId;
  }

  int version() {
    return version;
  }

  Dish toDish(Named venue, Currency currency) {
    Map<ProfileName, Demand> wanted = new EnumMap<>(ProfileName.class);
    demand.forEach((profile, row) -> wanted.put(profile, row.toDemand()));
    return new Dish(
        id,
        name,
        venue,
        serving.serving(),
        specification,
        Optional.ofNullable(price).map(amount -> new ExactMoney(amount, currency)),
        Optional.ofNullable(garnish).map(amount -> new ExactMoney(amount, currency)),
        Optional.ofNullable(costLimit).map(Fraction::of),
        raw,
        Arrays.stream(Allergen.values())
            .filter(one -> List.of(allergens.split(",")).contains(one.name()))
            .collect(Collectors.toSet()),
        fish.stream()
            .sorted(Comparator.comparingInt(DishFish::place))
            .map(DishFish::species)
            .toList(),
        fish.stream().filter(DishFish::soldAs).map(DishFish::species).collect(Collectors.toSet()),
        wanted,
        version);
  }
}
