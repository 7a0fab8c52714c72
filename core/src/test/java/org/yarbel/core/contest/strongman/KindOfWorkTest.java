package org.yarbel.core.contest.strongman;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.notation.WorkLine;

/** What an event is from how it is written. Common practice, no source. */
class KindOfWorkTest {

  @ParameterizedTest
  @CsvSource({"timed 1x60s 100kg, REPS", "1xAMRAP 100kg, REPS", "max 1, MAX_LOAD", "build 1 @10, MAX_LOAD", "carry 1x20m 300kg in 60s, TIME",
      "hold 1x60s 20kg, HOLD", "series 100/120/140kg in 90s, SERIES", "carry 1x20m 300kg; carry 1x20m 200kg, MEDLEY"})
  void theWorkTellsTheKind(String work, EventKind kind) {
    assertThat(KindOfWork.of(WorkLine.parse(work).line())).isEqualTo(kind);
  }
}
