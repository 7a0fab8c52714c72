package org.yarbel.web.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.notation.WorkLine;

class DemoProgramTest {
  @Test
  void everyLineOfEveryWeekCanBeReadAndNamesALiftOfTheCatalogue() {
    for (DemoProgram program : DemoProgram.all()) {
      for (int week = -program.weeksBack(); week <= 1; week++) {
        for (DayOfWeek day : DayOfWeek.values()) {
          for (DemoProgram.Line line : program.plan().on(day, week)) {
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
    assertThat(DemoProgram.all().stream().filter(p -> !p.plan().on(day, 0).isEmpty())).hasSizeGreaterThanOrEqualTo(2);
  }

  // The percent wave to a goal in its week 6 of 11: 75 + 22·5/9 = 87.2, to the half 87; our own default
  @Test
  void theWaveStandsInItsSixthWeek() {
    List<DemoProgram.Line> friday = DemoProgram.all().get(0).plan().on(DayOfWeek.FRIDAY, 0);
    assertThat(friday.get(0).work()).isEqualTo("1x2 87% goal; 5x3 65% goal rest 90s");
  }
}
