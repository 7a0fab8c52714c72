package org.yarbel.web.contest;

import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.contest.PointsFormula;
import org.yarbel.core.contest.RuleSet;
import org.yarbel.core.contest.strongman.EventKind;
import org.yarbel.core.contest.strongman.KindOfWork;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.notation.NotationException;
import org.yarbel.core.notation.WorkLine;

/**
 * How a contest's day goes: by which rules, how points are counted, when what begins.
 *
 * @param events how each event ranks, in their order; shorter than the events where the rest goes by its work
 * @param starts when a flight begins a lift, by flight and lift with a stroke between; an event by its number
 * @param lateMinutes how much later all of it is; below 0 for early
 * @param cap the RPE that one is held to where it is lifted as a training day; null for none
 * @param mock whether it is the club's own, with as many attempts as the rules say
 */
public record DaySheet(RuleSet rules, PointsFormula formula, List<EventRule> events, Map<String, LocalTime> starts, int lateMinutes,
    @Nullable Rpe cap, boolean mock) {
  /** By the usual rules, DOTS, no times known. */
  public static final DaySheet USUAL = new DaySheet(RuleSet.usual(), PointsFormula.DOTS, List.of(), Map.of(), 0, null, false);

  /** How an event ranks. */
  public record EventRule(EventKind kind, boolean timeBreaksTies) {}

  public DaySheet {
    events = List.copyOf(events);
    starts = Map.copyOf(starts);
  }

  /** When a flight begins a lift; null where nobody said. */
  public @Nullable LocalTime start(String flight, String lift) {
    return starts.get(flight + "|" + lift);
  }

  /** How each event ranks: as was said, else as its work tells. */
  public List<EventRule> rules(List<Contest.ContestEvent> contested) {
    List<EventRule> all = new ArrayList<>();
    for (Contest.ContestEvent event : contested) {
      all.add(all.size() < events.size() ? events.get(all.size()) : new EventRule(kind(event.work()), true));
    }
    return all;
  }

  private static EventKind kind(String work) {
    try {
      return KindOfWork.of(WorkLine.parse(work).line());
    } catch (NotationException unreadable) {
      return EventKind.REPS;
    }
  }

  /** The same so much later. */
  public DaySheet late(int minutes) {
    return new DaySheet(rules, formula, events, starts, minutes, cap, mock);
  }
}
