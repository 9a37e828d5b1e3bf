package mosaicknife.core.safety;

import java.util.List;
import java.util.Optional;

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
   * Finds a record that meets a pair of the house.
   *
   * @param part the part, or empty for the whole lot
   * @return the record: of the whole lot, or of this part
   */
  public Optional<FreezingRecord> metBy(Optional<String> part) {
    return records.stream()
        .filter(record -> record.part().isEmpty() || record.part().equals(part))
        .filter(record -> rules.stream().anyMatch(rule -> rule.isMetBy(record)))
        .findFirst();
  }
}
