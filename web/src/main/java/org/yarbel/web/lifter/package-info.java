/**
 * The Lifter: taking somebody on, body, life, pain, gear, places, numbers per lift with their sources and ages, and the
 * sign-in of a lifter. {@link org.yarbel.web.lifter.LifterService} writes; the log's package keeps the tracked numbers through
 * {@link org.yarbel.web.lifter.LifterService.LiftTracker}. Only coaches; every lifter is one of the club of who asks. It may
 * use account, club and skyline.
 */
@NullMarked
package org.yarbel.web.lifter;

import org.jspecify.annotations.NullMarked;
