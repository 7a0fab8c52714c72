/**
 * The Runway: the long plan of a lifter as weeks counted down to a contest, with what is planned and done in each, the
 * readiness curve and the way to the goals; proposing, editing, copying a plan, and the refit when a date moves.
 *
 * <p>{@link org.yarbel.web.runway.Runways} is what a coach does, {@link org.yarbel.web.runway.RunwayService} what the screen
 * shows, {@link org.yarbel.web.runway.RunwayDrawing} how it is drawn, on {@link org.yarbel.web.runway.RunwayPaper}. The plan
 * itself is kept by {@code program}. Only coaches; every lifter and contest is one of the club of who asks. It may use club,
 * contest, group, job, journal, lifter, log, plan and program.
 */
@NullMarked
package org.yarbel.web.runway;

import org.jspecify.annotations.NullMarked;
