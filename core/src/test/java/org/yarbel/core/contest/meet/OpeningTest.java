package org.yarbel.core.contest.meet;

import static org.assertj.core.api.Assertions.assertThat;

import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** The order of a flight: the lighter first, then the lower lot (IPF Technical Rules Book, from memory). */
class OpeningTest {

  private static Opening opening(String kg, @Nullable Integer lot) {
    return new Opening(Mass.of(kg, MassUnit.KG), lot);
  }

  @Test
  void theLighterGoesFirstWhateverTheLot() {
    assertThat(opening("177.5", 9).before(opening("180", 1))).isTrue();
    assertThat(opening("180", 1).before(opening("177.5", 9))).isFalse();
  }

  @Test
  void ofEqualLoadsTheLowerLotGoesFirst() {
    assertThat(opening("180", 3).before(opening("180", 4))).isTrue();
    assertThat(opening("180", 4).before(opening("180", 3))).isFalse();
    assertThat(opening("180", 3).before(opening("180", 3))).isFalse();
  }

  @Test
  void withoutALotNobodyOfEqualLoadsIsCountedAsBefore() {
    assertThat(opening("180", null).before(opening("180", 4))).isFalse();
    assertThat(opening("180", 3).before(opening("180", null))).isFalse();
  }
}
