/**
 * Calls: what a coach could decide about a lifter, computed in the background after every log, check-in and edit and at the end of the
 * club's day, and what became of each.
 *
 * <p>{@link org.yarbel.web.call.PictureReader} gathers all that the core's rules ask of one lifter; {@link org.yarbel.web.call.CallBook}
 * keeps what they make of it, one row a matter, and takes, refuses and undoes. {@link org.yarbel.web.call.Taking} makes the edits of a
 * proposal through the doors a coach's own edits go through, so that checks, methods, cards and undo know them. {@link
 * org.yarbel.web.call.LoadMoves} keeps what moved the loads. The Calls page is for the club, the weekly look for one lifter after
 * another; only coaches. It may use card, club, contest, edit, group, job, journal, lifter, log, plan, program, session, skyline and watch.
 */
@NullMarked
package org.yarbel.web.call;

import org.jspecify.annotations.NullMarked;
