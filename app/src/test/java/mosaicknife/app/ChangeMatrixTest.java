package mosaicknife.app;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.testng.Assert.assertEquals;

import jakarta.persistence.EntityManager;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import mosaicknife.app.account.Elsewhere;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.ApplicationContext;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MvcResult;
import org.springframework.test.web.servlet.request.AbstractMockHttpServletRequestBuilder;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/**
 * Everybody sends a valid example of everything that may change something, and the tables are
 * compared before and after: who may not changes nothing, and who may does. Each is taken back.
 */
public class ChangeMatrixTest extends WithPages {

  private static final Path PAGE = Path.of("../docs/guide/who-may-change-what.md");
  private static final Path FOUND = Path.of("target/who-may-change-what.md");
  private static final Pattern ASKED = Pattern.compile("\\[(select [^\\]]*)]");

  private static final String AWAY = "elsewhere";

  /**
   * From the least to the most, and a sous chef of another venue; a question mark is a stranger.
   */
  private static final Map<String, String> PEOPLE = new LinkedHashMap<>();

  static {
    PEOPLE.put("ANYONE", "?");
    PEOPLE.put("LEARNER", "maren");
    PEOPLE.put("BUTCHER", "tobiah");
    PEOPLE.put("SOUS_CHEF", "ines");
    PEOPLE.put("OWNER", "adaeze");
    PEOPLE.put("ELSEWHERE", AWAY);
  }

  @Autowired private ApplicationContext app;
  @Autowired private JdbcClient jdbc;
  @Autowired private PlatformTransactionManager manager;
  @Autowired private EntityManager entities;

  private long ines;
  private TransactionTemplate takenBack;
  private String marksOfAll;

  @BeforeClass
  public void lookAtTheTables() throws Exception {
    for (String who : List.of("maren", "tobiah", "ines", "adaeze")) {
      session(who);
      token(who);
    }
    // that somebody was here is written once a minute, by another transaction: not meanwhile
    jdbc.sql("update spring_session set last_access_time = last_access_time + 3600000").update();
    ines = jdbc.sql("select id from person where sign_in = 'ines'").query(Long.class).single();
    takenBack = new TransactionTemplate(manager);
    // what others write meanwhile is not seen
    takenBack.setIsolationLevel(TransactionDefinition.ISOLATION_REPEATABLE_READ);
    List<String> tables =
        jdbc.sql(
                "select table_name from information_schema.tables where table_schema ="
                    + " current_schema() and table_type = 'BASE TABLE' and table_name !~"
                    + " '^(spring_session|flyway|sign_in_try)'")
            .query(String.class)
            .list();
    marksOfAll =
        "select "
            + String.join(
                ", ",
                tables.stream()
                    .map(
                        table ->
                            "(select count(*) || ':' || coalesce(sum(hashtextextended(%s, 0)), 0) from %s t) as %s"
                                .formatted(
                                    // when it was used last is noted of whoever asks
                                    table.equals("api_token") ? "token_hash" : "t::text",
                                    table,
                                    table))
                    .toList());
  }

