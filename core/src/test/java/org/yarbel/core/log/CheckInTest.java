package org.yarbel.core.log;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Collections;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Refused;

class CheckInTest {
  private static Lift lift(String key) {
    return Catalogue.standard().ofKey(key).orElseThrow();
  }

  private static CheckIn slept(Integer halves, Pain... pains) {
    return new CheckIn(halves, null, null, null, List.of(pains));
  }

  @Test
  void lessThanSixHoursAreShort() {
    assertThat(slept(11).contextOf(lift("bench"))).as("5.5 h").containsExactly(Context.SHORT_SLEEP);
    assertThat(slept(12).contextOf(lift("bench"))).as("6 h").isEmpty();
    assertThat(slept(null).contextOf(lift("bench"))).as("nobody said").isEmpty();
    assertThat(slept(0).contextOf(lift("bench"))).as("a night shift").containsExactly(Context.SHORT_SLEEP);
  }

  @Test
  void painCountsFromFourWhereTheLiftLoadsThePlace() {
    Pain knee = new Pain(BodyPlace.KNEE, Pain.Side.LEFT, 4, "");
    assertThat(slept(null, knee).contextOf(lift("squat"))).containsExactly(Context.PAIN);
    assertThat(slept(null, knee).contextOf(lift("bench"))).as("a bench press leaves a knee alone").isEmpty();
    assertThat(slept(null, new Pain(BodyPlace.KNEE, Pain.Side.LEFT, 3, "")).contextOf(lift("squat"))).as("3 of 10").isEmpty();
    assertThat(slept(10, knee).contextOf(lift("squat"))).containsExactlyInAnyOrder(Context.PAIN, Context.SHORT_SLEEP);
  }

  // common practice, no source: the joints a lift moves and the muscles it trains
  @ParameterizedTest
  @CsvSource({"squat,KNEE HIP LOWER_BACK,SHOULDER ELBOW CHEST", "bench,SHOULDER ELBOW CHEST WRIST_OR_HAND,KNEE HIP LOWER_BACK",
      "deadlift,LOWER_BACK HIP BACK_OF_THIGH WRIST_OR_HAND,CHEST CALF", "overhead-press,SHOULDER ELBOW WRIST_OR_HAND,KNEE HIP",
      "row,ELBOW UPPER_BACK,KNEE CHEST", "yoke-walk,LOWER_BACK KNEE HIP ANKLE_OR_FOOT,ELBOW CHEST"})
  void eachLiftLoadsItsOwnPlaces(String key, String loaded, String not) {
    for (String place : loaded.split(" ")) {
      assertThat(BodyPlace.valueOf(place).loadedBy(lift(key))).as("%s loads the %s", key, place).isTrue();
    }
    for (String place : not.split(" ")) {
      assertThat(BodyPlace.valueOf(place).loadedBy(lift(key))).as("%s loads the %s", key, place).isFalse();
    }
  }

  @ParameterizedTest
  @EnumSource(BodyPlace.class)
  void everyPlaceIsLoadedBySomethingAndSparedBySomething(BodyPlace place) {
    List<Lift> all = Catalogue.standard().all();
    assertThat(all).anyMatch(lift -> !place.loadedBy(lift));
    assertThat(all.stream().anyMatch(place::loadedBy)).isEqualTo(place != BodyPlace.ELSEWHERE);
  }

  @Test
  void saysItselfInWords() {
    CheckIn full = new CheckIn(15, 4, 3, 5, List.of(new Pain(BodyPlace.KNEE, Pain.Side.LEFT, 4, "deep squats")));
    assertThat(full.words()).isEqualTo("slept 7.5 h, energy 4, joints 3, calm 5 of 5; left knee 4 of 10, worse with deep squats");
    assertThat(slept(16).words()).isEqualTo("slept 8 h");
    assertThat(slept(null, new Pain(BodyPlace.LOWER_BACK, null, 2, "")).words()).isEqualTo("lower back 2 of 10");
    assertThat(new Pain(BodyPlace.KNEE, Pain.Side.BOTH, 2, "").where()).isEqualTo("both knees");
    assertThat(new Pain(BodyPlace.NECK, Pain.Side.LEFT, 2, "").where()).as("it has no left").isEqualTo("neck");
    assertThat(slept(null).words()).isEmpty();
    assertThat(slept(null).any()).isFalse();
    assertThat(slept(0).any()).isTrue();
  }

