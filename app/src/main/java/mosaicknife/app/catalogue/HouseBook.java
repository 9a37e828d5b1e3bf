package mosaicknife.app.catalogue;

import java.time.Clock;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.shared.Refusal;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What the house changed in a book that is shipped, or wrote into it: lines of the shipped file.
 */
@Service
@Transactional
public class HouseBook {

  private static final int LONGEST_STEM = 40;

  private final BookEntryRepository entries;
  private final CurrentPerson current;
  private final Clock clock;

  HouseBook(BookEntryRepository entries, CurrentPerson current, Clock clock) {
    this.entries = entries;
    this.current = current;
    this.clock = clock;
  }

  /** The books. */
  public enum Book {
    /** Ways to cook a stock. */
    METHOD,
    /** Marinades and cures. */
    MARINADE
  }

  /**
   * Puts what the house wrote in the place of what is shipped.
   *
   * @param <T> what the book is of
   * @param book the book
   * @param shipped what is shipped, by code
   * @param read reads what the house wrote
   * @return all that is in use, by code: what is shipped first
   */
  @Transactional(readOnly = true)
  public <T> Map<String, T> inUse(Book book, Map<String, T> shipped, Function<String, T> read) {
    Map<String, T> all = new LinkedHashMap<>(shipped);
    for (BookEntryEntity entry : entries.findNewest(book)) {
      if (entry.isRetired()) {
        all.remove(entry.code());
      } else {
        all.put(entry.code(), read.apply(entry.body()));
      }
    }
    return all;
  }

  /**
   * Returns what the house wrote itself.
   *
   * @param book the book
   * @return the codes, of what it took away too
   */
  @Transactional(readOnly = true)
  public Set<String> own(Book book) {
    return entries.findNewest(book).stream().map(BookEntryEntity::code).collect(Collectors.toSet());
  }

  /**
   * Writes something into a book.
   *
   * @param book the book
   * @param code its code; one of the same code is that, changed
   * @param body its lines
   */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE')")
  public void write(Book book, String code, String body) {
    entries.saveAndFlush(
        new BookEntryEntity(book, code, body, false, current.get().id(), clock.instant()));
  }

  /**
   * Takes something out of a book; what was made of it stays.
   *
   * @param book the book
   * @param code its code
   * @param body its lines, as they are
   * @param inUse how many are in the book
   * @throws Refusal if it is the last one
   */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE')")
  public void takeOut(Book book, String code, String body, int inUse) {
    if (inUse <= 1) {
      throw Refusal.ofStale("catalogue.problem.last-of-the-book");
    }
    entries.saveAndFlush(
        new BookEntryEntity(book, code, body, true, current.get().id(), clock.instant()));
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
