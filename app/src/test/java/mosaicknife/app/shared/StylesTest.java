package mosaicknife.app.shared;

import static org.testng.Assert.assertEquals;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.testng.annotations.Test;

/** A class that only the style sheet names is one whose template was renamed. */
public class StylesTest {

  private static final Path RESOURCES = Path.of("src/main/resources");
  private static final Pattern NAMED = Pattern.compile("\\.([a-z][a-z0-9]*(?:-[a-z0-9]+)+)");

  @Test
  public void everyClassOfTheStyleSheetIsUsed() throws IOException {
    String css = Files.readString(RESOURCES.resolve("static/shared/mosaic.css"));
    StringBuilder used = new StringBuilder();
    for (Path folder : List.of(RESOURCES.resolve("templates"), RESOURCES.resolve("static"))) {
      read(folder, used);
    }
    read(Path.of("src/main/java"), used);
    Set<String> unused = new TreeSet<>();
    NAMED
        .matcher(css.replaceAll("(?s)/\\*.*?\\*/", ""))
        .results()
        .map(found -> found.group(1))
        .filter(name -> used.indexOf(name) < 0)
        .forEach(unused::add);
    // the depth of a part is worked out: 'depth-' + its number
    unused.removeIf(name -> name.matches("depth-[0-9]"));
    assertEquals(unused.toString(), "[]");
  }

  private static void read(Path folder, StringBuilder into) throws IOException {
    try (Stream<Path> files = Files.walk(folder)) {
      for (Path file : files.filter(Files::isRegularFile).toList()) {
        String name = file.toString();
        if (name.endsWith(".html") || name.endsWith(".js") || name.endsWith(".java")) {
          into.append(Files.readString(file));
        }
      }
    }
  }
}
