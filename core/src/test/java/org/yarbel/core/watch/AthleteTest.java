package org.yarbel.core.watch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.yarbel.core.watch.Weeks.MONDAY;
import static org.yarbel.core.watch.Weeks.kg;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Sex;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.plan.progress.Method;

/** What the checks know of a lifter, gathered from what is kept of their lifts. */
class AthleteTest {
  private static final Athlete.Person PERSON = new Athlete.Person(Sex.FEMALE, 31, true, false,
      List.of(new Athlete.Pain("left knee", 4)), Set.of(DayOfWeek.MONDAY));
  private static final LocalDate CONTEST = MONDAY.plusWeeks(8);

  private static Athlete.OfLift lift(String key, @Nullable Mass best, @Nullable Mass goal, Level level) {
    return new Athlete.OfLift(key, true, new MaxNumbers(null, best, null, goal), level, null, null, null, null, null);
  }

  private static Athlete of(Map<String, Mass> heaviest, Athlete.OfLift... lifts) {
    return Athlete.of(PERSON, List.of(lifts), heaviest, Map.of("squat", List.of(Method.ROTATION)));
  }

  @Test
  void isThePersonWithTheHighestLevelOfTheLiftsThatHaveANumber() {
    Athlete athlete = of(Map.of(), lift("squat", kg("150"), null, Level.INTERMEDIATE), lift("bench", kg("90"), null, Level.BEGINNER),
        lift("deadlift", null, null, Level.ADVANCED),
        new Athlete.OfLift("log-press", false, new MaxNumbers(null, kg("80"), null, null), Level.ADVANCED, null, null, null, null, null));
    assertThat(athlete.level()).as("nobody's word of a lift without a number, nor of one that is none of the three")
        .isEqualTo(Level.INTERMEDIATE);
    assertThat(athlete.maxes()).containsOnly(Map.entry("squat", kg("150")), Map.entry("bench", kg("90")));
    assertThat(athlete.sex()).isEqualTo(Sex.FEMALE);
    assertThat(athlete.age()).isEqualTo(31);
    assertThat(athlete.dieting()).isTrue();
    assertThat(athlete.strained()).isFalse();
    assertThat(athlete.pains()).isEqualTo(PERSON.pains());
    assertThat(athlete.free()).containsExactly(DayOfWeek.MONDAY);
    assertThat(of(Map.of()).level()).isNull();
  }

  @Test
  void theHeaviestIsTheMoreOfWhatWasLoggedAndTested() {
    Athlete.OfLift tested = new Athlete.OfLift("squat", true, new MaxNumbers(kg("160"), kg("155"), null, null), Level.ADVANCED,
        kg("160"), null, null, null, null);
    assertThat(of(Map.of("squat", kg("150")), tested).heaviest()).containsExactly(Map.entry("squat", kg("160")));
    assertThat(of(Map.of("squat", kg("165")), tested).heaviest()).containsExactly(Map.entry("squat", kg("165")));
    assertThat(of(Map.of(), tested).heaviest()).containsExactly(Map.entry("squat", kg("160")));
    assertThat(of(Map.of("squat", kg("150")), lift("squat", kg("155"), null, Level.ADVANCED)).heaviest()).as("an estimate was never lifted")
        .containsExactly(Map.entry("squat", kg("150")));
    Athlete.OfLift other = new Athlete.OfLift("log-press", false, new MaxNumbers(kg("80"), null, null, null), Level.ADVANCED,
        kg("80"), null, null, null, null);
    assertThat(of(Map.of(), other).heaviest()).isEmpty();
  }

  @Test
  void aGoalIsForItsOwnDayElseForTheContestAMethodCountsDownTo() {
    Athlete.OfLift own = new Athlete.OfLift("squat", true, new MaxNumbers(null, kg("150"), null, kg("160")), Level.ADVANCED, null,
        MONDAY.plusWeeks(4), CONTEST, kg("145"), MONDAY.minusWeeks(3));
    assertThat(of(Map.of(), own).goals().get("squat"))
        .isEqualTo(new Athlete.Goal(kg("160"), MONDAY.plusWeeks(4), kg("145"), MONDAY.minusWeeks(3)));
    Athlete.OfLift counted = new Athlete.OfLift("squat", true, new MaxNumbers(null, kg("150"), null, kg("160")), Level.ADVANCED,
        null, null, CONTEST, null, null);
    assertThat(of(Map.of(), counted).goals().get("squat").on()).isEqualTo(CONTEST);
    Athlete.OfLift without = new Athlete.OfLift("squat", true, new MaxNumbers(null, kg("150"), null, null), Level.ADVANCED, null,
        null, CONTEST, null, null);
    assertThat(of(Map.of(), without).goals().get("squat")).as("the last weeks are still counted back")
        .isEqualTo(new Athlete.Goal(kg("150"), CONTEST, null, null));
    Athlete.OfLift unknown = new Athlete.OfLift("squat", true, MaxNumbers.NONE, Level.ADVANCED, null, null, CONTEST, null, null);
    assertThat(of(Map.of(), unknown).goals()).isEmpty();
    assertThat(of(Map.of(), lift("squat", kg("150"), null, Level.ADVANCED)).goals()).isEmpty();
  }

  @Test
  void usesAMethodOfAnyLift() {
    assertThat(of(Map.of()).uses(Method.ROTATION)).isTrue();
    assertThat(of(Map.of()).uses(Method.GOAL_WAVE)).isFalse();
  }

  /** Our own bounds of the very strong: 400, 230 and 380 kg, of women 65 % of that. */
  @ParameterizedTest
  @CsvSource({"squat,400,MALE,true", "squat,397.5,MALE,false", "bench,230,MALE,true", "deadlift,377.5,MALE,false", "deadlift,380,MALE,true",
      "squat,260,FEMALE,true", "squat,257.5,FEMALE,false"})
  void isVeryStrongFromABoundOn(String lift, String max, Sex sex, boolean strong) {
    Weeks weeks = new Weeks();
    weeks.sex = sex;
    weeks.maxes.put(lift, kg(max));
    assertThat(weeks.of().athlete().veryStrong(lift)).isEqualTo(strong);
    assertThat(weeks.of().athlete().veryStrong("front-squat")).isFalse();
  }
}
