package org.yarbel.web.journal;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Count;
import org.yarbel.web.club.Lifts;

/** What a change did, in a few words, told from what is different after it: undo says so beforehand. */
@Component
class Words {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

  private final Lifts lifts;

  Words(Lifts lifts) {
    this.lifts = lifts;
  }

  /** What makes the one the other. */
  String of(PlanState before, PlanState after) {
    return before.extent() == Scope.Extent.LINE ? line(before.without(after), after.without(before)) : days(before, after);
  }

  /** {@code Squat 5x5 60kg → 5x5 65kg}. */
  private String line(PlanState before, PlanState after) {
    PlanState.LineState was = written(before, after);
    PlanState.LineState is = written(after, before);
    if (was == null) {
      return "adding " + name(is);
    }
    if (is == null) {
      return "taking out " + name(was);
    }
    if (!was.lift().equals(is.lift())) {
      return name(was) + " → " + name(is);
    }
    return name(was) + " → " + (was.work().equals(is.work()) ? "what stands beside it" : is.work());
  }

  /** The line somebody wrote, and not one that followed it or was done by turns with it. */
  private static PlanState.@Nullable LineState written(PlanState in, PlanState other) {
    return in.lines().values().stream().filter(line -> line.follows() == null && !line.saysAs(other.lines().get(line.ref())))
        .findFirst().orElse(null);
  }

  private String name(PlanState.@Nullable LineState line) {
    return line == null ? "" : lifts.catalogue().ofKey(line.lift()).map(Lift::name).orElse(line.lift()) + " " + line.work();
  }

  /** The line where it is one, else how many lines of how many days. */
  private String days(PlanState before, PlanState after) {
    List<LocalDate> changed = before.changed(after);
    if (changed.isEmpty()) {
      return "methods or easy weeks";
    }
    List<PlanState.LineState> out = new ArrayList<>();
    List<PlanState.LineState> in = new ArrayList<>();
    for (LocalDate day : changed) {
      out.addAll(only(before.day(day), after.day(day)));
      in.addAll(only(after.day(day), before.day(day)));
    }
    String days = changed.size() == 1 ? DAY.format(changed.get(0)) : changed.size() + " days";
    return (before.setOtherwise(after) ? "methods, with " : "") + lines(out, in) + (changed.size() == 1 ? ", " : " of ") + days;
  }

  private String lines(List<PlanState.LineState> out, List<PlanState.LineState> in) {
    int lines = Math.max(out.size(), in.size());
    if (lines == 1) {
      return name(in.isEmpty() ? out.get(0) : in.get(0));
    }
    return lines == 0 ? "order or groups" : Count.of(lines, "line");
  }

  /** The lines of a day that say what no line of another does. */
  private static List<PlanState.LineState> only(PlanState.DayState day, PlanState.DayState other) {
    List<List<@Nullable Object>> there = other.lines().stream().map(PlanState.LineState::said).toList();
    return day.lines().stream().filter(line -> !there.contains(line.said())).toList();
  }
}
