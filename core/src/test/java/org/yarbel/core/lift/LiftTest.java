package org.yarbel.core.lift;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class LiftTest {
  static java.util.stream.Stream<Lift> catalogue() {
    return Lift.catalogue().stream();
  }

  @ParameterizedTest
  @MethodSource("catalogue")
  void isNamedByOneWordOfTheNotation(Lift lift) {
    assertThat(lift.key()).matches("[a-z][a-z0-9-]*");
    assertThat(Lift.ofKey(lift.key().toUpperCase(java.util.Locale.ROOT))).contains(lift);
  }

  // The three lifts of a powerlifting contest: a fact of the trade
  @Test
  void theContestLiftsComeFirst() {
    assertThat(Lift.contestLifts()).extracting(Lift::key).containsExactly("squat", "bench", "deadlift");
    assertThat(Lift.catalogue().subList(0, 3)).isEqualTo(Lift.contestLifts());
  }

  @Test
  void onlyADeadliftStartsOnTheFloor() {
    assertThat(Movement.DEADLIFT.fromFloor()).isTrue();
    assertThat(Movement.SQUAT.fromFloor()).isFalse();
    assertThat(Lift.ofKey("block-pull").orElseThrow().movement()).isEqualTo(Movement.DEADLIFT);
  }

  @Test
  void anUnknownKeyIsNoLift() {
    assertThat(Lift.ofKey("handstand")).isEmpty();
    assertThat(Lift.ofKey("")).isEmpty();
  }
}
