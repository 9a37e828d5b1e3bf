package mosaicknife.app;

import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import mosaicknife.app.larder.LarderBook;
import nu.validator.validation.SimpleDocumentValidator;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.TextNode;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.xml.sax.InputSource;
import org.xml.sax.SAXParseException;
import org.xml.sax.helpers.DefaultHandler;

/** What holds for every page: its HTML nests, and every word on it comes from a bundle. */
public class EveryPageTest extends WithPages {

  /** Parts of a gram: no scale of a kitchen shows them. */
  private static final Pattern FINER =
      Pattern.compile("\\S*\\d[.,]\\d+[ \u00a0]g\\b|\\S*\\d[.,]\\d{4,}[ \u00a0]kg\\b");

  private static final Pattern IN_BRACKETS = Pattern.compile("⟦[^⟦⟧]*⟧");
  private static final Pattern WORD = Pattern.compile("\\p{L}[\\p{L}’'-]*\\p{L}");

  @Autowired private JdbcClient jdbc;
  private SimpleDocumentValidator checker;

  private static final List<String> CATALOGUE =
      List.of(
          "anatomy/species.csv",
          "anatomy/market-names.csv",
          "anatomy/body-plans.csv",
          "anatomy/part-kinds.csv",
          "anatomy/refused.csv",
          "plan/options.csv",
          "plan/guide.csv",
          "use/uses.csv",
          "pot/methods.csv",
          "kitchen/marinades.csv");

  private static final String[][] WRITTEN = {
    {"person", "name"},
    {"venue", "name"},
    {"supplier", "name"},
    {"supplier", "contact"},
    {"supplier", "note"},
    {"dish", "name"},
    {"house", "name"},
    {"tray", "name"},
    {"lot", "note"},
    {"lot", "area"},
    {"lot_part", "name"},
    {"lot_option", "reason"},
    {"bench_note", "note"},
    {"weighing", "reason"},
    {"inspection", "reason"},
    {"purchase_order", "note"},
    {"species_edit", "reason"},
    {"lot_part", "becomes"},
    {"claim", "reason"},
    {"evidence", "name"},
    {"order_line", "reason"},
    {"larder_item", "name"},
    {"larder_item", "place"},
    {"larder_item", "code"},
    {"soak", "what"},
    {"clock_task", "name"},
    {"pot_scrap", "name"},
    {"dough_pack", "place"},
  };

  @Autowired private LarderBook larder;

  private Set<String> names;

  @DataProvider
  Object[][] pages() {
    return new Object[][] {
      {"/"},
      {"/lots"},
      {"/lots?text=nosuchfish"},
      {"/lots?for=plan"},
      {"/dock"},
      {"/dock/receive"},
      {"/dock/5"},
      {"/dock/5/passport"},
      {"/dock/rules"},
      {"/plan/3"},
      {"/plan/7"},
      {"/bench/2"},
      {"/bench/4"},
      {"/bench/6"},
      {"/bench/7"},
      {"/slice"},
      {"/slice/1"},
      {"/slice/1/board"},
      {"/slice/2"},
      {"/slice/5"},
      {"/cost"},
      {"/cost/compare"},
      {"/cost/compare?with=lot-1&with=lot-2"},
      {"/cost/1"},
      {"/cost/5"},
      {"/uses/2"},
      {"/catalogue?query=hake"},
      {"/catalogue/fish/hake"},
      {"/catalogue/plans"},
      {"/catalogue/plans/deep-loin"},
      {"/catalogue/parts?query=bloodline"},
      {"/catalogue/tonight"},
      {"/buy?profile=WEEKEND"},
      {"/buy/dishes/1?profile=WEEKEND&litres=8"},
      {"/buy/new"},
      {"/buy/prices"},
      {"/buy/prices/of/hake"},
      {"/buy/orders"},
      {"/buy/orders/1"},
      {"/uses"},
      {"/uses/book"},
      {"/uses/book/patties"},
      {"/uses/went?by=SPECIES"},
      {"/larder"},
      {"/larder/count"},
      {"/larder/ITEM"},
      {"/pot"},
      {"/pot/1"},
      {"/pot/methods/long-rested"},
      {"/pot/methods/new?like=quick"},
      {"/kitchen"},
      {"/kitchen/marinades/dry-cure"},
      {"/clock"},
      {"/house/people"},
      {"/house/units"},
      {"/house/upkeep"},
      {"/me"},
      {"/house/venues"},
      {"/house/suppliers"},
      {"/house/trays"},
    };
  }

  @Test(dataProvider = "pages")
  public void theHtmlIsValidAndNoFigureIsFinerThanAScale(String address) throws Exception {
    String page = opened(address, "en");
    assertEquals(errors(page).toString(), "[]", address);
    List<String> fine =
        FINER.matcher(Jsoup.parse(page).text()).results().map(found -> found.group()).toList();
    assertEquals(fine.toString(), "[]", address);
  }

