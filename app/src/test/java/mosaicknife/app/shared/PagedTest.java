package mosaicknife.app.shared;

import static org.testng.Assert.assertEquals;

import java.util.List;
import java.util.stream.IntStream;
import org.testng.annotations.Test;

/** A list by pages: none of its rows is left out, whatever page is asked for. */
public class PagedTest {

  private static final List<Integer> SEVEN = IntStream.range(0, 7).boxed().toList();

  @Test
  public void theLastPageHasTheRest() {
    assertEquals(Paged.of(SEVEN, 3, 3).rows(), List.of(6));
    assertEquals(Paged.of(SEVEN, 2, 3).rows(), List.of(3, 4, 5));
    assertEquals(Paged.of(SEVEN, 1, 3).pages(), 3);
    assertEquals(Paged.of(SEVEN, 1, 7).pages(), 1);
  }

  @Test
  public void thereIsAlwaysAPage() {
    assertEquals(Paged.of(SEVEN, 99, 3).number(), 3);
    assertEquals(Paged.of(SEVEN, -1, 3).number(), 1);
    assertEquals(Paged.of(List.of(), 4, 3), new Paged<>(List.of(), 1, 1, 0));
  }

  @Test
  public void anAddressMayHoldTheWordItself() {
    assertEquals(
        Paged.address("/lots?text=PAGE&page=PAGE#parts", 4), "/lots?text=PAGE&page=4#parts");
    assertEquals(Paged.number("12"), 12);
    assertEquals(Paged.number("-3"), 1);
    assertEquals(Paged.number("9999999999"), 1);
  }
}
