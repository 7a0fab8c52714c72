/**
 * The Runway: the long plan of a lifter as weeks counted down to a contest, with what is planned and done in each, the
 * readiness curve and the way to the goals; proposing, editing, copying a plan, and the refit when a date moves.
 *
 * <p>{@link org.yarbel.web.runway.Runways} is what a coach does, {@link org.yarbel.web.runway.RunwayService} what the screen
 * shows, {@link org.yarbel.web.runway.RunwayChart} how it is drawn. The plan itself is kept by {@code program}.
 */
@NullMarked
package org.yarbel.web.runway;

import org.jspecify.annotations.NullMarked;
