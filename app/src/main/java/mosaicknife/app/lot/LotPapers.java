package mosaicknife.app.lot;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.core.lot.ColdChain;
import mosaicknife.core.lot.Inspection;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.RawPapers;
import org.springframework.stereotype.Component;

/** What was written down of lots beside themselves, of many at a time. */
@Component
class LotPapers {

  private final InspectionRepository inspections;
  private final ClaimRepository claims;
  private final LotFishRepository measured;
  private final DivisionRepository divisions;
  private final RawGateKeeper gates;
  private final ColdChainKeeper cold;
  private final PeopleRegister people;

  LotPapers(
      InspectionRepository inspections,
      ClaimRepository claims,
      LotFishRepository measured,
      DivisionRepository divisions,
      RawGateKeeper gates,
      ColdChainKeeper cold,
      PeopleRegister people) {
    this.inspections = inspections;
    this.claims = claims;
    this.measured = measured;
    this.divisions = divisions;
    this.gates = gates;
    this.cold = cold;
    this.people = people;
  }

  /** What was written down of a lot; its credit is empty if there is none. */
  record Papers(
      Optional<Inspection> inspection,
      List<Mass> masses,
      Optional<ExactMoney> credit,
      RawPapers raw,
      ColdChain cold) {}

  Map<Long, Papers> of(List<Long> numbers) {
    Map<Long, String> names = people.names();
    List<DivisionEntity> divided = divisions.findAllByLotIdIn(numbers);
    Map<Long, Inspection> inspected = inspected(numbers, divided, names);
    Map<Long, ExactMoney> credits =
        claims.findAllByStatusAndLotIdIn(Claim.Status.CREDITED, numbers).stream()
            .collect(
                Collectors.toMap(
                    ClaimEntity::lotId, c -> c.toClaim(names).amount(), ExactMoney::plus));
    Map<Long, List<Mass>> masses = masses(numbers);
    Map<Long, RawPapers> papers = gates.of(numbers);
    Map<Long, ColdChain> chains = cold.of(numbers, divided);
    return numbers.stream()
        .distinct()
        .collect(
            Collectors.toMap(
                lot -> lot,
                lot ->
                    new Papers(
                        Optional.ofNullable(inspected.get(lot)),
                        masses.getOrDefault(lot, List.of()),
                        Optional.ofNullable(credits.get(lot)),
                        papers.get(lot),
                        chains.get(lot))));
  }

  /** The newest inspection of each lot; fish that were taken out of one were inspected with it. */
  private Map<Long, Inspection> inspected(
      List<Long> numbers, List<DivisionEntity> divided, Map<Long, String> names) {
    Map<Long, Long> from =
        divided.stream()
            .collect(Collectors.toMap(DivisionEntity::lotId, DivisionEntity::fromLotId));
    List<Long> all = Stream.concat(numbers.stream(), from.values().stream()).distinct().toList();
    Map<Long, Inspection> newest =
        inspections.findNewestOf(all).stream()
            .collect(Collectors.toMap(InspectionEntity::lotId, i -> i.toInspection(names)));
    from.forEach(
        (lot, source) -> {
          if (newest.containsKey(source)) {
            newest.putIfAbsent(lot, newest.get(source));
          }
        });
    return newest;
  }

  /** What each fish weighs that was weighed by itself. */
  private Map<Long, List<Mass>> masses(Collection<Long> numbers) {
    return measured.findWeighedOf(numbers).stream()
        .collect(
            Collectors.groupingBy(
                LotFishEntity::lotId,
                Collectors.mapping(one -> one.mass().orElseThrow(), Collectors.toList())));
  }
}
