package org.yarbel.web.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.yarbel.core.contest.Attempt;
import org.yarbel.core.contest.Verdict;
import org.yarbel.core.contest.strongman.EventKind.Field;
import org.yarbel.core.contest.strongman.EventResult;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** Attempts and results come back from their short texts as they were, and what a class allows is read from its name. */
class ShortTextsTest {

  static Stream<Attempt> attempts() {
    List<Verdict> verdicts = new ArrayList<>(Arrays.asList(null, Verdict.good(null), new Verdict(false, 1, Verdict.Reason.DEPTH, null)));
    for (Verdict.Look look : Verdict.Look.values()) {
      verdicts.add(new Verdict(true, 2, null, look));
    }
    for (Verdict.Reason reason : Verdict.Reason.values()) {
      verdicts.add(Verdict.not(reason));
    }
    return verdicts.stream().flatMap(verdict -> Stream.of(new Attempt(2, Mass.of("182.5", MassUnit.KG), 0, verdict),
        new Attempt(3, Mass.of("402.5", MassUnit.LB), 2, verdict)));
  }

  @ParameterizedTest
  @MethodSource("attempts")
  void anAttemptComesBackAsItWas(Attempt attempt) {
    assertThat(Kept.attempt(attempt.number(), Kept.of(attempt))).isEqualTo(attempt);
    assertThat(Kept.lifted(Kept.of(attempt))).isEqualTo(attempt.verdict() != null);
  }

  @Test
  void aResultComesBackAsItWas() {
    EventResult all = EventResult.of(Mass.of("142.5", MassUnit.KG)).with(Field.TRIES, "2");
    for (EventResult result : List.of(all, EventResult.NONE, EventResult.of(Field.REPS, "7").with(Field.TIME, "52.31"),
        EventResult.of(Field.FINISHED, "0").with(Field.DONE, "2").with(Field.DISTANCE, "17.5"))) {
      assertThat(Kept.result(Kept.of(result))).isEqualTo(result);
    }
    assertThat(Kept.of(EventResult.of(Field.TIME, "20"))).as("no power of ten").isEqualTo("TIME=20");
    assertThat(Kept.of((Attempt) null)).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"93, 93.01, 93", "-83 kg, 83.5, 83", "M 83, 84, 83", "'67,5', 67.6, 67.5", "93, 93, ", "120+, 150, ", "open, 150, ", "'', 90, "})
  void overTheClassIsWhatIsHeavierThanItsName(String category, String body, String limit) {
    assertThat(ClassLimit.over(category, Mass.of(body, MassUnit.KG)).map(Mass::number).orElse(null)).isEqualTo(limit);
  }

  @Test
  void withoutABodyMassNobodyIsOver() {
    assertThat(ClassLimit.over("93", null)).isEmpty();
  }
}
