package mosaicknife.app.account;

import java.util.Collection;
import java.util.Optional;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.clock.TaskId;
import mosaicknife.core.use.HandId;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * The one door between venues: whoever works at one changes nothing that is kept at another. Who
 * has no venue of their own works at all of them. Asked beside the permission, where something is
 * changed: {@code @PreAuthorize("hasAuthority('WEIGH') and @here.of('LOT', #lotId)")}.
 */
@Component("here")
public class Here {

  /** What is kept at a venue, and how its venue is found. */
  public enum Thing {
    /** A lot, by its number. */
    LOT("from lot where id = :id"),
    /** Something on a shelf, by its label: where it was put or sent last. */
    ITEM(
        """
        from (select coalesce(
                (select e.venue_id from larder_entry e
                 where e.item_id = i.id and e.venue_id is not null order by e.id desc limit 1),
                i.venue_id) as venue_id
              from larder_item i where i.code = upper(:id)) shelf
        """),
    /** A line of an order, by its number. */
    LINE("from order_line l join purchase_order o on o.id = l.order_id where l.id = :id"),
    /** Something planned to be made: where it is made. */
    MAKING("from making where id = :id"),
    /** A pot, by its number. */
    POT("from pot_batch b join making m on m.id = b.making_id where b.id = :id"),
    /** A kettle. */
    KETTLE("from house_book where book = 'KETTLE' and id = :id"),
    /** Scraps put by for a pot. */
    SCRAP("from pot_scrap where id = :id"),
    /** Packs of a thickener. */
    DOUGH("from dough_pack where id = :id"),
    /** Fish in a marinade. */
    SOAK("from soak s join lot l on l.id = s.lot_id where s.id = :id"),
    /** A dish. */
    DISH("from dish where id = :id"),
    /** An order. */
    ORDER("from purchase_order where id = :id"),
    /** A service of a venue. */
    SERVICE("from house_book where book = 'SERVICE' and id = :id"),
    /** Somebody's turn on the rota; one at every venue is everybody's. */
    TURN(
        """
        from (select venue_id from house_book
              where book = 'WORKER' and person_id = :id order by id desc limit 1) turn
        where venue_id is not null
        """),
    /** A task in somebody's own words. */
    TASK("from clock_task where id = :id");

    private final String from;

    Thing(String from) {
      this.from = from;
    }
  }

  private final CurrentPerson current;
  private final JdbcClient jdbc;

  Here(CurrentPerson current, JdbcClient jdbc) {
    this.current = current;
    this.jdbc = jdbc;
  }

  /**
   * Lets in whoever works at a venue.
   *
   * @param venue its number
   * @return true
   * @throws Refusal if the person behind this request works at another
   */
  public boolean at(long venue) {
    Optional<Long> own = current.get().venue();
    if (own.isPresent() && own.get() != venue) {
      throw Refusal.ofElsewhere("account.problem.elsewhere", name(venue), name(own.get()));
    }
    return true;
  }

  private String name(long venue) {
    return jdbc.sql("select name from venue where id = :id")
        .param("id", venue)
        .query(String.class)
        .optional()
        .orElse("");
  }

  /**
   * Lets in whoever works where something is kept.
   *
   * @param thing what kind of thing
   * @param id which of them; what is not there has no venue, and whoever is asked for it says so
   * @return true
   * @throws Refusal if the person behind this request works elsewhere
   */
  public boolean of(Thing thing, Object id) {
    return current.get().venue().isEmpty()
        || jdbc.sql("select venue_id " + thing.from)
            .param("id", id)
            .query(Long.class)
            .optional()
            .map(this::at)
            .orElse(true);
  }

  /**
   * Lets in whoever works where all of these lie.
   *
   * @param hands parts, what lies on shelves, and what is to come
   * @return true
   * @throws Refusal if one of them is kept elsewhere
   */
  public boolean ofHands(Collection<? extends HandId> hands) {
    return hands.stream().allMatch(this::ofHand);
  }

  private boolean ofHand(HandId hand) {
    if (hand instanceof HandId.Kept kept) {
      return of(Thing.ITEM, kept.label());
    }
    return hand instanceof HandId.Cut cut
        ? of(Thing.LOT, cut.lot())
        : of(Thing.LINE, Long.valueOf(((HandId.Coming) hand).line()));
  }

  /**
   * Lets in whoever works where a task is done.
   *
   * @param task a task of the clock
   * @return true
   * @throws Refusal if it is done elsewhere
   */
  public boolean ofTask(TaskId task) {
    return switch (task.kind()) {
      case CUT -> of(Thing.LOT, task.number());
      case MAKING, HEAT -> of(Thing.MAKING, task.number());
      case POT, INSTEAD -> of(Thing.POT, task.number());
      case SOAK, OUT -> of(Thing.SOAK, task.number());
      case THAW -> of(Thing.ITEM, task.of());
      case OWN -> of(Thing.TASK, task.number());
    };
  }
}
