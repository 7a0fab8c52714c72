package org.yarbel.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "org.yarbel.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
  @ArchTest
  static final ArchRule theCoreKnowsNoFramework = classes()
      .should().onlyDependOnClassesThat().resideInAnyPackage("java..", "org.jspecify..", "org.apache.commons.numbers..", "org.yarbel.core..");

  @ArchTest
  static final ArchRule packagesDependOnlyUpTheList = layeredArchitecture().consideringOnlyDependenciesInLayers()
      .layer("mass").definedBy("..core.mass..")
      .layer("lift").definedBy("..core.lift..")
      .layer("log").definedBy("..core.log..")
      .layer("effort").definedBy("..core.effort..")
      .layer("kit").definedBy("..core.kit..")
      .layer("track").definedBy("..core.track..")
      .layer("notation").definedBy("..core.notation..")
      .layer("card").definedBy("..core.card..")
      .layer("plan").definedBy("org.yarbel.core.plan")
      .layer("progress").definedBy("..core.plan.progress..")
      .layer("cycle").definedBy("..core.plan.cycle..")
      .layer("watch").definedBy("..core.watch..")
      .layer("call").definedBy("..core.call..")
      .layer("contest").definedBy("..core.contest..")
      .layer("records").definedBy("..core.records..")
      .layer("sim").definedBy("..core.sim..")
      .whereLayer("records").mayNotBeAccessedByAnyLayer()
      .whereLayer("sim").mayNotBeAccessedByAnyLayer()
      .whereLayer("contest").mayOnlyBeAccessedByLayers("sim")
      .whereLayer("call").mayOnlyBeAccessedByLayers("sim")
      .whereLayer("watch").mayOnlyBeAccessedByLayers("call", "sim")
      .whereLayer("cycle").mayOnlyBeAccessedByLayers("watch", "call", "sim")
      .whereLayer("progress").mayOnlyBeAccessedByLayers("cycle", "watch", "call", "sim")
      .whereLayer("plan").mayOnlyBeAccessedByLayers("progress", "cycle", "watch", "call", "sim")
      .whereLayer("card").mayOnlyBeAccessedByLayers("plan", "progress", "cycle", "watch", "call", "sim")
      .whereLayer("notation").mayOnlyBeAccessedByLayers("card", "plan", "progress", "cycle", "watch", "contest", "call", "sim")
      .whereLayer("track").mayOnlyBeAccessedByLayers("card", "plan", "progress", "cycle", "watch", "contest", "call", "sim")
      .whereLayer("kit").mayOnlyBeAccessedByLayers("track", "notation", "card", "plan", "progress", "cycle", "watch", "contest", "call", "sim")
      .whereLayer("effort").mayOnlyBeAccessedByLayers("records", "kit", "track", "notation", "card", "plan", "progress", "cycle", "watch",
          "contest", "call", "sim")
      .whereLayer("log").mayOnlyBeAccessedByLayers("kit", "track", "notation", "card", "plan", "progress", "cycle", "watch", "call", "sim")
      .whereLayer("lift").mayOnlyBeAccessedByLayers("effort", "log", "kit", "track", "notation", "card", "plan", "progress", "cycle",
          "watch", "contest", "call", "sim");
}
