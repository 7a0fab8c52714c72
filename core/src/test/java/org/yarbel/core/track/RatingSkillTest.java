package org.yarbel.core.track;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

class RatingSkillTest {
  private static final LocalDate DAY = LocalDate.of(2026, 3, 2);

  private static RatingSkill.Rated rated(int day, String load, int reps, double rpe) {
    return new RatingSkill.Rated(DAY.plusDays(day), Mass.of(load, MassUnit.KG), reps, Rpe.of(rpe), false, false);
  }

  private static RatingSkill.Rated failed(int day, String load, int reps) {
    return new RatingSkill.Rated(DAY.plusDays(day), Mass.of(load, MassUnit.KG), reps, null, true, true);
  }

  private static RatingSkill of(RatingSkill.Rated... log) {
    return RatingSkill.of(List.of(log));
  }

  // b = claimed reps in reserve − (reps to failure − reps done), by hand
  @Test
  void aPairTellsWhatWasTrulyLeft() {
    RatingSkill one = of(rated(0, "100", 5, 7), failed(0, "100", 6));
    assertThat(one.pairs()).singleElement().satisfies(pair -> assertThat(pair.off()).as("three were said, one was left").isEqualTo(2));
    assertThat(one.bias()).as("one of two is drawn towards 0: 2/(1 + 3)").isEqualTo(0.5);
    assertThat(one.spread()).isNull();
    assertThat(one.words()).isEqualTo("says 0.5 reps too many are left, by 1 pair");
    assertThat(of(rated(0, "100", 5, 9), failed(3, "100", 9)).pairs().get(0).off()).as("one was said, four were left").isEqualTo(-3);
  }

  @Test
  void onlyTheSameLoadInTheSameDaysTells() {
    assertThat(of(rated(0, "100", 5, 8), failed(7, "102.5", 6)).pairs()).as("7 days, 2.5 %").hasSize(1);
    assertThat(of(rated(0, "100", 5, 8), failed(8, "100", 6)).pairs()).as("8 days").isEmpty();
    assertThat(of(rated(0, "100", 5, 8), failed(0, "103", 6)).pairs()).as("3 %").isEmpty();
    assertThat(of(failed(0, "100", 6), rated(5, "98", 5, 8)).pairs()).as("before it tells as well").hasSize(1);
    assertThat(of(rated(0, "100", 5, 8), rated(0, "100", 6, 10)).pairs()).as("a 10 is a rating, no failure").isEmpty();
    assertThat(of(rated(0, "100", 5, 8), failed(6, "100", 9), failed(1, "100", 7)).pairs().get(0).off()).as("the nearest day").isZero();
  }

  @Test
  void theLastTenMakeBiasAndSpread() {
    List<RatingSkill.Rated> log = new ArrayList<>();
    for (int i = 0; i < 12; i++) {
      log.add(rated(20 * i, "100", 5, 8));
      log.add(failed(20 * i, "100", i < 2 ? 15 : i % 2 == 0 ? 6 : 7));
    }
    RatingSkill skill = RatingSkill.of(log);
    assertThat(skill.pairs()).hasSize(12);
    assertThat(skill.bias()).as("five of 1 and five of 0, over 13").isCloseTo(5 / 13.0, within(1e-9));
    assertThat(skill.spread()).as("sd of five 1 and five 0, by hand").isCloseTo(Math.sqrt(2.5 / 9), within(1e-9));
    assertThat(skill.tooFarOff()).isFalse();
    assertThat(skill.words()).isEqualTo("says 0.4 reps too many are left, ± 0.5, by 12 pairs");
  }

  @Test
  void aCheckIsDueSixWeeksAfterTheLastOneOrAtOnce() {
    RatingSkill fine = of(rated(0, "100", 5, 8), failed(0, "100", 7));
    assertThat(fine.checkDue(DAY.plusDays(10))).isEqualTo(DAY.plusDays(42));
    assertThat(fine.checkDue(DAY.plusDays(50))).as("it is overdue").isEqualTo(DAY.plusDays(50));
    assertThat(of(rated(0, "100", 5, 8)).checkDue(DAY)).as("there never was one").isEqualTo(DAY);
    List<RatingSkill.Rated> off = new ArrayList<>();
    for (int i = 0; i < 6; i++) {
      off.add(rated(i, "100", 5, 6));
      off.add(failed(i, "100", 5));
    }
    RatingSkill far = RatingSkill.of(off);
    assertThat(far.bias()).isCloseTo(24 / 9.0, within(1e-9));
    assertThat(far.tooFarOff()).isTrue();
    assertThat(far.checkDue(DAY.plusDays(7))).isEqualTo(DAY.plusDays(7));
    assertThat(of().words()).isEqualTo("nothing tells yet");
  }

  @Test
  void practiceEndsAfterEightWeeksWithinARep() {
    RatingSkill.Rated[] eight = {rated(0, "100", 5, 8), failed(0, "100", 6), rated(28, "100", 5, 8), failed(28, "100", 7),
        rated(56, "100", 5, 8), failed(56, "100", 8)};
    assertThat(of(eight).practised()).isTrue();
    eight[4] = rated(55, "100", 5, 8);
    assertThat(of(eight).practised()).as("a day short").isFalse();
    eight[4] = rated(56, "100", 5, 8);
    eight[3] = failed(28, "100", 9);
    assertThat(of(eight).practised()).as("two reps off in between").isFalse();
    assertThat(of(rated(0, "100", 5, 8), failed(0, "100", 7), rated(60, "100", 5, 8), failed(60, "100", 7)).practised()).as("two pairs")
        .isFalse();
    assertThat(of().practised()).isFalse();
  }
}
