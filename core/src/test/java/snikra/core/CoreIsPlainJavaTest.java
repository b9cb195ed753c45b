package snikra.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "snikra.core", importOptions = ImportOption.DoNotIncludeTests.class)
class CoreIsPlainJavaTest {

  @ArchTest
  static final ArchRule KNOWS_NO_FRAMEWORK =
      noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "org.springframework..",
              "jakarta..",
              "javax.servlet..",
              "org.hibernate..",
              "com.fasterxml..",
              "java.awt..",
              "java.sql..",
              "java.net..");

  @ArchTest
  static final ArchRule HAS_NO_CYCLES =
      slices().matching("snikra.core.(*)..").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule FACTS_DO_NOT_KNOW_JUDGEMENTS =
      noClasses()
          .that()
          .resideInAnyPackage("..specimen..", "..clue..", "..reference..", "..pattern..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("..dating..", "..examination..", "..mark..");
}
