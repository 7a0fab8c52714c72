/**
 * The plan as it is stored: sessions with their groups, slots of notation with what is said beside the work. {@link
 * org.yarbel.web.plan.LifterContexts} reads what a lifter's lines are worked out with, {@link
 * org.yarbel.web.plan.PlannedLines} hands the lines of a session to the core with it. It shows no page. It may use club and
 * lifter.
 */
@NullMarked
package org.yarbel.web.plan;

import org.jspecify.annotations.NullMarked;
