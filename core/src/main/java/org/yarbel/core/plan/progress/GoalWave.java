package org.yarbel.core.plan.progress;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.yarbel.core.effort.RepMaxCurve;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.Option;
import org.yarbel.core.notation.Part;
import org.yarbel.core.notation.PartOf;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.Group;
import org.yarbel.core.plan.SlotKind;

/** Ten weeks of a top set that rises towards a goal with speed work behind it, and the goal in the eleventh. */
final class GoalWave implements Rule {
  private static final Parameter.Count WEEKS = Parameter.Count.of("weeks", "weeks before the max", 10, 6, 16);
  private static final Parameter.Number FROM = new Parameter.Number("from", "first top set, % of the goal", "75", 60, 90);
  private static final Parameter.Number TO = new Parameter.Number("to", "last top set, % of the goal", "97", 90, 100);
  private static final Parameter.Lifts BESIDE = new Parameter.Lifts("assistance", "assistance");

  private static final Group CIRCUIT = new Group(Group.Kind.CIRCUIT, null, 0, 90, null);
  private static final double NEAR_FAILURE = 0.98;
  /** From which week on (counted from 1) speed and assistance change. */
  private static final int[] CHANGES = {5, 7, 10};

  private static final List<Part> SPEED = List.of(speed(8, 60).with(new Option.Rest(90)).part(),
      speed(5, 65).with(new Option.Rest(120)).part(), speed(3, 70).part(), speed(2, 75).part());
  private static final List<Optional<PartOf>> ASSISTANCE = List.of(Optional.of(PartOf.sets(3, 8)), Optional.of(PartOf.sets(3, 5)),
      Optional.of(PartOf.sets(2, 5)), Optional.empty());

  private static PartOf speed(int sets, double percent) {
    return PartOf.sets(sets, 3).percent(percent, Basis.GOAL);
  }

  @Override
  public List<Parameter> parameters() {
    return List.of(WEEKS, FROM, TO, BESIDE);
  }

  @Override
  public boolean peaking(Settings settings, int week) {
    return true;
  }

  @Override
  public Exposure write(Brief brief, List<Done> done, int number, int ahead) {
    if (brief.numbers().goal() == null) {
      return Rule.withoutNumbers(brief, ahead).saying("No goal is written down for this lift: it is planned by RPE until there is one.");
    }
    int weeks = brief.settings().get(WEEKS);
    int week = brief.week(number);
    if (week > weeks) {
      return Exposure.none("The wave is over: start the next from a new goal.");
    }
    int stage = stage(week, weeks);
    if (brief.ofWeek(number) > 0) {
      return week == weeks ? Exposure.none("Rest before the max.") : Exposure.of(brief, new WorkLine(List.of(SPEED.get(stage))));
    }
    if (week == weeks) {
      return Exposure.of(brief, PartOf.sets(1, 1).percent(100, Basis.GOAL))
          .saying("The week of the max: the goal itself. Spotters, and safeties set.");
    }
    double percent = percent(brief, week);
    List<Exposure.Line> lines = new ArrayList<>();
    Part top = PartOf.sets(1, reps(week, weeks)).percent(percent, Basis.GOAL).part();
    lines.add(Exposure.main(brief, new WorkLine(List.of(top, SPEED.get(stage)))));
    ASSISTANCE.get(stage).ifPresent(work -> brief.variations(BESIDE, usual(brief)).forEach(lift ->
        lines.add(new Exposure.Line(SlotKind.ASSISTANCE, lift, work.line(), stage == 0 ? CIRCUIT : null))));
    return new Exposure(lines, false, false, null, remarks(brief, week, percent));
  }

  /** The stages were counted for ten weeks: other lengths stretch them. */
  private static int stage(int week, int weeks) {
    int stage = 0;
    while (stage < CHANGES.length && week + 1 >= Math.round(CHANGES[stage] * weeks / 10.0)) {
      stage++;
    }
    return stage;
  }

  private static int reps(int week, int weeks) {
    if (week + 1 >= weeks) {
      return 1;
    }
    return week + 1 <= Math.round(0.4 * weeks) ? 3 : 2;
  }

  private static double percent(Brief brief, int week) {
    return Percents.between(brief.settings().get(FROM), brief.settings().get(TO), week, brief.settings().get(WEEKS));
  }

  private static List<String> usual(Brief brief) {
    return switch (brief.lift().movement()) {
      case SQUAT -> List.of("leg-curl", "back-extension", "plank");
      case DEADLIFT -> List.of("row", "back-extension", "hanging-leg-raise");
      default -> List.of("row", "triceps-extension", "face-pull");
    };
  }

  /** Every percentage also as a share of today's estimate, and the first week that is near all there is. */
  private static List<String> remarks(Brief brief, int week, double percent) {
    Mass estimate = brief.numbers().estimated();
    Mass goal = brief.numbers().goal();
    if (estimate == null || goal == null) {
      return List.of();
    }
    List<String> remarks = new ArrayList<>();
    remarks.add(Percents.text(percent) + " % of the goal is " + Percents.text(Math.round(10 * percent * goal.ratioTo(estimate)) / 10.0)
        + " % of today's estimate.");
    if (overLimit(brief, week, estimate, goal) && (week == 0 || !overLimit(brief, week - 1, estimate, goal))) {
      remarks.add("From this week on the top set is over 98 % of what today's estimate gives for its reps.");
    }
    return remarks;
  }

  private static boolean overLimit(Brief brief, int week, Mass estimate, Mass goal) {
    double share = percent(brief, week) / 100 * goal.ratioTo(estimate);
    return share > NEAR_FAILURE * RepMaxCurve.HOUSE.fraction(reps(week, brief.settings().get(WEEKS)));
  }
}
