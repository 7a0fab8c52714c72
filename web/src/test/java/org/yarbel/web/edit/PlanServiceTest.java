package org.yarbel.web.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.web.account.Accounts;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.edit.PlanService.EditOutcome;
import org.yarbel.web.journal.Undo;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.support.TestApp;
import org.yarbel.web.who.SignedIn;

@ExtendWith(TestApp.class)
class PlanServiceTest {
  private static final Lift SQUAT = Catalogue.standard().ofKey("squat").orElseThrow();

  /** What a test does as the demo's coach, with a day nobody else plans. */
  private record Coach(TestApp app, PlanService plan, SignedIn who, Lifter lifter, LocalDate day) {
    EditOutcome.Done add(String work) {
      return (EditOutcome.Done) plan.add(lifter, day, PlanService.TypedWork.of(SlotKind.MAIN, SQUAT, work), who);
    }

    EditOutcome write(Slot slot, int version, String work) {
      return plan.write(slot.id(), version, PlanService.TypedWork.of(SlotKind.MAIN, SQUAT, work), who);
    }

    String undo(EditOutcome.Done done) {
      return app.bean(Undo.class).change(done.changeId());
    }

    String work(Slot slot) {
      return app.bean(SlotRepository.class).findById(slot.id()).map(Slot::work).orElse("gone");
    }
  }

  private static <T> T as(TestApp app, int dayAhead, Function<Coach, T> work) {
    SignedIn who = app.bean(Accounts.class).of("coach@tarnbrook.example").get(0);
    return app.bean(CurrentClub.class).within(who.clubId(), () -> {
      Lifter lifter = app.bean(LifterRepository.class).findById(app.lifter("Ansel")).orElseThrow();
      return work.apply(new Coach(app, app.bean(PlanService.class), who, lifter, TestApp.TODAY.plusWeeks(30).plusDays(dayAhead)));
    });
  }

  @Test
  void undoesTheNewestChangeFirst(TestApp app) {
    as(app, 0, coach -> {
      Slot slot = coach.add("5x5 60kg").slot();
      EditOutcome.Done first = (EditOutcome.Done) coach.write(slot, 0, "5x5 65kg");
      EditOutcome.Done second = (EditOutcome.Done) coach.write(slot, 1, "5x5 70kg");
      assertThat(coach.undo(first)).isEqualTo("That line was changed again since: undo the later change first.");
      assertThat(coach.work(slot)).isEqualTo("5x5 70kg");
      assertThat(coach.undo(second)).isEqualTo("The line is back as it was: 5x5 65kg");
      assertThat(coach.undo(first)).isEqualTo("The line is back as it was: 5x5 60kg");
      return coach.work(slot);
    });
  }

  @Test
  void undoesALineThatWasAdded(TestApp app) {
    as(app, 1, coach -> {
      EditOutcome.Done added = coach.add("3x3 80kg");
      assertThat(coach.undo(added)).isEqualTo("The line is out again.");
      assertThat(coach.work(added.slot())).isEqualTo("gone");
      return true;
    });
  }

  @Test
  void savingTheSameAgainIsNoChange(TestApp app) {
    as(app, 2, coach -> {
      Slot slot = coach.add("3x3 80kg").slot();
      assertThat(coach.write(slot, 0, "3 x 3 80 KG")).isInstanceOf(EditOutcome.Same.class);
      assertThat(coach.write(slot, 7, "3x3 85kg")).as("another version").isInstanceOf(EditOutcome.ChangedMeanwhile.class);
      return true;
    });
  }

  @Test
  void aSessionHasAtMostFortyLines(TestApp app) {
    as(app, 3, coach -> {
      for (int i = 0; i < 40; i++) {
        coach.add("1x1 50kg");
      }
      assertThat(coach.plan().add(coach.lifter(), coach.day(), PlanService.TypedWork.of(SlotKind.MAIN, SQUAT, "1x1 50kg"), coach.who()))
          .isInstanceOf(EditOutcome.Full.class);
      return true;
    });
  }

  @Test
  void nothingOfAnotherClubIsThereToChange(TestApp app) {
    Slot slot = as(app, 4, coach -> coach.add("3x3 80kg").slot());
    SignedIn who = app.bean(Accounts.class).of("coach@tarnbrook.example").get(0);
    assertThatThrownBy(() -> app.bean(CurrentClub.class).within(-1L, () ->
        app.bean(PlanService.class).write(slot.id(), 0, PlanService.TypedWork.of(SlotKind.MAIN, SQUAT, "1x1 100kg"), who)))
        .isInstanceOf(NotFound.class);
  }
}
