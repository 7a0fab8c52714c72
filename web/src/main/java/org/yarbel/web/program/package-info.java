/**
 * The plan written by methods and in batches.
 *
 * <p>A {@link org.yarbel.web.program.Progression} says which method writes a lift of a lifter, from when and on which days;
 * {@link org.yarbel.web.program.Programs} asks the core's rule for each exposure ahead and writes its lines into the week,
 * keeping what a coach edited: {@link org.yarbel.web.program.SoFar} is what they have written and what was logged of it,
 * {@link org.yarbel.web.program.Writing} puts the new lines in their places. {@link org.yarbel.web.program.Days} changes whole days at once so that the change can be
 * undone and redone, together with what methods and easy weeks are set to ({@link org.yarbel.web.program.Setup}). The screen lists a lifter's methods and easy weeks, and shows each method in plain words. It may use
 * plan, card, log, lifter and club.
 */
@NullMarked
package org.yarbel.web.program;

import org.jspecify.annotations.NullMarked;
