package org.yarbel.web.runway;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.plan.cycle.GoalCourse;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.form.Typed;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.program.LongPlans;

/** Writes down goals. */
@Service
class Goals {
  private final LiftNumbersRepository numbers;
  private final LongPlans plans;
  private final ClubClock clock;

  Goals(LiftNumbersRepository numbers, LongPlans plans, ClubClock clock) {
    this.numbers = numbers;
    this.plans = plans;
    this.clock = clock;
  }

  /** What came of it. */
  record GoalOutcome(String said, Map<String, String> errors) {}

  /** Writes a goal down, or takes it out where nothing was typed. Without a day it is that of the contest. */
  @Transactional
  public GoalOutcome aim(Lifter lifter, Typed typed) {
    LocalDate today = clock.today();
    LiftNumbers own = numbers.findByLifterIdAndLift(lifter.id(), typed.text("lift")).orElse(null);
    Mass goal = typed.mass("goal", lifter.unit());
    LocalDate on = typed.day("on", today.plusWeeks(10));
    if (typed.fine() && goal == null) {
      if (own != null) {
        own.aim(null, null);
        numbers.save(own);
      }
      return new GoalOutcome("No goal of that lift any more.", Map.of());
    }
    Mass max = null;
    if (own != null) {
      max = own.tested() != null ? own.tested() : own.numbers(lifter.unit(), today).best();
    }
    if (own == null || max == null) {
      typed.wrong("goal", "No max of that lift is known: write down a tested one on the Lifter page, or log a rated set first.");
    } else if (goal != null) {
      GoalCourse.wrong(goal, max.shownIn(lifter.unit())).ifPresent(sentence -> typed.wrong("goal", sentence));
    }
    if (on != null && !on.isAfter(today)) {
      typed.wrong("on", "The goal's day must lie ahead but was " + on + ".");
    }
    if (!typed.fine() || own == null || goal == null) {
      return new GoalOutcome("The goal is not written down: see below.", typed.errors());
    }
    LocalDate until = on != null ? on : plans.of(lifter.id()).map(kept -> kept.plan().contest()).orElse(null);
    own.aim(goal, until);
    numbers.saveAndFlush(own);
    return new GoalOutcome("The goal stands." + believable(goal, own.numbers(lifter.unit(), today).best(), until, today), Map.of());
  }

  private static String believable(Mass goal, @Nullable Mass best, @Nullable LocalDate on, LocalDate today) {
    if (best == null || on == null) {
      return "";
    }
    double weeks = Math.max(1, ChronoUnit.DAYS.between(today, on) / 7.0);
    Mass more = GoalCourse.believable(best, weeks);
    boolean beyond = goal.nanograms() - best.nanograms() > more.nanograms();
    return beyond ? " Mind: in " + Count.of(Math.round(weeks), "week") + " about " + more.amountIn(best.unit(), 1)
        .stripTrailingZeros().toPlainString() + " " + best.unit()
        + " on top of today's " + best.amountIn(best.unit(), 1).stripTrailingZeros().toPlainString() + " " + best.unit()
        + " is believable." : "";
  }
}
