package org.yarbel.web.line;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.Caution;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.card.PlannedLine;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.SessionResolver;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Completion;
import org.yarbel.core.notation.Problem;
import org.yarbel.core.notation.Reading;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.Groups;
import org.yarbel.web.card.CardDocument;
import org.yarbel.web.plan.LineLoads;
import org.yarbel.web.plan.PlannedLines;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.skyline.Skyline;

/**
 * A typed line as the board shows it beside its field: the loads, the line read out and the skyline, or what is wrong
 * and where.
 *
 * @param loads a part each: {@code 155 ×4}
 * @param words the line read out, so that the one who types hears what was understood
 * @param marks the typed text cut at the places of the problems; empty when there are none
 * @param next what could come next while it is typed; empty when nobody is typing
 */
public record LineView(List<String> loads, String words, @Nullable Skyline skyline, List<Minded> cautions, List<Mark> marks,
    List<String> problems, List<Next> next) {
  private static final double WIDTH = 236;
  private static final double HEIGHT = 44;
  private static final int MOST_PROPOSALS = 7;

  /** A piece of the typed text. */
  public record Mark(String text, boolean wrong) {}

  /** Something to mind, with its reason; {@code hurts} where somebody may be. */
  public record Minded(String code, String text, @Nullable String reason, boolean hurts) {
    static Minded of(Caution caution) {
      return new Minded(caution.code(), caution.text(), caution.reason(), caution.hurts());
    }
  }

  /** A way to go on: the whole text with it, what is put in, and what that means. */
  public record Next(String whole, String text, String meaning) {}

  /**
   * The lines of a session in their order: as they were issued where they were, else worked out with the numbers of today.
   *
   * @param issued the lines that were issued, by their ref
   * @param done what is logged of each line, by its ref
   * @param resolved takes the lines that could be worked out, by slot, as they are asked
   */
  public static Map<Slot, LineView> worked(LifterContext context, List<Slot> slots, Groups groups,
      Map<UUID, CardDocument.DocumentLine> issued, Map<UUID, List<LoggedSet>> done, Map<Long, ResolvedLine> resolved) {
    Map<Long, SessionResolver.Worked> worked = slots.stream().allMatch(slot -> issued.containsKey(slot.ref())) ? Map.of()
        : PlannedLines.session(context, slots, groups);
    Map<Slot, LineView> lines = new LinkedHashMap<>();
    for (Slot slot : slots) {
      CardDocument.DocumentLine stands = issued.get(slot.ref());
      ResolvedLine line = stands != null ? stands.resolved() : Objects.requireNonNull(worked.get(slot.id())).line();
      if (line != null) {
        resolved.put(slot.id(), line);
      }
      lines.put(slot, stands != null ? of(stands.resolved(), stands.basisMax(), done.getOrDefault(slot.ref(), List.of()))
          : of(context, context.lift(slot.lift()), slot.work(), Objects.requireNonNull(worked.get(slot.id()))));
    }
    return lines;
  }

  /** The same for those who ask for no figures beside. */
  public static Map<Slot, LineView> of(LifterContext context, List<Slot> slots, Groups groups,
      Map<UUID, CardDocument.DocumentLine> issued) {
    return worked(context, slots, groups, issued, Map.of(), new HashMap<>());
  }

  /** The same without the cautions that were silenced about a lift. */
  public LineView without(Set<String> quiet, String lift) {
    List<Minded> left = cautions.stream().filter(caution -> !quiet.contains(caution.code() + "/" + lift)).toList();
    return left.size() == cautions.size() ? this : new LineView(loads, words, skyline, left, marks, problems, next);
  }

  /** Works a line out and says what it comes to. */
  public static LineView of(LifterContext context, Lift lift, String work) {
    return of(context, lift, work, new SessionResolver(context).alone(PlannedLine.of(lift, work)));
  }

  public static LineView of(LifterContext context, Lift lift, String work, SessionResolver.Worked worked) {
    if (worked.line() != null) {
      return of(worked.line(), context.drawnAgainst(lift), List.of());
    }
    List<Problem> problems = Objects.requireNonNull(worked.wrong()).problems();
    return new LineView(List.of(), "", null, List.of(), marks(work, problems), problems.stream().map(Problem::message).toList(), List.of());
  }

  /** A line whose lift nobody knows. */
  public static LineView ofNoLift(String problem) {
    return new LineView(List.of(), "", null, List.of(), List.of(), List.of(problem), List.of());
  }

  private static LineView of(ResolvedLine line, @Nullable Mass basisMax, List<LoggedSet> done) {
    return new LineView(LineLoads.of(line), Reading.text(WorkLine.parse(line.notation()).line()),
        Skyline.of(line.with(done), basisMax, WIDTH, HEIGHT),
        line.cautions().stream().map(Minded::of).toList(), List.of(), List.of(), List.of());
  }

  /** The same with what could come next at the caret. */
  public LineView typing(String work, int caret) {
    int at = Math.min(Math.max(caret, 0), work.length());
    boolean inFigure = at > 0 && !Character.isLetter(work.charAt(at - 1)) && !Character.isWhitespace(work.charAt(at - 1))
        && work.charAt(at - 1) != ';';
    if (inFigure) {
      return this;
    }
    Completion completion = Completion.after(work.substring(0, at));
    List<Next> proposals = completion.proposals().stream().limit(MOST_PROPOSALS)
        .map(p -> new Next(work.substring(0, completion.from()) + p.text() + work.substring(at), p.text().strip(), p.meaning())).toList();
    return new LineView(loads, words, skyline, cautions, marks, problems, proposals);
  }

  public boolean wrong() {
    return !problems.isEmpty();
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
