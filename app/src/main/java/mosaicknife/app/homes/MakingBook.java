package mosaicknife.app.homes;

import java.time.Instant;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.larder.LarderBook;
import mosaicknife.app.larder.LarderKeeper.Input;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.shared.AskedOnce;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.anatomy.Hazard;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.use.FishUse;
import mosaicknife.core.use.HandId;
import mosaicknife.core.use.OnHand;
import mosaicknife.core.use.UseCatalogue;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads what was decided and is not made yet. */
@Service
@Transactional(readOnly = true)
public class MakingBook {

  private final MakingRepository makings;
  private final MakingWayRepository ways;
  private final LotRegister lots;
  private final LotSheets sheets;
  private final UseBook book;
  private final LarderBook shelves;
  private final MakingEndRepository ends;
  private final HouseSettings houses;

  MakingBook(
      MakingRepository makings,
      MakingWayRepository ways,
      LotRegister lots,
      LotSheets sheets,
      UseBook book,
      LarderBook shelves,
      MakingEndRepository ends,
      HouseSettings houses) {
    this.makings = makings;
    this.ways = ways;
    this.lots = lots;
    this.sheets = sheets;
    this.book = book;
    this.shelves = shelves;
    this.ends = ends;
    this.houses = houses;
  }

  /**
   * Returns what was decided and is not made yet.
   *
   * @return the makings, the oldest first
   */
  @Transactional(readOnly = true)
  @AskedOnce
  public List<ToMake> toMake() {
    List<MakingEntity> open = makings.findOpen();
    List<Long> ids = open.stream().map(MakingEntity::id).toList();
    List<MakingWayEntity> sent = ways.findAllByMakingIdIn(ids);
    Map<Long, List<Input>> from =
        makings.findSources(ids).stream()
            .collect(
                Collectors.groupingBy(
                    MakingSourceEntity::makingId,
                    Collectors.mapping(
                        one -> new Input(of(one, sent), one.mass()), Collectors.toList())));
    Map<Long, LotSheet> lots = sheetsOf(from.values().stream().flatMap(List::stream).toList());
    return open.stream()
        .map(one -> toMake(one, from.getOrDefault(one.id(), List.of()), lots))
        .toList();
  }

  private Map<Long, LotSheet> sheetsOf(List<Input> inputs) {
    List<Long> numbers = inputs.stream().map(input -> input.of().lot()).distinct().toList();
    return sheets.of(lots.all(numbers)).stream()
        .collect(Collectors.toMap(sheet -> sheet.lot().id(), sheet -> sheet));
  }

  private ToMake toMake(MakingEntity one, List<Input> from, Map<Long, LotSheet> lots) {
    FishUse use = book.get(one.useCode());
    Map<OnHand.Kind, Mass> of = kinds(from, lots);
    return new ToMake(
        one.id(),
        use,
        one.venueId(),
        one.units(),
        from,
        use.fat()
            .filter(wanted -> !of.isEmpty())
            .map(wanted -> UseCatalogue.fatToAdd(of, wanted))
            .filter(Mass::isPositive),
        of.keySet().stream()
            .flatMap(kind -> Hazard.care(kind.species(), kind.kind().code()))
            .collect(Collectors.toSet()));
  }

  /** At the board, or under a label: from the beginning, or since it was sent. */
  private HandId.Here of(MakingSourceEntity source, List<MakingWayEntity> sent) {
    Optional<Long> under =
        Optional.ofNullable(source.itemId())
            .or(
                () ->
                    sent.stream()
                        .filter(way -> way.isOf(source))
                        .map(MakingWayEntity::itemId)
                        .findFirst());
    return under
        .map(shelves::codeOf)
        .<HandId.Here>map(code -> new HandId.Kept(source.lotId(), source.slot(), code))
        .orElseGet(() -> new HandId.Cut(source.lotId(), source.slot()));
  }

  /**
   * A part that something is to be made of.
   *
   * @param name fish and part
   * @param weighed whether it is cut and weighed; if not, its grams are expected
   */
  public record Called(String name, boolean weighed) {}

  /**
   * Returns what the parts are called that something is to be made of.
   *
   * @param open what is to be made
   * @return fish and part
   */
  @Transactional(readOnly = true)
  public Map<HandId.Cut, Called> names(List<ToMake> open) {
    Map<HandId.Cut, Called> names = new HashMap<>();
    for (LotSheet sheet :
        sheetsOf(open.stream().flatMap(one -> one.from().stream()).toList()).values()) {
      sheet
          .parts()
          .forEach(
              part ->
                  names.put(
                      new HandId.Cut(sheet.lot().id(), part.slot()),
                      new Called(
                          sheet.lot().species().name()
                              + ", "
                              + part.name().toLowerCase(java.util.Locale.ROOT),
                          part.isStarted())));
    }
    return names;
  }

  /**
   * Something that was not made after all.
   *
   * @param name what
   * @param reason why
   */
  public record Dropped(String name, String reason) {}

  /**
   * Returns what was dropped today.
   *
   * @return each with its reason, the oldest first
   */
  public List<Dropped> droppedToday() {
    Instant since = houses.today().atStartOfDay(houses.house().formats().zone()).toInstant();
    List<MakingEndEntity> dropped = ends.findAllByItemIdIsNullAndEndedAtAfterOrderByEndedAt(since);
    Map<Long, String> names =
        makings.findAllByIdIn(dropped.stream().map(MakingEndEntity::getId).toList()).stream()
            .collect(Collectors.toMap(MakingEntity::id, MakingEntity::name));
    return dropped.stream().map(end -> new Dropped(names.get(end.getId()), end.reason())).toList();
  }

  /** What it is made of; a part that is left out of its plan by now is not there. */
  private static Map<OnHand.Kind, Mass> kinds(List<Input> from, Map<Long, LotSheet> lots) {
    Map<OnHand.Kind, Mass> of = new LinkedHashMap<>();
    for (Input input : from) {
      LotSheet sheet = lots.get(input.of().lot());
      sheet
          .find(input.of().slot())
          .ifPresent(
              part ->
                  of.merge(
                      new OnHand.Kind(part.kind(), sheet.lot().species()),
                      input.mass(),
                      Mass::plus));
    }
    return of;
  }
}
