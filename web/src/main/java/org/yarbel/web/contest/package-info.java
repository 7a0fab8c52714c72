/**
 * The contests of a club and who goes to them: day, place, rules, classes, and of strongman the events with their masses. A
 * date that moves changes no plan by itself: {@code runway} sees that a plan leads elsewhere and shows what a refit would do.
 * {@link org.yarbel.web.contest.ContestAthlete} is one who lifts there, of the club or a rival; {@link org.yarbel.web.contest.DaySheet} how
 * its day goes, which {@code platform} shows. A contest is of the club of who asks. It may use club.
 */
@NullMarked
package org.yarbel.web.contest;

import org.jspecify.annotations.NullMarked;
