package mosaicknife.app;

import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.parser.Parser;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What holds for every page: its HTML nests, and every word on it comes from a bundle. */
public class EveryPageTest extends WithPages {

  private static final Pattern IN_BRACKETS = Pattern.compile("⟦[^⟦⟧]*⟧");
  private static final Pattern WORD = Pattern.compile("\\p{L}[\\p{L}’'-]*\\p{L}");

  @Autowired private JdbcClient jdbc;

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
      {"/house"},
      {"/nowhere"},
    };
  }

  @Test(dataProvider = "pages")
  public void theHtmlNests(String address) throws Exception {
    Parser parser = Parser.htmlParser().setTrackErrors(20);
    Jsoup.parse(opened(address, "en"), "", parser);
    assertEquals(parser.getErrors().toString(), "[]", address);
  }

  @Test(dataProvider = "pages")
  public void everyWordComesFromABundle(String address) throws Exception {
    Document page = Jsoup.parse(opened(address, "en-XA"));
    assertTrue(page.text().contains("⟦"), "no word of " + address + " is in brackets");
    page.select("style, script, pre, code").remove();
    Set<String> foreign = new TreeSet<>();
    String all = inOrder(page);
    WORD.matcher(all).results().map(found -> found.group()).forEach(foreign::add);
    foreign.removeIf(word -> names().contains(word.toLowerCase(java.util.Locale.ROOT)));
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
    return all.append('\n').append(unbracketed(page.wholeText())).toString();
  }

  /** Takes away what is in brackets, the innermost first. */
  private static String unbracketed(String text) {
    String rest = text;
    while (IN_BRACKETS.matcher(rest).find()) {
      rest = IN_BRACKETS.matcher(rest).replaceAll(" ");
    }
    return rest;
  }

  private String opened(String address, String language) throws Exception {
    MockHttpServletResponse answer =
        mvc.perform(get(address).cookie(session("adaeze")).header("Accept-Language", language))
            .andReturn()
            .getResponse();
    return answer.getContentAsString(StandardCharsets.UTF_8);
  }

  /** Names of the catalogue and of the house, which no bundle translates. */
  private Set<String> names() {
    if (names == null) {
      names = new HashSet<>();
      for (String file : List.of("species", "body-plans", "part-kinds", "refused")) {
        try (InputStream csv =
            getClass().getResourceAsStream("/mosaicknife/core/anatomy/" + file + ".csv")) {
          if (csv != null) {
            learn(new String(csv.readAllBytes(), StandardCharsets.UTF_8));
          }
        } catch (IOException e) {
          throw new java.io.UncheckedIOException(e);
        }
      }
      for (String column :
          List.of("person.name", "venue.name", "supplier.name", "dish.name", "house.name")) {
        String[] parts = column.split("\\.");
        jdbc.sql("select " + parts[1] + " from " + parts[0])
            .query(String.class)
            .list()
            .forEach(this::learn);
      }
    }
    return names;
  }

  private void learn(String text) {
    WORD.matcher(text)
        .results()
        .map(found -> found.group().toLowerCase(java.util.Locale.ROOT))
        .forEach(names::add);
  }
}
