/**
 * The table of a powerlifting contest: who has lifted what, who leads in a class and by points, and what somebody needs to pass or to stay
 * ahead. Start with {@link org.yarbel.core.contest.meet.MeetTable}.
 */
@NullMarked
package org.yarbel.core.contest.meet;

import org.jspecify.annotations.NullMarked;
