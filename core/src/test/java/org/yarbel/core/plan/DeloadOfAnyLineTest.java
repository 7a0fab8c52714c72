package org.yarbel.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.notation.Part;
import org.yarbel.core.notation.Work;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.sim.GeneratedLines;

/** Easy weeks of generated lines of every shape. */
class DeloadOfAnyLineTest {
  private static final int LINES = 3_000;

  @ParameterizedTest
  @EnumSource(Deload.class)
  void writesALineThatReadsBackWithNoMoreSetsAndNothingOpen(Deload kind) {
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(7_031);
    for (int i = 0; i < LINES; i++) {
      String work = GeneratedLines.line(random).toString();
      String easy = kind.applied(WorkLine.parse(work).line(), EffortChart.HOUSE).map(WorkLine::toString).orElse(null);
      if (kind == Deload.DAYS_OFF) {
        assertThat(easy).isNull();
        continue;
      }
      WorkLine line = WorkLine.parse(easy).line();
      assertThat(line.toString()).as("%s of %s", kind, work).isEqualTo(easy);
      if (kind != Deload.LIGHT_TECHNIQUE) {
        assertThat(line.parts()).as(work).noneMatch(DeloadOfAnyLineTest::open);
      }
      if (kind == Deload.LESS_VOLUME) {
        assertThat(sets(line)).as("%s of %s", easy, work).isLessThanOrEqualTo(sets(WorkLine.parse(work).line()));
      }
    }
  }

  private static boolean open(Part part) {
    return part.work() instanceof Work.Max || part.work() instanceof Work.SetsOfReps sets
        && (sets.reps().middle().isEmpty() || sets.reps().toString().endsWith("+"));
  }

  private static int sets(WorkLine line) {
    return line.parts().stream().mapToInt(part -> part.work().sets()).sum();
  }
}
