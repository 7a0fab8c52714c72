package org.yarbel.core.call;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.plan.cycle.GoalCourse;
import org.yarbel.core.plan.progress.Method;

/** The estimate is off the line to the goal, or a goal wave is missed or too hard too early. */
final class GoalOff implements CallRule {
  private static final int EXPOSURES = 2;
  private static final double TOO_HARD = 9.5;
  private static final int LAST_DAYS = 21;
  private static final int MISS_DAYS = 28;
  private static final String WEEKS = "weeks";
  private static final int MOST_WEEKS = 16;
  private static final int STRETCH = 2;
  private static final int USUAL_WEEKS = 10;

  @Override
  public String key() {
    return "goal-off";
  }

  @Override
  public String title() {
    return "the goal is off course";
  }

  @Override
  public String source() {
    return OURS;
  }

  @Override
  public String when() {
    return "The estimate over 3 % behind or ahead of the line to the goal on two exposures; or a goal wave with two unflagged misses, or "
        + "rated 9.5 before its last three weeks: the goal moves by 2.5 %, or the block is stretched.";
  }

  @Override
  public List<CallFigure> figures() {
    return List.of(CallFigure.CALL_GOAL_OFF, CallFigure.CALL_GOAL_MOVE);
  }

  @Override
  public List<Call> look(Picture picture) {
    List<Call> calls = new ArrayList<>();
    new TreeMap<>(picture.lifts()).values().stream().filter(lift -> lift.course() != null).forEach(lift ->
        of(picture, lift, Objects.requireNonNull(lift.course())).ifPresent(calls::add));
    return calls;
  }

  private Optional<Call> of(Picture picture, Picture.OfLift lift, GoalCourse course) {
    if (!course.goalOn().isAfter(picture.today())) {
      return Optional.empty();
    }
    List<Picture.Point> last = lift.last(EXPOSURES + 1).stream().filter(point -> !point.day().isBefore(course.startOn())).toList();
    double most = picture.of(CallFigure.CALL_GOAL_OFF);
    List<Picture.Point> behind = last.stream().filter(point -> course.behind(point.day(), point.max()) > most).toList();
    List<Picture.Point> ahead = last.stream().filter(point -> course.behind(point.day(), point.max()) < -most).toList();
    if (newestAre(last, behind)) {
      return Optional.of(moving(picture, lift, course, behind, -1));
    }
    Optional<Call> hard = wave(picture, lift, course);
    return hard.isPresent() || !newestAre(last, ahead) ? hard : Optional.of(moving(picture, lift, course, ahead, 1));
  }

  /** Whether the newest two are among them. */
  private static boolean newestAre(List<Picture.Point> last, List<Picture.Point> off) {
    return last.size() >= EXPOSURES && off.containsAll(last.subList(last.size() - EXPOSURES, last.size()));
  }

  private Call moving(Picture picture, Picture.OfLift lift, GoalCourse course, List<Picture.Point> points, int side) {
    Picture.Point newest = points.get(points.size() - 1);
    Draft draft = Draft.of(this, lift.lift().key()).agreeing(points.size()).about(side < 0 ? "behind" : "ahead");
    points.forEach(point -> draft.because(Say.fact(lift.lift().key(), point)));
    propose(picture, lift, course, side, draft);
    return draft.saying(lift.lift().name() + ": the estimate, " + Say.about(newest.max()) + ", is "
        + Say.number(Math.abs(course.behind(newest.day(), newest.max()))) + " % " + (side < 0 ? "behind" : "ahead of") + " the line to "
        + course.goal().text() + " on " + Say.day(course.goalOn()) + ", and was on the exposure before.");
  }

  private static void propose(Picture picture, Picture.OfLift lift, GoalCourse course, int side, Draft draft) {
    double by = picture.of(CallFigure.CALL_GOAL_MOVE) / 100;
    long step = picture.step().nanograms() / 2;
    Mass goal = course.goal();
    Mass next = Mass.ofNanograms(Math.round(goal.nanograms() * (1 + side * by) / step) * step, goal.unit());
    draft.propose("Goal " + goal.text() + " → " + next.text(), List.of(new Effect.Number(lift.lift().key(), Basis.GOAL, goal, next)));
    if (side < 0 && picture.contest() == null) {
      picture.method(lift.lift().key()).filter(method -> method.method() == Method.GOAL_WAVE).ifPresent(method -> {
        int weeks = Integer.parseInt(method.settings().getOrDefault(WEEKS, Integer.toString(USUAL_WEEKS)));
        if (weeks + STRETCH <= MOST_WEEKS) {
          draft.propose("Stretch the wave by two weeks", List.of(new Effect.Setting(method.ref(), lift.lift().key(), WEEKS,
              "weeks before the max", Integer.toString(weeks), Integer.toString(weeks + STRETCH))));
        }
      });
    }
    draft.leave("Keep the goal");
  }

  /** A goal wave that is missed twice, or that is at 9.5 before its last three weeks. */
  private Optional<Call> wave(Picture picture, Picture.OfLift lift, GoalCourse course) {
    String key = lift.lift().key();
    if (picture.method(key).filter(method -> method.method() == Method.GOAL_WAVE).isEmpty()) {
      return Optional.empty();
    }
    List<Past> since = picture.exposures(key).stream().filter(past -> past.day().isAfter(picture.today().minusDays(MISS_DAYS))
        && !past.excused()).toList();
    List<Past> misses = since.stream().filter(past -> past.sets().stream().anyMatch(Picture.Lifted::missed)).toList();
    List<Past> hard = since.stream().filter(past -> past.day().isBefore(course.goalOn().minusDays(LAST_DAYS))
        && past.sets().stream().anyMatch(set -> set.effort() >= TOO_HARD)).limit(1).toList();
    List<Past> shown = misses.size() >= 2 ? misses : hard;
    if (shown.isEmpty()) {
      return Optional.empty();
    }
    Draft draft = Draft.of(this, key).agreeing(shown.size()).about("wave");
    shown.forEach(past -> draft.because(past.facts(past.sets().stream().filter(set -> set.missed() || set.effort() >= TOO_HARD).toList())));
    propose(picture, lift, course, -1, draft);
    return Optional.of(draft.saying(lift.lift().name() + ": the wave to " + course.goal().text() + (misses.size() >= 2
        ? " was missed on " + misses.size() + " days with nothing off." : " is at RPE 9.5 and more on " + Say.day(shown.get(0).day())
            + ", before its last three weeks.")));
  }
}
