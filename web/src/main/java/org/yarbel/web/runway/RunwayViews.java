package org.yarbel.web.runway;

import java.io.Serializable;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Gear;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.plan.cycle.Changed;
import org.yarbel.core.plan.cycle.GoalCourse;
import org.yarbel.core.plan.cycle.Proposal;
import org.yarbel.core.plan.cycle.TaperShape;
import org.yarbel.web.contest.Contest;
import org.yarbel.web.contest.Contests;
import org.yarbel.web.lifter.Lifter;

/** What the Runway's page shows beside the picture. */
final class RunwayViews {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM yyyy", Locale.ENGLISH);

  private RunwayViews() {}

  /** A difference as it is said on the page after a redirect; what waits there is kept in the session. */
  public record ChangedView(String what, String why) implements Serializable {
    static List<ChangedView> of(List<Changed> changes) {
      return changes.stream().map(one -> new ChangedView(one.what(), one.why())).toList();
    }
  }

  /** A contest of the lifter as the page lists it. */
  public record GoingView(long id, String name, String day, String more, String role, boolean led, String bag) {
    static GoingView of(Contests.Going going, Runways.Situation now, Lifter lifter) {
      Contest contest = going.contest();
      Contest.ContestSaid said = contest.said();
      LocalDate day = contest.day();
      String role = now.roles().stream().filter(one -> one.meet().id() == contest.id()).map(one -> one.why()).findFirst().orElse("");
      return new GoingView(contest.id(), contest.name(), day == null ? contest.state().word()
          : DAY.format(day) + (contest.state() == Contest.State.CANCELLED
          ? ", cancelled" : ""), said.rules().word() + (going.entry().weightClass().isEmpty() ? "" : ", class " + going.entry()
          .weightClass()), role,
          now.contest().filter(own -> own.id() == contest.id()).isPresent(), said.rules().forbids(lifter.gear()).stream().map(Gear::word)
              .collect(Collectors.joining(", ")));
    }
  }

  /** The way to a goal as the page shows it. */
  public record GoalView(String key, String lift, GoalChart chart, String goal, String on, @Nullable String proposed,
      @Nullable String behind) {
    static GoalView of(RunwayService.Goal goal, RunwayService.ShownRunway shown, Lifter lifter) {
      boolean off = goal.behind() != null && goal.course() != null && goal.behind() >= GoalCourse.BEHIND;
      Mass lower = goal.course() == null ? null : goal.course().lower().shownIn(lifter.unit());
      return new GoalView(goal.lift().key(), goal.lift().name(), GoalChart.of(goal, shown.from(), shown.end(), lifter.unit()),
          goal.course() == null ? "" : goal.course().goal().amountIn(lifter.unit(), 1).stripTrailingZeros().toPlainString(),
          goal.course() == null ? "" : goal.course().goalOn().toString(), off && lower != null ? lower.amountIn(lifter.unit(), 1)
          .stripTrailingZeros()
              .toPlainString() : null, off ? Math.round(10 * Objects.requireNonNull(goal.behind())) / 10.0 + " %" : null);
    }
  }

  /** What the curve says of the day of the contest. */
  public record Ready(String words) {
    static @Nullable Ready of(RunwayService.ShownRunway shown, TaperShape shape) {
      if (shown.readiness().isEmpty() || shown.contest() == null) {
        return null;
      }
      double own = shown.readiness().get(shown.readiness().size() - 1).value();
      double other = shown.other().get(shown.other().size() - 1).value();
      return new Ready("On the day of the contest the plan stands at " + one(own) + ", with " + shape.words() + " at " + one(other)
          + ", today being 100.");
    }

    private static String one(double value) {
      return BigDecimal.valueOf(value).setScale(1, RoundingMode.HALF_UP).toPlainString();
    }
  }

  /** A line in the way of a proposal: {@code Mon 2 Mar: Squat 3x5 @8}. */
  static String line(InTheWay.LineInTheWay line, Catalogue lifts) {
    return DAY.format(line.day()) + ": " + lifts.ofKey(line.lift()).map(Lift::name).orElse(line.lift()) + " " + line.work();
  }

  /** A proposal as the page shows it. */
  public record ProposalView(String contest, List<String> blocks, List<String> reasons) {
    static ProposalView of(Proposal proposal, String contest) {
      return new ProposalView(contest, proposal.plan().placed().stream().map(placed -> RunwayForms.title(placed.block().purpose()) + ", "
          + Count.of(placed.block().weeks(), "week") + " from " + DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH)
              .format(placed.monday()) + (placed.block().every() > 0 ? ", the last one easy" : "")).toList(), proposal.reasons());
    }
  }
}
