package mosaicknife.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.fields;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noMethods;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.library.Architectures;
import java.math.BigDecimal;
import java.time.Clock;
import java.util.List;
import org.testng.annotations.Test;

/** The written rules of the core, kept by a test. */
public class ArchitectureTest {

  private static final List<String> LADDER =
      List.of(
          "check",
          "memory",
          "finding",
          "quantity",
          "anatomy",
          "breakdown",
          "mosaic",
          "portion",
          "cost",
          "plan",
          "slice",
          "buying",
          "safety",
          "heat",
          "clock",
          "kitchen",
          "scale",
          "craft",
          "lot",
          "use",
          "pot",
          "larder",
          "practice");

  private final JavaClasses core =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .importPackages("mosaicknife.core");

  @Test
  public void theCoreIsPlainJava() {
    classes()
        .should()
        .onlyDependOnClassesThat()
        .resideInAnyPackage(
            "mosaicknife.core..",
            "java..",
            "org.apache.commons.statistics.distribution..",
            "com.google.ortools..",
            "com.google.protobuf..")
        .check(core);
    noClasses()
        .that()
        .resideOutsideOfPackages(
            "mosaicknife.core.use..", "mosaicknife.core.clock..", "mosaicknife.core.slice..")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("com.google.ortools..")
        .check(core);
  }

  @Test
  public void aPackageUsesOnlyThoseBelowIt() {
    Architectures.LayeredArchitecture ladder =
        Architectures.layeredArchitecture().consideringOnlyDependenciesInLayers();
    for (String rung : LADDER) {
      ladder = ladder.layer(rung).definedBy("mosaicknife.core." + rung + "..");
    }
    for (int i = 0; i < LADDER.size() - 1; i++) {
      ladder =
          ladder
              .whereLayer(LADDER.get(i))
              .mayOnlyBeAccessedByLayers(
                  LADDER.subList(i + 1, LADDER.size()).toArray(String[]::new));
    }
    ladder.whereLayer("practice").mayNotBeAccessedByAnyLayer().check(core);
  }

  @Test
  public void valuesDoNotChange() {
    fields()
        .that()
        .areNotStatic()
        .and()
        .areDeclaredInClassesThat()
        .arePublic()
        .should()
        .beFinal()
        .check(core);
    noMethods().should().haveNameMatching("set[A-Z].*").check(core);
  }

  @Test
  public void nothingComesInThroughTheBackDoor() {
    noClasses().should().dependOnClassesThat().areAssignableTo(Clock.class).check(core);
    noClasses().should().callConstructor(java.util.Random.class).check(core);
    noClasses().should().callMethod(System.class, "currentTimeMillis").check(core);
    noClasses().should().callConstructor(BigDecimal.class, double.class).check(core);
  }
}
