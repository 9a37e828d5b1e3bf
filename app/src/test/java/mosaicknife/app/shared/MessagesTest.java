package mosaicknife.app.shared;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import mosaicknife.core.finding.Finding;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.testng.annotations.Test;

/** Every message is said somewhere, and no refusal stands in the bundles twice. */
public class MessagesTest {

  private static final Path MAIN = Path.of("src/main");
  private static final Pattern WORD = Pattern.compile("[A-Za-z0-9.-]+");
  private static final Pattern QUOTED = Pattern.compile("['\"]([A-Za-z0-9.-]+)['\"]");

  private static Map<String, String> messages() throws IOException {
    Map<String, String> all = new TreeMap<>();
    for (Path bundle : files(MAIN.resolve("resources/messages"))) {
      Properties lines = new Properties();
      lines.load(Files.newBufferedReader(bundle));
      lines.forEach((key, text) -> all.put((String) key, (String) text));
    }
    return all;
  }

  private static List<Path> files(Path folder) throws IOException {
    try (Stream<Path> found = Files.walk(folder)) {
      return found.filter(Files::isRegularFile).toList();
    }
  }

  /** Every word of the sources that could be a key; the quoted ones with their quotation marks. */
  private static Set<String> sources() throws IOException {
    Set<String> words = new HashSet<>();
    for (String folder : List.of("java", "resources/templates")) {
      for (Path file : files(MAIN.resolve(folder))) {
        String source = Files.readString(file);
        WORD.matcher(source).results().forEach(found -> words.add(found.group()));
        QUOTED.matcher(source).results().forEach(found -> words.add(quoted(found.group(1))));
      }
    }
    return words;
  }

  private static String quoted(String word) {
    return "'" + word + "'";
  }

  /** A key whose end is worked out stands in the source up to its last point or dash, quoted. */
  private static boolean isSaid(String key, Set<String> words) {
    if (Character.isUpperCase(key.charAt(0)) || words.contains(key)) {
      return true; // the names of the core's findings and choices are looked up by their enum
    }
    for (int end = key.length(); end > 0; end--) {
      char last = key.charAt(end - 1);
      if ((last == '.' || last == '-') && words.contains(quoted(key.substring(0, end)))) {
        return true;
      }
    }
    return false;
  }

  @Test
  public void everyMessageIsSaidSomewhere() throws IOException {
    Set<String> words = sources();
    List<String> silent = messages().keySet().stream().filter(key -> !isSaid(key, words)).toList();
    assertEquals(silent.toString(), "[]");
  }

  /** The enums whose constants have words, by the start of their keys. */
  private static Map<String, Class<?>> worded(Map<String, String> messages) throws Exception {
    Map<String, Class<?>> enums = new TreeMap<>();
    for (Resource file :
        new PathMatchingResourcePatternResolver()
            .getResources("classpath*:mosaicknife/**/*.class")) {
      String path = file.getURL().getPath();
      String name = path.substring(path.lastIndexOf("/mosaicknife/") + 1);
      Class<?> type =
          Class.forName(
              name.replace(".class", "").replace('/', '.'),
              false,
              MessagesTest.class.getClassLoader());
      if (type.isEnum()) {
        String key = Finding.of((Enum<?>) type.getEnumConstants()[0]).key();
        String start = key.substring(0, key.lastIndexOf('.') + 1);
        if (messages.keySet().stream().anyMatch(k -> k.startsWith(start))) {
          enums.put(start, type);
        }
      }
    }
    return enums;
  }

  @Test
  public void anEnumWithWordsHasThemForEachOfItsConstantsAndForNothingElse() throws Exception {
    Map<String, String> messages = messages();
    Map<String, Class<?>> enums = worded(messages);
    List<String> wrong = new ArrayList<>();
    enums.forEach(
        (start, type) -> {
          for (Object constant : type.getEnumConstants()) {
            if (!messages.containsKey(start + ((Enum<?>) constant).name())) {
              wrong.add("no words for " + start + constant);
            }
          }
        });
    for (String key : messages.keySet()) {
      if (Character.isUpperCase(key.charAt(0))
          && enums.entrySet().stream().noneMatch(e -> isOf(key, e.getKey(), e.getValue()))) {
        wrong.add("words for nothing: " + key);
      }
    }
    assertEquals(wrong.toString(), "[]");
    assertTrue(enums.size() > 20, "only " + enums.keySet());
  }

  private static boolean isOf(String key, String start, Class<?> type) {
    return key.startsWith(start)
        && Stream.of(type.getEnumConstants())
            .map(constant -> start + ((Enum<?>) constant).name())
            .anyMatch(name -> key.equals(name) || key.startsWith(name + "."));
  }

  @Test
  public void noRefusalStandsInTheBundlesTwice() throws IOException {
    Map<String, String> keyOf = new HashMap<>();
    List<String> twice = new ArrayList<>();
    messages()
        .forEach(
            (key, text) -> {
              String other = key.contains(".problem.") ? keyOf.put(text, key) : null;
              if (other != null) {
                twice.add(other + " and " + key);
              }
            });
    assertEquals(twice.toString(), "[]");
  }
}
