package org.yarbel.web.board;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.Caution;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Role;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.NotationException;
import org.yarbel.core.notation.Problem;
import org.yarbel.web.card.CardDocument;
import org.yarbel.web.plan.LifterContext;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.skyline.Skyline;

/**
 * A typed line as the board shows it beside its field: the loads and the skyline, or what is wrong and where.
 *
 * @param loads a part each: {@code 155 ×4}
 * @param marks the typed text cut at the places of the problems; empty when there are none
 */
public record LineView(List<String> loads, @Nullable Skyline skyline, List<String> cautions, List<Mark> marks,
    List<String> problems) {
  private static final double WIDTH = 236;
  private static final double HEIGHT = 44;

  /** A piece of the typed text. */
  public record Mark(String text, boolean wrong) {}

  /** A stored line: as it was issued when it was, else worked out with the numbers of today. */
  public static LineView of(LifterContext context, Slot slot, CardDocument.@Nullable Line issued) {
    return issued == null ? of(context, context.lift(slot.lift()), slot.work()) : of(issued.resolved(), issued.basisMax());
  }

  /** Works a line out and says what it comes to. */
  public static LineView of(LifterContext context, Lift lift, String work) {
    try {
      return of(context.resolve(lift, work), context.basisMax(lift));
    } catch (NotationException wrong) {
      return new LineView(List.of(), null, List.of(), marks(work, wrong.problems()),
          wrong.problems().stream().map(Problem::message).toList());
    }
  }

  /** A line whose lift nobody knows. */
  static LineView ofNoLift(String problem) {
    return new LineView(List.of(), null, List.of(), List.of(), List.of(problem));
  }

  private static LineView of(ResolvedLine line, @Nullable Mass basisMax) {
    return new LineView(loads(line), Skyline.of(line, basisMax, WIDTH, HEIGHT),
        line.cautions().stream().map(Caution::text).toList(), List.of(), List.of());
  }

  public boolean wrong() {
    return !problems.isEmpty();
  }

  /** The loads of each part; several equal ones once, with their number. */
  public static List<String> loads(ResolvedLine line) {
    List<String> parts = new ArrayList<>();
    int last = line.sets().isEmpty() ? 0 : line.sets().get(line.sets().size() - 1).part();
    for (int part = 1; part <= last; part++) {
      int number = part;
      parts.add(part(line.sets().stream().filter(s -> s.part() == number).toList()));
    }
    return parts;
  }

  private static String part(List<ResolvedSet> sets) {
    List<String> loads = sets.stream().map(LineView::load).toList();
    String end = sets.get(sets.size() - 1).role() == Role.PLUS ? "+" : "";
    boolean equal = loads.stream().distinct().count() == 1;
    String text = equal && loads.size() > 1 ? loads.get(0) + " ×" + loads.size() : loads.stream().collect(Collectors.joining(" "));
    return text + end;
  }

  private static String load(ResolvedSet set) {
    Mass load = set.load();
    return load == null ? "lifter picks" : load.number() + (set.role() == Role.OPEN ? "+" : "");
  }

  private static List<Mark> marks(String work, List<Problem> problems) {
    List<Mark> marks = new ArrayList<>();
    int at = 0;
    for (Problem problem : problems) {
      if (problem.from() > at) {
        marks.add(new Mark(work.substring(at, problem.from()), false));
      }
      int from = Math.max(problem.from(), at);
      marks.add(new Mark(problem.to() > from ? work.substring(from, problem.to()) : "‸", true));
      at = Math.max(problem.to(), from);
    }
    marks.add(new Mark(work.substring(at), false));
    return marks;
  }
}
