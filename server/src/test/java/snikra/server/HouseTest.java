package snikra.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import jakarta.persistence.Entity;

@AnalyzeClasses(packages = "snikra", importOptions = ImportOption.DoNotIncludeTests.class)
class HouseTest {

  @ArchTest
  static final ArchRule FORMATS_DO_NOT_KNOW_THE_SERVER =
      noClasses()
          .that()
          .resideInAPackage("snikra.formats..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("snikra.server..", "org.springframework..", "jakarta..");

  @ArchTest
  static final ArchRule ENTITIES_STAY_AT_HOME =
      classes().that().areAnnotatedWith(Entity.class).should().bePackagePrivate();

  @ArchTest
  static final ArchRule CONTROLLERS_DO_NOT_REACH_THE_DATABASE =
      noClasses()
          .that()
          .haveSimpleNameEndingWith("Controller")
          .should()
          .dependOnClassesThat()
          .haveSimpleNameEndingWith("Repository");
}
