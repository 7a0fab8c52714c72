package org.yarbel.core.notation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.util.List;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class WorkLineTest {
  private static String normal(String typed) {
    return WorkLine.parse(typed).line().toString();
  }

  private static List<Problem> problems(String typed) {
    return catchThrowableOfType(NotationException.class, () -> WorkLine.parse(typed)).problems();
  }

  @ParameterizedTest
  @ValueSource(strings = {
    "5x5", "3x8-10", "3x5+", "2xAMRAP", "5x5 75%", "5x5 75% tested", "5x5 75% est", "3x5+ 85% tm", "1x2 90% goal",
    "3x3 80% today", "5x5 70-75%", "3x5 60% of deadlift", "3x5 60% goal of front-squat", "1x1 @8", "4x6-8 @8-9",
    "5x5 75% @8", "3x5 100kg", "3x5 225lb", "3x8 bw", "3x8 bw+20kg", "1x1 @8; 4x4 -15%", "1x1 @8; 4x4 -10kg",
    "1x1 92%; 3xAMRAP -7.5% each", "1x1 @8; 3x3 80% top", "5x5 75% rest 90s", "5x5 75% rest 2:00",
    "5x5 75% rest 3:05 tempo 2-1-X-0 cap @9", "3x5+ 85% cap @8.5", "1x2 90% goal; 4x3 65% goal rest 90s", "4x8-12",
  })
  void theNormalFormStaysAsItIs(String line) {
    assertThat(normal(line)).isEqualTo(line);
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', quoteCharacter = '"', value = {
    "5 X 5 | 5x5",
    "5×5 75 % | 5x5 75%",
    "5x5\u00a075% | 5x5 75%",
    "4x6-15%; 3x3 -5% | !",
    "1X1@8;4x4−15% | 1x1 @8; 4x4 -15%",
    "1x1 @8; 4x6-15% | 1x1 @8; 4x6 -15%",
    "1x1 @8; 4x6-8-15% | 1x1 @8; 4x6-8 -15%",
    "1x1 @8; 4x6 -8 | 1x1 @8; 4x6-8",
    "1x1 @8; 4x4 @7 -15% | 1x1 @8; 4x4 -15% @7",
    "1x1 @8; 4x4 @7 – 10 kg | 1x1 @8; 4x4 -10kg @7",
    "3x3 @7 -8 | 3x3 @7-8",
    "3x5 rest 120s 82,50% | 3x5 82.5% rest 2:00",
    "3x5 100% rest 1:30 | 3x5 100% rest 90s",
    "3x5 TEMPO 3-1-2 | 3x5 tempo 3-1-2-0",
    "3x5 tempo 4020 | 3x5 tempo 4-0-2-0",
    "3x5 tempo 402 | 3x5 tempo 4-0-2-0",
    "1x1 @8; 3x5 tempo 3-1-2 -15% | 1x1 @8; 3x5 -15% tempo 3-1-2-0",
    "1x1 @8; 3x5 tempo 3-1-2-1-15% | 1x1 @8; 3x5 -15% tempo 3-1-2-1",
    "3 x AmRaP 60% CAP @ 8 | 3xAMRAP 60% cap @8",
    "3x5 BW + 20 KG | 3x5 bw+20kg",
    "3x5 60% OF Front-Squat | 3x5 60% of front-squat",
  })
  void readsEverySpelling(String typed, String written) {
    if (written.equals("!")) {
      assertThat(problems(typed)).isNotEmpty();
    } else {
      assertThat(normal(typed)).isEqualTo(written);
    }
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', quoteCharacter = '"', value = {
    "\"\" | 0 | 0 | Write the work: sets x reps, then how heavy, such as 5x5 75%.",
    "\"  \" | 2 | 2 | Write the work: sets x reps, then how heavy, such as 5x5 75%.",
    "5x | 2 | 2 | The reps are missing: write them after the x, such as 5x5, 3x5+ or 2xAMRAP.",
    "x5 | 0 | 1 | The number of sets is missing: write it before the x, such as 5x5.",
    "5 75% | 2 | 2 | The times sign is missing: write 5x5 for 5 sets of 5.",
    "5x5 70% 80% | 8 | 11 | A part has one load; this is the second.",
    "5x5 @8 @9 | 7 | 9 | A part has one RPE; this is the second.",
    "5x5 rest 60s rest 90s | 13 | 21 | A part has one rest; this is the second.",
    "5x5 @11 | 4 | 7 | RPE must be from 6 to 10 inclusive but was 11.",
    "5x5 @5.5 | 4 | 8 | Below RPE 6, write a percentage.",
    "5x5 @8.3 | 4 | 8 | RPE is given in halves, such as @8 or @8.5, but was 8.3.",
    "5x5 @ | 4 | 5 | The RPE is missing: write a number from 6 to 10, such as @8.",
    "1x1 @8; 3x3 -100% | 12 | 17 | A drop must be over 0 % and under 100 % but was 100 %.",
    "3x3 -10% | 4 | 8 | Nothing loaded stands before this: write the top set first, such as 1x1 @8; 4x4 -15%.",
    "3x3; 3x3 80% top | 9 | 16 | Nothing loaded stands before this: write the top set first, such as 1x1 @8; 4x4 -15%.",
    "5x5 tempo 3-2 | 10 | 13 | A tempo has four figures: down, pause, up, pause, such as tempo 3-1-X-0.",
    "5x5 100 | 4 | 7 | The unit is missing: write 100kg, 100lb or 100%.",
    "5x5 0% | 4 | 6 | A percentage must be over 0 and at most 150 but was 0.",
    "5x5 151% | 4 | 8 | A percentage must be over 0 and at most 150 but was 151.",
    "5x5 2500lb | 4 | 10 | A load must be over 0 and at most 1000 kg but was 2500 lb.",
    "5x5 75-70% | 4 | 10 | A range goes from the lower to the higher: write 70-75%.",
    "5x5 70-75kg | 4 | 9 | Only a percentage can be a range of loads: write 70-75%, or one load such as 75kg.",
    "5x8-6 | 2 | 5 | A range goes from the lower to the higher: write 6-8.",
    "5x5 @8-8 | 4 | 8 | A range goes from the lower to the higher: write @8.",
    "51x5 | 0 | 2 | The sets must be from 1 to 50 but were 51.",
    "5x101 | 2 | 5 | The reps must be from 1 to 100 but were 101.",
    "5x2.5 | 2 | 5 | The reps must be a whole number but were 2.5.",
    "5x5 77.555% | 4 | 10 | A number has at most two decimals.",
    "2xAMRAP @8 | 8 | 10 | An open set has no RPE to reach: write cap @8 to stop there.",
    "5x5 rset 90s | 4 | 8 | The word 'rset' is not known here. Maybe rest was meant?",
    "5x5 banana | 4 | 10 | The word 'banana' is not known here.",
    "5x5 75% today of deadlift | 17 | 25 | Today's max is of this lift only: write est, tested, tm or goal of deadlift.",
    "5x5 rest 90 | 9 | 11 | The time needs its unit: write rest 90s or rest 2:00.",
    "5x5 rest 61:00 | 9 | 14 | A time must be a whole number of seconds from 1s to 60:00.",
    "5x5 rest 1:75 | 9 | 13 | The seconds must be two digits from 00 to 59: write rest 90s or rest 2:00.",
    "5x5 75% & | 8 | 9 | The character '&' means nothing here.",
    "5x5 \uD83D\uDE00 75% | 4 | 6 | The character '\uD83D\uDE00' means nothing here.",
    "5x5; | 3 | 4 | A part is missing here: write one such as 4x4 -15%, or take the ; out.",
    "5x5;;3x3 | 4 | 5 | A part is missing here: write one such as 4x4 -15%, or take the ; out.",
  })
  void saysWhereALineIsWrongAndWhatWouldBeRight(String typed, int from, int to, String message) {
    assertThat(problems(typed)).first().isEqualTo(new Problem(from, to, message));
  }

  @Test
  void namesOneProblemAPart() {
    assertThat(problems("5x5 @11; 3x; 2x2 70%"))
        .extracting(Problem::from)
        .containsExactly(4, 11);
  }

  @Test
  void doesNotBlameADropForATopSetThatCouldNotBeRead() {
    assertThat(problems("1x1 @11; 4x4 -15%")).extracting(Problem::from).containsExactly(4);
  }

  @Test
  void refusesMoreThanItsLimits() {
    assertThat(problems("1x1; ".repeat(20) + "1x1")).first().extracting(Problem::message)
        .isEqualTo("A line has at most 20 parts.");
    assertThat(problems("5x5" + " ".repeat(498))).containsExactly(
        new Problem(500, 501, "A line has at most 500 characters; this one has 501."));
    assertThat(problems("5x5 " + "9".repeat(400) + "kg")).hasSize(1);
  }

  @Test
  void readsBackWhateverItWrites() {
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(42);
    for (int i = 0; i < 20_000; i++) {
      WorkLine line = GeneratedLines.line(random);
      assertThat(WorkLine.parse(line.toString()).line()).as(line.toString()).isEqualTo(line);
    }
  }

  @Test
  void answersAnyDamagedLineWithPlacesInsideTheText() {
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(43);
    String noise = "5x@-%;+. ,kglbtopAMRAP:0123456789\u0000é\uD83D×";
    for (int i = 0; i < 20_000; i++) {
      StringBuilder typed = new StringBuilder(GeneratedLines.line(random).toString());
      for (int n = random.nextInt(4); n >= 0 && !typed.isEmpty(); n--) {
        int at = random.nextInt(typed.length());
        if (random.nextBoolean()) {
          typed.deleteCharAt(at);
        } else {
          typed.insert(at, noise.charAt(random.nextInt(noise.length())));
        }
      }
      String text = typed.toString();
      try {
        WorkLine line = WorkLine.parse(text).line();
        assertThat(WorkLine.parse(line.toString()).line()).as(text).isEqualTo(line);
      } catch (NotationException refused) {
        assertThat(refused.problems()).as(text).isNotEmpty().allSatisfy(problem -> {
          assertThat(problem.from()).isBetween(0, problem.to());
          assertThat(problem.to()).isLessThanOrEqualTo(text.length());
          assertThat(problem.message()).isNotBlank();
        });
      }
    }
  }
}
