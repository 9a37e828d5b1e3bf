package mosaicknife.app.booklet;

import java.time.Clock;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.shared.Refusal;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The book of the house. Whoever writes into a section asks first whether the person behind this
 * request may, and whether what is said can be.
 */
@Service
@Transactional
public class HouseBook {

  private static final int LONGEST_STEM = 40;

  private final EntryRepository entries;
  private final CurrentPerson current;
  private final Clock clock;

  HouseBook(EntryRepository entries, CurrentPerson current, Clock clock) {
    this.entries = entries;
    this.current = current;
    this.clock = clock;
  }

  /**
   * Returns what stands in a section.
   *
   * @param <T> what its entries say
   * @param section the section
   * @return the newest row of each entry that was not taken out, in the order they were written
   */
  @Transactional(readOnly = true)
  public <T> List<Written<T>> standing(Section<T> section) {
    return newest(section)
        .filter(entry -> !entry.isRetired())
        .map(e -> e.toWritten(section))
        .toList();
  }

  /**
   * Returns what stands in a section, without who wrote it.
   *
   * @param <T> what its entries say
   * @param section the section
   * @return what each entry says, in the order they were written
   */
  @Transactional(readOnly = true)
  public <T> List<T> said(Section<T> section) {
    return standing(section).stream().map(Written::said).toList();
  }

  private Optional<EntryEntity> newest(Section<?> section, String code) {
    return newest(section).filter(entry -> entry.code().equals(code)).findFirst();
  }

  private Stream<EntryEntity> newest(Section<?> section) {
    return entries.findNewest().stream().filter(entry -> entry.isIn(section));
  }

  /**
   * Puts what the house wrote in the place of what is shipped.
   *
   * @param <T> what the book is of
   * @param section a section of lines as they are shipped
   * @param shipped what is shipped, by code
   * @param read reads what the house wrote
   * @return all that is in use, by code: what is shipped first
   */
  @Transactional(readOnly = true)
  public <T> Map<String, T> inUse(
      Section<String> section, Map<String, T> shipped, Function<String, T> read) {
    Map<String, T> all = new LinkedHashMap<>(shipped);
    newest(section)
        .map(entry -> entry.toWritten(section))
        .forEach(
            entry -> {
              if (entry.retired()) {
                all.remove(entry.code());
              } else {
                all.put(entry.code(), read.apply(entry.said()));
              }
            });
    return all;
  }

  /**
   * Returns what the house wrote itself.
   *
   * @param section the section
   * @return the codes, of what it took out too
   */
  @Transactional(readOnly = true)
  public Set<String> own(Section<?> section) {
    return newest(section).map(EntryEntity::code).collect(Collectors.toSet());
  }

  /**
   * Returns the newest row of an entry.
   *
   * @param <T> what it says
   * @param section its section
   * @param code its code
   * @return the entry, of one that was taken out too; empty if the house never wrote it
   */
  @Transactional(readOnly = true)
  public <T> Optional<Written<T>> find(Section<T> section, String code) {
    return newest(section, code).map(entry -> entry.toWritten(section));
  }

  /**
   * Returns a row, whatever was changed of its entry since.
   *
   * @param <T> what it says
   * @param section its section
   * @param id the number of the row
   * @return the row; empty if there is none in the section
   */
  @Transactional(readOnly = true)
  public <T> Optional<Written<T>> row(Section<T> section, long id) {
    return newest(section)
        .filter(entry -> entry.id() == id)
        .findFirst()
        .or(() -> entries.findByBookAndId(section.name(), id))
        .map(entry -> entry.toWritten(section));
  }

  /**
   * Writes an entry.
   *
   * @param <T> what it says
   * @param section its section
   * @param code its code; one of the same code is that entry, changed
   * @param said what it says
   */
  public <T> void write(Section<T> section, String code, T said) {
    write(section.name(), code, BodyJson.write(said), false);
  }

  private void write(String book, String code, String body, boolean retired) {
    entries.saveAndFlush(
        new EntryEntity(book, code, body, retired, current.get().id(), clock.instant()));
  }

  /**
   * Writes an entry that has no name of its own under the next number.
   *
   * @param <T> what it says
   * @param section its section
   * @param said what it says
   */
  public <T> void add(Section<T> section, T said) {
    write(section, "" + entries.nextNumber(), said);
  }

  /**
   * Takes an entry out; what was made of it stays, and so do its rows.
   *
   * @param section its section
   * @param code its code
   * @throws Refusal if it is not in the section any more
   */
  public void takeOut(Section<?> section, String code) {
    EntryEntity newest =
        newest(section, code)
            .filter(entry -> !entry.isRetired())
            .orElseThrow(() -> Refusal.ofStale("booklet.problem.out-already"));
    write(section.name(), code, newest.body(), true);
  }

  /**
   * Takes the entry out that a row is of.
   *
   * @param <T> what it says
   * @param section its section
   * @param id the number of the row
   * @throws Refusal if it is not in the section any more, or was changed since that row
   */
  public <T> void takeOut(Section<T> section, long id) {
    takeOut(
        section,
        newest(section)
            .filter(entry -> entry.id() == id)
            .findFirst()
            .map(EntryEntity::code)
            .orElse(""));
  }

  /**
   * Writes something into a book that is shipped with lines of its own.
   *
   * @param section the book
   * @param code its code; one of the same code is that, changed
   * @param lines its lines
   */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE')")
  public void edit(Section<String> section, String code, String lines) {
    write(section, code, lines);
  }

  /**
   * Takes something out of a book that is shipped, also what the house never changed.
   *
   * @param section the book
   * @param code its code
   * @param lines its lines, as they are
   * @param inUse how many are in the book
   * @throws Refusal if it is the last one
   */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE')")
  public void strike(Section<String> section, String code, String lines, int inUse) {
    if (inUse <= 1) {
      throw Refusal.ofStale("booklet.problem.last-of-the-book");
    }
    write(section.name(), code, BodyJson.write(lines), true);
  }

  /**
   * Makes a code for something new.
   *
   * @param name what it is called
   * @param taken the codes that are taken
   * @return a code of small letters, figures and hyphens
   */
  public static String code(String name, Collection<String> taken) {
    String stem =
        name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
    String own = "own-" + stem.substring(0, Math.min(stem.length(), LONGEST_STEM));
    String code = own;
    for (int i = 2; taken.contains(code); i++) {
      code = own + "-" + i;
    }
    return code;
  }
}
