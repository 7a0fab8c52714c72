package org.yarbel.core.watch;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.util.EnumSet;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.lift.Level;

/** What the checks see over the week's edge, and the moves they propose. */
class AcrossWeeksTest {
  @Test
  void sundayAndMondayFollowEachOther() {
    Weeks weeks = new Weeks();
    weeks.before("Sun main squat 5x5 80%");
    assertThat(weeks.find("consecutive-days", "Mon main squat 5x5 80%")).singleElement()
        .satisfies(found -> assertThat(found.sentence()).contains("Sunday"));
    assertThat(new Weeks().find("consecutive-days", "Mon main squat 5x5 80%")).isEmpty();
  }

  @Test
  void aLongRunOfHardDaysIsToldInFull() {
    List<Finding> found = new Weeks().find("hard-days-running", "Mon main squat 5x5 82%", "Tue main bench 5x5 82%",
        "Wed main deadlift 5x5 82%", "Thu main squat 5x5 82%", "Fri main bench 5x5 82%", "Sat main deadlift 5x5 82%");
    assertThat(found).isNotEmpty();
    assertThat(found.get(0).sentence()).contains("Monday").contains("Saturday");
  }

  @Test
  void aLayoutFaultComesWithTheMoveThatMendsIt() {
    Weeks weeks = new Weeks();
    weeks.free.addAll(EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.TUESDAY, DayOfWeek.FRIDAY));
    List<Finding> found = weeks.find("consecutive-days", "Mon main squat 5x5 80%", "Tue main squat 5x5 80%");
    assertThat(found).singleElement().satisfies(one -> {
      assertThat(one.move()).isNotNull();
      assertThat(one.move().to()).isEqualTo(Weeks.MONDAY.plusDays(4));
      assertThat(one.move().lines()).containsExactly(2L);
      assertThat(one.move().words()).isEqualTo("the squat of Tuesday to Friday");
      assertThat(weeks.of("Mon main squat 5x5 80%", "Tue main squat 5x5 80%").moved(one.move().lines(), one.move().to())).satisfies(week ->
          assertThat(Checks.ofKey("consecutive-days").orElseThrow().look(week)).as("the move mends it").isEmpty());
    });
    weeks.free.remove(DayOfWeek.FRIDAY);
    assertThat(weeks.find("consecutive-days", "Mon main squat 5x5 80%", "Tue main squat 5x5 80%")).singleElement().satisfies(one -> {
      assertThat(one.move()).isNull();
      assertThat(one.severity()).as("nothing better can be done").isEqualTo(Severity.NOTE);
    });
  }

  @Test
  void whatIsBehindIsNotMoved() {
    Weeks weeks = new Weeks();
    weeks.today = Weeks.MONDAY.plusDays(2);
    assertThat(weeks.find("consecutive-days", "Mon main squat 5x5 80%", "Tue main squat 5x5 80%"))
        .allSatisfy(found -> assertThat(found.move()).isNull());
  }

  @Test
  void aClusterThatCameShortIsRememberedByHandToo() {
    Weeks weeks = new Weeks();
    weeks.clusters.put("squat", new Around.ShortCluster(Weeks.MONDAY.minusDays(7), Weeks.kg("185"), 3));
    assertThat(weeks.find("cluster-too-heavy", "Mon main squat cluster 3x6 185kg gap 20s")).singleElement().satisfies(found -> {
      // 185 x 0.95 = 175.75
      assertThat(found.mend().work()).isEqualTo("cluster 3x6 175.8kg gap 20s");
      assertThat(found.sentence()).contains("3 singles").contains("5 % lighter");
    });
    assertThat(weeks.find("cluster-too-heavy", "Mon main squat cluster 3x6 175kg gap 20s")).isEmpty();
    weeks.clusters.put("squat", new Around.ShortCluster(Weeks.MONDAY.minusDays(60), Weeks.kg("185"), 3));
    assertThat(weeks.find("cluster-too-heavy", "Mon main squat cluster 3x6 185kg gap 20s")).as("too long ago").isEmpty();
  }

  // Handbook: beginners 75-85 % or practice from 60, intermediates 85-95, advanced 70-80
  @ParameterizedTest
  @CsvSource({"BEGINNER,80,false", "BEGINNER,88,true", "INTERMEDIATE,88,false", "INTERMEDIATE,72,true", "ADVANCED,75,false",
      "ADVANCED,88,true"})
  void tellsWhereTheWorkSitsBesideTheLevel(Level level, int percent, boolean told) {
    Weeks weeks = new Weeks();
    weeks.level = level;
    List<Finding> found = weeks.find("where-it-sits", "Mon main squat 4x2 " + percent + "%", "Thu main squat 4x2 " + percent + "%");
    assertThat(!found.isEmpty()).isEqualTo(told);
    assertThat(found).allSatisfy(one -> {
      assertThat(one.severity()).isEqualTo(Severity.NOTE);
      assertThat(one.sentence()).contains("; at this level most work at ");
    });
  }

  @Test
  void aMilestoneIsJumpedOver() {
    Weeks weeks = new Weeks();
    weeks.heaviest.put("squat", Weeks.kg("195"));
    assertThat(weeks.find("milestone", "Mon main squat 1x1 200kg")).allSatisfy(found -> assertThat(found.mend()).isNotNull());
  }
}
