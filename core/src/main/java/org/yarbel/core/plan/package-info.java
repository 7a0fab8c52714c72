/**
 * What several lines, sessions and weeks make together.
 *
 * <p>{@link org.yarbel.core.plan.SetOrder} puts the sets of a session into their turns; {@link
 * org.yarbel.core.plan.CountedLine} counts volume and effort of a line, {@link org.yarbel.core.plan.WeekTotals} of a week;
 * {@link org.yarbel.core.plan.SessionTime} estimates minutes, {@link org.yarbel.core.plan.Recovery} how a lift comes back,
 * {@link org.yarbel.core.plan.Deload} the easy weeks. The rules that write the work are in {@code progress}. It uses the
 * lines worked out by {@code card}, and knows no lifter by name.
 */
@NullMarked
package org.yarbel.core.plan;

import org.jspecify.annotations.NullMarked;
