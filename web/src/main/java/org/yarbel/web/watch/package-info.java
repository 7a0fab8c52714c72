/**
 * The checks of a week on the screens: what they find, what a club has set, and what a coach has silenced with a reason.
 *
 * <p>{@link org.yarbel.web.watch.WeekWatch} makes the core's week from the plan and asks the core's checks; {@link
 * org.yarbel.web.watch.RecoveryPicture} draws how each lift comes back over the week. The Checks page lists every check with
 * its source and the figures a club can set. Only coaches; what is set and silenced is the club's own. It may use club,
 * lifter, plan and program.
 */
@NullMarked
package org.yarbel.web.watch;

import org.jspecify.annotations.NullMarked;
