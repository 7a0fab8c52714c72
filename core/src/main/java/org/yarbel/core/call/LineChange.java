package org.yarbel.core.call;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.PlannedLine;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Role;
import org.yarbel.core.card.SessionResolver;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.Part;

/**
 * A line before and after an edit, worked out: what a coach sees before anything is taken.
 *
 * @param was what it says now; empty where it is new
 * @param work what it would say
 * @param before null where it is new, or cannot be worked out
 * @param after null where it cannot be worked out
 */
public record LineChange(LocalDate day, String lift, String was, String work, @Nullable ResolvedLine before, @Nullable ResolvedLine after) {
  /** The heaviest work set of a line; empty where there is none with a load. */
  static Optional<Mass> top(@Nullable ResolvedLine line) {
    return line == null ? Optional.empty() : line.sets().stream().filter(set -> set.role() != Role.WARM).map(ResolvedSet::load)
        .filter(Objects::nonNull).max(Comparator.naturalOrder());
  }

  /** The heaviest work set of a planned line of a lifter; empty where the lifter picks, or it cannot be worked out. */
  public static Optional<Mass> top(Picture picture, PlannedLine line) {
    return top(resolved(picture, line));
  }

  /** Which way the heaviest set moves: 1 up, −1 down, 0 where it weighs the same or nobody knows. */
  public int way() {
    Optional<Mass> was = top(before);
    Optional<Mass> is = top(after);
    return was.isEmpty() || is.isEmpty() || is.get().hits(was.get()) ? 0 : Integer.signum(is.get().compareTo(was.get()));
  }

  /** Whether the heaviest set weighs more after it. */
  boolean heavier() {
    return way() > 0;
  }

  /** Whether the heaviest set moves by a step or 2.5 % at most. */
  boolean small(Mass step) {
    Optional<Mass> was = top(before);
    Optional<Mass> is = top(after);
    if (was.isEmpty() || is.isEmpty()) {
      return false;
    }
    double by = Math.abs(is.get().ratioTo(was.get()) - 1);
    return by <= SMALL || Math.abs(is.get().nanograms() - was.get().nanograms()) <= step.nanograms() + Mass.TOLERANCE_NANOGRAMS;
  }

  /** Handbook: at most one step or 2.5 %. Our own default; a thousandth for loads that are rounded. */
  private static final double SMALL = 0.026;

  /** A planned line of a lifter worked out without its warm-up; null where it cannot be. */
  public static @Nullable ResolvedLine resolved(Picture picture, PlannedLine line) {
    return new SessionResolver(picture.context()).withoutRamp(line).orElse(null);
  }

  /** What the effects do to lines of the plan. */
  public static List<LineChange> of(Picture picture, List<Effect> effects) {
    List<LineChange> all = new ArrayList<>();
    effects.forEach(effect -> all.addAll(effect.accept(new Worked(picture))));
    return all;
  }

  private record Worked(Picture picture) implements Effect.Visitor<List<LineChange>> {
    @Override
    public List<LineChange> rewrite(Effect.Rewrite edit) {
      PlannedLine line = planned(edit).orElseGet(() -> PlannedLine.of(picture.context().lift(edit.lift()), edit.before()));
      PlannedLine then = line.saying(picture.context().lift(edit.toLift()), edit.after());
      return List.of(new LineChange(edit.day(), edit.toLift(), edit.before(), edit.after(), resolved(picture, line),
          resolved(picture, then)));
    }

    private Optional<PlannedLine> planned(Effect.Rewrite edit) {
      return picture.sessions().stream().flatMap(session -> session.lines().stream()).filter(line -> line.ref().equals(edit.line()))
          .map(Picture.Line::planned).findFirst();
    }

    @Override
    public List<LineChange> add(Effect.Add edit) {
      PlannedLine line = PlannedLine.of(picture.context().lift(edit.lift()), edit.work());
      return List.of(new LineChange(edit.day(), edit.lift(), "", edit.work(), null, resolved(picture, line)));
    }

    @Override
    public List<LineChange> move(Effect.Move edit) {
      return List.of();
    }

    @Override
    public List<LineChange> easyWeek(Effect.EasyWeek edit) {
      List<LineChange> all = new ArrayList<>();
      picture.ahead().stream().filter(session -> !session.day().isBefore(edit.monday()) && session.day()
          .isBefore(edit.monday().plusWeeks(1)))
          .forEach(session -> session.lines().stream().filter(line -> line.kind().mainWork())
              .forEach(line -> easy(edit, session, line).ifPresent(all::add)));
      return all;
    }

    private Optional<LineChange> easy(Effect.EasyWeek edit, Picture.Session session, Picture.Line line) {
      return edit.kind().applied(LineEdit.read(line.planned().work()), picture.context().chart(line.lift()))
          .map(work -> new LineChange(session.day(), line.lift().key(), line.planned().work(), work.toString(),
              resolved(picture, line.planned()),
              resolved(picture, line.planned().saying(work.toString()))));
    }

    @Override
    public List<LineChange> number(Effect.Number edit) {
      Picture then = picture.with(edit);
      return picture.planned(edit.lift()).stream().filter(planned -> asks(planned.line().planned(), edit)).map(planned ->
          same(planned, edit.lift(), then)).toList();
    }

    /** Whether a line is worked out with that number. */
    private boolean asks(PlannedLine line, Effect.Number edit) {
      return LineEdit.read(line.work()).parts().stream().anyMatch(part -> asks(part, line, edit));
    }

    private boolean asks(Part part, PlannedLine line, Effect.Number edit) {
      if (part.load() instanceof Load.Percent percent && percent.lift() == null) {
        return (percent.basis() == null ? picture.basis(line.lift()) : percent.basis()) == edit.what();
      }
      return false;
    }

    @Override
    public List<LineChange> ofBasis(Effect.OfBasis edit) {
      Picture then = picture.with(edit);
      return picture.planned(edit.lift()).stream().map(planned -> same(planned, edit.lift(), then)).toList();
    }

    /** A line that says the same and comes to something else. */
    private LineChange same(Picture.Planned planned, String lift, Picture then) {
      PlannedLine line = planned.line().planned();
      return new LineChange(planned.session().day(), lift, line.work(), line.work(), resolved(picture, line), resolved(then, line));
    }

    @Override
    public List<LineChange> setting(Effect.Setting edit) {
      return List.of();
    }

    @Override
    public List<LineChange> another(Effect.Another edit) {
      return List.of();
    }

    @Override
    public List<LineChange> ask(Effect.Ask edit) {
      return List.of();
    }
  }

  /** The numbers after an edit of one. */
  static MaxNumbers numbers(MaxNumbers now, Effect.Number edit) {
    return switch (edit.what()) {
      case TRAINING -> now.withTraining(edit.after());
      case GOAL -> new MaxNumbers(now.tested(), now.estimated(), now.training(), edit.after(), now.origins(), now.today());
      case ESTIMATED -> new MaxNumbers(now.tested(), edit.after(), now.training(), now.goal(), now.origins(), now.today());
      case TESTED, TODAY -> now;
    };
  }
}
