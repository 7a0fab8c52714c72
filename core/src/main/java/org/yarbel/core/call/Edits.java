package org.yarbel.core.call;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.Part;
import org.yarbel.core.notation.WorkLine;

/** Edits of lines to come as rules propose them. */
final class Edits {
  private Edits() {}

  /** A line to come that says something else; empty where that is what it says. */
  static Optional<Effect> to(Picture.Planned planned, WorkLine work) {
    return to(planned, planned.line().lift().key(), work, null);
  }

  static Optional<Effect> to(Picture.Planned planned, String lift, WorkLine work, @Nullable String cue) {
    String before = planned.line().planned().work();
    String after = work.toString();
    String now = planned.line().lift().key();
    return before.equals(after) && lift.equals(now) && cue == null || after.length() > WorkLine.MAX_LENGTH ? Optional.empty()
        : Optional.of(new Effect.Rewrite(planned.line().ref(), planned.session().day(), now, before, lift, after, cue));
  }

  /** Lines to come, each said otherwise where that makes a difference. */
  static List<Effect> each(List<Picture.Planned> lines, Function<WorkLine, WorkLine> edit) {
    List<Effect> effects = new ArrayList<>();
    lines.forEach(planned -> to(planned, edit.apply(LineEdit.read(planned.line().planned().work()))).ifPresent(effects::add));
    return effects;
  }

  /**
   * Lines of a lift to come with their loads times a factor; what an RPE alone says follows the estimate and stays. Where all of them hang
   * on the training max it is that number which moves: it moves what is not written yet as well.
   */
  static List<Effect> scaled(Picture picture, String lift, double factor) {
    Mass training = picture.context().numbers(picture.context().lift(lift)).training();
    List<Picture.Planned> lines = picture.editable(lift);
    if (training != null && !lines.isEmpty() && !picture.remembered(lift) && lines.stream()
        .allMatch(planned -> ofTraining(picture, planned))) {
      Mass next = half(training.scaled(factor));
      return next.hits(training) ? List.of() : List.of(new Effect.Number(lift, Basis.TRAINING, training, next));
    }
    return each(picture.editable(lift), line -> LineEdit.scaled(line, factor, null));
  }

  /**
   * Work put before a line to come. What hangs on the line's own top set would hang on the new one, which may be heavier: those parts get
   * the loads they come to now. Empty where sets fall from one to the next, or nothing can be worked out.
   */
  static Optional<WorkLine> before(Picture picture, Picture.Planned planned, WorkLine first) {
    WorkLine line = LineEdit.read(planned.line().planned().work());
    ResolvedLine now = LineChange.resolved(picture, planned.line().planned());
    List<Part> parts = new ArrayList<>();
    for (int i = 0; i < line.parts().size(); i++) {
      Part part = line.parts().get(i);
      int number = i + 1;
      if (part.load() == null || !part.load().needsTop()) {
        parts.add(part);
        continue;
      }
      Optional<Mass> load = now == null ? Optional.empty() : now.sets().stream().filter(set -> set.part() == number)
          .map(ResolvedSet::load).filter(Objects::nonNull).findFirst();
      if (load.isEmpty() || part.load() instanceof Load.Drop drop && drop.each()) {
        return Optional.empty();
      }
      parts.add(new Part(part.work(), new Load.OfMass(load.get()), part.rpe(), part.options()));
    }
    return LineEdit.behind(first, new WorkLine(parts));
  }

  /** Whether its loads are shares of the lifter's training max, and of nothing else. */
  private static boolean ofTraining(Picture picture, Picture.Planned planned) {
    List<Part> parts = LineEdit.read(planned.line().planned().work()).parts();
    return planned.line().planned().trainingMax() == null && parts.stream().anyMatch(part -> part.load() instanceof Load.Percent)
        && parts.stream().allMatch(part -> part.load() != null && part.load().needsTop() || part.load() instanceof Load.Percent percent
            && percent.lift() == null && (percent.basis() == null ? picture.basis(planned.line().lift())
                : percent.basis()) == Basis.TRAINING);
  }

  /** To half a unit. */
  private static Mass half(Mass mass) {
    long unit = mass.unit().nanograms() / 2;
    return Mass.ofNanograms(Math.round((double) mass.nanograms() / unit) * unit, mass.unit());
  }

  /** The heaviest work set of a line to come; empty where the lifter picks. */
  static Optional<Mass> top(Picture picture, Picture.Planned planned) {
    return LineChange.top(picture, planned.line().planned());
  }
}
