package mosaicknife.app.clock;

import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import mosaicknife.app.TestLots;
import mosaicknife.app.WithPages;
import mosaicknife.app.homes.UseBook;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.pot.Brew;
import mosaicknife.app.pot.Kettles;
import mosaicknife.app.pot.PotBook;
import mosaicknife.app.pot.PotKeeper;
import mosaicknife.app.pot.PotProbe;
import mosaicknife.app.pot.PotStarter;
import mosaicknife.app.weighing.Entry;
import mosaicknife.app.weighing.Take;
import mosaicknife.app.weighing.WeighingRecorder;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.clock.Agenda;
import mosaicknife.core.clock.EquipmentId;
import mosaicknife.core.clock.Schedule;
import mosaicknife.core.clock.Schedule.Placed;
import mosaicknife.core.clock.Skill;
import mosaicknife.core.clock.Task;
import mosaicknife.core.clock.TaskId;
import mosaicknife.core.clock.Worker;
import mosaicknife.core.heat.Surroundings;
import mosaicknife.core.pot.PotStep;
import mosaicknife.core.pot.PotStep.Answer;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import mosaicknife.core.quantity.Temperature;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** The day, backward from when things are wanted. */
public class ClockPagesTest extends WithPages {

  @Autowired private Day day;
  @Autowired private Rota rota;
  @Autowired private Planner planner;
  @Autowired private PotKeeper keeper;
  @Autowired private PotProbe probe;
  @Autowired private PotStarter starter;
  @Autowired private Kettles kettles;
  @Autowired private PotBook pots;
  @Autowired private UseBook uses;
  @Autowired private WeighingRecorder bench;
  @Autowired private HouseSettings houses;

  private List<Rota.Turn> before = List.of();

  /** A litre of clear stock in a kettle of its own, wanted in so many hours. */
  private Brew stock(int hours) {
    long lot = new TestLots(applicationContext).receive("hake", State.GUTTED, 1, "6.000");
    String kettle = "Clock " + UUID.randomUUID().toString().substring(0, 6);
    people.as(
        "tobiah",
        () ->
            bench.take(
                new Take(
                    UUID.randomUUID(),
                    lot,
                    "frame",
                    1,
                    Entry.of(MassText.parse("0.700 kg", MassUnit.KILOGRAM)),
                    Optional.empty(),
                    "")));
    long[] id = new long[1];
    people.as(
        "ines",
        () -> {
          // what others are to make meanwhile takes nobody's hands away here
          uses.people(houses.venues().get(0).id(), 40);
          kettles.keep(houses.venues().get(0).id(), kettle, new BigDecimal("10"), 30, 4000);
          long stood =
              pots.kettles().stream()
                  .filter(one -> one.kettle().name().equals(kettle))
                  .findFirst()
                  .orElseThrow()
                  .id();
          id[0] =
              starter.start(
                  UUID.randomUUID(),
                  new PotStarter.Wish(
                      "long-rested",
                      Set.of(Answer.LID),
                      1,
                      stood,
                      Optional.of(Instant.now().plus(Duration.ofHours(hours)))));
        });
    return pots.find(id[0]).orElseThrow();
  }

  /** Tests know who is there: nobody of the demo, unless they say so. */
  @BeforeClass
  public void nobodyIsOnTheRota() {
    people.as(
        "ines",
        () -> {
          before = rota.turns();
          before.forEach(turn -> rota.takeOff(turn.person().id()));
        });
  }

  @AfterClass(alwaysRun = true)
  public void theRotaIsAsItWas() {
    people.as(
        "ines",
        () ->
            before.forEach(
                turn -> rota.put(turn.person().id(), turn.venue(), turn.skills(), turn.shift())));
  }

  private long venue() {
    return houses.venues().get(0).id();
  }

  /**
   * What the Clock makes of this stock; what other tests have on their stoves is not asked about.
   */
  private Schedule scheduled(Brew brew) {
    Agenda all = day.gather().agenda();
    List<Task> own = all.tasks().stream().filter(one -> one.group().equals(id(brew))).toList();
    return planner.of(all.withTasks(own));
  }

  private static TaskId id(Brew brew) {
    return TaskId.of(TaskId.Kind.POT, brew.id());
  }

  private Placed placed(Schedule schedule, Brew brew, String step) {
    return schedule.find(id(brew).step(step)).orElseThrow();
  }

