/**
 * The Platform: a contest's day. {@link org.yarbel.web.platform.ContestDays} reads a day as it stands, {@link
 * org.yarbel.web.platform.PlatformLog} takes every entry, once however often it comes, and keeps who wrote it; the pages are the table
 * of a contest, the screen of one lifter, the warm-up room, the events of strongman, the rules, the summary, and what spectators see.
 * What is lifted there goes into the log by {@link org.yarbel.web.platform.IntoLog}. It may use club, contest, lifter, log, page, plan and
 * skyline.
 */
@NullMarked
package org.yarbel.web.platform;

import org.jspecify.annotations.NullMarked;
