package mosaicknife.app;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Locale;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Figures and pictures are the same on a machine that speaks German or Turkish. */
public class OtherLanguagesTest extends WithPages {

  @DataProvider
  public Object[][] pages() {
    return new Object[][] {
      {"/slice/1"},
      {"/slice/7"},
      {"/cost/1"},
      {"/cost"},
      {"/cost/compare?with=lot-1"},
      {"/plan/7"},
      {"/bench/6"},
      {"/uses/3"},
      {"/dock/2"},
      {"/dock/2/passport"},
      {"/catalogue/fish/hake"},
      {"/catalogue"},
      {"/buy"},
    };
  }

  @Test(dataProvider = "pages")
  public void aPageIsTheSameWhateverTheMachineSpeaks(String address) throws Exception {
    Locale before = Locale.getDefault();
    try {
      Locale.setDefault(Locale.ROOT);
      Document here = Jsoup.parse(page("ines", address));
      assertTrue(here.text().length() > 100, here.text());
      for (String language : new String[] {"de-DE", "tr-TR"}) {
        Locale.setDefault(Locale.forLanguageTag(language));
        Document there = Jsoup.parse(page("ines", address));
        assertEquals(there.select("svg").outerHtml(), here.select("svg").outerHtml(), language);
        assertEquals(there.body().text(), here.body().text(), language);
      }
    } finally {
      Locale.setDefault(before);
    }
  }
}
