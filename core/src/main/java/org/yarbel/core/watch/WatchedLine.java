package org.yarbel.core.watch;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.kit.Bar;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.CountedLine;
import org.yarbel.core.plan.progress.Method;

/**
 * A line of the week as the checks see it.
 *
 * @param counted as it stands: where sets are logged, with what was done in them
 * @param asked as it was written, whatever was done: by this volume is compared
 * @param work as written
 * @param basisMax what a percentage without a basis is of; null when it is not known
 * @param level of the lifter in this lift; null when nobody said
 * @param method that wrote it; null for one written by hand
 * @param edited whether somebody changed what the method wrote
 * @param forecast whether exposures before it still decide what it will be
 * @param bar it is done with; null where there is none
 * @param place in its session, from 1
 */
public record WatchedLine(CountedLine counted, CountedLine asked, WorkLine work, @Nullable Mass basisMax, @Nullable Level level,
    @Nullable Method method, boolean edited, boolean forecast, @Nullable Bar bar, int place) {
  /** One of which nothing is logged. */
  public WatchedLine(CountedLine counted, WorkLine work, @Nullable Mass basisMax, @Nullable Level level, @Nullable Method method,
      boolean edited, boolean forecast, @Nullable Bar bar, int place) {
    this(counted, counted, work, basisMax, level, method, edited, forecast, bar, place);
  }

  /** Whether it stands as its method writes it. */
  boolean byMethod() {
    return method != null && !edited;
  }

  /** The same on another day. */
  WatchedLine on(LocalDate day) {
    return new WatchedLine(counted.on(day), asked.on(day), work, basisMax, level, method, edited, forecast, bar, place);
  }
}
