package org.yarbel.core.notation;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.sim.GeneratedLines;

class ReadingTest {
  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
    "1x1 @8; 4x4 -15% | a single at RPE 8. 4 sets of 4 at 15 % under the single",
    "1x3 85%; 3x3 80% top | 1 set of 3 at 85 %. 3 sets of 3 at 80 % of the triple",
    "1x1 @8; 2x3 -10%; 2x5 -20% | a single at RPE 8. 2 sets of 3 at 10 % under the single. 2 sets of 5 at 20 % under the top set",
    "max 1; 3xAMRAP -7.5% each | up to the best single of the day. 3 open sets, as many good reps as possible, each 7.5 % under "
        + "the one before",
    "3x5+ 85% tm | 3 sets of 5, the last open, at 85 % of the training max",
    "5x5 75% @8 rest 2:30 | 5 sets of 5 at 75 %, which should feel like RPE 8, 2:30 min rest",
    "build 8 @7 | rising sets of 8 until one reaches RPE 7; the last counts",
    "cluster 3x6 93% gap 20s rest 3:00 | 3 rounds of 6 singles at 93 %, 20 s between the singles, 3 min rest",
    "density 10 90% in 10:00 | as many singles as go, 10 wanted, at 90 %, within 10 min",
    "emom 10x2 80% | 10 sets of 2, one every minute, at 80 %",
    "emom 10x2 80% every 90s | 10 sets of 2 at 80 %, one every 90 s",
    "negative 1x8 120% | 1 set of 8 lowered slowly and helped up, at 120 %",
    "hold 3x30s 60kg | 3 holds of 30 s with 60 kg",
    "carry 2x20m 140kg in 60s turns 1 | 2 carries of 20 m with 140 kg, within 60 s, 1 turn",
    "timed 2x60s bw+20kg @8 | 2 sets of as many reps as go in 60 s with body mass and 20 kg, which should feel like RPE 8",
    "series 100/120/140kg | 100, 120, 140 kg, one after another",
    "warm 1x5 30% | a written warm-up: 1 set of 5 at 30 %",
    "3x8-10 tempo 3-1-X-0 cap @9 | 3 sets of 8 to 10, 3 s down, 1 s at the bottom, up as fast as possible, stopping at RPE 9",
    "3x3 70-75% goal of front-squat | 3 sets of 3 at 70 to 75 % of the goal max in the front squat",
    "3x3 80% today bands 10>40kg at top | 3 sets of 3 at 80 % of today's max, bands pulling 10 to 40 kg from the bottom to "
        + "lock-out, meant at the top",
    "5x3 120% reverse 40kg until -5% | 5 sets of 3 at 120 %, at most, until one's estimate is 5 % under the day's best, hung in "
        + "bands that hold 40 kg at the bottom and nothing at the top",
  })
  void readsALineOutInWords(String line, String words) {
    assertThat(String.join(". ", Reading.of(WorkLine.parse(line).line()))).isEqualTo(words);
  }

  @Test
  void readsAWholeLineAsSentences() {
    assertThat(Reading.text(WorkLine.parse("1x1 @8; 4x4 -15%").line()))
        .isEqualTo("A single at RPE 8. 4 sets of 4 at 15 % under the single.");
  }

  @Test
  void readsAnyLineOutWithoutLooseEnds() {
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(44);
    for (int i = 0; i < 2_000; i++) {
      WorkLine line = GeneratedLines.line(random);
      assertThat(Reading.of(line)).as(line.toString()).hasSameSizeAs(line.parts())
          .allSatisfy(sentence -> assertThat(sentence).doesNotContain(",,", "  ", "null", ", ,").doesNotEndWith(",").doesNotStartWith(" "));
    }
  }
}
