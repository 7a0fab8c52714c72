package org.yarbel.web.watch;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class RecoveryPictureTest {
  @Test
  void drawsAPanelALiftWithALineAQuality(TestApp app) {
    Someone lifter = Someone.called(app, "Ottokar Dell", Map.of("squat", "200", "bench", "140"));
    app.jdbc().sql("update lifter set height_mm = 1900, birth_year = 1970 where id = :l").param("l", lifter.id()).update();
    lifter.add(TestApp.TODAY, "MAIN", "squat", "5x5 80%");
    lifter.add(TestApp.TODAY.plusDays(3), "MAIN", "squat", "3x3 60%");
    lifter.add(TestApp.TODAY.plusDays(1), "MAIN", "bench", "4x4 80%");
    String week = lifter.coach().get(lifter.at("/week/recovery?of=" + TestApp.TODAY)).body();
    assertThat(week.split("class=\"dip\"", -1)).as("a panel of each lift").hasSize(3);
    assertThat(week.split("<polyline", -1).length - 1).as("four qualities of each").isEqualTo(8);
    assertThat(week).contains("(taller +, older +, low bar +)").contains("(taller +, older +)");
    // loads 25 × 0.64 and 9 × 0.36 over their middle of 9.62, kept within 0.3 and 1.5
    // 5 days of force × 1.1³ for the squat, × 0.7 × 1.1² for the bench
    assertThat(week).contains("force 6.7 days").contains("force 4.2 days");
    assertThat(week).contains("Squat over the week: Mon 1.5 of a usual hard session, Thu 0.3 of a usual hard session");
  }

  @Test
  void leavesOutWhatIsNotTrained(TestApp app) {
    Someone lifter = Someone.called(app, "Pomona Lisle", Map.of("squat", "200"));
    lifter.add(TestApp.TODAY, "ASSISTANCE", "leg-curl", "3x10");
    assertThat(lifter.coach().get(lifter.at("/week/recovery?of=" + TestApp.TODAY)).body()).doesNotContain("class=\"dip\"");
  }
}
