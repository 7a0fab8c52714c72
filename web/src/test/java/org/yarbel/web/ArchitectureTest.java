package org.yarbel.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noMethods;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaMethod;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.web.bind.annotation.ModelAttribute;

@AnalyzeClasses(packages = "org.yarbel", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
  @ArchTest
  static final ArchRule theCoreKnowsNothingOfTheWeb = noClasses().that().resideInAPackage("org.yarbel.core..")
      .should().dependOnClassesThat().resideInAnyPackage("org.yarbel.web..", "org.springframework..", "jakarta..");

  @ArchTest
  static final ArchRule screensDoNotDependOnEachOtherInACircle = slices()
      .matching("org.yarbel.web.(*)..")
      .should().beFreeOfCycles();

  @ArchTest
  static final ArchRule onlyTheDemoKnowsTheSimulation = noClasses().that().resideOutsideOfPackages("..web.demo..", "..core.sim..")
      .should().dependOnClassesThat().resideInAPackage("..core.sim..");

  /** Spring fills such a parameter from the address: anybody's link would put its words into our page. */
  @ArchTest
  static final ArchRule noWordOfOursIsTakenFromAnAddress = noMethods()
      .should(new ArchCondition<>("have a plain text as a model attribute") {
        @Override
        public void check(JavaMethod method, ConditionEvents events) {
          method.getParameters().stream().filter(p -> p.isAnnotatedWith(ModelAttribute.class) && p.getRawType().isEquivalentTo(String.class))
              .forEach(p -> events.add(SimpleConditionEvent.satisfied(p, p.getDescription())));
        }
      });

  @Test
  void noTemplateWritesTextUnescapedOrRunsAScriptOfItsOwn() throws IOException {
    Resource[] templates = new PathMatchingResourcePatternResolver().getResources("classpath*:/templates/**/*.html");
    assertThat(templates).hasSizeGreaterThan(30);
    for (Resource template : templates) {
      assertThat(template.getContentAsString(StandardCharsets.UTF_8)).as(template.getFilename()).doesNotContain("th:utext", "th:inline", "[(", " onclick", "javascript:");
    }
  }
}