  @Test
  public void aFormAnswersWithAPageOfTheHouseWhateverItSays() throws Exception {
    for (String from : List.of("//elsewhere.example", "../x", "{x}", "a b?c#d")) {
      String to = send("maren", "/clock/begin", "task", "x", "from", from).getHeader("Location");
      assertTrue(to.matches("/[^/{}?# ]*"), to);
    }
  }

  @Test
  public void aStockForTomorrowIsBegunAsLateAsItCan() throws Exception {
    Brew brew = stock(30);
    Schedule schedule = scheduled(brew);
    Placed pack = placed(schedule, brew, "pack");
    assertEquals(pack.end(), 30 * 60, 1, "wanted in thirty hours");
    int all =
        brew.plan().method().steps(Set.of(Answer.LID)).stream()
            .mapToInt(brew.plan()::minutes)
            .sum();
    assertEquals(placed(schedule, brew, "split").start(), 30 * 60 - all, 2, "no waiting between");
    String shown = page("maren", "/clock/day");
    assertTrue(shown.contains("Split heads and frames"), shown);
  }

  @Test
  public void aStockThatIsWantedTooSoonIsSaidToBeLate() throws Exception {
    Brew brew = stock(2);
    String shown = page("ines", "/clock/day");
    assertTrue(shown.contains("minutes late"), shown);
    people.as("ines", () -> keeper.begin(brew.id(), "split", Instant.now()));
    Schedule schedule = scheduled(brew);
    assertEquals(placed(schedule, brew, "split").start(), 0, "what runs stays where it is");
    PotStep soak = brew.run().steps().get(1);
    assertTrue(placed(schedule, brew, soak.code()).start() >= 0);
  }

  @Test
  public void aPotThatNeverGetsColdIsNotSaidToBeInTime() throws Exception {
    Brew brew = stock(40);
    people.as(
        "tobiah",
        () -> {
          probe.stand(brew.id(), Surroundings.ROOM, false);
          for (int ago = 20; ago >= 0; ago -= 5) {
            int tenths = (int) Math.round(220 + 350 * Math.exp((ago - 20) / 180.0));
            probe.read(
                UUID.randomUUID(),
                brew.id(),
                new Temperature(tenths),
                Instant.now().minus(Duration.ofMinutes(ago)),
                "stick thermometer");
          }
        });
    assertTrue(day.gather().unsure().contains("Clear white stock"));
    String shown = page("ines", "/clock/day");
    assertTrue(shown.contains("where it stands it never gets cold"), shown);
    assertFalse(shown.contains("All in time"));
  }

  @Test
  public void peopleAndBoardsAreCountedAndChecked() throws Exception {
    long venue = houses.venues().get(1).id();
    String refused =
        follow("ines", "/clock/people", "venue", "" + venue, "people", "0", "boards", "1");
    assertTrue(refused.contains("alert-danger"), refused);
    refused = follow("ines", "/clock/people", "venue", "" + venue, "people", "3", "boards", "41");
    assertTrue(refused.contains("alert-danger"), refused);
    String said =
        follow("ines", "/clock/people", "venue", "" + venue, "people", "3", "boards", "2");
    assertTrue(said.contains("Saved."), said);
    assertEquals(uses.rooms().get(venue).boards(), Optional.of(2));
    List<Worker> there =
        day.gather().agenda().workers().stream()
            .filter(one -> one.venues().contains(venue))
            .toList();
    assertEquals(there.size(), 3, "so many hands where nobody is on the rota");
    assertEquals(
        send("maren", "/clock/people", "venue", "" + venue, "people", "3").getStatus(), 403);
  }

