package org.yarbel.core.plan.cycle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.yarbel.core.plan.cycle.Plans.MONDAY;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.yarbel.core.mass.Refused;

class EditingTest {
  private static final Macrocycle PLAN = Plans.plan(14, "volume 5 easy, strength 4, peak 3, taper 2, off 1");

  private static Editing editing() {
    return new Editing(PLAN, MONDAY);
  }

  @Test
  void whatOneBlockTakesAnotherGives() {
    Refit longer = editing().stretch(3, 1);
    assertThat(Plans.text(longer.now())).isEqualTo("volume 4 easy, strength 4, peak 4, taper 2, off 1");
    assertThat(longer.now().over()).isZero();
    assertThat(longer.changes()).extracting(Changed::what).containsExactly("Volume: 5 → 4 weeks", "Peak: 3 → 4 weeks");
    assertThat(longer.changes().get(0).why())
        .isEqualTo("The contest is on its day: what one block takes another gives. Volume is furthest from the platform, so it "
            + "gives first.");
    assertThat(longer.changes().get(1).why()).isEqualTo("As you set it.");
    assertThat(editing().remove(2).changes()).extracting(change -> change.what() + ": " + change.why())
        .contains("Strength, 4 weeks: out: As you set it.");
    assertThat(Plans.text(editing().stretch(1, -2).now())).isEqualTo("volume 3, strength 6 easy, peak 3, taper 2, off 1");
  }

  @Test
  void withoutAContestNothingElseChanges() {
    Macrocycle open = Plans.plan(0, "volume 5, strength 4, test 1");
    assertThat(Plans.text(new Editing(open, MONDAY).stretch(1, 2).now())).isEqualTo("volume 7 easy, strength 4, test 1");
    assertThat(Plans.text(new Editing(open, MONDAY).repeat(2).now())).isEqualTo("volume 5, strength 4, strength 4, test 1");
    assertThat(Plans.text(new Editing(open, MONDAY).remove(1).now())).isEqualTo("strength 4, test 1");
    assertThat(Plans.text(new Editing(open, MONDAY).move(2, -1).now())).isEqualTo("strength 4, volume 5, test 1");
    assertThat(Plans.text(new Editing(open, MONDAY).insert(2, Purpose.PEAK, 2).now())).isEqualTo("volume 5, strength 4, peak 2, test 1");
  }

  @Test
  void aBlockRepeatedBeforeAContestMakesRoomForItself() {
    Refit repeated = editing().repeat(2);
    assertThat(Plans.text(repeated.now())).isEqualTo("volume 2, strength 3, strength 4, peak 3, taper 2, off 1");
    assertThat(repeated.now().over()).isZero();
  }

  @Test
  void whatIsDoneStays() {
    LocalDate from = MONDAY.plusWeeks(3);
    Editing later = new Editing(PLAN, from);
    assertThat(catchThrowableOfType(Refused.class, () -> later.stretch(1, -3)).sentence())
        .isEqualTo("3 weeks of it are done: it cannot be shorter.");
    assertThat(catchThrowableOfType(Refused.class, () -> later.move(1, 1)).sentence())
        .isEqualTo("It has begun: only what lies ahead can be moved.");
    assertThat(catchThrowableOfType(Refused.class, () -> later.move(2, -1)).sentence())
        .isEqualTo("There is nothing ahead to move it past.");
    Refit out = later.remove(1);
    assertThat(out.now().blocks().get(0).weeks()).isEqualTo(3);
    assertThat(out.now().over()).isZero();
  }

  @Test
  void whatCannotBeIsSaidInASentence() {
    assertThat(catchThrowableOfType(Refused.class, () -> editing().split(4, 2)).sentence())
        .isEqualTo("The first part must have 1 to 1 weeks but was to have 2.");
    assertThat(catchThrowableOfType(Refused.class, () -> editing().split(5, 1)).sentence())
        .isEqualTo("A block of one week cannot be split.");
    assertThat(catchThrowableOfType(Refused.class, () -> editing().merge(5)).sentence())
        .isEqualTo("There is no block behind it to merge with.");
    assertThat(catchThrowableOfType(Refused.class, () -> editing().stretch(9, 1)).sentence())
        .isEqualTo("That block is not there any more.");
    assertThat(catchThrowableOfType(Refused.class, () -> editing().stretch(1, 30)).sentence()).isEqualTo("A block has at most 26 weeks.");
    assertThat(catchThrowableOfType(Refused.class, () -> editing().stretch(5, -1)).sentence())
        .isEqualTo("A block has one week at the least: take it out instead.");
    Macrocycle one = Plans.plan(0, "volume 5");
    assertThat(catchThrowableOfType(Refused.class, () -> new Editing(one, MONDAY).remove(1)).sentence())
        .isEqualTo("It is the only block: end the plan instead.");
    Macrocycle full = Plans.plan(0, "volume 26, strength 26, volume 26, strength 26");
    assertThat(catchThrowableOfType(Refused.class, () -> new Editing(full, MONDAY).repeat(1)).sentence())
        .isEqualTo("A macrocycle has at most 104 weeks.");
  }
}
