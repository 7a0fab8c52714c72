package org.yarbel.core.watch;

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
 * @param work as written
 * @param basisMax what a percentage without a basis is of; null when it is not known
 * @param level of the lifter in this lift; null when nobody said
 * @param method that wrote it; null for one written by hand
 * @param edited whether somebody changed what the method wrote
 * @param forecast whether exposures before it still decide what it will be
 * @param bar it is done with; null where there is none
 * @param place in its session, from 1
 */
public record WatchedLine(CountedLine counted, WorkLine work, @Nullable Mass basisMax, @Nullable Level level, @Nullable Method method,
    boolean edited, boolean forecast, @Nullable Bar bar, int place) {}
