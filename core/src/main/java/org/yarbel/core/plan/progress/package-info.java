/**
 * The ways to progress: rules that write what is done at each exposure of a lift.
 *
 * <p>Start at {@link org.yarbel.core.plan.progress.Method}, the list of them; each has a {@link
 * org.yarbel.core.plan.progress.Rule} with its {@link org.yarbel.core.plan.progress.Parameter}s and a {@link
 * org.yarbel.core.plan.progress.Guide} in plain words. A rule is asked for one {@link
 * org.yarbel.core.plan.progress.Exposure} at a time and answers with lines in the work notation. Rules with memory read
 * what was done ({@link org.yarbel.core.plan.progress.Done}) and write only the next exposure; what lies behind it is a
 * forecast that takes for granted that the minimum is made. All figures are our own defaults, from common practice; a
 * coach changes them. A new rule needs: a class, a line in {@code Method}, a guide in {@code guides.txt}, and a golden
 * plan among the tests.
 */
@NullMarked
package org.yarbel.core.plan.progress;

import org.jspecify.annotations.NullMarked;
