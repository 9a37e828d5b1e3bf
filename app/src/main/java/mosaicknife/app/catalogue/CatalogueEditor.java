package mosaicknife.app.catalogue;

import java.time.Clock;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.catalogue.SpeciesEditEntity.Kind;
import mosaicknife.app.shared.AskedOnce;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Words;
import mosaicknife.core.anatomy.BodyPlan;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Share;
import mosaicknife.core.anatomy.Species;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Keeps what the house believes of its fish: the shipped catalogue with the house's edits over it.
 */
@Service
@Transactional
public class CatalogueEditor {

  private static final int LONGEST_REASON = 200;
  private static final int MOST_IN_A_FILE = 2_000;

  private final Catalogue shipped = Catalogue.shipped();
  private final SpeciesEditRepository edits;
  private final SpeciesJson json;
  private final PeopleRegister people;
  private final CurrentPerson current;
  private final Clock clock;

  // one immutable pair, replaced as a whole; a newer edit of any instance is seen by its number
  private volatile Known known = new Known(0, shipped);

  private record Known(long lastEdit, Catalogue catalogue) {}

  private final Words words;

  CatalogueEditor(
      SpeciesEditRepository edits,
      SpeciesJson json,
      PeopleRegister people,
      CurrentPerson current,
      Clock clock,
      Words words) {
    this.words = words;
    this.edits = edits;
    this.json = json;
    this.people = people;
    this.current = current;
    this.clock = clock;
  }

  /**
   * Returns the catalogue as the house has it now.
   *
   * @return the catalogue; ask once for a page, not once for each row
   */
  @Transactional(readOnly = true)
  @AskedOnce
  public Catalogue now() {
    long last = edits.findLastId();
    Known before = known;
    if (before.lastEdit == last) {
      return before.catalogue;
    }
    List<Species> changed = new ArrayList<>();
    Set<String> removed = new HashSet<>();
    for (SpeciesEditEntity edit : edits.findNewest()) {
      if (edit.kind() == Kind.CHANGED) {
        changed.add(json.read(edit.document(), shipped));
      } else if (edit.kind() == Kind.REMOVED) {
        removed.add(edit.code());
      }
    }
    Catalogue catalogue = shipped.with(changed, removed);
    known = new Known(last, catalogue);
    return catalogue;
  }

  /**
   * Finds a part kind; the house changes fish, not kinds.
   *
   * @param code its code
   * @return the kind, or empty
   */
  public Optional<PartKind> findKind(String code) {
    return shipped.findKind(code);
  }

  /**
   * Returns whether the house has changed or made a fish itself.
   *
   * @param code the code of the fish
   * @return true if its newest edit is a change
   */
  @Transactional(readOnly = true)
  public boolean isOwn(String code) {
    return edits.findAllByCodeOrderByIdDesc(code).stream()
        .findFirst()
        .filter(edit -> edit.kind() == Kind.CHANGED)
        .isPresent();
  }

  /**
   * Returns the shipped fish of a code.
   *
   * @param code the code
   * @return the fish, or empty if the house made it
   */
  public Optional<Species> shipped(String code) {
    return shipped.findSpecies(code);
  }

  /** Returns who changed a fish and when, the newest first. */
  @Transactional(readOnly = true)
  List<SpeciesChange> history(String code) {
    Map<Long, String> names = people.names();
    return edits.findAllByCodeOrderByIdDesc(code).stream()
        .map(
            edit ->
                new SpeciesChange(
                    edit.kind().words(),
                    edit.reason(),
                    names.get(edit.editedBy()),
                    edit.editedAt()))
        .toList();
  }

  /** Stores a fish as the house wants it. */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE')")
  Species change(SpeciesDocument document, String reason) {
    Species species = SpeciesJson.species(document, shipped);
    return keep(species, now().findSpecies(species.code()), reason);
  }