  @Test
  public void oneOnTheRotaStandsForTheHandsWithoutAName() throws Exception {
    long venue = venue("Rota " + UUID.randomUUID().toString().substring(0, 6));
    long tobiah = person("tobiah");
    String[] form = {
      "person",
      "" + tobiah,
      "venue",
      "" + venue,
      "from",
      "06:00",
      "to",
      "16:00",
      "skill-KNIFE",
      "on",
      "day-1",
      "on",
      "day-6",
      "on"
    };
    assertTrue(follow("ines", "/clock/workers", form).contains("Saved."));
    Rota.Turn turn = turn(tobiah).orElseThrow();
    assertEquals(turn.skills(), Set.of(Skill.KNIFE));
    assertEquals(turn.shift().begin().days(), Set.of(DayOfWeek.MONDAY, DayOfWeek.SATURDAY));
    assertEquals(turn.shift().until(), LocalTime.of(16, 0));
    assertEquals(
        day.gather().agenda().workers().stream()
            .filter(one -> one.venues().contains(venue))
            .map(Worker::name)
            .toList(),
        List.of("Tobiah Lund"));
    String[] noDay = {"person", "" + tobiah, "venue", "" + venue, "from", "06:00", "to", "16:00"};
    assertTrue(follow("ines", "/clock/workers", noDay).contains("at least one day"));
    String[] noTime = {
      "person", "" + tobiah, "venue", "all", "from", "x", "to", "7", "day-1", "on"
    };
    assertTrue(follow("ines", "/clock/workers", noTime).contains("alert-danger"));
    assertEquals(turn(tobiah).orElseThrow().shift(), turn.shift(), "nothing wrong is kept");
    follow("ines", "/clock/workers/" + tobiah + "/off");
    assertEquals(turn(tobiah), Optional.empty());
    assertTrue(follow("ines", "/clock/workers/" + tobiah + "/off").contains("out already"));
  }

  private long person(String signIn) {
    long[] id = new long[1];
    people.as(signIn, () -> id[0] = people.idOf(signIn));
    return id[0];
  }

  private Optional<Rota.Turn> turn(long person) {
    return rota.turns().stream().filter(one -> one.person().id() == person).findFirst();
  }

  @Test
  public void aServiceIsHeldChangedAndTakenAway() throws Exception {
    long venue = venue("Serves " + UUID.randomUUID().toString().substring(0, 6));
    String[] form = {"venue", "" + venue, "name", "<b>Brunch</b>", "at", "10:30", "day-7", "on"};
    String shown = follow("ines", "/clock/services", form);
    assertTrue(shown.contains("&lt;b&gt;Brunch&lt;/b&gt;"), shown);
    Rota.Serving brunch = serving(venue).orElseThrow();
    assertEquals(brunch.time().at(), LocalTime.of(10, 30));
    form[5] = "11:00";
    follow("ines", "/clock/services", form);
    assertEquals(serving(venue).orElseThrow().time().at(), LocalTime.of(11, 0), "the same one");
    String[] noName = {"venue", "" + venue, "name", " ", "at", "10:30", "day-7", "on"};
    assertTrue(follow("ines", "/clock/services", noName).contains("alert-danger"));
    follow("ines", "/clock/services/" + serving(venue).orElseThrow().id() + "/stop");
    assertEquals(serving(venue), Optional.empty());
  }

  private Optional<Rota.Serving> serving(long venue) {
    return rota.servings().stream().filter(one -> one.venue() == venue).findFirst();
  }

  /** A task of its own on the Clock, for two hours from now. */
  private String task(String name, int minutes, String skill) throws Exception {
    String wanted =
        LocalDateTime.now(houses.house().formats().zone()).plusHours(2).withNano(0).toString();
    String[] form = {
      "id",
      UUID.randomUUID().toString(),
      "venue",
      "" + venue(),
      "name",
      name,
      "minutes",
      "" + minutes,
      "skill",
      skill,
      "wanted",
      wanted
    };
    assertTrue(follow("tobiah", "/clock/tasks", form).contains("It is on the Clock"));
    follow("tobiah", "/clock/tasks", form);
    List<String> ids =
        day.gather().agenda().tasks().stream()
            .filter(one -> one.name().equals(name))
            .map(one -> one.id().toString())
            .toList();
    assertEquals(ids.size(), 1, "sent twice is once");
    return ids.get(0);
  }

  private static String name() {
    return "Scrub boards " + UUID.randomUUID().toString().substring(0, 6);
  }

