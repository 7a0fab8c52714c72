package org.yarbel.web.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.util.Arrays;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.core.plan.progress.Settings;

class DemoProgramTest {
  private static final Set<Method> LONG = Set.of(Method.RISING, Method.PEAK, Method.TAPER, Method.MOCK);

  @Test
  void everyLineOfEveryWeekCanBeReadAndNamesALiftOfTheCatalogue() {
    for (DemoProgram program : DemoPrograms.all()) {
      for (int week = -program.weeksBack(); week <= 1; week++) {
        for (DayOfWeek day : DayOfWeek.values()) {
          for (DemoProgram.DemoLine line : program.plan().on(day, week)) {
            assertThat(WorkLine.parse(line.work()).line().toString()).as("%s, week %s", program.name(), week).isEqualTo(line.work());
            assertThat(Catalogue.standard().ofKey(line.lift())).as(line.lift()).isPresent();
          }
        }
      }
    }
  }

  @ParameterizedTest
  @EnumSource
  void atLeastTwoTrainOnAnyDaySoThatTheFloorIsNeverEmpty(DayOfWeek day) {
    assertThat(DemoPrograms.all().stream().filter(p -> !p.plan().on(day, 0).isEmpty())).hasSizeGreaterThanOrEqualTo(2);
  }

  @Test
  void theWaveStandsInItsSixthWeek() {
    DemoProgram.Uses wave = DemoPrograms.all().get(0).methods().get(0);
    assertThat(wave.method()).isEqualTo(Method.GOAL_WAVE);
    assertThat(wave.since()).isEqualTo(5);
  }

  @Test
  void everyMethodIsUsedBySomebodyAndEverybodyUsesOne() {
    assertThat(DemoPrograms.all()).hasSize(12).allSatisfy(program -> assertThat(program.methods()).as(program.name()).isNotEmpty());
    assertThat(DemoPrograms.all().stream().flatMap(program -> program.methods().stream()).map(DemoProgram.Uses::method))
        .as("those of a long plan are used by its blocks")
        .containsAll(Arrays.stream(Method.values()).filter(method -> !LONG.contains(method)).toList());
  }

  @Test
  void settingsOfTheDemoAreGoodOnes() {
    DemoPrograms.all().forEach(program -> program.methods().forEach(uses -> {
      assertThat(Settings.check(uses.method(), uses.settings(), Catalogue.standard()).errors()).as(program.name()).isEmpty();
      assertThat(DemoLife.of(program).free()).as("%s is free on the days of %s", program.name(), uses).containsAll(uses.days());
    }));
  }
}
