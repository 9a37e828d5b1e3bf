package mosaicknife.core.safety;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.finding.Finding;

/**
 * What may open the raw gate of a lot: its records and exemptions, and the pairs of the house.
 *
 * @param records how it was frozen
 * @param exemptions what exempts it
 * @param rules the pairs the house trusts today
 */
public record RawPapers(
    List<FreezingRecord> records, List<RawExemption> exemptions, List<FreezingRule> rules) {

  /** Nothing. */
  public static final RawPapers NONE = new RawPapers(List.of(), List.of(), List.of());

  /** Copies the lists. */
  public RawPapers {
    records = List.copyOf(records);
    exemptions = List.copyOf(exemptions);
    rules = List.copyOf(rules);
  }

  /**
   * Finds the moment from which a part meets a pair of the house: the earliest hour of service.
   *
   * @param part the part, or empty for the whole lot
   * @return the moment, by a record of the whole lot or of this part; empty if none meets a pair
   */
  public Optional<Instant> frozenBy(Optional<String> part) {
    return records.stream()
        .filter(record -> record.part().isEmpty() || record.part().equals(part))
        .flatMap(record -> rules.stream().flatMap(rule -> rule.metAt(record).stream()))
        .min(Comparator.naturalOrder());
  }

  /**
   * Says what a record lacks to open the gate.
   *
   * @param record the record
   * @return what is missing for the pair that is nearest, of hours the fewest; empty if it meets
   *     one, or the house has none
   */
  public Optional<Finding> lack(FreezingRecord record) {
    if (rules.stream().anyMatch(rule -> rule.metAt(record).isPresent())) {
      return Optional.empty();
    }
    return rules.stream()
        .flatMap(rule -> rule.lack(record).stream())
        .min(
            Comparator.comparing((Finding lack) -> (FreezingRule.Lack) lack.what())
                .thenComparing(
                    lack ->
                        lack.what() == FreezingRule.Lack.HOURS
                            ? (Integer) lack.figures().get(0)
                            : 0));
  }
}
