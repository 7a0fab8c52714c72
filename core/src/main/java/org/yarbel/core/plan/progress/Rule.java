package org.yarbel.core.plan.progress;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.notation.Option;
import org.yarbel.core.notation.PartOf;

/** Writes the exposures of a lift one by one. */
public interface Rule {
  /** What a coach can set. */
  List<Parameter> parameters();

  /** Whether it reads the log, so that all but the next exposure are a forecast. */
  default boolean memory() {
    return false;
  }

  /** Whether a week, from 0, is an easy one of its own. */
  default boolean easy(Settings settings, int week) {
    return false;
  }

  /** Whether what it writes hangs on the days that are left to a contest. */
  default boolean countsDown() {
    return false;
  }

  /**
   * Whether a week, from 0, belongs to a strength or peak block, in which main work is not outnumbered.
   *
   * @param week of the method, from 0
   */
  default boolean peaking(Settings settings, int week) {
    return false;
  }

  /**
   * What to ask a coach who ends it; empty when nothing speaks against it.
   *
   * @param weeks it has run, from 0
   */
  default Optional<String> leaving(long weeks) {
    return Optional.empty();
  }

  /**
   * One exposure.
   *
   * @param done those behind, in order
   * @param number of this one, from 0; those that nobody lifted count
   * @param ahead how many before it are planned but not done: 0 for the next
   */
  Exposure write(Brief brief, List<Done> done, int number, int ahead);

  /**
   * The same, knowing what of the log does not count: an exposure missed while something was off is repeated, the third running
   * counts; one that was ended before its last set is repeated. It says so of the next.
   */
  default Exposure next(Brief brief, List<Done> done, int number, int ahead) {
    if (!memory()) {
      return write(brief, done, number, ahead);
    }
    List<Done> marked = Done.marked(done);
    Exposure exposure = write(brief, marked, number, ahead);
    Done.Aside last = marked.isEmpty() ? null : marked.get(marked.size() - 1).setAside();
    return last == null || ahead > 0 || exposure.lines().isEmpty() ? exposure : exposure.saying(Stream.concat(Stream.of("The last one: "
        + last.why()), exposure.remarks().stream()).toList());
  }

  /** What is written for a lift whose max nobody knows: by RPE, the load left to the lifter. */
  static Exposure withoutNumbers(Brief brief, int ahead) {
    return Exposure.of(brief, PartOf.sets(3, 5).with(new Option.Cap(Rpe.of(7)))).ahead(ahead)
        .saying("No max of the " + brief.lift().name().toLowerCase(Locale.ROOT)
        + " is known, so it is planned by RPE: the lifter picks the load and stops at 7. Rated sets give an estimate, and the "
        + "method starts from it.");
  }
}
