package mosaicknife.core.use;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** A part on hand is sent and read back as the same part, and nothing else is read as one. */
public class HandIdTest {

  @DataProvider
  Object[][] parts() {
    return new Object[][] {
      {"7:frame", new HandId.Cut(7, "frame")},
      {"7:frame:K7Q2M", new HandId.Kept(7, "frame", "K7Q2M")},
    };
  }

  @Test(dataProvider = "parts")
  public void whatIsSentIsReadBack(String text, HandId.Here part) {
    assertEquals(HandId.parse(text), part);
    assertEquals(part.text(), text);
  }

  @DataProvider
  Object[][] others() {
    return new Object[][] {{""}, {"7"}, {"x:frame"}, {"7:"}, {"7:frame:"}, {"7:a:b:c"}};
  }

  @Test(dataProvider = "others")
  public void nothingElseIsOne(String text) {
    assertThrows(IllegalArgumentException.class, () -> HandId.parse(text));
  }
}
