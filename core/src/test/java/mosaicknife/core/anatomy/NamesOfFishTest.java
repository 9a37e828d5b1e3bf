package mosaicknife.core.anatomy;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * A table of names as they are typed, in the languages and scripts in which fish are sold. A common
 * name that is wrongly refused is as bad as a refused one that passes.
 */
public class NamesOfFishTest {

  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final int NAMES = 400;
  private static final int REFUSED = 150;

  @DataProvider
  public Object[][] names() {
    return ReferenceFile.open(NamesOfFishTest.class, "names-of-fish.csv").lines().stream()
        .map(line -> new Object[] {line.field(0), line.field(1)})
        .toArray(Object[][]::new);
  }

  @Test
  public void theTableIsLargeEnough() {
    List<Object[]> all = Arrays.asList(names());
    assertTrue(all.size() >= NAMES, all.size() + " names");
    long refused = all.stream().filter(one -> one[1].toString().startsWith("!")).count();
    assertTrue(refused >= REFUSED, refused + " refused");
  }

  @Test(dataProvider = "names")
  public void aNameMeansItsFish(String name, String means) {
    Optional<String> refused = CATALOGUE.findRefused(name).map(RefusedFish::name);
    List<String> found = CATALOGUE.search(name).stream().map(Species::code).toList();
    if (means.startsWith("!")) {
      assertEquals(refused, Optional.of(means.substring(1)), name);
      assertEquals(found, List.of(), "nobody takes it for another");
      return;
    }
    assertEquals(refused, Optional.empty(), name);
    Set<String> wanted = Set.of(means.split("\\+"));
    assertTrue(!found.isEmpty() && wanted.contains(found.get(0)), name + " finds " + found);
    if (wanted.size() > 1) {
      assertEquals(
          CATALOGUE.named(name).stream().map(Species::code).collect(Collectors.toSet()),
          wanted,
          name + " asks which");
    }
  }
}
