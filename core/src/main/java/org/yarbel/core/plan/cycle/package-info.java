/**
 * The long plan: blocks of weeks from today to a contest.
 *
 * <p>Start at {@link org.yarbel.core.plan.cycle.Macrocycle}, a list of {@link org.yarbel.core.plan.cycle.Block}s with a {@link
 * org.yarbel.core.plan.cycle.Purpose} each, in which a {@link org.yarbel.core.plan.cycle.Use} says how a lift is trained: by a
 * method of {@code progress}. {@link org.yarbel.core.plan.cycle.Proposal} makes one, {@link org.yarbel.core.plan.cycle.Editing}
 * changes it, {@link org.yarbel.core.plan.cycle.Refit} fits it to a date that moved and says why each block gives or grows,
 * {@link org.yarbel.core.plan.cycle.Written} writes its lines. {@link org.yarbel.core.plan.cycle.Meets} tells which of several
 * contests is the peak, {@link org.yarbel.core.plan.cycle.GoalCourse} how far a goal is, {@link
 * org.yarbel.core.plan.cycle.FitnessFatigue} compares tapers. Lengths and orders are our own, from common practice, unless a
 * source is named.
 */
@NullMarked
package org.yarbel.core.plan.cycle;

import org.jspecify.annotations.NullMarked;