  @Test
  public void somethingElseIsBegunByOneAndEndedOnce() throws Exception {
    String name = name();
    String id = task(name, 30, "ANY");
    assertTrue(page("maren", "/clock/next").contains(name));
    assertTrue(follow("maren", "/clock/begin", "task", id).contains(name + ": begun."));
    String second = follow("tobiah", "/clock/begin", "task", id);
    assertTrue(second.contains("Maren Oake began it already"), second);
    Task running =
        day.gather().agenda().tasks().stream()
            .filter(one -> one.id().toString().equals(id))
            .findFirst()
            .orElseThrow();
    assertTrue(running.isRunning(), "worked out from facts, so a restart loses nothing");
    assertEquals(running.fixed().orElseThrow().by(), Optional.of("person" + person("maren")));
    assertTrue(follow("maren", "/clock/done", "task", id, "from", "clock").contains(": done."));
    assertTrue(follow("tobiah", "/clock/done", "task", id).contains("not on the Clock any more"));
    assertTrue(
        day.gather().agenda().tasks().stream().noneMatch(one -> one.id().toString().equals(id)));
  }

  @Test
  public void whatIsWrongIsNotPutOnTheClock() throws Exception {
    String name = name();
    String[] form = {
      "id",
      UUID.randomUUID().toString(),
      "venue",
      "" + venue(),
      "name",
      name,
      "minutes",
      "20",
      "skill",
      "ANY",
      "wanted",
      "2020-01-01T10:00"
    };
    String past = follow("tobiah", "/clock/tasks", form);
    assertTrue(past.contains("That moment is over"), past);
    assertTrue(past.contains(name), "what was typed is kept");
    for (String minutes : List.of("0", "-5", "1441", "half an hour", "")) {
      form[7] = minutes;
      assertTrue(follow("tobiah", "/clock/tasks", form).contains("alert-danger"), minutes);
    }
    form[7] = "20";
    for (String wanted : List.of("", "tomorrow", "2026-13-40T10:00")) {
      form[11] = wanted;
      assertTrue(follow("tobiah", "/clock/tasks", form).contains("alert-danger"), wanted);
    }
    form[11] = "2090-01-01T10:00";
    form[9] = "MAGIC";
    assertTrue(follow("tobiah", "/clock/tasks", form).contains("alert-danger"));
    assertTrue(day.gather().agenda().tasks().stream().noneMatch(t -> t.name().equals(name)));
  }

  @Test
  public void aTaskStaysWhereItWasPutAndMayBeDropped() throws Exception {
    String id = task(name(), 30, "ANY");
    Instant at = day.gather().now().toInstant().plusSeconds(25 * 60);
    assertEquals(drag("maren", id, at).getStatus(), 403, "a learner moves nothing");
    assertEquals(drag("tobiah", id, at).getStatus(), 200);
    Task pinned = find(id);
    assertTrue(pinned.isPinned());
    assertEquals(pinned.fixed().orElseThrow().start(), 25, 1);
    String unpinned = follow("tobiah", "/clock/unpin", "task", id);
    assertTrue(unpinned.contains("where it fits best"), unpinned);
    assertFalse(find(id).isPinned());
    for (Instant wrong : List.of(Instant.EPOCH, at.plus(Duration.ofDays(9)))) {
      MockHttpServletResponse refused = drag("tobiah", id, wrong);
      assertEquals(refused.getStatus(), 422);
      assertTrue(refused.getContentAsString().contains("at most a week ahead"));
    }
    assertFalse(find(id).isPinned());
    assertTrue(follow("tobiah", "/clock/drop", "task", id).contains("not today"));
    assertTrue(
        day.gather().agenda().tasks().stream().noneMatch(one -> one.id().toString().equals(id)));
    assertEquals(drag("tobiah", id, at).getStatus(), 422, "it is gone");
  }

  @Test
  public void aTaskIsNotPutWhereItCannotBe() throws Exception {
    Brew brew = stock(40);
    String soak = id(brew).step(brew.run().steps().get(1).code()).toString();
    String pack = id(brew).step("pack").toString();
    Instant now = day.gather().now().toInstant();
    assertEquals(drag("ines", soak, now.plusSeconds(36000)).getStatus(), 200);
    MockHttpServletResponse refused = drag("ines", pack, now.plusSeconds(36600));
    assertEquals(refused.getStatus(), 422, "ten minutes after its soak nothing is packed");
    assertTrue(refused.getContentAsString().contains("It stays where it was"));
    assertFalse(find(pack).isPinned());
    assertTrue(follow("tobiah", "/clock/begin", "task", pack).contains("where it is worked"));
    assertTrue(follow("tobiah", "/clock/done", "task", pack).contains("where it is worked"));
    String split = id(brew).step("split").toString();
    assertTrue(follow("tobiah", "/clock/begin", "task", split).contains("begun."));
    assertTrue(pots.find(brew.id()).orElseThrow().run().marks().containsKey("split"));
    assertTrue(follow("maren", "/clock/begin", "task", split).contains("alert-danger"));
    assertTrue(follow("maren", "/clock/done", "task", split).contains("done."));
  }

