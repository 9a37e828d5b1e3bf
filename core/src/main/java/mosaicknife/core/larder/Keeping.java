package mosaicknife.core.larder;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.safety.FoodState;
import mosaicknife.core.safety.Limit;
import mosaicknife.core.safety.Limits;

/**
 * How long something may be kept at the most, and which rule says so. Every last day is asked of
 * here, whoever types it.
 *
 * @param latest the latest last day
 * @param ever the latest to which a sous chef may move it: of quality for as long as its state
 *     keeps at all, of safety no further
 * @param refusal what is said to who wants a later one: the day, and what it is about
 */
public record Keeping(LocalDate latest, LocalDate ever, Finding refusal) {

  /** Which rule a later day meets. */
  public enum Beyond {
    /** So long its state keeps: the latest day, the state, days. */
    STATE,
    /** So long a pack without air keeps: the latest day, days. */
    VACUUM,
    /** What it is made of has no longer: the latest day, its name. */
    MADE_OF
  }

  /**
   * What something is made of.
   *
   * @param name its name
   * @param state what was done to it
   * @param heated whether a core made it cooked once
   * @param until its last day
   */
  public record Of(String name, FoodState state, boolean heated, LocalDate until) {

    /**
     * Describes something on a shelf.
     *
     * @param item the item
     * @return the same as something to make of
     */
    public static Of item(Item item) {
      return new Of(item.shelved().name(), item.state(), item.wasHeated(), item.useBy());
    }
  }

  /**
   * Works out how long something keeps: no longer than its state, and than what it is made of where
   * the step does not start its days anew.
   *
   * @param becomes what it is made into; empty for raw fish as it was cut or hung
   * @param airless whether it is packed without air
   * @param of what it is made of, one at least
   * @param limits the limits of the house
   * @param today the day it is made
   * @return the latest last day
   */
  public static Keeping of(
      Optional<FoodState> becomes, boolean airless, List<Of> of, Limits limits, LocalDate today) {
    List<Keeping> rules = new ArrayList<>();
    becomes.ifPresent(
        state -> {
          int days = limits.value(state.keeps());
          LocalDate day = today.plusDays(days);
          LocalDate ever = state.isOfQuality() ? today.plusDays(state.keeps().most()) : day;
          rules.add(by(Beyond.STATE, day, ever, state, days));
        });
    boolean frozen = becomes.filter(FoodState.FROZEN::equals).isPresent();
    if (airless && !frozen) {
      int days = limits.value(Limit.VACUUM_KEEPS);
      rules.add(by(Beyond.VACUUM, today.plusDays(days), today.plusDays(days), days));
    }
    of.stream()
        .filter(one -> becomes.filter(state -> startsAnew(state, one)).isEmpty())
        .forEach(one -> rules.add(by(Beyond.MADE_OF, one.until(), one.until(), one.name())));
    Keeping first = rules.stream().min(Comparator.comparing(Keeping::latest)).orElseThrow();
    LocalDate ever = rules.stream().map(Keeping::ever).min(LocalDate::compareTo).orElseThrow();
    return new Keeping(first.latest, ever, first.refusal);
  }

  private static Keeping by(Beyond beyond, LocalDate latest, LocalDate ever, Object... figures) {
    List<Object> all = new ArrayList<>(List.of(latest));
    all.addAll(List.of(figures));
    return new Keeping(latest, ever, Finding.of(beyond, all.toArray()).at("until"));
  }

  /** Heat does once, freezing always; salt, smoke and dry air do for what is fresh and raw. */
  private static boolean startsAnew(FoodState becomes, Of of) {
    return switch (becomes) {
      case COOKED, HOT_SMOKED -> !of.heated();
      case CURED, COLD_SMOKED, DRIED, FERMENTED -> of.state() == FoodState.RAW;
      case FROZEN -> true;
      case RAW, THAWED -> false;
    };
  }

  /**
   * Looks at a last day.
   *
   * @param until the day
   * @return that it is too late and why, or nothing
   */
  public Optional<Finding> problem(LocalDate until) {
    return until.isAfter(latest) ? Optional.of(refusal) : Optional.empty();
  }

  /**
   * Returns a day that is no later than allowed.
   *
   * @param wanted the day
   * @return that day, or the latest
   */
  public LocalDate atMost(LocalDate wanted) {
    return wanted.isAfter(latest) ? latest : wanted;
  }
}