  private Species keep(Species species, Optional<Species> before, String reason) {
    boolean otherPlan = before.filter(b -> !b.plan().equals(species.plan())).isPresent();
    if (otherPlan && edits.countUses(species.code()) > 0) {
      throw Refusal.ofField(
          "bodyPlan", "catalogue.problem.lots-dishes-or-orders-use", species.name());
    }
    return store(species, reason);
  }

  /**
   * Makes a fish that nobody here knows, with wide norms from its body plan.
   *
   * @param species the fish
   * @return the fish as stored
   * @throws Refusal if there is one of that code
   */
  @PreAuthorize("hasAuthority('RECEIVE')")
  Species make(Species species) {
    if (now().findSpecies(species.code()).isPresent()) {
      throw Refusal.ofField("name", "catalogue.problem.there-is-a-fish-called", species.name());
    }
    return store(species, "unknown fish, norms from its body plan");
  }

  private Species store(Species species, String reason) {
    FishNames.refuse(now().findRefused(species), "name");
    add(species.code(), Kind.CHANGED, json.write(species), reason);
    return species;
  }

  private void add(String code, Kind kind, String document, String reason) {
    edits.saveAndFlush(
        new SpeciesEditEntity(
            code,
            kind,
            document,
            PlainText.line(reason, LONGEST_REASON, "reason", FieldName.REASON),
            current.get().id(),
            clock.instant()));
  }

  /** Puts a fish back to how it ships. */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE')")
  void backToShipped(String code) {
    if (shipped(code).isEmpty()) {
      throw Refusal.ofInput("catalogue.problem.this-fish-is-the-house");
    }
    add(code, Kind.SHIPPED, null, "");
  }

  /** Takes a fish out of the catalogue. */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE')")
  void remove(String code) {
    Species species =
        now()
            .findSpecies(code)
            .orElseThrow(() -> Refusal.ofMissing("buy.problem.there-is-no-such-fish"));
    long uses = edits.countUses(code);
    if (uses > 0) {
      throw Refusal.ofInput("catalogue.problem.stays-lots-dishes-or-order", species.name(), uses);
    }
    add(code, Kind.REMOVED, null, "");
  }

  /** Writes the whole catalogue as JSON. */
  @Transactional(readOnly = true)
  String export() {
    return json.writeAll(List.copyOf(now().species()));
  }

  /** What an import would do, or did. */
  record Imported(int changed, int made, int same) {}

  /** Reads a catalogue file; all of it or nothing is stored. */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE')")
  Imported takeIn(String text) {
    SpeciesDocument.File file = json.readFile(text);
    if (file.species().size() > MOST_IN_A_FILE) {
      throw Refusal.ofInput("catalogue.problem.a-file-may-have-up", MOST_IN_A_FILE);
    }
    Catalogue before = now();
    int changed = 0;
    int made = 0;
    int same = 0;
    Set<String> seen = new HashSet<>();
    for (int i = 0; i < file.species().size(); i++) {
      Species species = checked(file.species().get(i), i + 1);
      if (!seen.add(species.code())) {
        throw Refusal.ofInput("catalogue.problem.fish-is-in-the-file", i + 1, species.code());
      }
      Optional<Species> known = before.findSpecies(species.code());
      if (known.filter(species::equals).isPresent()) {
        same++;
        continue;
      }
      keep(species, known, "imported");
      changed += known.isPresent() ? 1 : 0;
      made += known.isPresent() ? 0 : 1;
    }
    return new Imported(changed, made, same);
  }

  private Species checked(SpeciesDocument document, int number) {
    try {
      return SpeciesJson.species(document, shipped);
    } catch (Refusal refusal) {
      throw Refusal.ofInput(
          "catalogue.problem.fish-nothing-was-stored",
          number,
          PlainText.line(document.code(), 200, "code", FieldName.CODE),
          words.say(refusal));
    }
  }

  /** The usual shares of a plan; the ground of an unknown fish. */
  List<Share> usualShares(BodyPlan plan) {
    return shipped.usualShares(plan);
  }
}
