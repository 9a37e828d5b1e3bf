package mosaicknife.app.shared;

import static org.testng.Assert.assertEquals;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.testng.annotations.Test;

/** The style sheets and templates as they are written: one place for each thing, no leftovers. */
public class StylesTest {

  private static final int LONGEST_LINE = 120;
  private static final Path RESOURCES = Path.of("src/main/resources");
  private static final Pattern NAMED = Pattern.compile("\\.([a-zA-Z][a-zA-Z0-9_-]*)");
  private static final Pattern BLOCK = Pattern.compile("([^{}]+)\\{([^{}]*)\\}");

  /** The drawings have units of their own. */
  private static final Pattern FREE_SIZE = Pattern.compile("font-size: (?!var\\(--f-|[0-9]+px)");

  @Test
  public void everyClassOfTheStyleSheetsIsUsed() throws IOException {
    StringBuilder used = new StringBuilder();
    for (Path file : files("templates", ".html")) {
      used.append(Files.readString(file));
    }
    for (Path file : files("static", ".js")) {
      used.append(Files.readString(file));
    }
    try (Stream<Path> code = Files.walk(Path.of("src/main/java"))) {
      for (Path file : code.filter(Files::isRegularFile).toList()) {
        used.append(Files.readString(file));
      }
    }
    Set<String> unused = new TreeSet<>();
    for (Path sheet : files("static", ".css")) {
      NAMED
          .matcher(css(sheet).replaceAll("(?s)\\{[^{}]*\\}", "{}").replaceAll("url\\([^)]*\\)", ""))
          .results()
          .map(found -> found.group(1))
          .filter(name -> used.indexOf(name) < 0)
          .forEach(unused::add);
    }
    // worked out from numbers and names of the core
    unused.removeIf(
        name ->
            name.matches(
                "(depth-|s|g)[0-9]|[pfswc]-[A-Z_]+|f-(left|part)|TALLY_[A-Z]+|CAME_SHORT|TOO_WARM|PROVEN|CONTRADICTED"));
    assertEquals(unused.toString(), "[]");
  }

  @Test
  public void noSelectorIsDeclaredTwice() throws IOException {
    List<String> twice = new ArrayList<>();
    for (Path sheet : files("static", ".css")) {
      String all = css(sheet);
      Set<String> seen = new HashSet<>();
      // what stands in a media query is a case of its own
      String plain = all.replaceAll("(?s)@media[^{]*\\{(?:[^{}]*\\{[^{}]*\\})*\\s*\\}", "");
      BLOCK
          .matcher(plain)
          .results()
          .map(found -> found.group(1).strip().replaceAll("\\s+", " "))
          .filter(selector -> !selector.equals("@font-face") && !seen.add(selector))
          .forEach(selector -> twice.add(sheet.getFileName() + " " + selector));
    }
    assertEquals(twice.toString(), "[]");
  }

  @Test
  public void sizesComeFromTheScaleAndNothingIsPulledOver() throws IOException {
    List<String> odd = new ArrayList<>();
    for (Path sheet : files("static", ".css")) {
      for (String line : css(sheet).split("[;{}]")) {
        if (FREE_SIZE.matcher(line).find() || line.matches("(?s).*\\bmargin[a-z-]*:.*-[0-9].*")) {
          odd.add(sheet.getFileName() + line.strip());
        }
      }
    }
    assertEquals(odd.toString(), "[]");
  }

  @Test
  public void aStationWearsItsOwnStylesAndTheSharedOnes() throws IOException {
    Set<String> shared = new HashSet<>();
    for (Path sheet : files("static/shared", ".css")) {
      shared.addAll(names(sheet));
    }
    List<String> borrowed = new ArrayList<>();
    for (Path template : files("templates", ".html")) {
      String station = template.getParent().getFileName().toString();
      String page = Files.readString(template);
      Set<String> worn = new HashSet<>();
      Pattern.compile("class(?:append)?=\"([^\"]*)\"")
          .matcher(page)
          .results()
          .flatMap(found -> Stream.of(found.group(1).split("[^\\w-]+")))
          .forEach(worn::add);
      worn.removeAll(shared);
      for (Path sheet : files("static", ".css")) {
        Set<String> there = names(sheet);
        there.retainAll(worn);
        boolean fragment = station.equals("shared") || station.equals("picture");
        if (!sheet.getFileName().toString().equals(station + ".css") && !fragment) {
          there.removeAll(names(RESOURCES.resolve("static/" + station + "/" + station + ".css")));
          // Bootstrap has them, a station only places them
          there.removeIf(name -> name.matches("(text|mb|btn|alert|table|form)(-.*)?"));
          there.removeIf(name -> name.matches("verdict|undecided|scale|words"));
          there.forEach(
              name -> borrowed.add(template + " ." + name + " of " + sheet.getFileName()));
        }
      }
    }
    assertEquals(borrowed.toString(), "[]");
  }

  @Test
  public void linesOfTemplatesFitAScreen() throws IOException {
    List<String> longOnes = new ArrayList<>();
    for (Path file : files("templates", ".html")) {
      Files.readAllLines(file).stream()
          .filter(line -> line.length() > LONGEST_LINE)
          .forEach(line -> longOnes.add(file + ": " + line.strip()));
    }
    assertEquals(longOnes.toString(), "[]");
  }

  /** A fragment is put in before its condition is looked at: the condition goes around it. */
  @Test
  public void noConditionStandsWhereItIsNotAsked() throws IOException {
    List<String> vain = new ArrayList<>();
    for (Path file : files("templates", ".html")) {
      Pattern.compile("<[^<>]*th:(insert|replace)=[^<]*?>")
          .matcher(Files.readString(file))
          .results()
          .map(found -> found.group())
          .filter(tag -> tag.contains("th:if=") || tag.contains("th:unless="))
          .forEach(tag -> vain.add(file + ": " + tag));
    }
    assertEquals(vain.toString(), "[]");
  }

  private static Set<String> names(Path sheet) throws IOException {
    Set<String> names = new HashSet<>();
    if (Files.exists(sheet)) {
      NAMED
          .matcher(css(sheet).replaceAll("(?s)\\{[^{}]*\\}", "{}"))
          .results()
          .map(found -> found.group(1))
          .forEach(names::add);
    }
    return names;
  }

  private static String css(Path sheet) throws IOException {
    return Files.readString(sheet).replaceAll("(?s)/\\*.*?\\*/", "");
  }

  private static List<Path> files(String folder, String ending) throws IOException {
    try (Stream<Path> files = Files.walk(RESOURCES.resolve(folder))) {
      return files.filter(file -> file.toString().endsWith(ending)).toList();
    }
  }
}
