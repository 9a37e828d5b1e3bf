package mosaicknife.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noFields;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import jakarta.persistence.Entity;
import jakarta.persistence.EntityManager;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.text.NumberFormat;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.data.repository.Repository;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RestController;
import org.testng.annotations.Test;

/** The written rules of the application, kept by a test. */
public class ArchitectureTest {

  private final JavaClasses app =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .importPackages("mosaicknife.app");

  @Test
  public void stationsHaveNoCycles() {
    slices().matching("mosaicknife.app.(*)..").should().beFreeOfCycles().check(app);
  }

  /**
   * The floors, from below. On the two in the middle a package may ask one before it; stations know
   * nothing of each other, and whoever reads everybody stands above them.
   */
  private static final List<List<String>> FLOORS =
      List.of(
          List.of("shared", "picture"),
          List.of("device", "house", "account"),
          List.of("booklet", "catalogue", "buy", "lot", "parts", "weighing", "larder", "homes"),
          List.of("lots", "dock", "cutplan", "bench", "slice", "cost", "pot", "kitchen", "backup"),
          List.of("today", "clock", "exchange"),
          List.of("demo"));

  private static final int STATIONS = 3;

  @Test
  public void everyPackageStandsOnAFloorAndAsksDownwards() {
    List<String> order = FLOORS.stream().flatMap(List::stream).toList();
    List<String> wrong = new ArrayList<>();
    for (JavaClass one : app) {
      String from = station(one);
      if (from.isEmpty()) {
        continue;
      }
      assertTrue(order.contains(from), from + " stands on no floor");
      one.getDirectDependenciesFromSelf().stream()
          .map(arrow -> station(arrow.getTargetClass()))
          .filter(to -> !to.isEmpty() && !to.equals(from))
          .filter(
              to ->
                  floor(to) > floor(from)
                      || floor(to) == floor(from)
                          && (floor(to) >= STATIONS || order.indexOf(to) > order.indexOf(from)))
          .forEach(to -> wrong.add(one.getSimpleName() + " of " + from + " asks " + to));
    }
    assertEquals(wrong, List.of());
  }

  private static int floor(String station) {
    return IntStream.range(0, FLOORS.size())
        .filter(i -> FLOORS.get(i).contains(station))
        .findFirst()
        .orElse(FLOORS.size());
  }

  private static String station(JavaClass one) {
    String root = "mosaicknife.app.";
    return one.getPackageName().startsWith(root)
        ? one.getPackageName().substring(root.length()).split("\\.")[0]
        : "";
  }

  @Test
  public void entitiesStayInTheirStation() {
    classes().that().areAnnotatedWith(Entity.class).should().bePackagePrivate().check(app);
    classes().that().areAssignableTo(Repository.class).should().bePackagePrivate().check(app);
  }

  @Test
  public void controllersReachNoDatabase() {
    noClasses()
        .that()
        .areAnnotatedWith(Controller.class)
        .or()
        .areAnnotatedWith(RestController.class)
        .should()
        .dependOnClassesThat()
        .areAnnotatedWith(Entity.class)
        .orShould()
        .dependOnClassesThat()
        .areAssignableTo(Repository.class)
        .orShould()
        .dependOnClassesThat()
        .belongToAnyOf(EntityManager.class, JdbcClient.class)
        .check(app);
  }

  @Test
  public void timeAndBeansComeInByTheConstructor() {
    noFields().should().beAnnotatedWith(Autowired.class).check(app);
    noClasses().should().callMethod(Instant.class, "now").check(app);
    noClasses().should().callMethod(LocalDate.class, "now").check(app);
  }

  /** What depends on the language of the machine, and is seen only on one of another language. */
  private static final Pattern BY_THE_SERVER =
      Pattern.compile(
          "\"[^\"\\n]*%[-+0-9.,]*[dfe][^\"\\n]*\"\\s*(\\.|::)formatted"
              + "|String\\.format\\(\\s*\""
              + "|\\.to(Lower|Upper)Case\\(\\)");

  @Test
  public void noNumberOrLetterDependsOnTheServersLanguage() throws IOException {
    noClasses().should().callMethod(Locale.class, "getDefault").check(app);
    noClasses().should().callMethod(NumberFormat.class, "getInstance").check(app);
    List<String> sources =
        List.of("src/main/java", "src/main/resources/templates", "../core/src/main/java");
    for (String source : sources) {
      try (Stream<Path> files = Files.walk(Path.of(source))) {
        for (Path file : files.filter(Files::isRegularFile).toList()) {
          Matcher found = BY_THE_SERVER.matcher(Files.readString(file));
          // the core says figures to developers only, in messages of its checks
          boolean isCheck = source.contains("core");
          assertFalse(
              found.find() && !(isCheck && found.group().contains("formatted")),
              file + ": " + (found.reset().find() ? found.group() : ""));
        }
      }
    }
  }

  @Test
  public void foldersOfTemplatesAndStaticFilesAreStations() throws IOException {
    Set<String> packages = app.stream().map(JavaClass::getPackageName).collect(Collectors.toSet());
    for (String kind : List.of("templates", "static")) {
      try (Stream<Path> folders = Files.list(Path.of("src/main/resources", kind))) {
        folders
            .filter(Files::isDirectory)
            .map(folder -> folder.getFileName().toString())
            .filter(folder -> !folder.equals("fonts"))
            .forEach(
                folder ->
                    assertTrue(
                        packages.contains("mosaicknife.app." + folder),
                        kind + "/" + folder + " has no package of that name"));
      }
    }
  }
}
