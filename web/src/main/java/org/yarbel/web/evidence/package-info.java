/**
 * What stands beside a lifter's own ratings: how well they tell the reps left, by pairs that say so, and what the speed of their bar
 * says, lift by lift; and how they came to their last sessions. For coaches. It may use club, lifter, log and session.
 */
@NullMarked
package org.yarbel.web.evidence;

import org.jspecify.annotations.NullMarked;
