/**
 * The contests of a club and who goes to them: day, place, rules, classes, and of strongman the events with their masses. A
 * date that moves changes no plan by itself: {@code runway} sees that a plan leads elsewhere and shows what a refit would do.
 * Only coaches; a contest is of the club of who asks. It may use club.
 */
@NullMarked
package org.yarbel.web.contest;

import org.jspecify.annotations.NullMarked;
