package org.yarbel.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noMethods;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
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
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
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

  /** What every package may use: who asks, what comes in and goes out, and the pictures have no say of their own here. */
  private static final Set<String> GROUND = Set.of("audit", "column", "edge", "form", "once", "problem", "who");
  private static final Pattern MAY_USE = Pattern.compile("It may use ([^.]*)\\.");

  /** The walls stand where each package-info says they do. */
  @ArchTest
  static void aPackageUsesJustWhatItSaysItMay(JavaClasses classes) throws IOException {
    Map<String, Set<String>> uses = new TreeMap<>();
    for (JavaClass one : classes) {
      String own = screen(one);
      if (!own.isEmpty()) {
        Set<String> used = uses.computeIfAbsent(own, screen -> new TreeSet<>());
        one.getDirectDependenciesFromSelf().stream().map(dependency -> screen(dependency.getTargetClass()))
            .filter(other -> !other.isEmpty() && !other.equals(own)).forEach(used::add);
      }
    }
    assertThat(uses).hasSizeGreaterThan(35);
    for (Map.Entry<String, Set<String>> screen : uses.entrySet()) {
      String told = Files.readString(Path.of("src/main/java/org/yarbel/web", screen.getKey(), "package-info.java"))
          .replaceAll("\\s+\\*?\\s*", " ");
      Matcher may = MAY_USE.matcher(told);
      Set<String> said = may.find() ? Set.of(may.group(1).split(",? and |, ")) : Set.of();
      Set<String> used = new TreeSet<>(screen.getValue());
      used.removeAll(GROUND);
      assertThat(used).as("what %s uses, and its package-info says", screen.getKey()).containsExactlyInAnyOrderElementsOf(said);
    }
  }

  /** The package of a screen, or of what screens share; empty for all that is none of ours. */
  private static String screen(JavaClass one) {
    String name = one.getPackageName();
    return name.startsWith("org.yarbel.web.") ? name.substring("org.yarbel.web.".length()) : "";
  }

  /** Spring fills such a parameter from the address: anybody's link would put its words into our page. */
  @ArchTest
  static final ArchRule noWordOfOursIsTakenFromAnAddress = noMethods()
      .should(new ArchCondition<>("have a plain text as a model attribute") {
        @Override
        public void check(JavaMethod method, ConditionEvents events) {
          method.getParameters().stream().filter(p -> p.isAnnotatedWith(ModelAttribute.class)
              && p.getRawType().isEquivalentTo(String.class))
              .forEach(p -> events.add(SimpleConditionEvent.satisfied(p, p.getDescription())));
        }
      });

  @Test
  void noTemplateWritesTextUnescapedOrRunsAScriptOfItsOwn() throws IOException {
    Resource[] templates = new PathMatchingResourcePatternResolver().getResources("classpath*:/templates/**/*.html");
    assertThat(templates).hasSizeGreaterThan(30);
    for (Resource template : templates) {
      assertThat(template.getContentAsString(StandardCharsets.UTF_8)).as(template.getFilename())
          .doesNotContain("th:utext", "th:inline", "[(", " onclick", "javascript:");
    }
  }

  /** A line fits beside another file on a screen; tests may quote a document in one. */
  @Test
  void noLineOfTheCodeIsWiderThanAScreen() throws IOException {
    assertThat(wider(140, Path.of("../core/src/main/java"), Path.of("src/main/java"))).isEmpty();
    assertThat(wider(160, Path.of("src/main/resources/templates"))).isEmpty();
  }

  private static List<String> wider(int most, Path... roots) throws IOException {
    List<String> wide = new ArrayList<>();
    for (Path root : roots) {
      try (Stream<Path> files = Files.walk(root)) {
        for (Path file : files.filter(Files::isRegularFile).toList()) {
          Files.readAllLines(file).stream().filter(line -> line.length() > most).map(line -> file + ": " + line).forEach(wide::add);
        }
      }
    }
    return wide;
  }
}
