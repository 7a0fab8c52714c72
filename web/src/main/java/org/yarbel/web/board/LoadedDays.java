package org.yarbel.web.board;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.CoachWord;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.SessionResolver;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.Deload;
import org.yarbel.web.line.LineView;
import org.yarbel.web.plan.LineLoads;
import org.yarbel.web.plan.PlannedLines;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.watch.WeekWatch;

/**
 * Days of a lifter as they are looked at, with those before them.
 *
 * @param views of the lines, by slot
 * @param logged how many sets are logged of each session
 * @param choice the places a day can be trained in; none when there is only one
 */
record LoadedDays(LocalDate from, int count, LifterContext usual, Map<LocalDate, TrainingSession> sessions,
    Map<LocalDate, WeekWatch.WatchedDay> days,
    Map<Long, LineView> views, Map<Long, Long> logged, List<WeekWatch.WatchedDay> before, List<BoardView.PlaceView> choice) {
  List<WeekWatch.WatchedDay> watched() {
    return new ArrayList<>(days.values());
  }

  /** What a line of the week comes to with another text. */
  WeekPanel.Quick quick() {
    return (slotId, work) -> days.values().stream().flatMap(day -> day.slots().stream().filter(slot -> slot.id() == slotId)
        .map(slot -> new SessionResolver(day.context()).alone(PlannedLines.of(day.context(), slot, day.groups()).saying(work)))).findFirst()
        .map(SessionResolver.Worked::line).map(line -> String.join(" · ", LineLoads.of(line))).orElse("");
  }

  /** As the board shows them. */
  List<BoardView.DayView> views(long lifterId, LocalDate today, Set<String> quiet, @Nullable Deload easy) {
    List<BoardView.DayView> shown = new ArrayList<>();
    for (LocalDate date = from; date.isBefore(from.plusDays(count)); date = date.plusDays(1)) {
      TrainingSession session = sessions.get(date);
      WeekWatch.WatchedDay day = days.get(date);
      List<BoardView.SlotView> lines = session == null || day == null ? List.of() : lines(lifterId, session, day, views, quiet, easy);
      shown.add(BoardView.day(lifterId, date, today, session, session == null ? 0 : logged
          .getOrDefault(session.id(), 0L), lines, choice));
    }
    return shown;
  }

  private static List<BoardView.SlotView> lines(long lifterId, TrainingSession session, WeekWatch.WatchedDay day,
      Map<Long, LineView> worked, Set<String> quiet, @Nullable Deload easy) {
    List<BoardView.SlotView> views = new ArrayList<>();
    LifterContext context = day.context();
    List<String> bars = context.kit().bars();
    Slot above = null;
    for (Slot slot : day.slots()) {
      Lift lift = context.lift(slot.lift());
      LineView view = worked.get(slot.id()).without(quiet, context.lifts().family(lift).key());
      String word = slot.details().agreed() || view.wrong() ? null
          : CoachWord.neededFor(lift, WorkLine.parse(slot.work()).line(), context.level(lift)).orElse(null);
      views.add(BoardView.SlotView.of(slot, lift.name(), lifterId, session.day(), view, bars, session.groups(), above, easy, word));
      above = slot;
    }
    return views;
  }
}
