package mosaicknife.app.booklet;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.BiPredicate;
import java.util.stream.Collectors;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.AskedOnce;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.lot.CatchRule;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.safety.FreezingRecord;
import mosaicknife.core.safety.FreezingRule;
import mosaicknife.core.safety.LengthRule;
import mosaicknife.core.safety.Limit;
import mosaicknife.core.safety.Limits;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What the house has read somewhere and goes by: its limits, the pairs that open the raw gate,
 * least lengths, and rules about catches. Each says where it is from and until when the house
 * trusts it.
 */
@Service
@Transactional
public class HouseRules {

  /** Least lengths; of one fish and basis one counts. */
  public static final Section<LengthRule> LENGTHS = new Section<>("LENGTH_RULE", LengthRule.class);

  /** Pairs of cold and time that open the raw gate. */
  public static final Section<FreezingRule> PAIRS =
      new Section<>("FREEZING_RULE", FreezingRule.class);

  /** Seasons, bag limits, methods and tags. */
  public static final Section<CatchRule> CATCHES = new Section<>("CATCH_RULE", CatchRule.class);

  private static final Section<Limits.Setting> LIMITS =
      new Section<>("LIMIT", Limits.Setting.class);

  private static final int LONGEST = 160;

  private final HouseBook book;
  private final HouseSettings houses;

  HouseRules(HouseBook book, HouseSettings houses) {
    this.book = book;
    this.houses = houses;
  }

  /**
   * Returns the limits of the house.
   *
   * @return its own, else the starting ones
   */
  @Transactional(readOnly = true)
  @AskedOnce
  public Limits limits() {
    return new Limits(
        book.standing(LIMITS).stream()
            .collect(Collectors.toMap(entry -> Limit.valueOf(entry.code()), Written::said)));
  }

  /**
   * A limit with what a page says of it.
   *
   * @param limit which
   * @param value what counts, in its unit
   * @param setting what the house has set; empty while the starting estimate counts
   */
  public record LimitRow(Limit limit, int value, Optional<Limits.Setting> setting) {

    /**
     * Returns the value as it is shown.
     *
     * @return the temperature, or the number in its unit
     */
    public Object shown() {
      return limit.unit() == Limit.Unit.TENTHS_OF_A_DEGREE ? new Temperature(value) : value;
    }
  }

  /**
   * Returns all limits.
   *
   * @return each with what counts
   */
  @Transactional(readOnly = true)
  public List<LimitRow> limitRows() {
    Limits all = limits();
    return Arrays.stream(Limit.values())
        .map(
            limit ->
                new LimitRow(limit, all.value(limit), Optional.ofNullable(all.own().get(limit))))
        .toList();
  }

  /**
   * Sets a limit of the house. Older settings stay to be read.
   *
   * @param limit which
   * @param value the value in its unit
   * @param source where the house has it from
   * @throws Refusal if the value cannot be, or the source is missing
   */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE')")
  public void set(Limit limit, int value, String source) {
    Refusal.ifFound(limits().problem(limit, value));
    book.write(LIMITS, limit.name(), new Limits.Setting(value, source(source), houses.today()));
  }

  /**
   * A rule with what a page says of it.
   *
   * @param <T> the kind of rule
   * @param id the number of its row
   * @param rule the rule
   * @param expired whether the house no longer trusts it
   */
  public record Kept<T>(long id, T rule, boolean expired) {}

  /**
   * Returns the least lengths of the house.
   *
   * @return all of them by fish, those that ran out too
   */
  @Transactional(readOnly = true)
  public List<Kept<LengthRule>> lengths() {
    return kept(LENGTHS, LengthRule::isTrusted, Comparator.comparing(LengthRule::species));
  }

  /**
   * Returns the pairs of the house.
   *
   * @return all of them, the coldest first, those that ran out too
   */
  @Transactional(readOnly = true)
  @AskedOnce
  public List<Kept<FreezingRule>> pairs() {
    return kept(PAIRS, FreezingRule::isTrusted, Comparator.comparing(FreezingRule::atMost));
  }

  /**
   * Returns the rules of the house about catches.
   *
   * @return all of them by fish, those that ran out too
   */
  @Transactional(readOnly = true)
  public List<Kept<CatchRule>> catches() {
    return kept(CATCHES, CatchRule::isTrusted, Comparator.comparing(CatchRule::species));
  }

  private <T> List<Kept<T>> kept(
      Section<T> section, BiPredicate<T, LocalDate> isTrusted, Comparator<T> order) {
    LocalDate today = houses.today();
    return book.standing(section).stream()
        .map(row -> new Kept<>(row.id(), row.said(), !isTrusted.test(row.said(), today)))
        .sorted(Comparator.comparing(Kept::rule, order))
        .toList();
  }

  /**
   * Keeps a least length; one of the same fish and basis is replaced.
   *
   * @param species the code of the fish
   * @param basis how it is measured
   * @param minimum the minimum
   * @param source where the rule is from
   * @param expires until when the house trusts it
   * @throws Refusal if the source is missing or the day is past
   */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE')")
  public void keepLength(
      String species, LengthRule.Basis basis, Length minimum, String source, LocalDate expires) {
    LocalDate today = trusted(expires);
    book.write(
        LENGTHS,
        species + " " + basis,
        new LengthRule(species, basis, minimum, source(source), today, expires));
  }

  /**
   * Keeps a pair of the house.
   *
   * @param atMost the temperature of the core, or colder
   * @param hours for how long
   * @param thickest up to which thickness; empty for any
   * @param source where the house has it from
   * @param expires until when the house trusts it
   * @throws Refusal if it freezes nothing, the source is missing or the day is past
   */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE')")
  public void keepPair(
      Temperature atMost, int hours, Optional<Length> thickest, String source, LocalDate expires) {
    Refusal.ifFound(FreezingRecord.problem(atMost, hours));
    LocalDate today = trusted(expires);
    book.add(PAIRS, new FreezingRule(atMost, hours, thickest, source(source), today, expires));
  }

  /**
   * Keeps a rule about catches.
   *
   * @param rule the rule, read today
   * @throws Refusal if something is missing, or the day is past
   */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE')")
  public void keep(CatchRule rule) {
    Refusal.ifFound(rule.problem());
    trusted(rule.expires());
    book.add(CATCHES, rule);
  }

  /**
   * Drops a rule; what a pair opened is closed again.
   *
   * @param section where it stands
   * @param id the number of its row
   * @throws Refusal if it was dropped or changed since
   */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE')")
  public void drop(Section<?> section, long id) {
    book.takeOut(section, id);
  }

  /**
   * Returns today, if a rule is trusted from now on.
   *
   * @param expires until when the house trusts it
   * @return today
   * @throws Refusal if the day is past
   */
  @Transactional(readOnly = true)
  public LocalDate trusted(LocalDate expires) {
    LocalDate today = houses.today();
    if (expires.isBefore(today)) {
      throw Refusal.ofField("expires", "booklet.problem.the-rule-would-have-run");
    }
    return today;
  }

  private static String source(String typed) {
    return PlainText.needed(typed, LONGEST, "source", FieldName.SOURCE);
  }
}