  @Test
  public void theCheckerSeesAFormInsideAParagraph() throws Exception {
    String page = "<!DOCTYPE html><html lang=\"en\"><title>x</title><p><form></form></p></html>";
    assertEquals(errors(page).size(), 1, "the paragraph ends where the form begins");
  }

  private List<String> errors(String page) throws Exception {
    List<String> errors = new ArrayList<>();
    checker.setUpValidatorAndParsers(
        new DefaultHandler() {
          @Override
          public void error(SAXParseException found) {
            // a page that waits until it is whole: newer than the checker
            if (!found.getMessage().contains("with a “blocking” attribute must have a “rel”")) {
              errors.add(found.getMessage());
            }
          }

          @Override
          public void fatalError(SAXParseException found) {
            errors.add(found.getMessage());
          }
        },
        true,
        false);
    checker.checkHtmlInputSource(
        new InputSource(new ByteArrayInputStream(page.getBytes(StandardCharsets.UTF_8))));
    return errors;
  }

  /** The rules of HTML, read once. */
  @BeforeClass
  void readTheRules() throws Exception {
    checker = new SimpleDocumentValidator(false, false, false);
    checker.setUpMainSchema("http://s.validator.nu/html5-all.rnc", new DefaultHandler());
  }

  @Test(dataProvider = "pages")
  public void everyWordComesFromABundle(String address) throws Exception {
    Document page = Jsoup.parse(opened(address, "en-XA"));
    assertTrue(page.text().contains("⟦"), "no word of " + address + " is in brackets");
    page.select("style, script, pre, code").remove();
    Set<String> foreign = new TreeSet<>();
    String all = inOrder(page);
    WORD.matcher(all).results().map(found -> found.group()).forEach(foreign::add);
    Set<String> known = names();
    foreign.removeIf(word -> known.contains(word.toLowerCase(Locale.ROOT)));
    assertEquals(foreign.toString(), "[]", address);
  }

  /** All texts and spoken attributes of a page, without what is in brackets. */
  private static String inOrder(Document page) {
    StringBuilder all = new StringBuilder();
    for (Element element : page.getAllElements()) {
      for (String attribute : List.of("aria-label", "title", "placeholder", "alt")) {
        all.append('\n').append(unbracketed(element.attr(attribute)));
      }
    }
    page.traverse(
        (node, depth) -> {
          if (node instanceof TextNode text) {
            all.append('\n').append(unbracketed(text.getWholeText()));
          }
        });
    return all.toString();
  }

  /** Takes away what is in brackets, the innermost first. */
  private static String unbracketed(String text) {
    String rest = text;
    while (IN_BRACKETS.matcher(rest).find()) {
      rest = IN_BRACKETS.matcher(rest).replaceAll(" ");
    }
    return rest;
  }

  private String anItem() {
    return larder.onShelves().get(0).shelved().code();
  }

  private String opened(String address, String language) throws Exception {
    MockHttpServletResponse answer =
        mvc.perform(
                get(address.replace("ITEM", anItem()))
                    .cookie(session("adaeze"))
                    .header("Accept-Language", language))
            .andReturn()
            .getResponse();
    return answer.getContentAsString(StandardCharsets.UTF_8);
  }

  /** Names of the catalogue and what people of the house wrote, which no bundle translates. */
  private Set<String> names() throws IOException {
    if (names == null) {
      names = new HashSet<>();
      for (String file : CATALOGUE) {
        try (InputStream csv = getClass().getResourceAsStream("/mosaicknife/core/" + file)) {
          learn(new String(csv.readAllBytes(), StandardCharsets.UTF_8));
        }
      }
      jdbc.sql(
              "select distinct said #>> '{}' from house_book,"
                  + " jsonb_path_query(body, 'strict $.** ? (@.type() == \"string\")') said")
          .query(String.class)
          .list()
          .forEach(this::learn);
      for (String[] column : WRITTEN) {
        jdbc.sql(
                "select "
                    + column[1]
                    + " from "
                    + column[0]
                    + " where "
                    + column[1]
                    + " is not null")
            .query(String.class)
            .list()
            .forEach(this::learn);
      }
      for (Locale written : List.of(Locale.UK, Locale.forLanguageTag("en-XA"))) {
        LocalDate day = LocalDate.of(2026, 1, 1);
        for (int i = 0; i < 366; i++) {
          learn(DateTimeFormatter.ofPattern("EEE EEEE MMM MMMM", written).format(day.plusDays(i)));
        }
      }
      Stream.of(Locale.getISOCountries())
          .forEach(code -> learn(new Locale("", code).getDisplayCountry(Locale.UK)));
      learn("nosuchfish cm kg oz lb http localhost dock");
    }
    return names;
  }

  private void learn(String text) {
    WORD.matcher(text)
        .results()
        .map(found -> found.group().toLowerCase(Locale.ROOT))
        .forEach(names::add);
  }
}