  @Test
  public void aKettleThatWasChangedIsTheSameKettle() throws Exception {
    Brew brew = stock(40);
    long venue = houses.venues().get(0).id();
    String name = brew.plan().kettle().name();
    List<PotBook.Stood> before = pots.kettles();
    people.as("ines", () -> kettles.keep(venue, name, new BigDecimal("12"), 30, 4000));
    people.as(
        "ines", () -> kettles.keep(houses.venues().get(1).id(), name, BigDecimal.TEN, 30, 4000));
    assertEquals(
        pots.kettles().stream()
            .map(PotBook.Stood::number)
            .filter(one -> one == brew.kettle())
            .count(),
        1L);
    assertEquals(pots.kettles().size(), before.size() + 1, "one changed, one of another venue");
    Set<EquipmentId> needed =
        day.gather().agenda().tasks().stream()
            .filter(one -> one.group().equals(id(brew)))
            .flatMap(one -> one.needs().stream())
            .collect(Collectors.toSet());
    assertEquals(needed, Set.of(new EquipmentId("KETTLE", brew.kettle())));
  }

  private Task find(String id) {
    return day.gather().agenda().tasks().stream()
        .filter(one -> one.id().toString().equals(id))
        .findFirst()
        .orElseThrow();
  }

  private MockHttpServletResponse drag(String who, String task, Instant at) throws Exception {
    return send(who, "/clock/drag", "task", task, "second", "" + Math.max(0, at.getEpochSecond()));
  }

  @Test
  public void theCalendarIsReadByItsAddressUntilThatEnds() throws Exception {
    String name = "Scrub; boards, all " + UUID.randomUUID().toString().substring(0, 6);
    task(name, 30, "ANY");
    String first = feed("tobiah");
    String token = feed("tobiah");
    assertEquals(calendar(first).getStatus(), 404, "another address ends the one before");
    MockHttpServletResponse answer = calendar(token);
    assertEquals(answer.getStatus(), 200);
    assertTrue(answer.getContentType().startsWith("text/calendar"));
    // unfolded as the standard asks
    String text = answer.getContentAsString().replaceAll("\r\n[ \t]", "");
    assertTrue(text.startsWith("BEGIN:VCALENDAR\r\n"), text);
    assertTrue(text.contains("VERSION:2.0"));
    String event =
        List.of(text.split("BEGIN:VEVENT")).stream()
            .filter(one -> one.contains(name.replace(";", "\\;").replace(",", "\\,")))
            .findFirst()
            .orElseThrow();
    assertTrue(event.matches("(?s).*UID:own\\d+@mosaic-knife.*"), event);
    assertTrue(event.matches("(?s).*DTSTART:\\d{8}T\\d{6}Z.*"), event);
    assertFalse(text.contains("€"), "no money");
    follow("tobiah", "/clock/feed/end");
    assertEquals(calendar(token).getStatus(), 404);
    assertEquals(calendar("nonsense").getStatus(), 404);
  }

  private String feed(String who) throws Exception {
    Matcher address =
        Pattern.compile("/clock/feed/([A-Za-z0-9_-]+)\\.ics").matcher(follow(who, "/clock/feed"));
    assertTrue(address.find());
    return address.group(1);
  }

  private MockHttpServletResponse calendar(String token) throws Exception {
    return mvc.perform(get("/clock/feed/" + token + ".ics")).andReturn().getResponse();
  }

  @Test
  public void theWallHasEverybodyWithABoxForEachTask() throws Exception {
    String name = name();
    task(name, 15, "KNIFE");
    byte[] pdf =
        mvc.perform(get("/clock/wall.pdf").cookie(session("maren")))
            .andReturn()
            .getResponse()
            .getContentAsByteArray();
    try (PDDocument paper = Loader.loadPDF(pdf)) {
      assertTrue(new PDFTextStripper().getText(paper).contains(name));
    }
  }

  private long venue(String name) {
    AtomicLong number = new AtomicLong();
    people.as("adaeze", () -> number.set(houses.addVenue(name).id()));
    return number.get();
  }
}