  private Set<String> mappings() {
    Set<String> found = new TreeSet<>();
    app.getBean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class)
        .getHandlerMethods()
        .forEach(
            (info, handler) -> {
              Set<RequestMethod> methods = info.getMethodsCondition().getMethods();
              boolean shows = methods.equals(Set.of(RequestMethod.GET));
              if (!shows && handler.getBeanType().getName().startsWith("mosaicknife.app")) {
                found.addAll(info.getPatternValues());
              }
            });
    return found;
  }

  /** What was found of one: who changes the tables by it, and which. */
  private record Found(Change change, Map<String, Set<String>> changed, List<String> wrong) {}

  @Test
  public void whoMayNotChangesNothingAndWhoMayDoes() throws Exception {
    List<Change> changes = Change.all();
    Set<String> examples = new TreeSet<>();
    changes.forEach(change -> examples.add(change.mapping()));
    assertEquals(examples, mappings(), "an example for each, in changes.txt");
    List<String> wrong = new ArrayList<>();
    List<Found> found = new ArrayList<>();
    for (Change change : changes) {
      Found one = tried(change);
      found.add(one);
      wrong.addAll(one.wrong());
    }
    Files.writeString(FOUND, table(found));
    System.out.printf(
        "drilled | forms and calls by role, tables compared | %d | %d | 0 | %s%n",
        changes.size() * PEOPLE.size(), wrong.size(), wrong.isEmpty() ? "held" : "FAILED");
    assertEquals(String.join("\n", wrong), "");
    assertEquals(
        Files.readString(PAGE),
        Files.readString(FOUND),
        "who may change what is not as the guide says; if it is right, copy app/" + FOUND);
  }

  private Found tried(Change change) {
    List<String> people = List.copyOf(PEOPLE.keySet());
    Map<String, Sent> all = new LinkedHashMap<>();
    while (all.size() < people.size()) {
      takenBack.executeWithoutResult(status -> trySome(change, all, status));
    }
    int least = people.indexOf(change.who());
    Map<String, Set<String>> changed = new LinkedHashMap<>();
    List<String> wrong = new ArrayList<>();
    people.forEach(
        role -> {
          Sent sent = all.get(role);
          changed.put(role, sent.changed());
          boolean away = role.equals("ELSEWHERE");
          int rank = people.indexOf(away ? "SOUS_CHEF" : role);
          boolean may = least >= 0 && rank >= least && !(away && change.here());
          boolean forThat = sent.said().contains("you work at");
          if (may == sent.changed().isEmpty() || forThat != (away && change.here())) {
            wrong.add(
                "%s: %s changes %s, answered %s"
                    .formatted(change.mapping(), role, sent.changed(), sent.said()));
          }
        });
    if (least < 0 && all.get("OWNER").refused()) {
      // what is refused shows nothing of what is not
      wrong.add(change.mapping() + " is refused: " + all.get("OWNER").said());
    }
    return new Found(change, changed, wrong);
  }

  /** What has to be there is made once, as long as nobody's call spoils the transaction. */
  private void trySome(Change change, Map<String, Sent> all, TransactionStatus status) {
    try {
      for (Change.Step step : change.common()) {
        take(step, "adaeze");
      }
      Map<String, String> fields = new LinkedHashMap<>();
      String to = filled(change.to(), "");
      if (!change.page().isEmpty()) {
        Element form = form(change.mapping(), page("adaeze", filled(change.page(), "")));
        to = form.hasAttr("hx-post") ? form.attr("hx-post") : form.attr("action");
        fields.putAll(fields(form));
      }
      // the last one first: nobody has written to a session of the same person yet
      List<String> order = new ArrayList<>(PEOPLE.keySet());
      Collections.rotate(order, 1);
      for (String role : order) {
        if (!all.containsKey(role) && !status.isRollbackOnly()) {
          jdbc.sql("savepoint before_one").update();
          Sent sent = sent(change, PEOPLE.get(role), to, fields);
          all.put(role, status.isRollbackOnly() ? new Sent(Set.of(), sent.said(), true) : sent);
          jdbc.sql("rollback to savepoint before_one").update();
          entities.clear();
        }
      }
    } catch (Exception | AssertionError e) {
      PEOPLE.keySet().forEach(role -> all.putIfAbsent(role, new Sent(Set.of(), "" + e, true)));
    } finally {
      status.setRollbackOnly();
    }
  }

  private record Sent(Set<String> changed, String said, boolean refused) {}

  private Sent sent(Change change, String who, String form, Map<String, String> given)
      throws Exception {
    for (Change.Step step : change.own()) {
      take(step, who);
    }
    Map<String, String> fields = new LinkedHashMap<>(given);
    fields.putAll(filled(change.with(), who));
    String to = change.page().isEmpty() ? filled(change.to(), who) : form;
    Map<String, String> before = marks();
    MvcResult answer = perform(change, who, to, fields);
    entities.flush();
    Set<String> changed = new TreeSet<>();
    marks()
        .forEach(
            (table, mark) -> {
              if (!mark.equals(before.get(table))) {
                changed.add(table);
              }
            });
    boolean refused =
        answer.getResponse().getStatus() >= 400
            || answer.getFlashMap() != null && answer.getFlashMap().containsKey("sentence");
    return new Sent(changed, said(answer), refused);
  }

  private void take(Change.Step step, String who) throws Exception {
    if (step.how() == Change.How.SQL) {
      jdbc.sql(filled(step.what(), who)).update();
      entities.clear();
      return;
    }
    String by = step.how() == Change.How.OWN && !who.equals(AWAY) ? who : "adaeze";
    if (by.equals("?")) {
      return;
    }
    String to = filled(step.what(), by);
    Map<String, String> fields = new LinkedHashMap<>();
    if (step.how() == Change.How.FORM) {
      fields.putAll(fields(form(to, page("adaeze", to.replaceAll("/begin$", "")))));
    }
    fields.putAll(filled(step.with(), by));
    answer(post(to), by, fields);
    entities.flush();
    entities.clear();
  }

  private MvcResult perform(Change change, String who, String to, Map<String, String> fields)
      throws Exception {
    if (to.startsWith("/api/")) {
      var call =
          post(to).contentType(MediaType.APPLICATION_JSON).content(filled(change.json(), who));
      if (who.equals(AWAY)) {
        call.with(Elsewhere.person(ines)).with(csrf());
      } else if (!who.equals("?")) {
        call.header("Authorization", "Bearer " + token(who));
      }
      return mvc.perform(call).andReturn();
    }
    String file = fields.getOrDefault("file", "");
    if (!file.startsWith("@")) {
      return answer(post(to), who, fields);
    }
    fields.remove("file");
    return answer(
        multipart(to).file(new MockMultipartFile("file", file.substring(1), null, content(file))),
        who,
        fields);
  }

  private MvcResult answer(
      AbstractMockHttpServletRequestBuilder<?> request, String who, Map<String, String> fields)
      throws Exception {
    fields.forEach(request::param);
    request.with(csrf());
    if (who.equals(AWAY)) {
      request.with(Elsewhere.person(ines));
    } else if (!who.equals("?")) {
      request.cookie(session(who));
    }
    return mvc.perform(request).andReturn();
  }

  private static String said(MvcResult answer) throws Exception {
    String page = answer.getResponse().getContentAsString(StandardCharsets.UTF_8);
    return "%d %s %s %s"
        .formatted(
            answer.getResponse().getStatus(),
            answer.getResponse().getRedirectedUrl(),
            Optional.ofNullable(answer.getFlashMap())
                .map(later -> later.get("sentence"))
                .orElse(""),
            page.startsWith("{")
                ? page
                : Jsoup.parse(page).select(".alert, .invalid-feedback").text());
  }

  private byte[] content(String file) throws Exception {
    if (file.endsWith(".png")) {
      ByteArrayOutputStream bytes = new ByteArrayOutputStream();
      ImageIO.write(new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB), "png", bytes);
      return bytes.toByteArray();
    }
    String text =
        file.endsWith(".csv")
            ? "fish;price\nhake;9.80\n"
            : page("adaeze", "/catalogue/export.json").replace("\"Turbot\"", "\"Our turbot\"");
    return text.getBytes(StandardCharsets.UTF_8);
  }

  private Map<String, String> filled(Map<String, String> fields, String who) {
    Map<String, String> filled = new LinkedHashMap<>();
    fields.forEach((name, value) -> filled.put(filled(name, who), filled(value, who)));
    return filled;
  }

  private String filled(String text, String who) {
    Matcher asked =
        ASKED.matcher(
            text.replace("$lot", "[select max(id) from lot]")
                .replace("$who", who.equals(AWAY) ? "ines" : who));
    return asked.replaceAll(
        one ->
            Matcher.quoteReplacement(
                jdbc.sql(one.group(1)).query(String.class).optional().orElse("none")));
  }

  private static Element form(String mapping, String html) {
    Pattern address =
        Pattern.compile(
            mapping.replaceAll("\\{\\w+:[^/]*\\}\\}|\\{[^/]*\\}", "[^/]+") + "([?#].*)?");
    Document page = Jsoup.parse(html);
    return page.select("form[method=post], [hx-post]").stream()
        .filter(
            form ->
                address
                    .matcher(form.hasAttr("hx-post") ? form.attr("hx-post") : form.attr("action"))
                    .matches())
        .findFirst()
        .orElseThrow(() -> new AssertionError("no form for " + mapping + " on the page"));
  }

  /** What a browser sends of a form that nobody typed anything into. */
  private static Map<String, String> fields(Element form) {
    Map<String, String> fields = new LinkedHashMap<>();
    for (Element field : form.select("input[name], select[name], textarea[name], button[name]")) {
      boolean choice = Set.of("checkbox", "radio").contains(field.attr("type"));
      if (!field.hasAttr("disabled") && (!choice || field.hasAttr("checked"))) {
        fields.putIfAbsent(field.attr("name"), value(field));
      }
    }
    fields.remove("_csrf");
    return fields;
  }

  private static String value(Element field) {
    return field.tagName().equals("select")
        ? Optional.ofNullable(field.selectFirst("option[selected]"))
            .or(() -> Optional.ofNullable(field.selectFirst("option")))
            .map(Element::val)
            .orElse("")
        : field.val();
  }

  private Map<String, String> marks() {
    Map<String, String> marks = new TreeMap<>();
    jdbc.sql(marksOfAll)
        .query()
        .singleRow()
        .forEach((table, mark) -> marks.put(table, String.valueOf(mark)));
    return marks;
  }

  private static String table(List<Found> found) {
    StringBuilder page =
        new StringBuilder(
            """
            # Who may change what

            Written by the tests: each line was tried by everybody, with a valid example, and the
            tables of the database were compared before and after. A dash is who changed nothing.
            Whoever works at one venue changes nothing that is kept at another: the last of them is a
            sous chef of a venue where none of it is.

            | form or call | not signed in | learner | butcher | sous chef | owner | of another venue | what it changes |
            |---|---|---|---|---|---|---|---|
            """);
    for (Found one : found) {
      Set<String> all = new TreeSet<>();
      one.changed().values().forEach(all::addAll);
      page.append("| `")
          .append(one.change().mapping().replaceAll(":\\[[^/]*\\}\\}|:\\[[^/]*\\}", "}"))
          .append("` |");
      one.changed()
          .values()
          .forEach(changed -> page.append(changed.isEmpty() ? " – |" : " changes |"));
      page.append(' ').append(all.isEmpty() ? "nothing" : String.join(", ", all)).append(" |\n");
    }
    return page.toString();
  }
}
