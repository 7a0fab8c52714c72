/**
 * The Floor: who trains today, and finding anyone ({@link org.yarbel.web.floor.FloorService}); for a lifter My training, their
 * own sessions alone ({@link org.yarbel.web.floor.MyTraining}). It may use call, card, club, contest, lifter, line, log, plan, runway,
 * session and skyline.
 */
@NullMarked
package org.yarbel.web.floor;

import org.jspecify.annotations.NullMarked;
