package mosaicknife.app.lot;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface LotRepository extends Repository<LotEntity, Long> {

  String OPEN_NEWEST_FIRST =
      """
      select lot.* from lot
      where finished_at is null
      order by received_at desc, id desc
      """;

  /** An empty text finds all; else fish by code, supplier by part of its name, number or day. */
  String FOUND =
      """
      from lot l left join supplier s on s.id = l.supplier_id join venue v on v.id = l.venue_id
      where :text = '' or l.species in (:species) or lower(s.name) like :part
         or l.id = :number or cast(l.received_at at time zone :zone as date) = cast(nullif(:day, '') as date)
      """;

  String LINES =
      """
      select l.id as id, l.species as species, l.state as state, l.fish_count as fish,
             coalesce(l.own_mg, l.invoiced_mg) as mass, coalesce(s.name, '') as supplier, v.name as venue,
             l.received_at as received, l.finished_at is not null as finished
      """;

  /** A lot as a list shows it. */
  interface LineRow {
    long getId();

    String getSpecies();

    String getState();

    int getFish();

    long getMass();

    String getSupplier();

    String getVenue();

    Instant getReceived();

    boolean getFinished();
  }

  LotEntity save(LotEntity lot);

  LotEntity saveAndFlush(LotEntity lot);

  void delete(LotEntity lot);

  Optional<LotEntity> findById(long id);

  Optional<LotEntity> findByClientId(UUID clientId);

  /** How many fish of a species were landed on a day, over all lots. */
  @Query(
      """
      select coalesce(sum(l.fishCount), 0) from LotEntity l
      where l.species = :species and l.landedOn = :day
      """)
  long countFishLandedOn(String species, LocalDate day);

  @Query("select l.finishedAt is not null from LotEntity l where l.id = :id")
  Optional<Boolean> isFinished(long id);

  List<LotEntity> findAllByIdIn(Collection<Long> ids);

  List<LotEntity> findAllByOrderLineIdIn(List<Long> lines);

  @NativeQuery(OPEN_NEWEST_FIRST)
  List<LotEntity> findOpen();

  @NativeQuery("select * from (" + OPEN_NEWEST_FIRST + ") open where venue_id = :venue")
  List<LotEntity> findOpenAt(long venue);

  @NativeQuery("select id from (" + OPEN_NEWEST_FIRST + ") open limit 1")
  Optional<Long> findNewestOpen();

  @NativeQuery(
      LINES
          + FOUND
          + "order by l.finished_at is not null, l.received_at desc, l.id desc"
          + " limit :size offset :from")
  List<LineRow> findLines(
      String text,
      List<String> species,
      String part,
      long number,
      String zone,
      String day,
      int size,
      long from);

  @NativeQuery("select count(*) " + FOUND)
  long countLines(
      String text, List<String> species, String part, long number, String zone, String day);

  @NativeQuery("select count(*) from lot where finished_at is null")
  long countOpen();

  /** The fish received last, each once. */
  @NativeQuery(
      "select species from (select species, max(received_at) as last from lot group by species) s"
          + " order by last desc limit :most")
  List<String> findLastSpecies(int most);

  List<LotEntity> findTop8ByOrderByReceivedAtDescIdDesc();

  @NativeQuery("select * from lot where received_at >= :since order by received_at desc, id desc")
  List<LotEntity> findReceivedSince(Instant since);

  /** The open lot a person weighed on last. */
  @NativeQuery(
      """
      select l.id from lot l
      join lot_part p on p.lot_id = l.id
      join weighing w on w.part_id = p.id
      where l.finished_at is null and w.taken_by = :person
      order by w.taken_at desc
      limit 1
      """)
  Optional<Long> findOnTheBoard(long person);
}
