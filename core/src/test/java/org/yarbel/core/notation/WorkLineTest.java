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
import org.yarbel.core.sim.GeneratedLines;

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
    "max 1; 1xAMRAP 80% top; 4x3 80% top", "10x2 55% rest 45s tempo 2-1-X-0 chains 20kg", "cluster 3x5 92% gap 20s rest 4:00",
    "density 8 88% in 8:00", "carry 3x20m 140kg in 45s rest 3:00", "warm 1x5 30%; 8x1 60%", "3x3 120% reverse 40kg",
    "cluster 3x6 93% gap 20s", "density 10 90% in 10:00", "emom 10x2 80%", "emom 10x2 80% @8 every 90s", "negative 1x8 120%",
    "hold 3x30s 60kg", "hold 2x2:00 bw @8", "carry 2x20.5ft bw+20kg turns 1 until @9", "timed 2x60s 100kg",
    "series 100/120/140kg in 2:00", "series 82.5kg", "build 8 @7", "max 3 @9 cap @9.5", "5x3 until -5%", "3x3 @8 until @9",
    "3x3 80% bands 10>40kg at top", "3x3 80% bands 0>40lb at bottom", "3x3 @8 chains 15kg reverse 10kg at top",
    "max 1 chains 15kg at top", "1x1 @8; cluster 2x4 -10% gap 20s", "1x1 @8; hold 2x10s 105% top",
    "carry 2x20m 140kg in 60s rest 2:00 tempo 1-0-1-0 turns 2 cap @9 until -5% chains 5kg bands 1>2kg reverse 3kg",
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
    "CLUSTER3X6 93% GAP20S | cluster 3x6 93% gap 20s",
    "cluster 3x4-6 93% gap 20s | cluster 3x6 93% gap 20s",
    "5x5 75% rest 3min | 5x5 75% rest 3:00",
    "5x5 75% rest 2.5 min | 5x5 75% rest 2:30",
    "cluster 3 × 6 gap 0:20 rest 240s 93% | cluster 3x6 93% gap 20s rest 4:00",
    "density 10 in 10:00 90% | density 10 90% in 10:00",
    "series 100 / 120,5 / 140 KG | series 100/120.5/140kg",
    "carry 2 x 20 m 140 kg turns1 in1:00 | carry 2x20m 140kg in 60s turns 1",
    "hold 3x0:30 | hold 3x30s",
    "timed 2x120s bw | timed 2x2:00 bw",
    "3x3 80% at top reverse 10kg bands 5 > 20 kg chains 3kg | 3x3 80% chains 3kg bands 5>20kg reverse 10kg at top",
    "5x3 until −5 % cap @9 | 5x3 cap @9 until -5%",
    "1x1 @8; emom 10x2-15% | 1x1 @8; emom 10x2 -15%",
    "1x1 @8; 3x5 until @9-15% | 1x1 @8; 3x5 -15% until @9",
    "max1@9 | max 1 @9",
    "build8@7 | build 8 @7",
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
    "cluster 3x6 93% | 0 | 11 | The gap between the singles is missing: write cluster 3x6 gap 20s.",
    "5x5; density 10 90% | 5 | 15 | The time is missing: write density 10 in 10:00.",
    "build 8 | 0 | 7 | A build needs the RPE it ends at: write build 8 @7.",
    "build 8 @7-8 | 8 | 12 | A build ends at one RPE: write @7 or @8.",
    "max 1 @8-9 | 6 | 10 | A max ends at one RPE: write @8 or @9.",
    "max 1 90% | 6 | 9 | A max finds its load on the day: take this load out.",
    "build 5 @8 100kg | 11 | 16 | A build finds its load by the RPE: take this load out.",
    "series 100/120kg 75% | 17 | 20 | A series has its masses already: take this load out.",
    "series 100kg/120kg | 12 | 13 | The unit is written once, behind the last mass, such as series 100/120/140kg.",
    "series 100/120 | 7 | 14 | The unit is missing: write it once, behind the last mass, such as series 100/120/140kg.",
    "series kg | 7 | 7 | A mass is missing: write them with / between, such as series 100/120/140kg.",
    "series 100/1200kg | 11 | 15 | A load must be over 0 and at most 1000 kg but was 1200 kg.",
    "cluster 3x6 93% gap 20s @8 | 24 | 26 | A cluster has no RPE to reach: write cap @8 to stop there.",
    "warm 1x5 30% @7 | 13 | 15 | A warm has no RPE to reach.",
    "negative 1x8 | 0 | 12 | The load is missing: write a share of a max or a mass, such as negative 1x8 120%.",
    "1x1 @8; negative 1x8 -10% | 21 | 25 | Here the load is a share of a max or a mass, such as negative 1x8 120%.",
    "1x1 @8; warm 1x5 50% top | 17 | 24 | Here the load is a share of a max or a mass, such as warm 1x5 25%.",
    "1x1 @8; carry 2x20m -10% | 20 | 24 | Here the load is a percentage, a mass or bw, such as carry 2x20m 140kg in 60s.",
    "warm 1x5 30%; 3x5 -10% | 18 | 22 | Nothing loaded stands before this: write the top set first, such as 1x1 @8; 4x4 -15%.",
    "hold 3x30s @7; 3x5 -10% | 19 | 23 | Nothing loaded stands before this: write the top set first, such as 1x1 @8; 4x4 -15%.",
    "5x5 75% gap 20s | 8 | 15 | The word gap means something with cluster only.",
    "5x5 75% in 2:00 | 8 | 15 | The word in means something with density, carry, series only.",
    "5x5 75% every 60s | 8 | 17 | The word every means something with emom only.",
    "5x5 75% turns 2 | 8 | 15 | The word turns means something with carry only.",
    "max 1 until @9 | 6 | 14 | The word until means something with 5x5, emom, hold, carry, timed only.",
    "build 8 @7 cap @8 | 11 | 17 | The word cap means nothing with build.",
    "5x5 75% at top | 8 | 14 | Top and bottom differ only with chains, bands or reverse: write one of them, such as chains 15kg.",
    "5x5 100kg chains 15kg at top | 22 | 28 | The point is that of a percentage or an RPE; a mass or a drop is of the bar itself.",
    "5x5 75% chains 15kg at middle | 23 | 29 | The point is missing: write at top or at bottom.",
    "5x5 75% bands 40>10kg | 14 | 21 | Bands pull more at lock-out than at the bottom: write bands 10>40kg.",
    "5x5 75% bands 40kg | 14 | 16 | Bands have two pulls: write bands 10>40kg, their pull at the bottom first.",
    "5x5 75% chains 15 | 15 | 17 | The unit is missing: write chains 15kg.",
    "5x5 75% until 9 | 14 | 14 | The end is missing: write until @9 or until -5%.",
    "emom 10x2-3 80% | 9 | 10 | Here stands one number: only plain sets such as 3x8-10 or 3x5+ have a range or an open end.",
    "hold 3x30 60kg | 7 | 9 | The time needs its unit: write hold 3x30s or hold 3x2:00.",
    "carry 2x20 140kg | 8 | 10 | The distance needs its unit: write carry 2x20m or 20ft.",
    "carry 2x1001m | 8 | 12 | A distance must be over 0 and at most 1000 but was 1001.",
    "5x5 cluster 3x6 | 4 | 11 | A part has one kind of work: write ; before 'cluster'.",
    "5x5 3x3 | 4 | 5 | A part has one kind of work: write ; before the next, such as 5x5; 3x3.",
    "rest 90s | 0 | 4 | A part begins with its work, such as 5x5; 'rest' comes after it.",
    "clutser 3x6 | 0 | 7 | The word 'clutser' is not known here. Maybe cluster was meant?",
    "5x5 75% @8 tm | 11 | 13 | The word tm stands right behind its load: write 75% tm.",
    "turns 101 | 0 | 5 | A part begins with its work, such as 5x5; 'turns' comes after it.",
    "carry 2x20m turns 101 | 18 | 21 | The turns must be from 1 to 100 but were 101.",
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
    for (int i = 0; i < 50_000; i++) {
      WorkLine line = GeneratedLines.line(random);
      String text = line.toString();
      if (text.length() <= WorkLine.MAX_LENGTH && !WorkLine.parse(text).line().equals(line)) {
        assertThat(WorkLine.parse(text).line()).as(text).isEqualTo(line);
      }
    }
  }

  @Test
  void answersAnyDamagedLineWithPlacesInsideTheText() {
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(43);
    int refused = 0;
    for (int i = 0; i < 50_000; i++) {
      String text = GeneratedLines.damaged(random);
      try {
        WorkLine line = WorkLine.parse(text).line();
        assertThat(line.toString().length() > WorkLine.MAX_LENGTH || WorkLine.parse(line.toString()).line().equals(line)).as(text).isTrue();
      } catch (NotationException wrong) {
        refused++;
        for (Problem problem : wrong.problems()) {
          boolean inside = 0 <= problem.from() && problem.from() <= problem.to() && problem.to() <= text.length();
          assertThat(inside && !problem.message().isBlank()).as("%s: %s", text, problem).isTrue();
        }
        assertThat(wrong.problems()).as(text).isNotEmpty();
      }
    }
    assertThat(refused).as("of 50,000 damaged lines").isBetween(25_000, 49_000);
  }

  @ParameterizedTest
  @CsvSource({"3x5, false, false, false", "3x8-10, false, false, false", "3x5+, true, false, true", "2xAMRAP, true, true, true"})
  void setsAreOpenAsTheirRepsSay(String text, boolean any, boolean first, boolean last) {
    Work.SetsOfReps sets = (Work.SetsOfReps) WorkLine.parse(text).line().parts().get(0).work();
    assertThat(sets.open()).isEqualTo(any);
    assertThat(sets.open(1)).isEqualTo(first);
    assertThat(sets.open(sets.sets())).isEqualTo(last);
  }
}
