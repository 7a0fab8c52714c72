package org.yarbel.web.journal;

import java.util.Optional;

/** What is said of a step back or forth. */
final class Said {
  private Said() {}

  static String done(PlanState from, PlanState to, boolean back) {
    return switch (to.extent()) {
      case LINE -> line(from, to).map(work -> (back ? "The line is back as it was: " : "Done again: ") + work)
          .orElse("The line is out again.");
      case SESSION -> back ? "The session stands as before." : "The session is arranged so again.";
      case DAYS -> (back ? "The days stand as before." : "The change is done again.") + (to.setOtherwise(from)
          ? " Methods and easy weeks too." : "");
    };
  }

  /** The work of the line that was written; empty where it is out. */
  private static Optional<String> line(PlanState from, PlanState to) {
    return to.lines().values().stream().filter(line -> line.follows() == null && !line.saysAs(from.lines().get(line.ref())))
        .map(PlanState.LineState::work).findFirst();
  }

  static String changedSince(PlanState from, boolean back) {
    return switch (from.extent()) {
      case LINE -> back ? "That line was changed again since: undo the later change first."
          : "That line was changed or begun since: it is not done again.";
      case SESSION -> "That session was changed again since: undo the later change first.";
      case DAYS -> "These days were changed again since: this one stays.";
    };
  }

  static String begun(PlanState from, boolean back) {
    return back ? "Sets of that line are logged: only what lies ahead can change." : changedSince(from, false);
  }
}
