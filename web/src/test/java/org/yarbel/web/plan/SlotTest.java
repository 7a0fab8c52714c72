package org.yarbel.web.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.yarbel.core.plan.SlotKind;

class SlotTest {
  private static final LocalDate DAY = LocalDate.of(2026, 3, 2);
  private static final UUID METHOD = UUID.fromString("6f1c7c1e-9a55-4d0e-8f0a-000000000009");

  private static Slot written() {
    Slot slot = new Slot(1, 1, SlotKind.MAIN, "squat", "3x5 @7");
    slot.originate(new Slot.Origin(METHOD, 4, 0, DAY), Slot.said("squat", "3x5 @7"), true, 105_000_000_000_000L, "The mark to beat.");
    return slot;
  }

  @Test
  void knowsWhereItComesFrom() {
    assertThat(written().origin()).isEqualTo(new Slot.Origin(METHOD, 4, 0, DAY));
    assertThat(written().forecast()).isTrue();
    assertThat(written().trainingNg()).isEqualTo(105_000_000_000_000L);
    assertThat(written().remark()).isEqualTo("The mark to beat.");
    assertThat(new Slot(1, 1, SlotKind.MAIN, "squat", "3x5").origin()).isNull();
  }

  @Test
  void isEditedWhenItSaysSomethingElseThanItsMethod() {
    Slot slot = written();
    assertThat(slot.edited()).isFalse();
    slot.write(SlotKind.MAIN, "squat", "3x5 @8", Details.NONE);
    assertThat(slot.edited()).isTrue();
    slot.write(SlotKind.MAIN, "front-squat", "3x5 @7", Details.NONE);
    assertThat(slot.edited()).as("another lift").isTrue();
    slot.write(SlotKind.SECOND, "squat", "3x5 @7", Details.NONE);
    assertThat(slot.edited()).as("edited back").isFalse();
    assertThat(new Slot(1, 1, SlotKind.MAIN, "squat", "3x5").edited()).as("written by hand").isFalse();
  }

  @Test
  void becomesALineOfItsOwnWhenItsMethodGivesItUp() {
    Slot slot = written();
    slot.originate(null, null, false, null, null);
    assertThat(slot.origin()).isNull();
    assertThat(slot.written()).isNull();
    assertThat(slot.edited()).isFalse();
    assertThat(slot.forecast()).isFalse();
    assertThat(slot.work()).isEqualTo("3x5 @7");
  }

  @Test
  void leavesItsGroupWhenItGoesToAnotherSession() {
    Slot slot = written();
    slot.place(2, 3);
    slot.moveTo(7, 1);
    assertThat(slot.sessionId()).isEqualTo(7);
    assertThat(slot.groupNo()).isNull();
    assertThat(slot.position()).isEqualTo(1);
  }
}
