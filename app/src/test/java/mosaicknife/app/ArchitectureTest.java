package mosaicknife.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noFields;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import com.tngtech.archunit.base.DescribedPredicate;
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
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
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

  @Test
  public void sharedKnowsNoStation() {
    noClasses()
        .that()
        .resideInAPackage("mosaicknife.app.shared")
        .should()
        .dependOnClassesThat(
            DescribedPredicate.describe(
                "are in a station",
                (JavaClass c) ->
                    c.getPackageName().startsWith("mosaicknife.app.")
                        && !c.getPackageName().equals("mosaicknife.app.shared")))
        .check(app);
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