  @Test
  void refusesWhatCannotBe() {
    assertThatThrownBy(() -> new Pain(BodyPlace.KNEE, null, 11, "")).isInstanceOf(Refused.class)
        .hasMessage("Pain must be from 0 to 10 but was 11");
    assertThatThrownBy(() -> new Pain(BodyPlace.KNEE, null, -1, "")).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new Pain(BodyPlace.KNEE, null, 1, "x".repeat(81))).isInstanceOf(Refused.class)
        .hasMessage("What makes it worse may have at most 80 characters but has 81");
    assertThat(new Pain(BodyPlace.KNEE, null, 10, "x".repeat(80)).score()).isEqualTo(10);
    assertThatThrownBy(() -> slept(33)).isInstanceOf(Refused.class).hasMessage("The sleep in halves of an hour must be from 0 to 32 but was 33");
    assertThat(slept(32).words()).isEqualTo("slept 16 h");
    assertThatThrownBy(() -> new CheckIn(null, 0, null, null, List.of())).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new CheckIn(null, null, 6, null, List.of())).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new CheckIn(null, null, null, 6, List.of())).isInstanceOf(Refused.class);
    Pain one = new Pain(BodyPlace.HIP, null, 1, "");
    assertThatThrownBy(() -> new CheckIn(null, null, null, null, Collections.nCopies(5, one))).isInstanceOf(Refused.class);
    assertThat(new CheckIn(null, null, null, null, Collections.nCopies(4, one)).pains()).hasSize(4);
  }

  @Test
  void aSessionHasAScaleOfItsOwn() {
    assertThat(new SessionEffort(5).word()).isEqualTo("hard");
    assertThat(new SessionEffort(6).word()).as("between").isEmpty();
    assertThat(List.of(new SessionEffort(6).words(), new SessionEffort(7).words())).containsExactly("6 of 10", "7 of 10, very hard");
    assertThat(new SessionEffort(7).load(90)).as("Foster: rating × minutes").isEqualTo(630);
    assertThatThrownBy(() -> new SessionEffort(11)).isInstanceOf(Refused.class).hasMessage("The effort of a session must be from 0 to 10 but was 11");
    assertThatThrownBy(() -> new SessionEffort(-1)).isInstanceOf(Refused.class);
    assertThat(Set.of(new SessionEffort(0).word(), new SessionEffort(10).word())).containsExactlyInAnyOrder("rest", "as hard as ever");
  }

  @Test
  void aPainToldAnewStandsInPlaceOfWhatWasSaidOfThatPlace() {
    Pain knee = new Pain(BodyPlace.KNEE, Pain.Side.LEFT, 2, "");
    Pain worse = new Pain(BodyPlace.KNEE, Pain.Side.LEFT, 6, "stairs");
    Pain other = new Pain(BodyPlace.KNEE, Pain.Side.RIGHT, 3, "");
    assertThat(slept(15, knee).with(other).with(worse)).isEqualTo(slept(15, other, worse));
    Pain elbow = new Pain(BodyPlace.ELBOW, null, 1, "");
    Pain shoulder = new Pain(BodyPlace.SHOULDER, null, 5, "");
    Pain hip = new Pain(BodyPlace.HIP, null, 4, "");
    assertThat(slept(15, worse, elbow, shoulder, hip).with(other).pains()).as("of five the mildest is left out")
        .containsExactly(worse, shoulder, hip, other);
  }
}
