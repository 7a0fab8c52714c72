package org.yarbel.core.call;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
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

  /** Lines of a lift to come with their loads times a factor; what an RPE alone says follows the estimate and stays. */
  static List<Effect> scaled(Picture picture, String lift, double factor) {
    return each(picture.editable(lift), line -> LineEdit.scaled(line, factor, null));
  }

  /** The heaviest work set of a line to come; empty where the lifter picks. */
  static Optional<Mass> top(Picture picture, Picture.Planned planned) {
    return LineChange.top(picture, planned.line().planned());
  }
}
