package org.yarbel.core.track;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

/** Going on from where the filter stood is the same as running over all of the log, to the last digit. */
class GoingOnTest {
  private static final LocalDate START = LocalDate.of(2026, 1, 5);

  /** A log with layoffs, flags, floors and misses. */
  private static List<Observation> log(Random random) {
    List<Observation> log = new ArrayList<>();
    LocalDate day = START;
    for (int i = 0; i < 60; i++) {
      day = day.plusDays(random.nextInt(20) == 0 ? 30 : 1 + random.nextInt(4));
      int sets = 1 + random.nextInt(4);
      boolean flagged = random.nextInt(4) == 0;
      for (int set = 0; set < sets; set++) {
        Rpe rpe = random.nextInt(3) == 0 ? null : Rpe.of((12 + random.nextInt(9)) / 2.0);
        log.add(new Observation(day, Mass.of(Integer.toString(120 + random.nextInt(60)), MassUnit.KG), random.nextInt(10) == 0 ? 0
            : 1 + random.nextInt(6), rpe, random.nextInt(15) == 0, false, false, flagged, false));
      }
    }
    return log;
  }

  @ParameterizedTest
  @EnumSource(Level.class)
  void isTheSameAsARunOverAllOfIt(Level level) {
    for (int seed = 0; seed < 20; seed++) {
      List<Observation> log = log(new Random(seed));
      MaxTracker.Tested tested = seed % 2 == 0 ? null : new MaxTracker.Tested(Mass.of("170", MassUnit.KG), START.plusDays(20));
      MaxTracker tracker = new MaxTracker(level, tested);
      for (int size = 1; size <= log.size(); size++) {
        MaxTracker.Track whole = tracker.run(log.subList(0, size), MassUnit.KG);
        MaxTracker.Checkpoint from = whole.before();
        if (from != null) {
          List<Observation> since = log.subList(0, size).stream().filter(set -> set.date().isAfter(from.day())).toList();
          MaxTracker.Track gone = tracker.goOn(from, since, MassUnit.KG);
          assertThat(gone.standing()).as("seed " + seed + ", " + size + " sets").isEqualTo(whole.standing());
          assertThat(gone.before()).isEqualTo(from);
          assertThat(gone.points()).isEqualTo(whole.points().stream().filter(point -> point.date().isAfter(from.day())).toList());
        }
      }
    }
  }

  @ParameterizedTest
  @EnumSource(Level.class)
  void refusesASetOfADayItKnows(Level level) {
    List<Observation> log = log(new Random(3));
    MaxTracker tracker = new MaxTracker(level, null);
    MaxTracker.Checkpoint from = tracker.run(log, MassUnit.KG).before();
    assertThat(catchThrowableOfType(Refused.class, () -> tracker.goOn(from, log, MassUnit.KG)).sentence())
        .isEqualTo("The sets must be of days after " + from.day() + ".");
  }
}
