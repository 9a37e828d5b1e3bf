package mosaicknife.app.parts;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.booklet.HouseBook;
import mosaicknife.app.booklet.Section;
import mosaicknife.app.booklet.Written;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.plan.Choices;
import mosaicknife.core.quantity.Mass;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The house's ways: a plan that is used again for fish of the same species and size. */
@Service
@Transactional
public class WayKeeper {

  private static final int LONGEST_NAME = 60;

  private static final Section<Saved> WAYS = new Section<>("WAY", Saved.class);

  private final HouseBook book;
  private final LotPartRepository parts;
  private final PurposeAssigner purposes;
  private final PiecePlanner pieces;
  private final PartLayout layout;
  private final WeighedParts weighed;
  private final PeopleRegister people;

  WayKeeper(
      HouseBook book,
      LotPartRepository parts,
      PurposeAssigner purposes,
      PiecePlanner pieces,
      PartLayout layout,
      WeighedParts weighed,
      PeopleRegister people) {
    this.book = book;
    this.parts = parts;
    this.purposes = purposes;
    this.pieces = pieces;
    this.layout = layout;
    this.weighed = weighed;
    this.people = people;
  }

  /** What a way keeps, as it is stored. */
  record Saved(
      String species,
      Mass from,
      Mass to,
      String name,
      Map<String, String> choices,
      Map<String, Way.Fate> fates,
      List<String> order,
      Map<String, List<String>> pieces) {}

  /**
   * Returns the ways for a species, the newest first.
   *
   * @param species the species
   * @return the ways
   */
  @Transactional(readOnly = true)
  public List<Way> of(Species species) {
    Map<Long, String> names = people.names();
    return book.standing(WAYS).stream()
        .filter(way -> way.said().species().equals(species.code()))
        .map(way -> read(way, names))
        .sorted(Comparator.comparing(Way::at).reversed())
        .toList();
  }

  /** The newest way for the species and the mean fish of a lot. */
  Optional<Way> findFor(Lot lot) {
    Mass fish = lot.receipt().meanFish();
    return of(lot.species()).stream().filter(way -> way.isFor(fish)).findFirst();
  }

  Way get(long id) {
    return book.row(WAYS, id)
        .filter(way -> !way.retired())
        .map(way -> read(way, people.names()))
        .orElseThrow(() -> Refusal.ofMissing("parts.problem.that-way-is-gone-load"));
  }

  /**
   * Saves the plan of a lot as the house's way for its species and size grade.
   *
   * @param lot the lot
   * @param choices its answers
   * @param typedName how the way is called
   * @throws Refusal if the name is missing
   */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE')")
  public void save(Lot lot, Choices choices, String typedName) {
    String name = PlainText.needed(typedName, LONGEST_NAME, "way", FieldName.WAY);
    Map<String, Way.Fate> fates = new LinkedHashMap<>();
    for (LotPartEntity part : parts.findByLotIdInOrderByNumber(List.of(lot.id()))) {
      // what is kept needs a date and a place of its own each time
      part.purpose()
          .filter(purpose -> purpose != Purpose.HOLD && part.isPlanned())
          .ifPresent(
              purpose ->
                  fates.put(part.slot(), Way.Fate.of(purpose, part.goesTo(), part.venueId())));
    }
    SizeGrade size = sizeOf(lot);
    List<LotPartEntity> all = parts.findByLotIdInOrderByNumber(List.of(lot.id()));
    book.add(
        WAYS,
        new Saved(
            lot.species().code(),
            size.from(),
            size.to(),
            name,
            choices.byOption(),
            fates,
            order(all),
            pieces(all)));
  }

  /** The order in which the parts of the lot came off; what was not weighed stands after it. */
  private List<String> order(List<LotPartEntity> all) {
    List<Long> taken = weighed.inOrder(all.stream().map(LotPartEntity::id).toList());
    return all.stream()
        .filter(part -> part.isPlanned() && !part.isSkipped())
        .sorted(
            Comparator.comparingInt(
                part -> taken.contains(part.id()) ? taken.indexOf(part.id()) : taken.size()))
        .map(LotPartEntity::slot)
        .toList();
  }

  private static Map<String, List<String>> pieces(List<LotPartEntity> all) {
    Map<String, List<String>> pieces = new LinkedHashMap<>();
    for (LotPartEntity piece : all) {
      all.stream()
          .filter(part -> piece.parentId().filter(part.id()::equals).isPresent())
          .filter(part -> !piece.isInARow() && part.parentId().isEmpty())
          .findFirst()
          .map(part -> pieces.computeIfAbsent(part.kind(), kind -> new ArrayList<>()))
          .filter(kinds -> !kinds.contains(piece.kind()))
          .ifPresent(kinds -> kinds.add(piece.kind()));
    }
    return pieces;
  }

  /**
   * Forgets a way. Lots that were cut by it keep their plan.
   *
   * @param id its number
   */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE')")
  public void forget(long id) {
    book.takeOut(WAYS, id);
  }

  /**
   * Gives the parts of a lot the purposes of a way, its order and its pieces, but none to a raw
   * dish while the gate is closed and no use while the lot is held; a purpose that was decided
   * stays.
   */
  void giveFates(Lot lot, Way way) {
    for (LotPartEntity part : parts.findByLotIdInOrderByNumber(List.of(lot.id()))) {
      Way.Fate fate = way.fates().get(part.slot());
      if (fate != null && part.purpose().isEmpty() && purposes.isOpen(lot, part, fate.purpose())) {
        purposes.fate(part, fate);
      }
    }
    pieces.cutAs(lot.id(), way.pieces());
    layout.order(parts.findByLotIdInOrderByNumber(List.of(lot.id())), way.order());
  }

  /**
   * Returns the size grade the fish of a lot are of, or the usual range of the species.
   *
   * @param lot the lot
   * @return the size
   */
  public static SizeGrade sizeOf(Lot lot) {
    Mass fish = lot.receipt().meanFish();
    return lot.species().grades().stream()
        .filter(grade -> grade.contains(fish))
        .findFirst()
        .orElseGet(() -> SizeGrade.around(fish));
  }

  private static Way read(Written<Saved> entry, Map<Long, String> names) {
    Saved way = entry.said();
    return new Way(
        entry.id(),
        way.name(),
        new SizeGrade(way.from(), way.to()),
        new Choices(way.choices()),
        way.fates(),
        way.order(),
        way.pieces(),
        names.get(entry.by()),
        entry.at().orElseThrow());
  }
}
