package mosaicknife.core.memory;

import static org.testng.Assert.assertEquals;

import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.Test;

/** What was worked out is not worked out again, as long as it is remembered. */
public class RecentTest {

  @Test
  public void theSameIsAskedOnceAndWhatNobodyAskedForLongestIsForgotten() {
    List<String> asked = new ArrayList<>();
    Recent<String, Integer> recent =
        new Recent<>(
            2,
            word -> {
              asked.add(word);
              return word.length();
            });
    for (String word : List.of("hake", "hake", "turbot", "hake", "plaice", "hake", "turbot")) {
      assertEquals(recent.of(word).intValue(), word.length());
    }
    assertEquals(asked, List.of("hake", "turbot", "plaice", "turbot"));
  }
}
