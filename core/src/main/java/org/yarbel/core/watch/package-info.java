/**
 * The checks of a written week: one small class each, with its severity, sentence and source.
 *
 * <p>Start at {@link org.yarbel.core.watch.Checks}, which holds them all and looks at a {@link
 * org.yarbel.core.watch.WatchedWeek}. A {@link org.yarbel.core.watch.Check} answers with {@link
 * org.yarbel.core.watch.Finding}s: a sentence with the week's own figures, and where possible a line that would mend it.
 * Where a figure can be argued about it is a {@link org.yarbel.core.watch.Threshold} that a club can set. The checks advise;
 * the coach decides, and local rules and licensed practitioners come first.
 */
@NullMarked
package org.yarbel.core.watch;

import org.jspecify.annotations.NullMarked;
